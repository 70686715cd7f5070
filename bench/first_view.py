"""How long a student waits for the first view of a bench: a new browser each time, that has nothing of it yet.

bin/bench first_view      ROUNDS=10; with URL=http://127.0.0.1:8000 against a demo that runs
Counted from the address to the bench's heading, on this machine, its server idle otherwise.
"""

import os
from contextlib import nullcontext
from statistics import median
from time import perf_counter

from playwright.sync_api import Browser, sync_playwright
from room import Visitor, department, room, signed_in

CHROMIUM = "/usr/bin/chromium-headless-shell"
ROUNDS = int(os.environ.get("ROUNDS", "10"))


def first_view(browser: Browser, student: Visitor, bench: int) -> float:
    """Milliseconds until the bench is there."""
    context = browser.new_context(viewport={"width": 1280, "height": 800}, service_workers="block")
    cookie = {"name": "sessionid", "value": student.session.cookies["sessionid"], "url": student.url}
    context.add_cookies([cookie])
    page, begun = context.new_page(), perf_counter()
    page.goto(f"{student.url}/benches/{bench}", wait_until="commit")
    page.locator("main h1").wait_for()
    waited = perf_counter() - begun
    context.close()
    return waited * 1000


def main() -> None:
    """Prints the median and the longest of some rounds, behind one that warms the server up."""
    with (
        nullcontext(os.environ["URL"]) if "URL" in os.environ else department() as url,
        sync_playwright() as playwright,
    ):
        _, [(student, bench)] = room(signed_in(url), 1)
        browser = playwright.chromium.launch(executable_path=CHROMIUM)
        waits = [first_view(browser, student, bench) for _ in range(ROUNDS + 1)][1:]
        print(f"first view of a bench, nothing cached: median {median(waits):.0f}, longest {max(waits):.0f} ms")
        browser.close()


if __name__ == "__main__":
    main()
