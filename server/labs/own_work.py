"""What students of a session work out themselves, and what they see before."""

from collections.abc import Mapping
from typing import Any

from chromata_core.declaration.own_work import OwnWork
from chromata_core.telling.outcome import Evaluation
from chromata_core.telling.veil import veiled
from labs.declared import method_of
from labs.models import Session
from labs.policy import may_see_worked
from people.models import Person


def own_work_of(session: Session) -> OwnWork:
    """As it was planned."""
    return chosen_work(session.own_work)


def chosen_work(chosen: Mapping[str, Any]) -> OwnWork:
    """What a plan holds of it; nothing of it: what a method asks by itself, and everything shows at once."""
    return OwnWork(**{**chosen, "lines": tuple(chosen.get("lines", ()))})


def as_seen(evaluation: Evaluation, session: Session, person: Person) -> Evaluation:
    """``evaluation`` as ``person`` may see it."""
    return veiled(evaluation, method_of(session), own_work_of(session), may_see_worked(person, session))
