"""The same cell, read in volts and in millivolts, is the same cell: 1 V = 1000 mV exactly (SI prefixes)."""

from typing import ClassVar
from unittest import TestCase

from chromata_core.instruments.catalogue import instrument
from chromata_core.methods.registry import method
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.outcome import Evaluation


def pairs(tool: str, factor: int, *, reversed_at: int = 0) -> Evaluation:
    """The worked example's pairs, read with ``tool``, which shows ``factor`` units for a volt."""
    declared = method("voltaic-cells")
    given = []
    for key, trial, index, text in declared.example.readings:
        value = f"{round(float(text) * 1000)}" if key == "E" and factor == 1000 else text
        sign = "-" if key == "E" and trial == reversed_at else ""
        given.append(Given(key, sign + value, trial, index))
    return evaluate(declared, Sheet(declared.example.options, {"voltmeter": tool}, tuple(given)))


class Millivolts(TestCase):
    volts: ClassVar = pairs("voltmeter-v", 1)
    millivolts: ClassVar = pairs("multimeter-2000mv", 1000)

    def test_ladder_and_bars_are_the_same(self) -> None:
        for chart, other in zip(self.volts.charts, self.millivolts.charts, strict=True):
            if not chart.square:
                self.assertEqual(
                    [line.points for line in chart.lines], [line.points for line in other.lines], chart.key
                )
                self.assertEqual(chart.sentence, other.sentence)

    def test_the_square_speaks_in_the_meter_s_unit(self) -> None:
        square = next(chart.square for chart in self.millivolts.charts if chart.square)
        expected = [cell.shown for cell in square.cells if cell.expected and cell.shown]
        self.assertTrue(expected)
        for shown in expected:
            self.assertEqual(shown.unit, "mV")
            self.assertRegex(shown.text, r"^−?\d{1,4}$")
        in_volts = next(chart.square for chart in self.volts.charts if chart.square)
        self.assertEqual([c.note for c in in_volts.cells if c.expected], [c.note for c in square.cells if c.expected])

    def test_reversed_leads_are_seen_on_both(self) -> None:
        for tool, factor, unit in (("voltmeter-v", 1, " V "), ("multimeter-2000mv", 1000, " mV ")):
            findings = [f for f in pairs(tool, factor, reversed_at=3).findings if f.code == "reversed"]
            self.assertEqual(len(findings), 1, tool)
            self.assertIn(unit, findings[0].what)

    def test_results_are_the_same(self) -> None:
        mine, theirs = (
            {(r.key, r.trial): round(r.value, 9) for r in state.results} for state in (self.volts, self.millivolts)
        )
        self.assertEqual(mine, theirs)


class Stockroom(TestCase):
    def test_needles_and_displays(self) -> None:
        """Divisions and decimals follow from the scale: 500 mA in 50 divisions is 10 mA each, judged to 1 mA."""
        for slug, high, graduation, decimals in (
            ("ammeter-0.5", "0.5", "0.01", 3), ("ammeter-0.05", "0.05", "0.001", 4),
            ("ammeter-0.15", "0.15", "0.005", 3), ("balance-0.1", "2000", "0.1", 1),
            ("voltmeter-0.1mv", "1999.9", "0.1", 1), ("barometer-inhg", "32", "0.01", 2),
        ):  # fmt: skip
            tool = instrument(slug)
            self.assertEqual((tool.high, tool.graduation, tool.decimals), (high, graduation, decimals), slug)

    def test_inches_of_mercury(self) -> None:
        """29.92 inHg is one standard atmosphere (101.325 kPa; 25.4 mm of conventional mercury, 3.38639 kPa each)."""
        sheet = Sheet({}, {"barometer": "barometer-inhg"}, (Given("p_bar", "29.92"),))
        state = evaluate(method("gas-eudometer"), sheet)
        pressure = next(q for q in state.quantities if q.key == "p_air")
        self.assertAlmostEqual(pressure.value, 29.92 * 3.38639, 2)
