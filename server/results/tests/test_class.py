"""The class after its session: who may see what, who counts, and that it grows with its benches alone."""

from typing import Any

from chromata_core.methods.registry import method
from chromata_core.sheet.example import example_sheet
from labs import actions
from labs.models import Bench, Session
from labs.tests.room import TRUE, WHEN, Room, entry, person, queries_of, signed_in, titrate, write
from people.models import Person, Role, Section

TITRES = (("0.22", "18.47"), ("1.05", "19.36")), (("0.22", "18.57"), ("1.05", "19.46"))


class TheClass(Room):
    def setUp(self) -> None:
        for bench, titres in zip((self.bench, self.other_bench), TITRES, strict=True):
            titrate(signed_in(self.instructor), bench, *titres)

    def page(self, who: Person | None = None, **query: str) -> Any:
        address = f"/api/sessions/{self.session.pk}/class"
        return signed_in(who or self.instructor).get(address, query).json()

    def leave_out(self, reason: str, who: Person | None = None, bench: Bench | None = None) -> Any:
        address = f"/api/benches/{(bench or self.bench).pk}/left-out"
        return signed_in(who or self.instructor).put(address, {"reason": reason}, "application/json")

    def test_every_bench_beside_the_accepted_value(self) -> None:
        page = self.page()
        [result] = [result for result in page["results"] if result["key"] == "c_s"]
        self.assertEqual([row["bench"] for row in result["comparison"]["products"][0]["results"]], [1, 2])
        self.assertAlmostEqual(result["comparison"]["products"][0]["accepted"], float(TRUE))
        self.assertEqual([bench["number"] for bench in page["benches"]], [1, 2])

    def test_who_may_see_what(self) -> None:
        address = f"/api/sessions/{self.session.pk}/class"
        self.assertEqual(signed_in(self.student).get(address).status_code, 403)
        self.assertEqual(signed_in(self.stranger).get(address).status_code, 404)
        for hidden in (
            signed_in(self.assistant).get(address),
            signed_in(self.instructor).get(address, {"projector": "true"}),
        ):
            self.assertNotIn(TRUE.encode(), hidden.content)
        projected = self.page(projector="true")
        self.assertEqual([bench["team"] for bench in projected["benches"]], [[], []])
        self.assertNotEqual(self.page()["benches"][0]["team"], [])

    def test_a_bench_is_left_out_with_a_reason_and_counts_again(self) -> None:
        left = self.leave_out("Their pipette was a 25 mL one.").json()
        product = next(result for result in left["results"] if result["key"] == "c_s")["comparison"]["products"][0]
        self.assertEqual((product["n"], len(product["results"])), (1, 2))
        self.assertEqual(left["benches"][0]["left_out"], "Their pipette was a 25 mL one.")
        self.assertIn("left bench 1 out of the class", self.session.deeds.order_by("-pk")[0].what)
        again = self.leave_out(" ").json()
        self.assertEqual(again["benches"][0]["left_out"], "")
        self.assertIn("count in the class again", self.session.deeds.order_by("-pk")[0].what)
        for who, code in ((self.assistant, 403), (self.student, 403), (self.stranger, 404)):
            self.assertEqual(self.leave_out("x", who).status_code, code)
        self.assertEqual(self.leave_out("x" * 201).status_code, 400)

    def test_slips_of_the_class_are_named_to_who_teaches_alone(self) -> None:
        write(signed_in(self.student), self.bench, entry("own.V_mean", "18.92"))
        [cause] = [cause for cause in self.page()["causes"] if cause["kind"] == "own"]
        self.assertEqual(cause["benches"], [1])
        mine = signed_in(self.student).get(f"/api/benches/{self.bench.pk}").json()["evaluation"]["own"][0]
        self.assertEqual((mine["says"], mine["away"]), ("", None))

    def test_sections_that_came_together_lie_beside_each_other(self) -> None:
        other = Section.objects.create(name="Evening", term="Spring", code="BLUE5", owner=self.instructor)
        for n in range(4):
            person(f"late{n}", Role.STUDENT, other)
            person(f"early{n}", Role.STUDENT, self.section)
        options = {"c_t": "0.1026", "rough_trial": "no"}
        session = actions.plan_session(
            self.section, "acid-base-titration", "Both", "1", WHEN, 90, options, {}, 10, [], [other]
        )
        actions.open_session(session)
        for bench in session.benches.all():
            late = bench.team.filter(section=other).exists()
            titrate(signed_in(self.instructor), bench, *TITRES[late])
        page = signed_in(self.instructor).get(f"/api/sessions/{session.pk}/class").json()
        sections = next(result for result in page["results"] if result["key"] == "c_s")["sections"]
        self.assertIn("Evening lies above Group", sections)
        self.assertEqual([result["sections"] for result in self.page()["results"] if result["key"] == "c_s"], [""])

    def test_one_line_for_those_that_work_alike(self) -> None:
        """A line through two different cells says nothing of either."""
        samples = [{"name": "Daniell"}, {"name": "Another", "options": {"cell": "CuAg"}}]
        alike, both = self.pooled([]), self.pooled(samples)
        [(of, points)] = alike
        self.assertEqual(of, "")
        self.assertEqual(both, [("Daniell", points // 2), ("Another", points // 2)])

    def pooled(self, samples: list[dict[str, Any]]) -> list[tuple[str, int]]:
        """How many points the lines of a class of four benches have, by what they are of."""
        given = example_sheet(method("nernst")).given
        session = actions.plan_session(self.section, "nernst", "Cells", "1", WHEN, 90, {}, {}, 4, samples)
        actions.open_session(session)
        for bench in session.benches.all():
            entries = [entry(row.key, row.text, row.trial, index=row.index) for row in given]
            write(signed_in(self.instructor), bench, *entries)
        page = signed_in(self.instructor).get(f"/api/sessions/{session.pk}/class").json()
        return [(row["of"], len(row["chart"]["lines"][0]["points"])) for row in page["pooled"]]

    def test_a_session_without_results_has_a_page(self) -> None:
        session = actions.plan_session(self.section, "hydrate", "Salt", "1", WHEN, 90, {}, {}, 2, [])
        page = signed_in(self.instructor).get(f"/api/sessions/{session.pk}/class").json()
        self.assertEqual((page["results"], page["causes"], page["benches"]), ([], [], []))

    def test_it_asks_no_more_for_more_benches(self) -> None:
        def asked(session: Session) -> int:
            return len(queries_of(signed_in(self.instructor), f"/api/sessions/{session.pk}/class"))

        few = asked(self.session)
        options = {"c_t": "0.1026", "rough_trial": "no"}
        many = actions.plan_session(self.section, "acid-base-titration", "Many", "1", WHEN, 90, options, {}, 10, [])
        actions.open_session(many)
        for bench in many.benches.all():
            titrate(signed_in(self.instructor), bench, *TITRES[0])
        self.assertLessEqual(asked(many), few)
