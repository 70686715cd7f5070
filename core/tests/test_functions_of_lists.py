"""The functions of the formula language over series: beside Python's statistics and finite differences."""

import statistics
from collections.abc import Sequence
from decimal import Decimal
from unittest import TestCase

import numpy as np
from CoolProp.CoolProp import PropsSI
from hypothesis import given
from hypothesis import strategies as st

from chromata_core.errors import ChromataError, FormulaError
from chromata_core.formula.compute import numeric
from chromata_core.formula.dimension import dimension_of
from chromata_core.formula.figures import Figured, figured
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.worst_case import Bounded, bounded
from chromata_core.quantity.units import unit

STEP = 1e-100
lists = st.lists(st.floats(0.5, 2.0), min_size=3, max_size=9)


def worked(formula: str, values: Sequence[float], place: int | None = None) -> tuple[float, float]:
    """A formula of the series x, with its exact slope along one of the readings."""
    column = np.array(values, dtype=complex)[:, None]
    if place is not None:
        column[place] += 1j * STEP
    value = numeric(parse_formula(formula))({"x": column})
    return float(value.real.flat[0]), float(np.imag(value).flat[0]) / STEP


class OfOneSeries(TestCase):
    @given(lists)
    def test_values_are_those_of_the_standard_library(self, xs: list[float]) -> None:
        for formula, expected in (
            ("mean(x)", statistics.fmean(xs)), ("sd(x)", statistics.stdev(xs)), ("sum(x)", sum(xs)),
            ("count(x)", len(xs)), ("last(x)", xs[-1]), ("first(x)", xs[0]),
        ):  # fmt: skip
            self.assertAlmostEqual(worked(formula, xs)[0], expected, places=9)

    def test_the_slope_of_s_is_the_deviation_of_the_reading(self) -> None:
        """∂s/∂xᵢ = (xᵢ − x̄)/((n − 1)·s), by differentiating s² = Σ(x − x̄)²/(n − 1)."""
        xs = [0.4987, 0.4991, 0.4979, 0.4985]
        mean, s = statistics.fmean(xs), statistics.stdev(xs)
        for place, x in enumerate(xs):
            self.assertAlmostEqual(worked("sd(x)", xs, place)[1], (x - mean) / (3 * s), places=9)

    def test_what_few_values_leave_open_of_an_s(self) -> None:
        """GUM, table E.1: the relative standard deviation of s is 24 % for n = 10, 16 % for 20, 76 % for 2 (exact)."""
        for n, percent in ((10, 24), (20, 16)):
            self.assertAlmostEqual(100 * worked("doubt_of_sd(x)", [1.0] * n)[0], percent, delta=0.5)

    def test_two_values_have_one(self) -> None:
        self.assertAlmostEqual(worked("sd(x)", [1.0, 3.0])[0], 2**0.5)
        self.assertAlmostEqual(worked("doubt_of_sd(x)", [1.0, 3.0])[0], 0.5**0.5)

    def test_one_value_has_no_scatter(self) -> None:
        for formula in ("sd(x)", "doubt_of_sd(x)"):
            with self.assertRaisesRegex(ChromataError, "at least two"):
                worked(formula, [1.0])

    def test_figures_and_apparatus_errors_of_a_series(self) -> None:
        tree = parse_formula("sd(x)")
        known = [Figured(Decimal(text), 4) for text in ("0.4987", "0.4991", "0.4979")]
        self.assertEqual(figured(tree, {"x": [*known]}).place, 4)
        self.assertEqual(figured(parse_formula("count(x)"), {"x": [*known]}).place, float("inf"))
        limits = [Bounded(100.0, 0.5), Bounded(100.0, 0.5), Bounded(67.2, 0.5)]
        self.assertAlmostEqual(bounded(parse_formula("sum(x)"), {"x": [*limits]}).error, 1.5)
        self.assertAlmostEqual(bounded(parse_formula("mean(x)"), {"x": [*limits]}).error, 0.5)


class OfTwo(TestCase):
    def test_the_lesser_and_whose_error_it_has(self) -> None:
        tree = parse_formula("lesser(a, b)")
        a, b = np.array([2.0 + 1j * STEP]), np.array([3.0 + 5j * STEP])
        lesser = numeric(tree)({"a": a, "b": b})
        self.assertEqual((lesser.real[0], lesser.imag[0] / STEP), (2.0, 1.0))
        limited = bounded(tree, {"a": Bounded(2.0, 0.1), "b": Bounded(3.0, 0.4)})
        self.assertEqual((limited.value, round(limited.error, 12)), (2.0, 0.1))

    def test_units_must_fit(self) -> None:
        known = {"m": unit("g").dimension, "n": unit("mol").dimension, "T": unit("°C").dimension}
        self.assertEqual(dimension_of(parse_formula("water_density(T)"), known), unit("g/mL").dimension)
        for formula in ("lesser(m, n)", "water_density(m)", "ln(m)", "value_at(m, n, n)"):
            with self.assertRaisesRegex(FormulaError, "wants"):
                dimension_of(parse_formula(formula), known)

    def test_the_number_of_arguments_is_checked(self) -> None:
        for formula in ("lesser(m)", "mean(m, n)", "value_at(m, n)"):
            with self.assertRaisesRegex(FormulaError, "values and is given"):
                parse_formula(formula)


class Water(TestCase):
    def test_density_and_its_slope_along_the_thermometer(self) -> None:
        """Beside CoolProp (IAPWS-95): the value to 1 × 10⁻⁵, the slope to 1 % at 21.4 °C and in a warm room."""
        for celsius in (15.0, 21.4, 33.0):
            column = np.array([celsius + 273.15 + 1j * STEP])
            density = numeric(parse_formula("water_density(T)"))({"T": column})
            low, high = (PropsSI("D", "T", celsius + 273.15 + d, "P", 101325, "Water") for d in (-0.05, 0.05))
            self.assertAlmostEqual(float(density.real[0]), (low + high) / 2, delta=0.01)
            self.assertAlmostEqual(float(density.imag[0]) / STEP, (high - low) / 0.1, delta=0.003)
