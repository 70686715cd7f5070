"""How fast. One experiment, one file."""
