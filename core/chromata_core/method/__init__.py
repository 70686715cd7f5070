"""The vocabulary in which an experiment is declared, and the engine that evaluates it."""
