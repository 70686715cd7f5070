"""Sessions that nobody has to be in the room for: a made-up class, or drawn instruments that are worked."""

from django.apps import AppConfig


class RehearsalsConfig(AppConfig):
    """Sessions that nobody has to be in the room for: a made-up class, or drawn instruments that are worked."""

    name = "rehearsals"
