"""Logged curves as loggers and spreadsheets write them."""

from unittest import TestCase

from chromata_core.errors import SheetError
from chromata_core.sheet.pairs_file import read_pairs


class LoggedCurve(TestCase):
    def test_the_usual_forms(self) -> None:
        wanted = [("0.00", "275"), ("0.50", "341")]
        for text in (
            "0.00,275\n0.50,341\n", "V/mL,E/mV\n0.00,275\n0.50,341", "0.00\t275\tok\n0.50\t341\tok\n",
            "\ufeffVolume;Potential\n\n0.00;275\n0.50;341\n",
        ):  # fmt: skip
            self.assertEqual(read_pairs(text), wanted)

    def test_decimal_commas_stay_as_written(self) -> None:
        self.assertEqual(read_pairs("0,00;275\n0,50;341"), [("0,00", "275"), ("0,50", "341")])

    def test_what_cannot_be_read_is_said_with_its_line(self) -> None:
        for text, sentence in (
            ("", "No pairs"),
            ("a,b\n", "No pairs"),
            ("0.0,1\n0.5,x\n", "Line 2"),
            ("1,2\n" * 101, "101"),
        ):
            with self.assertRaisesRegex(SheetError, sentence):
                read_pairs(text)
