"""What one session finds is used, with its uncertainty, by the next; and whose it is."""

from datetime import timedelta
from typing import Any

from chromata_core.methods.registry import method
from chromata_core.sheet.bound import Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.telling.evaluate import evaluate
from labs import actions
from labs.models import Bench
from labs.tests.room import WHEN, Room, evaluated, filled
from notebook.handed import sheet_of


class Stock(Room):
    def bench_of(self, slug: str, options: dict[str, str], instruments: dict[str, str] | None = None) -> Bench:
        session = actions.plan_session(
            self.section, slug, slug, "Room 1", WHEN + timedelta(days=1), 90, options, instruments or {}, 1, []
        )
        actions.open_session(session)
        return session.benches.get()

    def store(self, bench: Bench, name: str) -> Any:
        return self.as_(self.instructor).post(f"/api/benches/{bench.pk}/store", {"name": name}, "application/json")

    def test_a_calibration_is_used_by_a_later_session(self) -> None:
        stock = self.store(filled(self.section, "volumetric-calibration"), "Pipette 7").json()
        own = stock["calibrations"][0]
        self.assertEqual([point["label"] for point in own["points"]], ["set to 0.5", "set to 1", "set to 3"])
        shown = self.as_(self.instructor).get("/api/instruments").json()
        self.assertIn(("Pipette 7", own["slug"]), [(tool["short"], tool["slug"]) for tool in shown])
        later = self.bench_of("volumetric-calibration", {}, {"pipette": own["slug"]})
        self.assertEqual(later.session.stock[own["slug"]]["name"], "Pipette 7")
        tool = sheet_of(later, []).stock[own["slug"]]
        self.assertIn(f"{tool.corrected(3.0):.5f} ± ", own["points"][2]["text"])

    def test_what_was_opened_keeps_what_it_used(self) -> None:
        own = self.store(filled(self.section, "volumetric-calibration"), "Pipette 7").json()["calibrations"][0]
        later = self.bench_of("volumetric-calibration", {}, {"pipette": own["slug"]})
        gone = self.as_(self.instructor).delete(f"/api/stock/calibrations/{own['id']}")
        self.assertEqual(gone.json()["calibrations"], [])
        self.assertIn(own["slug"], sheet_of(Bench.objects.get(pk=later.pk), []).stock)

    def test_a_standardised_titrant_carries_its_uncertainty(self) -> None:
        bench = filled(self.section, "standardisation")
        result = evaluated(bench).results[0]
        solution = self.store(bench, "Acid, jug 2").json()["solutions"][0]
        self.assertAlmostEqual(float(solution["concentration"]), result.value, places=5)
        self.assertAlmostEqual(float(solution["limit"]), result.expanded, places=5)
        options = {"c_t": solution["concentration"], "c_t.limit": solution["limit"]}
        titration = method("acid-base-titration")
        given = example_sheet(titration).given
        lines = evaluate(titration, Sheet({**titration.example.options, **options}, {}, given)).results[0].budget
        share = next(line for line in lines if line.label == "Titrant concentration")
        self.assertEqual(share.input.split()[0], f"{float(solution['limit']) / 1.959964:.2g}")

    def test_unfinished_work_is_refused_with_a_sentence(self) -> None:
        answer = self.store(self.bench_of("standardisation", {}), "Acid")
        self.assertEqual(answer.status_code, 422)
        self.assertIn("do not agree yet", str(answer.json()))
        self.assertEqual(self.store(self.bench, "Nothing").status_code, 422)

    def test_only_the_instructor_stores_and_only_staff_look(self) -> None:
        bench = filled(self.section, "standardisation")
        for who in (self.student, self.assistant):
            answer = self.as_(who).post(f"/api/benches/{bench.pk}/store", {"name": "x"}, "application/json")
            self.assertEqual(answer.status_code, 403)
        self.assertEqual(self.as_(self.student).get("/api/stock").status_code, 403)
        self.store(bench, "Acid")
        self.assertEqual(self.as_(self.stranger).get("/api/stock").json()["solutions"], [])
        self.assertEqual(self.as_(self.stranger).delete("/api/stock/solutions/1").status_code, 404)
