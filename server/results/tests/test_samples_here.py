"""Several samples at one bench: a record for each, one team, one tile, what is common offered, the results compared."""

from typing import Any

from labs.models import Bench, Sample, Session
from labs.tests.room import Room, entry, signed_in, titrate, write

TWO = [{"name": "Kettle A", "accepted": {"c_s": "0.2"}}, {"name": "Kettle B"}]


class SamplesHere(Room):
    def plan(self, **changes: Any) -> Any:
        body = {
            "section": self.section.pk, "method": "acid-base-titration", "title": "Which is stronger?", "benches": 2,
            "starts_at": "2026-03-02T09:00:00Z", "options": {"c_t": "0.1026", "rough_trial": "no"},
            "samples": TWO, "all_samples": True, **changes,
        }  # fmt: skip
        return self.as_(self.instructor).post("/api/sessions", body, "application/json")

    def opened(self, **changes: Any) -> Session:
        session = Session.objects.get(pk=self.plan(**changes).json()["card"]["id"])
        answer = self.act(session, "open")
        self.assertEqual(answer.status_code, 200, answer.content)
        session.refresh_from_db()
        return session

    def act(self, session: Session, action: str) -> Any:
        return self.as_(self.instructor).post(
            f"/api/sessions/{session.pk}/state", {"action": action}, "application/json"
        )

    def view(self, bench: Bench) -> Any:
        return signed_in(self.student).get(f"/api/benches/{bench.pk}").json()

    def mine(self, session: Session) -> list[Bench]:
        return list(session.benches.filter(team=self.student).order_by("turn"))

    def test_each_place_has_a_record_for_each_sample_and_one_team(self) -> None:
        plan = self.plan().json()
        self.assertEqual([(bench["number"], bench["sample"]) for bench in plan["benches"]],
                         [(1, "Kettle A, Kettle B"), (2, "Kettle A, Kettle B")])  # fmt: skip
        self.assertEqual((plan["card"]["benches"], plan["card"]["students"]), (2, 2))
        session = Session.objects.get(pk=plan["card"]["id"])
        teams = {(b.number, b.turn): [p.pk for p in b.team.all()] for b in session.benches.all()}
        self.assertEqual(len(teams), 4)
        self.assertEqual(teams[1, 1], teams[1, 2])
        places = {"places": [{"person": self.student.pk, "bench": 2}]}
        self.as_(self.instructor).put(f"/api/sessions/{session.pk}/teams", places, "application/json")
        self.assertEqual([b.number for b in self.mine(session)], [2, 2])

    def test_plan_is_changed_from_in_turn_to_all_and_back_and_teams_stay(self) -> None:
        session = Session.objects.get(pk=self.plan(all_samples=False).json()["card"]["id"])
        self.assertEqual([b.sample and b.sample.label for b in session.benches.all()], ["Kettle A", "Kettle B"])
        client, address = self.as_(self.instructor), f"/api/sessions/{session.pk}/samples"
        client.put(address, {"samples": TWO, "all_samples": True}, "application/json")
        self.assertEqual(session.benches.count(), 4)
        self.assertEqual([b.turn for b in self.mine(session)], [1, 2])
        client.put(address, {"samples": TWO[:1], "all_samples": True}, "application/json")
        self.assertEqual([(b.number, b.turn, b.team.count()) for b in session.benches.all()], [(1, 1, 1), (2, 1, 1)])

    def test_the_second_sample_is_compared_with_the_first(self) -> None:
        """By hand: 22.41 and 11.205 mL of 0.1026 mol/L on 20.00 mL are 0.11496 and 0.05748 mol/L, twice as much."""
        session = self.opened()
        first, second = self.mine(session)
        titrate(signed_in(self.student), first, ("0.00", "22.40"), ("0.00", "22.42"))
        self.assertEqual(self.view(first)["beside"], [])
        titrate(signed_in(self.student), second, ("0.00", "11.20"), ("0.00", "11.21"))
        seen = self.view(first)
        self.assertEqual([sample["label"] for sample in seen["samples"]], ["Kettle A", "Kettle B"])
        [beside] = seen["beside"]
        [pair] = [pair for pair in beside["pairs"] if pair["key"] == "c_s"]
        self.assertEqual(beside["sample"], "Kettle B")
        self.assertTrue(pair["own"].startswith("0.11496"), pair)
        self.assertIn("100 % more than Kettle B: further apart than both are known to", pair["sentence"])
        self.assertAlmostEqual(pair["difference"], 0.1026 * (22.41 - 11.205) / 20, 6)
        report = signed_in(self.student).get(f"/api/benches/{first.pk}/report").json()
        self.assertEqual(report["beside"], seen["beside"])
        self.assertNotIn('"0.2"', str(seen), "the hidden value")

    def test_the_floor_shows_a_place_once_with_the_sample_in_hand(self) -> None:
        session = self.opened()
        first, second = self.mine(session)
        titrate(signed_in(self.student), first, ("0.00", "22.40"))
        write(signed_in(self.student), second, entry("V_s", "20.00"))
        write(signed_in(self.student), second, entry("call", "Help"))
        floor = self.as_(self.instructor).get(f"/api/sessions/{session.pk}/floor").json()
        self.assertEqual([bench["number"] for bench in floor["benches"]], [1, 2])
        tile = floor["benches"][first.number - 1]
        self.assertEqual((tile["id"], tile["sample"], tile["call"]), (second.pk, "Kettle B", "Help"))
        self.assertEqual([sample["bench"] for sample in tile["samples"]], [first.pk, second.pk])

    def test_samples_are_chosen_for_otherwise(self) -> None:
        """Two salts at a bench, each with its own molar mass; what does not fit is refused with a sentence."""
        salts = [{"name": "Blue", "options": {"M_salt": "CuSO4"}}, {"name": "White", "options": {"M_salt": "MgSO4"}}]
        session = self.opened(method="hydrate", options={}, samples=salts)
        self.assertEqual([b.options["M_salt"] for b in self.mine(session)], ["CuSO4", "MgSO4"])
        for wrong in ({"M_salt": "Xx9"}, {"nothing": "1"}, {"m_portion": "much"}):
            answer = self.plan(method="hydrate", options={}, samples=[{"name": "Blue", "options": wrong}])
            self.assertEqual(answer.status_code, 422, wrong)
            self.assertTrue(answer.json()["problems"][0].strip())

    def test_benches_may_have_different_temperatures(self) -> None:
        plans = ["22; 40; 60", "22; 50; 70"]
        samples = [{"name": f"Set {n}", "options": {"T_plan": plan}} for n, plan in enumerate(plans, 1)]
        session = self.opened(method="rate-temperature", options={}, samples=samples, all_samples=False)
        taken = [sorted(bench.options["T_plan"].split("; ")) for bench in session.benches.all()]
        self.assertEqual(taken, [["22", "40", "60"], ["22", "50", "70"]])

    def test_what_follows_from_a_sample_s_choice_holds_for_it(self) -> None:
        """Citric acid gives three H⁺, ethanoic one: 20.00 mL of 0.1026 mol/L on 20.00 mL are 0.0342 and 0.1026.
        Also where the plan was made from one that was held, whose options all stand there.
        """
        citric = {"name": "Lemon", "options": {"M_s": "C6H8O7"}}
        for held in ({}, {"M_s": "CH3COOH", "z_s": "1"}):
            options = {"c_t": "0.1026", "rough_trial": "no", **held}
            session = self.opened(options=options, samples=[{"name": "Vinegar"}, citric])
            vinegar, lemon = self.mine(session)
            for bench in (vinegar, lemon):
                titrate(signed_in(self.student), bench, ("0.00", "20.00"), ("0.00", "20.00"))
            values = [self.view(bench)["evaluation"]["results"][0]["value"] for bench in (vinegar, lemon)]
            self.assertAlmostEqual(values[0], 0.1026, 6)
            self.assertAlmostEqual(values[1], 0.1026 / 3, 6)
        # what was chosen for all by hand stays
        session = self.opened(options={"c_t": "0.1026", "z_s": "2"}, samples=[{"name": "Vinegar"}, citric])
        self.assertEqual([bench.options["z_s"] for bench in self.mine(session)], ["2", "2"])

    def test_the_class_s_units_are_the_same_for_all_samples(self) -> None:
        answer = self.plan(method="heat-of-fusion", options={}, samples=[{"name": "A", "options": {"heats": "J"}}])
        self.assertEqual(answer.status_code, 422)
        self.assertIn("same for the whole class", answer.json()["problems"][0])

    def test_what_cannot_be_is_refused_and_leaves_nothing(self) -> None:
        before = Session.objects.count(), Sample.objects.count()
        many = [{"name": f"S{n}"} for n in range(12)]
        for changes, sentence in (
            ({"samples": [{"name": "A"}, {"name": " a "}]}, "Two samples are called"),
            ({"samples": many, "benches": 48}, "576 records"),
        ):
            answer = self.plan(**changes)
            self.assertEqual(answer.status_code, 422)
            self.assertIn(sentence, answer.json()["problems"][0])
        self.assertEqual((Session.objects.count(), Sample.objects.count()), before)

    def test_a_bench_of_others_stays_closed(self) -> None:
        session = self.opened()
        theirs = session.benches.exclude(team=self.student)
        for bench in theirs:
            self.assertEqual(signed_in(self.student).get(f"/api/benches/{bench.pk}").status_code, 404)

    def test_what_is_common_is_offered_for_the_next_and_what_is_the_sample_s_is_not(self) -> None:
        session = self.opened(method="metal-in-alloy", options={"V_plan": "2; 4; 6"}, samples=[*TWO[1:], {"name": "C"}])
        first, second = self.mine(session)
        written = write(
            signed_in(self.student), first, entry("V_flask", "10", None), entry("V_std", "2.0", None, index=1)
        )
        self.assertTrue(all(entry["kept"] for entry in written), written)
        offered = self.view(second)["read_before"]
        self.assertEqual([(o["key"], o["index"], o["text"], o["sample"]) for o in offered],
                         [("V_flask", None, "10", "Kettle B"), ("V_std", 1, "2.0", "Kettle B")])  # fmt: skip
        self.assertEqual(self.view(first)["read_before"], [])
