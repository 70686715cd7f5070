"""What the stockroom knows of its own: calibrated instruments, standardised solutions."""
