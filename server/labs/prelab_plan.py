"""What a plan asks of students before class."""

from collections.abc import Mapping
from typing import Any

from chromata_core.declaration.prelab import Prelab, prelab_problems
from chromata_core.declaration.vocabulary import Method
from chromata_core.errors import SheetError
from chromata_core.prelab.tasks import offered
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Sheet
from labs.models import Session


def prelab_of(session: Session) -> Prelab:
    """As it was planned."""
    return chosen_prelab(session.prelab)


def chosen_prelab(chosen: Mapping[str, Any]) -> Prelab:
    """What a plan holds of it; nothing of it: nothing is asked."""
    lists = {name: tuple(chosen.get(name, ())) for name in ("tasks", "questions")}
    return Prelab(**{**chosen, **lists})


def must_offer(method: Method, plan: Sheet, asked: Prelab) -> None:
    """SheetError for a ``plan`` that does not fit its method, or asks before class what it does not offer."""
    bound = bind(method, plan)
    keys = [task.key for task in offered(bound, plan)] if asked.tasks else []
    if problems := prelab_problems(asked, keys):
        raise SheetError(problems)
