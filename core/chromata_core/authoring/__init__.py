"""How a declaration comes about: from JSON or a form, checked and found complete."""
