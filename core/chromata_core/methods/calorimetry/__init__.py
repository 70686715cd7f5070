"""Heat in a cup. One experiment, one file."""
