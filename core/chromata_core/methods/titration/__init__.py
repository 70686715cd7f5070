"""Titrations."""
