"""The report and its files: what is downloaded can be computed again by the command line, to the same result."""

import csv
import io
import json
import logging
from pathlib import Path
from tempfile import TemporaryDirectory

import formulas
from openpyxl import load_workbook
from pypdf import PdfReader

from chromata_core.methods.registry import method
from chromata_core.sheet.sheet_file import read_sheet
from chromata_core.telling.evaluate import evaluate
from labs.models import Session
from labs.tests.room import Room, entry, titrate, write


class Files(Room):
    def setUp(self) -> None:
        client = self.as_(self.student)
        titrate(client, self.bench, ("0.24", "21.78"), ("0.10", "21.64"))
        first = self.bench.entries.get(key="V_end", trial=2)
        write(client, self.bench, entry("V_end", "21.67", 2, supersedes=str(first.pk), reason="Misread"))
        write(client, self.bench, entry("own.c_s", "0.1106"), entry("answer.1", "The burette."), entry("note", "=1+1"))

    def file(self, name: str) -> bytes:
        answer = self.as_(self.student).get(f"/api/benches/{self.bench.pk}/files/{name}")
        self.assertEqual(answer.status_code, 200)
        self.assertIn(f"bench-1-{name}", answer["Content-Disposition"])
        return answer.content

    def test_json_computes_to_the_same_result(self) -> None:
        text = self.file("data.json").decode()
        results = json.loads(text)["results"]
        file = read_sheet(text)
        again = evaluate(method(file.method), file.sheet).results
        self.assertEqual([r.value for r in again], [r["value"] for r in results])

    def test_the_spreadsheet_s_result_hangs_on_its_readings(self) -> None:
        """Recalculated by an engine for Excel's formulas; what people wrote is text in it, whatever it looks like."""
        write(self.as_(self.student), self.bench, entry("answer.2", '=HYPERLINK("http://x")'), entry("note", "+1\x07"))
        with TemporaryDirectory() as folder:
            path = Path(folder, "book.xlsx")
            path.write_bytes(self.file("workbook.xlsx"))
            book = load_workbook(path)
            logging.disable(logging.WARNING)
            worked = formulas.ExcelModel().loads(str(path)).finish().calculate()
            logging.disable(logging.NOTSET)
        self.assertEqual(book.sheetnames, ["Results", "Computation", "Readings"])
        self.assertFalse([cell for row in book["Readings"] for cell in row if cell.data_type == "f"])
        result = json.loads(self.file("data.json"))["results"][0]
        value = worked["'[book.xlsx]RESULTS'!C6"].value[0, 0]
        self.assertEqual(book["Results"]["A6"].value, result["label"])
        self.assertAlmostEqual(float(value), result["value"], 9)

    def test_a_veiled_bench_has_no_computation_in_its_spreadsheet(self) -> None:
        self.session.own_work = {"shows": "after_release", "lines": ["c_s"]}
        self.session.save()
        book = load_workbook(io.BytesIO(self.file("workbook.xlsx")))
        self.assertEqual(book.sheetnames, ["Results", "Readings"])

    def test_csv_of_readings_reads_back_and_names_corrections(self) -> None:
        text = self.file("readings.csv").decode()
        body = [line for line in text.splitlines() if not line.startswith("#")]
        rows = list(csv.DictReader(body))
        corrected = next(row for row in rows if row["corrected_from"])
        self.assertEqual(
            (corrected["text"], corrected["corrected_from"], corrected["reason"]), ("21.67", "21.64", "Misread")
        )
        file = read_sheet(text)
        self.assertEqual(len(file.sheet.given), len(rows))
        self.bench.refresh_from_db()
        self.assertEqual((file.method, file.sheet.options["c_t"]), ("acid-base-titration", "0.1026"))
        result = evaluate(method(file.method), file.sheet).results[0].value
        self.assertAlmostEqual(result, 0.1026 * (21.54 + 21.57) / 2 / 20, places=9)  # and not with the default titrant

    def test_a_text_that_a_spreadsheet_would_run_stays_a_text(self) -> None:
        write(self.as_(self.student), self.bench, entry("answer.2", "=HYPERLINK(1)"))
        self.assertIn("'=HYPERLINK(1)", self.file("readings.csv").decode())

    def test_csv_of_results_has_the_budgeted_uncertainty(self) -> None:
        row = next(csv.DictReader(io.StringIO(self.file("results.csv").decode())))
        self.assertAlmostEqual(float(row["value"]), 0.1026 * 21.555 / 20, places=9)
        self.assertAlmostEqual(float(row["U"]), float(row["u"]) * float(row["k"]), delta=1e-6)

    def test_pdf_holds_result_worked_lines_correction_and_budget(self) -> None:
        pages = PdfReader(io.BytesIO(self.file("report.pdf"))).pages
        text = " ".join(page.extract_text() for page in pages)
        for phrase in (
            "Bottles",
            "0.1106",
            "21.57",
            "Misread",
            "Burette calibration",
            "The burette.",
            "as they were sealed, from the first",
        ):
            with self.subTest(phrase):
                self.assertIn(phrase, text)

    def test_what_a_calibrated_instrument_was_goes_with_the_file(self) -> None:
        own = {"base": "pipette-20-a", "name": "Pipette 7", "source": "weighed",
               "points": [{"nominal": 20.0, "actual": 20.031, "u": 0.002}]}  # fmt: skip
        Session.objects.filter(pk=self.session.pk).update(
            stock={"own-1": own}, instruments={**self.session.instruments, "pipette": "own-1"}
        )
        self.bench.refresh_from_db()
        text = self.file("data.json").decode()
        again = evaluate(method("acid-base-titration"), read_sheet(text).sheet).results[0]
        self.assertAlmostEqual(again.value, 0.1026 * 21.555 / 20.031, places=9)

    def test_an_empty_bench_has_a_report_that_says_so(self) -> None:
        report = self.as_(self.neighbour).get(f"/api/benches/{self.other_bench.pk}/report").json()
        self.assertEqual(report["evaluation"]["results"], [])
        pdf = self.as_(self.neighbour).get(f"/api/benches/{self.other_bench.pk}/files/report.pdf").content
        self.assertIn("No result yet", PdfReader(io.BytesIO(pdf)).pages[0].extract_text())
