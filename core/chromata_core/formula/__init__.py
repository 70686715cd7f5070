"""Short arithmetic text, parsed to a safe tree: checked for units, computed, shown."""
