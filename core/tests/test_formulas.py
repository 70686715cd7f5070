"""The formula language: arithmetic and nothing else, with units checked before anything is computed."""

from dataclasses import replace
from decimal import Decimal
from unittest import TestCase

import numpy as np
import pint
from hypothesis import given, settings
from hypothesis import strategies as st

from chromata_core.declaration.vocabulary import Method, Quantity
from chromata_core.errors import DeclarationError, FormulaError
from chromata_core.formula.compute import numeric
from chromata_core.formula.dimension import dimension_of
from chromata_core.formula.figures import Figured, figured
from chromata_core.formula.mathml import mathml, plain_text, symbol_mathml
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import names
from chromata_core.loading.load import load
from chromata_core.methods.registry import method
from chromata_core.quantity.units import conversion, unit


class OnlyArithmetic(TestCase):
    def test_names_are_found_in_order(self) -> None:
        self.assertEqual(names(parse_formula("c_t * V / (z * V_s) + mean(V)")), ("c_t", "V", "z", "V_s"))

    def test_code_is_refused(self) -> None:
        for text in (
            "__import__('os')", "a.b", "a[0]", "lambda: 1", "a if b else c", "a < b", "f(a, b)", "print(a)", "a; b",
            "'x'", "True", "a := 2", "", "(", "9" * 500, "[a]", "a @ b", "~a",
        ):  # fmt: skip
            with self.subTest(text[:20]), self.assertRaises(FormulaError):
                parse_formula(text)

    @settings(max_examples=300)
    @given(st.text(max_size=40))
    def test_no_text_does_anything_but_parse_or_refuse(self, text: str) -> None:
        try:
            parse_formula(text)
        except FormulaError as error:
            self.assertTrue(error.message)

    def test_four_hundred_characters_are_read_and_no_more(self) -> None:
        longest = "a" + " + a" * 99 + "   "
        self.assertEqual(set(names(parse_formula(longest))), {"a"})
        with self.assertRaisesRegex(FormulaError, "401 characters is too long. Split it"):
            parse_formula(f"{longest} ")

    def test_shown_as_mathematics_and_as_text(self) -> None:
        tree = parse_formula("c_t * V / (m - m_0)")
        self.assertEqual(plain_text(tree, str), "c_t × V / (m − m_0)")
        self.assertIn("<mfrac>", mathml(tree, symbol_mathml))
        self.assertIn("<msub><mi>c</mi><mtext>t</mtext></msub>", mathml(tree, symbol_mathml))

    def test_subtracting_a_sum_keeps_its_brackets(self) -> None:
        self.assertEqual(plain_text(parse_formula("a - (b - c)"), str), "a − (b − c)")
        self.assertEqual(plain_text(parse_formula("a / (b / c)"), str), "a / (b / c)")

    def test_brackets_in_mathematics_are_those_that_are_needed(self) -> None:
        for text, brackets in (
            ("a - (b - c)", 1), ("a - (b + c)", 1), ("a + (b - c)", 0), ("(a - b) - c", 0), ("a - b * c", 0),
            ("a * (b + c)", 1), ("a * (b * c)", 0), ("-(a + b)", 1), ("-(a * b)", 0), ("(a + b) / (c - d)", 0),
        ):  # fmt: skip
            with self.subTest(text):
                self.assertEqual(mathml(parse_formula(text), symbol_mathml).count("<mo>(</mo>"), brackets)

    def test_the_base_of_a_power_keeps_its_brackets(self) -> None:
        """Otherwise (−a)² reads as −a², and (a/b)² as a/b²."""
        self.assertEqual(plain_text(parse_formula("(-a) ** 2"), str), "(−a)^2")
        self.assertEqual(plain_text(parse_formula("(a ** 2) ** 3"), str), "(a^2)^3")
        for text, shown in (("-(a / b)", "−a / b"), ("-(a * b)", "−(a × b)"), ("-(a + b)", "−(a + b)")):
            self.assertEqual(plain_text(parse_formula(text), str), shown)
        self.assertIn("<mo>(</mo><mfrac>", mathml(parse_formula("(a / b) ** 2"), symbol_mathml))
        self.assertNotIn("<mo>(</mo>", mathml(parse_formula("a / b * c"), symbol_mathml))


class FiguresOfADifference(TestCase):
    def test_what_nearly_cancels_keeps_the_place_of_its_last_known_digit(self) -> None:
        """21.54 − 21.53 is 0.01, one figure; 21.54 − 21.538 is less than what either is known to. Common practice."""
        known = {"a": Figured(Decimal("21.54"), 2), "c": Figured(Decimal("4.00"), 2)}
        for other, value, place in (("21.53", "0.04", 2), ("21.538", "0.008", 2)):
            worked = figured(parse_formula("(a - b) * c"), known | {"b": Figured(Decimal(other), 2)})
            self.assertEqual((worked.value, worked.place), (Decimal(value), place))


class Units(TestCase):
    def test_conversions_people_need(self) -> None:
        """Conventional mmHg 133.322387415 Pa; inch 25.4 mm exactly; 0 °C = 273.15 K (NIST SP 811, appendix B)."""
        self.assertAlmostEqual(unit("mmHg").to_si(760), 101325.0144, places=3)
        self.assertAlmostEqual(unit("inHg").to_si(1), 3386.389, places=2)
        self.assertAlmostEqual(unit("°C").to_si(25), 298.15, places=9)
        self.assertAlmostEqual(unit("M").to_si(0.1), 100.0)
        self.assertEqual(conversion("L", "mL"), (1000.0, 0.0))
        self.assertAlmostEqual(unit("°F").to_si(212), 373.15, places=9)
        self.assertEqual(unit("kcal").to_si(1), 4184.0)

    def test_every_unit_agrees_with_pint_s_own_list(self) -> None:
        """Our short list beside the whole one that pint ships; torr and mmHg are told apart in both."""
        whole = pint.UnitRegistry(autoconvert_offset_to_baseunit=True)
        for symbol in (
            "mL", "L", "cm**3", "mg", "kg", "mmol/L", "kPa", "mbar", "atm", "torr", "kcal", "kJ/mol", "mV", "mA", "min",
            "h", "nm", "J/(g*K)", "g/dL", "degC", "ppm",
        ):  # fmt: skip
            with self.subTest(symbol):
                peer = whole.Quantity(3.0, symbol).to_base_units()
                self.assertAlmostEqual(unit(symbol).to_si(3.0) / peer.magnitude, 1.0, places=9)

    def test_powers_of_a_unit(self) -> None:
        known = {"t": unit("s").dimension}
        for formula, symbol in (("t**2", "s²"), ("t**-1", "1/s"), ("t**(-2)", "1/s²"), ("(t**4)**(1/2)", "s²")):
            with self.subTest(formula):
                self.assertEqual(dimension_of(parse_formula(formula), known), unit(symbol).dimension)

    def test_a_sum_of_unlike_things_is_refused_with_both_named(self) -> None:
        known = {"m": unit("g").dimension, "V": unit("mL").dimension}
        with self.assertRaisesRegex(FormulaError, "cannot be added to"):
            dimension_of(parse_formula("m + V"), known)
        with self.assertRaisesRegex(FormulaError, "wants a plain number"):
            dimension_of(parse_formula("ln(m)"), known)


class WrongDeclarations(TestCase):
    """A declaration that contradicts itself never reaches a bench."""

    @staticmethod
    def changed(**parts: object) -> Method:
        return replace(method("acid-base-titration"), **parts)

    def refused(self, sentence: str, **parts: object) -> None:
        with self.assertRaisesRegex(DeclarationError, sentence):
            load(self.changed(**parts))

    def with_formula(self, formula: str, unit_text: str) -> dict[str, object]:
        quantities = method("acid-base-titration").quantities
        return {"quantities": (*quantities, Quantity("bad", "Bad", formula, unit_text, "bad", "summary"))}

    def test_units_that_do_not_fit(self) -> None:
        self.refused("gives .*substance.*but g is", **self.with_formula("c_t * V_mean", "g"))

    def test_a_name_nobody_declared_is_answered_with_the_near_ones(self) -> None:
        self.refused("Did you mean “V_mean”", **self.with_formula("V_maen", "mL"))

    def test_a_mean_needs_a_line_of_its_own(self) -> None:
        self.refused("line of its own", **self.with_formula("c_t * mean(V) / V_s", "mol/L"))

    def test_a_reading_that_no_step_asks_for(self) -> None:
        steps = tuple(step for step in method("acid-base-titration").steps if step.key != "end")
        self.refused("No step asks for “V_end”", steps=steps)

    def test_an_instrument_role_that_does_not_exist(self) -> None:
        self.refused("there is no instrument role “pipette”", roles=method("acid-base-titration").roles[:1])


class Literals(TestCase):
    def test_a_literal_behind_a_power_or_a_minus_is_read_where_it_stands(self) -> None:
        """Outside check: Python's own arithmetic on the same text."""
        for text in ("k*x^y*1.05", "m * (m/m)^(m/m) * 1.5", "x − 2.50", "2^3^0.5 − x^2*10.25"):
            with self.subTest(text):
                known = {"k": 2.0, "x": 3.0, "y": 1.5, "m": 4.0}
                value = numeric(parse_formula(text))({key: np.array([value]) for key, value in known.items()})
                self.assertAlmostEqual(float(value[0]), eval(text.replace("^", "**").replace("−", "-"), {}, known))

    def test_no_literal_takes_long_to_work_out(self) -> None:
        for text in ("m^1e999999999", "m^(1/0)", "m^13", "1e400", "1_000", "0x10", "1j"):
            with self.subTest(text), self.assertRaises(FormulaError):
                dimension_of(parse_formula(text), {"m": unit("g").dimension})

    def test_units_of_a_power_before_other_factors(self) -> None:
        grams = unit("g").dimension
        self.assertEqual(dimension_of(parse_formula("m^2 / m"), {"m": grams}), grams)
