"""All reports of a session as one archive, read by Python's own zip library."""

import csv
import io
import json
import zipfile
from typing import Any

from pypdf import PdfReader

from labs import actions
from labs.tests.room import TRUE, WHEN, Room, signed_in, titrate
from people.models import Person

GOOD = (("0.22", "18.47"), ("1.05", "19.36"))


class Archive(Room):
    def setUp(self) -> None:
        titrate(signed_in(self.student), self.bench, *GOOD)

    def get(self, who: Person | None = None, session: int | None = None) -> Any:
        return signed_in(who or self.instructor).get(f"/api/sessions/{session or self.session.pk}/reports.zip")

    def opened(self, who: Person | None = None) -> zipfile.ZipFile:
        answer = self.get(who)
        self.assertEqual(answer["Content-Type"], "application/zip")
        return zipfile.ZipFile(io.BytesIO(b"".join(answer.streaming_content)))

    def test_a_folder_for_each_record_with_something_on_it(self) -> None:
        file = self.opened()
        self.assertIsNone(file.testzip())
        folder = "bench-01-bottle"
        names = [
            f"{folder}/{name}" for name in ("report.pdf", "readings.csv", "results.csv", "workbook.xlsx", "data.json")
        ]
        self.assertEqual(file.namelist(), names)
        self.assertTrue(file.read(names[0]).startswith(b"%PDF"))
        rows = list(csv.DictReader(io.StringIO(file.read(names[2]).decode())))
        self.assertAlmostEqual(float(rows[0]["value"]), 0.1026 * 18.28 / 20, 2)
        self.assertEqual(json.loads(file.read(names[4]))["method"], "acid-base-titration")

    def test_who_may_have_it_and_what_is_in_it_for_them(self) -> None:
        self.assertEqual(self.get(self.student).status_code, 403)
        self.assertEqual(self.get(self.stranger).status_code, 404)
        for who, seen in ((self.instructor, True), (self.assistant, False)):
            data = self.opened(who).read("bench-01-bottle/data.json")
            self.assertEqual(TRUE.encode() in data, seen)

    def test_one_pdf_with_every_report_found_by_its_bench(self) -> None:
        titrate(signed_in(self.neighbour), self.other_bench, *GOOD)
        address = f"/api/sessions/{self.session.pk}/reports.pdf"
        self.assertEqual(signed_in(self.student).get(address).status_code, 403)
        self.assertEqual(signed_in(self.stranger).get(address).status_code, 404)
        book = PdfReader(io.BytesIO(signed_in(self.instructor).get(address).content))
        titles = [item.title for item in book.outline if not isinstance(item, list)]
        self.assertEqual(titles, ["Bench 1, Bottle", "Bench 2, Bottle"])
        self.assertIn("Tova", "".join(page.extract_text() for page in book.pages))

    def test_an_empty_session_has_none(self) -> None:
        session = actions.plan_session(self.section, "hydrate", "Salt", "1", WHEN, 90, {}, {}, 2, [])
        answer = self.get(session=session.pk)
        self.assertEqual(answer.status_code, 409)
        self.assertIn("nothing to report", answer.content.decode())
