"""What one session teaches the next: remarks on steps, and what went wrong most last time."""

from django.db.models import Q
from django.http import Http404

from chromata_core.declaration.options import active, resolve_options
from config.errors import Refused
from labs.declared import method_of
from labs.models import Remark, Session
from labs.shapes import RemarkOut, StepName
from notebook.photos import keep_picture, picture_problem
from people.models import Person

_MOST = 40  # remarks that one session shows


def steps_of(session: Session) -> list[StepName]:
    """The steps of the session's method under its options."""
    chosen = method_of(session)
    steps = {step.key: step.title for step in active(chosen.steps, resolve_options(chosen, session.options))}
    return [StepName(key, title) for key, title in steps.items()]


def remarks_on(session: Session) -> list[RemarkOut]:
    """What is shown in ``session``: its own, and what its instructor says of this method always."""
    titles = {step.key: step.title for step in steps_of(session)}
    always = Q(session=None, owner=session.section.owner_id, method=session.method)
    found = Remark.objects.filter(Q(session=session) | always, ended=False).select_related("owner")
    return [
        RemarkOut(one.pk, one.step, titles[one.step], one.text, one.owner.name, one.session_id is None, one.photo)
        for one in found[:_MOST]
        if one.step in titles
    ]


def remark(session: Session, author: Person, step: str, text: str, always: bool, image: str = "") -> Remark:
    """Adds one; Refused for a step that this session has not, for no picture, or where there are too many."""
    if step not in [one.key for one in steps_of(session)]:
        raise Refused("This session has no such step. Reload the page.", 422)
    if len(remarks_on(session)) >= _MOST:
        raise Refused(f"A session shows {_MOST} remarks at most. End one that is no longer needed.")
    if image and (problem := picture_problem(image)):
        raise Refused(problem, 422)
    return Remark.objects.create(
        owner=author, session=None if always else session, method=session.method, step=step, text=text.strip(),
        photo=keep_picture(image) if image else "",
    )  # fmt: skip


def end_remark(session: Session, remark_id: int) -> None:
    """Shows it no more; Http404 for one that this session does not show."""
    if remark_id not in [one.id for one in remarks_on(session)]:
        raise Http404
    Remark.objects.filter(pk=remark_id).update(ended=True)


def last_held(session: Session) -> Session | None:
    """The session of this method that its instructor held last, before this one."""
    held = Session.objects.filter(section__owner=session.section.owner_id, method=session.method)
    return held.filter(state=Session.State.CLOSED).exclude(pk=session.pk).order_by("-opened_at").first()
