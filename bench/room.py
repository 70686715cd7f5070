"""A room of 48 benches at work while three floors look on; then all come back at once from an hour without network.

bin/bench room            against a demo that runs: URL=http://127.0.0.1:8000, SECONDS=60, BENCHES=48, EVERY=2
Everything is made through the API: sections of up to 48, their people, their PINs, the sessions. What all processes of
this machine spent on it, but for this one, is told for each round of work: a try, an entry and half a look.
"""

import os
import threading
from collections import defaultdict
from collections.abc import Callable, Iterator, Sequence
from datetime import UTC, datetime
from functools import partial
from pathlib import Path
from time import perf_counter, process_time, sleep
from typing import Any
from uuid import uuid4

import requests

URL = os.environ.get("URL", "http://127.0.0.1:8000")
SECONDS = float(os.environ.get("SECONDS", "60"))
BENCHES, ROOM, FLOORS, WAITING = int(os.environ.get("BENCHES", "48")), 48, 3, 30
EVERY = float(os.environ.get("EVERY", "2"))  # seconds between two entries of a bench
LOOK = 1.5  # and between two looks at a floor

times: dict[str, list[float]] = defaultdict(list)


class Visitor:
    """Somebody with a browser of their own."""

    def __init__(self) -> None:
        self.session = requests.Session()
        self.session.get(f"{URL}/", timeout=60)

    def ask(self, method: str, path: str, body: dict[str, Any] | None = None, called: str = "") -> Any:
        """The answer as data; its time is kept under ``called``."""
        headers = {"X-CSRFToken": self.session.cookies["csrftoken"], "Referer": f"{URL}/"}
        begun = perf_counter()
        answer = self.session.request(method, f"{URL}/api/{path}", json=body, headers=headers, timeout=120)
        if called:
            times[called].append(perf_counter() - begun)
        answer.raise_for_status()
        return answer.json() if answer.content and answer.status_code != 304 else None


def entry(key: str, text: str, trial: int | None = None) -> dict[str, Any]:
    now = datetime.now(UTC).isoformat()
    return {"id": str(uuid4()), "key": key, "text": text, "trial": trial, "written_at": now}


def readings() -> Iterator[dict[str, Any]]:
    """A titration that never ends: the sample's volume, then trial after trial; then notes."""
    yield entry("V_s", "20.00")
    for trial in range(1, 41):
        yield entry("V_start", f"0.{trial:02d}", trial)
        yield entry("end_point", "held", trial)
        yield entry("V_end", f"21.{(37 * trial) % 100:02d}", trial)
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
        student = Visitor()
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


def working(student: Visitor, bench: int, first: float, until: float) -> None:
    """Types and writes an entry every two seconds, and looks at the bench every four, as the screen does: the answer to
    what is written is the bench as it then stands.
    """
    sleep(first)
    for place, written in enumerate(readings()):
        if (begun := perf_counter()) > until:
            break
        typed = {key: written[key] for key in ("key", "text", "trial")}
        student.ask("POST", f"benches/{bench}/try", typed, "try")
        student.ask("POST", f"benches/{bench}/entries", {"entries": [written]}, "write")
        if place % 2:
            student.ask("GET", f"benches/{bench}", called="bench")
        sleep(max(0.0, EVERY - (perf_counter() - begun)))


def looking(session: int, until: float) -> None:
    instructor = signed_in()
    while perf_counter() < until:
        instructor.ask("GET", f"sessions/{session}/floor", called="floor")
        sleep(LOOK)


def signed_in() -> Visitor:
    instructor = Visitor()
    instructor.ask("POST", "sign-in", {"username": "instructor", "password": "demo-bench"})
    return instructor


def others_spent() -> float:
    """Seconds of a processor that all other processes of this machine have used since it started."""
    user, nice, system = map(int, Path("/proc/stat").read_text().split()[1:4])
    return (user + nice + system) / os.sysconf("SC_CLK_TCK") - process_time()


def main() -> None:
    """Prints the 95th percentile of each request, and how long it takes until all that waited is in."""
    instructor = signed_in()
    rooms = [room(instructor, min(ROOM, BENCHES - taken)) for taken in range(0, BENCHES, ROOM)]
    students = [student for _, here in rooms for student in here]
    before, until = others_spent(), perf_counter() + SECONDS
    works: list[Callable[[], object]] = [partial(looking, rooms[n % len(rooms)][0], until) for n in range(FLOORS)]
    for place, (student, bench) in enumerate(students):
        works.append(partial(working, student, bench, place * EVERY / BENCHES, until))
    at_once(works)
    print(f"{BENCHES} benches, an entry every {EVERY:.0f} s, {FLOORS} floors, {SECONDS:.0f} s")
    for called, measured in sorted(times.items()):
        ordered = sorted(measured)
        middle, high = ordered[len(ordered) // 2], ordered[int(len(ordered) * 0.95)]
        print(
            f"  {called:6} {len(measured):5} requests, median {middle * 1000:6.0f} ms, 95 % under {high * 1000:6.0f} ms"
        )
    written = len(times["write"])
    spent = others_spent() - before
    print(f"  {written / SECONDS:.1f} rounds of work a second, {written / spent:.0f} for each second of a processor")
    batches = [
        (student, bench, [entry("note", "Kept here meanwhile") for _ in range(WAITING)]) for student, bench in students
    ]
    seconds = at_once(
        [partial(who.ask, "POST", f"benches/{bench}/entries", {"entries": waited}) for who, bench, waited in batches]
    )
    measured = [entry["id"] for student, bench in students for entry in student.ask("GET", f"benches/{bench}/entries")]
    sent = {entry["id"] for *_, entries in batches for entry in entries}
    lost, doubled = len(sent - set(measured)), len(measured) - len(set(measured))
    print(f"  {BENCHES} × {WAITING} entries at once: all in after {seconds:.1f} s; {lost} lost, {doubled} doubled")
    assert len(measured) == written + len(sent), "what was written one by one is not all there"
    for session, _ in rooms:
        instructor.ask("POST", f"sessions/{session}/state", {"action": "close"})


if __name__ == "__main__":
    main()
