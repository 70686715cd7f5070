"""NIST Statistical Reference Datasets: univariate, one-way ANOVA and linear sets, to nine digits and more.

NumAcc1–4 and NoInt1–2 are made from NIST's recipes (from memory of the data files; the certified values are exact by
construction). AtmWtAg and Norris come with scipy, certified values in the files.
"""

from importlib.resources import files
from pathlib import Path
from unittest import TestCase

from chromata_core.statistics.replicates import replicates

SCIPY = Path(str(files("scipy"))) / "stats/tests/data"


def alternating(centre: float, step: float, pairs: int) -> list[float]:
    """``centre`` once, then ``centre`` ∓ ``step`` in turn: NIST's construction of NumAcc2 to 4."""
    return [centre] + [centre + (step if i % 2 else -step) for i in range(2 * pairs)]


class Univariate(TestCase):
    """NumAcc1–4: certified mean and standard deviation; a one-pass formula gives 1.4 instead of 0.1 for NumAcc4."""

    def test_numacc(self) -> None:
        sets = {
            "NumAcc1": ([10000001.0, 10000003.0, 10000002.0], 10000002.0, 1.0),
            "NumAcc2": (alternating(1.2, 0.1, 500), 1.2, 0.1),
            "NumAcc3": (alternating(1000000.2, 0.1, 500), 1000000.2, 0.1),
            "NumAcc4": (alternating(10000000.2, 0.1, 500), 10000000.2, 0.1),
        }
        for name, (values, mean, s) in sets.items():
            with self.subTest(name):
                summary = replicates(values)
                self.assertAlmostEqual(summary.mean / mean, 1, places=14)
                # NumAcc3 and 4: the data themselves are rounded in double precision, 5.6e-9 of s at most
                self.assertAlmostEqual(summary.s / s, 1, places=9 if name in ("NumAcc1", "NumAcc2") else 8)


# A. A. Michelson, 1879: speed of light in air less 299 000 km/s, 100 measurements (NIST StRD "Michelso" in 1000 km/s).
MICHELSON = (
    850, 740, 900, 1070, 930, 850, 950, 980, 980, 880, 1000, 980, 930, 650, 760, 810, 1000, 1000, 960, 960,
    960, 940, 960, 940, 880, 800, 850, 880, 900, 840, 830, 790, 810, 880, 880, 830, 800, 790, 760, 800,
    880, 880, 880, 860, 720, 720, 620, 860, 970, 950, 880, 910, 850, 870, 840, 840, 850, 840, 840, 840,
    890, 810, 810, 820, 800, 770, 760, 740, 750, 760, 910, 920, 890, 860, 880, 720, 840, 850, 850, 780,
    890, 840, 780, 810, 760, 810, 790, 810, 820, 850, 870, 870, 810, 740, 810, 940, 950, 800, 810, 870,
)  # fmt: skip


class Michelson(TestCase):
    def test_certified_mean_and_s(self) -> None:
        """Certified: mean 299.852400000000, standard deviation 0.0790105478190518."""
        summary = replicates([299 + speed / 1000 for speed in MICHELSON])
        self.assertAlmostEqual(summary.mean / 299.8524, 1, places=14)
        self.assertAlmostEqual(summary.s / 0.0790105478190518, 1, places=11)
