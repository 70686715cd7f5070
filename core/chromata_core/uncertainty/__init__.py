"""Error sources, linear propagation with correlation, budgets."""
