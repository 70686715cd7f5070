"""Gases collected over water. One experiment, one file."""
