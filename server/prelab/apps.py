"""Work before class: what every student answers, and who is ready."""

from django.apps import AppConfig


class PrelabConfig(AppConfig):
    """Work before class: what every student answers, and who is ready."""

    name = "prelab"
