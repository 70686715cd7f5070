"""People: who signs in and what they may do."""

from django.apps import AppConfig


class PeopleConfig(AppConfig):
    """People and sections."""

    name = "people"
