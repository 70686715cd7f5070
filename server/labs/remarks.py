"""What one session teaches the next: remarks on steps, and what went wrong most last time."""

from django.db.models import Q
from django.http import Http404

from chromata_core.declaration.options import active, resolve_options
from labs.declared import method_of
from labs.models import Remark, Session
from labs.shapes import RemarkOut, StepName

MOST = 40  # remarks that one session shows


def steps_of(session: Session) -> list[StepName]:
    """The steps of the session's method under its options."""
    chosen = method_of(session)
    steps = {step.key: step.title for step in active(chosen.steps, resolve_options(chosen, session.options))}
    return [StepName(key, title) for key, title in steps.items()]


def remarks_on(session: Session) -> list[RemarkOut]:
    """What is shown in ``session``: its own, and what its instructor says of this method always."""
    titles = {step.key: step.title for step in steps_of(session)}
    always = Q(session=None, owner=session.section.owner_id, method=session.method)
    remarks = Remark.objects.filter(Q(session=session) | always, ended=False).select_related("owner")
    return [
        RemarkOut(
            remark.pk,
            remark.step,
            titles[remark.step],
            text=remark.text,
            author=remark.owner.name,
            always=remark.session_id is None,
            photo=remark.photo,
            instead=remark.instead,
        )
        for remark in remarks[:MOST]
        if remark.step in titles
    ]


def end_remark(session: Session, remark_id: int) -> None:
    """Shows it no more; Http404 for one that this session does not show."""
    if remark_id not in [remark_out.id for remark_out in remarks_on(session)]:
        raise Http404
    Remark.objects.filter(pk=remark_id).update(ended=True)


def last_held(session: Session) -> Session | None:
    """The session of this method that its instructor held last, before this one; no simulated one."""
    held = Session.objects.filter(section__owner=session.section.owner_id, method=session.method, simulated="")
    return held.filter(state=Session.State.CLOSED).exclude(pk=session.pk).order_by("-opened_at").first()
