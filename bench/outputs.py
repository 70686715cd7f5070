"""Writes everything the core says of every method, so that two states of the tree can be compared word for word.

    bin/bench outputs        writes one JSON file for each method into var/outputs; compare two such folders

Each example is evaluated whole, half written and begun, under every choice that has an example; each fault of the
method is rehearsed by simulated instruments, so that its checks speak too. Worked lines, diagnoses, what-if, stored
values, timetables, supplies and the method's own page are there as well.
"""

from __future__ import annotations

import sys
from collections.abc import Iterator
from dataclasses import asdict, is_dataclass, replace
from pathlib import Path
from typing import Any

import orjson

from chromata_core.authoring.as_json import to_json
from chromata_core.authoring.form import vocabulary
from chromata_core.declaration.vocabulary import Method
from chromata_core.engine.context import context_of
from chromata_core.errors import ChromataError
from chromata_core.methods.registry import method, methods
from chromata_core.planning.predict import predict
from chromata_core.sheet.bound import Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.sheet.sheet_file import write_csv
from chromata_core.simulation.rehearse import rehearse
from chromata_core.telling.describe import card, page
from chromata_core.telling.drawn_results import draw_results
from chromata_core.telling.effects import slip_effects, what_if
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.explain import constants, explain
from chromata_core.telling.judge import judge


def sheets(method: Method) -> Iterator[tuple[str, Sheet]]:
    """Sheets that make the method speak, each with a name."""
    for number, example in enumerate((method.example, *method.more_examples)):
        whole = example_sheet(method, None if not number else example.options)
        written = len(whole.given)
        yield f"example {number}", whole
        for share in (0, 1, 2, 3, 5, 6, 7):
            yield f"example {number}, {share} of 8", replace(whole, given=whole.given[: written * share // 8])
    for fault in ("", *(fault.key for fault in method.faults)):
        for seed in (1, 2, 3):
            try:
                yield f"rehearsed {fault} {seed}", rehearse(method, seed, None, fault)
            except ChromataError:  # these instruments cannot show that fault
                continue


def said(method: Method, sheet: Sheet) -> dict[str, Any]:
    """What the core says of one sheet."""
    try:
        at = context_of(method, sheet)
    except ChromataError as error:
        return {"refused": error.message}
    drafts = [judge(method, sheet, given) for given in sheet.given[-12:]]
    whole = {
        "evaluation": evaluate(method, sheet),
        "worked": explain(at),
        "constants": constants(at),
        "faults": what_if(at.bound),
        "slips": slip_effects(at.bound),
        "verdicts": drafts,
        "file": write_csv(method.slug, sheet),
    }
    return {name: plain(value) for name, value in whole.items()}


def plain(value: Any) -> Any:
    """Dataclasses, wherever they are, as dictionaries."""
    if is_dataclass(value) and not isinstance(value, type):
        return asdict(value)
    return [plain(item) for item in value] if isinstance(value, list | tuple) else value


def of(method: Method) -> dict[str, Any]:
    """Everything of one method."""
    outputs: dict[str, Any] = {name: said(method, sheet) for name, sheet in sheets(method)}
    example = example_sheet(method)
    outputs["page"], outputs["card"] = plain(page(method)), plain(card(method))
    outputs["declared"] = to_json(method)
    outputs["drawn"] = plain(draw_results(context_of(method, example), draws=10_000, most=2))
    outputs["predicted"] = plain(predict(method, replace(example, given=()), 3))
    return outputs


def main() -> None:
    """Writes the files."""
    into = Path(sys.argv[1] if len(sys.argv) > 1 else "../var/outputs")
    into.mkdir(parents=True, exist_ok=True)
    options = orjson.OPT_INDENT_2 | orjson.OPT_SORT_KEYS | orjson.OPT_NON_STR_KEYS
    for slug in methods():
        (into / f"{slug}.json").write_bytes(orjson.dumps(of(method(slug)), default=str, option=options))
    (into / "vocabulary.json").write_bytes(orjson.dumps(plain(vocabulary()), default=str, option=options))
    print(f"{len(methods())} methods written to {into}")


if __name__ == "__main__":
    main()
