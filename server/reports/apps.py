"""What is handed in."""

from django.apps import AppConfig


class ReportsConfig(AppConfig):
    """What is handed in."""

    name = "reports"
