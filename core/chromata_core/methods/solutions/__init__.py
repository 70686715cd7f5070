"""Solutions and glassware."""
