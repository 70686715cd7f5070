"""Worked examples of the GUM and of EURACHEM/CITAC CG4, from their published inputs."""

from math import hypot, inf, sqrt
from unittest import TestCase

import numpy as np
from scipy import stats

from chromata_core.formula.propagate import Propagation
from chromata_core.statistics.replicates import replicates
from chromata_core.uncertainty.budget import budget
from chromata_core.uncertainty.columns import columns_of, contributions_of, value_of
from chromata_core.uncertainty.source import Input, Source, standard


def source(name: str, u: float, dof: float = inf) -> Source:
    return Source(name, name, u, "normal", dof=dof)


class EurachemA1(TestCase):
    def test_cadmium_standard(self) -> None:
        """CG4 A1: 1002.7 mg/L, u 0.9 (0.84 from unrounded parts): inputs from memory of the guide."""
        volume = hypot(standard(0.1, "triangular"), 0.02, standard(0.084, "rectangular"))
        sources = {"m": source("m", 0.05), "P": source("P", standard(0.0001, "rectangular")), "V": source("V", volume)}
        propagated = Propagation("1000 * m * P / V", sources).at({"m": 100.28, "P": 0.9999, "V": 100.0})
        self.assertEqual(f"{propagated.value:.1f}", "1002.7")
        self.assertAlmostEqual(propagated.budget.u, 0.835, delta=0.001)
        self.assertEqual(propagated.budget.lines[0].label, "V")


class GaugeBlock(TestCase):
    def test_h1(self) -> None:
        """GUM H.1: 50 000 838 nm, u 32 nm, 16 degrees of freedom, U99 93 nm (here k for 95 %)."""
        sources = {
            "l_s": source("l_s", 25, 18), "d": source("d", 9.7, 25.6), "alpha": source("alpha", 2e-6 / sqrt(3)),
            "theta": source("theta", 0.41), "d_alpha": source("d_alpha", 1e-6 / sqrt(3), 50),
            "d_theta": source("d_theta", 0.05 / sqrt(3), 2),
        }  # fmt: skip
        values = {"l_s": 50000623, "d": 215, "alpha": 11.5e-6, "theta": -0.1, "d_alpha": 0, "d_theta": 0}
        propagated = Propagation("l_s + d - l_s * (d_alpha * theta + alpha * d_theta)", sources).at(values)
        self.assertEqual(round(propagated.value), 50000838)
        self.assertAlmostEqual(propagated.budget.u, 31.67, delta=0.01)
        self.assertEqual(int(propagated.budget.dof), 16)
        # t for 16 degrees of freedom is 2.12 (table G.2); for the 16.7 that G.4.1 lets us keep it is 2.11 (scipy).
        self.assertAlmostEqual(propagated.budget.k, stats.t.ppf(0.975, propagated.budget.dof), places=5)
        self.assertAlmostEqual(propagated.budget.k, 2.12, delta=0.01)


class Impedance(TestCase):
    """GUM H.2: resistance and reactance from voltage, current and phase measured together, hence correlated."""

    V = (5.007, 4.994, 5.005, 4.990, 4.999)
    CURRENT = (19.663e-3, 19.639e-3, 19.640e-3, 19.685e-3, 19.678e-3)
    PHI = (1.0456, 1.0438, 1.0468, 1.0428, 1.0433)

    def test_h2(self) -> None:
        """R 127.732 Ω (0.071), X 219.847 Ω (0.295), Z 254.260 Ω (0.236): correlation as shared sources."""
        data = np.array([self.V, self.CURRENT, self.PHI])
        share = np.linalg.cholesky(np.cov(data) / 5)  # covariance of the means
        causes = [source(f"cause {n}", 1.0) for n in range(3)]
        inputs = {
            name: Input(replicates(list(row)).mean, tuple(zip(causes, map(float, share[place]), strict=True)))
            for place, (name, row) in enumerate(zip(("V", "I", "phi"), data, strict=True))
        }
        columns = columns_of(inputs)
        v, i, phi = (columns.by_key[name] for name in ("V", "I", "phi"))
        for column, value, u in (
            (v / i * np.cos(phi), 127.732, 0.071), (v / i * np.sin(phi), 219.847, 0.295), (v / i, 254.260, 0.236),
        ):  # fmt: skip
            self.assertAlmostEqual(value_of(column), value, delta=0.0006)
            self.assertAlmostEqual(budget(columns.sources, contributions_of(column)).u, u, delta=0.0006)
