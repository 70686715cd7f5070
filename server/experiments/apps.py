"""Instructors' own experiments."""

from django.apps import AppConfig


class ExperimentsConfig(AppConfig):
    """Instructors' own experiments."""

    name = "experiments"
