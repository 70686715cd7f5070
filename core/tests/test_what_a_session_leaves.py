"""Results that later sessions use, and results beside those of another product."""

from math import hypot
from unittest import TestCase

from chromata_core.engine.context import context_of
from chromata_core.errors import ReadingError, SheetError
from chromata_core.instruments.calibrated import CalibrationPoint, calibrated, thawed
from chromata_core.instruments.catalogue import instrument
from chromata_core.methods.registry import method
from chromata_core.sheet.bound import Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.sheet.sheet_file import read_sheet
from chromata_core.telling.beside import beside
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.storing import StoredCalibration, StoredSolution, to_store
from tests.sheets import titration


class Stored(TestCase):
    def test_the_points_of_a_calibration_are_its_results(self) -> None:
        declared = method("volumetric-calibration")
        stored = to_store(context_of(declared, example_sheet(declared)))
        assert isinstance(stored, StoredCalibration)
        results = [r for r in evaluate(declared, example_sheet(declared)).results if r.key == "V_mean"]
        self.assertEqual((stored.base, stored.unit), ("adjustable-5", "mL"))
        for point, result in zip(stored.points, results, strict=True):
            self.assertAlmostEqual(point.actual, result.value, places=12)
            self.assertAlmostEqual(point.u, result.u, places=12)

    def test_a_titrant_is_stored_with_the_interval_that_few_trials_deserve(self) -> None:
        declared = method("standardisation")
        result = evaluate(declared, example_sheet(declared)).results[0]
        stored = to_store(context_of(declared, example_sheet(declared)))
        assert isinstance(stored, StoredSolution)
        self.assertEqual((stored.solution, stored.unit), ("hydrochloric acid", "mol/L"))
        self.assertAlmostEqual(float(stored.limit), result.expanded, places=5)

    def test_nothing_to_store_is_a_sentence(self) -> None:
        with self.assertRaisesRegex(SheetError, "nothing that later sessions could use"):
            to_store(context_of(method("hydrate"), example_sheet(method("hydrate"))))
        for slug in ("standardisation", "volumetric-calibration"):
            with self.assertRaisesRegex(SheetError, "yet"):
                to_store(context_of(method(slug), Sheet()))

    def test_a_calibration_that_does_not_fit_is_refused(self) -> None:
        base = instrument("adjustable-5")
        for points in ([], [CalibrationPoint(7.0, 7.0, 0.01)]):
            with self.assertRaises(ReadingError):
                calibrated(base, "own", "P", points, "")

    def test_a_file_carries_its_calibrations(self) -> None:
        text = """{"instruments": {"pipette": "own-1"}, "readings": [{"key": "V_s", "text": "20.00"}], "results": [],
          "calibrations": {"own-1": {"base": "pipette-20-a", "name": "P7", "source": "weighed",
                                     "points": [{"nominal": 20.0, "actual": 20.031, "u": 0.002}]}}}"""
        tool = read_sheet(text).sheet.stock["own-1"]
        self.assertAlmostEqual(tool.corrected(20.0), 20.031)
        self.assertEqual(tool, thawed("own-1", {
            "base": "pipette-20-a", "name": "P7", "source": "weighed",
            "points": [{"nominal": 20.0, "actual": 20.031, "u": 0.002}],
        }))  # fmt: skip
        for broken in (
            '{"calibrations": 3}',
            '{"calibrations": {"a": {}}}',
            '{"calibrations": {"a": {"base": "spoon"}}}',
        ):
            with self.assertRaisesRegex(SheetError, "calibrations"):
                read_sheet(broken)


class AnotherProduct(TestCase):
    def test_the_difference_and_what_it_is_known_to(self) -> None:
        declared = method("acid-base-titration")
        own, other = (evaluate(declared, titration((a, b), (a, b))) for a, b in (("0.00", "22.60"), ("0.00", "17.30")))
        pair = beside(own, other, "Bottle Q")[0]
        a, b = own.results[0], other.results[0]
        self.assertAlmostEqual(pair.difference, a.value - b.value, places=12)
        self.assertAlmostEqual(pair.expanded, hypot(a.expanded, b.expanded), places=12)
        self.assertIn("31 % more than Bottle Q: further apart", pair.sentence)

    def test_two_that_cannot_be_told_apart(self) -> None:
        declared = method("acid-base-titration")
        own, other = (evaluate(declared, titration((a, b), (a, b))) for a, b in (("0.00", "22.60"), ("0.00", "22.63")))
        self.assertIn("no further apart than both are known to", beside(own, other, "Q")[0].sentence)

    def test_replicates_pass_only_when_enough_agree(self) -> None:
        declared = method("acid-base-titration")
        for trials, passed in (
            ((("0.00", "22.60"),), False), ((("0.00", "22.60"), ("0.10", "23.20")), False),
            ((("0.00", "22.60"), ("0.10", "22.72")), True),
        ):  # fmt: skip
            self.assertEqual(evaluate(declared, titration(*trials)).replicates_pass, passed)
