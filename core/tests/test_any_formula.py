"""Any arithmetic, well nested or not: every walker of the tree says what Python's own exact fractions say."""

from fractions import Fraction
from itertools import product
from math import inf
from unittest import TestCase

import numpy as np
from hypothesis import assume, given, settings
from hypothesis import strategies as st

from chromata_core.formula.compute import numeric
from chromata_core.formula.figures import Figured, exact, figured
from chromata_core.formula.mathml import plain_text
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.worst_case import Bounded, bounded
from chromata_core.quantity.rounding import decimal_of

KNOWN = {"a": Fraction("21.78"), "b": Fraction("0.24"), "c": Fraction("4.0")}
DECIMALS = {"a": 2, "b": 2, "c": 1}
_LEAVES = st.sampled_from([*KNOWN, "2", "1.05", "3e-1"])


def _joined(inner: st.SearchStrategy[str]) -> st.SearchStrategy[str]:
    return st.one_of(
        st.tuples(inner, st.sampled_from("+-*/"), inner).map(lambda parts: f"({parts[0]} {parts[1]} {parts[2]})"),
        inner.map(lambda part: f"(-{part})"),
        st.tuples(inner, st.sampled_from(["2", "3"])).map(lambda parts: f"({parts[0]} ** {parts[1]})"),
    )


FORMULAS = st.recursive(_LEAVES, _joined, max_leaves=8)


def by_fractions(text: str, known: dict[str, Fraction]) -> Fraction:
    """What Python makes of the formula, in exact fractions."""
    for literal in ("1.05", "3e-1"):
        text = text.replace(literal, f"F('{literal}')")
    try:
        worked = eval(text, {"__builtins__": {}, "F": Fraction}, dict(known))  # our own text, made above
    except ZeroDivisionError:
        assume(False)
    value = Fraction(worked)
    assume(value == 0 or Fraction(1, 10**12) < abs(value) < 10**12)
    return value


class AnyFormula(TestCase):
    def near(self, computed: float, value: Fraction) -> None:
        self.assertLessEqual(abs(computed - float(value)), 1e-6 * max(abs(float(value)), 1e-3))

    @settings(max_examples=300, deadline=None)
    @given(FORMULAS)
    def test_three_walkers_find_the_same_value(self, text: str) -> None:
        value = by_fractions(text, KNOWN)
        tree = parse_formula(text)
        self.near(float(numeric(tree)({key: np.array([float(fraction)]) for key, fraction in KNOWN.items()})[0]), value)
        self.near(bounded(tree, {key: Bounded(float(fraction), 0.0) for key, fraction in KNOWN.items()}).value, value)
        places = {key: Figured(decimal_of(float(fraction)), DECIMALS[key]) for key, fraction in KNOWN.items()}
        self.near(float(figured(tree, places).value), value)

    @settings(max_examples=300, deadline=None)
    @given(FORMULAS)
    def test_what_is_shown_reads_back_as_what_was_meant(self, text: str) -> None:
        value = by_fractions(text, KNOWN)
        shown = plain_text(parse_formula(text), str).replace("×", "*")
        again = numeric(parse_formula(shown))({key: np.array([float(fraction)]) for key, fraction in KNOWN.items()})
        self.near(float(again[0]), value)

    @settings(max_examples=200, deadline=None)
    @given(FORMULAS)
    def test_exact_numbers_limit_no_figures(self, text: str) -> None:
        by_fractions(text, KNOWN)
        self.assertEqual(
            figured(parse_formula(text), {key: exact(float(fraction)) for key, fraction in KNOWN.items()}).place, inf
        )

    @settings(max_examples=200, deadline=None)
    @given(st.recursive(_LEAVES, lambda inner: st.tuples(inner, st.sampled_from("+-"), inner).map(
        lambda parts: f"({parts[0]} {parts[1]} {parts[2]})"), max_leaves=8))  # fmt: skip
    def test_no_corner_of_a_sum_lies_beyond_its_worst_case(self, text: str) -> None:
        error = Fraction("0.05")
        bounds = bounded(parse_formula(text), {key: Bounded(float(fraction), 0.05) for key, fraction in KNOWN.items()})
        corners = [
            by_fractions(
                text, {key: fraction + sign * error for (key, fraction), sign in zip(KNOWN.items(), signs, strict=True)}
            )
            for signs in product((-1, 1), repeat=len(KNOWN))
        ]
        self.assertLessEqual(max(abs(float(corner) - bounds.value) for corner in corners), bounds.error + 1e-9)
