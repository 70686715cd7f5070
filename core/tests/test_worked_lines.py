"""The worked computation: formula, numbers with their units, answer with the figures it deserves."""

from unittest import TestCase
from xml.etree import ElementTree

from chromata_core.engine.context import context_of
from chromata_core.engine.shown import Shown
from chromata_core.methods.registry import method
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.explain import constants, explain
from chromata_core.telling.outcome import WorkedLine
from tests.sheets import crucible, titration

SHEET = titration(
    ("0.24", "21.78"), ("0.88", "22.48"), options={"c_t": "0.1026", "c_t.limit": "0.0004", "dilution": "10"}
)


def lines(slug: str, sheet: Sheet) -> dict[tuple[str, int | None], WorkedLine]:
    return {(line.key, line.trial): line for line in explain(context_of(method(slug), sheet))}


class Titration(TestCase):
    worked = lines("acid-base-titration", SHEET)

    def test_a_difference_with_units_and_decimals_kept(self) -> None:
        self.assertEqual(self.worked["V", 1].plain, "V = V_end − V_start = 21.78 mL − 0.24 mL = 21.54 mL")

    def test_the_rough_trial_is_worked_and_named(self) -> None:
        line = self.worked["V", 0]
        self.assertEqual((line.trial_name, line.answer.text), ("rough trial", "22.4"))

    def test_the_mean_lists_what_was_averaged(self) -> None:
        self.assertEqual(self.worked["V_mean", None].plain, "V̄ = mean(V) = mean(21.54; 21.60 mL) = 21.57 mL")

    def test_the_result_ends_where_its_uncertainty_begins(self) -> None:
        line = self.worked["c_s", None]
        self.assertIn("0.1026 mol/L", line.plain)
        self.assertTrue(line.plain.endswith("= 1.1065 mol/L"))
        self.assertEqual(line.answer.doubtful, 2)

    def test_what_is_taken_as_known_is_said(self) -> None:
        sentences = [constant.text for constant in constants(context_of(method("acid-base-titration"), SHEET))]
        self.assertIn("Titrant concentration: 0.1026 ± 0.0004 mol/L", sentences)
        self.assertIn("M(CH₃COOH) = 60.0520 g/mol", sentences)

    def test_a_refill_appears_only_where_there_was_one(self) -> None:
        self.assertNotIn("V_stop", self.worked["V", 1].plain)
        sheet = titration(("30.00", "12.10"), rough=None)
        refill = (Given("V_stop", "49.50", 1), Given("V_refilled", "0.20", 1))
        line = lines("acid-base-titration", Sheet(sheet.options, sheet.instruments, (*sheet.given, *refill)))["V", 1]
        self.assertTrue(line.plain.endswith("= 12.10 mL − 30.00 mL + 49.50 mL − 0.20 mL = 31.40 mL"))

    def test_mathematics_is_well_formed(self) -> None:
        for line in (*self.worked.values(), *lines("hydrate", crucible("33.449", "33.447")).values()):
            for part in (line.symbol, line.formula, line.numbers):
                ElementTree.fromstring(f"<math>{part}</math>")

    def test_what_a_student_wrote_cannot_become_markup(self) -> None:
        sheet = Sheet({"M_s": "CH3COOH", "titrant": "NaOH"}, {}, ())
        for line in constants(context_of(method("acid-base-titration"), sheet)):
            self.assertNotIn("<", line.text)


class Hydrate(TestCase):
    def test_a_series_is_listed_and_its_last_used(self) -> None:
        line = lines("hydrate", crucible("33.501", "33.449", "33.447"))["m_water", 1]
        self.assertIn("m_before − last(m_heated) = 34.556 g − last(33.501; 33.449; 33.447 g) = 1.109 g", line.plain)


class RowByRow(TestCase):
    def test_each_row_has_its_line(self) -> None:
        """0.561 g of zinc, 65.38 g/mol: 8.58 mmol of hydrogen, by hand."""
        line = lines("alloy-by-gas", example_sheet(method("alloy-by-gas")))["n_foretold", None]
        self.assertEqual(line.plain, "n_expected = m_pure / M_Zn = 0.561 g / 65.3800 g/mol = 8.58 mmol")


class FiguresShown(TestCase):
    def test_parts_of_a_number_that_are_in_doubt(self) -> None:
        for text, doubtful, parts in (
            ("22.64", 1, ("22.6", "4", "")), ("0.8726", 2, ("0.87", "26", "")), ("8.5", 2, ("", "8.5", "")),
            ("120", 0, ("120", "", "")), ("Overshot", 0, ("Overshot", "", "")),
            ("7.00 × 10³", 1, ("7.0", "0", " × 10³")),
        ):  # fmt: skip
            self.assertEqual(Shown(text, doubtful, "").parts, parts)

    def test_quantities_keep_the_decimals_their_readings_allow(self) -> None:
        trial = evaluate(method("hydrate"), crucible("33.449", "33.447")).trials[0]
        shown = {quantity.key: quantity.shown.text for quantity in trial.quantities}
        self.assertEqual((shown["m_hydrate"], shown["m_water"], shown["w_t"]), ("3.074", "1.109", "36.08"))
