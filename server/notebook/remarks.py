"""Remarks on steps, with a picture where one says more."""

from config.errors import Refused
from labs.models import Remark, Session
from labs.remarks import MOST, remarks_on, steps_of
from notebook.photos import keep_picture, picture_problem
from people.models import Person


def remark(
    session: Session, author: Person, step: str, text: str, always: bool, image: str = "", instead: bool = False
) -> Remark:
    """Adds one; Refused for a step that this session has not, for no picture, or where there are too many."""
    if step not in [step.key for step in steps_of(session)]:
        raise Refused("This session has no such step. Reload the page.", 422)
    if len(remarks_on(session)) >= MOST:
        raise Refused(f"A session shows {MOST} remarks at most. End one that is no longer needed.")
    if image and (problem := picture_problem(image)):
        raise Refused(problem, 422)
    return Remark.objects.create(
        owner=author, session=None if always else session, method=session.method, step=step, text=text.strip(),
        photo=keep_picture(image) if image else "", instead=instead and bool(image),
    )  # fmt: skip
