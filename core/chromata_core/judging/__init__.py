"""What there is to say of readings and quantities: checks, the rules that end a series, guides."""
