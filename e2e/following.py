"""A person who does at a bench what its sentence says, through the screen, from the first step to the last."""

import re
import time
from collections.abc import Callable, Mapping

from playwright.sync_api import Page, expect

from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import Observation
from chromata_core.engine.context import context_of
from chromata_core.judging.answers import right_choices
from chromata_core.methods.registry import method
from chromata_core.telling.outcome import Hand
from e2e.browser import BrowserCase
from labs import actions
from labs.models import Bench
from labs.tests.room import WHEN, evaluated
from notebook.handed import sheet_of
from notebook.standing import entries_of

Mistake = Callable[[Page], None]
KEEP = re.compile(r"^Keep (reading|this line)$")
_VERDICT = re.compile(r"^(Keep|Look again|Repeat|Stop|Cannot be kept)\.$")


def _do(page: Page, hand: Hand, bench: Bench, text: str) -> None:
    part = next((p for p in method(bench.session.method).readings if p.key == hand.key), None)
    if isinstance(part, Observation):
        touch(page, bench, _label(part, hand, bench, text))
    elif hand.kind == "tick":
        page.get_by_role("button", name="Done, go on").click()
    else:
        if hand.kind == "own":  # it is judged once it is kept
            page.locator("main input").first.fill(text or "1.00")
        else:
            write(page, text or "1.00")
        expect(page.get_by_role("button", name=KEEP)).to_be_enabled()
        page.keyboard.press("Enter")


def touch(page: Page, bench: Bench, label: str) -> None:
    """Chooses what is seen. A busy Chromium may lose a click between press and release: whoever sees that nothing
    happened touches it again.
    """
    before, choice = bench.entries.count(), page.get_by_role("button", name=label, exact=True)
    choice.click()
    deadline = time.monotonic() + 5
    while bench.entries.count() == before and time.monotonic() < deadline:
        time.sleep(0.05)
    if bench.entries.count() == before and choice.is_visible():
        choice.click()


def _label(part: Observation, hand: Hand, bench: Bench, text: str) -> str:
    """What stands on the choice: the one of the example, the right one, or else the first."""
    at = context_of(method(bench.session.method), sheet_of(bench, entries_of(bench)))
    keys = [choice.key for choice in part.choices]
    place = keys.index(text or next(iter(right_choices(at, part, hand.trial)), keys[0]))
    return hand.labels[place] if hand.labels else at.bound.worded(part.choices[place].label)


def write(page: Page, text: str) -> None:
    """Types over whatever stands in the field in hand, and waits for the word about it."""
    page.locator("main input").first.fill(text)
    expect(page.locator("main").get_by_text(_VERDICT).first).to_be_visible()


def _in_step(page: Page, bench: Bench) -> Hand:
    """What is next, once screen and server say the same: either may be an entry ahead of the other for a moment."""
    deadline = time.monotonic() + 20
    while True:
        bench.refresh_from_db()
        hand = evaluated(bench).hand
        if hand.kind in ("finished", "answer") or _at_hand(page, hand):
            return hand
        if time.monotonic() > deadline:
            expect(page.locator("main h1")).to_have_text(hand.title)
        time.sleep(0.05)


def _at_hand(page: Page, hand: Hand) -> bool:
    """Whether the screen has it in hand: a line of a worksheet by its field, everything else by the heading."""
    if hand.kind == "own":
        return page.get_by_role("textbox", name=hand.title).is_visible()
    return page.locator("main h1").inner_text().strip() == hand.title


def _kept(bench: Bench, before: int) -> None:
    """Waits until the server has what was just written."""
    deadline = time.monotonic() + 20
    while bench.entries.count() == before:
        if time.monotonic() > deadline:
            raise AssertionError(f"nothing was kept after {before} entries")
        time.sleep(0.03)


def offered(page: Page, what: str) -> None:
    """Takes in hand what is made only if needed."""
    page.get_by_role("button", name=re.compile(f"^If needed: {what}")).click()
    expect(page.locator("main h1")).to_have_text(re.compile(f"^{what}", re.IGNORECASE))


def looked_at(wrong: str, says: str) -> Mistake:
    """A wrong number is typed, what is said of it is read; it is not kept."""

    def make(page: Page) -> None:
        write(page, wrong)
        expect(page.get_by_text(says).first).to_be_visible()

    return make


class BenchCase(BrowserCase):
    """A session of one bench, opened in the browser and worked from its method's example."""

    def bench_of(self, slug: str, options: dict[str, str] | None = None, **tools: str) -> tuple[Page, Bench]:
        chosen = {**method(slug).example.options, **(options or {})}
        session = actions.plan_session(self.section, slug, slug, "Room 1", WHEN, 90, chosen, tools, 1, [])
        actions.open_session(session)
        self.bench = bench = session.benches.select_related("session").get()
        page = self.sign_in(self.student, f"/benches/{bench.pk}")
        expect(page.get_by_text("Bench 1")).to_be_visible()
        return page, bench

    def keep(self, page: Page, text: str) -> None:
        """Types ``text``, keeps it, and waits until server and screen stand at what comes next."""
        before = self.bench.entries.count()
        write(page, text)
        expect(page.get_by_role("button", name=KEEP)).to_be_enabled()
        page.keyboard.press("Enter")
        _kept(self.bench, before)
        _in_step(page, self.bench)

    def typed(self, text: str) -> Mistake:
        """The reading, kept."""
        return lambda page: self.keep(page, text)

    def follow(self, page: Page, bench: Bench, mistakes: Mapping[Place, Mistake]) -> None:
        """Works the bench with the readings of its method's example; at a slot of ``mistakes`` that is done first.

        A mistake ends where its reading is typed right but not kept yet, or where something else is next.
        """
        declared = method(bench.session.method)
        texts: dict[Place, str] = {(key, trial, index): text for key, trial, index, text in declared.example.readings}
        made = dict(mistakes)
        for _ in range(200):
            hand = _in_step(page, bench)
            if hand.kind in ("finished", "answer"):
                return
            slot = (hand.key, hand.trial, hand.index)
            before = bench.entries.count()
            if slot in made:
                made.pop(slot)(page)
            if _at_hand(page, hand):  # the server may not have it yet
                before = bench.entries.count()  # a mistake may have written something of its own
                _do(page, hand, bench, texts.get(slot, ""))
            _kept(bench, before)
        raise AssertionError(f"{declared.slug}: the bench does not come to an end")
