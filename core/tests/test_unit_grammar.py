"""Units as people write them: a strict grammar stands before the library."""

import time
from unittest import TestCase

import pint
from hypothesis import given, settings
from hypothesis import strategies as st

from chromata_core.errors import UnitError
from chromata_core.quantity.definitions import DEFINITIONS
from chromata_core.quantity.unit_grammar import NAMES
from chromata_core.quantity.units import conversion, unit

REGISTRY: "pint.UnitRegistry[float]" = pint.UnitRegistry(None)
REGISTRY.load_definitions(DEFINITIONS.strip().splitlines())


class StrictUnits(TestCase):
    """Free text never reaches the units library: a strict grammar stands before it."""

    def test_what_cannot_be_turned_is_named(self) -> None:
        for source, target, named in (("", "mL", "a plain number cannot"), ("g", "mL", "g cannot be turned into mL")):
            with self.assertRaisesRegex(UnitError, named):
                conversion(source, target)

    def test_what_no_instrument_shows_is_refused_either_way(self) -> None:
        for text in ("µg^4·µL^4", "µg^-4·µL^-4"):  # 10⁻⁷² and 10⁷²
            with self.assertRaisesRegex(UnitError, "far outside"):
                unit(text)

    def test_a_tower_of_powers_is_refused_at_once(self) -> None:
        for text in ("1 mL^9^9^9", "mL^9^9^9", "mL**9**9**9**9", "mL^999", "mL^99", "g" * 4000, "((((g))))",
                     "mL^1e9", "g//s", "/s", "·", "J/mol·K", "__import__('os')", "lambda", "9**9**9**9", "mL^²",
                     "mL⁻"):  # fmt: skip
            with self.subTest(text[:20]):
                began = time.perf_counter()
                with self.assertRaises(UnitError) as raised:
                    unit(text)
                self.assertLess(time.perf_counter() - began, 0.5)
                self.assertTrue(raised.exception.message.endswith("."))

    @settings(max_examples=400, deadline=2000)
    @given(
        st.lists(
            st.tuples(st.sampled_from(sorted(NAMES - {"degC", "degF"})), st.integers(-3, 3).filter(bool)),
            min_size=1,
            max_size=3,
        )
    )
    def test_what_it_accepts_the_library_reads_alike(self, factors: list[tuple[str, int]]) -> None:
        """Outside check: pint's own parser on the same text, with the same definitions."""
        text = "·".join(f"{name}^{power}" for name, power in factors)
        try:
            known_unit = unit(text)
        except UnitError:
            return  # too long or too far out
        peer = REGISTRY.Quantity(1.0, text.replace("·", "*")).to_base_units()
        self.assertAlmostEqual(known_unit.factor / peer.magnitude, 1.0, places=9)
        self.assertEqual(known_unit.dimension, peer.dimensionality)

    @settings(max_examples=400, deadline=2000)
    @given(st.text(alphabet="mLgolJKs/·*^ ()-⁻¹²0123456789%°C", max_size=24))
    def test_any_text_is_a_unit_or_a_sentence(self, text: str) -> None:
        try:
            self.assertGreater(unit(text).factor, 0)
        except UnitError as error:
            self.assertTrue(error.message.endswith("."))

    def test_no_unit_spoils_the_others(self) -> None:
        """pint defines prefixed units as it meets them; one that closed a circle broke every mass in the process."""
        for name in sorted(NAMES):
            unit(name)
        for poison in ("kgram", "kilog"):
            with self.assertRaises(UnitError):
                unit(poison)
        unit.cache_clear()
        for symbol in ("L·atm/(mol·K)", "J/(g·°C)", "g/mol", "V", "kg", "kPa"):
            self.assertGreater(unit(symbol).factor, 0)

    def test_a_divisor_of_several_stands_in_brackets(self) -> None:
        for text in ("J/mol·K", "J/(mol·K", "J/mol·K)"):
            with self.subTest(text), self.assertRaises(UnitError):
                unit(text)
        self.assertEqual(unit("J/(mol)").factor, unit("J/mol").factor)

    def test_what_people_write_behind_a_number(self) -> None:
        for text, factor in (
            ("L·atm/(mol·K)", 101.325), ("J mol⁻¹ K⁻¹", 1.0), ("J/(g·°C)", 1000.0), ("mol/L/s", 1000.0), ("cm³", 1e-6),
            ("kcal/(L·K)", 4184e3), ("1/(M·s)", 1e-3), ("M⁻¹ s⁻¹", 1e-3), ("µM", 1e-3), ("", 1.0),
        ):  # fmt: skip
            with self.subTest(text):
                self.assertAlmostEqual(unit(text).factor / factor, 1.0, places=12)
