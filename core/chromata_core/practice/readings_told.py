"""What was read on a sheet, in lines for people: once for the bench, then trial by trial."""

from chromata_core.engine.context import Context
from chromata_core.sentences import first_upper
from chromata_core.telling.outcome import Evaluation, ReadingOut


def readings_told(at: Context, state: Evaluation, only: int | None = None) -> list[str]:
    """Numbers and no observations; of the trials all, or ``only`` one."""
    made = {reading.key for reading in at.bound.readings}

    def told(readings: list[ReadingOut]) -> list[str]:
        return [f"{one.label}: {one.shown.text} {one.shown.unit}".strip() for one in readings if one.key in made]

    trials = [one for one in state.trials if only in (None, one.number)]
    return [
        *told(state.bench),
        *(f"{first_upper(at.trial_name(one.number))}. {'; '.join(told(one.readings))}" for one in trials),
    ]
