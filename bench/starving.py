"""Does one student who asks for reports without end make the floor wait? Its median answer alone, and beside that.

bin/bench starving        against a demo that runs: URL=http://127.0.0.1:8000
"""

import os
import threading
from statistics import median
from time import perf_counter, sleep

import requests

URL = os.environ.get("URL", "http://127.0.0.1:8000")
LOOPS, ASKED = 16, 25


def visitor(username: str) -> requests.Session:
    """Somebody signed in to the demo."""
    session = requests.Session()
    session.get(f"{URL}/", timeout=30)
    headers = {"X-CSRFToken": session.cookies["csrftoken"], "Referer": f"{URL}/"}
    body = {"username": username, "password": "demo-bench"}
    session.post(f"{URL}/api/sign-in", json=body, headers=headers, timeout=30).raise_for_status()
    return session


def asked(session: requests.Session, path: str) -> float:
    """Median milliseconds of asking for ``path``."""
    waits = []
    for _ in range(ASKED):
        begun = perf_counter()
        session.get(f"{URL}{path}", timeout=60).raise_for_status()
        waits.append(perf_counter() - begun)
        sleep(0.2)
    return median(waits) * 1000


def main() -> None:
    """Prints both medians, their ratio, and what became of the student's requests."""
    instructor, student = visitor("instructor"), visitor("student")
    running = next(s["id"] for s in instructor.get(f"{URL}/api/sessions").json() if s["state"] == "open")
    bench = student.get(f"{URL}/api/benches").json()[0]["id"]
    floor, statuses, stop = f"/api/sessions/{running}/floor", [], threading.Event()
    alone = asked(instructor, floor)

    def loop() -> None:
        cookies = student.cookies.copy()
        while not stop.is_set():
            for name in ("report", "files/report.pdf"):
                path = f"{URL}/api/benches/{bench}/{name}"
                statuses.append(requests.get(path, cookies=cookies, timeout=60).status_code)

    loops = [threading.Thread(target=loop) for _ in range(LOOPS)]
    for burner in loops:
        burner.start()
    beside = asked(instructor, floor)
    stop.set()
    for burner in loops:
        burner.join()
    counted = {status: statuses.count(status) for status in sorted(set(statuses))}
    print(f"floor alone {alone:.0f} ms, beside {LOOPS} report loops {beside:.0f} ms: {beside / alone:.1f} times")
    print(f"the student's {len(statuses)} requests were answered {counted}")


if __name__ == "__main__":
    main()
