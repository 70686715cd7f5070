"""Two sessions as parts of one piece of work: the second works with what the first finds, bench by bench or as a class.

Bench 1 finds 0.1026 · 18.28 / 20.00 = 0.093776 mol/L in the first part, bench 2 0.1026 · 18.48 / 20.00 = 0.094802.
"""

from typing import Any

from labs import actions
from labs.models import Bench, Session
from labs.tests.room import Room, entry, queries_of, signed_in, titrate, write

OWN = {"c_t": {"key": "c_s", "trial": None, "of": "bench"}}
OF_CLASS = {"c_t": {"key": "c_s", "trial": None, "of": "class"}}
FIRST = {"c_t": "0.1026", "rough_trial": "no", "dilution": "1", "z_s": "1", "z_t": "1"}
FIRST_TRIALS = (("0.22", "18.47"), ("1.05", "19.36"))  # 18.25 and 18.31 mL


class Parts(Room):
    def setUp(self) -> None:
        self.first = self.plan("Standardise", FIRST)

    def plan(self, title: str, options: dict[str, str], **more: Any) -> Session:
        answer = self.ask(title, options, **more)
        self.assertEqual(answer.status_code, 201, answer.content)
        return Session.objects.get(pk=answer.json()["card"]["id"])

    def ask(self, title: str, options: dict[str, str], who: Any = None, **more: Any) -> Any:
        body = {
            "section": self.section.pk, "method": "acid-base-titration", "title": title, "benches": 2,
            "starts_at": "2026-03-02T09:00:00Z", "options": options, **more,
        }  # fmt: skip
        return self.as_(who or self.instructor).post("/api/sessions", body, "application/json")

    def second(self, takes: Any = None, **more: Any) -> Session:
        options = {"rough_trial": "no", "dilution": "1", "z_s": "1", "z_t": "1"}
        return self.plan("Use it", options, follows=self.first.pk, takes=OWN if takes is None else takes, **more)

    def opened(self, takes: Any = None) -> tuple[Bench, Bench]:
        """Bench 1 of both parts, both open, the second part titrated: 17.44 mL of what the first one finds."""
        second = self.second(takes)
        for session in (self.first, second):
            actions.open_session(session)
        there, here = self.first.benches.get(number=1), second.benches.get(number=1)
        titrate(signed_in(self.instructor), here, ("1.00", "18.44"), ("0.50", "17.94"))
        return there, here

    def state(self, bench: Bench, who: Any = None) -> Any:
        return signed_in(who or self.instructor).get(f"/api/benches/{bench.pk}").json()

    def value(self, bench: Bench) -> float:
        return float(self.state(bench)["evaluation"]["results"][0]["value"])

    def test_what_a_bench_finds_it_goes_on_with(self) -> None:
        there, here = self.opened()
        told = self.state(here)["evaluation"]
        self.assertIn("c_t-awaited", [finding["code"] for finding in told["findings"]])
        self.assertEqual(told["handed"][0]["why"], "“Concentration of the sample” is not found yet")
        self.assertAlmostEqual(self.value(here), 0.1 * 17.44 / 20, 9)
        titrate(signed_in(self.instructor), there, *FIRST_TRIALS)
        told = self.state(here)["evaluation"]
        self.assertTrue(told["handed"][0]["text"].startswith("0.09378 ± "))
        self.assertNotIn("c_t-awaited", [finding["code"] for finding in told["findings"]])
        self.assertAlmostEqual(self.value(here), 0.09378 * 17.44 / 20, 9)
        labels = [line["label"] for line in told["results"][0]["budget"]]
        self.assertIn("“Standardise”, bench 1", labels)

    def test_a_correction_there_is_followed_here(self) -> None:
        there, here = self.opened()
        titrate(signed_in(self.instructor), there, *FIRST_TRIALS)
        before = self.value(here)
        end = there.entries.get(key="V_end", trial=1)
        mended = entry("V_end", "18.57", 1, supersedes=str(end.pk), reason="Read again")
        self.assertEqual(write(signed_in(self.instructor), there, mended)[0]["problem"], "")
        self.assertAlmostEqual(self.value(here) / before, 18.33 / 18.28, 3)

    def test_the_mean_of_the_class_waits_for_nobody_who_has_none(self) -> None:
        there, here = self.opened(OF_CLASS)
        self.assertEqual(self.state(here)["evaluation"]["handed"][0]["why"], "no bench has found it yet")
        titrate(signed_in(self.instructor), there, *FIRST_TRIALS)
        self.assertIn("mean of 1 bench", self.state(here)["evaluation"]["handed"][0]["origin"])
        titrate(signed_in(self.instructor), self.first.benches.get(number=2), ("0.22", "18.70"), ("1.05", "19.53"))
        told = self.state(here)["evaluation"]["handed"][0]
        self.assertEqual(told["origin"], "“Standardise”, mean of 2 benches")
        self.assertAlmostEqual(float(told["text"].split(" ±")[0]), (0.093776 + 0.094802) / 2, 4)

    def test_who_is_left_out_of_the_class_is_left_out_of_its_mean(self) -> None:
        there, here = self.opened(OF_CLASS)
        titrate(signed_in(self.instructor), there, *FIRST_TRIALS)
        wrong = self.first.benches.get(number=2)
        titrate(signed_in(self.instructor), wrong, ("0.22", "38.70"), ("1.05", "39.53"))
        client = signed_in(self.instructor)
        client.put(f"/api/benches/{wrong.pk}/left-out", {"reason": "Another acid."}, "application/json")
        told = self.state(here)["evaluation"]["handed"][0]
        self.assertTrue(told["text"].startswith("0.09378 ± "), told)
        self.assertIn("mean of 1 bench", told["origin"])

    def test_the_floor_sees_at_once_what_is_found_before(self) -> None:
        there, here = self.opened()
        client, address = signed_in(self.instructor), f"/api/sessions/{here.session_id}/floor"
        stamp = client.get(address)["ETag"]
        self.assertEqual(client.get(address, headers={"if-none-match": stamp}).status_code, 304)
        titrate(signed_in(self.instructor), there, *FIRST_TRIALS)
        self.assertEqual(client.get(address, headers={"if-none-match": stamp}).status_code, 200)

    def test_the_report_and_its_files_say_the_same(self) -> None:
        there, here = self.opened()
        titrate(signed_in(self.instructor), there, *FIRST_TRIALS)
        client = signed_in(self.instructor)
        report = client.get(f"/api/benches/{here.pk}/report").json()
        self.assertAlmostEqual(report["evaluation"]["results"][0]["value"], self.value(here), 12)
        self.assertTrue(any("0.09378" in line["plain"] for line in report["lines"]))
        data = client.get(f"/api/benches/{here.pk}/files/data.json").json()
        self.assertEqual(data["options"]["c_t"], "0.09378")
        self.assertIn("# option,c_t,0.09378", client.get(f"/api/benches/{here.pk}/files/readings.csv").content.decode())

    def test_teams_stand_as_in_the_first_part(self) -> None:
        places = {"places": [{"person": self.student.pk, "bench": 2}, {"person": self.neighbour.pk, "bench": 1}]}
        self.as_(self.instructor).put(f"/api/sessions/{self.first.pk}/teams", places, "application/json")
        second = self.second()
        numbers = {bench.team.get().pk: bench.number for bench in second.benches.all()}
        self.assertEqual(numbers, {self.student.pk: 2, self.neighbour.pk: 1})

    def test_a_student_goes_from_part_to_part_at_their_own_bench_alone(self) -> None:
        _, here = self.opened()
        mine = self.state(here, self.student)
        self.assertEqual([part["title"] for part in mine["together"]], ["Standardise", "Use it"])
        self.assertEqual({Bench.objects.get(pk=part["bench"]).number for part in mine["together"]}, {1})
        alone = self.state(self.bench, self.student)
        self.assertEqual(alone["together"], [])

    def test_what_is_still_to_be_worked_out_is_not_seen_in_the_next_part(self) -> None:
        lines = {"shows": "after_own", "hints": "slip", "tries": 0, "lines": ["c_s"]}
        self.first = self.plan("Worked out", FIRST, own_work=lines)
        there, here = self.opened()
        titrate(signed_in(self.instructor), there, *FIRST_TRIALS)
        for path in ("", "/report", "/files/data.json"):
            content = signed_in(self.student).get(f"/api/benches/{here.pk}{path}").content
            self.assertNotIn(b"0.0937", content, path)
        self.assertEqual(self.state(here)["evaluation"]["handed"][0]["why"], "work it out there first")
        write(signed_in(self.student), there, entry("own.c_s", "0.0938"))
        self.assertAlmostEqual(self.value(here), 0.09378 * 17.44 / 20, 9)

    def test_what_cannot_be_is_refused_with_a_sentence(self) -> None:
        gone = {"c_t": {"key": "gone", "of": "bench"}}
        for more, sentence in (
            ({"takes": gone}, "finds nothing that could stand for “c_t”"),
            ({"takes": {"c_t": {"key": "c_s", "trial": 3, "of": "bench"}}}, "finds nothing"),
            ({"follows": 10**6}, "Choose one of your own sessions"),
            ({"takes": {"c_t": {"key": "c_s", "of": "nobody"}}}, "nobody"),
        ):
            answer = self.ask("Use it", {}, **{"follows": self.first.pk, "takes": OWN, **more})
            self.assertIn(answer.status_code, (400, 422), sentence)
            self.assertIn(sentence, answer.content.decode())
        section = {"name": "Theirs", "term": "Spring"}
        theirs = signed_in(self.stranger).post("/api/sections", section, "application/json").json()["line"]["id"]
        answer = self.ask("Use it", {}, self.stranger, follows=self.first.pk, takes=OWN, section=theirs)
        self.assertIn("Choose one of your own sessions", answer.content.decode())

    def test_numbers_that_are_not_asked_for_are_left_out(self) -> None:
        self.first = self.plan("Line", {}, method="beer-lambert")
        line = {"a_line": {"key": "rise", "of": "bench"}}
        second = self.plan("Off it", {}, method="beer-lambert", follows=self.first.pk, takes=line)
        self.assertEqual(second.takes, {})
        given = self.plan("Off it", {"line": "given"}, method="beer-lambert", follows=self.first.pk, takes=line)
        self.assertEqual(list(given.takes), ["a_line"])

    def test_a_part_that_the_next_one_needs_is_neither_deleted_nor_changed_away(self) -> None:
        self.second()
        client, address = self.as_(self.instructor), f"/api/sessions/{self.first.pk}"
        answer = client.delete(address)
        self.assertEqual(answer.status_code, 409)
        self.assertIn("“Use it” goes on with this session", answer.content.decode())
        body = {
            "section": self.section.pk, "method": "hydrate", "title": "Salt", "benches": 2, "revision": 0,
            "starts_at": "2026-03-02T09:00:00Z",
        }  # fmt: skip
        answer = client.put(address, body, "application/json")
        self.assertEqual(answer.status_code, 409)
        self.assertIn("would not find it any more", answer.content.decode())

    def test_none_goes_on_with_itself_by_any_way(self) -> None:
        second = self.second()
        body = {
            "section": self.section.pk, "method": "acid-base-titration", "title": "Round", "benches": 2, "revision": 0,
            "starts_at": "2026-03-02T09:00:00Z", "follows": second.pk, "takes": {},
        }  # fmt: skip
        answer = self.as_(self.instructor).put(f"/api/sessions/{self.first.pk}", body, "application/json")
        self.assertEqual(answer.status_code, 422)
        self.assertIn("goes on with this very session", answer.content.decode())

    def test_the_floor_asks_no_more_for_more_benches(self) -> None:
        self.opened()
        floor = f"/api/sessions/{self.first.followed_by.get().pk}/floor"
        client = signed_in(self.instructor)
        two = queries_of(client, floor)
        self.first.refresh_from_db()
        many = self.plan("Many", FIRST, benches=12)
        wide = self.plan("Wide", {"rough_trial": "no"}, follows=many.pk, takes=OWN, benches=12)
        for session in (many, wide):
            actions.open_session(session)
        self.assertLessEqual(len(queries_of(client, f"/api/sessions/{wide.pk}/floor")), len(two))

    def test_what_could_be_taken_is_told_to_who_plans_alone(self) -> None:
        address, asked = f"/api/sessions/{self.first.pk}/takings", {"method": "ion-exchange-titration"}
        told = self.as_(self.instructor).post(address, asked, "application/json").json()
        self.assertEqual([(offer["option"], offer["offered"][0]["key"]) for offer in told], [("c_t", "c_s")])
        for who, code in ((self.assistant, 403), (self.student, 403), (self.stranger, 404)):
            self.assertEqual(self.as_(who).post(address, asked, "application/json").status_code, code)
        wrong = self.as_(self.instructor).post(
            address, {"method": "hydrate", "options": {"x": "1"}}, "application/json"
        )
        self.assertEqual(wrong.status_code, 422)
