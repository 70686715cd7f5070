"""A person who does at a bench what its sentence says, through the screen, from the first step to the last."""

import re
import time
from collections.abc import Callable, Collection, Mapping

from playwright.sync_api import Page, expect

from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import Observation, Reading
from chromata_core.engine.context import context_of
from chromata_core.judging.answers import right_choices
from chromata_core.methods.registry import method
from chromata_core.telling.outcome import Hand
from e2e.browser import BrowserCase
from labs import actions
from labs.models import Bench
from labs.tests.room import WHEN, entry, evaluated, signed_in
from labs.tests.room import write as write_entries
from notebook.handed import sheet_of
from notebook.standing import entries_of

Mistake = Callable[[Page], None]
KEEP = re.compile(r"^Keep (reading|this line)$")
_VERDICT = re.compile(r"^(Keep|Look again|Repeat|Stop|Cannot be kept)\.$")


def _do(page: Page, hand: Hand, bench: Bench, text: str) -> None:
    part = _part(hand, bench)
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


def _again(
    hand: Hand, bench: Bench, texts: Mapping[Place, str], mistakes: Collection[Place], shown: set[str]
) -> dict[str, object] | None:
    """The entry for what is in hand, if the screen has shown its like once and no mistake is made with it."""
    slot = Place(hand.key, hand.trial, hand.index)
    if hand.key not in shown or slot in mistakes:
        return None
    part = _part(hand, bench)
    if isinstance(part, Observation):
        text = _chosen(part, hand, bench, texts.get(slot, ""))
    else:
        text = "done" if hand.kind == "tick" else texts.get(slot, "") if part else ""
    return entry(hand.key, text, hand.trial, index=hand.index) if text else None


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
    """What stands on the choice."""
    at = context_of(method(bench.session.method), sheet_of(bench, entries_of(bench)))
    place = [choice.key for choice in part.choices].index(_chosen(part, hand, bench, text))
    return hand.labels[place] if hand.labels else at.bound.worded(part.choices[place].label)


def _chosen(part: Observation, hand: Hand, bench: Bench, text: str) -> str:
    """The choice of the example, the right one, or else the first."""
    at = context_of(method(bench.session.method), sheet_of(bench, entries_of(bench)))
    return text or next(iter(right_choices(at, part, hand.trial)), part.choices[0].key)


def _part(hand: Hand, bench: Bench) -> Reading | Observation | None:
    return next((part for part in method(bench.session.method).readings if part.key == hand.key), None)


def write(page: Page, text: str) -> None:
    """Types over whatever stands in the field in hand, and waits for the word about it."""
    page.locator("main input").first.fill(text)
    page.locator("main").get_by_text(_VERDICT).first.wait_for()


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
        page.get_by_text(says).first.wait_for()

    return make


class BenchCase(BrowserCase):
    """A session of one bench, opened in the browser and worked from its method's example."""

    def bench_of(self, slug: str, options: dict[str, str] | None = None, **tools: str) -> tuple[Page, Bench]:
        chosen = {**method(slug).example.options, **(options or {})}
        session = actions.plan_session(self.section, slug, slug, "Room 1", WHEN, 90, chosen, tools, 1, [])
        actions.open_session(session)
        self.bench = bench = session.benches.select_related("session").get()
        page = self.sign_in(self.student, f"/benches/{bench.pk}")
        page.get_by_text("Bench 1").wait_for()
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

    def _from_another_device(self, page: Page, bench: Bench, again: Callable[[Hand], dict[str, object] | None]) -> None:
        """Writes as long as there is something to write ``again``; then the person comes back to the page."""
        device, before = signed_in(self.student), bench.entries.count()
        while (sent := again(evaluated(bench).hand)) is not None:
            write_entries(device, bench, sent)
            bench.refresh_from_db()
        if bench.entries.count() > before:
            page.evaluate("window.dispatchEvent(new Event('visibilitychange'))")

    def follow(self, page: Page, bench: Bench, mistakes: Mapping[Place, Mistake]) -> None:
        """Works the bench with the readings of its method's example; at a slot of ``mistakes`` that is done first.

        A mistake ends where its reading is typed right but not kept yet, or where something else is next. What was done
        on the screen once comes, in later rows and trials, from another device of the team: the screen goes on there.
        """
        declared = method(bench.session.method)
        texts: dict[Place, str] = {(key, trial, index): text for key, trial, index, text in declared.example.readings}
        mistakes_left, shown = dict(mistakes), set[str]()
        for _ in range(200):
            self._from_another_device(page, bench, lambda hand: _again(hand, bench, texts, mistakes, shown))
            hand = _in_step(page, bench)
            if hand.kind in ("finished", "answer"):
                return
            slot = (hand.key, hand.trial, hand.index)
            before = bench.entries.count()
            shown.add(hand.key)
            if slot in mistakes_left:
                mistakes_left.pop(slot)(page)
            if _at_hand(page, hand):  # the server may not have it yet
                before = bench.entries.count()  # a mistake may have written something of its own
                _do(page, hand, bench, texts.get(slot, ""))
            _kept(bench, before)
        raise AssertionError(f"{declared.slug}: the bench does not come to an end")
