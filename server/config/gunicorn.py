"""How bin/start serves: gunicorn keeps the processes, each of which reads requests whole before it works on them."""

import ctypes
import gc
import os
import shutil
import signal
from pathlib import Path
from threading import Timer
from typing import Any

# Numbers for Prometheus are counted in files that all workers share; a new start begins at nothing.
_VAR = Path(os.environ.get("CHROMATA_VAR", Path(__file__).resolve().parents[2] / "var"))
_COUNTS = _VAR / "counts"
for folder in (_COUNTS, _VAR / "told"):  # what an earlier release said of benches is not what this one says
    shutil.rmtree(folder, ignore_errors=True)
_COUNTS.mkdir(parents=True)
os.environ["PROMETHEUS_MULTIPROC_DIR"] = str(_COUNTS)

worker_class = "config.buffered.BufferedWorker"
workers = int(os.environ.get("CHROMATA_WORKERS", "3"))
threads = 12  # two of them work at a time, the others wait for their turn or for the printer (config/in_turn.py)
preload_app = True
loglevel = "warning"
errorlog = "-"

_PR_SET_PDEATHSIG = 1
_AFTER = 20  # seconds: the first people are served before that
_GARBAGE = (50_000, 20, 20)  # objects made since it was looked for last; Python's own 700 is meant for small programs


def post_fork(server: object, worker: object) -> None:
    """A worker whose master is gone ends at once, so that the port is free for the next start."""
    ctypes.CDLL(None).prctl(_PR_SET_PDEATHSIG, signal.SIGTERM)


def post_worker_init(worker: object) -> None:
    """What is loaded stays, so garbage is not looked for in it, and more seldom: a fifth of a report's time went there.
    The printer is set up before the first report is asked for: it takes some seconds of a processor.
    """
    gc.freeze()
    gc.set_threshold(*_GARBAGE)
    printer = Timer(_AFTER, _printer_ready)
    printer.daemon = True
    printer.start()


def _printer_ready() -> None:
    from reports.paper import set_up

    set_up()
    gc.freeze()


def child_exit(server: object, worker: Any) -> None:
    """What a worker that is gone was busy with is no longer counted as going on."""
    from prometheus_client import multiprocess

    multiprocess.mark_process_dead(worker.pid)
