"""Marks: what an instructor looks at, and what a record would earn by it."""
