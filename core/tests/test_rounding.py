"""Rounding half to even on the decimal text, and stating value ± U (GUM 7.2.6; NIST SP 811, B.7)."""

from decimal import Decimal
from unittest import TestCase

from hypothesis import given
from hypothesis import strategies as st

from chromata_core.formula.figures import Figured, exact, figured
from chromata_core.formula.parse import parse_formula
from chromata_core.quantity.report import report
from chromata_core.quantity.rounding import plain, rounded, with_figures


class HalfToEven(TestCase):
    def test_ties_go_to_the_even_digit_on_the_text_not_on_the_float(self) -> None:
        """NIST SP 811 B.7.1: 6.974 950 5 to six figures… and 2.5 → 2, 3.5 → 4; 1.005 is a tie, not 1.00499…"""
        for value, place, text in (
            (2.5, 0, "2"),
            (3.5, 0, "4"),
            (1.005, 2, "1.00"),
            (1.015, 2, "1.02"),
            (0.145, 2, "0.14"),
        ):
            with self.subTest(value):
                self.assertEqual(plain(value, place), text)

    @given(st.floats(-1e6, 1e6, allow_nan=False), st.integers(0, 8))
    def test_rounding_moves_by_half_a_place_at_most(self, value: float, place: int) -> None:
        moved = abs(rounded(value, place) - Decimal(repr(value)))
        self.assertLessEqual(moved, Decimal(5).scaleb(-place - 1))

    def test_figures(self) -> None:
        for value, figures, text in (
            (0.09962, 2, "0.10"), (123456, 2, "1.2 × 10⁵"), (0.000012, 2, "1.2 × 10⁻⁵"),
            (22.64, 4, "22.64"), (0, 3, "0"),
        ):  # fmt: skip
            with self.subTest(value):
                self.assertEqual(with_figures(value, figures), text)


class ValueWithUncertainty(TestCase):
    CASES = (
        # value, U, written
        (0.87264, 0.00513, "0.8726 ± 0.0051"),
        (100.02147, 0.00079, "100.02147 ± 0.00079"),  # GUM 7.2.2: m = 100.021 47 g with U = 0.79 mg
        (9.96, 0.0996, "9.96 ± 0.10"),
        (1.1234e-12, 0.05e-12, "(1.123 ± 0.050) × 10⁻¹²"),
        (1234567.0, 8900.0, "(1.2346 ± 0.0089) × 10⁶"),
        (0.0951, 0.0498, "0.095 ± 0.050"),
        (3, 25, "3 ± 25"),
        (123456, 12, "123456 ± 12"),
        (1234567, 12, "(1.234567 ± 0.000012) × 10⁶"),
        (0.00012, 0.00003, "0.000120 ± 0.000030"),
        (0.000012, 0.000003, "(1.20 ± 0.30) × 10⁻⁵"),
    )

    def test_two_figures_of_u_and_the_value_to_the_same_place(self) -> None:
        for value, expanded, text in self.CASES:
            with self.subTest(text):
                self.assertEqual(report(value, expanded).text, text)

    def test_the_doubtful_digits_are_those_that_u_reaches(self) -> None:
        self.assertEqual(report(0.87264, 0.00513).doubtful, 2)
        self.assertEqual(report(0.0951, 0.0498).doubtful, 2)

    def test_without_an_uncertainty_four_figures_and_no_claim(self) -> None:
        for value, text in ((0.87264, "0.8726"), (12.3456, "12.35"), (0.0, "0")):
            self.assertEqual((report(value, 0.0).text, report(value, 0.0).doubtful), (text, 1))

    @given(st.floats(1e-9, 1e9), st.floats(1e-6, 10))
    def test_value_and_u_always_end_at_the_same_place(self, value: float, relative: float) -> None:
        reported = report(value, value * relative)
        self.assertEqual(len(reported.value.partition(".")[2]), len(reported.uncertainty.partition(".")[2]), reported)


numbers = st.builds(
    lambda digits, place: Figured(Decimal(digits).scaleb(-place), place), st.integers(1, 999_999), st.integers(0, 6)
)


class FiguresSchoolHolds(TestCase):
    """The rules as laws, on any pair of written numbers."""

    @given(numbers, numbers)
    def test_a_sum_knows_no_more_decimals_than_its_worst_term(self, a: Figured, b: Figured) -> None:
        self.assertEqual(figured(parse_formula("a + b"), {"a": a, "b": b}).place, min(a.place, b.place))

    @given(numbers, numbers)
    def test_a_product_or_quotient_has_the_figures_of_its_worst_factor(self, a: Figured, b: Figured) -> None:
        for formula in ("a * b", "a / b"):
            self.assertEqual(figured(parse_formula(formula), {"a": a, "b": b}).figures, min(a.figures, b.figures))

    @given(numbers)
    def test_a_logarithm_has_as_many_decimals_as_its_argument_figures_and_back(self, a: Figured) -> None:
        logarithm = figured(parse_formula("log10(a)"), {"a": a})
        self.assertEqual(logarithm.place, a.figures)
        self.assertEqual(figured(parse_formula("exp(b)"), {"b": Figured(Decimal("1.5"), a.figures)}).figures, a.figures)

    @given(numbers, st.integers(2, 9))
    def test_an_exact_factor_limits_nothing(self, a: Figured, n: int) -> None:
        self.assertEqual(figured(parse_formula(f"{n} * a"), {"a": a}).figures, a.figures)


class FiguresSchool(TestCase):
    """Sums keep decimals, products keep figures, logarithms keep the mantissa (common rule; SP 811 B.7.2 for sums)."""

    def test_rules(self) -> None:
        known = {
            "a": Figured(Decimal("22.64"), 2),
            "b": Figured(Decimal("1.1"), 1),
            "h": Figured(Decimal("3.2e-5"), 6),
            "n": exact(2.0),
        }
        for formula, decimals in (
            ("a - b", 1),
            ("a * b", 0),
            ("a / n", 2),
            ("log10(h)", 2),
            ("sqrt(a)", 3),
            ("-a + a", 2),
        ):
            with self.subTest(formula):
                self.assertEqual(figured(parse_formula(formula), known).place, decimals)
