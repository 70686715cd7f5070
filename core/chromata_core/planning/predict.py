"""The uncertainty a plan will give: the method's worked example, read with the instruments and options chosen."""

from collections.abc import Mapping
from dataclasses import dataclass

from chromata_core.errors import ChromataError
from chromata_core.instruments.catalogue import instrument
from chromata_core.method.describe import PartOut, parts_out
from chromata_core.method.evaluate import evaluate
from chromata_core.method.outcome import BudgetOut
from chromata_core.method.sheet import Given, Sheet, bind
from chromata_core.method.vocabulary import Method, Reading
from chromata_core.quantity.rounding import with_figures


@dataclass(frozen=True, slots=True)
class Prediction:
    """What to expect of one bench. ``relative`` is U (95 %) as a percentage of the result.

    ``options`` are all options as they would be frozen, defaults and consequences of other choices filled in.
    """

    options: dict[str, str]
    parts: list[PartOut]
    result: str
    relative: str
    budget: list[BudgetOut]
    advice: str
    basis: str
    warnings: list[str]


def predict(method: Method, options: Mapping[str, str], instruments: Mapping[str, str]) -> Prediction:
    """The prediction for a plan; SheetError lists what is wrong with its options or instruments."""
    bound = bind(method, Sheet(options, instruments))
    readings = {reading.key: reading for reading in method.readings if isinstance(reading, Reading)}
    given = []
    for key, trial, index, text in method.example.readings:
        if bound.part(key) is None or (trial == 0 and not bound.rough):
            continue
        given.append(Given(key, _as_read(method, instruments, readings.get(key), text), trial, index))
    filled = dict(bound.options)
    parts = parts_out(bound)
    try:
        outcome = evaluate(method, Sheet(options, instruments, tuple(given)))
    except ChromataError as error:
        return Prediction(filled, parts, "", "", [], "", "", [error.message])
    if not outcome.results:
        return Prediction(filled, parts, "", "", [], "", "", [])
    first = outcome.results[0]
    relative = f"± {with_figures(first.expanded / abs(first.value) * 100, 2)} %" if first.value else ""
    counted = len([trial for trial in outcome.trials if trial.state == "counted"])
    basis = f"Readings like those of the worked example, {counted} of them averaged."
    warnings = [f"{f.what} {f.why} {f.do}" for f in outcome.findings if f.level != "keep" and "digit" not in f.code]
    return Prediction(filled, parts, first.label, relative, first.budget, first.advice, basis, warnings)


def _as_read(method: Method, chosen: Mapping[str, str], reading: Reading | None, text: str) -> str:
    """The example's reading as this instrument would show it: a one-mark pipette has its own volume."""
    if reading is None:
        return text
    role = next(r for r in method.roles if r.key == reading.role)
    tool = instrument(chosen.get(role.key, role.default))
    return f"{float(tool.low):.{tool.decimals}f}" if tool.low == tool.high else text
