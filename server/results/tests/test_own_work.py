"""Own work first: planned, kept from students until their own stands, traced, told by hints, released.

Titres of 18.25 and 18.31 mL of 0.1026 mol/L on 20.00 mL, one proton: 0.1026 · 18.28 / 20.00 = 0.09378 mol/L.
"""

import json
from typing import Any

from labs.models import Bench, Session
from labs.tests.room import Room, entry, signed_in, titrate, write

ALL_OWN = {"shows": "after_own", "hints": "place", "tries": 3, "lines": ["V_mean", "c_s"]}


class OwnWorkFirst(Room):
    def plan(self, own_work: Any) -> Any:
        body = {
            "section": self.section.pk, "method": "acid-base-titration", "title": "Own work", "benches": 1,
            "starts_at": "2026-03-02T09:00:00Z", "own_work": own_work,
            "options": {"c_t": "0.1026", "rough_trial": "no", "dilution": "1", "z_s": "1"},
        }  # fmt: skip
        return self.as_(self.instructor).post("/api/sessions", body, "application/json")

    def opened(self, own_work: Any) -> Bench:
        answer = self.plan(own_work)
        self.assertEqual(answer.status_code, 201, answer.content)
        self.number = answer.json()["card"]["id"]
        self.act("open")
        bench = Session.objects.get(pk=self.number).benches.get()
        titrate(signed_in(self.student), bench, ("0.22", "18.47"), ("1.05", "19.36"))
        return bench

    def act(self, action: str) -> None:
        address = f"/api/sessions/{self.number}/state"
        answer = self.as_(self.instructor).post(address, {"action": action}, "application/json")
        self.assertEqual(answer.status_code, 200, answer.content)

    def view(self, bench: Bench, who: Any = None) -> Any:
        return signed_in(who or self.student).get(f"/api/benches/{bench.pk}").json()

    def test_a_student_finds_the_result_at_no_address_before(self) -> None:
        bench = self.opened(ALL_OWN)
        paths = ("", "/report", "/files/results.csv", "/files/data.json")
        for path in paths:
            address = f"/api/benches/{bench.pk}{path}"
            hidden = signed_in(self.student).get(address)
            self.assertEqual(hidden.status_code, 200, address)
            self.assertNotIn(b"0.0937", hidden.content, address)
            self.assertNotIn(b"18.28", hidden.content, address)
            self.assertIn(b"0.0937", signed_in(self.assistant).get(address).content, address)
        self.assertIn("when all of your own stand", self.view(bench)["evaluation"]["veil"])

    def test_it_shows_when_their_own_stands(self) -> None:
        bench, client = self.opened(ALL_OWN), signed_in(self.student)
        write(client, bench, entry("own.V_mean", "18.28"), entry("own.c_s", "0.102"))
        seen = self.view(bench)["evaluation"]
        self.assertEqual(seen["results"], [])
        self.assertEqual(
            [answer["sentence"] for answer in seen["own"]],
            ["Your readings give the same.", "Not yet. What differs was done in this line."],
        )
        write(client, bench, entry("own.c_s", "93.8 mmol/L"))
        seen = self.view(bench)["evaluation"]
        self.assertEqual((seen["results"][0]["key"], seen["veil"]), ("c_s", ""))

    def test_every_attempt_stays_on_the_record_and_counts(self) -> None:
        bench, client = self.opened(ALL_OWN), signed_in(self.student)
        for text in ("1", "2", "3.3"):
            write(client, bench, entry("own.V_mean", text))
        [own] = self.view(bench)["evaluation"]["own"]
        self.assertEqual(own["tries"], 3)
        self.assertIn("18.28", own["line"])
        self.assertEqual(
            [e.text for e in bench.entries.filter(key="own.V_mean").order_by("sequence")], ["1", "2", "3.3"]
        )

    def test_the_instructor_reads_what_the_hint_does_not_tell(self) -> None:
        bench = self.opened({**ALL_OWN, "hints": "none"})
        write(signed_in(self.student), bench, entry("own.V_mean", "18.92"))  # (18.47 + 19.36) / 2 = 18.915
        self.assertEqual(self.view(bench)["evaluation"]["own"][0]["sentence"], "Kept.")
        told = self.view(bench, self.instructor)["evaluation"]["own"][0]["sentence"]
        self.assertIn("final reading is used", told)

    def test_results_wait_for_the_release(self) -> None:
        bench = self.opened({**ALL_OWN, "shows": "after_release"})
        write(signed_in(self.student), bench, entry("own.V_mean", "18.28"), entry("own.c_s", "0.0938"))
        self.assertEqual(self.view(bench)["evaluation"]["results"], [])
        self.act("close")
        self.act("release")
        self.assertTrue(self.view(bench)["evaluation"]["results"])

    def test_what_cannot_be_asked_is_refused_and_nothing_is_planned(self) -> None:
        before = Session.objects.count()
        for wrong in (
            {**ALL_OWN, "lines": ["gold"]}, {**ALL_OWN, "lines": []}, {**ALL_OWN, "shows": "later"},
            {**ALL_OWN, "tries": 100}, {**ALL_OWN, "lines": ["c_s"] * 400}, {**ALL_OWN, "lines": [{"a": 1}]}, "all", 7,
        ):  # fmt: skip
            answer = self.plan(wrong)
            self.assertIn(answer.status_code, (400, 422), wrong)
            self.assertTrue(answer.json()["problems"], wrong)
        self.assertEqual(Session.objects.count(), before)

    def test_a_plan_keeps_it_and_is_changed_with_it(self) -> None:
        plan = self.plan(ALL_OWN).json()
        self.assertEqual(plan["draft"]["own_work"], ALL_OWN)
        self.assertEqual(self.plan({}).json()["draft"]["own_work"]["shows"], "at_once")

    def test_hostile_answers_are_judged_or_refused_one_by_one(self) -> None:
        bench, client = self.opened(ALL_OWN), signed_in(self.student)
        kept = write(
            client, bench,
            entry("own.c_s", "1,2e-3 mol/L"), entry("own.c_s", "3.4·10^-2"), entry("own.c_s", "about 5"),
            entry("own.c_s", "mol"), entry("own.c_s", "5 kg"), entry("own.c_s", "0", 1), entry("own.nothing", "1"),
        )  # fmt: skip
        self.assertEqual([entry["kept"] for entry in kept], [True, True, False, False, False, False, False])
        self.assertIn("not one number", kept[2]["problem"])
        self.assertTrue(json.dumps(self.view(bench)))
