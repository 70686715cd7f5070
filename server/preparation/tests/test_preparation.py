"""The prep room: who may do what there, what is written back, what stands against what."""

from datetime import UTC, datetime, timedelta
from typing import Any
from unittest.mock import patch

from django.utils import timezone

from labs import actions
from labs.models import Session
from labs.tests.room import WHEN, Room, planned, unhurried
from people.models import Person
from preparation.models import Made
from stock.models import Bottle, Counted

ACID = {
    "name": "Hydrochloric acid", "formula": "HCl", "amount": "2.5 L", "strength": "37 %", "density": "1.18 g/mL",
}  # fmt: skip
PELLETS = {"name": "Sodium hydroxide", "formula": "NaOH", "amount": "500 g", "strength": "97 %", "limit": "1 %"}
KEY = "NaOH:c_t"


class PrepRoom(Room):
    def setUp(self) -> None:
        unhurried(self)
        self.planned = planned(self.section)

    def post(self, who: Person, path: str, **body: Any) -> tuple[int, Any]:
        response = self.as_(who).post(f"/api/{path}", body, "application/json")
        return response.status_code, response.json() if response.content else None

    def get(self, who: Person, path: str) -> tuple[int, Any]:
        response = self.as_(who).get(f"/api/{path}")
        return response.status_code, response.json()

    def made(self, who: Person, session: Session | None = None, mass: str = "0.4120", **fields: Any) -> tuple[int, Any]:
        body = {"key": KEY, "measured": {"m_1": mass}, **fields}
        return self.post(who, f"sessions/{(session or self.planned).pk}/made", **body)

    def prepared(self) -> Any:
        return self.get(self.instructor, f"sessions/{self.planned.pk}/preparation")[1]


class Lists(PrepRoom):
    def test_staff_see_it_and_students_do_not(self) -> None:
        path = f"sessions/{self.planned.pk}/preparation"
        for who, status in ((self.instructor, 200), (self.assistant, 200), (self.student, 403), (self.stranger, 404)):
            with self.subTest(who.username):
                self.assertEqual(self.get(who, path)[0], status)
                self.assertEqual(self.post(who, f"sessions/{self.planned.pk}/recipe", key=KEY)[0], status)
                self.assertEqual(self.post(who, f"sessions/{self.planned.pk}/ready", key=KEY, ready=True)[0], status)
        for path in ("week", "stock/shelf"):
            self.assertEqual(self.get(self.student, path)[0], 403)

    def test_what_is_made_for_a_titration(self) -> None:
        [base] = self.prepared()["solutions"]
        self.assertEqual((base["recipe"]["key"], base["made"], base["ready"]), (KEY, None, False))
        self.assertIn("No bottle", base["recipe"]["lacks"][0])
        Bottle.objects.create(**PELLETS)
        [base] = self.prepared()["solutions"]
        self.assertEqual((base["recipe"]["lacks"], base["recipe"]["bottle"] > 0), ([], True))

    def test_what_has_to_be_warm_is_switched_on_in_time_and_ticked(self) -> None:
        baths = {"T_plan": "22; 40; 60", "baths": "2", "bath_change": "10"}
        rates = actions.plan_session(self.section, "rate-temperature", "Rates", "Room 1", WHEN, 120, baths, {}, 8, [])
        lamp = actions.plan_session(self.section, "beer-lambert", "Light", "Room 1", WHEN, 120, {}, {}, 4, [])
        _, told = self.get(self.instructor, f"sessions/{lamp.pk}/preparation")
        [switch] = told["switched_on"]
        self.assertEqual(switch["at"], (WHEN - timedelta(minutes=20)).isoformat())
        _, told = self.get(self.instructor, f"sessions/{rates.pk}/preparation")
        self.assertEqual({switch["text"] for switch in told["switched_on"]}, {"Bath 1 to 40 °C", "Bath 2 to 60 °C"})
        key = told["switched_on"][0]["key"]
        self.assertEqual(self.post(self.assistant, f"sessions/{rates.pk}/ready", key=key, ready=True)[0], 200)
        _, told = self.get(self.instructor, f"sessions/{rates.pk}/preparation")
        self.assertTrue(told["switched_on"][0]["ready"])

    def test_two_plans_that_want_the_same_bath(self) -> None:
        self.assertEqual(self.count("bath", 3), 200)
        rates = [
            actions.plan_session(
                self.section, "rate-temperature", "Rates", "Room 1", WHEN, 120, {"T_plan": "22; 40; 60"}, {}, 8, []
            )
            for _ in range(2)
        ]
        _, told = self.get(self.instructor, f"sessions/{rates[0].pk}/preparation")
        bath = next(piece for piece in told["pieces"] if piece["key"] == "piece:bath")
        self.assertEqual((bath["needed"], bath["there"]), (2, 3))
        self.assertIn("2 by another session at the same time; 3 are there", bath["short"])

    def count(self, slug: str, pieces: int) -> int:
        body = {"pieces": pieces, "place": ""}
        return self.as_(self.instructor).put(f"/api/stock/pieces/{slug}", body, "application/json").status_code

    def test_what_sessions_before_it_take_is_not_there_any_more(self) -> None:
        """0.1 L of 0.1 mol/L base with its spare takes some 0.4 g; the bottle holds enough for one of two."""
        later = planned(self.section)
        soon = (timezone.localtime() + timedelta(days=1)).replace(hour=9)  # both on one day, whenever this runs
        for session, at in ((self.planned, soon), (later, soon + timedelta(hours=3))):
            session.starts_at = at
            session.save()
        Bottle.objects.create(**{**PELLETS, "amount": "0.6 g"})
        [first] = self.prepared()["solutions"]
        [second] = self.get(self.instructor, f"sessions/{later.pk}/preparation")[1]["solutions"]
        self.assertFalse(first["recipe"]["short"])
        self.assertTrue(second["recipe"]["short"])
        self.assertIn("sessions before this one take", " ".join(second["recipe"]["looks"]))
        day = soon.date().isoformat()
        week = self.get(self.instructor, f"week?day={day}")[1]["sessions"]
        self.assertEqual([bool(session["lines"][0]["lacks"]) for session in week], [False, True])
        self.made(self.instructor, mass="0.4120")
        [second] = self.get(self.instructor, f"sessions/{later.pk}/preparation")[1]["solutions"]
        self.assertIn("0.188 g on the shelf", second["recipe"]["lacks"][0])

    def test_a_plan_says_how_its_solutions_would_be_made_to_the_staff_alone(self) -> None:
        Bottle.objects.create(**PELLETS)
        plan = {"method": "acid-base-titration", "benches": 8}
        _, told = self.post(self.instructor, "foresee", **plan)
        self.assertEqual([recipe["title"] for recipe in told["recipes"]], ["Sodium hydroxide, 0.1000 mol/L"])
        self.assertEqual(told["recipes"][0]["lacks"], [])
        self.assertEqual(self.post(self.student, "foresee", **plan)[1]["recipes"], [])

    def test_a_bottle_past_its_date_on_the_day_of_the_session(self) -> None:
        Bottle.objects.create(**PELLETS, until=(WHEN - timedelta(days=1)).date())
        [base] = self.prepared()["solutions"]
        self.assertEqual(base["recipe"]["bottle"], 0)
        self.assertIn("past its date", " ".join(base["recipe"]["lacks"]))

    def test_ticks(self) -> None:
        path = f"sessions/{self.planned.pk}/ready"
        status, told = self.post(self.assistant, path, key="piece:burette-50-b", ready=True)
        self.assertEqual(
            (status, [piece["ready"] for piece in told["pieces"] if "burette" in piece["key"]]), (200, [True])
        )
        self.post(self.assistant, path, key="piece:burette-50-b", ready=True)
        told = self.post(self.assistant, path, key="piece:burette-50-b", ready=False)[1]
        self.assertFalse(any(piece["ready"] for piece in told["pieces"]))
        self.assertEqual(self.post(self.assistant, path, key="piece:unicorn", ready=True)[0], 409)


class WrittenBack(PrepRoom):
    def test_what_was_weighed_feeds_the_plan(self) -> None:
        """0.4120 g of 97 % pellets (39.997 g/mol) in 100 mL: 0.09992 mol/L, by hand."""
        Bottle.objects.create(**PELLETS)
        status, told = self.made(self.assistant, into_plan=True)
        self.assertEqual(status, 201, told)
        self.planned.refresh_from_db()
        self.assertAlmostEqual(float(self.planned.options["c_t"]), 4.120 * 0.97 / 39.997, delta=0.0001)
        self.assertGreater(float(self.planned.options["c_t.limit"]), 0.0005)  # 1 % of purity
        self.assertEqual(self.planned.revision, 1)
        self.assertIn("Aldo", told["solutions"][0]["made"]["by"])
        self.assertEqual(told["solutions"][0]["made"]["measured"], "0.4120 g")
        self.assertEqual(Bottle.objects.get().amount, "499.6 g")
        self.assertIn("made Sodium hydroxide", self.planned.deeds.order_by("-pk")[0].what)

    def test_made_again_the_latest_counts_and_the_first_stays(self) -> None:
        self.made(self.instructor, mass="0.4120")
        told = self.made(self.instructor, mass="0.4210")[1]
        self.assertEqual(told["solutions"][0]["made"]["measured"], "0.4210 g")
        self.assertEqual(Made.objects.count(), 2)

    def test_two_clicks_make_it_once(self) -> None:
        Bottle.objects.create(**PELLETS)
        self.assertEqual([self.made(self.instructor, mass="0.4120")[0] for _ in range(2)], [201, 201])
        self.assertEqual((Made.objects.count(), Bottle.objects.get().amount), (1, "499.6 g"))

    def test_it_can_stand_on_the_shelf_and_serves_the_next_session(self) -> None:
        self.made(self.instructor, mass="0.4231", keep=True)
        kept = Bottle.objects.get()
        self.assertEqual((kept.formula, kept.amount), ("NaOH", "100 mL"))
        other = planned(self.section)
        how = self.get(self.instructor, f"sessions/{other.pk}/preparation")[1]["solutions"][0]["recipe"]
        self.assertIn("as it stands", how["lead"])

    def test_an_open_session_takes_it_from_the_board(self) -> None:
        status, told = self.made(self.instructor, self.session, into_plan=True)
        self.assertEqual(status, 201, told)
        text = self.bench.entries.get(key="c_t").text
        self.assertRegex(text, r"^0\.\d+ ± 0\.\d+$")

    def test_careless_and_hostile_requests(self) -> None:
        for mass, status in (
            ("", 422),
            ("4,1x", 422),
            ("0", 422),
            ("-4", 422),
            ("4000", 422),
            ("4.1 mL", 422),
            ("9" * 24, 422),
        ):
            with self.subTest(mass):
                self.assertEqual(self.made(self.instructor, mass=mass)[0], status)
        path = f"sessions/{self.planned.pk}/made"
        for body, status in (
            ({"key": "unicorn", "measured": {}}, 409),
            ({"key": KEY, "measured": {"m_1": "4.1", "A_9": "3"}}, 422),
            ({"key": KEY, "measured": {"m_1": "4.1"}, "bottle": 999_999}, 409),
            ({"key": KEY, "measured": {str(n): "1" for n in range(200)}}, 400),
            ({"key": KEY, "measured": ["m_1"]}, 400),
            ({}, 400),
        ):
            with self.subTest(body):
                self.assertEqual(self.post(self.instructor, path, **body)[0], status)
        self.assertEqual(self.made(self.student)[0], 403)
        self.assertEqual(Made.objects.count(), 0)

    def test_ten_times_too_much_does_not_become_the_plan_in_silence(self) -> None:
        status, told = self.made(self.instructor, mass="4.120", into_plan=True)
        self.assertEqual(status, 409)
        self.assertIn("comes to 0.999", " ".join(told["problems"]))
        self.planned.refresh_from_db()
        self.assertNotIn("c_t.limit", self.planned.options)

    def test_a_recipe_that_was_changed_meanwhile_is_not_what_was_made(self) -> None:
        """With other benches another flask is filled: the mass that was weighed for the first is no answer to it."""
        lead = self.prepared()["solutions"][0]["recipe"]["lead"]
        self.assertEqual(self.made(self.instructor, lead=f"{lead}, 2 times")[0], 409)
        self.assertEqual(self.made(self.instructor, lead=lead)[0], 201)

    def test_nothing_is_prepared_for_what_is_over(self) -> None:
        actions.close_session(self.session)
        self.assertEqual(self.made(self.instructor, self.session)[0], 409)


class Shelf(PrepRoom):
    def test_bottles_are_kept_by_everybody_who_teaches(self) -> None:
        status, told = self.post(self.assistant, "stock/bottles", **ACID)
        self.assertEqual((status, told["bottles"][0]["strong"]), (201, "37 %, 1.18 g/mL"))
        number = told["bottles"][0]["id"]
        client = self.as_(self.stranger)
        changed = client.put(f"/api/stock/bottles/{number}", {**ACID, "amount": "1 L"}, "application/json")
        self.assertEqual(changed.json()["bottles"][0]["amount"], "1 L")
        self.assertEqual(client.delete(f"/api/stock/bottles/{number}").json()["bottles"], [])
        self.assertEqual(client.delete(f"/api/stock/bottles/{number}").status_code, 404)
        for change in ({"amount": "much"}, {"formula": "H2OO("}, {"density": ""}, {"until": "31.12.2026"}):
            self.assertEqual(self.post(self.assistant, "stock/bottles", **{**ACID, **change})[0], 422)
        self.assertEqual(self.post(self.student, "stock/bottles", **ACID)[0], 403)

    def test_pieces_are_counted_against_what_is_held_at_the_same_time(self) -> None:
        count = self.as_(self.instructor).put
        body = {"pieces": 3, "place": "cupboard 2"}
        self.assertEqual(count("/api/stock/pieces/burette-50-b", body, "application/json").status_code, 200)
        self.assertEqual(count("/api/stock/pieces/unicorn", body, "application/json").status_code, 422)
        self.assertEqual(count("/api/stock/pieces/burette-50-b", {"pieces": -1}, "application/json").status_code, 400)
        [burette] = [piece for piece in self.prepared()["pieces"] if piece["key"] == "piece:burette-50-b"]
        self.assertEqual((burette["needed"], burette["there"]), (2, 3))
        self.assertIn("another session at the same time", burette["short"])  # the open one needs two
        Session.objects.filter(pk=self.session.pk).update(starts_at=WHEN + timedelta(days=1))
        [burette] = [piece for piece in self.prepared()["pieces"] if piece["key"] == "piece:burette-50-b"]
        self.assertEqual(burette["short"], "")

    def test_too_few_with_the_cure(self) -> None:
        Session.objects.filter(pk=self.session.pk).update(starts_at=WHEN + timedelta(days=1))
        Counted.objects.create(slug="burette-50-b", pieces=1)
        [burette] = [piece for piece in self.prepared()["pieces"] if piece["key"] == "piece:burette-50-b"]
        self.assertEqual(
            burette["short"],
            "2 needed; 1 are there. They serve 1 benches: let two benches share, or come in two groups.",
        )
        Counted.objects.create(slug="burette-50-a", pieces=1)  # too few as well
        Counted.objects.create(slug="burette-25-a", pieces=12)
        [burette] = [piece for piece in self.prepared()["pieces"] if piece["key"] == "piece:burette-50-b"]
        self.assertIn("Enough are there of: Burette 25 mL, class A", burette["short"])


class Turns(PrepRoom):
    def setUp(self) -> None:
        super().setUp()
        self.warm = actions.plan_session(self.section, "rate-temperature", "Warm", "1", WHEN, 120, {}, {}, 8, [])

    def solve(self, who: Person, **body: Any) -> tuple[int, Any]:
        response = self.as_(who).put(f"/api/sessions/{self.warm.pk}/turns", body, "application/json")
        return response.status_code, response.json()

    def test_pins_stay_until_the_plan_is_another_one(self) -> None:
        pin = {"bench": 5, "equipment": 0, "value": "70", "piece": 1, "start": 24}
        status, plan = self.solve(self.instructor, pins=[pin])
        self.assertEqual(status, 200, plan)
        turns = [turn for lane in plan["timetables"][0]["lanes"] for turn in lane["turns"] if turn["pinned"]]
        self.assertEqual([(turn["start"], turn["pinned"]) for turn in turns], [(24, [5])])
        Session.objects.filter(pk=self.warm.pk).update(options={"T_plan": "22; 50"})
        plan = self.get(self.instructor, f"sessions/{self.warm.pk}")[1]
        self.assertFalse(any(turn["pinned"] for lane in plan["timetables"][0]["lanes"] for turn in lane["turns"]))

    def test_the_plan_says_in_which_groups_they_come(self) -> None:
        self.assertEqual(self.get(self.instructor, f"sessions/{self.warm.pk}")[1]["coming"], {"groups": 1, "apart": 0})
        plan = self.solve(self.instructor, groups=2, apart=30)[1]
        self.assertEqual(plan["coming"], {"groups": 2, "apart": 30})
        Session.objects.filter(pk=self.warm.pk).update(options={"T_plan": "22; 50"})  # another plan: the groups stay
        self.assertEqual(self.get(self.instructor, f"sessions/{self.warm.pk}")[1]["coming"]["groups"], 2)

    def test_benches_begin_as_they_were_solved(self) -> None:
        pin = {"bench": 1, "equipment": 0, "value": "70", "piece": 0, "start": 12}
        self.assertEqual(self.solve(self.assistant, pins=[pin])[0], 200)
        actions.open_session(Session.objects.get(pk=self.warm.pk))
        own = self.warm.benches.get(number=1).own_options
        self.assertTrue(own["T_plan"].startswith("22; 70"), own)
        self.assertEqual(self.solve(self.instructor)[0], 409)  # it has begun

    def test_wrong_requests(self) -> None:
        pin = {"bench": 1, "equipment": 0, "value": "40", "piece": 0, "start": 24}
        for pins, status in (
            ([{**pin, "bench": 40}], 422), ([{**pin, "value": "41"}], 422), ([{**pin, "piece": 9}], 422),
            ([pin, {**pin, "value": "60", "piece": 1, "start": 30}], 422), ([{**pin, "start": -1}], 400),
            ([pin] * 500, 400), ([{"bench": 1}], 400), ("all", 400),
        ):  # fmt: skip
            with self.subTest(pins if len(pins) < 9 else "many"):
                self.assertEqual(self.solve(self.instructor, pins=pins)[0], status)
        self.assertEqual(self.solve(self.student)[0], 403)
        self.assertEqual(self.solve(self.stranger)[0], 404)

    def test_what_somebody_changed_in_an_archive_does_no_harm(self) -> None:
        self.solve(self.instructor)
        kept = Session.objects.get(pk=self.warm.pk).turns
        for turns in (
            {**kept, "placed": [{"odd": 1}]}, {**kept, "placed": []}, {**kept, "pins": [{"bench": "x"}]},
            {**kept, "groups": "many"}, {"of": kept["of"]}, {**kept, "minutes": None},
        ):  # fmt: skip
            Session.objects.filter(pk=self.warm.pk).update(turns=turns)
            self.assertEqual(self.get(self.instructor, f"sessions/{self.warm.pk}")[0], 200, turns)


class OthersPlans(PrepRoom):
    def test_a_plan_that_does_not_hold_any_more_spoils_neither_week_nor_neighbours(self) -> None:
        broken = planned(self.section)
        Session.objects.filter(pk=broken.pk).update(options={"no-such-option": "1"})
        status, week = self.get(self.instructor, f"week?day={WHEN:%Y-%m-%d}")
        self.assertEqual((status, len(week["sessions"])), (200, 3))
        self.assertEqual(self.get(self.instructor, f"sessions/{self.planned.pk}/preparation")[0], 200)
        self.assertEqual(self.as_(self.instructor).get(f"/api/sessions/{broken.pk}/session.ics").status_code, 200)


class TheWeek(PrepRoom):
    def test_what_is_over_is_not_bought(self) -> None:
        actions.close_session(self.session)
        text = self.as_(self.assistant).get(f"/api/week/shopping.csv?day={WHEN:%Y-%m-%d}").content.decode("utf-8-sig")
        self.assertEqual(text.count("Sodium hydroxide,NaOH"), 1)

    def test_sessions_of_the_week_and_what_they_share(self) -> None:
        status, week = self.get(self.assistant, f"week?day={WHEN:%Y-%m-%d}")
        self.assertEqual(
            (status, week["begins"], week["ends"], len(week["sessions"])), (200, "2026-03-02", "2026-03-08", 2)
        )
        self.assertEqual([session["title"] for session in week["together"]], ["Sodium hydroxide, 0.1026 mol/L"])
        self.assertEqual(self.get(self.assistant, "week?day=2026-03-09")[1]["sessions"], [])
        self.assertEqual(self.get(self.stranger, f"week?day={WHEN:%Y-%m-%d}")[1]["sessions"], [])
        self.assertEqual(self.get(self.assistant, "week?day=soon")[0], 400)

    def test_where_the_calendar_ends_there_is_a_week_all_the_same(self) -> None:
        Session.objects.update(starts_at=datetime(9999, 12, 31, 9, tzinfo=UTC))
        for path in ("week", "week?day=9999-12-31", "week?day=0001-01-01"):
            self.assertEqual(self.get(self.assistant, path)[0], 200, path)

    def test_without_a_day_it_is_the_week_of_the_next_session(self) -> None:
        """On a Friday evening what is over is not what has to be got ready."""
        friday, after = WHEN - timedelta(days=WHEN.weekday() + 3), WHEN + timedelta(weeks=2)
        for when, ahead, who in (
            (friday, "2026-03-02", self.assistant), (WHEN.replace(hour=23), "2026-03-02", self.assistant),
            (friday, "2026-02-23", self.stranger), (after, "2026-03-16", self.assistant),
        ):  # fmt: skip
            with self.subTest(f"{when} {who.username}"), patch("django.utils.timezone.now", return_value=when):
                self.assertEqual(self.get(who, "week")[1]["begins"], ahead)
        actions.close_session(self.session)
        Session.objects.filter(pk=self.planned.pk).update(state=Session.State.CANCELLED)
        with patch("django.utils.timezone.now", return_value=friday):
            self.assertEqual(self.get(self.assistant, "week")[1]["begins"], "2026-02-23")
