"""How far a session's preparation is: its list with what was made and ticked."""

from collections.abc import Mapping
from datetime import timedelta

from django.utils import timezone

from chromata_core.declaration.options import bottles
from chromata_core.planning.recipe import Recipe, recipe
from chromata_core.planning.shelf import Shelf
from chromata_core.planning.solutions import Solution
from chromata_core.planning.supplies import SPARE
from labs.declared import method_of
from labs.models import Session
from labs.term import session_card
from people.models import Person
from preparation.models import Made, Ready
from preparation.needs import (
    at_the_same_time,
    counted,
    elsewhere_of,
    pieces_for,
    shortage,
    solutions_for,
    switched_on_for,
    weighed_for,
)
from preparation.promised import shelf_for
from preparation.shapes import MadeOut, Preparation, ToMake, ToSetOut, ToSwitchOn


def preparation_of(session: Session, person: Person) -> Preparation:
    """All that has to be made and set out for ``session``, as it stands now."""
    places = session.benches.values("number").distinct().count()
    return Preparation(
        session_card(session), places, round((SPARE - 1) * 100), to_make(session), to_set_out(session),
        weighed_for(session), to_switch_on(session), method_of(session).waste,
        person.teaches and session.state in _NOT_OVER,
    )  # fmt: skip


_NOT_OVER = (Session.State.PLANNED, Session.State.OPEN)


def to_make(session: Session, there: Shelf | None = None) -> list[ToMake]:
    """Its solutions with their recipes from what is ``there``, and how those came out that were made."""
    shelf, ticked = there or shelf_for(session), _ticked(session)
    made = {one.key: one for one in session.made.select_related("by")}
    return [
        ToMake(recipe(solution, shelf), _made(made.get(solution.key)), solution.key in ticked or solution.key in made)
        for solution in solutions_for(session)
    ]


def to_set_out(session: Session) -> list[ToSetOut]:
    """Its pieces against what is there, and what others want at the same time."""
    have, ticked, others = counted(), _ticked(session), elsewhere_of(at_the_same_time(session))
    pieces = pieces_for(session)
    own = {piece.slug: piece.needed for piece in pieces}
    places = session.benches.values("number").distinct().count()
    return [
        ToSetOut(
            f"piece:{piece.slug}", piece.name, piece.needed, shared=piece.shared, there=have.get(piece.slug),
            short=shortage(piece, have, others, own, places), ready=f"piece:{piece.slug}" in ticked,
        )
        for piece in pieces
    ]  # fmt: skip


def to_switch_on(session: Session) -> list[ToSwitchOn]:
    """When each is switched on, so that it is warm in time."""
    ticked = _ticked(session)
    return [
        ToSwitchOn(
            switch_on.key,
            switch_on.text,
            (session.starts_at - timedelta(minutes=switch_on.minutes)).isoformat(),
            switch_on.key in ticked,
        )
        for switch_on in switched_on_for(session)
    ]


def recipe_for(session: Session, key: str, bottle: int | None, measured: Mapping[str, str]) -> Recipe | None:
    """The recipe of one solution of ``session``, from the bottle that was chosen, with what was measured."""
    solution = solution_for(session, key)
    return recipe(solution, shelf_for(session), bottle, measured) if solution else None


def solution_for(session: Session, key: str) -> Solution | None:
    """One solution of ``session``."""
    return next((solution for solution in solutions_for(session) if solution.key == key), None)


def keys_of(session: Session) -> set[str]:
    """Every line of its list that can be ticked."""
    pieces = {f"piece:{piece_needed.slug}" for piece_needed in pieces_for(session)}
    warm = {switch_on.key for switch_on in switched_on_for(session)}
    return {solution.key for solution in solutions_for(session)} | warm | pieces


def on_the_board(session: Session, option: str) -> bool:
    """Whether the number stands on a bottle and may be written for the room once the session is open."""
    return any(bottle.key == option for bottle in bottles(method_of(session), session.options))


def _ticked(session: Session) -> set[str]:
    return set(Ready.objects.filter(session=session).values_list("key", flat=True))


def _made(one: Made | None) -> MadeOut | None:
    if one is None:
        return None
    return MadeOut(
        one.lead, ", ".join(one.measured.values()), one.result, one.by.name, timezone.localtime(one.at).isoformat()
    )
