"""A rehearsal: what an instrument's error terms say is what its readings do. Distributions by scipy."""

from statistics import mean, stdev
from unittest import TestCase

import numpy as np
from scipy.stats import chi2

from chromata_core.errors import SheetError
from chromata_core.instruments.catalogue import instrument
from chromata_core.methods.registry import method
from chromata_core.simulation.readings import read
from chromata_core.simulation.rehearse import rehearse
from chromata_core.telling.evaluate import evaluate
from chromata_core.uncertainty.source import standard


class Instruments(TestCase):
    def scatter(self, slug: str, value: float) -> float:
        random = np.random.default_rng(11)
        return stdev(float(read(instrument(slug), value, random)) for _ in range(400))

    def test_a_balance_scatters_as_its_repeatability_says(self) -> None:
        """Sample standard deviation within the 99.9 % bounds of χ² about that of its terms and its last digit."""
        tool = instrument("balance-0.0001")
        terms = [standard(float(t.half_width), t.distribution) for t in tool.errors if t.kind == "repeatability"]
        true = np.hypot(sum(terms), 0.0001 / np.sqrt(12))
        low, high = (np.sqrt(chi2.ppf(p, 399) / 399) for p in (0.0005, 0.9995))
        self.assertTrue(low < self.scatter("balance-0.0001", 12.3456) / true < high)

    def test_a_burette_is_estimated_between_its_marks(self) -> None:
        """A scale is read by eye: it scatters; a one-mark flask or a clock does not."""
        self.assertGreater(self.scatter("burette-50-b", 22.64), 0.005)

    def test_nothing_is_read_off_the_scale(self) -> None:
        random = np.random.default_rng(1)
        shown = [float(read(instrument("burette-50-b"), 0.0, random)) for _ in range(50)]
        self.assertGreaterEqual(min(shown), 0.0)


class Rehearsal(TestCase):
    def test_one_thermometer_is_off_alike_in_every_reading_and_another_bench_has_another(self) -> None:
        """Ice in a cup: both temperatures of a bench are off together, so their difference hardly is."""
        declared = method("heat-of-fusion")
        true = {(k, t, i): float(x) for k, t, i, x in declared.example.readings if k in ("T_start", "T_end")}
        offs = []
        for seed in range(12):
            sheet = rehearse(declared, seed)
            off = [float(g.text) - true[g.place] for g in sheet.given if g.place in true]
            self.assertLess(max(off) - min(off), 0.25)
            offs.append(mean(off))
        self.assertGreater(stdev(offs), 0.05)

    def test_the_same_seed_is_the_same_bench(self) -> None:
        declared = method("beer-lambert")
        self.assertEqual(rehearse(declared, 4), rehearse(declared, 4))

    def test_a_fault_bends_a_rehearsal_as_the_method_book_says(self) -> None:
        """Oxide on a ribbon gives less gas: R comes out smaller at every bench than without it."""
        declared = method("gas-eudometer")
        for seed in range(5):
            sound, bent = (evaluate(declared, rehearse(declared, seed, None, fault)) for fault in ("", "oxide"))
            values = [next(r.value for r in evaluation.results if r.trial is None) for evaluation in (sound, bent)]
            self.assertLess(values[1], values[0])

    def test_a_fault_that_nobody_declared(self) -> None:
        with self.assertRaisesRegex(SheetError, "There is no fault “gremlins”"):
            rehearse(method("hydrate"), 1, None, "gremlins")
