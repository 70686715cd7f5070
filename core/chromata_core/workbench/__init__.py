"""A bench worked on the screen: drawn instruments with a hidden truth behind them."""
