"""Readings as text, units, rounding: what a number on paper means."""
