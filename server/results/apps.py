"""What benches and rooms come to, answered from what was written."""

from django.apps import AppConfig


class ResultsConfig(AppConfig):
    """Benches and rooms as they stand."""

    name = "results"
