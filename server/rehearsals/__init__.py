"""Simulated sessions."""
