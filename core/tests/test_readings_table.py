"""Readings from tables that people have: three shapes, their heads, units, decimal commas and what is wrong in them.

The shapes are common practice, no published source.
"""

from unittest import TestCase

from chromata_core.errors import ChromataError
from chromata_core.methods.registry import method, methods
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Bound, Given, Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.sheet.readings_table import TableRead, read_table


def titration(*given: Given) -> Bound:
    return bind(method("acid-base-titration"), Sheet({"rough_trial": "no"}, given=given))


def read(text: str, bound: Bound | None = None, numbers: bool = False) -> TableRead:
    rows = [(n, line.split("\t")) for n, line in enumerate(text.splitlines(), 1)]
    return read_table(bound or titration(), rows, numbers)


def places(table_read: TableRead) -> list[tuple[str, int | None, int | None, str]]:
    return [(row.key, row.trial, row.index, row.text) for row in table_read.rows]


class Shapes(TestCase):
    def test_a_trial_on_each_line(self) -> None:
        table_read = read("Run\tBurette, start (mL)\tV_end\n1\t0,22\t18.47\n2\t1.05\t19.36 mL")
        self.assertEqual(table_read.shape, "a trial on each line")
        self.assertEqual(
            places(table_read),
            [("V_start", 1, None, "0,22 mL"), ("V_end", 1, None, "18.47"), ("V_start", 2, None, "1.05 mL"),
             ("V_end", 2, None, "19.36 mL")],
        )  # fmt: skip
        self.assertFalse([row.problem for row in table_read.rows if row.problem])

    def test_a_trial_in_each_column(self) -> None:
        table_read = read("\tTrial 1\tTrial 2\nburette  START\t0.22\t1.05\nBurette, end\t18.47\t19.36")
        self.assertEqual(table_read.shape, "a trial in each column")
        self.assertEqual(
            [(row.key, row.trial, row.text) for row in table_read.rows][:2],
            [("V_start", 1, "0.22"), ("V_start", 2, "1.05")],
        )

    def test_a_reading_on_each_line_with_merged_cells(self) -> None:
        table_read = read(
            "Reading\tTrial\tValue\tUnit\nBurette, start\t1\t0.22\tmL\n\t2\t1.05\tmL\n"
            "End point\t1\tThe colour held for 30 s\t"
        )
        self.assertEqual(places(table_read)[1], ("V_start", 2, None, "1.05 mL"))
        self.assertEqual(
            (table_read.rows[2].key, table_read.rows[2].text, table_read.rows[2].problem), ("end_point", "held", "")
        )

    def test_every_example_of_ours_comes_back(self) -> None:
        """As key, trial, index, text: all readings and looks of all methods are recognised and fit."""
        for declared in methods().values():
            sheet = example_sheet(declared)
            bound = bind(declared, Sheet(sheet.options, sheet.instruments))
            parts = {part.key for part in bound.parts}
            given = [given for given in sheet.given if given.key in parts]
            rows = [(1, ["key", "trial", "index", "text"])]
            for n, entry in enumerate(given, 2):
                rows.append(
                    (n, [entry.key, *("" if v is None else str(v) for v in (entry.trial, entry.index)), entry.text])
                )
            back = read_table(bound, rows)
            with self.subTest(declared.slug):
                self.assertEqual([row for row in back.rows if row.problem], [])
                self.assertEqual(places(back), [(row.key, row.trial, row.index, row.text) for row in given])

    def test_a_series_below_its_heads(self) -> None:
        bound = bind(method("potentiometric-titration"), Sheet())
        table_read = read("V (mL)\tE (mV)\n0.00\t402\n1.00\t418", bound)
        self.assertEqual([(row.trial, row.index) for row in table_read.rows], [(1, 1), (1, 1), (1, 2), (1, 2)])


class WhatIsWrong(TestCase):
    def problems(self, table_read: TableRead) -> list[str]:
        return [row.problem for row in table_read.rows if row.problem]

    def test_each_line_says_its_own(self) -> None:
        lines = ("V_start\t1\tabout 5", "V_start\t1\t0.22", "V_end\t1\t18.47 kg", "Colour\t1\tpink", "V_end\t77\t1")
        table_read = read("\n".join(("what\ttrial\tvalue", *lines)))
        self.assertEqual(len(self.problems(table_read)), 5)
        self.assertIn("not one number", table_read.rows[0].problem)
        self.assertIn("line 2", table_read.rows[1].problem)
        self.assertIn("kg", table_read.rows[2].problem)
        self.assertIn("No reading", table_read.rows[3].problem)

    def test_a_column_that_means_nothing_here_is_said_so(self) -> None:
        table_read = read("V_start\tColour\tV_end\n0.22\tpink\t18.47")
        self.assertEqual([(row.label, bool(row.problem)) for row in table_read.rows if not row.key], [("Colour", True)])
        self.assertEqual(len(places(table_read)), 3)
        tall = read("\tTrial 1\nV_start\t0.22\nMy colour\tpink")
        self.assertEqual([row.label for row in tall.rows if row.problem], ["My colour"])

    def test_a_decimal_comma_that_parts_columns_is_told_and_not_taken(self) -> None:
        """As “1,0,22,18,47” comes out of a file whose columns are parted by commas."""
        with self.assertRaisesRegex(ChromataError, "Line 2 has more columns"):
            read("Run\tV_start\tV_end\n1\t0\t22\t18\t47")
        with self.assertRaisesRegex(ChromataError, "Line 2 has more columns"):
            read("V_start\n0\t22")
        without = read("V_s\t20.00\nV_start\t0.22\t1.05")
        self.assertEqual([row.text for row in without.rows], ["20.00", "0.22", "1.05"])

    def test_which_trial_is_never_guessed_where_it_is_said(self) -> None:
        table_read = read("Trial\tV_start\n1\t0.22\nthe good one\t1.05")
        self.assertEqual([bool(row.problem) for row in table_read.rows], [False, True])
        named = read("Sample\tV_start\nBottle A\t0.22")
        self.assertEqual([row.label for row in named.rows if row.problem], ["Sample"])

    def test_what_stands_is_left_and_never_written_over(self) -> None:
        bound = titration(Given("V_start", "0.22", 1), Given("V_end", "18.47", 1))
        table_read = read("what\ttrial\tvalue\nV_start\t1\t0.22\nV_end\t1\t18.57", bound)
        self.assertTrue(table_read.rows[0].known)
        self.assertIn("18.47 is written there already", table_read.rows[1].problem)

    def test_nothing_of_it(self) -> None:
        for text in ("", "\n\t", "Name\tMark\nAda\t5", "x"):
            with self.assertRaises(ChromataError):
                read(text)
        with self.assertRaises(ChromataError):
            read("\n".join(["V_start\tV_end", *["1\t2"] * 6000]))

    def test_very_long_cells_are_no_names_and_keep_nobody_waiting(self) -> None:
        """What a pattern would go over again and again for hours."""
        for cell in ("(" * 200_000, "a" + " " * 200_000 + "b", "[" + "/" * 200_000, "9" * 200_000):
            with self.assertRaises(ChromataError):
                read(f"{cell}\t{cell}\n{cell}\t{cell}")
            table_read = read(f"Trial\tV_start\n{cell}\t0.22\n1\t{cell}")
            self.assertTrue(all(row.problem for row in table_read.rows), cell[:3])

    def test_zeros_that_a_spreadsheet_took_come_back(self) -> None:
        table_read = read("V_start\tV_end\n0.2\t18.5", numbers=True)
        self.assertEqual([row.text for row in table_read.rows], ["0.20", "18.50"])
        self.assertIn("zeros", table_read.notes[0])
        self.assertEqual(
            [row_read.text for row_read in read("V_start\n0.2").rows], ["0.2"], "typed ones are as they were typed"
        )
