"""Sections and rosters: read from what people have, shown first, kept when confirmed; PINs, moves, slips."""

import base64
import io
import re
from typing import Any

from openpyxl import Workbook
from pypdf import PdfReader

from labs.tests.described import Described
from labs.tests.room import Room, record, titrate
from people.models import Person, Section
from people.roster import read_roster

JSON = "application/json"


class Rosters(Room):
    def read(self, text: str = "", file: bytes = b"", name: str = "") -> dict[str, Any]:
        body = {"text": text, "file": base64.b64encode(file).decode(), "file_name": name}
        answer = self.as_(self.instructor).post(f"/api/sections/{self.section.pk}/roster/preview", body, JSON)
        table: dict[str, Any] = answer.json()
        return table

    def names(self, **given: Any) -> list[str]:
        return [person["name"] for person in self.read(**given)["people"] if not person["problem"]]

    def test_names_as_people_write_them(self) -> None:
        pasted = "Åsa Lindström\nOkafor, Ada\n  Pelé \nNguyễn Thị  Hương\nO’Brien-Núñez, María José\n\n李小龍\n"
        self.assertEqual(
            self.names(text=pasted),
            ["Åsa Lindström", "Ada Okafor", "Pelé", "Nguyễn Thị Hương", "María José O’Brien-Núñez", "李小龍"],
        )

    def test_tables_with_and_without_heads(self) -> None:
        for text in (
            "Surname;First name;Student number\nOkafor;Ada;1042\nPelé;;1043\n",
            "Student ID,Given name,Family name\n1042,Ada,Okafor\n1043,,Pelé\n",
            "No.\tName\n1042\tOkafor, Ada\n1043\tPelé\n",
        ):
            with self.subTest(text):
                read = self.read(text=text)
                people = [(person["line"], person["name"], person["number"]) for person in read["people"]]
                self.assertEqual(people, [(2, "Ada Okafor", "1042"), (3, "Pelé", "1043")])
                self.assertGreaterEqual(len(read["columns"]), 2)
        guessed = self.read(text="Okafor;Ada;1042\nBerg;Nils;1043\n")
        self.assertEqual([person["name"] for person in guessed["people"]], ["Ada Okafor", "Nils Berg"])
        self.assertIn("surname and given name", guessed["notes"][0])

    def test_a_workbook_and_encodings(self) -> None:
        book = Workbook()
        sheet = book.active
        for row in (["Full name", "Group"], ["Åsa Lindström", "B"], [None, None], ["=1+1", "B"], ["Ada", 3]):
            sheet.append(row)
        file = io.BytesIO()
        book.save(file)
        read = self.read(file=file.getvalue(), name="class.xlsx")
        self.assertEqual(
            [(p["line"], p["name"]) for p in read["people"] if not p["problem"]], [(2, "Åsa Lindström"), (5, "Ada")]
        )
        self.assertIn("formula", next(p["problem"] for p in read["people"] if p["line"] == 4))
        for encoding in ("utf-8-sig", "utf-16", "cp1252"):
            with self.subTest(encoding):
                self.assertEqual(
                    self.names(file="Name\nÅsa Lindström\n".encode(encoding), name="a.csv"), ["Åsa Lindström"]
                )
        self.assertIn("accents", self.read(file="Name\nÅsa\n".encode("cp1252"))["notes"][0])
        for wrong in ("Åsa", "not base64!", "="):
            body = {"file": wrong, "file_name": "x.csv"}
            answer = self.as_(self.instructor).post(f"/api/sections/{self.section.pk}/roster/preview", body, JSON)
            self.assertEqual(answer.status_code, 422, wrong)
        self.assertIn("no XLSX file", self.read(file=b"PK\x03\x04 nonsense", name="x.xlsx")["problems"][0])

    def test_doubles_known_ones_and_errors_have_their_line(self) -> None:
        read = self.read(text="Ada Okafor\nSami\nada okafor\n=cmd()\n12345\n" + "x" * 121)
        told = {person["line"]: person["problem"] for person in read["people"]}
        self.assertEqual(told[1], "")
        self.assertIn("line 1", told[3])
        self.assertIn("formula", told[4])
        self.assertIn("no name", told[5])
        self.assertIn("longer", told[6])
        self.assertEqual([person["name"] for person in read["people"] if person["known"]], ["Sami"])
        self.assertEqual(self.section.roster.count(), 2, "nothing is changed by looking")

    def test_five_thousand_lines_and_nothing(self) -> None:
        self.assertIn("more than a section holds", self.read(text="Ada\n" * 5000)["problems"][0])
        self.assertIn("no name", self.read(text=" \n\n")["problems"][0])

    def test_confirmed_ones_are_kept_once_and_refused_as_a_whole(self) -> None:
        address = f"/api/sections/{self.section.pk}/roster"
        people = [{"name": "Ada Okafor", "number": "1042"}, {"name": "Ada Okafor", "number": "1043"}, {"name": "Sami"}]
        for _ in range(2):
            page = self.as_(self.instructor).post(address, {"people": people}, JSON).json()
            self.assertEqual(len(page["students"]), 4)
        bad = self.as_(self.instructor).post(address, {"people": [{"name": "New"}, {"name": "=1"}]}, JSON)
        self.assertEqual((bad.status_code, self.section.roster.count()), (422, 4))
        for who in (self.stranger, self.assistant, self.student):
            self.assertIn(self.as_(who).post(address, {"people": people}, JSON).status_code, (403, 404))

    def test_any_text_is_read_or_refused(self) -> None:
        for text in (
            "\x00",
            "a,b\x00c",
            '"',
            '"a\n,b',
            "\ufeffName\nA",
            "—",
            ",,,\n,,",
            "Name\n",
            ";" * 5000,
            "\ud83d\ude00 A",
        ):
            with self.subTest(repr(text)):
                self.read(text=text)


class SectionsOfOnesOwn(Room):
    def test_made_named_archived(self) -> None:
        client = self.as_(self.instructor)
        page = client.post("/api/sections", {"name": " Group C ", "term": "Autumn"}, JSON).json()
        section = Section.objects.get(pk=page["line"]["id"])
        self.assertEqual((section.name, section.owner), ("Group C", self.instructor))
        self.assertRegex(section.code, "^[A-Z]{5}[2-9]$")
        change = {"name": "Group D", "term": "Spring", "archived": True, "assistants": [self.assistant.pk]}
        page = client.put(f"/api/sections/{section.pk}", change, JSON).json()
        self.assertEqual((page["line"]["name"], page["line"]["assistants"]), ("Group D", [self.assistant.name]))
        self.assertEqual(Described().get(f"/api/join/{section.code}").status_code, 404, "nobody joins what is over")
        students = client.put(f"/api/sections/{section.pk}", {**change, "assistants": [self.student.pk]}, JSON)
        self.assertEqual(students.status_code, 422)
        self.assertEqual(self.as_(self.student).post("/api/sections", {"name": "x"}, JSON).status_code, 403)

    def test_a_code_as_people_type_it(self) -> None:
        for typed in ("green4", " GREEN 4 ", "green-4"):
            self.assertEqual(Described().get(f"/api/join/{typed}").json()["section"], "Group")
        former = self.section.code
        self.as_(self.instructor).post(f"/api/sections/{self.section.pk}/code")
        self.assertEqual(Described().get(f"/api/join/{former}").status_code, 404)

    def test_two_of_one_name_are_told_apart_when_joining(self) -> None:
        self.as_(self.instructor).post(
            f"/api/sections/{self.section.pk}/roster",
            {"people": [{"name": "Ada", "number": "7"}, {"name": "Ada", "number": "8"}]}, JSON,
        )  # fmt: skip
        names = [name["name"] for name in Described().get("/api/join/GREEN4").json()["names"]]
        self.assertEqual([name for name in names if "Ada" in name], ["Ada (7)", "Ada (8)"])

    def test_a_pin_in_one_touch_lets_the_student_in(self) -> None:
        for who, status in ((self.assistant, 200), (self.instructor, 200), (self.stranger, 404), (self.neighbour, 404)):
            answer = self.as_(who).post(f"/api/people/{self.student.pk}/pin")
            self.assertEqual(answer.status_code, status, who.name)
        pin = self.as_(self.instructor).post(f"/api/people/{self.student.pk}/pin").json()["pin"]
        self.assertRegex(pin, r"^\d{4}$")
        body = {"code": "green 4", "person": self.student.pk, "pin": pin}
        self.assertEqual(Described().post("/api/join", body, JSON).json()["name"], "Sami")

    def test_moved_and_taken_off_the_records_stay(self) -> None:
        titrate(self.as_(self.student), self.bench, ("0.24", "21.78"), ("0.10", "21.64"))
        other = Section.objects.create(name="Other", term="T", code="OTHER2", owner=self.instructor)
        page = self.as_(self.instructor).put(
            f"/api/people/{self.student.pk}", {"name": "Sami B.", "number": "", "section": other.pk}, JSON
        )
        self.assertEqual([student["name"] for student in page.json()["students"]], ["Sami B."])
        student = self.as_(self.student)
        self.assertEqual(self.as_(self.instructor).delete(f"/api/people/{self.student.pk}").status_code, 204)
        self.assertEqual(student.get("/api/benches").status_code, 403, "signed out at once")
        self.assertTrue(record(self.bench).whole)
        self.assertTrue(self.bench.entries.filter(author=self.student).exists())
        foreign = Section.objects.create(name="Foreign", term="T", code="FORGN2", owner=self.stranger)
        moved = self.as_(self.instructor).put(
            f"/api/people/{self.neighbour.pk}", {"name": "T", "section": foreign.pk}, JSON
        )
        self.assertEqual(moved.status_code, 404)

    def test_slips_carry_what_lets_somebody_in(self) -> None:
        Person.objects.filter(pk=self.student.pk).update(password="!")
        answer = self.as_(self.instructor).post(f"/api/sections/{self.section.pk}/slips", {"people": []}, JSON)
        text = "".join(page.extract_text() for page in PdfReader(io.BytesIO(answer.content)).pages)
        self.assertIn("Sami", text.replace("\x00", "").replace(" ", ""))
        self.assertEqual(text.count("PIN"), 1, "who has a PIN keeps it")
        pin = re.search(r"PIN\s+\S+\s+(\d{4})", text)
        assert pin is not None
        body = {"code": "GREEN4", "person": self.student.pk, "pin": pin.group(1)}
        self.assertEqual(Described().post("/api/join", body, JSON).status_code, 200)
        again = self.as_(self.instructor).post(f"/api/sections/{self.section.pk}/slips", {"people": []}, JSON)
        self.assertEqual(again.status_code, 422)


class HeadsOfColumns(Room):
    def test_what_is_recognised(self) -> None:
        for head in ("NAME", "Full name:", " student_name ", "Prénom Nom"):
            read = read_roster(self.section, f"{head};x\nAda;1\n", b"", "")
            self.assertEqual(bool(read.columns), head != "Prénom Nom", head)
