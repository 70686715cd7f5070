"""Benches of another shape than a plain titration, from first to last reading, with one mistake made and mended."""

from typing import Any

from playwright.sync_api import Page, expect

from e2e.browser import BrowserCase, done, reading
from labs import actions
from labs.models import Bench
from labs.tests.room import WHEN


def reading_with(page: Page, text: str, title: str, verdict: str) -> None:
    """Types a reading whose verdict is not simply Keep, and keeps it all the same."""
    expect(page.locator("main h1")).to_have_text(title)
    page.keyboard.type(text)
    expect(page.get_by_text(verdict, exact=True)).to_be_visible()
    page.keyboard.press("Enter")


class OtherShapes(BrowserCase):
    def bench_of(self, slug: str, options: dict[str, str], samples: list[dict[str, Any]]) -> tuple[Page, Bench]:
        session = actions.plan_session(self.section, slug, "Another", "Room 1", WHEN, 90, options, {}, 1, samples)
        actions.open_session(session)
        bench = session.benches.get()
        page = self.sign_in(self.student, f"/benches/{bench.pk}")
        expect(page.get_by_text("Bench 1")).to_be_visible()
        return page, bench

    def test_a_crucible_is_heated_to_constant_mass(self) -> None:
        page, bench = self.bench_of("hydrate", {}, [{"name": "Blue salt", "accepted": {"x": "5"}}])
        done(page)
        reading(page, "31.482", "Crucible and lid, crucible 1")
        reading(page, "34.556", "Crucible, lid and hydrate, crucible 1")
        expect(page.get_by_role("button", name="Start the timer: Heating")).to_contain_text("5:00")
        expect(page.get_by_text("A hot crucible looks like a cold one")).to_be_visible()
        page.get_by_role("button", name="Plain flame").click()
        reading_with(page, "33.501", "After heating 1, crucible 1", "Repeat.")
        expect(page.locator("main h1")).to_have_text("Heat, round 2, crucible 1")
        page.get_by_role("button", name="Plain flame").click()
        # the mistake: the last digit of the display left out, asked for, written after all
        expect(page.locator("main h1")).to_have_text("After heating 2, crucible 1")
        page.keyboard.type("33.45")
        expect(page.get_by_text("33.45 on a balance: 33.450?")).to_be_visible()
        page.keyboard.press("Backspace")
        page.keyboard.type("49")
        expect(page.get_by_text("Not constant yet: changed by −0.052 g.")).to_be_visible()
        page.keyboard.press("Enter")
        expect(page.get_by_role("button", name="Start the timer: Heating")).to_contain_text("2:00")
        page.get_by_role("button", name="Plain flame").click()
        expect(page.locator("main h1")).to_have_text("After heating 3, crucible 1")
        page.keyboard.type("33.447")
        expect(page.get_by_text("Constant: changed by −0.002 g.")).to_be_visible()
        page.keyboard.press("Enter")
        page.get_by_role("button", name="Dry").click()
        expect(page.get_by_text("Water in the hydrate")).to_be_visible()
        expect(page.get_by_text("36.08").first).to_be_visible()
        self.assertEqual(bench.entries.filter(key="m_heated").count(), 3)
