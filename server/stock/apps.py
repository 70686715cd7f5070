"""Calibrated instruments and standardised solutions."""

from django.apps import AppConfig


class StockConfig(AppConfig):
    """Calibrated instruments and standardised solutions."""

    name = "stock"
