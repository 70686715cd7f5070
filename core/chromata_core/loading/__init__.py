"""A declaration is checked before it is used: its names, its options, its units."""
