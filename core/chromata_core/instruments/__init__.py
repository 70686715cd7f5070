"""How each instrument is read, drawn, and how sure it is."""
