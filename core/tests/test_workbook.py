"""The worked computation as a spreadsheet, recalculated by an engine for Excel's formulas (the library ``formulas``):
every cell equals what the core worked.
"""

import logging
from dataclasses import replace
from tempfile import TemporaryDirectory
from typing import Any
from unittest import TestCase

import formulas
import openpyxl

from chromata_core.declaration.vocabulary import Example, Method
from chromata_core.engine.context import Context, context_of
from chromata_core.methods.registry import method, methods
from chromata_core.quantity.units import unit
from chromata_core.sheet.bound import Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.telling.workbook import HEAD, Line, computation
from chromata_core.uncertainty.columns import value_of

CLOSE = 1e-9  # relative: a line through points that lie close together loses some digits either way


def recalculated(lines: list[Line]) -> list[tuple[Any, Any]]:
    """Value and SI of every line as the other engine works them."""
    book = openpyxl.Workbook()
    book.active.title = "C"
    book.active.append(HEAD)
    for line in lines:
        book.active.append([line.label, line.where, line.value, line.unit, line.si, "text"])
    with TemporaryDirectory() as folder:
        book.save(f"{folder}/book.xlsx")
        logging.disable(logging.WARNING)
        worked = formulas.ExcelModel().loads(f"{folder}/book.xlsx").finish().calculate()
        logging.disable(logging.NOTSET)
    cells = {
        str(name).rpartition("!")[2]: cells.value[0, 0] for name, cells in worked.items() if hasattr(cells, "value")
    }
    return [(cells.get(f"C{row}"), cells.get(f"E{row}")) for row in range(2, len(lines) + 2)]


def worked(method: Method, example: Example) -> Context:
    sheet = example_sheet(replace(method, example=example))
    return context_of(method, sheet)


class Recalculated(TestCase):
    def same(self, got: Any, wanted: float, line: Line) -> None:
        self.assertAlmostEqual(float(got) / wanted if wanted else float(got) + 1, 1.0, delta=CLOSE, msg=str(line))

    def check(self, at: Context) -> int:
        lines = computation(at)
        seen = 0
        for line, (value, si) in zip(lines, recalculated(lines), strict=True):
            if not line.key:
                continue
            column = at.computed.column(line.key, line.trial)
            assert column is not None
            if at.quantity(line.key).per:
                row = int(line.where.rpartition(" ")[2]) - 1
                column = column[row]
            self.same(si, value_of(column), line)
            self.same(value, unit(line.unit).from_si(value_of(column)), line)
            seen += 1
        return seen

    def test_every_example_of_every_method(self) -> None:
        for declared in methods().values():
            for number, example in enumerate((declared.example, *declared.more_examples)):
                with self.subTest(declared.slug, example=number):
                    self.assertGreater(self.check(worked(declared, example)), 2)

    def test_what_is_a_number_and_no_formula_is_few_and_says_so(self) -> None:
        """End points of curves alone: a spreadsheet cannot find the top of a derivative."""
        for declared in methods().values():
            still = [line for line in computation(worked(declared, declared.example)) if not isinstance(line.si, str)]
            self.assertEqual(bool(still), declared.slug == "potentiometric-titration", declared.slug)
            self.assertTrue(all("no such function" in line.how for line in still))

    def test_a_changed_reading_changes_what_follows(self) -> None:
        """Twice the sample's volume halves its concentration: 0.1026 · V / V_s, by hand."""
        at = context_of(method("acid-base-titration"), example_sheet(method("acid-base-titration")))
        lines = computation(at)
        place = next(n for n, line in enumerate(lines) if line.label == at.bound.part("V_s").label)
        before = {line.key: value for line, (value, _) in zip(lines, recalculated(lines), strict=True)}
        assert isinstance(lines[place].value, float)
        lines[place] = replace(lines[place], value=2 * lines[place].value)
        after = {line.key: value for line, (value, _) in zip(lines, recalculated(lines), strict=True)}
        self.assertAlmostEqual(float(after["c_s"]), float(before["c_s"]) / 2, 9)
        self.assertEqual(after["V_mean"], before["V_mean"])

    def test_a_bench_that_has_just_begun(self) -> None:
        for declared in methods().values():
            computation(context_of(declared, Sheet(declared.example.options, declared.example.instruments)))
