"""Hidden truth, simulated instruments, readings as a student writes them."""
