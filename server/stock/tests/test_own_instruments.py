"""Instruments of one's own: made, tried, planned with, frozen with the session, and nobody else's."""

from datetime import timedelta
from typing import Any

from chromata_core.instruments.calibrated import thawed
from chromata_core.sheet.sheet_file import read_sheet
from labs import actions
from labs.tests.room import WHEN, Room, entry, evaluated, write
from stock.models import OwnInstrument

SHORT = {
    "base": "burette-50-b", "name": "Short burette", "high": "10", "graduation": "0.05", "tolerance": "0.03",
    "basis": "its label",
}  # fmt: skip


class OwnInstruments(Room):
    def add(self, **more: Any) -> Any:
        return self.as_(self.instructor).post("/api/stock/instruments", {**SHORT, **more}, "application/json")

    def test_it_is_tried_added_planned_with_and_kept_with_the_session(self) -> None:
        tried = self.as_(self.instructor).post("/api/stock/instruments/try", SHORT, "application/json").json()
        self.assertEqual((tried["high"], tried["short"], tried["kind"]), ("10", "Short burette", "burette"))
        [own] = self.add().json()["instruments"]
        slug = own["tool"]["slug"]
        self.assertIn(slug, [tool["slug"] for tool in self.as_(self.instructor).get("/api/instruments").json()])
        session = actions.plan_session(
            self.section, "acid-base-titration", "t", "R", WHEN + timedelta(days=1), 90, {"rough_trial": "no"},
            {"burette": slug}, 1, [],
        )  # fmt: skip
        actions.open_session(session)
        bench = session.benches.get()
        [kept] = write(self.as_(self.instructor), bench, entry("V_start", "10.40", 1))
        self.assertFalse(kept["kept"])
        self.assertIn("past the last mark of the burette “Short burette”, 10 mL", kept["problem"])
        file = self.as_(self.instructor).get(f"/api/benches/{bench.pk}/files/data.json").content.decode()
        self.assertEqual(thawed(slug, read_sheet(file).calibrations[slug]).high, "10", "a file carries it")
        # taken out of the stockroom, the session works on with what it was opened with
        self.as_(self.instructor).delete(f"/api/stock/instruments/{own['id']}")
        self.assertEqual(OwnInstrument.objects.count(), 0)
        [kept] = write(self.as_(self.instructor), bench, entry("V_start", "0.40", 1))
        self.assertTrue(kept["kept"], kept)
        self.assertEqual(evaluated(bench).trials[0].number, 1)

    def test_what_no_instrument_can_be_is_answered_with_a_sentence_and_leaves_nothing(self) -> None:
        for wrong in (
            {"graduation": "20"}, {"high": "NaN"}, {"high": "1e400"}, {"name": " "}, {"decimals": "9"},
            {"base": "nothing"}, {"tolerance": "-1"}, {"numbers_run": "round"}, {"name": "x" * 61},
        ):  # fmt: skip
            answer = self.add(**wrong)
            self.assertIn(answer.status_code, (400, 422), wrong)
            self.assertTrue(answer.json()["problems"][0].strip())
        self.assertEqual(OwnInstrument.objects.count(), 0)

    def test_it_is_its_owner_s(self) -> None:
        [own] = self.add().json()["instruments"]
        for who in (self.student, self.assistant):
            self.assertEqual(self.as_(who).post("/api/stock/instruments", SHORT, "application/json").status_code, 403)
        address = f"/api/stock/instruments/{own['id']}"
        self.assertEqual(self.as_(self.stranger).delete(address).status_code, 404)
        stock = self.as_(self.stranger).get("/api/stock").json()
        self.assertEqual(stock["instruments"], [])
