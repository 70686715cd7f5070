"""Django's PostgreSQL, that does not wait for ever."""
