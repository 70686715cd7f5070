"""Solutions by mass and a pipette by weighing, beside molar masses, published Z factors and Python's statistics."""

import statistics
from math import hypot
from unittest import TestCase

from CoolProp.CoolProp import PropsSI

from chromata_core.engine.context import context_of
from chromata_core.instruments.calibrated import CalibrationPoint, calibrated
from chromata_core.instruments.catalogue import instrument
from chromata_core.methods.registry import method
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.judge import judge
from chromata_core.telling.outcome import Evaluation, ResultOut
from tests.outside import outside

SERIES = method("molarity-series")
CALIBRATION = method("volumetric-calibration")


def results(outcome: Evaluation) -> dict[tuple[str, int | None], ResultOut]:
    return {(r.key, r.trial): r for r in outcome.results}


class MolaritySeries(TestCase):
    """100 + 100 + 100 + 67.2 make 367.2 mL; 5.02 g for 5 g is good work: common practice, no published source."""

    portions = tuple(Given("V_out", text, None, n) for n, text in enumerate(("100.0", "100.0", "100.0", "67.2"), 1))

    @outside("molarity-series", by="molar mass of sucrose, handbook")
    def test_sucrose_by_hand(self) -> None:
        """M(C12H22O11) = 342.30 g/mol (handbook): 5.02 g in 0.3672 L is 0.03994 mol/L and 13.67 g/L."""
        sheet = Sheet({}, {}, (*self.portions, Given("m", "5.02", 1), Given("m", "15.11", 2), Given("m", "29.94", 3)))
        values = results(evaluate(SERIES, sheet))
        self.assertAlmostEqual(values["c", 1].value, 5.02 / 342.30 / 0.3672, places=5)
        self.assertAlmostEqual(values["gamma", 1].value, 13.671, places=3)
        self.assertAlmostEqual(values["ratio", None].value, 29.94 / 5.02, places=6)

    def test_the_volume_does_not_limit_the_ratio(self) -> None:
        outcome = results(evaluate(SERIES, example_sheet(SERIES)))
        self.assertIn("Cylinder calibration", [line.label for line in outcome["c", 3].budget])
        self.assertEqual({line.label.split()[0] for line in outcome["ratio", None].budget}, {"Balance"})

    def test_full_portions_go_on_and_the_rest_ends_them(self) -> None:
        open_ = evaluate(SERIES, Sheet({}, {}, (Given("vessel", "straight"), *self.portions[:3], *self._ticked())))
        self.assertEqual((open_.hand.key, open_.hand.index), ("V_out", 4))
        done = evaluate(SERIES, Sheet({}, {}, (Given("vessel", "straight"), *self.portions, *self._ticked())))
        self.assertEqual((done.hand.key, done.hand.trial), ("m", 1))
        self.assertIn("About 5.00 g", done.hand.detail)

    @staticmethod
    def _ticked() -> tuple[Given, ...]:
        return (Given("step.labels", "done"),)

    def test_near_the_plan_is_good_work_and_far_from_it_is_asked(self) -> None:
        near = judge(SERIES, Sheet(), Given("m", "5.02", 1))
        far = judge(SERIES, Sheet(), Given("m", "13.40", 1))
        self.assertEqual((near.level, far.level), ("keep", "look"))
        self.assertIn("do not chase it", near.text)
        self.assertIn("not tared", far.text)

    def test_grains_are_looked_at_again(self) -> None:
        given = (Given("vessel", "straight"), *self.portions, *self._ticked(), Given("m", "5.02", 1))
        seen = evaluate(SERIES, Sheet({}, {}, (*given, Given("looks", "grains", 1))))
        self.assertEqual((seen.hand.key, seen.hand.trial), ("looks", 1))


class VolumetricCalibration(TestCase):
    def test_z_factors(self) -> None:
        """ISO 8655-6, table A.1, 1013 hPa, values from memory: µL/mg at 15, 20, 25 and 30 °C."""
        for temperature, z in (("15.0", 1.0020), ("20.0", 1.0029), ("25.0", 1.0040), ("30.0", 1.0054)):
            self.assertAlmostEqual(self._z(temperature), z, delta=0.00006)

    @outside("volumetric-calibration", by="IAPWS-95 density (CoolProp)")
    def test_z_is_density_and_buoyancy(self) -> None:
        """Beside CoolProp's density (IAPWS-95) and air of 1.2 kg/m³ against steel of 8000 kg/m³."""
        for temperature in (4.5, 18.3, 27.9):
            density = PropsSI("D", "T", temperature + 273.15, "P", 101325, "Water")
            self.assertAlmostEqual(self._z(str(temperature)), 1000 * (1 - 1.2 / 8000) / (density - 1.2), places=5)

    @staticmethod
    def _z(temperature: str) -> float:
        at = context_of(CALIBRATION, Sheet({}, {}, (Given("T_water", temperature),)))
        value = at.value("Z", None)
        assert value is not None
        return value

    def test_mean_s_and_interval_are_those_of_the_masses(self) -> None:
        outcome = results(evaluate(CALIBRATION, example_sheet(CALIBRATION)))
        masses = [float(text) for key, trial, _, text in CALIBRATION.example.readings if (key, trial) == ("m_d", 3)]
        z = self._z("21.4")
        self.assertAlmostEqual(outcome["V_mean", 3].value, statistics.fmean(masses) * z, places=9)
        self.assertAlmostEqual(outcome["s", 3].value, statistics.stdev(masses) * z, places=9)
        # What the balance is known to scatter by, and what the spread shows beyond that, make the spread together.
        parts = {line.label: line.u for line in outcome["V_mean", 3].budget}
        random = ("Spread of the readings", "Balance repeatability", "Balance display")
        together = hypot(*(parts[label] for label in random))
        self.assertAlmostEqual(together, statistics.stdev(masses) * z / 10**0.5, places=7)

    def test_the_first_delivery_voids_nothing(self) -> None:
        given = (Given("T_water", "21.4"), Given("V_set", "0.50", 1), Given("m_d", "0.4987", 1, 1))
        self.assertEqual(evaluate(CALIBRATION, Sheet({}, {}, given)).trials[0].state, "open")

    def test_evaporation_shows_as_a_trend_and_one_slip_as_a_suspect(self) -> None:
        rising = [f"{0.9968 - 0.0006 * n + 0.0001 * (n % 3):.4f}" for n in range(10)]
        odd = ["0.9968", "0.9971", "0.9966", "0.9970", "0.9967", "0.9969", "0.9790", "0.9968", "0.9972", "0.9970"]
        for masses, code in ((rising, "m_d-trend"), (odd, "m_d-suspect")):
            given = (Given("T_water", "21.4"), *(Given("m_d", text, 2, n) for n, text in enumerate(masses, 1)))
            self.assertIn(code, [f.code for f in evaluate(CALIBRATION, Sheet({}, {}, given)).findings])

    def test_fewer_than_ten_are_said_to_be_few(self) -> None:
        given = (
            Given("T_water", "21.4"),
            *(Given("m_d", text, 1, n) for n, text in enumerate(("0.4987", "0.4991", "0.4979"), 1)),
        )
        codes = [f.code for f in evaluate(CALIBRATION, Sheet({"deliveries": "3"}, {}, given)).findings]
        self.assertIn("m_d-few", codes)
        self.assertNotIn("m_d-few", [f.code for f in evaluate(CALIBRATION, Sheet({}, {}, given)).findings])

    def test_accuracy_and_precision_are_drawn(self) -> None:
        target = evaluate(CALIBRATION, example_sheet(CALIBRATION)).charts[1]
        self.assertEqual(len(target.lines), 3)
        self.assertEqual(target.areas[0].x, (-0.04, 0.04))
        self.assertIn("within what is permitted", target.sentence)


class CalibratedInstrument(TestCase):
    """A calibration is used with its uncertainty: 20.00 mL that are really 20.031 ± 0.002 mL make 0.155 % less."""

    def test_it_moves_the_result_and_shrinks_its_part(self) -> None:
        titration = method("acid-base-titration")
        plain = evaluate(titration, example_sheet(titration)).results[0]
        own = calibrated(
            instrument("pipette-20-a"), "ours", "Pipette 7", [CalibrationPoint(20.0, 20.031, 0.002)], "weighed"
        )
        sheet = example_sheet(titration)
        known = Sheet(sheet.options, {"pipette": "ours"}, sheet.given, {"ours": own})
        better = evaluate(titration, known).results[0]
        self.assertAlmostEqual(better.value / plain.value, 20.0 / 20.031, places=9)
        shares = [{line.label: line.u for line in result.budget} for result in (plain, better)]
        self.assertAlmostEqual(shares[1]["Pipette calibration, measured"] / better.value, 0.002 / 20.031, places=7)
        self.assertLess(shares[1]["Pipette calibration, measured"], shares[0]["Pipette calibration"] / 5)

    def test_between_points_the_correction_is_interpolated(self) -> None:
        points = [CalibrationPoint(0.5, 0.51, 0.001), CalibrationPoint(3.0, 2.96, 0.002)]
        own = calibrated(instrument("adjustable-5"), "ours", "P5", points, "weighed")
        self.assertAlmostEqual(own.corrected(1.75), 1.75 + (0.01 - 0.04) / 2)
        self.assertAlmostEqual(own.corrected(5.0), 4.96)
