"""Every view, light and dark, wide and narrow: nothing broken, nothing cut off, WCAG 2.2 AA by axe."""

import gzip
import pickle
import re
from pathlib import Path
from typing import Any

from django.conf import settings
from playwright.sync_api import Page, expect

from e2e.browser import LAPTOP, PHONE, BrowserCase
from experiments.actions import begin
from labs import actions
from labs.tests.room import WHEN, filled, signed_in, titrate

AXE = Path(settings.ROOT) / "web/node_modules/axe-core/axe.min.js"
RULES = ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"]
DIST = Path(settings.ROOT) / "web/dist"
BUDGET_KB = 210
CHAPTERS = ("what", "readings", "run")


class EveryView(BrowserCase):
    def setUp(self) -> None:
        super().setUp()
        self.own = begin(self.instructor, "hydrate", "Our crystals", "")
        asked = {"tasks": ["plan_line_1", "effect-oxide", "effect-trapped-air"], "questions": ["Why?"]}
        self.ahead = actions.plan_session(
            self.section, "gas-eudometer", "Ribbon", "Room 2", WHEN, 90, {}, {}, 2, [], prelab=asked
        )
        titrate(signed_in(self.student), self.bench, ("0.24", "21.78"), ("0.10", "21.87"))

    def views(self) -> list[tuple[Any, str, str]]:
        """Who, where, and a text that shows that the view is there."""
        own = self.own.slug
        shared = {"T_plan": "22; 40; 60; 70", "baths": "2"}
        rates, warm = (
            actions.plan_session(self.section, "rate-temperature", "Rates", "Room 1", WHEN, 90, shared, {}, 8, [])
            for _ in range(2)
        )
        actions.open_session(warm)
        bench, session, pipette = self.bench.pk, self.session.pk, filled(self.section, "volumetric-calibration").pk
        return [
            (self.instructor, "/", "Running now"),
            (self.instructor, "/methods", "Method book"),
            (self.instructor, "/methods/acid-base-titration", "The computation"),
            (self.instructor, "/methods/hydrate", "The computation"),
            (self.instructor, "/choices", "Molar masses"),
            (self.instructor, "/methods/acid-base-titration/history", "Nothing like it was held before."),
            (self.instructor, "/stock", "On the shelf"),
            (self.instructor, "/week?day=2026-03-02", "to do"),
            (self.instructor, "/desk?at=titration", "Equivalence"),
            (self.instructor, f"/benches/{pipette}/report", "Accuracy and precision"),
            (self.instructor, f"/benches/{pipette}", "Accuracy and precision"),
            (self.instructor, "/plan", "What to expect"),
            (self.instructor, "/sections/archive", "Choose the file"),
            (self.instructor, "/scenes", "Read a burette"),
            (self.instructor, "/practice", "No student has practised yet"),
            (self.student, "/practice?kind=scales&of=ammeter-0.6", "What does it show?"),
            (self.student, "/practice?kind=hunts&of=hydrate", "What went wrong?"),
            (self.instructor, f"/sessions/{session}", "Who stands where"),
            (self.instructor, f"/sessions/{session}/floor", "Needs you now"),
            (self.instructor, f"/sessions/{session}/class", "Bench by bench"),
            (self.student, f"/benches/{bench}/import", "Paste it, or choose a file"),
            (self.student, "/before", "0 of 4"),
            (self.student, f"/sessions/{self.ahead.pk}/before", "Safety first"),
            (self.instructor, f"/sessions/{self.ahead.pk}", "are ready"),
            (self.instructor, f"/sessions/{rates.pk}", "Who is where, when"),
            (self.instructor, f"/sessions/{warm.pk}/floor", "Who is where, and who comes next"),
            (self.instructor, "/plan?method=rate-temperature", "Who is where, when"),
            (self.instructor, f"/benches/{bench}/report", "Uncertainty budget"),
            (self.student, f"/benches/{bench}", "What limits the result"),
            *((self.instructor, f"/experiments/{own}?chapter={c}", "Can it be used?") for c in CHAPTERS),
        ]

    def problems(self, page: Page, only: list[str]) -> list[str]:
        violations = page.evaluate("only => axe.run({runOnly: only})", only)["violations"]
        return [f"{v['id']}: {v['nodes'][0]['html'][:120]} {v['nodes'][0]['failureSummary'][:200]}" for v in violations]

    def test_each_is_accessible_in_light_and_dark_and_fits_a_phone(self) -> None:
        """Of what axe looks at only the contrast hangs on the colours."""
        pages = {who.pk: self.sign_in(who) for who in (self.instructor, self.student)}
        for who, path, text in self.views():
            page = pages[who.pk]
            page.set_viewport_size({"width": LAPTOP[0], "height": LAPTOP[1]})
            page.emulate_media(color_scheme="light")
            page.goto(self.live_server_url + path)
            page.get_by_text(text).first.wait_for()
            page.evaluate(AXE.read_text())
            with self.subTest(path, scheme="light"):
                self.assertEqual(self.problems(page, RULES), [])
                self.assertNotRegex(page.inner_text("body"), r"NaN|undefined|\[object|null\b")
            page.emulate_media(color_scheme="dark")
            with self.subTest(path, scheme="dark"):
                self.assertEqual(self.problems(page, ["color-contrast"]), [])
            page.set_viewport_size({"width": PHONE[0], "height": PHONE[1]})
            with self.subTest(path, device="phone"):
                page.wait_for_function(f"document.documentElement.scrollWidth <= {PHONE[0]}")  # once it has turned over

    def test_the_bench_loads_little_script(self) -> None:
        page = self.sign_in(self.student, f"/benches/{self.bench.pk}")
        expect(page.get_by_text("What limits the result")).to_be_visible()
        names = page.evaluate("performance.getEntriesByType('resource').map(e => e.name)")
        scripts = {re.sub(r".*/static/", "", name) for name in names if name.endswith(".js")}
        self.assertTrue(scripts)
        size = sum(len(gzip.compress((DIST / name).read_bytes())) for name in scripts) / 1000
        self.assertLessEqual(size, BUDGET_KB, f"{size:.0f} kB gzip of script for the bench")

    def test_what_fails_here_can_be_told_to_the_runner(self) -> None:
        """Django sends a failed sub-test between processes when its test is over; one that cannot go stops the run."""
        self.sign_in(self.student)
        self.assertEqual(pickle.loads(pickle.dumps(self)).id(), self.id())

    def test_an_address_of_nothing_is_answered_with_a_sentence(self) -> None:
        page = self.sign_in(self.student, f"/benches/{self.other_bench.pk}")
        expect(page.get_by_text("There is nothing here under that address.")).to_be_visible()
