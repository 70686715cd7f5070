"""Another product's data open for a bench when its own trials agree, and not a moment before."""

import json
from typing import Any

from labs.tests.room import Room, titrate

OTHER = "Bottle Q"
TRIAL = (("V_start", "0.00"), ("end_point", "held"))
READINGS = [
    {"key": "V_s", "text": "20.00"},
    *(
        {"key": key, "trial": number, "text": text}
        for number, end in ((1, "17.31"), (2, "17.28"))
        for key, text in (*TRIAL, ("V_end", end))
    ),
]


class Comparison(Room):
    def prepare(self, **file: Any) -> Any:
        text = json.dumps({"readings": READINGS, **file})
        body = {"name": OTHER, "file": text}
        return self.as_(self.instructor).put(f"/api/sessions/{self.session.pk}/comparison", body, "application/json")

    def seen(self) -> Any:
        return self.as_(self.student).get(f"/api/benches/{self.bench.pk}").json()["comparison"]

    def test_nothing_but_its_name_is_told_before_the_trials_agree(self) -> None:
        self.assertEqual(self.prepare().json()["comparison"], OTHER)
        for trials in ((), (("0.00", "22.60"),), (("0.00", "22.60"), ("0.10", "23.40"))):
            titrate(self.as_(self.student), self.bench, *trials) if len(trials) == 1 else None
            told = self.seen()
            self.assertFalse(told["opened"])
            self.assertEqual((told["trials"], told["results"], told["beside"]), ([], [], []))
            for path in ("", "/report", "/files/data.json", "/files/report.pdf"):
                told_there = self.as_(self.student).get(f"/api/benches/{self.bench.pk}{path}").content
                self.assertNotIn(b"17.31", told_there, path)

    def test_it_opens_and_says_how_far_apart_they_are(self) -> None:
        self.prepare()
        titrate(self.as_(self.student), self.bench, ("0.00", "22.60"), ("0.10", "22.68"))
        told = self.seen()
        self.assertTrue(told["opened"])
        self.assertIn(f"31 % more than {OTHER}: further apart", told["sentence"])
        self.assertEqual(len(told["trials"]), 2)

    def test_a_file_that_does_not_fit_is_refused_with_a_sentence(self) -> None:
        self.assertIn("another experiment", str(self.prepare(method="hydrate").json()))
        self.assertIn("There is no reading", str(self.prepare(readings=[{"key": "nonsense", "text": "1"}]).json()))
        self.assertIn("give no result", str(self.prepare(readings=[]).json()))

    def test_a_file_of_a_calibrated_instrument_brings_its_calibration(self) -> None:
        """As the application itself writes it: the pipette delivers 20.40 mL where 20.00 are written."""
        point = {"nominal": 20.0, "actual": 20.4, "u": 0.002}
        own = {"base": "pipette-20-a", "name": "Pipette 7", "source": "weighed", "points": [point]}
        plain = self.prepare()
        self.assertEqual(plain.status_code, 200)
        titrate(self.as_(self.student), self.bench, ("0.00", "22.60"), ("0.10", "22.68"))
        before = self.seen()["results"][0]["value"]
        session = self.prepare(calibrations={"own-1": own}, instruments={"pipette": "own-1"})
        self.assertEqual(session.status_code, 200, session.content)
        self.assertAlmostEqual(self.seen()["results"][0]["value"] / before, 20 / 20.4, places=9)

    def test_only_the_instructor_prepares_it(self) -> None:
        for who, status in ((self.student, 403), (self.assistant, 403), (self.stranger, 404)):
            body = {"name": OTHER, "file": "{}"}
            answer = self.as_(who).put(f"/api/sessions/{self.session.pk}/comparison", body, "application/json")
            self.assertEqual(answer.status_code, status)

    def test_it_can_be_taken_away(self) -> None:
        self.prepare()
        body = {"name": OTHER, "file": ""}
        self.as_(self.instructor).put(f"/api/sessions/{self.session.pk}/comparison", body, "application/json")
        self.assertIsNone(self.seen())
