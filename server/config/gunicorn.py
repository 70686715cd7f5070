"""How bin/start serves: gunicorn keeps the processes, each of which reads requests whole before it works on them."""

import ctypes
import os
import signal

worker_class = "config.buffered.BufferedWorker"
workers = int(os.environ.get("CHROMATA_WORKERS", "2"))
threads = 4
preload_app = True
loglevel = "warning"
errorlog = "-"

_PR_SET_PDEATHSIG = 1


def post_fork(server: object, worker: object) -> None:
    """A worker whose master is gone ends at once, so that the port is free for the next start."""
    ctypes.CDLL(None).prctl(_PR_SET_PDEATHSIG, signal.SIGTERM)
