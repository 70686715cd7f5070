"""Molar masses and formulae."""
