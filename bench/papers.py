"""The reports of a whole class, asked for at once: how long until the last is printed, none of them before.

bin/bench papers          against a demo that runs: URL=http://127.0.0.1:8000, BENCHES=48 FAMILIES=kinetics
Each class is made up by the product itself: its sessions, rehearsed.
"""

import os
from collections.abc import Iterator
from functools import partial
from itertools import islice
from threading import Lock
from time import perf_counter, sleep

from room import URL, Visitor, at_once, signed_in

BENCHES = int(os.environ.get("BENCHES", "48"))
FAMILIES = os.environ.get("FAMILIES", "")  # of methods, one behind the other; empty: all
LANES = 2  # so many of a class's reports are asked for at a time
MINUTES = 600
_PAUSE = 45  # seconds: so many reports are all that one person may ask for in a minute


def main() -> None:
    """For each family of the demo's past sessions: the class played, then its reports."""
    print(f"{BENCHES} benches played one by one, then their reports through {LANES} lanes, at {URL}")
    instructor = signed_in()
    held: dict[str, int] = {}
    for session in instructor.ask("GET", "sessions"):
        wanted = not FAMILIES or session["family"] in FAMILIES
        if session["state"] == "closed" and not session["simulated"] and wanted:
            held.setdefault(session["family"], session["id"])
    for family, session in held.items():
        asked = {"benches": BENCHES, "minutes": MINUTES}
        room = instructor.ask("POST", f"sessions/{session}/rehearsed", asked)
        benches = [place["id"] for place in room["benches"]]
        begun = perf_counter()
        written = sum(instructor.ask("POST", f"benches/{bench}/played")["written"] for bench in benches)
        played = perf_counter() - begun
        printed = at_once([partial(print_all, instructor, Shared(benches))] * LANES)
        print(f"{family:20s} {written:5d} entries in {played:5.1f} s    {BENCHES} reports in {printed:5.1f} s")
        instructor.ask("DELETE", f"sessions/{room['card']['id']}/simulated")
        sleep(_PAUSE)


class Shared:
    """What several take from, one after the other."""

    def __init__(self, things: list[int]) -> None:
        self.left, self.lock = iter(things), Lock()

    def __iter__(self) -> Iterator[int]:
        while True:
            with self.lock:
                taken = list(islice(self.left, 1))
            if not taken:
                return
            yield taken[0]


def print_all(who: Visitor, left: Shared) -> None:
    for bench in left:
        answer = who.session.get(f"{URL}/api/benches/{bench}/files/report.pdf", timeout=120)
        answer.raise_for_status()
        assert answer.content.startswith(b"%PDF")


if __name__ == "__main__":
    main()
