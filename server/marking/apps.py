"""Rubrics, and the marks of a session by them."""

from django.apps import AppConfig


class MarkingConfig(AppConfig):
    """Rubrics, and the marks of a session by them."""

    name = "marking"
