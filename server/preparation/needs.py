"""What a session needs: solutions with their recipes, pieces, counted against what is there and who else wants them."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass, replace
from datetime import date, timedelta

from django.utils import timezone

from chromata_core.declaration.options import active
from chromata_core.declaration.preparation import Supply
from chromata_core.errors import ChromataError
from chromata_core.instruments.prep_room import PIECES
from chromata_core.planning.pieces import PieceNeeded, pieces_needed
from chromata_core.planning.solutions import Solution, solutions
from chromata_core.planning.supplies import SPARE, SupplyOut, amount_text, bench_amount, supplies
from chromata_core.planning.switch_on import SwitchOn, to_switch_on
from chromata_core.planning.turns import Problem
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Bound, Sheet
from config.errors import Refused
from labs.declared import method_of
from labs.instruments import stock_of
from labs.models import Session
from labs.turns import planned_turns
from stock.models import Counted

LIVE = (Session.State.PLANNED, Session.State.OPEN)


@dataclass(frozen=True, slots=True)
class Needs:
    """Benches of a session that work alike, with how many records they write."""

    bound: Bound
    records: int
    places: int


def needs_of(session: Session) -> list[Needs]:
    """The session's benches, those together that work by the same options."""
    method, stock = method_of(session), stock_of(session)
    alike: dict[tuple[tuple[str, str], ...], list[int]] = {}
    for bench in session.benches.select_related("sample"):
        own = tuple(sorted((bench.sample.options if bench.sample else {}).items()))
        alike.setdefault(own, []).append(bench.number)
    sheets = {own: Sheet({**session.options, **dict(own)}, session.instruments, stock=stock) for own in alike}
    return [Needs(bind(method, sheets[own]), len(benches), len(set(benches))) for own, benches in alike.items()]


def solutions_for(session: Session) -> list[Solution]:
    """What has to be made for ``session``; not what it takes over from an earlier one."""
    wanted = solutions([(needs.bound, needs.records) for needs in needs_of(session)])
    return [solution for solution in wanted if solution.feeds not in session.takes]


def weighed_for(session: Session) -> list[SupplyOut]:
    """What is used up and is no solution that is made; of groups that use the same, together."""
    amounts: dict[tuple[str, str], float] = {}
    lines: dict[tuple[str, str], SupplyOut] = {}
    for needs in needs_of(session):
        declared = active(needs.bound.method.supplies, needs.bound.options)
        for supply, line in zip(declared, supplies(needs.bound, needs.records).supplies, strict=True):
            if not _is_made(supply, session):
                key = line.label, supply.unit
                amounts[key] = amounts.get(key, 0.0) + bench_amount(needs.bound, supply) * needs.records * SPARE
                lines.setdefault(key, line)
    return [replace(lines[key], whole_class=amount_text(amount, key[1])) for key, amount in amounts.items()]


def _is_made(supply: Supply, session: Session) -> bool:
    return bool(supply.substance and supply.concentration) and supply.concentration not in session.takes


def pieces_for(session: Session) -> list[PieceNeeded]:
    """What stands at its benches and is shared by them; once where each bench works with all samples."""
    pieces: dict[str, PieceNeeded] = {}
    for needs in needs_of(session):
        for piece in pieces_needed(needs.bound, needs.places):
            before = pieces.get(piece.slug)
            if before is not None:
                once = piece.shared or session.all_samples
                piece = replace(
                    piece, needed=max(before.needed, piece.needed) if once else before.needed + piece.needed
                )
            pieces[piece.slug] = piece
    return list(pieces.values())


def switched_on_for(session: Session) -> list[SwitchOn]:
    """What has to be warm when its benches need it."""
    bound = bind(method_of(session), Sheet(session.options, session.instruments, stock=stock_of(session)))
    planned = planned_turns(session)
    return to_switch_on(bound, *(planned or (Problem((), {}), ())))


def at_the_same_time(session: Session) -> list[Session]:
    """Other sessions of the department that are held while this one is."""
    end = session.starts_at + timedelta(minutes=session.minutes)
    near = Session.objects.filter(
        state__in=LIVE, simulated="", starts_at__lt=end, starts_at__gt=session.starts_at - timedelta(days=1)
    ).exclude(pk=session.pk)
    near = near.select_related("section__owner")
    return [other for other in near if other.starts_at + timedelta(minutes=other.minutes) > session.starts_at]


def counted() -> dict[str, int]:
    """How many pieces of what was counted are there."""
    return dict(Counted.objects.values_list("slug", "pieces"))


def shortage(
    piece: PieceNeeded, have: Mapping[str, int], elsewhere: Mapping[str, int], own: Mapping[str, int], benches: int
) -> str:
    """What is lacking of ``piece`` and what to do; empty where enough is there, or nobody counted.

    Of what was counted (``have``) sessions at the same time need those ``elsewhere``, this one its ``own``, by slug.
    """
    there, others = have.get(piece.slug), elsewhere.get(piece.slug, 0)
    if there is None or there >= piece.needed + others:
        return ""
    at_once = f", and {others} by another session at the same time" if others else ""
    free = {slug: number - elsewhere.get(slug, 0) - own.get(slug, 0) for slug, number in have.items()}
    cure = _cure(piece, free, there - others, benches)
    return f"{piece.needed} needed{at_once}; {there} are there. {cure}"


def _cure(piece: PieceNeeded, free: Mapping[str, int], left: int, benches: int) -> str:
    kind = PIECES[piece.slug].kind if piece.slug in PIECES else ""
    others = [
        PIECES[slug].short
        for slug, number in free.items()
        if slug in PIECES and slug != piece.slug and PIECES[slug].kind == kind and number >= piece.needed
    ]
    if others:
        return f"Enough are there of: {', '.join(others[:3])}."
    each = max(piece.needed // max(benches, 1), 1)
    if left >= each and not piece.shared:
        return f"They serve {left // each} benches: let two benches share, or come in two groups."
    return "Move one of the sessions, or borrow some."


def day_of(session: Session) -> date:
    """On which day it is held, where the department is."""
    return timezone.localtime(session.starts_at).date()


def elsewhere_of(sessions: Iterable[Session]) -> dict[str, int]:
    """Pieces that these sessions need together; one whose plan does not hold any more asks for nothing."""
    elsewhere: dict[str, int] = {}
    for session in sessions:
        for piece in [] if why_not(session) else pieces_for(session):
            elsewhere[piece.slug] = elsewhere.get(piece.slug, 0) + piece.needed
    return elsewhere


def why_not(session: Session) -> str:
    """Why nothing can be worked from its plan any more; empty where it holds."""
    try:
        solutions_for(session)
    except ChromataError as error:
        return error.message
    except Refused as error:
        return str(error)
    return ""
