"""The planner's answer: supplies for the class, calibrated instruments, and sentences for what does not go together."""

from typing import Any

from labs.tests.room import Room, entry, filled, write


class Planning(Room):
    def predict(self, slug: str, benches: int = 8, **more: Any) -> Any:
        body = {"method": slug, "benches": benches, "options": {}, "instruments": {}, **more}
        return self.as_(self.instructor).post("/api/predict", body, "application/json").json()

    def test_supplies_grow_with_the_benches(self) -> None:
        """Hydrate: 3 g a crucible; one bench with a quarter more is 3.75 g, eight are 30 g."""
        for benches, grams in ((1, "3.75 g"), (8, "30.0 g")):
            supplies = self.predict("hydrate", benches)["supplies"]["supplies"]
            self.assertEqual(supplies[0]["whole_class"], grams)

    def test_things_are_counted_whole(self) -> None:
        crucibles = self.predict("hydrate", 3)["supplies"]["supplies"][1]
        self.assertEqual((crucibles["bench"], crucibles["whole_class"]), ("1", "4"))

    def test_a_calibrated_pipette_changes_what_is_expected(self) -> None:
        bench = filled(self.section, "volumetric-calibration")
        client = self.as_(self.instructor)
        stock = client.post(f"/api/benches/{bench.pk}/store", {"name": "P7"}, "application/json").json()
        chosen = {"pipette": stock["calibrations"][0]["slug"]}
        self.assertTrue(self.predict("volumetric-calibration", instruments=chosen)["relative"])
        refused = client.post(
            "/api/predict", {"method": "hydrate", "instruments": {"balance": chosen["pipette"]}}, "application/json"
        )
        self.assertIn("cannot be the balance", str(refused.json()))

    def test_somebody_else_s_instrument_is_not_known(self) -> None:
        body = {"method": "volumetric-calibration", "instruments": {"pipette": "own-1"}}
        answer = self.as_(self.stranger).post("/api/predict", body, "application/json")
        self.assertEqual(answer.status_code, 422)
        self.assertIn("There is no instrument", str(answer.json()))


class SharedEquipment(Room):
    def test_the_preview_draws_lanes_and_the_saved_plan_keeps_them(self) -> None:
        plan = {"method": "rate-temperature", "options": {"baths": "3"}, "instruments": {}, "benches": 6}
        client = self.as_(self.instructor)
        drawn = client.post("/api/predict", plan, "application/json").json()["timetables"][0]
        self.assertEqual([lane["label"] for lane in drawn["lanes"]][:4], ["At room temperature", *BATHS])
        body = {**plan, "section": self.section.pk, "title": "Warm", "starts_at": "2026-03-09T09:00:00Z"}
        saved = client.post("/api/sessions", body, "application/json").json()
        self.assertEqual(saved["timetables"][0]["lanes"], drawn["lanes"])
        alone = {**plan, "method": "hydrate", "options": {}}
        self.assertEqual(client.post("/api/predict", alone, "application/json").json()["timetables"], [])


BATHS = ["Bath 1", "Bath 2", "Bath 3"]


class TrialResults(Room):
    def test_each_trial_has_its_row_in_the_file_and_its_answer_traced(self) -> None:
        bench = filled(self.section, "molarity-series")
        kept = write(self.as_(self.instructor), bench, entry("own.c", "0.0516", 1), entry("own.c", "0.0514", 1))
        self.assertTrue(all(row["kept"] for row in kept))
        report = self.as_(self.instructor).get(f"/api/benches/{bench.pk}/report").json()
        self.assertEqual([(o["trial"], o["kind"]) for o in report["evaluation"]["own"]], [(1, "right")])
        rows = self.as_(self.instructor).get(f"/api/benches/{bench.pk}/files/results.csv").content.decode().splitlines()
        self.assertEqual([row.split(",")[:2] for row in rows[1:4]], [["c", "1"], ["c", "2"], ["c", "3"]])

    def test_the_floor_knows_the_bench_by_what_its_trials_say(self) -> None:
        bench = filled(self.section, "molarity-series")
        floor = self.as_(self.instructor).get(f"/api/sessions/{bench.session.pk}/floor").json()
        tile = floor["benches"][0]
        self.assertEqual([trial["text"] for trial in tile["trials"]], ["0.0514", "0.1020", "0.2056"])
        self.assertEqual(floor["result_label"], "The last compared with the first")
