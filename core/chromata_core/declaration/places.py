"""Where something is written: every kind of place of a bench's record, parsed and written in this module alone.

A key is the key of a reading, an observation or a number on a bottle; or one that every method knows: a step ticked,
a wait begun, why a trial does not count, a student's own answer, a closing question answered; or talk between people.
"""

from typing import Literal, NamedTuple

Kind = Literal["part", "tick", "timer", "own", "answer", "void", "talk"]
_OF: dict[str, Kind] = {"step": "tick", "timer": "timer", "own": "own", "answer": "answer"}
_VOID = "void"
TALK = ("call", "message", "seen", "note", "photo")
# These simply begin again; every version stays on the record.
REWRITABLE: frozenset[Kind] = frozenset(("tick", "timer", "own", "answer"))
# No part of a method may be called so.
RESERVED = (*TALK, _VOID, *_OF)


class Place(NamedTuple):
    """A place: what is written there, in which trial (None: once for the bench), and in which row of a series."""

    key: str
    trial: int | None = None
    row: int | None = None

    @property
    def kind(self) -> Kind:
        """Which kind of place it is; ``part`` for everything that a method itself declares."""
        before, dot, _ = self.key.partition(".")
        if dot:
            return _OF.get(before, "part")
        return "void" if self.key == _VOID else "talk" if self.key in TALK else "part"

    @property
    def name(self) -> str:
        """What it is of: the key of a step, a quantity or a part, the number of a question."""
        return self.key if self.kind in ("part", "void", "talk") else self.key.partition(".")[2]


def in_round(place: Place, turn: int | None) -> Place:
    """``place`` in a round of its cycle; in the first one, and outside of cycles, it has no number."""
    return place if turn in (None, 1) else place._replace(row=turn)


def tick(step: str, trial: int | None = None, turn: int | None = None) -> Place:
    """Where ``step`` is ticked off."""
    return in_round(Place(f"step.{step}", trial), turn)


def timer(step: str, trial: int | None = None, turn: int | None = None) -> Place:
    """Where the wait of ``step`` is begun."""
    return in_round(Place(f"timer.{step}", trial), turn)


def own(quantity: str, trial: int | None = None) -> Place:
    """Where a student's own ``quantity`` is written."""
    return Place(f"own.{quantity}", trial)


def answer(number: int) -> Place:
    """Where closing question ``number`` is answered, from 1."""
    return Place(f"answer.{number}")


def void(trial: int) -> Place:
    """Where is said why ``trial`` does not count; “no” takes it back."""
    return Place(_VOID, trial)
