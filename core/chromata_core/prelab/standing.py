"""How far a student is with what is asked before class: every answer judged, every line traced."""

from collections.abc import Mapping
from dataclasses import dataclass, field

from chromata_core.declaration.prelab import Prelab
from chromata_core.declaration.vocabulary import Method, Quantity
from chromata_core.engine.context import context_of
from chromata_core.errors import ChromataError, SheetError
from chromata_core.prelab.plan_lines import as_method, as_sheet
from chromata_core.prelab.state import PrelabState, TaskState
from chromata_core.prelab.tasks import Task, tasks_of
from chromata_core.quantity.given import read_in
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Bound, Sheet
from chromata_core.telling.explain import worked_line
from chromata_core.telling.lines_of_work import own_answers

_SHORT = 4  # letters: less is no reason
_SENTENCES = {
    "unexplained": "No usual slip gives this number. Write the formula down first, with the unit of every number in it."
}
LONGEST_ANSWER = 600


@dataclass(frozen=True, slots=True)
class Answered:
    """What a student answered last, with the reason they gave, and how often they tried by now."""

    text: str
    reason: str = ""
    tries: int = 1


# Whether an answer is right (None: only a person can tell), what is said of it, and the answer itself.
Judgement = tuple[bool | None, str, str]


@dataclass(frozen=True, slots=True)
class Preparation:
    """What is asked of everybody who works by one plan. Worked once for all of them, as is what each line that somebody
    wrote is worth: ``judged``, by task and text.
    """

    bound: Bound
    asked: Prelab
    tasks: tuple[Task, ...]
    judged: dict[tuple[str, str], Judgement] = field(default_factory=dict)


def preparation(method: Method, plan: Sheet, asked: Prelab) -> Preparation:
    """The tasks of ``plan`` that are asked, those of the instructor last."""
    bound = bind(method, plan)
    chosen = [task for task in tasks_of(bound, plan) if task.key in asked.tasks]
    own = [Task(f"own-{n}", "own", question) for n, question in enumerate(asked.questions, 1)]
    return Preparation(bound, asked, (*chosen, *own))


def hazards_of(asked: Preparation) -> list[str]:
    """The cautions of the method, in the words of what is chosen."""
    return [asked.bound.worded(hazard) for hazard in asked.bound.method.hazards]


def standing(asked: Preparation, answers: Mapping[str, Answered]) -> PrelabState:
    """How far somebody is who gave these ``answers``."""
    return PrelabState([_state(asked, task, answers.get(task.key)) for task in asked.tasks])


def answer_problem(asked: Preparation, key: str, text: str, reason: str) -> str:
    """The sentence why an answer cannot be kept, empty if it can."""
    task = next((task for task in asked.tasks if task.key == key), None)
    if task is None:
        return "This is not asked any more: the plan was changed. Load the page again."
    if len(text) > LONGEST_ANSWER or len(reason) > LONGEST_ANSWER or "\x00" in text + reason:
        return f"Keep an answer under {LONGEST_ANSWER} characters."
    if task.kind == "choice":
        known = text in [choice.key for choice in task.choices]
        if not known:
            return "Choose one of the answers."
        return "" if len(reason.strip()) >= _SHORT else "Say in a few words why; a choice alone is a guess."
    if task.kind == "own":
        return "" if len(text.strip()) >= _SHORT else "Write a few words first."
    try:
        read_in(text, task.unit)
    except ChromataError as error:
        return error.message
    return ""


def _state(asked: Preparation, task: Task, given: Answered | None) -> TaskState:
    agrees, sentence, told = _judged(asked, task, given) if given else (None, "", "")
    tried_enough = given is not None and 0 < asked.asked.tries <= given.tries
    done = given is not None and (agrees is not False or tried_enough)
    shows = bool(agrees) or tried_enough
    return TaskState(
        task.key,
        task.kind,
        task.text,
        unit=task.unit,
        why=task.why,
        given=list(task.given),
        choices=list(task.choices),
        answer=given.text if given else "",
        reason=given.reason if given else "",
        tries=given.tries if given else 0,
        done=done,
        agrees=agrees,
        sentence=sentence,
        told=told if shows else "",
    )


def _judged(asked: Preparation, task: Task, given: Answered) -> Judgement:
    if task.kind == "own":
        return None, "Kept; your instructor reads it.", ""
    if task.line is not None:
        place = (task.key, given.text)
        if place not in asked.judged:
            asked.judged[place] = _line(asked, task.line, given.text)
        return asked.judged[place]
    right = [choice.label for choice in task.choices if choice.key in task.right]
    agrees = given.text in task.right
    return agrees, "Right." if agrees else "Not so. Think again.", f"{' or '.join(right)}. {task.because}"


def _line(asked: Preparation, line: Quantity, text: str) -> Judgement:
    """How many figures a plan deserves is nobody's question: what is right so far is right."""
    key = line.key
    try:
        at = context_of(as_method(asked.bound), as_sheet(asked.bound, {key: text}))
        [own] = own_answers(at)
    except (SheetError, ValueError):  # the plan leaves nothing to work it from, or asks in another unit by now
        return None, "This cannot be judged by the plan as it is now. Tell your instructor.", ""
    here = next(quantity for quantity in at.bound.quantities if quantity.key == key)
    agrees = own.agrees or own.kind == "figures"
    sentence = "Right." if agrees and own.kind != "rounded" else _SENTENCES.get(own.kind, own.sentence)
    return agrees, sentence, worked_line(at, here, None).plain
