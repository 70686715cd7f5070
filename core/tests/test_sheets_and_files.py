"""What a sheet accepts: options with their consequences, readings in their place, files that pair up."""

import csv
import io
import json
from unittest import TestCase

from chromata_core.errors import SheetError
from chromata_core.method.sheet import Given, Sheet, bind, resolve_options
from chromata_core.method.sheet_file import read_sheet
from chromata_core.methods.registry import method, methods

TITRATION = method("acid-base-titration")


class Options(TestCase):
    def test_a_choice_sets_others_unless_they_were_chosen(self) -> None:
        self.assertEqual(resolve_options(TITRATION, {"titrant": "H2SO4"})["z_t"], "2")
        self.assertEqual(resolve_options(TITRATION, {"titrant": "H2SO4", "z_t": "1"})["z_t"], "1")

    def test_a_standard_sets_its_titrant_indicator_and_ratio(self) -> None:
        chosen = resolve_options(method("standardisation"), {"M_p": "Na2CO3"})
        self.assertEqual((chosen["titrant"], chosen["z_p"], chosen["indicator"]), ("HCl", "2", "methyl-orange"))

    def test_a_typed_formula_is_a_substance_too(self) -> None:
        self.assertEqual(resolve_options(TITRATION, {"M_s": "H3PO4"})["M_s"], "H3PO4")

    def test_all_faults_are_told_at_once(self) -> None:
        with self.assertRaises(SheetError) as caught:
            resolve_options(TITRATION, {"titrant": "milk", "c_t": "x", "colour": "red", "c_t.limit": "-1"})
        self.assertEqual(len(caught.exception.problems), 3)
        self.assertTrue(all(problem.endswith((".", "?")) for problem in caught.exception.problems))

    def test_only_one_way_of_weighing_exists_at_a_time(self) -> None:
        declared = method("standardisation")
        keys = {w: {r.key for r in bind(declared, Sheet({"weighing": w})).readings} for w in ("difference", "tared")}
        self.assertTrue({"m_before", "m_after"} <= keys["difference"] and "m_weighed" not in keys["difference"])
        self.assertTrue("m_weighed" in keys["tared"] and "m_before" not in keys["tared"])


class Places(TestCase):
    def refused(self, given: Given, sentence: str, options: dict[str, str] | None = None) -> None:
        with self.assertRaisesRegex(SheetError, sentence):
            bind(TITRATION, Sheet(options or {}, {}, (given,)))

    def test_readings_belong_somewhere(self) -> None:
        self.refused(Given("V_start", "1.00"), "belongs to a trial; say which")
        self.refused(Given("V_s", "20.00", 1), "read once for the bench")
        self.refused(Given("V_start", "1.00", 1, 1), "is not a series")
        self.refused(Given("V_start", "1.00", 99), "There is no trial 99")
        self.refused(Given("V_start", "1.00", 0), "There is no trial 0", {"rough_trial": "no"})
        self.refused(Given("V_strat", "1.00", 1), "Did you mean “V_start”")
        self.refused(Given("end_point", "maybe", 1), "choice for “End point”")
        self.refused(Given("own.V_mean", "1", None), "There is no reading")
        self.refused(Given("answer.9", "because", None), "There is no reading")
        self.refused(Given("answer.1", "x" * 5000, None), "too long")

    def test_a_series_needs_its_place(self) -> None:
        with self.assertRaisesRegex(SheetError, "place in the series"):
            bind(method("hydrate"), Sheet({}, {}, (Given("m_heated", "33.4", 1),)))


class Files(TestCase):
    def test_json_and_csv_of_every_worked_example_give_the_same_sheet(self) -> None:
        for slug, declared in methods().items():
            with self.subTest(slug):
                rows = [{"key": k, "trial": t, "index": i, "text": x} for k, t, i, x in declared.example.readings]
                from_json = read_sheet(json.dumps({"method": slug, "readings": rows}))
                out = io.StringIO()
                writer = csv.DictWriter(out, ["key", "trial", "index", "text"])
                writer.writeheader()
                writer.writerows(rows)
                self.assertEqual(from_json.sheet.given, read_sheet(out.getvalue()).sheet.given)
                self.assertEqual(from_json.method, slug)

    def test_files_that_are_no_sheets(self) -> None:
        for text, sentence in (
            ("{", "not JSON"), ('{"readings": {}}', "must be a list"), ('{"readings": [1]}', "needs a “key”"),
            ('{"readings": [{"key": "V", "text": "1", "trial": "2"}]}', "whole numbers"),
            ('{"options": {"c_t": 0.1}}', "in quotes"), ("a,b\n1,2", "naming its columns"),
            ("key,text,trial\nV,1,x", "not a whole number"), ("key,text,trial\nV,1,²", "not a whole number"),
            ("x" * 2_000_001, "larger than any sheet"), ("[" * 100_000, "naming its columns"),
            ("{" + '"a":{' * 5000, "not JSON"),
        ):  # fmt: skip
            with self.subTest(sentence), self.assertRaisesRegex(SheetError, sentence):
                read_sheet(text)
