"""What was done to get a number: ways of working tried on the same readings until one gives it."""
