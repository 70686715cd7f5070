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
from scipy import stats

from chromata_core.cli import main
from chromata_core.declaration.option_kinds import ChoiceOption
from chromata_core.methods.registry import methods

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
        for phrase in (
            "V = V_end − V_start = 21.78 mL − 0.24 mL = 21.54 mL",
            "0.10770 ±",
            "Burette calibration",
            "−0.28 % from 0.1080",
        ):
            self.assertIn(phrase, out)

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
            (("compute", "acid-base-titration", "-"), '{"options": {"titrant": "milk"}}', "There are “H2SO4”"),
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
        records = {load["name"] for load in json.loads(self.run_command("vocabulary", "--json")[1])}
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


class MoreCommands(Command):
    def simulated(self, slug: str, seed: int, folder: str) -> str:
        _, out, _ = self.run_command("simulate", slug, "--seed", str(seed))
        file = Path(folder) / f"{slug}-{seed}.csv"
        file.write_text(out)
        return str(file)

    def first(self, slug: str, file: str, *flags: str) -> float:
        """The first result of a file."""
        return float(json.loads(self.run_command("compute", slug, file, *flags, "--json")[1])["results"][0]["value"])

    def test_a_simulated_bench_computes_to_the_same_as_csv_and_as_json(self) -> None:
        """The options go with the CSV: read without them a titration by acid 0.1 mol/L would be another number."""
        for slug in ("acid-base-titration", "hydrate", "beer-lambert"):
            with self.subTest(slug), tempfile.TemporaryDirectory() as folder:
                _, as_json, _ = self.run_command("simulate", slug, "--seed", "4", "--json")
                (Path(folder) / "a.json").write_text(as_json)
                outcomes = [
                    self.first(slug, file) for file in (str(Path(folder) / "a.json"), self.simulated(slug, 4, folder))
                ]
                self.assertEqual(outcomes[0], outcomes[1])

    def test_flags_go_before_the_file(self) -> None:
        with tempfile.TemporaryDirectory() as folder:
            file = self.simulated("acid-base-titration", 2, folder)
            values = [
                self.first("acid-base-titration", file, *flags) for flags in ((), ("--option", "c_t=205.2 mmol/L"))
            ]
        self.assertAlmostEqual(values[1] / values[0], 2, places=9)

    def test_statistics_are_printed_and_are_data(self) -> None:
        """The line's numbers beside scipy.stats.linregress on the same standards."""
        with tempfile.TemporaryDirectory() as folder:
            file = self.simulated("beer-lambert", 3, folder)
            _, text, _ = self.run_command("compute", "beer-lambert", file)
            data = json.loads(self.run_command("compute", "beer-lambert", file, "--json")[1])
        statistics = {statistic["label"]: statistic for statistic in data["statistics"]}
        dots = next(line for line in data["charts"][0]["lines"] if line["label"] == "Standards")["points"]
        fit = stats.linregress(*zip(*dots, strict=True))
        for label, value, u in (("Slope", fit.slope, fit.stderr), ("Intercept", fit.intercept, fit.intercept_stderr)):
            self.assertAlmostEqual(statistics[label]["value"], value, places=9)
            self.assertAlmostEqual(statistics[label]["u"], u, places=9)
        self.assertAlmostEqual(statistics["r²"]["value"], fit.rvalue**2, places=9)
        self.assertIn("Calibration line: Slope", text)

    def test_what_is_missing_is_named(self) -> None:
        _, out, _ = self.run_command("compute", "acid-base-titration", "-", stdin="key,text\nV_s,20.00\n")
        self.assertIn("None yet.", out)
        self.assertIn("Still to be written: Burette, start", out)

    def test_several_sheets_are_compared(self) -> None:
        """Welch's t and p beside scipy.stats.ttest_ind on the same results."""
        with tempfile.TemporaryDirectory() as folder:
            files = [self.simulated("hydrate", seed, folder) for seed in range(1, 7)]
            values = [self.first("hydrate", file) for file in files]
            status, out, _ = self.run_command("compare", "hydrate", *files, "--products", "A,A,A,B,B,B")
            data = json.loads(self.run_command("compare", "hydrate", *files, "--products", "A,A,A,B,B,B", "--json")[1])
            wrong = self.run_command("compare", "hydrate", *files, "--products", "A,B")
        self.assertEqual(status, 0)
        peer = stats.ttest_ind(values[:3], values[3:], equal_var=False)
        self.assertAlmostEqual(abs(data["welch"]["t"]), abs(peer.statistic), places=9)
        self.assertAlmostEqual(data["welch"]["p"], peer.pvalue, places=9)
        self.assertIn("Robust (Huber)", out)
        self.assertEqual((wrong[0], "names 2 products for 6 files" in wrong[2]), (1, True))

    def test_a_plan_tells_targets_and_what_it_takes(self) -> None:
        status, out, _ = self.run_command("plan", "beer-lambert", "--benches", "6", "--option", "c_stock=20 mmol/L")
        self.assertEqual(status, 0)
        for phrase in ("Aim for", "For 6 benches", "Spectrophotometer:", "Expect"):
            self.assertIn(phrase, out)

    def test_instruments_are_listed_and_choices_described(self) -> None:
        self.assertIn("burette-50-b", self.run_command("instruments")[1])
        _, out, _ = self.run_command("describe", "hydrate")
        for phrase in ("identify: Unknown salt", "Instruments", "balance"):
            self.assertIn(phrase, out)

    def test_odd_input_gets_a_sentence_and_no_traceback(self) -> None:
        for text in ("x" * 200_000, "null", "[]", "true", "\ufeff", "{}", '{"u": true}', "key\n", '{"readings": 7}'):
            with self.subTest(text[:10]):
                status, out, err = self.run_command("compute", "hydrate", "-", stdin=text)
                self.assertIn(status, (0, 1))
                self.assertTrue((out + err).strip())
                self.assertNotIn("Traceback", out + err)
        for arguments in (("simulate", "hydrate", "--seed", "-1"), ("plan", "hydrate", "--benches", "0"), ("compute",)):
            with self.subTest(arguments), self.assertRaises(SystemExit) as left:
                self.run_command(*arguments)
            self.assertEqual(left.exception.code, 2)
        self.assertEqual(self.run_command("compute", "hydrate", "/nonexistent")[0], 1)

    def test_a_part_that_a_choice_switches_off_says_which(self) -> None:
        _, _, err = self.run_command("compute", "beer-lambert", "-", stdin="key,text,index\nT_std,50,1\n")
        self.assertIn("It would be if “Read as” were “%T”", err)
        _, _, err = self.run_command("compute", "beer-lambert", "-", stdin="key,text\nzzzzzz,50\n")
        self.assertNotIn("Did you mean", err)


class SchemaAndParser(Command):
    """Outside check: jsonschema on the schema that ``describe`` prints. What one takes the other takes."""

    def test_every_method(self) -> None:
        for slug, declared in methods().items():
            schema = json.loads(self.run_command("describe", slug, "--json")[1])["schema"]
            jsonschema.Draft202012Validator.check_schema(schema)
            whole = json.loads(self.run_command("simulate", slug, "--json")[1])
            choice = next((o for o in declared.options if isinstance(o, ChoiceOption)), None)
            harms: list[dict[str, object]] = [
                {}, {"method": "nothing"}, {"extra": 1}, {"instruments": {"nothing": "x"}},
                {"instruments": {declared.roles[0].key: "nothing"}}, {"accepted": {"nothing": "1"}}, {"readings": {}},
                {"readings": [{"key": 1, "text": "1"}]}, {"calibrations": {"own-1": {"base": "pipette-20-a"}}},
                {"calibrations": {"x": {}}}, *([{"options": {choice.key: "nothing"}}] if choice else []),
            ]  # fmt: skip
            for harm in harms:
                with self.subTest(slug, harm=harm):
                    text = json.dumps({**whole, **harm})
                    by_schema = jsonschema.Draft202012Validator(schema).is_valid(json.loads(text))
                    status, _, _ = self.run_command("compute", slug, "-", stdin=text)
                    self.assertEqual(by_schema, status == 0)
