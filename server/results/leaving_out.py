"""Whether a bench counts in its class's means: decided by a person, with a reason, and on the session's log."""

from labs.actions import note
from labs.models import Bench, LeftOut
from people.models import Person


def leave_out(bench: Bench, person: Person, reason: str) -> None:
    """Leaves ``bench`` out of the means for a ``reason``, or lets it count again for none."""
    why = reason.strip()
    if not why:
        LeftOut.objects.filter(bench=bench).delete()
        note(bench.session, person, f"let {str(bench).lower()} count in the class again")
        return
    LeftOut.objects.update_or_create(bench=bench, defaults={"person": person, "reason": why})
    note(bench.session, person, f"left {str(bench).lower()} out of the class: {why}")
