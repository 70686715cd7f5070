"""What is asked of students before a session, and whether the bench waits for it."""

from collections.abc import Sequence
from dataclasses import dataclass

MOST_TASKS = 12
MOST_OWN, LONGEST_OWN = 4, 300


@dataclass(frozen=True, slots=True)
class Prelab:
    """``tasks`` are chosen from what the plan offers, by their keys; ``questions`` are an instructor's own, read by a
    person. ``needed``: no reading is written before who works there is ready. After so many ``tries`` the answer is
    told; never for 0.
    """

    tasks: tuple[str, ...] = ()
    questions: tuple[str, ...] = ()
    needed: bool = False
    tries: int = 3

    @property
    def asks(self) -> bool:
        """Whether anything is asked at all."""
        return bool(self.tasks or self.questions)


def prelab_problems(asked: Prelab, offered: Sequence[str]) -> list[str]:
    """A sentence for everything in ``asked`` that cannot be asked, beside the keys that a plan ``offered``."""
    problems = []
    if any(key not in offered for key in asked.tasks):
        problems.append("This plan does not offer everything that is asked before class. Choose the tasks anew.")
    if len(asked.tasks) > MOST_TASKS or len(set(asked.tasks)) < len(asked.tasks):
        problems.append(f"At most {MOST_TASKS} tasks are asked before class, each of them once.")
    if len(asked.questions) > MOST_OWN or not all(q.strip() and len(q) <= LONGEST_OWN for q in asked.questions):
        problems.append(f"At most {MOST_OWN} questions of your own, of 1 to {LONGEST_OWN} characters each.")
    if not 0 <= asked.tries <= 9:
        problems.append("The answer is told after one to nine tries, or never (0).")
    if asked.needed and not asked.asks:
        problems.append("Choose what is asked before class, or let the bench begin without it.")
    return problems
