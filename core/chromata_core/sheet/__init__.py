"""What was written at a bench, bound to a declaration."""
