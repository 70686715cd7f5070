"""The demo instructor's own experiment: one version ready, a draft begun. Invented."""

from pathlib import Path

from experiments.actions import begin, latest, make_ready, save, try_out
from people.models import Person

_FILE = Path(__file__).with_name("brine_density.json")


def make_own(owner: Person) -> None:
    """Density of a brine, taken over from a file, tried and made ready."""
    experiment = begin(owner, "", "", _FILE.read_text(encoding="utf-8"))
    try_out(experiment, 1, "", [], {}, {})
    make_ready(experiment, "First use in the autumn term")
    data = dict(latest(experiment).declaration.data)
    questions = [*data["questions"], "Which of your two weighings limits the result, and why?"]
    steps = [{**s, "reads": [*s["reads"], "answer.3"]} if s["key"] == "conclusion" else s for s in data["steps"]]
    save(experiment, {**data, "questions": questions, "steps": steps}, "")
