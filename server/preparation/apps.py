"""What is made and set out before class, for each session and for the week."""

from django.apps import AppConfig


class PreparationConfig(AppConfig):
    """What is made and set out before class, for each session and for the week."""

    name = "preparation"
