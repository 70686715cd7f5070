"""The demo: an invented college, its people and three sessions."""
