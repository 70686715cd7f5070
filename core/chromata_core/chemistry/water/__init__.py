"""Properties of water between 0 and 100 °C. One published source, one file."""
