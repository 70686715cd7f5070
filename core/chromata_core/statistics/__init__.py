"""Replicates and the rules by which a class says that they agree."""
