"""Sections, sessions and the years of a method as one file, and back."""

from django.apps import AppConfig


class ArchivesConfig(AppConfig):
    """Sections, sessions and the years of a method as one file, and back."""

    name = "archives"
