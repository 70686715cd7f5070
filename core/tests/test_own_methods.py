"""Instructors' own methods as data: what is written comes back, and what is wrong is said with its place."""

import copy
import json
from collections.abc import Callable
from typing import Any
from unittest import TestCase

from hypothesis import given, settings
from hypothesis import strategies as st

from chromata_core.authoring.as_json import from_json, to_json
from chromata_core.authoring.blank import blank
from chromata_core.authoring.complete import lacks, wishes
from chromata_core.authoring.form import vocabulary
from chromata_core.errors import SheetError
from chromata_core.loading.load import problems_of
from chromata_core.methods.registry import method, methods
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.telling.describe import page
from chromata_core.telling.evaluate import evaluate

HYDRATE = to_json(method("hydrate"))
Path = tuple[str | int, ...]


def put(data: Any, path: Path, value: object) -> Any:
    """A copy of ``data`` with ``value`` at ``path``."""
    changed = copy.deepcopy(data)
    place = changed
    for step in path[:-1]:
        place = place[step]
    place[path[-1]] = value
    return changed


def said_of(data: object) -> list[str]:
    """What is said of a declaration, by reading or by loading it."""
    try:
        return problems_of(from_json(data))
    except SheetError as error:
        return error.problems


class RoundTrip(TestCase):
    def test_every_method_comes_back_as_it_was(self) -> None:
        for slug, declared in methods().items():
            with self.subTest(slug):
                self.assertEqual(from_json(json.loads(json.dumps(to_json(declared)))), declared)

    def test_what_stands_at_its_default_is_left_out(self) -> None:
        self.assertNotIn("optional", HYDRATE["readings"][0])
        self.assertEqual(HYDRATE["readings"][0]["kind"], "reading")
        self.assertEqual(HYDRATE["family"], "gravimetric")

    def test_a_copy_computes_the_same(self) -> None:
        """Also with a formula of one's own: dry salt over hydrate, in per cent, is what is not water."""
        own = copy.deepcopy(HYDRATE)
        own["slug"], own["title"] = "dry-share", "How much is left?"
        own["quantities"].append({
            "key": "dry", "label": "Dry salt in the hydrate", "formula": "(last(m_heated) - m_crucible) / m_hydrate",
            "unit": "%", "symbol": "d", "result": True,
        })  # fmt: skip
        declared = from_json(own)
        self.assertEqual((problems_of(declared), lacks(declared)), ([], []))
        texts = (
            ("m_crucible", None, "30.000"),
            ("m_before", None, "33.000"),
            ("m_heated", 1, "32.000"),
            ("m_heated", 2, "32.000"),
        )
        sheet = Sheet({}, {}, tuple(Given(key, text, 1, index) for key, index, text in texts))
        values = {result.key: result.value for result in evaluate(declared, sheet).results}
        self.assertAlmostEqual(values["dry"], 100 * 2 / 3)
        self.assertAlmostEqual(values["w"], 100 / 3)


class WhatIsWrongIsSaid(TestCase):
    def says(self, path: Path, value: object, *words: str) -> None:
        with self.subTest(str(path), value=str(value)[:40]):
            sentences = said_of(put(HYDRATE, path, value))
            self.assertTrue(sentences)
            for word in words:
                self.assertIn(word, " ".join(sentences))

    def test_what_cannot_be_read_with_its_place(self) -> None:
        self.says(("steps", 2, "title"), 3, "steps 3, title", "text in quotes")
        self.says(("title",), None, "title", "nothing")
        self.says(("family",), "gravity", "gravimetric")
        self.says(("checks", 0, "kind"), "withn", "checks 1", "within")
        self.says(("checks", 2, "hihg"), "4", "“hihg”", "“high”")
        self.says(("checks", 2), "within", "checks 3", "kind")
        self.says(("steps",), "first do this", "steps")
        self.says(("trials", "minimum"), "one", "whole number")
        self.says(("format",), "recipe", "chromata-method")
        self.says(("format_version",), 9, "version 1")
        self.assertIn("“symbol” is missing", " ".join(said_of(put(HYDRATE, ("quantities", 0), {"key": "a"}))))

    def test_what_contradicts_itself(self) -> None:
        formula = ("quantities", 0, "formula")
        self.says(formula, "m_before * m_crucible", "mass^2", "g is mass")
        self.says(formula, "m_befor - m_crucible", "“m_before”")
        self.says(formula, "m_before - ", "cannot be read")
        self.says(formula, "last(m_before)", "wants a series")
        self.says(("quantities", 0, "unit"), "grammm", "not a unit known here")
        self.says(("checks", 2, "quantity"), "m_hydrat", "no quantity “m_hydrat”")
        self.says(("checks", 2, "low"), "option:least", "no number option “least”")
        self.says(("checks", 2, "high"), "plenty", "Within, m_hydrate", "not one number")
        self.says(("readings", 0, "role"), "scale", "no instrument role “scale”")
        self.says(("roles", 0, "default"), "burette-50-a", "none of balance")
        self.says(("roles", 0, "default"), "kitchen-scale", "no instrument")
        self.says(("readings", 0, "when"), {"task": "guess"}, "“formula”, “identify”")
        self.says(("readings", 0, "when"), {"weather": "fine"}, "weather")
        self.says(("readings", 3, "until"), None, "until")
        self.says(("faults", 0, "changes"), {"m_heated": "y + 1"}, "not-dry")
        self.says(("faults", 0, "changes"), {"m_warm": "x + 1"}, "m_warm")
        self.says(("options", 0, "default"), "guess", "What is asked?")
        self.says(("options", 1, "choices", 0, "sets"), {"colour": "blue"}, "“colour”")
        self.says(("readings", 0, "key"), "crucible mass", "cannot stand in a formula")
        self.says(("steps", 1, "reads"), [], "No step asks for “m_crucible”")
        self.says(("trials",), {"noun": "Crucible", "minimum": 3, "maximum": 1}, "from 1 to 40")
        self.says(("slips", 0, "formula"), "n_wter / 2", "“n_water”")
        self.says(("supplies", 0, "unit"), "mL", "Hydrated salt")

    def test_choices_that_nobody_could_go_through_are_refused_and_not_gone_through(self) -> None:
        """Four options of thirty choices on which one part depends at once: 810,000 ways."""
        own = copy.deepcopy(HYDRATE)
        many = [{"key": f"c{n}", "label": str(n)} for n in range(30)]
        own["options"] += [
            {"kind": "choice-option", "key": f"o{n}", "label": "One", "choices": many, "default": "c0"}
            for n in range(4)
        ]
        own["quantities"][0]["when"] = {f"o{n}": "c0" for n in range(4)}
        self.assertIn("too many choices", " ".join(said_of(own)))

    def test_a_formula_is_never_run(self) -> None:
        for text in (
            "__import__('os').system('true')",
            "(lambda: 1)()",
            "m_before.real",
            "[m_before][0]",
            "9**9**9**9",
        ):
            self.says(("quantities", 0, "formula"), text)

    def test_what_is_incomplete(self) -> None:
        for path, value, word in (
            (("hazards",), [], "cautions"), (("example", "readings"), [], "worked example"), (("waste",), "", "waste"),
            (("question",), " ", "question"),
        ):  # fmt: skip
            with self.subTest(word):
                self.assertIn(word, " ".join(lacks(from_json(put(HYDRATE, path, value)))))

    def test_what_may_wait_holds_up_nothing(self) -> None:
        for path, value, word in (
            (("questions",), ["Why?"], "Two to four"), (("slips",), [], "slip"), (("faults",), [], "fault"),
        ):  # fmt: skip
            with self.subTest(word):
                declared = from_json(put(HYDRATE, path, value))
                self.assertIn(word, " ".join(wishes(declared)))
                self.assertEqual(page(declared).wishes, wishes(declared))
                self.assertEqual(lacks(declared) if path != ("questions",) else [], [])

    def test_a_slip_that_changes_nothing_and_an_example_out_of_order(self) -> None:
        same = put(HYDRATE, ("slips", 0, "formula"), "(last(m_heated) - m_crucible) / M_salt")
        self.assertIn("changes no result", " ".join(wishes(from_json(same))))
        short = put(HYDRATE, ("example", "readings", 1, 3), "31.900")
        self.assertIn("not in order", " ".join(lacks(from_json(short))))


class TheForm(TestCase):
    """What the editor is told of the vocabulary is what the vocabulary is."""

    def setUp(self) -> None:
        self.records = {record.name: record for record in vocabulary()}

    def test_every_field_of_every_method_that_ships_is_in_it(self) -> None:
        def look(value: Any, name: str) -> None:
            record = self.records[name]
            known = {field.name: field for field in record.fields}
            for key, inner in value.items():
                if key in ("kind", "format", "format_version"):
                    continue
                self.assertIn(key, known, name)
                field = known[key]
                for kind in inner if field.many else [inner]:
                    if field.kind == "word" and kind is not None:
                        self.assertEqual(self.records[kind["kind"]].use, field.of[0])
                        look(kind, kind["kind"])
                    elif field.kind == "record" and kind is not None:
                        look(kind, field.of[0])
                    elif field.kind == "choice":
                        self.assertIn(kind, field.of)

        for declared in methods().values():
            look(to_json(declared), "method")

    def test_a_new_record_of_every_kind_can_be_read_and_says_what_it_needs(self) -> None:
        """Put into a method as the editor puts it: read without a word about its form; what it names is asked for."""
        places = {"check": "checks", "chart": "charts", "option": "options", "reading": "readings"}
        for record in (r for r in self.records.values() if r.use in places):
            with self.subTest(record.name):
                own = copy.deepcopy(HYDRATE)
                own.setdefault(places[record.use], []).append(record.start)
                declared = from_json(own)
                names = [field for field in record.fields if field.kind == "name" and field.required and not field.many]
                if names or record.use in ("option", "reading"):
                    self.assertTrue(problems_of(declared))

    def test_help_is_a_sentence_for_people(self) -> None:
        for record in self.records.values():
            self.assertRegex(record.help, r"\.$", record.name)
            self.assertNotIn("``", record.help)
            for field in record.fields:
                self.assertTrue(field.label)
                self.assertEqual(len(field.words), len(field.of) if field.kind == "choice" else 0)


class Empty(TestCase):
    def test_an_empty_method_holds_and_says_what_it_lacks(self) -> None:
        empty = blank("new", "New")
        self.assertEqual(problems_of(empty), [])
        self.assertEqual((len(lacks(empty)), len(wishes(empty))), (3, 3))


ANYTHING: st.SearchStrategy[object] = st.recursive(
    st.none() | st.booleans() | st.integers(-3, 10**9) | st.floats(allow_nan=False) | st.text(max_size=12),
    lambda inner: st.lists(inner, max_size=3) | st.dictionaries(st.text(max_size=6), inner, max_size=3),
    max_leaves=6,
)


class Anything(TestCase):
    def broken(self, data: Any, draw: Callable[[st.SearchStrategy[Any]], Any], value: object) -> Any:
        """``data`` with ``value`` at some place in it."""
        path: list[str | int] = []
        place = data
        while isinstance(place, dict | list) and place:
            path.append(draw(st.sampled_from(sorted(place) if isinstance(place, dict) else range(len(place)))))
            place = place[path[-1]]
            if draw(st.integers(0, 3)) == 0:
                break
        return put(data, tuple(path), value)

    @settings(max_examples=250, deadline=None)
    @given(st.data())
    def test_no_declaration_breaks_anything(self, data: st.DataObject) -> None:
        """Whatever stands anywhere is read and holds, or is answered with sentences."""
        own = self.broken(HYDRATE, data.draw, data.draw(ANYTHING))
        for line in said_of(own):
            self.assertRegex(line, r"[.?…]$")
