"""Sessions that go on with what an earlier one found: parts of one piece of work, or next week's use of a line."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from typing import Any

from chromata_core.declaration.option_kinds import NumberOption
from chromata_core.declaration.options import active, resolve_options
from chromata_core.declaration.vocabulary import Method
from chromata_core.engine.handing import Taking, takings
from chromata_core.errors import SheetError
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Sheet
from chromata_core.telling.options_told import OptionChosen
from config.errors import Refused
from labs.declared import method_of
from labs.instruments import stock_of
from labs.models import Session
from labs.shapes import Of

_LONGEST_CHAIN = 8


@dataclass(frozen=True, slots=True)
class Take:
    """A result of the earlier session by its ``key``, of a planned ``trial`` or the whole bench, in ``unit``: each
    bench its own, or the mean of the class.
    """

    key: str
    trial: int | None
    of: Of
    unit: str


def takes_of(session: Session) -> dict[str, Take]:
    """What ``session`` takes over, by the number of its plan that it stands for."""
    units = {option.key: option.unit for option in _numbers(method_of(session))}
    return {
        option: Take(taking["key"], taking["trial"], taking["of"], units[option])
        for option, taking in session.takes.items()
        if option in units
    }


def to_take(earlier: Session, chosen: Method, options: Mapping[str, str]) -> list[Taking]:
    """What a session with this method and these ``options`` could take from ``earlier``."""
    giver = bind(method_of(earlier), Sheet(earlier.options, earlier.instruments, stock=stock_of(earlier)))
    return takings(giver, bind(chosen, Sheet(options)))


def follow(session: Session, earlier: Session | None, takes: Mapping[str, Mapping[str, Any]], chosen: Method) -> None:
    """Lets ``session`` go on with ``earlier``, or by itself. What is taken for numbers that are not asked for under its
    choices is left out; Refused where what it takes is not found there.
    """
    if earlier is None:
        session.follows, session.takes = None, {}
        return
    before = _chain(earlier)
    if session.pk in [session.pk for session in before]:
        raise Refused(f"“{earlier.title}” goes on with this very session. Neither could begin.", 422)
    if len(before) >= _LONGEST_CHAIN:
        raise Refused(f"More than {_LONGEST_CHAIN} sessions one after the other are not kept together.", 422)
    asked = {option.key for option in active(_numbers(chosen), resolve_options(chosen, session.options))}
    wanted = {option: dict(taking) for option, taking in takes.items() if option in asked}
    _must_fit(to_take(earlier, chosen, session.options), wanted, earlier)
    session.follows, session.takes = earlier, wanted


def _numbers(chosen: Method) -> list[NumberOption]:
    return [option for option in chosen.all_options if isinstance(option, NumberOption)]


def _chain(session: Session) -> list[Session]:
    """``session`` and all that it goes on with, the latest first."""
    chain = [session]
    while (before := chain[-1].follows) is not None and before not in chain:
        chain.append(before)
    return chain


def _must_fit(possible: list[Taking], takes: Mapping[str, Mapping[str, Any]], earlier: Session) -> None:
    offered = {
        taking.option: {(handed_result.key, handed_result.trial) for handed_result in taking.offered}
        for taking in possible
    }
    for option, taking in takes.items():
        if (taking["key"], taking["trial"]) not in offered.get(option, set()):
            raise Refused(f"“{earlier.title}” finds nothing that could stand for “{option}”. Choose it again.", 422)


def together(session: Session) -> list[Session]:
    """The sessions that belong together with ``session``, in the order of the work; at least itself."""
    parts = [_chain(session)[-1]]
    for part in parts:
        parts += [later for later in part.followed_by.order_by("starts_at", "pk") if later not in parts]
    return parts[: 2 * _LONGEST_CHAIN]


def chosen_here(session: Session, options: Sequence[OptionChosen]) -> list[OptionChosen]:
    """The choices of a plan in words, with where those are from that an earlier session finds."""
    if session.follows is None:
        return list(options)
    whose = {option: _WHOSE[take.of] for option, take in takes_of(session).items()}
    origin = f"as “{session.follows.title}” finds it"
    return [
        replace(option, text=f"{origin}, {whose[option.key]}") if option.key in whose else option for option in options
    ]


_WHOSE: dict[Of, str] = {"bench": "each bench’s own", "class": "mean of the class"}


def still_found(session: Session) -> None:
    """Refused where a later session takes what ``session``, as it is planned now, would not find any more."""
    for later in session.followed_by.all():
        try:
            _must_fit(to_take(session, method_of(later), later.options), later.takes, session)
        except (Refused, SheetError):
            raise Refused(
                f"“{later.title}” goes on with what this session finds, and would not find it any more. Change it "
                "there first.",
            ) from None


def not_needed(session: Session) -> None:
    """Refused where a later session goes on with ``session``."""
    if later := session.followed_by.first():
        raise Refused(f"“{later.title}” goes on with this session. Take that out there before you delete it.")
