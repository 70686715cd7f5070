"""A person who does at a bench what its sentence says, through the screen, from the first step to the last."""

import re
import time
from collections.abc import Callable, Mapping

from playwright.sync_api import Page, expect

from chromata_core.method.outcome import Hand
from chromata_core.method.sheet import Slot
from chromata_core.method.vocabulary import Observation
from chromata_core.methods.registry import method
from labs.live import evaluation_of
from labs.models import Bench

Mistake = Callable[[Page], None]
_VERDICT = re.compile(r"^(Keep|Look again|Repeat|Stop)\.$")


def follow(page: Page, bench: Bench, mistakes: Mapping[Slot, Mistake]) -> None:
    """Works the bench with the readings of its method's example; at a slot of ``mistakes`` that is done first.

    A mistake ends where its reading is typed right but not kept yet, or where something else is next.
    """
    declared = method(bench.session.method)
    texts: dict[Slot, str] = {(key, trial, index): text for key, trial, index, text in declared.example.readings}
    made = dict(mistakes)
    for _ in range(200):
        bench.refresh_from_db()
        hand = evaluation_of(bench, with_accepted=False).hand
        if hand.kind in ("finished", "answer"):
            return
        slot = (hand.key, hand.trial, hand.index)
        expect(page.locator("main h1")).to_have_text(hand.title)
        before = bench.entries.count()
        if slot in made:
            made.pop(slot)(page)
        if bench.entries.count() == before:
            _do(page, hand, bench, texts.get(slot, ""))
        _kept(bench, before)
    raise AssertionError(f"{declared.slug}: the bench does not come to an end")


def _do(page: Page, hand: Hand, bench: Bench, text: str) -> None:
    part = next((p for p in method(bench.session.method).readings if p.key == hand.key), None)
    if isinstance(part, Observation):
        label = next(choice.label for choice in part.choices if choice.key == (text or part.choices[0].key))
        page.get_by_role("button", name=label).click()
    elif hand.kind == "tick":
        page.get_by_role("button", name="Done, go on").click()
    else:
        write(page, text or "1.00")
        expect(page.get_by_role("button", name="Keep reading")).to_be_enabled()
        page.keyboard.press("Enter")


def write(page: Page, text: str) -> None:
    """Types over whatever stands in the field in hand, and waits for the word about it."""
    page.locator("main input").first.fill(text)
    expect(page.locator("main").get_by_text(_VERDICT).first).to_be_visible()


def _kept(bench: Bench, before: int) -> None:
    """Waits until the server has what was just written."""
    deadline = time.monotonic() + 20
    while bench.entries.count() == before:
        if time.monotonic() > deadline:
            raise AssertionError(f"nothing was kept after {before} entries")
        time.sleep(0.03)
