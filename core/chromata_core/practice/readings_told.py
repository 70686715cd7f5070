"""What was read on a sheet, in lines for people: once for the bench, then trial by trial."""

from chromata_core.engine.context import Context
from chromata_core.sentences import first_upper
from chromata_core.telling.outcome import Evaluation, ReadingOut


def readings_told(at: Context, state: Evaluation, only: int | None = None) -> list[str]:
    """Numbers and no observations; of the trials all, or ``only`` one."""
    keys = {reading.key for reading in at.bound.readings}

    def told(readings: list[ReadingOut]) -> list[str]:
        return [
            f"{reading.label}: {reading.shown.text} {reading.shown.unit}".strip()
            for reading in readings
            if reading.key in keys
        ]

    trials = [trial for trial in state.trials if only in (None, trial.number)]
    return [
        *told(state.bench),
        *(f"{first_upper(at.trial_name(trial.number))}. {'; '.join(told(trial.readings))}" for trial in trials),
    ]
