"""What the class of the planned session has done before class: most are ready, some are stuck."""

from labs.models import Session
from prelab.answering import answer_task

ASKED = {
    "tasks": ["plan_line_1", "effect-standard-damp", "effect-air-bubble"],
    "questions": ["Why is the standard dried, and the acid not?"],
    "needed": False,
    "tries": 3,
}
# What one after the other answers: the portion, where the damp standard leads and why, where the bubble leads.
_ANSWERS = (
    (("plan_line_1", "106 mg", ""),
     ("effect-standard-damp", "high", "some of what I weigh is water, and needs no acid"),
     ("effect-air-bubble", "low", "the bubble counts as acid that was delivered"),
     ("own-1", "Its mass must be all carbonate; of the acid we only want to know the concentration.", "")),
    (("plan_line_1", "0.212", ""), ("plan_line_1", "0.106", ""),
     ("effect-standard-damp", "high", "less carbonate in it"),
     ("effect-air-bubble", "high", "more volume"), ("effect-air-bubble", "low", "more volume, and it is divided by it"),
     ("own-1", "Water in it would be weighed with it.", "")),
    (("plan_line_1", "0.212 g", ""),),
)  # fmt: skip


def prepare(session: Session) -> None:
    """The students in order, each as the one three places before; the last three nothing yet."""
    students = list(session.roster)
    for place, student in enumerate(students[:-3]):
        for task, text, reason in _ANSWERS[place % len(_ANSWERS)]:
            answer_task(session, student, task, text, reason)
