"""What readings share: one thermometer's scale, one piece's calibration in any role, the metre of a ribbon."""

from math import sqrt
from unittest import TestCase

from chromata_core.engine.inputs import inputs_of
from chromata_core.instruments.calibrated import CalibrationPoint, calibrated
from chromata_core.instruments.catalogue import instrument
from chromata_core.methods.registry import method
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.telling.evaluate import evaluate


def burned(end: str) -> tuple[Given, ...]:
    """One piece burned under 50 mL of water, from 20.0 °C on."""
    texts = {
        "V_w": "50.0", "m_food": "1.40", "T_start": "20.0", "T_end": end, "fell": "stayed", "m_rest": "0.40",
    }  # fmt: skip
    return tuple(Given(key, text, 1) for key, text in texts.items())


class OneThermometer(TestCase):
    def test_a_difference_keeps_the_scale_s_error(self) -> None:
        """±0.5 % of the reading, rectangular, is 0.5 %/√3 of any difference, whatever the zero (GUM 4.3.7)."""
        food = method("food-calorimetry")
        for end in ("30.0", "70.0"):
            result = evaluate(food, Sheet({}, {}, burned(end))).results[0]
            line = next(budget_out for budget_out in result.budget if budget_out.label == "Thermometer scale")
            self.assertAlmostEqual(line.u / result.value, 0.005 / sqrt(3), places=6)
            self.assertNotIn("Thermometer calibration", [budget_out.label for budget_out in result.budget])


class OnePiece(TestCase):
    def test_a_calibrated_pipette_is_the_same_one_in_two_roles(self) -> None:
        """Plain glassware of one kind is two pieces; a piece with a calibration of its own is one."""
        light = method("beer-lambert")
        own = calibrated(instrument("pipette-10-a"), "own-1", "Blue ring", [CalibrationPoint(10, 10.01, 0.002)], "x")
        given = (Given("V_std", "10.00", None, 1), Given("V_taken", "10.00", 1))

        def shared(slug: str) -> set[str]:
            tools = {"pipette": slug, "dilution_pipette": slug}
            inputs = inputs_of(bind(light, Sheet({}, tools, given, {"own-1": own})), {})
            first, second = (inputs[row.place] for row in given)
            return {source.label for source, _ in first.sources} & {
                source.label for source, _ in second.sources if source.id in {other.id for other, _ in first.sources}
            }

        self.assertIn("Pipette calibration, measured", shared("own-1"))
        self.assertNotIn("Pipette calibration", shared("pipette-10-a"))


class OneRibbon(TestCase):
    def test_pieces_of_unlike_length_agree_by_the_metre(self) -> None:
        """Twice the length with twice the gas: two masses, one mass of a metre."""
        readings = [("L", "20.0"), ("bubble", "none"), ("end", "gone"), ("V", "20.00"), ("T", "22.0")]
        doubled = [(key, {"L": "40.0", "V": "40.00"}.get(key, text)) for key, text in readings]
        given = [Given(key, text, n) for n, trial in enumerate((readings, doubled), 1) for key, text in trial]
        sheet = Sheet({"question": "m"}, {}, (Given("p_bar", "1000.0"), *given))
        outcome = evaluate(method("gas-eudometer"), sheet)
        values = {(result.key, result.trial): result.value for result in outcome.results}
        self.assertAlmostEqual(values[("m_found", 2)] / values[("m_found", 1)], 2, places=9)
        assert outcome.agreement is not None
        self.assertEqual(outcome.agreement.code, "agree")
