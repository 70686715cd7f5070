"""A method over the years, and what drifts in the stockroom.

Concentrations by hand: 0.1026 mol/L · V / 20.00 mL.
"""

from datetime import datetime, timedelta
from typing import Any

from labs import actions
from labs.models import Bench, Session
from labs.tests.room import TRUE, WHEN, Room, filled, signed_in, titrate
from stock.models import Calibration, Solution

PATH = "/api/methods/acid-base-titration/history"


class OverTheYears(Room):
    def held(self, years: int, *ends: str, accepted: str = "0.1026") -> Session:
        """A closed session, one bench for each end of a titre from 0.00 mL, all of one product."""
        when: datetime = WHEN + timedelta(days=365 * years)
        samples = [{"name": "Bottle", "accepted": {"c_s": accepted}}]
        options = {"c_t": "0.1026", "rough_trial": "no", "z_s": "1", "dilution": "1"}
        session = actions.plan_session(
            self.section, "acid-base-titration", f"Year {years}", "1", when, 90, options, {}, len(ends), samples
        )
        actions.open_session(session)
        for bench, end in zip(session.benches.order_by("number"), ends, strict=True):
            titrate(signed_in(self.instructor), bench, ("0.00", end), ("0.00", end))
        actions.close_session(session)
        return session

    def seen(self, who: Any = None) -> Any:
        answer = self.as_(who or self.instructor).get(PATH)
        self.assertEqual(answer.status_code, 200, answer.content)
        return next((result for result in answer.json()["results"] if result["key"] == "c_s"), None)

    def test_each_year_with_its_mean_and_the_last_beside_those_before(self) -> None:
        """20.00 mL are 0.1026 mol/L; 19.60 and 19.64 mL 1.9 % less."""
        self.held(0, "20.00", "20.02", "19.98")
        self.held(1, "20.01", "19.99", "20.00")
        last = self.held(2, "19.60", "19.64", "19.62")
        over_time = self.seen()["found"]
        self.assertEqual(
            [time["mean"] for time in over_time["times"]], ["0.1026 mol/L", "0.1026 mol/L", "0.1007 mol/L"]
        )
        self.assertEqual([time["n"] for time in over_time["times"]], [3, 3, 3])
        self.assertEqual(over_time["times"][2]["away"], "−1.9 %")
        self.assertIn("lower than chance", over_time["sentence"])
        self.assertEqual(self.seen()["sessions"][-1], last.pk)
        self.assertIn("rough", over_time["chart"]["sentence"])

    def test_what_is_left_out_does_not_count(self) -> None:
        session = self.held(0, "20.00", "20.00", "15.00")
        bench = Bench.objects.get(session=session, number=3)
        client = self.as_(self.instructor)
        client.put(f"/api/benches/{bench.pk}/left-out", {"reason": "spilt"}, "application/json")
        self.assertEqual(self.seen()["found"]["times"][0]["n"], 2)

    def test_who_may_see_it(self) -> None:
        self.held(0, "20.00", accepted=TRUE)
        self.assertEqual(self.as_(self.student).get(PATH).status_code, 403)
        self.assertIsNone(self.seen(self.stranger))
        self.assertEqual(self.seen(self.assistant)["found"]["times"][0]["away"], "", "not before the release")
        self.assertNotEqual(self.seen()["found"]["times"][0]["away"], "")
        self.assertEqual(self.as_(self.instructor).get("/api/methods/acid-base-titratoin/history").status_code, 422)

    def test_where_trials_are_planned_each_of_them_has_its_history(self) -> None:
        actions.close_session(filled(self.section, "volumetric-calibration").session)
        answer = self.as_(self.instructor).get("/api/methods/volumetric-calibration/history").json()
        self.assertGreater(len({result["trial"] for result in answer["results"]}), 1)
        self.assertTrue(all(result["found"]["times"] for result in answer["results"]))

    def test_a_class_that_worked_in_another_unit_is_turned_into_the_first_one_s(self) -> None:
        """Both classes burnt alike: 1 kcal is 4.184 kJ; what is shown must not jump by that."""
        for unit in ("kcal", "kJ"):
            actions.close_session(filled(self.section, "food-calorimetry", {"energies": unit}).session)
        answer = self.as_(self.instructor).get("/api/methods/food-calorimetry/history").json()
        for result in answer["results"]:
            means = {time["mean"] for time in result["found"]["times"]}
            self.assertEqual(len(means), 1, result["label"])


class Drift(Room):
    def test_a_bottle_and_an_instrument_on_their_charts(self) -> None:
        for n, text in enumerate(("0.1002", "0.1003", "0.1001", "0.1002")):
            Solution.objects.create(
                owner=self.instructor,
                name="Acid",
                solution="HCl",
                concentration=text,
                limit="0.0002",
                unit="mol/L",
                source="",
            )
            points = [{"nominal": 20.0, "actual": 19.98 + n / 1000, "u": 0.003}]
            Calibration.objects.create(
                owner=self.instructor, name="Blue", base="pipette-20-a", points=points, source=""
            )
        charts = self.as_(self.instructor).get("/api/stock").json()["over_time"]
        self.assertEqual([chart["name"] for chart in charts], ["Acid", "Blue, set to 20"])
        self.assertIn("4 times, in the middle 0.1002 mol/L", charts[0]["chart"]["sentence"])
        self.assertEqual(self.as_(self.stranger).get("/api/stock").json()["over_time"], [])
