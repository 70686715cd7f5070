"""Own experiments through the API: copied, changed, tried, used; a session keeps the version it began with."""

import copy
import json
import random
import time
from dataclasses import replace
from typing import Any
from unittest.mock import patch

from django.conf import settings

from chromata_core.authoring.as_json import to_json
from chromata_core.methods.registry import method, methods
from experiments.declared import keep
from experiments.models import Declaration, Experiment
from labs import actions
from labs.models import Session
from labs.tests.described import Described
from labs.tests.room import WHEN, Room, entry, write
from people.models import Person

JSON = "application/json"


class Own(Room):
    def begin(self, **body: str) -> dict[str, Any]:
        """A new draft of the instructor's."""
        response = self.as_(self.instructor).post("/api/experiments", body, JSON)
        self.assertEqual(response.status_code, 201, response.content)
        page: dict[str, Any] = response.json()
        return page

    def save(self, slug: str, declaration: dict[str, Any], note: str = "") -> dict[str, Any]:
        saved = self.as_(self.instructor).put(
            f"/api/experiments/{slug}", {"declaration": declaration, "note": note}, JSON
        )
        self.assertEqual(saved.status_code, 200, saved.content)
        page: dict[str, Any] = saved.json()
        return page

    def post(self, slug: str, verb: str, body: dict[str, Any], who: Person | None = None) -> Any:
        return self.as_(who or self.instructor).post(f"/api/experiments/{slug}/{verb}", body, JSON)

    def listed(self, who: Person) -> list[str]:
        """The method book as ``who`` sees it."""
        return [card["slug"] for card in self.as_(who).get("/api/methods").json()]

    def ready(self, slug: str) -> None:
        """Tried on simulated readings, then made ready."""
        self.assertTrue(self.post(slug, "try", {"seed": 1}).json()["passed"])
        self.assertEqual(self.post(slug, "ready", {"note": "First use"}).status_code, 200)

    def session_of(self, slug: str) -> Session:
        session = actions.plan_session(self.section, slug, "Own", "Room 1", WHEN, 90, {}, {}, 1, [])
        actions.open_session(session)
        return session

    def measured(self, session: Session) -> dict[str, float]:
        """Results of a bench with 3.000 g of salt of which 2.000 g are left."""
        bench = session.benches.get()
        rows = [("m_crucible", None, "30.000"), ("m_before", None, "33.000"), ("m_heated", 1, "32.000"),
                ("m_heated", 2, "32.000")]  # fmt: skip
        client = self.as_(self.instructor)
        if not bench.entries.exists():
            kept = write(client, bench, *(entry(key, text, 1, index=index) for key, index, text in rows))
            self.assertTrue(all(entry["kept"] for entry in kept), kept)
        results = client.get(f"/api/benches/{bench.pk}").json()["evaluation"]["results"]
        return {result["key"]: result["value"] for result in results}


class FromCopyToSession(Own):
    def test_a_session_keeps_the_version_it_was_opened_with(self) -> None:
        page = self.begin(copy_of="hydrate", title="Crystal water, our way")
        slug, own = page["card"]["slug"], page["declaration"]
        self.assertEqual((slug, page["problems"], page["lacks"]), ("crystal-water-our-way", [], []))
        own["steps"][0]["title"] = "Goggles and the blue tongs"
        own["quantities"][0]["label"] = "Blue crystals"
        self.assertEqual(self.save(slug, own)["number"], 1)
        self.ready(slug)
        first = self.session_of(slug)
        before = self.measured(first)
        self.assertAlmostEqual(before["w"], 100 / 3)

        own["quantities"][1]["formula"] = "2 * (m_before - last(m_heated))"  # nonsense, but it can be told apart
        page = self.save(slug, own, "Doubled")
        self.assertEqual((page["number"], page["ready"], page["card"]["changed"]), (2, False, True))
        self.ready(slug)
        second = self.session_of(slug)
        self.assertAlmostEqual(self.measured(second)["w"], 200 / 3)
        self.assertEqual(self.measured(first), before)
        self.assertEqual([v["sessions"] for v in self.begin_again(slug)["versions"]], [1, 1])
        self.assertEqual((second.method_version, first.method_version), (2, 1))

    def begin_again(self, slug: str) -> dict[str, Any]:
        page: dict[str, Any] = self.as_(self.instructor).get(f"/api/experiments/{slug}").json()
        return page

    def test_methods_that_ship_are_frozen_with_a_session_as_well(self) -> None:
        assert self.session.declaration is not None
        self.assertEqual(self.session.declaration.data, to_json(method("acid-base-titration")))

    def test_a_new_release_changes_no_session_that_was_opened(self) -> None:
        """The method that ships is changed under an open session and under a planned one: only the second follows."""
        session, later = self.session_of("hydrate"), self.session_of("hydrate")
        Session.objects.filter(pk=later.pk).update(declaration=None)  # as one that is not opened yet
        before = self.measured(session)
        shipped = method("hydrate")
        half = {"m_water": "(m_before - last(m_heated)) / 2"}
        halved = tuple(replace(q, formula=half.get(q.key, q.formula)) for q in shipped.quantities)
        with patch.dict(methods(), {"hydrate": replace(shipped, version=2, quantities=halved)}):
            self.assertEqual(self.measured(session), before)
            self.assertAlmostEqual(self.measured(Session.objects.get(pk=later.pk))["w"], before["w"] / 2)

    def test_the_class_sees_it_in_the_method_book_and_others_do_not(self) -> None:
        slug = self.begin(copy_of="hydrate", title="Ours")["card"]["slug"]
        self.assertNotIn(slug, self.listed(self.instructor))
        self.ready(slug)
        for who in (self.instructor, self.assistant, self.student):
            self.assertIn(slug, self.listed(who))
            self.assertEqual(self.as_(who).get(f"/api/methods/{slug}").json()["card"]["title"], "Ours")
        self.assertNotIn(slug, self.listed(self.stranger))
        self.assertEqual(self.as_(self.stranger).get(f"/api/methods/{slug}").status_code, 422)
        predicted = {"method": slug, "options": {}, "instruments": {}}
        self.assertEqual(self.as_(self.instructor).post("/api/predict", predicted, JSON).status_code, 200)
        self.assertEqual(self.as_(self.stranger).post("/api/predict", predicted, JSON).status_code, 422)

    def test_a_word_that_a_release_took_away_closes_one_experiment_and_not_the_book(self) -> None:
        slug = self.begin(copy_of="hydrate", title="Ours")["card"]["slug"]
        self.ready(slug)
        version = Experiment.objects.get(slug=slug).versions.get()
        version.declaration = keep({**version.declaration.data, "checks": [{"kind": "horoscope"}]})
        version.save()
        client = self.as_(self.instructor)
        book = client.get("/api/methods")
        self.assertEqual(book.status_code, 200)
        self.assertNotIn(slug, [card["slug"] for card in book.json()])
        self.assertIn("“horoscope”", client.get(f"/api/experiments/{slug}").json()["problems"][0])

    def test_withdrawn_it_is_not_planned_again_but_stays_with_its_sessions(self) -> None:
        slug = self.begin(copy_of="hydrate", title="Ours")["card"]["slug"]
        self.ready(slug)
        session = self.session_of(slug)
        client = self.as_(self.instructor)
        planned = actions.plan_session(self.section, slug, "Next", "Room 1", WHEN, 90, {}, {}, 1, [])
        address, body = f"/api/experiments/{slug}/withdrawn", {"withdrawn": True}
        self.assertIn("planned", client.put(address, body, JSON).json()["problems"][0])
        planned.delete()
        self.assertEqual(client.put(address, body, JSON).json()["card"]["state"], "withdrawn")
        self.assertNotIn(slug, [card["slug"] for card in client.get("/api/methods").json()])
        self.assertAlmostEqual(self.measured(session)["w"], 100 / 3)


class Drafts(Own):
    def test_an_empty_one_says_what_it_lacks_until_it_is_complete(self) -> None:
        page = self.begin(title="Brine density")
        self.assertEqual(page["problems"], [])
        self.assertIn("closing questions", " ".join(page["wishes"]))
        self.assertIn("m̄ = mean", page["page"]["quantities"][-1]["plain"])  # formulas are typeset from the start
        slug = page["card"]["slug"]
        own = page["declaration"] | {
            "question": "How dense is it?", "waste": "Into the sink.", "questions": ["Why twice?", "Why warm?"],
            "slips": [{"key": "half", "says": "the mass is halved", "quantity": "m_t", "formula": "m / 2"}],
            "faults": [
                {"key": "wet", "label": "Wet", "changes": {"m": "x + 0.1"}, "looks": "Drops.", "remedy": "Dry it."},
            ],
            "example": {"readings": [["m", 1, None, "10.53"], ["m", 2, None, "10.55"]]},
        }  # fmt: skip
        page = self.save(slug, own)
        self.assertEqual((page["problems"], page["lacks"]), ([], []))
        self.assertIn("m̄", page["page"]["quantities"][-1]["plain"])
        refused = self.post(slug, "ready", {})
        self.assertIn("Try it out first", refused.json()["problems"][0])
        typed = [{"key": "m", "trial": 1, "text": "10.41"}, {"key": "m", "trial": 2, "text": "10.45"}]
        run = self.post(slug, "try", {"readings": typed}).json()
        self.assertTrue(run["passed"])
        self.assertAlmostEqual(run["evaluation"]["results"][0]["value"], 10.43)
        self.assertTrue(self.as_(self.instructor).get(f"/api/experiments/{slug}").json()["tried"])
        self.assertEqual(self.save(slug, own | {"title": "Brine"})["tried"], False)
        self.ready(slug)

    def test_a_draft_that_is_wrong_is_kept_word_for_word_and_never_used(self) -> None:
        page = self.begin(copy_of="hydrate")
        slug, own = page["card"]["slug"], page["declaration"]
        for spoil in (
            {"quantities": "later"},
            {"quantities": [{**own["quantities"][0], "formula": "m_before *"}]},
            {"steps": []},
            {"family": 7, "title": ["x"]},
        ):
            page = self.save(slug, {**own, **spoil})
            self.assertTrue(page["problems"])
            for key, value in spoil.items():
                self.assertEqual(page["declaration"][key], value)
            for verb in ("try", "ready"):
                self.assertEqual(self.post(slug, verb, {"seed": 1}).status_code, 422)

    def test_a_trial_run_says_what_is_missing(self) -> None:
        page = self.begin(copy_of="hydrate")
        run = self.post(page["card"]["slug"], "try", {"readings": [{"key": "m_crucible", "trial": 1, "text": "30.1"}]})
        self.assertFalse(run.json()["passed"])
        self.assertEqual(run.json()["missing"], ["Water in the hydrate", "Water per formula unit"])
        fault = self.post(page["card"]["slug"], "try", {"seed": 3, "fault": "spattered"}).json()
        sound = self.post(page["card"]["slug"], "try", {"seed": 3}).json()
        water = [state["evaluation"]["results"][0]["value"] for state in (fault, sound)]
        self.assertGreater(water[0], water[1] + 1)

    def test_thrown_away_it_is_the_last_ready_version_again(self) -> None:
        page = self.begin(copy_of="hydrate", title="Ours")
        slug, client = page["card"]["slug"], self.as_(self.instructor)
        self.ready(slug)
        self.assertEqual(client.delete(f"/api/experiments/{slug}").status_code, 409)
        self.save(slug, {**page["declaration"], "title": "Worse"})
        self.assertEqual(client.delete(f"/api/experiments/{slug}").json()[0]["title"], "Ours")
        other = self.begin(title="Never ready")["card"]["slug"]
        client.delete(f"/api/experiments/{other}")
        self.assertFalse(Experiment.objects.filter(slug=other).exists())

    def test_what_a_draft_said_before_is_not_heaped_up(self) -> None:
        page = self.begin(copy_of="hydrate", title="Ours")
        slug, before = page["card"]["slug"], Declaration.objects.count()
        for number in range(5):
            self.save(slug, {**page["declaration"], "question": f"How many, {number}?"})
        self.assertEqual(Declaration.objects.count(), before)
        self.ready(slug)
        self.session_of(slug)
        self.save(slug, {**page["declaration"], "question": "And now?"})
        self.assertEqual(Declaration.objects.count(), before + 1)  # the session's stays

    def test_nothing_that_is_declared_takes_long_or_closes_the_experiment(self) -> None:
        """Towers of powers in units and formulas, lists without end, and a formula whose units raised once."""
        page = self.begin(copy_of="hydrate")
        slug, declared = page["card"]["slug"], page["declaration"]
        first = declared["quantities"][0]
        harms: list[dict[str, Any]] = [
            {"quantities": [{**first, "unit": "mL^9^9^9"}, *declared["quantities"][1:]]},
            {"quantities": [{**first, "formula": "m_before^1e999999999"}, *declared["quantities"][1:]]},
            {"quantities": [{**first, "formula": "m_before^2 / m_before"}, *declared["quantities"][1:]]},
            {"readings": [1] * 100_000}, {"steps": declared["steps"] * 60}, {"question": {"a": [[]] * 9000}},
        ]  # fmt: skip
        for harm in harms:
            began = time.perf_counter()
            shown = self.save(slug, {**declared, **harm})
            self.assertLess(time.perf_counter() - began, 5)
            self.assertTrue(shown["problems"] or shown["lacks"], harm)
            self.assertEqual(self.as_(self.instructor).get(f"/api/experiments/{slug}").status_code, 200)
        self.assertEqual(self.save(slug, declared)["problems"], [])

    def test_whatever_is_sent_the_answer_is_a_sentence(self) -> None:
        page = self.begin(copy_of="hydrate")
        client, random_ = self.as_(self.instructor), random.Random(7)
        client.raise_request_exception = False
        odd = [None, 0, 2**70, "\x00", "\ud800", [], {}, [[[]]], True, "x" * 9000, 1.5, {"kind": "within"}]
        for _ in range(150):
            own = copy.deepcopy(page["declaration"])
            place: Any = own
            while True:
                key = random_.choice(list(place) if isinstance(place, dict) else range(len(place)))
                if not isinstance(place[key], dict | list) or not place[key] or random_.random() < 0.2:
                    break
                place = place[key]
            place[key] = random_.choice(odd)
            body = json.dumps({"declaration": own})
            answer = client.put(f"/api/experiments/{page['card']['slug']}", body, JSON)
            self.assertLess(answer.status_code, 500, (key, place[key]))
            self.assertLess(self.post(page["card"]["slug"], "try", {"seed": 1}).status_code, 500)


class Files(Own):
    def test_out_of_one_department_into_another(self) -> None:
        slug = self.begin(copy_of="beer-lambert", title="Nickel line")["card"]["slug"]
        self.ready(slug)
        for address in (f"/api/experiments/{slug}/file", f"/api/methods/{slug}/file"):
            file = self.as_(self.instructor).get(address)
            self.assertIn(f"{slug}", file.headers["Content-Disposition"])
            response = self.as_(self.stranger).post("/api/experiments", {"file": file.content.decode()}, JSON)
            self.assertEqual(response.status_code, 201, response.content)
            self.assertEqual(response.json()["card"]["title"], "Nickel line")
            self.assertEqual((response.json()["problems"], response.json()["lacks"]), ([], []))
            self.assertNotEqual(response.json()["card"]["slug"], slug)

    def test_any_version_can_be_had_again(self) -> None:
        page = self.begin(copy_of="hydrate", title="Ours")
        slug = page["card"]["slug"]
        self.ready(slug)
        self.save(slug, {**page["declaration"], "title": "Changed"})
        get = self.as_(self.instructor).get
        self.assertEqual(get(f"/api/experiments/{slug}/file").json()["title"], "Changed")
        self.assertEqual(get(f"/api/experiments/{slug}/file?version=1").json()["title"], "Ours")
        self.assertEqual(get(f"/api/experiments/{slug}/file?version=9").status_code, 404)

    def test_what_is_no_method_is_said(self) -> None:
        for file, word in (
            ("{", "not JSON"),
            ("{}", "chromata-method"),
            ("[" * 3000, "JSON"),
            ('{"a": NaN}', "method"),
        ):
            answer = self.as_(self.instructor).post("/api/experiments", {"file": file}, JSON)
            self.assertEqual(answer.status_code, 422)
            self.assertIn(word, answer.json()["problems"][0])


class Reach(Own):
    def test_own_experiments_are_their_author_s_alone(self) -> None:
        slug = self.begin(copy_of="hydrate")["card"]["slug"]
        for who, status in ((self.stranger, 404), (self.assistant, 403), (self.student, 403)):
            client = self.as_(who)
            self.assertEqual(client.get(f"/api/experiments/{slug}").status_code, status)
            self.assertEqual(client.get(f"/api/experiments/{slug}/file").status_code, status)
            self.assertEqual(client.delete(f"/api/experiments/{slug}").status_code, status)
            for verb in ("try", "ready"):
                self.assertEqual(self.post(slug, verb, {"seed": 1}, who).status_code, status)
        self.assertEqual(self.as_(self.stranger).get("/api/experiments").json(), [])
        self.assertEqual(Described().get(f"/api/experiments/{slug}").status_code, 403)

    def test_the_form_knows_every_field_of_every_method(self) -> None:
        records = {record["name"]: record for record in self.as_(self.instructor).get("/api/vocabulary").json()}
        fields = {field["name"] for field in records["method"]["fields"]}
        self.assertTrue(set(to_json(method("hydrate"))) - {"format", "format_version"} <= fields)
        chapters = (settings.ROOT / "web/src/features/experiments/chapters.ts").read_text(encoding="utf-8")
        for name in fields - {"slug", "version"}:  # these are the application's
            self.assertIn(f"'{name}'", chapters)
        for use in ("option", "reading", "check", "chart", "rule", "guide"):
            self.assertTrue([value for value in records.values() if value["use"] == use], use)
