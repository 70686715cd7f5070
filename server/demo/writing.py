"""Writes a bench's entries as its team would have: through the same action, a minute or so apart."""

import uuid
from collections.abc import Sequence
from datetime import datetime, timedelta

from chromata_core.simulation.readings import Written
from labs.models import Bench
from notebook.actions import Draft, write
from people.models import Person

# Demo entries have ids that follow from what they are, so that loading twice could not double them.
_NAMESPACE = uuid.UUID("6f0c1f1e-8f5b-4b57-9a3f-2f6f7b0f4c11")


class Pen:
    """A team's pen: each mark is a little later than the one before."""

    def __init__(self, bench: Bench, author: Person, start: datetime, step: timedelta) -> None:
        self.bench, self.author, self.now, self.step = bench, author, start, step
        self.ids: dict[tuple[str, int | None], uuid.UUID] = {}

    def mark(self, key: str, text: str, trial: int | None = None, why: str = "", by: Person | None = None) -> None:
        """Writes one entry; with ``why`` it corrects the one before at the same place."""
        before = self.ids.get((key, trial)) if why else None
        entry = uuid.uuid5(_NAMESPACE, f"{self.bench.pk}/{key}/{trial}/{text}/{self.now.isoformat()}")
        answer = write(
            self.bench,
            by or self.author,
            [Draft(entry, key, text, trial=trial, index=None, written_at=self.now, supersedes=before, reason=why)],
        )
        if not answer[0].kept:
            raise ValueError(f"Demo entry {key} refused: {answer[0].problem}")
        self.ids[(key, trial)] = entry
        self.now += self.step

    def marks(self, written: Sequence[Written]) -> None:
        """Writes many entries at once, one after the other in time."""
        drafts = []
        for reading in written:
            entry = uuid.uuid5(
                _NAMESPACE, f"{self.bench.pk}/{reading.key}/{reading.trial}/{reading.index}/{self.now.isoformat()}"
            )
            drafts.append(
                Draft(
                    entry,
                    reading.key,
                    reading.text,
                    trial=reading.trial,
                    index=reading.index,
                    written_at=self.now,
                    supersedes=None,
                    reason="",
                )
            )
            self.now += self.step
        refused = [kept.problem for kept in write(self.bench, self.author, drafts) if not kept.kept]
        if refused:
            raise ValueError(f"Demo entries refused: {refused}")

    def setup(self, sample: str) -> None:
        """Everything before the first trial."""
        self.mark("step.labels", "done")
        self.mark("step.fill", "done")
        self.mark("V_s", sample)

    def trial(self, number: int, start: str, end: str, seen: str = "held") -> None:
        """A whole trial."""
        self.mark("step.portion", "done", number)
        self.mark("V_start", start, number)
        self.mark("timer.run", "begun", number)
        self.mark("end_point", seen, number)
        self.mark("V_end", end, number)
