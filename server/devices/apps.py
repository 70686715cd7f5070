"""Readings taken from devices instead of typed."""

from django.apps import AppConfig


class DevicesConfig(AppConfig):
    """Readings taken from devices instead of typed."""

    name = "devices"

    def ready(self) -> None:
        """A setting that cannot be read is said at the start, and not at a bench."""
        from devices.line import devices

        devices()
