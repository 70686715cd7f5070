"""The command line as somebody uses it: text for people, JSON by --json, exit status, one sentence for bad input."""

import csv
import io
import json
import tempfile
from contextlib import redirect_stderr, redirect_stdout
from pathlib import Path
from unittest import TestCase
from unittest.mock import patch

import jsonschema

from chromata_core.cli import main

SHEET = {
    "method": "acid-base-titration",
    "options": {"rough_trial": "no"},
    "readings": [
        {"key": "V_s", "text": "20.00"},
        {"key": "V_start", "trial": 1, "text": "0.24"},
        {"key": "V_end", "trial": 1, "text": "21.78"},
        {"key": "V_start", "trial": 2, "text": "0.10"},
        {"key": "V_end", "trial": 2, "text": "21.64"},
    ],
    "accepted": {"c_s": "0.1080"},
}


class Command(TestCase):
    def run_command(self, *arguments: str, stdin: str = "") -> tuple[int, str, str]:
        out, err = io.StringIO(), io.StringIO()
        with redirect_stdout(out), redirect_stderr(err), patch("sys.stdin", io.StringIO(stdin)):
            status = main(arguments)
        return status, out.getvalue(), err.getvalue()


class CommandLine(Command):
    def test_methods_are_listed(self) -> None:
        status, out, _ = self.run_command("methods")
        self.assertEqual(status, 0)
        self.assertIn("acid-base-titration", out)
        self.assertEqual(len(json.loads(self.run_command("methods", "--json")[1])), len(out.splitlines()))

    def test_description_holds_a_schema_that_its_files_keep_to(self) -> None:
        status, out, _ = self.run_command("describe", "acid-base-titration", "--json")
        self.assertEqual(status, 0)
        schema = json.loads(out)["schema"]
        jsonschema.Draft202012Validator.check_schema(schema)
        jsonschema.validate(SHEET, schema)

    def test_computing_says_result_budget_lines_and_comparison(self) -> None:
        status, out, _ = self.run_command("compute", "acid-base-titration", "-", stdin=json.dumps(SHEET))
        self.assertEqual(status, 0)
        for said in (
            "V = V_end − V_start = 21.78 mL − 0.24 mL = 21.54 mL",
            "0.10770 ±",
            "Burette calibration",
            "−0.28 % from 0.1080",
        ):
            self.assertIn(said, out)

    def test_json_out_holds_full_precision(self) -> None:
        data = json.loads(self.run_command("compute", "acid-base-titration", "-", "--json", stdin=json.dumps(SHEET))[1])
        self.assertAlmostEqual(data["results"][0]["value"], 0.1 * 21.54 / 20, places=12)
        self.assertTrue(data["lines"])

    def test_csv_gives_the_same_result(self) -> None:
        text = io.StringIO()
        rows = csv.DictWriter(text, ["key", "trial", "index", "text"])
        rows.writeheader()
        rows.writerows(SHEET["readings"])
        with tempfile.TemporaryDirectory() as folder:
            file = Path(folder) / "readings.csv"
            file.write_text("\ufeff" + text.getvalue(), encoding="utf-8")
            status, out, _ = self.run_command("compute", "acid-base-titration", str(file))
        self.assertEqual(status, 0)
        self.assertIn("0.10770", out)

    def test_bad_input_is_one_sentence_on_stderr_and_status_1(self) -> None:
        cases = (
            (("compute", "acid-base-titration", "/no/such/file"), "", "cannot be read"),
            (("compute", "acid-base-titration", "-"), "{", "not JSON"),
            (("compute", "acid-base-titration", "-"), "", "starts with a line naming its columns"),
            (("compute", "acid-base-titration", "-"), '{"readings": [{"key": "V_s", "text": 20}]}', "in quotes"),
            (("compute", "acid-base-titration", "-"), '{"readings": 5, "extra": 1}', "“extra” is not part"),
            (
                ("compute", "acid-base-titration", "-"),
                '{"readings": [{"key": "V_x", "text": "1"}]}',
                "Did you mean “V_s”",
            ),
            (("compute", "acid-base-titration", "-"), '{"options": {"titrant": "milk"}}', "Did you mean"),
            (("compute", "hydrate", "-"), json.dumps(SHEET), "not for “hydrate”"),
            (("describe", "titration"), "", "There is no method “titration”"),
        )
        for arguments, stdin, sentence in cases:
            with self.subTest(sentence):
                status, out, err = self.run_command(*arguments, stdin=stdin)
                self.assertEqual((status, out), (1, ""))
                self.assertIn(sentence, err)
                self.assertNotIn("Traceback", err)

    def test_all_faults_of_a_file_are_told_at_once(self) -> None:
        bad = {"options": {"c_t": "-1", "colour": "red"}, "readings": [{"key": "V_s", "text": "x"}]}
        err = self.run_command("compute", "acid-base-titration", "-", stdin=json.dumps(bad))[2]
        self.assertIn("“colour”", err)
        self.assertIn("-1 is out of reach", err)

    def test_json_errors_are_json(self) -> None:
        status, out, _ = self.run_command("describe", "nothing", "--json")
        self.assertEqual((status, json.loads(out)["error"]), (1, "sheet"))


class OwnMethods(Command):
    """From a method that ships to a file of one's own, and on with that file as with any method."""

    def file(self, folder: str, name: str, text: str) -> str:
        path = Path(folder) / name
        path.write_text(text, encoding="utf-8")
        return str(path)

    def test_exported_changed_checked_simulated_and_computed(self) -> None:
        data = json.loads(self.run_command("export", "hydrate")[1])
        data["title"], data["quantities"][0]["label"] = "Our crystals", "Crystals before heating"
        with tempfile.TemporaryDirectory() as folder:
            mine = self.file(folder, "mine.json", json.dumps(data))
            self.assertIn("“Our crystals” holds and is complete.", self.run_command("check", mine)[1])
            self.assertIn("Our crystals", self.run_command("describe", mine)[1])
            status, sheet, _ = self.run_command("simulate", mine, "--seed", "3", "--json")
            self.assertEqual(status, 0)
            out = self.run_command("compute", mine, self.file(folder, "sheet.json", sheet))[1]
            self.assertIn("Water per formula unit", out)
            csv_text = self.run_command("simulate", mine, "--seed", "3")[1]
            as_csv = self.run_command("compute", mine, self.file(folder, "sheet.csv", csv_text))[1]
            self.assertEqual(as_csv, out)

    def test_the_vocabulary_names_every_record_that_a_file_may_hold(self) -> None:
        records = {one["name"] for one in json.loads(self.run_command("vocabulary", "--json")[1])}
        text = self.run_command("vocabulary")[1]
        for slug in ("hydrate", "voltaic-cells", "beer-lambert"):
            data = json.loads(self.run_command("export", slug)[1])
            for name in {part["kind"] for key in ("options", "readings", "checks", "charts") for part in data[key]}:
                self.assertIn(name, records)
                self.assertIn(f"\n{name} (", text)

    def test_a_seed_is_a_bench_and_a_fault_bends_it(self) -> None:
        first, again, other = (self.run_command("simulate", "hydrate", "--seed", seed)[1] for seed in ("1", "1", "2"))
        self.assertEqual(first, again)
        self.assertNotEqual(first, other)
        self.assertNotEqual(self.run_command("simulate", "hydrate", "--seed", "1", "--fault", "not-dry")[1], first)

    def test_what_does_not_hold_or_lacks_something_is_said(self) -> None:
        whole = json.loads(self.run_command("export", "hydrate")[1])
        wrong = {**whole, "quantities": [{**whole["quantities"][0], "unit": "mL"}, *whole["quantities"][1:]]}
        cases = (
            ("{", "not JSON"), (json.dumps({}), "chromata-method"), (json.dumps(wrong), "gives mass"),
            (json.dumps({**whole, "waste": ""}), "where the waste goes"),
            (json.dumps({**whole, "colour": 1}), "“colour”"),
        )  # fmt: skip
        with tempfile.TemporaryDirectory() as folder:
            for text, sentence in cases:
                with self.subTest(sentence):
                    status, out, err = self.run_command("check", self.file(folder, "mine.json", text))
                    self.assertEqual((status, out), (1, ""))
                    self.assertIn(sentence, err)
        self.assertIn("“not-dry”", self.run_command("simulate", "hydrate", "--fault", "dry")[2])
