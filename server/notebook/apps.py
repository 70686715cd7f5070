"""The append-only record."""

from django.apps import AppConfig


class NotebookConfig(AppConfig):
    """The append-only record."""

    name = "notebook"
