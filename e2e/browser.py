"""The real interface in Debian's Chromium: sign in, look, type, as a person does."""

import os
import re
import time
from functools import cache
from typing import Any

os.environ["DJANGO_ALLOW_ASYNC_UNSAFE"] = "true"  # Playwright's loop runs in the thread that also uses the ORM

from django.contrib.staticfiles.testing import StaticLiveServerTestCase
from django.db import connection
from playwright.sync_api import Browser, BrowserContext, FilePayload, Page, expect, sync_playwright

from labs.tests.room import Furnished, furnish, signed_in
from people.models import Person

CHROMIUM = "/usr/bin/chromium-headless-shell"
# Without this Chromium itself asks for accounts, time and updates.
ONLY_HERE = "--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1, EXCLUDE localhost"
LAPTOP, TABLET, PHONE = (1280, 800), (820, 1180), (390, 844)

expect.set_options(timeout=20_000)  # a build machine may be busy; speed is measured in bench/


@cache
def chromium() -> Browser:
    """One browser for all tests of a process; it ends with it. What belongs to a test is in a context of its own."""
    return sync_playwright().start().chromium.launch(executable_path=CHROMIUM, args=[ONLY_HERE])


class BrowserCase(Furnished, StaticLiveServerTestCase):
    """A room of two benches, and a browser. ``sign_in`` gives a page of somebody's own."""

    def setUp(self) -> None:
        self.outside: list[str] = []
        self.broken: list[str] = []
        self.contexts: list[BrowserContext] = []
        furnish(self)

    def __getstate__(self) -> dict[str, Any]:
        """What unittest itself keeps: a failed sub-test is sent to the runner's process, and no browser can be."""
        kept = {name: value for name, value in self.__dict__.items() if name.startswith("_")}
        return kept | {"_outcome": None, "_subtest": None, "_cleanups": []}

    def context(self, size: tuple[int, int] = LAPTOP, **options: Any) -> BrowserContext:
        """A browser of its own, that notes what it asks from elsewhere and what breaks."""
        # The service worker is tested in test_dying_server.py: behind it requests cannot be held up one by one.
        known: dict[str, Any] = {"viewport": {"width": size[0], "height": size[1]}, "service_workers": "block"}
        context = chromium().new_context(
            **known, reduced_motion="reduce", **options
        )  # what moves is painted all the time
        context.set_default_timeout(60_000)  # as above
        self.contexts.append(context)
        context.on("request", lambda request: self._note(request.url))
        context.on("weberror", lambda error: self.broken.append(str(error.error)))
        return context

    def _note(self, url: str) -> None:
        if not re.match(r"(data|blob):|http://(localhost|127\.0\.0\.1):", url):
            self.outside.append(url)

    def sign_in(self, who: Person, path: str = "/", size: tuple[int, int] = LAPTOP, **options: Any) -> Page:
        """A page at ``path`` where ``who`` is signed in."""
        page = self.context(size, **options).new_page()
        cookie = signed_in(who).cookies["sessionid"].value
        page.context.add_cookies([{"name": "sessionid", "value": cookie, "url": self.live_server_url}])
        page.goto(self.live_server_url + path)
        return page

    def at_bench(self, size: tuple[int, int] = LAPTOP, **options: Any) -> Page:
        """The student's own bench."""
        page = self.sign_in(self.student, f"/benches/{self.bench.pk}", size, **options)
        page.get_by_text("Bench 1").wait_for()
        return page

    def tearDown(self) -> None:
        for context in self.contexts:
            context.close()
        _until_idle()
        self.assertEqual(self.outside, [], "something was fetched from outside")
        self.assertEqual(self.broken, [], "a script broke")


def _until_idle() -> None:
    """Waits for requests still being answered: emptying the tables under them would end in a deadlock."""
    busy = "select count(*) from pg_stat_activity where datname = current_database() and state <> 'idle'"
    quiet, deadline = 0, time.monotonic() + 10
    while quiet < 4 and time.monotonic() < deadline:
        with connection.cursor() as cursor:
            cursor.execute(f"{busy} and pid <> pg_backend_pid()")
            quiet = quiet + 1 if cursor.fetchone() == (0,) else 0
        time.sleep(0.03)


def give_file(page: Page, name: str, text: str) -> None:
    """Chooses a file of that text in the page's file field (not the camera's)."""
    page.locator("input[type=file]:not([accept^=image])").set_input_files(
        FilePayload(name=name, mimeType="text/plain", buffer=text.encode())
    )


def unfold(page: Page, title: str) -> None:
    """Opens what is folded under ``title``."""
    page.locator("summary", has_text=title).click()


def done(page: Page, times: int = 1) -> None:
    """Ticks steps off. A busy Chromium may lose a click between press and release: whoever sees that nothing happened
    clicks again.
    """
    for _ in range(times):
        heading, tick = page.locator("main h1").inner_text(), page.get_by_role("button", name="Done, go on")
        tick.click()
        try:
            expect(page.locator("main h1")).not_to_have_text(heading, timeout=6000)
        except AssertionError:
            tick.click()
            expect(page.locator("main h1")).not_to_have_text(heading)


def save_plan(page: Page) -> None:
    """Saves the plan on the page. What is foreseen comes later and moves the button, so it is pressed by its key: a
    click is lost where the mouse goes down on a button and up beside it.
    """
    save = page.get_by_role("button", name="Save the plan")
    expect(save).to_be_enabled()
    save.press("Enter")
    expect(save).to_be_hidden()


def reading(page: Page, text: str, title: str) -> None:
    """Types a reading into the field in hand and keeps it with Enter."""
    expect(page.locator("main h1")).to_have_text(title)
    page.keyboard.type(text)
    page.get_by_text("Keep.", exact=True).wait_for()
    page.keyboard.press("Enter")


def trial(page: Page, number: int, start: str, end: str, seen: str = "The colour held for 30 s") -> None:
    """A whole trial from flask to end reading."""
    done(page)
    reading(page, start, f"Burette, start, trial {number}")
    page.get_by_role("button", name=seen).click()
    reading(page, end, f"Burette, end, trial {number}")
