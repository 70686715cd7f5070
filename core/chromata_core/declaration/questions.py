"""Closing questions: asked one after the other where a session ends, the method's own or an instructor's."""

from collections.abc import Sequence
from dataclasses import replace

from chromata_core.declaration.places import Place, answer
from chromata_core.declaration.vocabulary import Method, Step
from chromata_core.errors import SheetError

MOST_QUESTIONS, LONGEST_QUESTION = 8, 300


def conclusion(questions: int) -> Step:
    """The step that asks as many questions."""
    return Step("conclusion", "Conclusion", "Answer the closing questions.", "", "", "closing", _answers(questions))


def asking(method: Method, questions: Sequence[str]) -> Method:
    """``method`` with these closing questions instead of its own, at the step where it asks; without any, as it is.

    Raises SheetError for a question that is empty or too long, and for too many.
    """
    if not questions:
        return method
    if len(questions) > MOST_QUESTIONS:
        raise SheetError([f"{len(questions)} closing questions are too many; ask at most {MOST_QUESTIONS}."])
    if not all(question.strip() and len(question) <= LONGEST_QUESTION for question in questions):
        raise SheetError([f"A closing question has 1 to {LONGEST_QUESTION} characters. Shorten it, or leave it out."])
    asks = next((step for step in method.steps if any(_asks(key) for key in step.reads)), None)
    steps = method.steps if asks else (*method.steps, conclusion(0))
    first = asks or steps[-1]
    return replace(
        method,
        questions=tuple(question.strip() for question in questions),
        steps=tuple(_with_answers(step, len(questions) if step is first else 0) for step in steps),
    )


def _with_answers(step: Step, questions: int) -> Step:
    others = tuple(key for key in step.reads if not _asks(key))
    return replace(step, reads=(*others, *_answers(questions)))


def _asks(key: str) -> bool:
    return Place(key).kind == "answer"


def _answers(questions: int) -> tuple[str, ...]:
    return tuple(answer(number).key for number in range(1, questions + 1))
