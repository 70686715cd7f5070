"""What a sheet accepts: options with their consequences, readings in their place, files that pair up."""

import csv
import io
import json
from dataclasses import replace
from unittest import TestCase

from chromata_core.declaration.options import resolve_options
from chromata_core.errors import SheetError
from chromata_core.methods.registry import method, methods
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.sheet.sheet_file import read_sheet, write_csv
from chromata_core.telling.evaluate import evaluate
from tests.sheets import titration

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
        self.refused(Given("own.V_median", "1", None), "There is no reading")
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
            ("x" * 2_000_001, "larger than any sheet"), ("[" * 100_000, "not JSON"), ("[]", "is an object"),
            ("null", "is an object"), ("", "naming its columns"), ('{"a": 1, "a": 2}', "stands twice"),
            ("{" + '"a":{' * 5000, "not JSON"),
        ):  # fmt: skip
            with self.subTest(sentence), self.assertRaisesRegex(SheetError, sentence):
                read_sheet(text)


class OneDoor(TestCase):
    """Every number that people give is read in the unit that is expected there, or refused with a sentence."""

    def options(self, **given: str) -> dict[str, str]:
        return resolve_options(method("acid-base-titration"), {key.replace("__", "."): v for key, v in given.items()})

    def test_choices_in_another_unit_are_converted_with_their_figures(self) -> None:
        self.assertEqual(self.options(c_t="100 mmol/L")["c_t"], "0.100")
        self.assertEqual(self.options(c_t="102.6 mM", c_t__limit="0.4 mM")["c_t.limit"], "0.0004")
        self.assertEqual(self.options(c_t="0.1026", c_t__limit="0.5 %")["c_t.limit"], "0.000513")
        once = self.options(c_t="100 mmol/L")
        self.assertEqual(
            resolve_options(method("acid-base-titration"), once), once
        )  # a session keeps what was resolved

    def test_choices_in_a_unit_that_does_not_fit_are_refused(self) -> None:
        for slug, given, sentence in (
            ("acid-base-titration", {"c_t": "22 mL"}, "mL cannot be turned into mol/L"),
            ("acid-base-titration", {"c_t.limit": "5 kg"}, "kg cannot be turned into mol/L"),
            ("gas-eudometer", {"altitude": "100 km"}, "100 km is out of reach"),
            ("rate-temperature", {"T_plan": "22; 6 mg; 70"}, "mg cannot be turned into °C"),
            ("beer-lambert", {"V_plan": "2 mL; 18 kg"}, "kg cannot be turned into mL"),
            ("gas-eudometer", {"R": "9.9"}, "part of the method and not a choice"),
            ("hydrate", {"M_water": "H2O2"}, "part of the method and not a choice"),
        ):  # fmt: skip
            with self.subTest(slug, **given), self.assertRaisesRegex(SheetError, sentence):
                resolve_options(method(slug), given)
        self.assertEqual(resolve_options(method("beer-lambert"), {"V_plan": "2000 µL; 4 mL"})["V_plan"], "2.000; 4")

    def test_accepted_values_are_results_in_their_unit(self) -> None:
        sheet = titration(("0.24", "21.78"), ("0.10", "21.64"))
        comparison = evaluate(method("acid-base-titration"), sheet, {"c_s": "110 mmol/L"}).results[0].comparison
        assert comparison
        self.assertAlmostEqual(comparison.percent_error, 100 * (0.1 * 21.54 / 20 / 0.110 - 1), places=6)
        for accepted in ({"c_s": "22 mL"}, {"nothing": "1"}, {"c_s": "NaN"}, {"c_s": "1e999"}, {"c_s": ""}):
            with self.subTest(accepted), self.assertRaises(SheetError):
                evaluate(method("acid-base-titration"), sheet, accepted)

    def test_own_answers_in_another_unit(self) -> None:
        sheet = titration(("0.24", "21.78"), ("0.10", "21.64"))
        right = evaluate(method("acid-base-titration"), sheet).results[0].value
        for text in (f"{right * 1000:.1f} mmol/L", f"{right:.4f} M", f"{right:.4f}"):
            own = replace(sheet, given=(*sheet.given, Given("own.c_s", text)))
            self.assertEqual(evaluate(method("acid-base-titration"), own).own[0].kind, "right", text)
        wrong = replace(sheet, given=(*sheet.given, Given("own.c_s", "0.1 g")))
        with self.assertRaises(SheetError):
            evaluate(method("acid-base-titration"), wrong)

    def test_calibrations_of_a_file_are_whole_and_finite(self) -> None:
        point = {"nominal": 20.0, "actual": 20.031, "u": 0.002}
        whole = {"base": "pipette-20-a", "name": "7", "source": "weighed", "points": [point]}
        self.assertTrue(read_sheet(json.dumps({"calibrations": {"own-1": whole}})).sheet.stock)
        points = [{**point, "u": -1}, {**point, "actual": "20"}, {**point, "actual": True}, {**point, "k": 2}, {}]
        harms = [
            {"extra": 1},
            {"name": 7},
            {"points": {}},
            {"base": "nothing"},
            *({"points": [point]} for point in points),
        ]
        for harm in harms:
            with self.subTest(harm), self.assertRaises(SheetError):
                read_sheet(json.dumps({"calibrations": {"own-1": {**whole, **harm}}}))
        with self.assertRaises(SheetError):
            read_sheet('{"calibrations": {"own-1": {"base": "pipette-20-a", "name": "7", "source": "", '
                       '"points": [{"nominal": 20, "actual": NaN, "u": 0.1}]}}}')  # fmt: skip


class CsvFiles(TestCase):
    """Nothing is read otherwise than a person would read it."""

    def test_options_instruments_and_accepted_values_go_with_the_file(self) -> None:
        for slug, declared in methods().items():
            with self.subTest(slug):
                sheet = example_sheet(declared)
                out = io.StringIO()
                csv.writer(out).writerows(write_csv(slug, sheet))
                sheet_file = read_sheet(out.getvalue())
                self.assertEqual((sheet_file.method, sheet_file.sheet.options, sheet_file.sheet.instruments),
                                 (slug, dict(sheet.options), dict(sheet.instruments)))  # fmt: skip
                self.assertEqual([g.place for g in sheet_file.sheet.given], [g.place for g in sheet.given])
                self.assertEqual([g.text for g in sheet_file.sheet.given], [g.text for g in sheet.given])

    def test_a_decimal_comma_needs_quotes_or_semicolons(self) -> None:
        head = "key,trial,index,text\n"
        with self.assertRaisesRegex(SheetError, "Line 2 has 5 columns and the head 4.*decimal comma"):
            read_sheet(head + "m_crucible,1,,27,402\n")
        self.assertEqual(read_sheet(head + 'm_crucible,1,,"27,402"\n').sheet.given[0].text, "27,402")
        self.assertEqual(read_sheet("key;trial;index;text\nm_crucible;1;;27,402\n").sheet.given[0].text, "27,402")

    def test_a_place_written_twice_is_told_with_its_lines(self) -> None:
        with self.assertRaisesRegex(SheetError, "Lines 2 and 4 are both of “V_end”, trial 1"):
            read_sheet("key,trial,index,text\nV_end,1,,21.78\nV_end,2,,21.64\nV_end,1,,21.80\n")
        twice = {"readings": [{"key": "V_s", "text": "20.00"}, {"key": "V_s", "text": "25.00"}]}
        with self.assertRaisesRegex(SheetError, "Readings 1 and 2 are both of “V_s”"):
            read_sheet(json.dumps(twice))

    def test_head_lines_that_say_nothing_known(self) -> None:
        for head in ("# option,c_t", "# nothing,a,b", "# option,c_t,1,2", "# option,c_t,1\n# option,c_t,2"):
            with self.subTest(head), self.assertRaisesRegex(SheetError, "names one of|said twice"):
                read_sheet(f"{head}\nkey,text\nV_s,20.00\n")
