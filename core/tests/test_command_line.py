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


class CommandLine(TestCase):
    def run_command(self, *arguments: str, stdin: str = "") -> tuple[int, str, str]:
        out, err = io.StringIO(), io.StringIO()
        with redirect_stdout(out), redirect_stderr(err), patch("sys.stdin", io.StringIO(stdin)):
            status = main(arguments)
        return status, out.getvalue(), err.getvalue()

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
