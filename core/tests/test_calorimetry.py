"""Heat in a cup: enthalpies from tables come back from cups that were simulated or worked by hand."""

import csv
from pathlib import Path
from unittest import TestCase

import chemicals
import numpy as np
from chemicals import Hfl, Hfus

from chromata_core.methods.registry import method
from chromata_core.planning.predict import predict
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.simulation.cup_bench import melt, mix
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.judge import judge
from chromata_core.telling.outcome import Evaluation
from tests.outside import outside

ICE, FOOD, REACTION = method("heat-of-fusion"), method("food-calorimetry"), method("heat-of-reaction")


def results(outcome: Evaluation) -> dict[str, float]:
    return {result.key: result.value for result in outcome.results}


class HeatOfFusion(TestCase):
    @outside("heat-of-fusion", by="library chemicals: enthalpy of fusion of water")
    def test_an_ideal_cup_gives_the_tabulated_value_back(self) -> None:
        """Enthalpy of fusion of water by the library chemicals: 6010 J/mol. 240 g at 25.0 °C, 40 g of ice, no cup."""
        molar = Hfus("7732-18-5")
        end = (240 * 4.184 * 25.0 - 40 * molar / 18.015) / (280 * 4.184)
        texts = {"m_w": "240.00", "T_start": "25.0", "T_end": f"{end:.1f}", "ice": "melted", "m_all": "280.00"}
        given = tuple(Given(key, text, n) for n in (1, 2) for key, text in texts.items())
        values = results(evaluate(ICE, Sheet({"cup": "neglected"}, {}, given)))
        self.assertAlmostEqual(values["H"], molar / 1000, delta=0.03)  # the end is rounded to 0.1 °C
        self.assertGreater(values["simple"], values["H"] + 0.5)

    def test_what_the_simple_balance_adds_is_the_warming_of_the_melt_water(self) -> None:
        """The difference is M·c·(T₂ − 0 °C) and nothing else, where no cup is counted."""
        texts = {"m_w": "240.00", "T_start": "25.0", "T_end": "10.0", "ice": "melted", "m_all": "281.00"}
        given = tuple(Given(key, text, n) for n in (1, 2) for key, text in texts.items())
        values = results(evaluate(ICE, Sheet({"cup": "neglected"}, {}, given)))
        self.assertAlmostEqual(values["simple"] - values["H"], 18.015 * 4.184 * 10.0 / 1000, places=4)

    def test_water_at_the_freezing_point_is_void(self) -> None:
        texts = {"m_w": "240.00", "T_start": "25.0", "T_end": "0.0", "ice": "melted", "m_all": "320.00"}
        outcome = evaluate(ICE, Sheet({}, {}, tuple(Given(key, text, 1) for key, text in texts.items())))
        self.assertEqual(outcome.trials[0].state, "void")
        self.assertIn("less ice", outcome.trials[0].why)

    def test_the_plan_foretells_the_end(self) -> None:
        """240 g at 24 °C with 40 g of ice: 9.2 °C by hand, and at most 72 g would melt."""
        targets = {t.label: t.text for t in predict(ICE, Sheet()).supplies.targets}
        end = (240 * 4.184 * 24 - 40 * 6010 / 18.015) / (280 * 4.184)
        self.assertAlmostEqual(float(targets["Predicted end temperature"].split()[0]), end, delta=0.01)
        self.assertAlmostEqual(
            float(targets["Most ice that so much water melts"].split()[0]), 240 * 4.184 * 24 * 18.015 / 6010, delta=0.1
        )

    def test_a_simulated_cup(self) -> None:
        """The ice's enthalpy put in comes out of the trace within the stated interval, 18 times of 20."""
        held = 0
        for seed in range(20):
            given = tuple(
                Given(w.key, w.text, w.trial, w.index) for n in (1, 2) for w in melt(6.007, 100 * n + seed, trial=n)
            )
            outcome = evaluate(ICE, Sheet({"peak": "trace"}, {}, given))
            result_out = next(r for r in outcome.results if r.key == "H")
            held += abs(result_out.value - 6.007) <= result_out.expanded + 0.05  # the room adds a little while it melts
        self.assertGreaterEqual(held, 18)


class Food(TestCase):
    def cup(self, **changed: str) -> Evaluation:
        texts = {
            "V_w": "50.0",
            "m_food": "1.45",
            "T_start": "24.9",
            "T_end": "51.0",
            "fell": "stayed",
            "m_rest": "0.40",
        } | changed
        given = (Given("m_several", "10.00"), *(Given(key, text, n) for n in (1, 2) for key, text in texts.items()))
        return evaluate(FOOD, Sheet({"E_label": "170", "N_label": "35", "N_several": "10"}, {}, given))

    @outside("food-calorimetry", by="common practice, no published source")
    def test_the_usual_check(self) -> None:
        """50 g from 24.9 to 51.0 °C: 5460 J = 1.305 kcal, over 1.05 g 1.243 kcal/g; 170 kcal in 35 pieces 4.86 each.

        Common practice, no published source.
        """
        outcome = self.cup()
        values = {q.key: q.value for q in (*outcome.trials[0].quantities, *outcome.quantities)}
        self.assertAlmostEqual(values["q"], 5460, delta=1)
        self.assertAlmostEqual(values["E"], 1.305, delta=5e-4)
        self.assertAlmostEqual(values["E_short"], 1.305, delta=5e-4)
        self.assertAlmostEqual(results(outcome)["e"], 1.243, delta=5e-4)
        self.assertAlmostEqual(values["E_said"], 4.857, delta=5e-4)

    def test_a_mole_of_pieces_is_exothermic(self) -> None:
        """1.243 kcal a piece of 1 g is 5.2 kJ; times Avogadro 3.13 × 10²⁴ kJ/mol, negative."""
        self.assertAlmostEqual(results(self.cup())["H"] / -3.132e24, 1, delta=2e-3)

    def test_more_than_the_label_is_questioned(self) -> None:
        self.assertIn("w-range", {f.code for f in self.cup(m_food="0.55").findings})

    def test_a_piece_that_fell_is_void(self) -> None:
        self.assertEqual(self.cup(fell="fell").trials[0].state, "void")


class HeatOfReaction(TestCase):
    @outside("heat-of-reaction", by="library chemicals: enthalpies of formation (CRC)")
    def test_water_from_its_ions(self) -> None:
        """ΔfH°(H₂O, l) − ΔfH°(OH⁻, aq) by the tables that the library chemicals ships (water; CRC, aqueous ions)."""
        folder = Path(chemicals.__file__).parent / "Electrolytes"
        with (folder / "CRC Thermodynamic Properties of Aqueous Ions.tsv").open(encoding="utf-8") as file:
            hydroxide = next(row for row in csv.DictReader(file, delimiter="\t") if row["Formula"] == "OH-")
        molar = (Hfl("7732-18-5") - float(hydroxide["Hf(aq)"])) / 1000
        default = next(o.default for o in REACTION.options if o.key == "H_lit")
        self.assertAlmostEqual(float(default), molar, delta=0.1)

    def test_the_enthalpy_put_into_a_cup_comes_out(self) -> None:
        """A cup that loses heat to the room: drawn back to mixing the value holds, the highest reading falls short."""
        drawn, highest, inside = [], [], 0
        for seed in range(12):
            given = tuple(
                Given(w.key, w.text, w.trial, w.index) for n in (1, 2) for w in mix(-55.8, 10 * seed + n, trial=n)
            )
            heats = {p: evaluate(REACTION, Sheet({"peak": p}, {}, given)).results[0] for p in ("extrapolated", "trace")}
            inside += abs(heats["extrapolated"].value + 55.8) <= heats["extrapolated"].expanded
            drawn.append(heats["extrapolated"].value)
            highest.append(heats["trace"].value)
        self.assertGreaterEqual(inside, 11)
        self.assertAlmostEqual(float(np.mean(drawn)), -55.8, delta=0.6)
        self.assertGreater(float(np.mean(highest)), float(np.mean(drawn)) + 0.3)

    def test_the_lesser_amount_counts(self) -> None:
        texts = {"V_a": "50.00", "V_b": "50.00", "T_b": "21.0", "T_start": "21.0", "T_end": "27.0", "mixed": "all"}
        for base, amount in (("1.100", 50.0), ("0.900", 45.0)):
            given = tuple(Given(key, text, 1) for key, text in texts.items())
            outcome = evaluate(REACTION, Sheet({"peak": "reading", "c_b": base}, {}, given))
            n = next(q.value for q in outcome.trials[0].quantities if q.key == "n")
            self.assertAlmostEqual(n * 1000, amount, places=6)

    def test_cooling_means_a_positive_enthalpy(self) -> None:
        """5.06 g of potassium nitrate (101.1 g/mol) in 100 g of water, 4.0 K colder: +35 kJ/mol; handbook 34.9."""
        texts = {"m_w": "100.00", "m_s": "5.06", "T_start": "22.0", "T_end": "18.1", "mixed": "all"}
        options = {"process": "dissolution", "M_s": "KNO3", "peak": "reading", "cup": "neglected"}
        outcome = evaluate(REACTION, Sheet(options, {}, tuple(Given(key, text, 1) for key, text in texts.items())))
        self.assertAlmostEqual(outcome.results[0].value, 105.06 * 4.184 * 3.9 / (5.06 / 101.10) / 1000, delta=0.02)
        self.assertFalse([f for f in outcome.findings if f.code == "H_t-sign"])

    def test_a_wrong_sign_is_stopped(self) -> None:
        texts = {"V_a": "50.00", "V_b": "50.00", "T_b": "27.0", "T_start": "27.0", "T_end": "21.0", "mixed": "all"}
        outcome = evaluate(
            REACTION, Sheet({"peak": "reading"}, {}, tuple(Given(key, text, 1) for key, text in texts.items()))
        )
        self.assertEqual(next(f.level for f in outcome.findings if f.code == "H_t-sign"), "stop")


class IceWeighedFirst(TestCase):
    """240.00 g of water at 24.0 °C: 240 · 4.184 · 24.0 = 24 100 J; 40.00 g of ice take 40.00 · 6010/18.015 = 13 345 J,
    and what is left warms 280 g by 9.18 K (by hand; c = 4.184 J/(g·K), 6.01 kJ/mol as planned).
    """

    def told(self, ice: str) -> str:
        warm = (Given("m_w", "240.00", 1), Given("T_start", "24.0", 1))
        verdict = judge(method("heat-of-fusion"), Sheet({"ice_by": "before"}, {}, warm), Given("m_in", ice, 1))
        return f"{verdict.level}: {verdict.text}"

    def test_the_end_is_foretold_while_the_mass_is_typed(self) -> None:
        self.assertIn("keep: The water should end at about 9.18 °C", self.told("40.00"))
        self.assertIn("5.5", self.told("52.00"))

    def test_more_than_the_water_melts_is_stopped_before_it_goes_in(self) -> None:
        self.assertIn("stop: ", self.told("73.00"))  # 24 100 J melt 72.2 g at most
        self.assertIn("before it goes in", self.told("73.00"))

    def test_the_result_is_that_of_the_mass_on_the_boat(self) -> None:
        ice = method("heat-of-fusion")
        after = evaluate(ice, example_sheet(ice))
        before = evaluate(ice, example_sheet(ice, {**ice.example.options, "ice_by": "before"}))
        self.assertEqual([round(r.value, 9) for r in after.results], [round(r.value, 9) for r in before.results])
        self.assertNotIn("m_all", {task.key for task in before.tasks})
