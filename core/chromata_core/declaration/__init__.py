"""How an experiment is declared: the vocabulary, what its texts name, and the choices of a session."""
