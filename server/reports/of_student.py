"""A bench's report as one student of its team hands it in: the common work, with what is this student's own."""

from collections import Counter
from collections.abc import Sequence
from dataclasses import replace

from chromata_core.declaration.places import Kind
from chromata_core.prelab.state import TaskState
from chromata_core.sentences import joined
from labs.models import Bench
from labs.prelab_plan import prelab_of
from notebook.models import Entry
from notebook.standing import place
from people.models import Person
from prelab.asked import states
from reports.shapes import AnsweredBefore, Report, StudentsPart

_CALLED: dict[Kind, tuple[str, str]] = {
    "part": ("reading", "readings"), "own": ("line worked out", "lines worked out"),
    "answer": ("closing answer", "closing answers"), "tick": ("step", "steps"), "timer": ("wait", "waits"),
    "void": ("trial rejected", "trials rejected"), "talk": ("note or photo", "notes and photos"),
}  # fmt: skip


def report_of_student(report: Report, bench: Bench, entries: Sequence[Entry], student: Person) -> Report:
    """``report`` as that of ``student``."""
    others = [name for name in report.team if name != student.name]
    return replace(
        report, student=StudentsPart(student.name, others, _wrote(entries, student), _before(bench, student))
    )


def _wrote(entries: Sequence[Entry], student: Person) -> str:
    mine = [entry for entry in entries if entry.author_id == student.pk]
    if not mine:
        return "None of the entries at the bench was written under this name."
    counts = Counter(place(entry).kind for entry in mine)
    parts = [f"{counts[kind]} {words[counts[kind] > 1]}" for kind, words in _CALLED.items() if counts[kind]]
    corrected = sum(entry.supersedes_id is not None for entry in mine)
    sentence = (
        f" {corrected} of them {'is a correction' if corrected == 1 else 'are corrections'}." if corrected else ""
    )
    return f"Wrote {len(mine)} of the {len(entries)} entries at the bench: {joined(parts)}.{sentence}"


def _before(bench: Bench, student: Person) -> list[AnsweredBefore]:
    if not prelab_of(bench.session).asks:
        return []
    return [_answered(task) for task in states(bench.session, [student])[student.pk].tasks]


def _answered(task: TaskState) -> AnsweredBefore:
    chosen = next((choice.label for choice in task.choices if choice.key == task.answer), task.answer)
    text = task.sentence if task.answer else "Not answered."
    return AnsweredBefore(
        task.text, " ".join(filter(None, (chosen, task.unit if task.kind == "line" else ""))), task.reason, text
    )
