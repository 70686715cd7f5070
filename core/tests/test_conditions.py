"""Conditions: compared as a person compares what is written, told with numbers, refused where they cannot be asked."""

from dataclasses import replace
from decimal import Decimal
from typing import Any
from unittest import TestCase

from hypothesis import given, settings
from hypothesis import strategies as st

from chromata_core.authoring.as_json import from_json, to_json
from chromata_core.declaration.parts import Check
from chromata_core.engine.context import context_of
from chromata_core.errors import FormulaError, SheetError
from chromata_core.formula.condition import before, condition_names, holds, parse_condition
from chromata_core.formula.figures import Figured, exact
from chromata_core.judging.finding import Finding
from chromata_core.judging.whenever import Whenever
from chromata_core.loading.load import problems_of
from chromata_core.methods.registry import method
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.sheet.example import example_sheet

HYDRATE = method("hydrate")
TITRATION = method("acid-base-titration")


def asked(text: str, **values: str) -> bool:
    return holds(parse_condition(text), {key: exact(Decimal(value)) for key, value in values.items()})


def found(check: Check, *written: Given) -> list[Finding]:
    """What a titration with this one check says of what was written."""
    at = context_of(replace(TITRATION, checks=(check,)), Sheet({}, {}, written))
    assert isinstance(check, Whenever)
    return [*check.look(at)]


class TheLanguage(TestCase):
    def test_comparisons_and_their_joining(self) -> None:
        self.assertTrue(asked("a < b", a="1", b="2"))
        self.assertTrue(asked("a <= b <= c", a="1", b="1", c="2"))
        self.assertFalse(asked("a <= b < c", a="1", b="2", c="2"))
        self.assertTrue(asked("a > b or a + b == c", a="1", b="2", c="3"))
        self.assertTrue(asked("not a > b and a != b", a="1", b="2"))

    def test_what_is_not_known_holds_nothing(self) -> None:
        for text in ("a < b", "not a < b", "a < a or a < b", "b > a / a - 1"):
            self.assertFalse(asked(text, a="1"), text)
        self.assertFalse(asked("1 / a > 0", a="0"))

    @settings(deadline=None)  # a machine may be busy
    @given(st.decimals(-1000, 1000, places=4), st.decimals(0, 1, places=4))
    def test_a_difference_is_what_it_is_on_paper(self, mass: Decimal, limit: Decimal) -> None:
        """12.3452 − 12.3432 is 0.0020 and not, as in binary, a hair more."""
        self.assertFalse(asked("a - b > limit", a=str(mass + limit), b=str(mass), limit=str(limit)))
        self.assertTrue(asked("a - b >= limit", a=str(mass + limit), b=str(mass), limit=str(limit)))

    def test_the_row_before(self) -> None:
        condition = parse_condition("m - before(m) > limit")
        known = {"m": exact(3), before("m"): exact(2), "limit": exact(Decimal("0.5"))}
        self.assertTrue(holds(condition, known))
        self.assertEqual(condition_names(condition), ("m", "limit"))
        self.assertFalse(holds(condition, {"m": exact(3), "limit": exact(0)}), "the first row has none before it")

    def test_a_list_in_place_of_a_number_is_its_last(self) -> None:
        known: dict[str, Figured | list[Figured]] = {"m": [exact(1), exact(5)], "most": exact(4)}
        self.assertTrue(holds(parse_condition("m > most"), known))

    def test_what_compares_nothing_is_refused(self) -> None:
        for text in (
            "a",
            "a + b",
            "a = b",
            "a in b",
            "a < 'b'",
            "a is b",
            "f(a) < b",
            "(a < b) < c",
            "",
            "a <",
            "x" * 401,
        ):
            with self.subTest(text), self.assertRaises(FormulaError) as refused:
                parse_condition(text)
            self.assertTrue(refused.exception.message.endswith("."), refused.exception.message)


class OnASheet(TestCase):
    def test_in_each_trial_with_its_numbers(self) -> None:
        check = Whenever(
            "short",
            "V_end - V_start < least",
            "{V_end} is only {V_end - V_start:mL} on.",
            "",
            "",
            on="V_end",
            limits={"least": "5 mL"},
        )
        written = (
            Given("V_start", "0.10", 1),
            Given("V_end", "4.35", 1),
            Given("V_start", "0.00", 2),
            Given("V_end", "5.00", 2),
        )
        self.assertEqual(
            [(finding.trial, finding.key, finding.what) for finding in found(check, *written)],
            [(1, "V_end", "4.35 is only 4.25 mL on.")],
        )

    def test_once_where_nothing_belongs_to_a_trial(self) -> None:
        check = Whenever("sample", "V_s > most", "More than {most:mL}.", "", "", on="V_s", limits={"most": "10 mL"})
        self.assertEqual(
            [(finding.trial, finding.what) for finding in found(check, Given("V_s", "20.00"))],
            [(None, "More than 10 mL.")],
        )

    def test_a_sentence_says_what_is_known_and_breaks_nothing(self) -> None:
        """A reading of the bench stands as typed, never as a bare number of m³; what is not there yet is a dash."""
        told = "{V_s}, {V_end}, {V_end - V_start:mL}, {V}, {most}"
        check = Whenever("high", "V_start > most", told, "", "", limits={"most": "1 mL"})
        written = (Given("V_s", "20.00"), Given("V_start", "2.00", 1))
        self.assertEqual([finding.what for finding in found(check, *written)], ["20.00, –, –, –, 1 mL"])

    def test_what_cannot_be_worked_yet_decides_nothing(self) -> None:
        given = (Given("m_heated", "18.234", 1, 1),)
        for condition in ("sd(m_heated) > 0", "not sd(m_heated) > 0", "m_heated / (m_heated - m_heated) != 1"):
            check = Whenever("x", condition, "x", "", "")
            at = context_of(HYDRATE, Sheet({}, {}, given))
            self.assertEqual([*check.look(at)], [], condition)

    def test_a_worked_row_has_its_unit(self) -> None:
        light = method("beer-lambert")
        at = context_of(light, example_sheet(light))
        check = Whenever("c", "c_std > 0", "{c_std} and {before(c_std)}", "", "", each="c_std")
        sentences = [finding.what for finding in check.look(at)]
        self.assertTrue(sentences[1].startswith("0.") and sentences[1].count("mol/L") == 2, sentences)

    def test_rows_of_a_trial_are_asked_though_nothing_in_the_condition_is_of_a_trial(self) -> None:
        check = Whenever("few", "row == 2 and drying == 2", "x", "", "", each="m_heated", limits={"drying": "2"})
        weighed = tuple(Given("m_heated", text, 1, row) for row, text in enumerate(("18.234", "18.232"), 1))
        at = context_of(HYDRATE, Sheet({}, {}, weighed))
        self.assertEqual([(finding.trial, finding.index) for finding in check.look(at)], [(1, 2)])

    def test_a_rejected_trial_is_left_in_peace(self) -> None:
        check = Whenever("high", "V_start > most", "{V_start}", "", "", limits={"most": "1 mL"})
        written = (Given("V_start", "2.00", 1), Given("void", "Air bubble", 1), Given("V_start", "3.00", 2))
        self.assertEqual([finding.trial for finding in found(check, *written)], [2])

    def test_row_by_row_at_the_limit_of_a_weighing(self) -> None:
        """0.0020 g more is as the rule allows, 0.0021 g is not: worked by hand."""
        weighed = ("18.2344", "18.2364", "18.2385")
        given_ = tuple(Given("m_after", text, 1, row) for row, text in enumerate(weighed, 1))
        series = next(
            part.key for part in HYDRATE.readings if part.key.startswith("m_") and getattr(part, "until", None)
        )
        check = Whenever(
            "up",
            f"{series} - before({series}) > limit",
            f"{{{series}}} is {{{series} - before({series}):g}} above {{before({series})}}.",
            "",
            "",
            on=series,
            each=series,
            limits={"limit": "2 mg"},
        )
        at = context_of(HYDRATE, Sheet({}, {}, tuple(replace(given, key=series) for given in given_)))
        self.assertEqual(
            [(finding.index, finding.what) for finding in check.look(at)], [(3, "18.2385 is 0.0021 g above 18.2364.")]
        )


class Declared(TestCase):
    def refused(self, **changed: Any) -> str:
        check = Whenever("x", "V_end < V_start", "{V_end}", "", "")
        return " ".join(problems_of(replace(TITRATION, checks=(replace(check, **changed),))))

    def test_a_condition_that_fits_is_taken(self) -> None:
        self.assertEqual(self.refused(), "")
        self.assertEqual(self.refused(condition="V_end - V_start < 0"), "", "zero is zero in any unit")

    def test_what_cannot_be_asked_is_told_when_the_method_is_loaded(self) -> None:
        self.assertIn("V_edn", self.refused(condition="V_edn < V_start"))
        self.assertIn("cannot be compared", self.refused(condition="V_end < 5"))
        self.assertIn("cannot be compared", self.refused(condition="V_end < limit", limits={"limit": "5 g"}))
        self.assertIn("V_xyz", self.refused(what="{V_xyz} is low."))
        self.assertIn("is not in g", self.refused(what="{V_end - V_start:g} only."))
        self.assertIn("Check “x”", self.refused(condition="V_end"))
        self.assertIn("before", self.refused(condition="V_end < before(V_end)"), "there is no row before without rows")
        self.assertTrue(self.refused(limits={"limit": "five"}))
        self.assertIn("is not in a plain number", self.refused(what="{V_end - V_start} only."))

    def test_a_target_in_another_unit_is_named_with_the_unit_it_has(self) -> None:
        ribbon = method("gas-eudometer")
        for symbol, named in (("", "is not in a plain number"), ("mL", "is not in mL")):
            wrong = replace(ribbon, targets=tuple(replace(target, unit=symbol) for target in ribbon.targets))
            self.assertIn(named, " ".join(problems_of(wrong)))

    def test_degrees_are_no_measure_of_a_difference(self) -> None:
        """2 °C is 275 K: as a step of temperature it would be wrong in silence."""
        reaction = method("heat-of-reaction")

        def refused(**sentence: Any) -> str:
            check = replace(Whenever("x", "dT < least", "x", "", "", limits={"least": "2 K"}), **sentence)
            return " ".join(problems_of(replace(reaction, checks=(check,))))

        self.assertEqual(refused(), "")
        self.assertIn("in K", refused(condition="dT + dT < least", limits={"least": "2 °C"}))
        self.assertIn("in K", refused(limits={"least": "2 °C"}))
        self.assertIn("in K", refused(what="{dT + dT:°C}"))
        self.assertEqual(refused(condition="T_0 < least", limits={"least": "2 °C"}), "")


# What each retired word was in a file of an earlier release, and the method that used it.
CLOCK = "A clock only goes forward: look which of the two is wrong."
RETIRED: tuple[tuple[str, str, dict[str, object]], ...] = (
    ("potentiometric-titration", "V-grows", {"kind": "grows", "series": "V"}),
    ("potentiometric-titration", "V-start", {"kind": "begins-at", "series": "V", "latest": "2"}),
    ("coulometry-iodine", "t-grows", {"kind": "grows", "series": "t", "why": CLOCK}),
    (
        "molarity-series", "m-plan",
        {"kind": "near-plan", "reading": "m", "planned": "m_plan", "far": "off_plan", "near": "near_plan"},
    ),
    ("volumetric-calibration", "V_set-set", {"kind": "set-as", "reading": "V_set", "planned": "V_plan"}),
    (
        "volumetric-calibration", "m_d-few",
        {"kind": "fewer-than", "option": "deliveries", "least": 10, "series": "m_d"},
    ),
    (
        "heat-of-reaction", "dT-small",
        {"kind": "too-small", "quantity": "dT", "least": "2", "why": "A small change is badly known.",
         "do": "Use stronger solutions or more solid.", "on": "mixed"},
    ),
    (
        "nernst", "y-sign",
        {"kind": "sign-of", "quantity": "y", "option": "E_lit", "why": "Negative means that the leads are reversed.",
         "do": "Red lead to the metal named first; read again.", "on": "E"},
    ),
    (
        "alloy-by-gas", "V-apart",
        {"kind": "apart", "one": "V", "other": "V_cyl", "within": "apart", "on": "m_out",
         "why": "One of the portions was read or weighed wrongly.",
         "do": "Look at the last portion and its tare again."},
    ),
    (
        "hydrate", "mass-rises",
        {"kind": "rises", "series": "m_heated", "option": "constant",
         "why": "It took up water while it cooled, decomposed, or the crucible was not clean.",
         "do": "Heat again and cool it in a desiccator; if it rises again, take a new portion."},
    ),
)  # fmt: skip


class Retired(TestCase):
    def test_files_of_earlier_releases_say_the_same(self) -> None:
        for slug, code, old in RETIRED:
            with self.subTest(code):
                today = method(slug)
                same = [check for check in today.checks if isinstance(check, Whenever) and check.code == code]
                self.assertTrue(same)
                declared = {**to_json(today), "checks": [old]}
                self.assertEqual([*from_json(declared).checks], same)

    @settings(deadline=None)  # a machine may be busy
    @given(st.sampled_from(RETIRED), st.data())
    def test_a_mutilated_one_is_refused_and_breaks_nothing(
        self, case: tuple[str, str, dict[str, object]], data: st.DataObject
    ) -> None:
        slug, _, old = case
        anything = st.none() | st.integers(0, 3) | st.just("") | st.lists(st.none(), max_size=2) | st.just({"kind": 3})
        bent = {**old, data.draw(st.sampled_from(sorted(old))): data.draw(anything)}
        declared = {
            **to_json(method(slug)),
            "checks": [bent],
            data.draw(st.sampled_from(("quantities", "charts", "options"))): data.draw(anything),
        }
        try:
            from_json(declared)
        except SheetError as error:
            self.assertTrue(error.message)
