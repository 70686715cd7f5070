"""A small change of the data makes a small change of U (the GUM leaves the rule open; this is what we ask of ours)."""

from itertools import pairwise
from unittest import TestCase

import numpy as np

from chromata_core.curves.calibration import freedom_about, scatter_about
from chromata_core.curves.mixing import doubt_after_mixing, freedom_after_mixing
from chromata_core.engine.context import context_of
from chromata_core.engine.numeric_pass import estimated
from chromata_core.instruments.catalogue import instrument
from chromata_core.methods.registry import method
from chromata_core.sheet.example import example_sheet
from chromata_core.telling.evaluate import evaluate
from chromata_core.uncertainty.columns import STEP
from chromata_core.uncertainty.spread import spread_of
from tests.sheets import titration


class NoJumps(TestCase):
    def test_u_of_a_titration_moves_smoothly_with_its_last_titre(self) -> None:
        """Two titres from equal to 0.30 mL apart, by hundredths: no step of U over a tenth but where figures end."""
        stated = []
        for hundredths in range(31):
            sheet = titration(("0.00", "21.54"), ("0.10", f"{21.64 + hundredths / 100:.2f}"), rough=None,
                              options={"agreement_limit": "1"})  # fmt: skip
            stated.append(evaluate(method("acid-base-titration"), sheet).results[0].expanded)
        steps = [after / before for before, after in pairwise(stated)]
        self.assertLess(max(steps), 1.45)  # 6.3 with the larger of the two
        self.assertGreaterEqual(min(steps), 1 - 1e-9)
        self.assertGreater(stated[-1] / stated[0], 5)  # a spread far beyond what is known is believed

    def test_excess_and_known_make_the_spread(self) -> None:
        """By hand: 1, 2, 3 have s² = 1. Known errors of 0.6 expect 0.36, so 0.64 is excess, 0.64/3 of a mean."""
        spread = spread_of(np.array([1.0, 2.0, 3.0]), np.diag([0.6, 0.6, 0.6]))
        self.assertAlmostEqual(spread.excess**2, 0.64 / 3)
        self.assertAlmostEqual(spread.part, 0.64)
        self.assertEqual(spread_of(np.array([1.0, 1.1, 1.2]), np.diag([0.6, 0.6, 0.6])).excess, 0.0)

    def test_excess_and_known_make_the_scatter_about_a_line(self) -> None:
        """By hand: residuals ±0.1 of four points, s² = 0.02. Known errors of 0.1 each expect 0.01: half is excess."""
        x = np.arange(4.0)[:, None]
        y = (2 * x + np.array([[0.1], [-0.1], [-0.1], [0.1]])).astype(complex) + 1j * STEP * 0.1 * np.eye(4)
        self.assertAlmostEqual(float(scatter_about(x, y)[0]) ** 2, 0.01)
        self.assertAlmostEqual(float(freedom_about(x, y)[0]), 2 * 0.5)
        t, ends = 30 * x, np.zeros(1)
        self.assertAlmostEqual(float(freedom_after_mixing(t, y, ends)[0]), 2 * 0.5)
        at_start = 0.01 * (1 / 4 + 1.5**2 / 5)  # s²·(1/n + x̄²/Sxx)
        self.assertAlmostEqual(float(doubt_after_mixing(t, y, ends, ends)[0]) ** 2, at_start)
        self.assertEqual(freedom_about(x, 2 * x + 0j)[0], 0.0)

    def test_degrees_of_freedom_may_be_less_than_one_and_are_one_where_none_is_told(self) -> None:
        for told, counted in ((0.3, 0.3), (1.0, 1.0), (0.0, 1.0), (-1.0, 1.0), (7.0, 7.0)):
            self.assertEqual(estimated("nu", {"nu": np.array([told])}, {}), counted)
            self.assertEqual(estimated("nu:2", {}, {2: {"nu": np.array([told])}}), counted)
        self.assertIsNone(estimated("nu", {}, {}))

    def test_a_shared_error_makes_no_spread(self) -> None:
        spread = spread_of(np.array([1.0, 2.0, 3.0]), np.array([[5.0], [5.0], [5.0]]))
        self.assertAlmostEqual(spread.excess**2, 1 / 3)

    def test_the_interval_holds_its_value_about_as_often_as_it_says(self) -> None:
        """Coverage by simulation of three trials of known scatter 1 and unknown scatter 0 to 5: 90 % at the least."""
        from scipy import stats

        random = np.random.default_rng(5)
        for unknown in (0.0, 0.5, 1.0, 2.0, 5.0):
            trials = random.normal(0, np.hypot(1, unknown), (4000, 3))
            held = 0
            for values in trials:
                spread = spread_of(values, np.eye(3))
                variance = 1 / 3 + spread.excess**2
                weight = spread.excess**4 / (2 * spread.part) if spread.part else 0
                k = 2.0 if not weight or variance**2 / weight > 50 else stats.t.ppf(0.975, max(variance**2 / weight, 1))
                held += abs(values.mean()) <= k * np.sqrt(variance)
            self.assertGreater(held / len(trials), 0.885, unknown)


class WhoseError(TestCase):
    """Errors are correlated as the equipment is: by the load on a balance, by the thermometer in the tube."""

    def test_the_linearity_of_a_balance_is_not_averaged_over_equal_loads(self) -> None:
        """Ten deliveries of one volume: repeatability divides by √10, linearity stays whole (0.15 mg/√3 for 3 mL)."""
        calibration = method("volumetric-calibration")
        results = evaluate(calibration, example_sheet(calibration)).results
        parts = {line.label: line for r in results if (r.key, r.trial) == ("V_mean", 3) for line in r.budget}
        tool = next(instrument(role.default) for role in calibration.roles if "balance" in role.kinds)
        limit = next(float(term.half_width) for term in tool.errors if term.label == "Balance linearity")
        self.assertAlmostEqual(parts["Balance linearity"].u, limit / 3**0.5 * 1.00315, delta=2e-7)
        self.assertTrue(parts["Balance repeatability"].input.startswith("10 ×"))

    def test_two_thermometers_of_one_role_have_two_calibrations(self) -> None:
        rates = method("rate-temperature")
        sources = {
            s.id for s in context_of(rates, example_sheet(rates)).computed.columns.sources if "thermometer" in s.id
        }
        shared = {source for source in sources if source.startswith("thermometer:T_")}
        self.assertEqual(len({reading.split(":")[1] for reading in shared}), 2, sources)
