"""Readings brought from a table: shown first, written when confirmed, nothing written over."""

import base64
import io
import zipfile
from typing import Any

from openpyxl import Workbook

from labs import actions
from labs.tests.room import Room, evaluated, record, titrate

# 18.25 and 18.31 mL of 0.1026 mol/L on 20.00 mL: 0.1026 · 18.28 / 20.00 = 0.09378 mol/L (one proton).
TABLE = (
    "Titration;Pipette;Burette, start / mL;V_end;End point\n"
    "1;20.00;0,22;18,47;The colour held for 30 s\n2;;1,05;19,36;held\n"
)


class Brought(Room):
    def bring(self, who: Any = None, status: int = 200, **body: Any) -> Any:
        client = self.as_(who or self.student)
        answer = client.post(f"/api/benches/{self.bench.pk}/readings", body, "application/json")
        self.assertEqual(answer.status_code, status, answer.content)
        return answer.json()

    def book(self, *rows: list[Any]) -> str:
        book, out = Workbook(), io.BytesIO()
        for row in rows:
            book.active.append(row)
        book.save(out)
        return base64.b64encode(out.getvalue()).decode()

    def test_it_is_shown_and_nothing_is_written(self) -> None:
        seen = self.bring(text=TABLE.replace("Pipette", "V_s"))
        self.assertEqual((seen["shape"], seen["kept"]), ("a trial on each line", 0))
        self.assertEqual([row["problem"] for row in seen["rows"]], [""] * 7)
        self.assertEqual(self.bench.entries.count(), 0)

    def test_what_is_confirmed_gives_the_result_and_holds(self) -> None:
        kept = self.bring(text=TABLE.replace("Pipette", "V_s"), keep=True)
        self.assertEqual(kept["kept"], 7)
        self.assertTrue(all(row["known"] for row in kept["rows"]))
        self.assertAlmostEqual(evaluated(self.bench).results[0].value, 0.1026 * 18.28 / 20.00, 4)
        self.assertTrue(record(self.bench).whole)
        self.assertIn(
            "no new reading", self.bring(text=TABLE.replace("Pipette", "V_s"), keep=True, status=422)["problems"][0]
        )

    def test_the_good_ones_are_kept_and_the_others_named(self) -> None:
        kept = self.bring(text="what,trial,value\nV_start,1,0.22\nV_end,1,about 18\nColour,1,pink\n", keep=True)
        self.assertEqual(kept["kept"], 1)
        self.assertEqual([bool(row["problem"]) for row in kept["rows"]], [False, True, True])

    def test_nothing_is_written_over(self) -> None:
        titrate(self.as_(self.student), self.bench, ("0.22", "18.47"))
        seen = self.bring(text="what\ttrial\tvalue\nV_end\t1\t18.57")
        self.assertIn("18.47 is written there already", seen["rows"][0]["problem"])

    def test_a_workbook_with_numbers_and_formulas(self) -> None:
        file = self.book(["Run", "V_start", "V_end"], [1, 0.2, 18.5], [2, 1.05, "=B3+18"])
        seen = self.bring(file=file, file_name="titres.xlsx")
        self.assertEqual([row["text"] for row in seen["rows"]], ["0.20", "18.50", "1.05", "=B3+18"])
        self.assertTrue(seen["rows"][3]["problem"], "of this formula no value was kept")
        self.assertIn("zeros", seen["notes"][0])

    def test_a_difference_worked_by_a_spreadsheet_has_no_digits_of_the_machine(self) -> None:
        seen = self.bring(file=self.book(["V_start", "V_end"], [0.1 + 0.2, 36.3 - 18.1]), file_name="x.xlsx")
        self.assertEqual([row["text"] for row in seen["rows"]], ["0.30", "18.20"])

    def test_a_workbook_that_is_broken_inside_is_told(self) -> None:
        whole = io.BytesIO(base64.b64decode(self.book(["V_start"], [1.0])))
        broken = io.BytesIO()
        with zipfile.ZipFile(whole) as before, zipfile.ZipFile(broken, "w") as after:
            for name in before.namelist():
                after.writestr(name, b"<worksheet><row" if "sheet1" in name else before.read(name))
        self.bring(file=base64.b64encode(broken.getvalue()).decode(), file_name="x.xlsx", status=422)

    def test_a_sheet_file_of_ours_comes_back(self) -> None:
        titrate(self.as_(self.student), self.bench, ("0.22", "18.47"), ("1.05", "19.36"))
        for name in ("data.json", "readings.csv"):
            text = self.as_(self.student).get(f"/api/benches/{self.bench.pk}/files/{name}").content.decode()
            self.assertTrue(all(row["known"] for row in self.bring(text=text)["rows"]), name)

    def test_what_cannot_be_read_is_told(self) -> None:
        no_book, no_text = (base64.b64encode(body).decode() for body in (b"PK\x03\x04nothing", bytes(range(256))))
        for wrong in (
            {"text": ""}, {"text": "Name\tMark\nAda\t5"}, {"file": "§"}, {"file": no_book}, {"file": no_text},
            {"text": "{]"}, {"text": "{}"},
        ):  # fmt: skip
            self.assertTrue(self.bring(status=422, **wrong)["problems"][0], wrong)
        self.bring(status=400, text="\x00\x00")
        self.bring(status=413, file="A" * 3_100_000)

    def test_only_at_one_s_own_bench_while_it_is_open(self) -> None:
        self.bring(self.neighbour, 404, text=TABLE)
        actions.close_session(self.session)
        late = self.bring(text="V_start\tV_end\n0.22\t18.47", keep=True, status=422)
        self.assertIn("not open", late["problems"][0])
