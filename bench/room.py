"""Rooms of 12, 48 and 96 benches at work while three floors look on; then all come back at once from an hour without
network.

bin/bench room            BENCHES=12,48,96, SECONDS=60, EVERY=2; with URL=http://127.0.0.1:8000 against a demo that runs
A server of its own is started as a department starts it. Everything is made through the API: sections of up to 48,
their people, their PINs, the sessions. What all processes of this machine spent on it, but for this one, is told for
each round of work: a try, an entry and half a look.
"""

import os
import shutil
import socket
import subprocess
import tempfile
import threading
from collections import defaultdict
from collections.abc import Callable, Iterator, Sequence
from contextlib import contextmanager, nullcontext
from datetime import UTC, datetime
from functools import partial
from pathlib import Path
from time import perf_counter, process_time, sleep
from typing import Any
from uuid import uuid4

import requests

ROOT = Path(__file__).parents[1]
SECONDS = float(os.environ.get("SECONDS", "60"))
SIZES = [int(size) for size in os.environ.get("BENCHES", "12,48,96").split(",")]
ROOM, FLOORS, WAITING = 48, 3, 30
EVERY = float(os.environ.get("EVERY", "2"))  # seconds between two entries of a bench
LOOK = 1.5  # and between two looks at a floor
STARTED_WITHIN = 240  # seconds, on a busy machine
SETTLED = 45  # seconds: a server that has just started sets its printers up behind the first requests
PASSWORD = "demo-bench"
ASKED = ("try", "write", "bench", "floor")

times: dict[str, list[float]] = defaultdict(list)


class Visitor:
    """Somebody with a browser of their own, at the server of this ``url``."""

    def __init__(self, url: str) -> None:
        self.url, self.session = url, requests.Session()
        self.session.get(f"{url}/", timeout=60)

    def ask(self, method: str, path: str, body: dict[str, Any] | None = None, called: str = "") -> Any:
        """The answer as data; its time is kept under ``called``."""
        headers = {"X-CSRFToken": self.session.cookies["csrftoken"], "Referer": f"{self.url}/"}
        begun = perf_counter()
        answer = self.session.request(method, f"{self.url}/api/{path}", json=body, headers=headers, timeout=120)
        if called:
            times[called].append(perf_counter() - begun)
        answer.raise_for_status()
        return answer.json() if answer.content and answer.status_code != 304 else None


def entry(key: str, text: str, trial: int | None = None) -> dict[str, Any]:
    now = datetime.now(UTC).isoformat()
    return {"id": str(uuid4()), "key": key, "text": text, "trial": trial, "written_at": now}


def readings(seat: int) -> Iterator[dict[str, Any]]:
    """A titration that never ends: the sample's volume, then trial after trial; then notes. No two seats read alike."""
    yield entry("V_s", "20.00")
    for trial in range(1, 41):
        yield entry("V_start", f"{seat // 50}.{(trial + 2 * seat) % 100:02d}", trial)
        yield entry("end_point", "held", trial)
        yield entry("V_end", f"{21 + seat // 50}.{(37 * trial + 2 * seat) % 100:02d}", trial)
    while True:
        yield entry("note", "It turns pink and fades.")


def room(instructor: Visitor, benches: int) -> tuple[int, list[tuple[Visitor, int]]]:
    """A session with a student at each of its benches; the students signed in, with their benches."""
    section = instructor.ask("POST", "sections", {"name": f"Load {uuid4().hex[:6]}"})["line"]
    people = [{"name": f"Student {number:02d}"} for number in range(1, benches + 1)]
    roster = instructor.ask("POST", f"sections/{section['id']}/roster", {"people": people})["students"]
    plan = {
        "section": section["id"], "method": "acid-base-titration", "title": "Load", "benches": benches,
        "starts_at": datetime.now(UTC).isoformat(), "options": {"rough_trial": "no"},
    }  # fmt: skip
    session = instructor.ask("POST", "sessions", plan)["card"]["id"]
    instructor.ask("POST", f"sessions/{session}/state", {"action": "open"})
    students = []
    for person in roster:
        pin = instructor.ask("POST", f"people/{person['id']}/pin")["pin"]
        student = Visitor(instructor.url)
        student.ask("POST", "join", {"code": section["code"], "person": person["id"], "pin": pin})
        students.append((student, student.ask("GET", "benches")[0]["id"]))
    return session, students


def at_once(works: Sequence[Callable[[], object]]) -> float:
    """Runs them side by side; seconds until the last is done."""
    threads, begun = [threading.Thread(target=work) for work in works], perf_counter()
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()
    return perf_counter() - begun


def working(student: Visitor, bench: int, seat: int, first: float, until: float) -> None:
    """Types and writes an entry every two seconds, and looks at the bench every four, as the screen does: the answer to
    what is written is the bench as it then stands.
    """
    sleep(first)
    for place, written in enumerate(readings(seat)):
        if (begun := perf_counter()) > until:
            break
        typed = {key: written[key] for key in ("key", "text", "trial")}
        student.ask("POST", f"benches/{bench}/try", typed, "try")
        student.ask("POST", f"benches/{bench}/entries", {"entries": [written]}, "write")
        if place % 2:
            student.ask("GET", f"benches/{bench}", called="bench")
        sleep(max(0.0, EVERY - (perf_counter() - begun)))


def looking(url: str, session: int, first: float, until: float) -> None:
    instructor = signed_in(url)
    sleep(first)
    while perf_counter() < until:
        instructor.ask("GET", f"sessions/{session}/floor", called="floor")
        sleep(LOOK)


def signed_in(url: str) -> Visitor:
    instructor = Visitor(url)
    instructor.ask("POST", "sign-in", {"username": "instructor", "password": PASSWORD})
    return instructor


@contextmanager
def department() -> Iterator[str]:
    """The address of a department of its own, with an instructor, as long as it is needed."""
    folder, port = Path(tempfile.mkdtemp(prefix="chromata-room-")), free_port()
    folder.chmod(0o755)  # the database's own user must get in
    environment = {name: value for name, value in os.environ.items() if not name.startswith("PG")}
    environment |= {"CHROMATA_VAR": str(folder / "var")}
    command = [str(ROOT / "bin/start"), "--department", "--port", str(port), "--data", str(folder / "data")]
    with (folder / "log").open("wb") as log:
        process = subprocess.Popen(command, env=environment, stdout=log, stderr=log, start_new_session=True)
    try:
        url, secret = f"http://127.0.0.1:{port}", first_secret(process, folder / "log")
        first = {"username": "instructor", "name": "Instructor", "password": PASSWORD, "department": "Load"}
        Visitor(url).ask("POST", f"links/{secret}", {**first, "time_zone": "UTC"})
        sleep(SETTLED)
        yield url
    finally:
        process.terminate()
        process.wait()
        shutil.rmtree(folder, ignore_errors=True)


def free_port() -> int:
    with socket.socket() as listener:
        listener.bind(("127.0.0.1", 0))
        return int(listener.getsockname()[1])


def first_secret(process: "subprocess.Popen[bytes]", log: Path) -> str:
    """What the one-time link ends with that the server prints for the first instructor."""
    for _ in range(STARTED_WITHIN):
        _, link, after = log.read_text(encoding="utf-8").partition("/welcome/")
        if link and after.split():
            return after.split()[0]
        if process.poll() is not None:
            break
        sleep(1)
    raise SystemExit(f"The server did not start:\n{log.read_text(encoding='utf-8')[-2000:]}")


def others_spent() -> float:
    """Seconds of a processor that all other processes of this machine have used since it started."""
    user, nice, system = map(int, Path("/proc/stat").read_text().split()[1:4])
    return (user + nice + system) / os.sysconf("SC_CLK_TCK") - process_time()


def load(url: str, benches: int) -> str:
    """A line of the table: so many benches at work at the server of this ``url``."""
    times.clear()
    instructor = signed_in(url)
    rooms = [room(instructor, min(ROOM, benches - taken)) for taken in range(0, benches, ROOM)]
    students = [student for _, here in rooms for student in here]
    before, until = others_spent(), perf_counter() + SECONDS
    works: list[Callable[[], object]] = [
        partial(looking, url, rooms[n % len(rooms)][0], n * LOOK / FLOORS, until) for n in range(FLOORS)
    ]
    for seat, (student, bench) in enumerate(students):
        works.append(partial(working, student, bench, seat, seat * EVERY / benches, until))
    at_once(works)
    written, spent = len(times["write"]), others_spent() - before
    waits = "".join(f"{share(times[asked], 0.5):7.0f} {share(times[asked], 0.95):6.0f}" for asked in ASKED)
    seconds = back_at_once(students, written)
    for session, _ in rooms:
        instructor.ask("POST", f"sessions/{session}/state", {"action": "close"})
    return f"{benches:7}{waits}{written / SECONDS:9.1f}{written / spent:9.0f}{seconds:9.1f}"


def share(measured: Sequence[float], part: float) -> float:
    """Milliseconds that this part of the requests stayed under."""
    return sorted(measured)[int(len(measured) * part)] * 1000


def back_at_once(students: Sequence[tuple[Visitor, int]], written: int) -> float:
    """Seconds until everybody is in who wrote without network; nothing of it, nor of what was ``written`` before, is
    lost or doubled.
    """
    batches = [
        (student, bench, [entry("note", "Kept here meanwhile") for _ in range(WAITING)]) for student, bench in students
    ]
    seconds = at_once(
        [partial(who.ask, "POST", f"benches/{bench}/entries", {"entries": waited}) for who, bench, waited in batches]
    )
    kept = [entry["id"] for student, bench in students for entry in student.ask("GET", f"benches/{bench}/entries")]
    sent = {entry["id"] for *_, entries in batches for entry in entries}
    assert sent <= set(kept), "something is lost"
    assert len(kept) == len(set(kept)) == written + len(sent), "something is lost or doubled"
    return seconds


def main() -> None:
    """Prints medians and 95th percentiles in ms, rounds of work a second and for each second of a processor, and how
    long it takes until all that waited is in.
    """
    with nullcontext(os.environ["URL"]) if "URL" in os.environ else department() as url:
        print(f"an entry every {EVERY:.0f} s at a bench, {FLOORS} floors, {SECONDS:.0f} s; median and 95 % in ms")
        print("benches" + "".join(f"{asked:>14}" for asked in ASKED) + "   a second   of CPU  back, s")
        for benches in SIZES:
            print(load(url, benches), flush=True)


if __name__ == "__main__":
    main()
