"""Light absorbed by a solution. One experiment, one file."""
