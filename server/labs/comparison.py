"""Another product's data that the instructor prepared: opened for a bench once its own trials agree."""

from typing import Any

from chromata_core.declaration.options import unit_options
from chromata_core.instruments.calibrated import thawed
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.sheet.sheet_file import read_sheet
from chromata_core.telling.beside import beside
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.outcome import Evaluation
from config.errors import Refused
from labs.declared import method_of
from labs.instruments import stock_of
from labs.models import Session
from labs.shapes import ComparisonView
from people.models import Person


def comparison_of(session: Session, name: str, file: str) -> dict[str, Any]:
    """What a session keeps of a sheet file; SheetError or Refused says what does not fit."""
    sheet = read_sheet(file)
    if sheet.method not in ("", session.method):
        raise Refused(f"This file is of another experiment, “{sheet.method}”. Choose one of the same.", 422)
    kept = {
        "label": name.strip(),
        "options": dict(sheet.sheet.options) or dict(session.options),
        "instruments": dict(sheet.sheet.instruments),
        "calibrations": sheet.calibrations,
        "readings": [[g.key, g.trial, g.index, g.text] for g in sheet.sheet.given],
    }
    if not compared(session, kept).results:
        raise Refused("These readings give no result: nothing could be compared with them.", 422)
    return kept


def comparison_view(session: Session, own: Evaluation, person: Person) -> ComparisonView | None:
    """The prepared data as ``person`` may see them beside ``own``; nothing but their label before they are earned."""
    if not session.comparison:
        return None
    label = session.comparison["label"]
    if not (own.replicates_pass or person.teaches):
        return ComparisonView(label, False, f"{label} opens for you once your trials agree.", [], [], [])
    other = compared(session, session.comparison)
    pairs = beside(own, other, label)
    sentence = pairs[0].sentence if pairs else f"Here are the data of {label}."
    return ComparisonView(label, own.replicates_pass, sentence, other.trials, other.results, pairs)


def compared(session: Session, kept: dict[str, Any]) -> Evaluation:
    """What a session keeps of a sheet file, evaluated: with the instruments of that file beside those of the session,
    in the class's units.
    """
    units = unit_options(method_of(session))
    options = kept["options"] | {key: text for key, text in session.options.items() if key in units}
    given = tuple(Given(key, text, trial, index) for key, trial, index, text in kept["readings"])
    own = {slug: thawed(slug, data) for slug, data in kept.get("calibrations", {}).items()}
    sheet = Sheet(options, kept["instruments"], given, {**stock_of(session), **own})
    return evaluate(method_of(session), sheet)
