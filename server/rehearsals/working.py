"""A bench worked on the screen: what was done so far, and one thing more."""

from collections.abc import Sequence
from threading import Lock

from cachetools import LRUCache
from django.db import IntegrityError, transaction

from chromata_core.declaration.places import Place
from chromata_core.workbench.bench import MOST_ACTS, At, WorkedBench
from chromata_core.workbench.bench import Act as Done
from config.errors import Refused
from labs.declared import method_of
from labs.models import Bench, Session
from notebook.desks import accepted_values, evaluation_of
from notebook.standing import entries_of, sheet_with
from rehearsals.actions import seed_of
from rehearsals.models import Act
from rehearsals.shapes import Worked

_MOVED = "Somebody else did something here in the meantime. Look at it again."
# Benches as they were left, each with how much was done at it; any of them can be worked out again.
_held = Lock()
_left: LRUCache[int, tuple[int, WorkedBench]] = LRUCache(maxsize=64)


def must_be_worked(bench: Bench) -> None:
    """Refused for a bench at which people stand, or that a made-up class has written."""
    if bench.session.simulated != Session.Simulated.WORKED:
        raise Refused("This bench is not worked on the screen.")


def worked(bench: Bench, wanted: Place) -> Worked:
    """What is seen at the bench now, with ``wanted`` in hand."""
    acts = _acts(bench)
    return Worked(len(acts), _as_left(bench, acts).view(_in_hand(bench, wanted)))


def act(bench: Bench, wanted: Place, number: int, do: str) -> Worked:
    """Does one thing with ``wanted`` in hand, the ``number``-th; sent twice, it is done once. Refused where another was
    done in its stead.
    """
    if bench.session.state != Session.State.OPEN:
        raise Refused("The session is not open. Your instructor opens it.")
    acts, at = _acts(bench), _in_hand(bench, wanted)
    if number == len(acts) and acts and acts[-1].do == do:
        return Worked(number, _as_left(bench, acts).view(at))
    if number != len(acts) + 1:
        raise Refused(_MOVED)
    if number > MOST_ACTS:
        raise Refused(f"More than {MOST_ACTS} things were done here. Ask your instructor for another bench.")
    view = _as_left(bench, acts).view(at)
    if view is None or do not in [control.key for control in view.controls]:
        raise Refused("That cannot be done here now.", 422)
    place = at.place
    try:
        with transaction.atomic():
            act = Act.objects.create(
                bench=bench, number=number, step=at.step, key=place.key, trial=place.trial, index=place.row, do=do
            )
    except IntegrityError:
        raise Refused(_MOVED) from None
    return Worked(number, _as_left(bench, [*acts, act]).view(at))


def _acts(bench: Bench) -> list[Act]:
    return list(Act.objects.filter(bench=bench))


def _in_hand(bench: Bench, wanted: Place) -> At:
    """``wanted``, if it is one of the tasks of this bench; else what comes next there."""
    state = evaluation_of(bench, entries_of(bench))
    hand = next((task for task in state.tasks if (task.key, task.trial, task.index) == tuple(wanted)), state.hand)
    return At(hand.step, Place(hand.key, hand.trial, hand.index))


def _as_left(bench: Bench, acts: Sequence[Act]) -> WorkedBench:
    """The bench once ``acts`` were done: what is new is done at the one that is remembered."""
    with _held:
        done, here = _left.pop(bench.pk, (0, None))
    if here is None or done > len(acts):
        session = bench.session
        plan, done = sheet_with(bench, ()), 0
        here = WorkedBench(method_of(session), plan, accepted_values(bench), seed_of(bench), session.seed)
    here.do([Done(At(act.step, Place(act.key, act.trial, act.index)), act.do) for act in acts[done:]])
    with _held:
        _left[bench.pk] = (len(acts), here)
    return here
