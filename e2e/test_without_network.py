"""The real server, killed; the real service worker: a bench opens, is written on, and sends it once all is back."""

import os
import signal
import time

from playwright.sync_api import Page, expect

from e2e.browser import LAPTOP, chromium
from e2e.served import Served


class WithoutServer(Served):
    def at_the_bench(self) -> Page:
        context = chromium().new_context(viewport={"width": LAPTOP[0], "height": LAPTOP[1]})
        self.addCleanup(context.close)
        page = context.new_page()
        page.goto(self.url("/"))
        page.get_by_role("button", name="Noor Amadi").click()
        expect(page.get_by_text("All saved")).to_be_visible()
        page.evaluate("navigator.serviceWorker.ready.then(() => true)")
        page.reload()  # now the worker has the page
        expect(page.get_by_text("All saved")).to_be_visible()
        page.wait_for_timeout(1500)  # what was seen is written down half a second after it was
        return page

    def noted(self, page: Page, text: str) -> None:
        page.keyboard.press("o")
        page.get_by_role("dialog").get_by_role("textbox").fill(text)
        page.get_by_role("dialog").get_by_role("button", name="Keep").click()

    def test_the_bench_opens_is_written_on_and_sends_once(self) -> None:
        page = self.at_the_bench()
        heading = page.locator("main h1").inner_text()
        address = page.url
        self.stop()
        self.noted(page, "The server is gone")
        expect(page.get_by_text("No network: 1 kept here")).to_be_visible()
        page.close()  # the tab is killed
        again = page.context.new_page()
        again.goto(address)
        expect(again.locator("main h1")).to_have_text(heading)
        expect(again.get_by_text("No network: 1 kept here")).to_be_visible()
        self.noted(again, "Still gone")
        expect(again.get_by_text("No network: 2 kept here")).to_be_visible()
        self.start()
        expect(again.get_by_text("All saved")).to_be_visible(timeout=30_000)
        answer = again.evaluate("fetch('/api' + location.pathname + '/entries').then((r) => r.json())")
        texts = [entry["text"] for entry in answer if entry["key"] == "note"]
        self.assertEqual(texts[-2:], ["The server is gone", "Still gone"])
        self.assertEqual(len([text for text in texts if "gone" in text]), 2)

    def texts(self, page: Page) -> list[str]:
        answer = page.evaluate("fetch('/api' + location.pathname + '/entries').then((r) => r.json())")
        return [entry["text"] for entry in answer if entry["key"] == "note"]

    def test_with_the_database_killed_what_is_written_waits_and_is_sent_once(self) -> None:
        page = self.at_the_bench()
        os.kill(self.postmaster(), signal.SIGKILL)
        self.noted(page, "No database")
        expect(page.get_by_text("1 kept here")).to_be_visible()
        page.reload()
        expect(page.get_by_text("1 kept here")).to_be_visible()
        self.noted(page, "Still none")
        expect(page.get_by_text("2 kept here")).to_be_visible()
        self.pg("start")
        expect(page.get_by_text("All saved")).to_be_visible(timeout=60_000)
        self.assertEqual(self.texts(page)[-2:], ["No database", "Still none"])

    def test_an_hour_asleep_without_network(self) -> None:
        page = self.at_the_bench()
        page.clock.install()
        page.reload()
        expect(page.get_by_text("All saved")).to_be_visible()
        page.context.set_offline(True)
        self.noted(page, "Before sleep")
        expect(page.get_by_text("1 kept here")).to_be_visible()
        lid = page.context.new_cdp_session(page)
        lid.send("Page.setWebLifecycleState", {"state": "frozen"})
        time.sleep(1)
        lid.send("Page.setWebLifecycleState", {"state": "active"})
        page.clock.fast_forward("01:00:00")
        self.noted(page, "After sleep")
        expect(page.get_by_text("2 kept here")).to_be_visible()
        page.context.set_offline(False)
        page.clock.fast_forward("00:30")
        expect(page.get_by_text("All saved")).to_be_visible(timeout=30_000)
        self.assertEqual(self.texts(page)[-2:], ["Before sleep", "After sleep"])

    def test_who_signs_out_leaves_nothing_to_be_seen(self) -> None:
        page = self.at_the_bench()
        page.goto(self.url("/methods"))
        page.get_by_role("button", name="Sign out").click()
        expect(page.get_by_role("heading", name="Join your section")).to_be_visible()
        page.wait_for_timeout(1000)
        self.stop()
        page.reload()
        expect(page.get_by_text("Noor Amadi")).to_have_count(0)
        self.start()
