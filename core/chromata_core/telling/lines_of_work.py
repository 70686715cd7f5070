"""What a student worked out: every line with an answer, in the order of the work, traced beside those before it."""

from math import isfinite

from chromata_core.declaration.places import own
from chromata_core.engine.context import Context, ResultPlace
from chromata_core.telling.explain import worked_line
from chromata_core.telling.outcome import OwnAnswer
from chromata_core.tracing.diagnose import Earlier, diagnose


def lines_of_work(at: Context) -> list[ResultPlace]:
    """Every line that can be worked by now, in order: of the bench, of each trial, of all of them together."""
    places: list[ResultPlace] = []
    for scope in ("bench", "trial", "summary"):
        for trial in at.trials() if scope == "trial" else [None]:
            places += [(q, trial) for q in at.bound.quantities if q.scope == scope and q.is_line]
    return [(q, trial) for q, trial in places if at.computed.column(q.key, trial) is not None]


def own_answers(at: Context) -> list[OwnAnswer]:
    """The student's own answers; one may rightly follow from another that was wrong."""
    earlier: dict[tuple[str, int | None], Earlier] = {}
    answers = []
    for quantity, trial in lines_of_work(at):
        typed = at.bound.typed.get(own(quantity.key, trial))
        if typed is None:
            continue
        traced = diagnose(at, quantity, typed, earlier, trial)
        label = f"{quantity.label}, {at.trial_name(trial)}" if trial is not None else quantity.label
        earlier[(quantity.key, trial)] = Earlier(label, float(typed.value), traced.kind in ("right", "rounded"))
        answers.append(
            OwnAnswer(
                quantity.key,
                trial,
                label,
                text=typed.text,
                unit=quantity.unit,
                agrees=traced.agrees,
                kind=traced.kind,
                sentence=traced.sentence,
                tries=at.bound.written[own(quantity.key, trial)],
                line=worked_line(at, quantity, trial).plain,
                says=traced.says,
                away=_away(at, (quantity, trial), float(typed.value)),
            )
        )
    return answers


def _away(at: Context, place: ResultPlace, value: float) -> float | None:
    right = at.value(place[0].key, place[1])
    return (value / right - 1) * 100 if right and isfinite(right) else None
