"""Changes in the prep room: a solution made, its number written where it counts, a line ticked."""

from collections.abc import Mapping
from datetime import timedelta

from django.db import transaction
from django.utils import timezone

from chromata_core.planning.recipe import Recipe, recipe
from chromata_core.planning.shelf import left_after
from chromata_core.planning.solutions import Solution
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Sheet
from config.errors import Refused
from labs.actions import note
from labs.declared import method_of
from labs.instruments import stock_of
from labs.locking import lock
from labs.models import Session
from notebook.board import write_on_board
from people.models import Person
from preparation.models import Made, Ready
from preparation.promised import shelf_for
from preparation.standing import keys_of, on_the_board, solution_for
from stock.models import Bottle
from stock.shelf import put_on_shelf, said_of


@transaction.atomic
def make(
    session: Session,
    person: Person,
    key: str,
    bottle: int | None,
    measured: Mapping[str, str],
    lead: str,
    into_plan: bool,
    keep: bool,
) -> Made:
    """Writes down that a solution of ``session`` was made, with what was really measured; takes it out of the bottle;
    ``lead`` is the recipe that was looked at; ``into_plan``: its number counts from now on; ``keep``: it stands on the
    shelf as a bottle of its own.

    Refused for a line that the plan does not have, ReadingError for what an instrument cannot show.
    """
    lock(session)
    _not_over(session)
    solution = solution_for(session, key)
    how = recipe(solution, shelf_for(session), bottle, measured) if solution else None
    if solution is None or how is None or not how.result:
        raise Refused("The plan was changed: this solution is not needed any more, or cannot be made. Load it again.")
    if bottle is not None and how.bottle != bottle:
        raise Refused("That bottle is not there any more, or does not serve. Load the recipe again.")
    if lead and lead != how.lead:
        raise Refused(f"The recipe was changed in the meantime: {how.lead}. Load it again, and look at what was done.")
    missing = [asked.label.lower() for asked in how.asked if not measured.get(asked.key, "").strip()]
    if missing:
        raise Refused(f"Write what was really measured: {', '.join(missing)}.", 422)
    told = _told(how, measured)
    source = Bottle.objects.select_for_update().filter(pk=how.bottle).first()
    alike = session.made.filter(key=key, by=person, bottle=source, lead=how.lead[:300], measured=told)
    if (twice := alike.filter(at__gte=timezone.now() - _TWICE).first()) is not None:
        return twice  # a second click, or a network that sent it again
    row = Made.objects.create(
        session=session, key=key, title=how.title[:200], lead=how.lead[:300], bottle=source,
        measured=told,
        result=how.result, value=how.value, limit=how.limit, by=person,
    )  # fmt: skip
    if source is not None:
        source.amount = left_after(said_of(source), how.needs)
        source.save(update_fields=["amount"])
    if into_plan and how.feeds:
        _near(solution, how)
        _write_number(session, person, how)
    if keep:
        _keep(solution, how)
    note(session, person, f"made {how.title}: {how.result}")
    return row


_TWICE = timedelta(seconds=10)
_FAR = 0.25  # further from the plan than anybody means it


def _near(solution: Solution, how: Recipe) -> None:
    if abs(float(how.value) / (solution.concentration * solution.equivalents / 1000) - 1) > _FAR:
        raise Refused(
            f"That comes to {how.result}, and the plan asks for {solution.stated}. Look at what was weighed or "
            "measured; if it is meant so, change the plan itself."
        )


def _told(how: Recipe, measured: Mapping[str, str]) -> dict[str, str]:
    """With its unit, as it is read later."""
    texts = {asked.key: measured[asked.key].strip() for asked in how.asked}
    units = {asked.key: asked.unit for asked in how.asked}
    return {key: text if text.endswith(units[key]) else f"{text} {units[key]}" for key, text in texts.items()}


def _not_over(session: Session) -> None:
    if session.state not in (Session.State.PLANNED, Session.State.OPEN):
        raise Refused(f"“{session.title}” is {session.state}: nothing is prepared for it any more.")


def _write_number(session: Session, person: Person, how: Recipe) -> None:
    if session.state == Session.State.OPEN:
        if not on_the_board(session, how.feeds):
            raise Refused("The session has begun, and this number is no label of a bottle: it stays as it was planned.")
        write_on_board(session, person, how.feeds, f"{how.value} ± {how.limit}")
        return
    session.options = {**session.options, how.feeds: how.value, f"{how.feeds}.limit": how.limit}
    bind(method_of(session), Sheet(session.options, session.instruments, stock=stock_of(session)))
    session.revision += 1
    session.save(update_fields=["options", "revision"])


def _keep(solution: Solution, how: Recipe) -> None:
    until = timezone.localdate() + timedelta(days=how.keeps)
    put_on_shelf(
        {
            "name": solution.reagent.name, "formula": solution.formula, "amount": how.filled,
            "strength": f"{how.molar} mol/L",
            "limit": f"{how.molar_limit} mol/L", "density": "", "until": until.isoformat(), "place": "",
        }
    )  # fmt: skip


@transaction.atomic
def tick(session: Session, person: Person, key: str, ready: bool) -> None:
    """Ticks a line of the session's list off, or takes the tick away. Refused for a line that is not there."""
    _not_over(session)
    if key not in keys_of(session):
        raise Refused("The plan was changed: this line is not on its list any more. Load it again.")
    if ready:
        Ready.objects.get_or_create(session=session, key=key, defaults={"by": person})
    else:
        Ready.objects.filter(session=session, key=key).delete()
