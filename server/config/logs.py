"""One line of log for each failure."""

import logging


class NotToldYet(logging.Filter):
    """Drops Django's own report of a 503 with its traceback: config/errors.py has said in one line what happened."""

    def filter(self, record: logging.LogRecord) -> bool:
        return getattr(record, "status_code", None) != 503
