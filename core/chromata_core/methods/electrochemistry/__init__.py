"""Cells and their potentials. One experiment, one file."""
