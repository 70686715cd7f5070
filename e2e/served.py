"""The application as bin/start serves it, in processes and a database of its own: for tests that kill them."""

import os
import random
import shutil
import signal
import socket
import subprocess
import tempfile
import time
import uuid
from collections.abc import Callable
from datetime import UTC, datetime
from pathlib import Path
from typing import Any, ClassVar
from unittest import TestCase

import requests
from django.conf import settings

ROOT: Path = settings.ROOT
_STARTED_WITHIN = 240.0  # seconds, on a busy machine


def free_port() -> int:
    """A port that nobody listens on, below those of outgoing connections: one of these could take it while the server
    is down.
    """
    while True:
        port = random.randrange(18_000, 25_000)
        with socket.socket() as listener:
            if listener.connect_ex(("127.0.0.1", port)):
                return port


def until(holds: Callable[[], bool], seconds: float) -> bool:
    """Waits until ``holds``; whether it did in time."""
    deadline = time.monotonic() + seconds
    while time.monotonic() < deadline:
        if holds():
            return True
        time.sleep(0.1)
    return False


class Served(TestCase):
    """One server for the class; ``start`` and ``stop`` are there for tests that end it."""

    folder: ClassVar[Path]
    port: ClassVar[int]
    process: ClassVar["subprocess.Popen[bytes]"]

    @classmethod
    def setUpClass(cls) -> None:
        super().setUpClass()
        cls.folder, cls.port = Path(tempfile.mkdtemp(prefix="chromata-served-")), free_port()
        cls.folder.chmod(0o755)  # the database's own user must get in
        (cls.folder / "var").mkdir()
        shutil.copy(ROOT / "var/web.stamp", cls.folder / "var/web.stamp")  # what the tests built is what is served
        cls.addClassCleanup(shutil.rmtree, cls.folder, ignore_errors=True)
        cls.addClassCleanup(cls.pg, "stop")
        cls.addClassCleanup(cls.stop)
        cls.start()

    @classmethod
    def environment(cls) -> dict[str, str]:
        kept = {key: value for key, value in os.environ.items() if not key.startswith("PG")}
        return {**kept, "CHROMATA_VAR": str(cls.folder / "var"), "CHROMATA_DATA": str(cls.folder / "data")}

    @classmethod
    def start(cls) -> None:
        with (cls.folder / "log").open("ab") as log:
            command = [str(ROOT / "bin/start"), "--port", str(cls.port), "--data", str(cls.folder / "data")]
            cls.process = subprocess.Popen(
                command, env=cls.environment(), stdout=log, stderr=log, start_new_session=True
            )
        # asked once: a busy machine may be slow to answer a second time
        if not until(lambda: cls.ended() or cls.answers(), _STARTED_WITHIN) or cls.ended():
            raise AssertionError(f"bin/start did not serve:\n{cls.log()[-2000:]}")

    @classmethod
    def ended(cls) -> bool:
        return cls.process.poll() is not None

    @classmethod
    def stop(cls) -> None:
        if not cls.ended():
            cls.process.send_signal(signal.SIGTERM)
            cls.process.wait(30)

    @classmethod
    def pg(cls, verb: str) -> None:
        subprocess.run([str(ROOT / "bin/pg"), verb], env=cls.environment(), check=True, capture_output=True)

    @classmethod
    def log(cls) -> str:
        return (cls.folder / "log").read_text()

    @classmethod
    def url(cls, path: str) -> str:
        return f"http://127.0.0.1:{cls.port}{path}"

    @classmethod
    def answers(cls) -> bool:
        try:
            return requests.get(cls.url("/api/me"), timeout=2).status_code == 204
        except requests.RequestException:
            return False

    @classmethod
    def pids(cls, *words: str) -> list[int]:
        """Processes of this server whose command line holds all the words, the oldest first."""
        processes = []
        for entry in Path("/proc").iterdir():
            if entry.name.isdigit():
                try:
                    command = (entry / "cmdline").read_bytes().replace(b"\0", b" ").decode()
                    began = int((entry / "stat").read_text().rpartition(")")[2].split()[19])
                except (OSError, UnicodeDecodeError):
                    continue
                if all(word in command for word in words):
                    processes.append((began, int(entry.name)))
        return [pid for _, pid in sorted(processes)]  # numbers alone begin anew when they have run out

    @classmethod
    def gunicorn(cls) -> list[int]:
        """The master, then its workers."""
        return cls.pids("gunicorn", f"127.0.0.1:{cls.port}")

    @classmethod
    def postmaster(cls) -> int:
        return cls.pids("postgres -D", str(cls.folder / "data"))[0]


class Visitor:
    """Somebody signed in, who sends what a browser would."""

    def __init__(self, served: type[Served], username: str) -> None:
        self.served, self.session = served, requests.Session()
        self.session.get(served.url("/"), timeout=20)
        answer = self.post("/api/sign-in", {"username": username, "password": "demo-bench"})
        assert answer.status_code == 200, answer.text

    def get(self, path: str, timeout: float = 30) -> requests.Response:
        return self.session.get(self.served.url(path), timeout=timeout)

    def post(self, path: str, body: dict[str, Any], timeout: float = 30) -> requests.Response:
        headers = {"X-CSRFToken": self.session.cookies.get("csrftoken", ""), "Referer": self.served.url("/")}
        return self.session.post(self.served.url(path), json=body, headers=headers, timeout=timeout)

    def note(self, bench: int, text: str) -> tuple[str, requests.Response]:
        """Writes a note under a new id; the id, and the answer."""
        entry = {"id": str(uuid.uuid4()), "key": "note", "text": text, "written_at": datetime.now(UTC).isoformat()}
        return entry["id"], self.post(f"/api/benches/{bench}/entries", {"entries": [entry]})
