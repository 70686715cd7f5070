"""A reading is text with meaning: what was typed, and how many decimals and figures it claims.

Significant figures as in NIST Guide SP 811, 7.9 and any first-year text: leading zeros do not count, trailing ones do.
"""

from decimal import Decimal
from unittest import TestCase

from hypothesis import given, settings
from hypothesis import strategies as st

from chromata_core.errors import ReadingError
from chromata_core.instruments.catalogue import CATALOGUE, instrument
from chromata_core.quantity.typed import Typed, parse_reading


class WhatIsTyped(TestCase):
    CASES = (
        # text, value, decimals, figures
        ("5", "5", 0, 1), ("5.00", "5.00", 2, 3), ("0.050", "0.050", 3, 2), ("22,64", "22.64", 2, 4),
        (" 24.10 ", "24.10", 2, 4), ("−0.5", "-0.5", 1, 1), (".5", "0.5", 1, 1), ("1.20e-3", "0.00120", 5, 3),
        ("1.2 × 10^4", "1.2E+4", -3, 2), ("3.4·10^-2", "0.034", 3, 2), ("3.4⋅10⁻²", "0.034", 3, 2), 
        ("1.20 × 10⁻³", "0.00120", 5, 3), ("0", "0", 0, 1), ("0.00", "0.00", 2, 1), ("100.0", "100.0", 1, 4),
    )  # fmt: skip

    def test_value_decimals_and_figures(self) -> None:
        for text, value, decimals, figures in self.CASES:
            with self.subTest(text):
                typed = parse_reading(text)
                self.assertEqual((typed.value, typed.decimals, typed.figures), (Decimal(value), decimals, figures))

    def test_trailing_zeros_make_different_records(self) -> None:
        self.assertNotEqual(parse_reading("5.00"), parse_reading("5"))

    def test_what_is_not_one_number_is_refused_with_a_sentence(self) -> None:
        for text in ("", "  ", "abc", "1.2.3", "12 13", "--5", "1e99", "٣٤", "22..6", "1" * 50, "5\x00", "=1+1"):
            with self.subTest(text), self.assertRaises(ReadingError) as caught:
                parse_reading(text)
            self.assertTrue(str(caught.exception).endswith("."))

    @settings(max_examples=400)
    @given(st.text(max_size=60))
    def test_no_text_crashes_the_parser(self, text: str) -> None:
        try:
            self.assertIsInstance(parse_reading(text), Typed)
        except ReadingError as error:
            self.assertIn(".", error.message)

    @given(st.decimals(min_value=-10_000, max_value=10_000, places=4, allow_nan=False))
    def test_what_is_written_out_is_read_back(self, number: Decimal) -> None:
        typed = parse_reading(f"{number:f}")
        self.assertEqual((typed.value, typed.decimals), (number, 4))


class OnAnInstrument(TestCase):
    def test_unit_behind_the_number_is_converted_with_its_decimals(self) -> None:
        """0.02264 L on a burette is 22.64 mL, to the hundredth of a millilitre."""
        typed = instrument("burette-50-b").read("0.02264 L", "mL")
        self.assertEqual((typed.value, typed.decimals), (Decimal("22.64"), 2))

    def test_unit_that_does_not_fit_is_refused(self) -> None:
        with self.assertRaisesRegex(Exception, "cannot be turned into mL"):
            instrument("burette-50-b").read("22.64 g", "mL")

    def test_past_the_marks_says_what_to_do(self) -> None:
        with self.assertRaisesRegex(ReadingError, "past the last mark.*cannot be used"):
            instrument("burette-50-b").read("50.10", "mL")
        with self.assertRaisesRegex(ReadingError, "Weigh|weigh"):
            instrument("balance-0.0001").read("310.0000", "g")
        with self.assertRaisesRegex(ReadingError, "below the first mark"):
            instrument("burette-50-b").read("-0.10", "mL")

    def test_a_one_mark_pipette_has_one_volume(self) -> None:
        with self.assertRaisesRegex(ReadingError, "delivers 20 mL and nothing else. Write 20.00"):
            instrument("pipette-20-a").read("25.00", "mL")
        self.assertEqual(instrument("pipette-20-a").read("20.00", "mL").value, Decimal("20.00"))

    def test_every_instrument_reads_its_own_middle(self) -> None:
        for tool in CATALOGUE.values():
            with self.subTest(tool.slug):
                middle = (Decimal(tool.low) + Decimal(tool.high)) / 2
                typed = tool.read(f"{middle:.{tool.decimals}f}", tool.unit)
                self.assertEqual(typed.decimals, tool.decimals)
                self.assertTrue(tool.errors, "an instrument without error terms claims to be perfect")
                self.assertTrue(all(term.basis for term in tool.errors), "every term names its basis")
