"""Gravimetric methods."""
