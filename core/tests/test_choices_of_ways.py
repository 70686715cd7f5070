"""Choices that single ways of working need, each from the plan on. Readings are invented; what they must give is worked
by hand beside them.
"""

from dataclasses import replace
from math import log10
from unittest import TestCase

from chromata_core.errors import SheetError
from chromata_core.methods.registry import method
from chromata_core.planning.solutions import solutions
from chromata_core.planning.timetable import drawn, orders_of, solved_at_once
from chromata_core.planning.turns import problem_of
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.telling.evaluate import evaluate
from tests.practice import WAYS, practice
from tests.test_ways_of_working import Bench, F, Read, from_example

R = 8.314462618  # J/(mol·K), SI brochure, 9th ed.


def said(bench: Bench) -> str:
    """What the findings on a bench say to do."""
    return " ".join(f"{finding.what} {finding.do}" for finding in bench.report.findings)


class ChoicesOfWays(TestCase):
    @practice(WAYS[0])
    def test_litres_then_moles_then_the_concentration(self) -> None:
        """100.0 + 100.0 + 100.0 + 42.6 mL are 0.3426 L, asked once and before the first portion is weighed."""
        options = {"m_plan": "6.00; 12.00; 24.00", "own_asked": "each"}
        bench = Bench("molarity-series", options, from_example("molarity-series", {}))
        self.assertEqual(bench.order("own.c", "m", "own.n", "own.V"), ["own.V", "m", "own.n", "own.c"])
        [volume] = [own_answer for own_answer in bench.report.own if own_answer.key == "V"]
        self.assertEqual((volume.unit, volume.trial, round(float(volume.text.split()[0]), 4)), ("L", None, 0.3426))

    @practice(WAYS[1])
    def test_how_much_ice_this_water_can_melt_is_said_before_any_is_weighed(self) -> None:
        """238.46 g · 4.184 · 24.8 K over 6010/18.015 J/g are 74.2 g; seven tenths of it are 51.9 g."""
        read: list[Read] = [("m_w", 1, None, "238.46"), ("T_start", 1, None, "24.8")]
        for ice_by, step in (("before", "ice"), ("after", "melt")):
            bench = Bench("heat-of-fusion", {"ice_by": ice_by, "trials": "1"}, read)
            self.assertEqual(bench.report.hand.step, step)
            self.assertIn("51.9 g at most", bench.report.hand.lead)
        unread = Bench("heat-of-fusion", {"ice_by": "after", "trials": "1"}, read[:1])
        self.assertNotIn("at most", " ".join(f"{task.lead} {task.detail}" for task in unread.report.tasks))

    @practice(WAYS[8])
    def test_a_piece_that_will_be_too_dark_is_said_when_it_is_weighed(self) -> None:
        """0.9127 g with 62 % of copper in 50 mL: 0.5659 g, 8.905 mmol, 0.178 mol/L; 8 mL of 0.2000 in 10 are 0.160."""
        read = [given for given in from_example("metal-in-alloy", {}) if given[0] not in ("A_x", "V_taken", "V_made")]
        bench = Bench("metal-in-alloy", {}, read)
        self.assertIn("about 0.18 mol/L in the flask", said(bench))
        self.assertNotIn("in the flask", said(Bench("metal-in-alloy", {"D_plan": "2"}, read)))
        lighter = [(*given[:3], "0.4000") if given[0] == "m" else given for given in read]
        self.assertNotIn("in the flask", said(Bench("metal-in-alloy", {}, lighter)))
        self.assertEqual(bind(method("metal-in-alloy"), Sheet({"alloy": "bronze"})).options["w_expected"], "90")

    @practice(WAYS[8])
    def test_standards_are_all_made_and_then_read_in_a_row(self) -> None:
        for by, wanted in (
            ("row", ["V_std"] * 4 + ["A_std"] * 4),
            ("turn", ["V_std", "A_std"] * 4),
        ):
            with self.subTest(by):
                bench = Bench("metal-in-alloy", {"standards_by": by}, from_example("metal-in-alloy", {}))
                self.assertEqual([entry.key for entry in bench.entries if entry.key in ("V_std", "A_std")], wanted)
                self.assertEqual(bench.report.hand.kind, "finished")

    @practice(WAYS[11])
    def test_small_answers_one_after_the_other(self) -> None:
        """60 g · 4.184 · 27.7 K are 6954 J, 1.662 kcal, over 1.07 g 1.553 kcal/g."""
        options = {"trials": "1", "own_asked": "each"}
        read: list[Read] = [("m_several", None, None, "13.60"), ("V_w", 1, None, "60.0"), ("m_food", 1, None, "1.38"),
                ("T_start", 1, None, "21.6"), ("T_end", 1, None, "49.3"), ("m_rest", 1, None, "0.31")]  # fmt: skip
        bench = Bench("food-calorimetry", options, read)
        order = ["own.q", "own.E", "own.e_t", "own.E_piece", "own.w"]
        self.assertEqual(bench.order(*reversed(order)), order)
        first = {q.key: q.value for q in bench.report.trials[0].quantities}
        self.assertAlmostEqual(first["q"], 60 * 4.184 * 27.7, delta=1)
        self.assertAlmostEqual(first["e_t"], 60 * 4.184 * 27.7 / 4184 / 1.07, 3)

    @practice(WAYS[12])
    def test_each_piece_has_a_rest_or_none(self) -> None:
        """One burned to its end, 1.38 g; of the other 0.27 g are left of 1.33 g."""
        example = from_example("food-calorimetry", {})
        read = [(*given[:3], "0.00") if given[:2] == ("m_rest", 1) else given for given in example]
        bench = Bench("food-calorimetry", {}, read)
        burned = [next(q.value for q in t.quantities if q.key == "m") for t in bench.report.trials]
        self.assertEqual([round(m, 2) for m in burned], [1.38, 1.06])

    @practice(WAYS[13])
    def test_pairs_and_leads_as_the_instructor_says(self) -> None:
        """Red at zinc, black at copper: −1.104 V by the standard potentials; silver against zinc is not measured."""
        options = {"cells": "Zn/Cu; Ag/Cu", "halves": "no", "own_asked": "later"}
        read: list[Read] = [("E", 1, None, "-1.072"), ("E", 2, None, "0.421")]
        bench = Bench("voltaic-cells", options, read)
        self.assertEqual(bench.report.hand.kind, "finished")
        self.assertEqual([step.title for step in bench.report.steps if step.key == "read"],
                         ["Red to zinc, black to copper", "Red to silver, black to copper"])  # fmt: skip
        self.assertAlmostEqual(bench.value("d", 1), (1.072 / 1.1037 - 1) * 100, 0)
        self.assertNotIn("has the other sign", said(bench))
        turned = Bench("voltaic-cells", options, [("E", 1, None, "1.072"), ("E", 2, None, "0.421")])
        self.assertIn("has the other sign", said(turned))
        needed = solutions([(bind(method("voltaic-cells"), Sheet(options)), 4)])
        self.assertEqual(len(needed), 3, [solution.title for solution in needed])
        for wrong in ("Zn/Cu; Cu/Zn", "Zn/Zn", "Zn/Cu; Ag", "Zn/Xx", "Zn/Cu/Ag", "/"):
            with self.subTest(wrong), self.assertRaises(SheetError):
                bind(method("voltaic-cells"), Sheet({"cells": wrong}))

    @practice(WAYS[14])
    def test_both_ions_are_varied(self) -> None:
        """Silver against copper, E = 0.458 − (RT/2F) · ln([Cu²⁺]/[Ag⁺]²) at 22.4 °C; two cells dilute each ion."""
        plus, minus = (1.0, 0.1, 1.0, 0.1), (1.0, 1.0, 0.1, 0.01)
        options = {"cell": "CuAg", "varied": "both", "c_plan": "1; 0.1; 1; 0.1", "c_other": "1; 1; 0.1; 0.01"}
        slope = R * 295.55 / (2 * F) * 2.302585093
        read: list[Read] = [("T", None, None, "22.4")]
        read += [
            ("E", n, None, f"{458 - 1000 * slope * log10(m / p**2):.1f}")
            for n, (p, m) in enumerate(zip(plus, minus, strict=True), 1)
        ]
        bench = Bench("nernst", options, read, {"voltmeter": "voltmeter-0.1mv"})
        self.assertAlmostEqual(bench.value("slope"), -slope * 1000, 1)
        self.assertAlmostEqual(bench.value("E_0"), 0.458, 3)
        self.assertIn("Half-cells with 0.1 mol/L and 0.01 mol/L", [step.title for step in bench.report.steps])
        with self.assertRaisesRegex(SheetError, "has 3 values and “Concentrations” has 4"):
            bind(method("nernst"), Sheet({**options, "c_other": "1; 1; 0.1"}))
        alone = bind(method("nernst"), Sheet({"c_plan": "1; 0.1; 0.01"}))  # who varies one is not asked for the other
        self.assertEqual(alone.planned, 3)

    @practice(WAYS[15])
    def test_a_mark_made_by_hand_has_no_limit_and_is_made_first(self) -> None:
        options = {"pipette_is": "marked", "density": "simple", "V_plan": "1.00", "deliveries": "10"}
        masses = ("0.85", "0.98", "0.87", "0.96", "0.99", "0.85", "0.97", "0.86", "0.98", "0.96")
        read: list[Read] = [("V_set", 1, None, "1.00")] + [("m_d", 1, n, m) for n, m in enumerate(masses, 1)]
        tools = {"pipette": "hand-marked-3", "balance": "balance-0.01"}
        bench = Bench("volumetric-calibration", options, read, tools)
        self.assertNotIn("is more than", said(bench))
        self.assertIn("step.mark", [entry.key for entry in bench.entries])
        begun = Bench("volumetric-calibration", options, [], tools).report.hand
        self.assertEqual((begun.key, begun.lead), ("V_set", "Draw to your mark for 1.00 mL,"))
        adjustable = Bench("volumetric-calibration", {**options, "pipette_is": "adjustable"}, read, tools)
        self.assertIn("is more than 0.015 mL", said(adjustable))

    @practice(WAYS[16])
    def test_thermostats_hold_some_temperatures_and_benches_make_the_others(self) -> None:
        """Two benches, two thermostats at 40 and 60 with one place each, 12 minutes a turn: each is at both within 24;
        room temperature and 70 °C wait for nobody and come after.
        """
        plan = {"T_plan": "22; 40; 60; 70", "T_fixed": "40.0; 60", "bath_is": "mixed", "baths": "2", "bath_places": "1"}
        bound = bind(method("rate-temperature"), Sheet(plan))
        problem = problem_of(bound, 2)
        [equipment] = problem.equipment
        self.assertEqual((equipment.values, equipment.own, equipment.free), (("40", "60"), ("22", "70"), None))
        told = drawn(problem, solved_at_once(problem))
        self.assertEqual((told.minutes, told.least), (24, 24))
        self.assertIn("sees to 22 °C and 70 °C itself", told.sentence)
        self.assertEqual(
            sorted(order.values for order in told.orders), [["40", "60", "22", "70"], ["60", "40", "22", "70"]]
        )
        for benches in (3, 8):  # who has to wait works meanwhile at what nobody shares
            problem = problem_of(bound, benches)
            for own in orders_of(problem, solved_at_once(problem).placed).values():
                self.assertEqual(sorted(own["T_plan"].split("; ")), ["22", "40", "60", "70"])
        last = max(solved_at_once(problem).placed, key=lambda turn: turn.start)
        self.assertEqual(orders_of(problem, solved_at_once(problem).placed)[last.bench]["T_plan"][:2], "22")
        none = bind(method("rate-temperature"), Sheet({**plan, "T_fixed": "50"}))
        self.assertEqual(problem_of(none, 2).equipment, ())

    @practice(WAYS[17])
    def test_how_much_salt_was_given_out(self) -> None:
        """28.25 mL of 0.016667 mol/L take 2.8251 mmol of iron(II), 0.7854 g of the heptahydrate (278.01 g/mol)."""
        options = {"asks": "mass", "trials": "1", "until": "volume", "V_to": "40"}
        read: list[Read] = []
        for n in range(81):
            v = 0.5 * n
            e = 460 + 25 * (v - 28.25) / 28.25 + (400 if v > 28.25 else 0) - (120 / (1 + 2 * v))
            read += [("V", 1, n + 1, f"{v:.2f}"), ("E", 1, n + 1, f"{e:.1f}")]
        bench = Bench("potentiometric-titration", options, read, {"voltmeter": "voltmeter-0.1mv"})
        self.assertNotIn("m_before", [entry.key for entry in bench.entries])
        [result_out] = [result for result in bench.report.results if result.key == "m_mean"]
        self.assertEqual(result_out.unit, "g")
        self.assertAlmostEqual(result_out.value, 6 * 0.016667 * 28.25 / 1000 * 278.01, delta=0.008)

    @practice(WAYS[18])
    def test_crucibles_that_disagree_ask_for_a_third(self) -> None:
        """36.1 % of water beside 33.0 %: 3.1 apart, and one is allowed; the third agrees with the first."""
        portions = {
            1: ("31.482", "34.556", "33.447"),
            2: ("30.100", "33.100", "32.110"),
            3: ("31.500", "34.500", "33.420"),
        }
        read: list[Read] = []
        for trial, (empty, before, after) in portions.items():
            read += [("m_crucible", trial, None, empty), ("m_before", trial, None, before)]
            read += [("m_heated", trial, 1, after), ("m_heated", trial, 2, after)]
        bench = Bench("hydrate", {"trials": "third"}, read)
        self.assertEqual(len(bench.report.trials), 3)
        self.assertEqual(bench.report.hand.kind, "finished")
        self.assertAlmostEqual(bench.value("w"), ((1.109 / 3.074) + (1.080 / 3.000)) / 2 * 100, 1)
        self.assertIn("own.x", [entry.key for entry in bench.entries])

    @practice(WAYS[19])
    def test_a_column_is_packed_and_shown_to_be_acid_before_it_is_used(self) -> None:
        options = {"packed": "bench", "c_t": "0.0502"}
        bench = Bench("ion-exchange-titration", options, from_example("ion-exchange-titration", {}))
        self.assertEqual(bench.order("V_a", "first_drops", "step.pack"), ["step.pack", "first_drops", "V_a"])
        for seconds, fast in (("5", True), ("8", False)):
            counted = replace(bench.sheet, given=(*bench.sheet.given, Given("t_drops", seconds, 1)))
            findings = evaluate(method("ion-exchange-titration"), counted).findings
            self.assertEqual(any("more than three a second" in finding.what for finding in findings), fast)
