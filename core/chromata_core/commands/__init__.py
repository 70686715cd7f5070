"""What each command of the command line does: options in, text for people and data for programs out."""
