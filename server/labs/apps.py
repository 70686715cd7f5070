"""Sessions and benches."""

from django.apps import AppConfig


class LabsConfig(AppConfig):
    """Sessions and benches."""

    name = "labs"
