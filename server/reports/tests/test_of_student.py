"""A report as one student of a team hands it in: what is theirs, and for whom it is."""

import io
import zipfile

from pypdf import PdfReader

from labs import actions
from labs.models import Session
from labs.tests.described import Described
from labs.tests.room import WHEN, Room, entry, titrate, write
from prelab.models import Answer


class OfAStudent(Room):
    def setUp(self) -> None:
        self.bench.team.set([self.student, self.neighbour])
        titrate(self.as_(self.student), self.bench, ("0.00", "21.54"), ("0.10", "21.62"))
        write(self.as_(self.neighbour), self.bench, entry("V_start", "0.05", 3), entry("answer.1", "Acid as declared."))
        self.address = f"/api/benches/{self.bench.pk}/files/report.pdf"

    def text(self, client: Described, student: int | str) -> str:
        answer = client.get(f"{self.address}?student={student}")
        self.assertEqual(answer.status_code, 200, answer.content)
        return " ".join(" ".join(page.extract_text() for page in PdfReader(io.BytesIO(answer.content)).pages).split())

    def test_it_names_them_their_team_and_what_they_wrote(self) -> None:
        mine = self.text(self.as_(self.student), self.student.pk)
        self.assertIn("Report of Sami, with Tova", mine)
        self.assertIn("Wrote 7 of the 9 entries at the bench: 7 readings.", mine)
        self.assertIn("(Tova)", mine, "who wrote a closing answer")
        theirs = self.text(self.as_(self.instructor), self.neighbour.pk)
        self.assertIn("Report of Tova, with Sami", theirs)
        self.assertIn("Wrote 2 of the 9 entries at the bench: 1 reading and 1 closing answer.", theirs)

    def test_a_student_reaches_only_their_own(self) -> None:
        client = self.as_(self.student)
        for other in (self.neighbour.pk, self.instructor.pk, 10**20, "x", "", f" {self.student.pk}"):
            self.assertEqual(client.get(f"{self.address}?student={other}").status_code, 404, other)
        each = client.get(f"/api/benches/{self.bench.pk}/report").json()["each"]
        self.assertEqual([report["name"] for report in each], ["Sami"])

    def test_their_work_before_class_is_in_it_and_nobody_elses(self) -> None:
        asked = {"tasks": ["plan_line_1"], "questions": ["Why hydrogen?"]}
        gas = actions.plan_session(
            self.section, "gas-eudometer", "Ribbon", "Room 2", WHEN, 90, {}, {}, 1, [], prelab=asked
        )
        for person, text in ((self.student, "lightest of all"), (self.neighbour, "it burns")):
            Answer.objects.create(session=gas, person=person, task="own-1", text=text)
        actions.open_session(gas)
        bench = Session.objects.get(pk=gas.pk).benches.get()
        bench.team.set([self.student, self.neighbour])
        write(self.as_(self.neighbour), bench, entry("note", "ready"))
        self.address = f"/api/benches/{bench.pk}/files/report.pdf"
        mine = self.text(self.as_(self.student), self.student.pk)
        self.assertIn("lightest of all", mine)
        self.assertIn("None of the entries", mine)
        self.assertNotIn("it burns", mine)

    def test_the_archive_has_one_for_each(self) -> None:
        answer = self.as_(self.instructor).get(f"/api/sessions/{self.session.pk}/reports.zip?each=student")
        names = zipfile.ZipFile(io.BytesIO(b"".join(answer.streaming_content))).namelist()
        self.assertEqual(sum("report-sami" in name or "report-tova" in name for name in names), 2)
