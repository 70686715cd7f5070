"""Texts of students and instructors in files: nothing runs in a spreadsheet, nothing is fetched for a PDF."""

import csv
import io
import socketserver
import threading
from dataclasses import replace

from pypdf import PdfReader

from chromata_core.sheet.sheet_file import read_sheet
from labs.models import Session
from labs.tests.room import Room, entry, titrate, write
from reports.build import report_of
from reports.formats import report_pdf, results_csv

# Beginnings that spreadsheets run, after OWASP's page on CSV injection (from memory).
RUN = ("=1+cmd|' /C calc'!A0", "+1+cmd|x", "-1+cmd|x", "@SUM(1)", "-2+3+cmd|x", "+9=HYPERLINK(1)", "=HYPERLINK(1)",
       "＝1+1", "＠SUM(1)", "=-1", "+-1", "-1e5+cmd")  # fmt: skip


class Spreadsheets(Room):
    def test_nothing_that_runs_is_in_the_readings(self) -> None:
        client = self.as_(self.student)
        for text in RUN:
            with self.subTest(text):
                write(client, self.bench, entry("answer.1", text))
                body = client.get(f"/api/benches/{self.bench.pk}/files/readings.csv").content.decode()
                rows = list(csv.reader(io.StringIO(body)))
                cells = [cell for row in rows for cell in row]
                self.assertFalse([cell for cell in cells if cell[:1] in "=+-@＝＋－＠" and cell])
                self.assertIn(f"'{text}", cells)
                self.assertIn(text, [given.text for given in read_sheet(body).sheet.given])  # and reads back as written

    def test_labels_and_units_of_results_too(self) -> None:
        client = self.as_(self.student)
        titrate(client, self.bench, ("0.24", "21.78"), ("0.10", "21.64"))
        report = report_of(self.bench, self.instructor)
        first = replace(report.evaluation.results[0], label="=cmd|x", unit="@SUM(1)", value=-1.5)
        text = results_csv(replace(report, evaluation=replace(report.evaluation, results=[first])))
        row = list(csv.reader(io.StringIO(text)))[1]
        self.assertIn("'=cmd|x", row)
        self.assertIn("'@SUM(1)", row)
        self.assertIn("-1.5", row)  # a number stays a number


class Printed(Room):
    def test_a_title_reaches_neither_the_style_nor_the_network(self) -> None:
        asked: list[bytes] = []

        class Listener(socketserver.BaseRequestHandler):
            def handle(self) -> None:
                asked.append(self.request.recv(100))

        with socketserver.TCPServer(("127.0.0.1", 0), Listener) as listener:
            threading.Thread(target=listener.serve_forever, daemon=True).start()
            address = f"http://127.0.0.1:{listener.server_address[1]}/x"
            for title in (
                f'x"; }} body {{ background: url({address}) }} @page {{ @top-left {{ content: "HACKED',
                f"</style><img src={address}>",
                "\\22 } @import url(file:///etc/passwd);",
            ):
                Session.objects.filter(pk=self.session.pk).update(title=title[:120])
                self.bench.refresh_from_db()
                pdf = self.as_(self.student).get(f"/api/benches/{self.bench.pk}/files/report.pdf").content
                text = " ".join(page.extract_text() for page in PdfReader(io.BytesIO(pdf)).pages)
                self.assertIn("Bench 1", text)
                self.assertIn(title[:12].strip(), text)
            listener.shutdown()
        self.assertEqual(asked, [])

    def test_a_report_that_says_the_same_is_printed_once(self) -> None:
        report = report_of(self.bench, self.student)
        self.assertEqual(report_pdf(report), report_pdf(report))  # a PDF holds the moment it was made
