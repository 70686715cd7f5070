"""A department to look at: invented people, simulated benches."""

from django.apps import AppConfig


class DemoConfig(AppConfig):
    """The demo."""

    name = "demo"
