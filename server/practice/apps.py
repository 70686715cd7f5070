"""Practice: scales, calculations and fault hunts, and how far each student is."""

from django.apps import AppConfig


class PracticeConfig(AppConfig):
    """Practice: scales, calculations and fault hunts, and how far each student is."""

    name = "practice"
