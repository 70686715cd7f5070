"""The school of apparatus errors: absolute errors add in sums, percentage errors in products. Common practice."""

from unittest import TestCase
from unittest.mock import patch

from chromata_core.curves.line import CurveError
from chromata_core.engine.apparatus_school import worst_cases
from chromata_core.engine.context import context_of
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.worst_case import Bounded, bounded
from chromata_core.methods.registry import method
from chromata_core.sheet.example import example_sheet
from chromata_core.telling.evaluate import evaluate
from tests.sheets import titration


class Rules(TestCase):
    def test_by_hand(self) -> None:
        known = {
            "a": Bounded(21.78, 0.05), "b": Bounded(0.24, 0.05), "c": Bounded(4.0, 0.1), "z": Bounded(0.0, 0.1),
            "s": [Bounded(2.0, 0.1), Bounded(4.0, 0.3)],
        }  # fmt: skip
        for formula, value, error in (
            ("a - b", 21.54, 0.10), ("a + b", 22.02, 0.10), ("a * c", 87.12, 87.12 * (0.05 / 21.78 + 0.025)),
            ("z * c", 0.0, 0.4), ("z / c", 0.0, 0.025),
            ("a / c", 5.445, 5.445 * (0.05 / 21.78 + 0.025)), ("c ** 3", 64.0, 64 * 3 * 0.025), ("2 * c", 8.0, 0.2),
            ("mean(s)", 3.0, 0.2), ("last(s)", 4.0, 0.3), ("2 * s", 8.0, 0.6), ("sum(s)", 6.0, 0.4),
            ("-c", -4.0, 0.1), ("-(a - b)", -21.54, 0.10), ("(-c) * a", -87.12, 87.12 * (0.05 / 21.78 + 0.025)),
            ("c ** -2", 0.0625, 0.0625 * 2 * 0.025), ("-c / b", -4 / 0.24, 4 / 0.24 * (0.025 + 0.05 / 0.24)),
            ("log10(c)", 0.602059991, 0.010995384),  # log10 4, and log10 4 − log10 3.9, the larger of both sides
        ):  # fmt: skip
            with self.subTest(formula):
                bounds = bounded(parse_formula(formula), known)
                self.assertAlmostEqual(bounds.value, value, places=9)
                self.assertAlmostEqual(bounds.error, error, places=9)

    def test_of_nothing_no_error_is_a_share(self) -> None:
        self.assertEqual(Bounded(0.0, 0.1).relative, 0.0)
        self.assertAlmostEqual(Bounded(-4.0, 0.1).relative, 0.025)

    def test_a_balance_and_four_cylinders_by_hand(self) -> None:
        """6.03 g ± (0.01 + half a step of 0.01); 342.6 mL ± 4 × (0.5 + 0.2): 0.25 % and 0.82 % of 17.60 g/L."""
        series = method("molarity-series")
        worst = worst_cases(context_of(series, example_sheet(series)))
        self.assertEqual(worst["gamma", 1], "± 0.19 g/L (1.1 %)")

    def test_a_titration_by_hand(self) -> None:
        """Class B burette ±0.10 once, ±0.02 at each reading; pipette ±0.03; titrant ±0.0005 in 0.1000 mol/L."""
        sheet = titration(("0.24", "21.78"), rough=None)
        result = evaluate(method("acid-base-titration"), sheet).results[0]
        relative = 0.0005 / 0.1 + (0.10 + 0.02 + 0.02) / 21.54 + 0.03 / 20.00
        self.assertEqual(result.worst_case, f"± {result.value * relative:.4f} mol/L ({relative * 100:.1f} %)")

    def test_what_hangs_on_the_last_bit_has_none(self) -> None:
        """A curve that readings a little off would not give: nothing is claimed of it nor of what follows from it."""
        for slug in ("acid-base-titration", "beer-lambert"):
            shipped = method(slug)
            at = context_of(shipped, example_sheet(shipped))
            with (
                self.subTest(slug),
                patch("chromata_core.engine.apparatus_school.bounded", side_effect=CurveError("lost")),
            ):
                self.assertEqual(set(worst_cases(at).values()), {""})

    def test_it_is_larger_than_the_gum_uncertainty(self) -> None:
        result = evaluate(method("acid-base-titration"), titration(("0.24", "21.78"), ("0.10", "21.64"))).results[0]
        self.assertGreater(float(result.worst_case.split()[1]), result.expanded)
