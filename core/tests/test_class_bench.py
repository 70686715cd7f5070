"""Made-up benches: their truth is the one that was asked for, and a class of them behaves as classes do."""

from dataclasses import replace
from unittest import TestCase

from chromata_core.methods.registry import method, methods
from chromata_core.quantity.given import read_in
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.sheet.example import example_as_planned
from chromata_core.simulation.class_bench import Timed, bench_at_work
from chromata_core.simulation.true_bench import true_bench
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.outcome import Evaluation


def plan_of(slug: str) -> Sheet:
    example = method(slug).example
    return Sheet(example.options, example.instruments)


class TrueBench(TestCase):
    def test_its_results_are_those_that_were_asked_for(self) -> None:
        """A tenth more than the example, wherever one response decides; other portions lead there as well."""
        asked = {
            "acid-base-titration": ("c_s", 0.258), "back-titration": ("q_mean", 11.4),
            "standardisation": ("c_mean", 0.11),
            "ion-exchange-titration": ("M_mean", 295.0), "hydrate": ("w", 39.6), "precipitate-yield": ("w", 72.0),
            "alloy-by-gas": ("w_Al", 10.2), "gas-eudometer": ("R_mean", 9.1), "food-calorimetry": ("e", 1.69),
            "heat-of-fusion": ("H", 6.65), "heat-of-reaction": ("H", -63.0), "beer-lambert": ("c", 0.028),
            "coulometry-iodine": ("z", 11.2), "metal-in-alloy": ("w", 68.0), "potentiometric-titration": ("w", 107.9),
        }  # fmt: skip
        for slug, (key, true) in asked.items():
            for seed in (1, 2):
                with self.subTest(method=slug, seed=seed):
                    sheet = true_bench(method(slug), plan_of(slug), {key: str(true)}, seed)
                    result_out = next(
                        result_out for result_out in evaluate(method(slug), sheet).results if result_out.key == key
                    )
                    self.assertAlmostEqual(result_out.value / true, 1.0, delta=2e-4)

    def test_an_accepted_value_is_in_the_declared_unit_whatever_the_class_s(self) -> None:
        """2 kcal/g are 8.368 kJ/g (thermochemical calorie, 4.184 J)."""
        plan = Sheet({"energies": "kJ"})
        evaluation = evaluate(method("food-calorimetry"), true_bench(method("food-calorimetry"), plan, {"e": "2.0"}, 1))
        self.assertAlmostEqual(evaluation.results[0].value, 8.368, places=3)

    def test_portions_differ_from_bench_to_bench_and_the_air_does_not(self) -> None:
        sheets = [true_bench(method("gas-eudometer"), plan_of("gas-eudometer"), {}, seed, 7) for seed in range(5)]
        texts = [{given.key: given.text for given in sheet.given if given.trial in (None, 1)} for sheet in sheets]
        self.assertEqual(len({text["m"] for text in texts}), 5)
        self.assertEqual(len({text["p_bar"] for text in texts}), 1)

    def test_a_truth_that_no_instrument_could_show_leaves_a_bench_as_it_was(self) -> None:
        """0.9 mol/L would take 70 mL from a burette of 50: its readings still fit each other."""
        sheet = true_bench(method("acid-base-titration"), plan_of("acid-base-titration"), {"c_s": "0.9"}, 1)
        self.assertTrue(evaluate(method("acid-base-titration"), sheet).results)


class ClassAtWork(TestCase):
    def test_every_method_is_played_to_its_end_and_everything_can_be_kept(self) -> None:
        for slug, declared in methods().items():
            with self.subTest(method=slug):
                acts = bench_at_work(declared, plan_of(slug), {}, 1, 5, 120)
                times = [act.after for act in acts]
                self.assertEqual(times, sorted(times))
                evaluation = written(slug, acts)
                self.assertEqual(evaluation.hand.kind, "finished")
                self.assertNotIn("too-many-digits", [finding.code for finding in evaluation.findings])

    def test_the_same_seed_writes_the_same(self) -> None:
        plan, declared = plan_of("standardisation"), method("standardisation")
        self.assertEqual(*(bench_at_work(declared, plan, {}, 9, 2, 120) for _ in range(2)))

    def test_most_find_the_truth_some_do_not_and_some_are_slow(self) -> None:
        """Of 40 benches at least half hold the example's value, and at least one of each trouble comes up."""
        slug, declared = "acid-base-titration", method("acid-base-titration")
        plan = plan_of(slug)
        true = evaluate(declared, true_bench(declared, plan, {}, 1)).results[0].value
        room = [bench_at_work(declared, plan, {}, seed, 3, 100) for seed in range(40)]
        states = [written(slug, acts) for acts in room]
        near = [abs(state.results[0].value - true) <= state.results[0].expanded for state in states]
        self.assertTrue(20 <= sum(near) < 40)
        self.assertTrue(any(acts[-1].after > 100 * 60 for acts in room))
        self.assertTrue(any(act.why for acts in room for act in acts))
        self.assertTrue(any(act.written.key == "call" for acts in room for act in acts))
        wrong = [own for state in states for own in state.own if own.kind == "slip"]
        self.assertTrue(wrong)


def written(slug: str, acts: list[Timed]) -> Evaluation:
    """What the core says of all that was written, corrections taken over."""
    last = {(a.written.key, a.written.trial, a.written.index): a.written for a in acts if a.written.key != "call"}
    given = tuple(Given(value.key, value.text, value.trial, value.index) for value in last.values())
    sheet = replace(plan_of(slug), given=given)
    return evaluate(method(slug), sheet)


class OtherInstruments(TestCase):
    def test_the_example_is_read_in_the_unit_of_the_instrument_that_was_chosen(self) -> None:
        """1.0990 V are 1099 mV, 1006 hPa are 754.6 mmHg: results and forecasts do not depend on it."""
        for slug, role, tool in (
            ("nernst", "voltmeter", "voltmeter-1mv"), ("voltaic-cells", "voltmeter", "multimeter-2000mv"),
            ("potentiometric-titration", "voltmeter", "voltmeter-v"), ("gas-eudometer", "barometer", "barometer-mmhg"),
        ):  # fmt: skip
            with self.subTest(method=slug, tool=tool):
                plan = plan_of(slug)
                other = replace(plan, instruments={**plan.instruments, role: tool})
                states = [
                    evaluate(method(slug), example_as_planned(bind(method(slug), sheet), sheet)).results[0].value
                    for sheet in (plan, other)
                ]
                self.assertAlmostEqual(states[1] / states[0], 1.0, delta=0.005)


class AsPlanned(TestCase):
    """Another plan than the example's: what is read follows it, and what was the example's own stays in proportion."""

    def results(self, slug: str, options: dict[str, str]) -> dict[tuple[str, int | None], float]:
        declared = method(slug)
        sheet = true_bench(
            declared, Sheet({**declared.example.options, **options}, declared.example.instruments), {}, 3
        )
        report = evaluate(declared, sheet)
        self.assertEqual([finding.what for finding in report.findings if "decimals than" not in finding.what], [])
        return {(result.key, result.trial): result.value for result in report.results}

    def test_pairs_and_poles_are_those_of_the_plan(self) -> None:
        """Zinc against copper is negative, 1.104 V by the usual table (from memory), and the example lies 8 % below."""
        results = self.results("voltaic-cells", {"cells": "Zn/Cu; Ag/Cu"})
        self.assertAlmostEqual(results["E_cell", 1], -1.104 * 0.421 / 0.458, delta=0.01)
        self.assertGreater(results["E_cell", 2], 0)

    def test_concentrations_follow_nernst(self) -> None:
        """59.2 mV / 2 a decade at 25 °C; at 22.4 °C 29.3, for the five that are planned as for the example's four."""
        results = self.results("nernst", {"c_plan": "0.5; 0.05; 0.005; 0.0005; 0.00005"})
        self.assertAlmostEqual(results["slope", None], -29.3, delta=0.6)
        both = {"cell": "CuAg", "varied": "both", "c_plan": "1; 0.1; 1; 0.1", "c_other": "1; 1; 0.1; 0.01"}
        self.assertAlmostEqual(self.results("nernst", both)["z_found", None], 2, delta=0.1)

    def test_portions_volumes_and_temperatures_are_those_of_the_plan(self) -> None:
        portions = self.results("molarity-series", {"m_plan": "3.00; 9.00; 30.00"})
        self.assertAlmostEqual(portions["ratio", None], 10, delta=1.5)  # a portion is never just the planned one
        volumes = self.results("volumetric-calibration", {"V_plan": "1.00; 2.00; 4.00; 5.00"})
        self.assertTrue(all(abs(volumes["error_r", n]) < 1 for n in (1, 2, 3, 4)), volumes)
        warm = self.results("rate-temperature", {"T_plan": "15; 30; 45"})
        self.assertAlmostEqual(warm["E_a", None], 43.5, delta=1.5)
        thin = self.results("rate-concentration", {"V_plan": "9; 6; 3; 2"})
        self.assertAlmostEqual(thin["order", None], 1, delta=0.1)

    def test_a_plan_that_no_instrument_shows_leaves_the_example(self) -> None:
        """Five kilograms on a balance for 200 g."""
        plan = Sheet({"m_plan": "5000; 5000; 5000"}, {"balance": "balance-0.001"})
        sheet = true_bench(method("molarity-series"), plan, {}, 1)
        self.assertTrue(all(float(given.text) < 100 for given in sheet.given if given.key == "m"))

    def test_an_answer_with_a_slip_keeps_its_power_and_its_unit(self) -> None:
        """Joules for a mole are some thousand, with any slip too."""
        plan = Sheet({"heats": "J", "trials": "1"})
        benches = [bench_at_work(method("heat-of-fusion"), plan, {}, seed, 3, 170) for seed in range(12)]
        told = [act.written.text for acts in benches for act in acts if act.written.key == "own.H"]
        values = [read_in(text, "J/mol").value for text in told]
        self.assertGreater(len(values), 8)
        self.assertTrue(all(2000 < value < 20000 for value in values), told)
