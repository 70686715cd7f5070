"""Gases over water beside constants of nature, steam tables and the arithmetic of two metals."""

from collections.abc import Mapping
from unittest import TestCase

from CoolProp.CoolProp import PropsSI
from scipy import constants

from chromata_core.chemistry.molar_mass import molar_mass
from chromata_core.engine.context import context_of
from chromata_core.methods.registry import method
from chromata_core.planning.supplies import supplies
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.judge import judge
from chromata_core.telling.outcome import Evaluation
from tests.outside import outside

TUBE, ALLOY = method("gas-eudometer"), method("alloy-by-gas")
MG = molar_mass("Mg").value * 1000


def tube(options: dict[str, str], trials: int = 2, **readings: str) -> Evaluation:
    """Two trials alike in a tube; ``p_bar`` is the bench's."""
    seen = {"bubble": "none", "end": "gone"}
    given = [Given("p_bar", readings.pop("p_bar"))]
    given += [Given(key, text, n) for n in range(1, trials + 1) for key, text in {**readings, **seen}.items()]
    return evaluate(TUBE, Sheet(options, {}, tuple(given)))


def quantity(outcome: Evaluation, key: str) -> float:
    return next(q.value for q in outcome.trials[0].quantities if q.key == key)


class OneApparatusFourQuestions(TestCase):
    """45.23 mL at 22 °C under 998.5 hPa: 1.7915820 mmol of dry gas, by IAPWS-95 and CODATA (CoolProp, scipy)."""

    air, volume, celsius = 99850.0, 45.23e-6, 22.0
    dry = air - PropsSI("P", "T", 273.15 + celsius, "Q", 0, "Water")
    amount = dry * volume / (constants.R * (273.15 + celsius))
    read: Mapping[str, str] = {"p_bar": "998.5", "V": "45.23", "T": "22.0"}

    def test_the_anchor_itself(self) -> None:
        self.assertAlmostEqual(self.amount * 1e3, 1.7915820, places=6)

    def test_the_gas_constant(self) -> None:
        """A ribbon of exactly that amount gives R back, but for rounding its mass to 0.1 mg."""
        grams = self.amount * MG
        outcome = tube({"question": "R"}, m=f"{grams:.4f}", **self.read)
        self.assertAlmostEqual(outcome.results[0].value, constants.R * grams / round(grams, 4), delta=2e-4)
        comparison = outcome.results[0].comparison
        assert comparison is not None
        self.assertEqual(comparison.accepted, "8.3145")

    @outside("gas-eudometer", by="IAPWS-95 (CoolProp) and CODATA (scipy)")
    def test_the_molar_volume_in_each_school(self) -> None:
        """22.413970, 22.710955 and 24.465404 L/mol: CODATA by scipy."""
        grams = self.amount * MG
        for school, pressure, kelvin in (
            ("atm", constants.atm, 273.15),
            ("bar", 1e5, 273.15),
            ("room", constants.atm, 298.15),
        ):
            outcome = tube({"question": "V_m", "conditions": school}, m=f"{grams:.4f}", **self.read)
            expected = constants.R * kelvin / pressure * 1e3
            with self.subTest(school):
                self.assertAlmostEqual(outcome.results[0].value, expected * grams / round(grams, 4), delta=1e-3)
                comparison = outcome.results[0].comparison
                assert comparison is not None
                self.assertAlmostEqual(float(comparison.accepted), expected, delta=1e-3)

    def test_the_mass_and_the_molar_mass(self) -> None:
        mass = tube({"question": "m"}, L="40.0", **self.read)
        values = {result.key: result.value for result in mass.results}
        self.assertAlmostEqual(values["m_found"], self.amount * MG * 1e3, delta=5e-3)
        self.assertAlmostEqual(values["lambda_mean"], self.amount * MG / 0.040, delta=2e-4)
        molar = tube({"question": "M"}, m="0.0435", **self.read)
        self.assertAlmostEqual(molar.results[0].value, 0.0435 / self.amount, delta=2e-3)

    def test_a_length_stands_for_a_mass(self) -> None:
        outcome = tube({"question": "R", "metal_by": "length", "m_per_m": "1.0886"}, L="40.0", **self.read)
        self.assertAlmostEqual(quantity(outcome, "m_metal"), 0.043544, places=6)


class WhatPresses(TestCase):
    def test_thirteen_point_six_of_water_are_one_of_mercury(self) -> None:
        """A column of 136 mm takes off about 10.0 mmHg: density of water (IAPWS) and of mercury, standard gravity."""
        outcome = tube({"levels": "column"}, m="0.0350", h="136.0", p_bar="1000.0", V="40.00", T="22.0")
        density = PropsSI("D", "T", 295.15, "P", 101325, "Water")
        self.assertAlmostEqual(quantity(outcome, "p_col"), density * 9.80665 * 0.136 / 1000, places=5)
        self.assertAlmostEqual(quantity(outcome, "p_col") / 0.133322, 10.0, delta=0.03)

    def test_the_vapour_pressure_is_looked_up(self) -> None:
        """IAPWS-95 by CoolProp, within 1e-4, at each temperature a bench may have."""
        for celsius in (15, 20, 25, 30):
            outcome = tube({}, m="0.0350", p_bar="1000.0", V="40.00", T=f"{celsius}.0")
            peer = PropsSI("P", "T", 273.15 + celsius, "Q", 0, "Water") / 1000
            self.assertAlmostEqual(quantity(outcome, "p_w") / peer, 1, delta=1e-4)

    def test_any_barometer_and_any_unit_say_the_same(self) -> None:
        """750.0 mmHg = 75.00 cmHg = 99.992 kPa, conventional millimetre of mercury."""
        masses = {}
        for tool, text in (
            ("barometer-mmhg", "750.0"), ("barometer-cmhg", "75.00"), ("pressure-kpa", "99.99"),
            ("pressure-hpa", "750.0 mmHg"),
        ):  # fmt: skip
            given = (Given("p_bar", text),)
            masses[tool] = context_of(TUBE, Sheet({}, {"barometer": tool}, given)).value("p_air", None) or 0.0
        for value in masses.values():
            self.assertAlmostEqual(value, 750 * 0.133322387415, delta=3e-3)

    def test_a_weather_report_is_brought_up_to_the_altitude(self) -> None:
        """1013 hPa at sea level is 954.4 hPa at 500 m (ISO 2533 table, from memory: 954.61 of 1013.25)."""
        given = (Given("p_bar", "1013"),)
        options = {"p_source": "report", "altitude": "500"}
        outcome = evaluate(TUBE, Sheet(options, {"barometer": "weather-report"}, given))
        self.assertAlmostEqual(outcome.quantities[0].value, 95.461 * 1013 / 1013.25, delta=0.01)


class BeforeTheMetalGoesIn(TestCase):
    def test_too_much_metal_is_told_while_it_is_weighed(self) -> None:
        """0.046 g of magnesium give about 47 mL at 22 °C and 1000 hPa; 0.049 g run past 50 mL."""
        bench = Sheet({}, {}, (Given("p_bar", "1000.0"),))
        verdict = judge(TUBE, bench, Given("m", "0.0490", 1))
        self.assertEqual(verdict.level, "stop")
        self.assertIn("more than 50 mL", verdict.text)
        self.assertEqual(judge(TUBE, bench, Given("m", "0.0350", 1)).level, "keep")

    def test_too_long_a_ribbon_is_told_while_it_is_measured(self) -> None:
        """Four centimetres at most for a 50 mL tube; common practice, no published source."""
        bench = Sheet({"question": "m"}, {}, (Given("p_bar", "1000.0"),))
        verdict = judge(TUBE, bench, Given("L", "46.0", 1))
        self.assertEqual(verdict.level, "look")
        self.assertIn("more than 40 mm", verdict.text)
        self.assertEqual(judge(TUBE, bench, Given("L", "38.0", 1)).level, "keep")

    def test_the_expected_volume_is_the_ideal_gas_s(self) -> None:
        outcome = tube({}, m="0.0350", p_bar="1000.0", V="36.00", T="22.0")
        vapour = PropsSI("P", "T", 295.15, "Q", 0, "Water")
        self.assertAlmostEqual(
            quantity(outcome, "V_pred"), 0.0350 / MG * constants.R * 295.15 / (1e5 - vapour) * 1e6, delta=0.01
        )


class Alloy(TestCase):
    @outside("alloy-by-gas", by="stoichiometry with CIAAW atomic weights")
    def test_a_mixture_put_in_comes_out(self) -> None:
        """0.4500 g with 20 % aluminium, by stoichiometry: both masses back within the rounding of the readings."""
        zinc, aluminium = 0.36, 0.09
        amount = zinc / molar_mass("Zn").value / 1e3 + 1.5 * aluminium / molar_mass("Al").value / 1e3
        pressure = 1e5 - PropsSI("P", "T", 294.15, "Q", 0, "Water")
        volume = amount * constants.R * 294.15 / pressure * 1e6
        rest = volume - 200
        given = [Given("p_bar", "1000.0"), Given("T", "21.0"), Given("m", "0.450", 1)]
        given += [Given("V_out", text, 1, n) for n, text in enumerate(("100.0", "100.0", f"{rest:.1f}"), 1)]
        outcome = evaluate(ALLOY, Sheet({"volume_by": "cylinder"}, {}, tuple(given)))
        self.assertAlmostEqual(quantity(outcome, "w_t"), 20.0, delta=0.05)

    def test_pure_metals_for_200_millilitres(self) -> None:
        """0.584 g of zinc and 0.161 g of aluminium with 22.4 L/mol: common practice; 22.414 makes 0.5834 and 0.1605."""
        needs = supplies(bind(ALLOY, Sheet()), 1)
        zinc, aluminium = (target.text for target in needs.targets[:2])
        self.assertEqual((zinc, aluminium), ("0.583 g", "0.161 g"))

    def test_the_gate_stays_shut_until_the_pure_metal_comes_out(self) -> None:
        """0.561 g of zinc give 8.58 mmol; 180 mL are too little, 212 mL are right."""
        first = (
            Given("p_bar", "1006.2"),
            Given("T", "20.8"),
            Given("m_pure", "0.561", None, 1),
            Given("V_pure", "180", None, 1),
        )
        shut = evaluate(ALLOY, Sheet({}, {}, first))
        self.assertEqual(next(f.level for f in shut.findings if f.code == "gate"), "repeat")
        self.assertTrue(any(t.key == "m_pure" and t.index == 2 and not t.done for t in shut.tasks))
        second = (*first, Given("m_pure", "0.561", None, 2), Given("V_pure", "212", None, 2))
        opened = evaluate(ALLOY, Sheet({}, {}, second))
        self.assertFalse(any(t.key == "m_pure" and not t.done for t in opened.tasks))
        self.assertFalse([f for f in opened.findings if f.code == "gate"])

    def test_nobody_is_kept_at_the_gate_for_ever(self) -> None:
        pairs = [(f"{key}", text, n) for n in range(1, 5) for key, text in (("m_pure", "0.561"), ("V_pure", "170"))]
        given = (Given("p_bar", "1006.2"), Given("T", "20.8"), *(Given(k, t, None, n) for k, t, n in pairs))
        outcome = evaluate(ALLOY, Sheet({}, {}, given))
        self.assertFalse(any(t.key == "m_pure" and not t.done for t in outcome.tasks))
        self.assertIn("never came out", next(f.do for f in outcome.findings if f.code == "gate"))

    def test_an_impossible_composition_is_said_with_the_range(self) -> None:
        given = list(example_sheet(ALLOY).given)
        given = [Given(g.key, "0.950", g.trial) if (g.key, g.trial) == ("m", 1) else g for g in given]
        outcome = evaluate(ALLOY, Sheet({}, {}, tuple(given)))
        self.assertEqual(outcome.trials[0].state, "void")
        self.assertIn("impossible composition", outcome.trials[0].why)
        chart = next(chart for chart in outcome.charts if chart.key == "range")
        self.assertEqual(len(chart.lines), 3)

    def test_cylinder_and_balance_are_compared(self) -> None:
        given = [
            Given(g.key, "41.22", g.trial, g.index) if (g.key, g.trial, g.index) == ("m_out", 1, 3) else g
            for g in example_sheet(ALLOY).given
        ]
        outcome = evaluate(ALLOY, Sheet({}, {}, tuple(given)))
        self.assertIn("V-apart", {f.code for f in outcome.findings})
