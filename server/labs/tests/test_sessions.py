"""Planning, opening, closing and releasing, as the instructor's screens ask for it."""

from typing import Any

from labs import actions
from labs.models import Session
from labs.tests.room import Room, entry, planned, titrate, write


class Planning(Room):
    def plan(self, **changes: Any) -> Any:
        body = {
            "method": "acid-base-titration", "section": self.section.pk, "title": "New", "room": "2", "minutes": 90,
            "starts_at": "2026-03-09T09:00:00Z", "benches": 3, "options": {"titrant": "H2SO4"}, "instruments": {},
            "samples": [{"name": "A", "accepted": {"c_s": "0.1"}}, {"name": "B"}], **changes,
        }  # fmt: skip
        return self.as_(self.instructor).post("/api/sessions", body, "application/json")

    def test_benches_get_samples_in_turn_and_teams_from_the_roster(self) -> None:
        answer = self.plan()
        self.assertEqual(answer.status_code, 201)
        benches = answer.json()["benches"]
        self.assertEqual([bench["sample"] for bench in benches], ["A", "B", "A"])
        self.assertEqual([bench["team"] for bench in benches], [["Sami"], ["Tova"], []])
        self.assertEqual(answer.json()["card"]["lacks"], ["1 bench has no team."])

    def test_benches_take_shared_baths_in_different_orders_room_temperature_first(self) -> None:
        plan = {"T_plan": "22; 40; 60", "baths": "2", "bath_places": "1"}
        session = self.plan(method="rate-temperature", benches=2, options=plan, samples=[]).json()["card"]["id"]
        client = self.as_(self.instructor)
        client.post(f"/api/sessions/{session}/state", {"action": "open"}, "application/json")
        titles = [
            [step["title"] for step in client.get(f"/api/benches/{bench.pk}").json()["evaluation"]["steps"]]
            for bench in Session.objects.get(pk=session).benches.order_by("number")
        ]
        warm = [[title for title in bench if "°C" in title] for bench in titles]
        first, second = ([title.partition(" °C")[0][-2:] for title in bench] for bench in warm)
        self.assertEqual((first, second), (["22", "40", "60"], ["22", "60", "40"]))

    def test_a_choice_sets_what_follows_from_it(self) -> None:
        """Sulfuric acid gives two H⁺ per formula without anybody saying so."""
        chosen = {option["key"]: option["text"] for option in self.plan().json()["options"]}
        self.assertEqual(chosen["z_t"], "2")

    def test_what_does_not_go_together_is_refused_and_nothing_is_kept(self) -> None:
        before = Session.objects.count()
        for changes, sentence in (
            ({"options": {"titrant": "milk"}}, "There are “H2SO4”"),
            ({"options": {"c_t": "0"}}, "zero makes the result meaningless"),
            ({"options": {"M_s": "Xx9"}}, "not a chemical formula"),
            ({"instruments": {"burette": "balance-0.01"}}, "cannot be the burette"),
            ({"instruments": {"kettle": "balance-0.01"}}, "instrument role"),
            ({"method": "alchemy"}, "There is no method “alchemy”"),
            ({"samples": [{"name": "A", "accepted": {"V": "1"}}]}, "not a result"),
            ({"samples": [{"name": "A", "accepted": {"c_s": "much"}}]}, "not one number"),
            ({"benches": 0}, "greater than or equal to 1"),
            ({"benches": 49}, "less than or equal to 48"),
            ({"title": ""}, "title"),
            ({"starts_at": "soon"}, "starts_at"),
            ({"section": 10_000}, "your own sections"),
        ):
            with self.subTest(sentence):
                answer = self.plan(**changes)
                self.assertIn(answer.status_code, (400, 409, 422))
                self.assertRegex(" ".join(answer.json()["problems"]), sentence)
        self.assertEqual(Session.objects.count(), before)

    def test_a_comma_is_a_decimal_point_all_the_way_to_the_floor(self) -> None:
        choices = {"options": {"c_t": "0,1026", "c_t.limit": "0,0004", "rough_trial": "no"}, "instruments": {}}
        samples = [{"name": "A", "accepted": {"c_s": "0,1100"}}]
        plan = self.plan(**choices, samples=samples).json()
        session = Session.objects.get(pk=plan["card"]["id"])
        self.assertEqual({o["key"]: o["text"] for o in plan["options"]}["c_t"], "0,1026 ± 0,0004 mol/L")
        actions.open_session(session)
        bench = session.benches.get(number=1)
        titrate(self.as_(bench.team.get()), bench, ("0,24", "21,78"), ("0,10", "21,64"))
        floor = self.as_(self.instructor).get(f"/api/sessions/{session.pk}/floor").json()
        self.assertEqual(floor["benches"][0]["band"]["centre"], "accepted")
        self.assertEqual(floor["class_comparison"]["products"][0]["accepted"], 0.11)

    def test_prediction_answers_as_choices_change(self) -> None:
        body = {"method": "acid-base-titration", "options": {}, "instruments": {"burette": "burette-50-a"}}
        answer = self.as_(self.instructor).post("/api/predict", body, "application/json").json()
        self.assertRegex(answer["relative"], "^± ")
        self.assertEqual(answer["options"]["z_t"], "1")


class ChangingAPlan(Room):
    def put(self, what: str, body: Any, session: Session) -> Any:
        address = f"/api/sessions/{session.pk}/{what}"
        return self.as_(self.instructor).put(address, body, "application/json")

    def test_a_student_moves_to_another_bench_and_stands_at_one_only(self) -> None:
        places = [{"person": self.student.pk, "bench": 2}, {"person": self.neighbour.pk, "bench": None}]
        plan = self.put("teams", {"places": places}, self.session).json()
        self.assertEqual([bench["team"] for bench in plan["benches"]], [[], ["Sami"]])
        self.assertEqual([student["bench"] for student in plan["students"]], [2, None])

    def test_places_that_do_not_exist_are_refused_whole(self) -> None:
        for person, bench in ((self.student.pk, 9), (self.instructor.pk, 1)):
            places = [{"person": self.student.pk, "bench": 2}, {"person": person, "bench": bench}]
            self.assertEqual(self.put("teams", {"places": places}, self.session).status_code, 422)
        self.assertEqual([p.name for p in self.bench.team.all()], ["Sami"])

    def test_samples_are_given_anew_until_the_session_opens(self) -> None:
        later = planned(self.section)
        samples = {"samples": [{"name": "New", "accepted": {"c_s": "0.2000"}, "options": {}}]}
        plan = self.put("samples", samples, later).json()
        self.assertEqual(plan["samples"], samples["samples"])
        self.assertEqual({bench["sample"] for bench in plan["benches"]}, {"New"})
        self.assertEqual(self.put("samples", samples, self.session).status_code, 409)


class States(Room):
    def act(self, action: str, session: Session | None = None) -> Any:
        address = f"/api/sessions/{(session or self.session).pk}/state"
        return self.as_(self.instructor).post(address, {"action": action}, "application/json")

    def test_opening_freezes_options_and_instruments(self) -> None:
        session = planned(self.section)
        self.assertEqual(session.options, {"c_t": "0.1026", "rough_trial": "no"})
        self.assertEqual(self.act("open", session).json()["state"], "open")
        session.refresh_from_db()
        self.assertEqual(session.options["agreement_limit"], "0.10")
        self.assertEqual(session.instruments, {"burette": "burette-50-b", "pipette": "pipette-20-a"})

    def test_nothing_is_written_before_opening_or_after_closing(self) -> None:
        client = self.as_(self.student)
        self.act("close")
        kept = write(client, self.bench, entry("V_s", "20.00"))[0]
        self.assertFalse(kept["kept"])
        self.assertIn("not open", kept["problem"])

    def test_steps_out_of_order_are_refused_with_a_sentence(self) -> None:
        self.assertIn("already", self.act("open").json()["problems"][0])
        later = planned(self.section)
        self.assertEqual(self.act("close", later).status_code, 409)
        self.assertEqual(self.act("release", later).status_code, 409)


class OnTheFloor(Room):
    def floor(self, **headers: str) -> Any:
        return self.as_(self.instructor).get(f"/api/sessions/{self.session.pk}/floor", headers=headers)

    def test_a_tile_shows_where_the_bench_is_and_what_it_found(self) -> None:
        titrate(self.as_(self.student), self.bench, ("0.24", "21.78"), ("0.10", "21.64"))
        tile, silent = self.floor().json()["benches"]
        self.assertEqual([trial["text"] for trial in tile["trials"]], ["21.54", "21.54"])
        self.assertEqual(tile["result"]["text"], "0.11050")
        self.assertEqual((tile["level"], silent["result"]), ("keep", None))

    def test_the_class_is_compared(self) -> None:
        for who, bench, end in ((self.student, self.bench, "21.78"), (self.neighbour, self.other_bench, "21.88")):
            titrate(self.as_(who), bench, ("0.24", end))
        comparison = self.floor().json()["class_comparison"]
        self.assertEqual([len(product["results"]) for product in comparison["products"]], [2])
        self.assertIn("Mean of 2 benches: 0.1108 mol/L", comparison["sentence"])

    def test_needs_are_sorted_by_urgency_with_the_words_to_say(self) -> None:
        titrate(self.as_(self.student), self.bench, ("0.24", "21.78"), ("21.00", "0.10"))
        write(self.as_(self.neighbour), self.other_bench, entry("call", "Pink went away again?"))
        needs = self.floor().json()["needs"]
        self.assertEqual([need["level"] for need in needs], ["stop", "call"])
        self.assertIn("aloud", needs[0]["word"])

    def test_seen_takes_a_need_away_and_only_that_one(self) -> None:
        write(self.as_(self.neighbour), self.other_bench, entry("call", "Help"))
        titrate(self.as_(self.student), self.bench, ("0.24", "21.78"), ("21.00", "0.10"))
        stop = self.floor().json()["needs"][0]
        write(self.as_(self.instructor), self.bench, entry("seen", stop["id"]))
        self.assertEqual([need["level"] for need in self.floor().json()["needs"]], ["call"])

    def test_an_answer_reaches_the_bench_and_ends_the_call(self) -> None:
        write(self.as_(self.student), self.bench, entry("call", "Go on?"))
        write(self.as_(self.instructor), self.bench, entry("message", "Yes, drop by drop."))
        talk = self.as_(self.student).get(f"/api/benches/{self.bench.pk}").json()["talk"]
        self.assertEqual([(line["kind"], line["text"]) for line in talk][-1], ("message", "Yes, drop by drop."))
        self.assertEqual(self.floor().json()["benches"][0]["call"], "")

    def test_a_student_cannot_speak_as_staff(self) -> None:
        kept = write(self.as_(self.student), self.bench, entry("message", "All fine"), entry("seen", "x"))
        self.assertEqual([entry["kept"] for entry in kept], [False, False])

    def test_nothing_new_is_304_and_an_entry_is_200(self) -> None:
        stamp = self.floor()["ETag"]
        self.assertEqual(self.floor(if_none_match=stamp).status_code, 304)
        write(self.as_(self.student), self.bench, entry("V_s", "20.00"))
        self.assertEqual(self.floor(if_none_match=stamp).status_code, 200)
