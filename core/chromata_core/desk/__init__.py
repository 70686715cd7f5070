"""Small calculators of the working day, each showing its working."""
