"""Digits are counted and rounded on decimal text. Outside check: Python's decimal module, for every tie there is."""

from decimal import ROUND_HALF_EVEN, Decimal
from unittest import TestCase

from hypothesis import given, settings
from hypothesis import strategies as st

from chromata_core.engine.figures_school import figured_typed, shown_in
from chromata_core.formula.figures import Figured, figured
from chromata_core.formula.parse import parse_formula
from chromata_core.instruments.catalogue import CATALOGUE
from chromata_core.quantity.rounding import plain
from chromata_core.quantity.typed import parse_reading
from chromata_core.quantity.units import unit


def said(formula: str, symbol: str, **written: tuple[str, str] | list[tuple[str, str]]) -> str:
    """What a formula over written numbers (text, unit) is shown as, its float worked as the engine does: in SI."""
    known: dict[str, Figured | list[Figured]] = {}
    for key, texts in written.items():
        listed = [figured_typed(parse_reading(text), u) for text, u in (texts if isinstance(texts, list) else [texts])]
        known[key] = listed if isinstance(texts, list) else listed[0]
    item = figured(parse_formula(formula), known)
    value = unit(symbol).from_si(float(item.value) * (1 + 1e-16))
    return shown_in(value, item, symbol).text


class Ties(TestCase):
    def test_every_tied_mean_of_two_readings_of_every_instrument(self) -> None:
        wrong, tried = [], 0
        for tool in {(tool.unit, tool.decimals): tool for tool in CATALOGUE.values() if tool.unit}.values():
            step = Decimal(1).scaleb(-tool.decimals)
            for number in range(95):
                low = Decimal("10.90").quantize(step) + number * step
                texts = [str(low), str(low + 3 * step)]
                exact = (low + low + 3 * step) / 2
                expected = plain(exact.quantize(step, rounding=ROUND_HALF_EVEN), tool.decimals)
                text = said("mean(x)", tool.unit, x=[(text, tool.unit) for text in texts])
                tried += 1
                wrong += [(tool.unit, texts, text, expected)] if text != expected else []
        self.assertGreater(tried, 500)
        self.assertEqual(wrong, [])

    def test_the_mean_of_10_97_and_11_00(self) -> None:
        self.assertEqual(said("mean(x)", "mL", x=[("10.97", "mL"), ("11.00", "mL")]), "10.98")


class Figures(TestCase):
    """By hand, after the usual rules: products keep the fewest figures, sums the fewest decimals."""

    def test_powers_of_ten_lose_no_figure(self) -> None:
        self.assertEqual(said("a / b", "", a=("10.00", "mL"), b=("100.0", "mL")), "0.1000")
        self.assertEqual(
            said("c * V / W", "mol/L", c=("0.1000", "mol/L"), V=("10.00", "mL"), W=("100.0", "mL")), "0.01000"
        )
        self.assertEqual(said("c * V", "mol", c=("0.3374", "mol/L"), V=("10.00", "mL")), "0.003374")

    def test_next_to_nothing_known_to_whole_units_is_nothing(self) -> None:
        self.assertEqual(shown_in(1e-8, Figured(Decimal("1E-8"), 0), "").text, "0")
        self.assertEqual(shown_in(1e-8, Figured(Decimal("1E-8"), 2), "").text, "0.00")

    def test_rounding_up_to_a_power_of_ten_adds_no_figure(self) -> None:
        self.assertEqual(said("a / b", "", a=("29.99", "g"), b=("3.00", "g")), "10.0")
        self.assertEqual(said("a / b * c", "", a=("29.99", "g"), b=("3.00", "g"), c=("1.000", "")), "10.0")

    @settings(max_examples=400)
    @given(st.integers(1000, 9999), st.integers(1000, 9999), st.sampled_from(["mL", "g", "kPa", "mol/L", "mA"]))
    def test_a_product_keeps_four_figures(self, a: int, b: int, symbol: str) -> None:
        """Beside decimal: the exact product rounded half to even to four figures."""
        left, right = Decimal(a).scaleb(-2), Decimal(b).scaleb(-3)
        value = Decimal(said("a * b / c", symbol, a=(str(left), symbol), b=(str(right), symbol), c=("1.00000", symbol)))
        exact = left * right
        place = 3 - exact.adjusted()
        expected = exact.quantize(Decimal(1).scaleb(-place), rounding=ROUND_HALF_EVEN)
        self.assertEqual(value, expected)
        self.assertEqual(len(value.as_tuple().digits), 4)
