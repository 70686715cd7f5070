"""Energy, mass and charge of simulated benches, balanced by hand: nothing comes from nowhere."""

from unittest import TestCase

import numpy as np

from chromata_core.declaration.places import Place
from chromata_core.methods.registry import method
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Sheet
from chromata_core.simulation.responses import Values, true_values
from chromata_core.simulation.true_bench import true_bench

F, R = 96485.33212, 8.314462618  # SI brochure, 9th ed.
SEEDS = (1, 2, 3, 5)


def truth(slug: str, accepted: dict[str, str], seed: int, options: dict[str, str] | None = None) -> Values:
    """True readings of a bench, by place."""
    declared = method(slug)
    return true_values(bind(declared, true_bench(declared, Sheet(options or {}), accepted, seed)))


class ClosedBalances(TestCase):
    def test_what_water_loses_melts_the_ice_and_warms_it(self) -> None:
        for seed in SEEDS:
            at = truth("heat-of-fusion", {"H": "6.01"}, seed)
            water, first, last, whole = (at[Place(key, 1)] for key in ("m_w", "T_start", "T_end", "m_all"))
            ice = whole - water
            lost = (water * 4.184 + 10) * (first - last)  # the cup takes 10 J/K by the plan
            self.assertAlmostEqual(lost / (ice / 18.015 * 6010 + ice * 4.184 * last), 1, 4)

    def test_what_leaves_a_crucible_is_water_of_its_salt(self) -> None:
        for seed in SEEDS:
            at = truth("hydrate", {"x": "5"}, seed)
            dry = at[max(place for place in at if place.key == "m_heated")]
            water, salt = at[Place("m_before", 1)] - dry, dry - at[Place("m_crucible", 1)]
            self.assertAlmostEqual((water / 18.015) / (salt / 159.602), 5, 3)

    def test_every_electron_is_in_iodine(self) -> None:
        """Charge by the trapezium rule; iodine read off a line through the standards by numpy."""
        for seed in SEEDS:
            at = truth("coulometry-iodine", {"z": "10"}, seed)
            rows = sorted(place.row or 0 for place in at if place.key == "t" and place.trial == 1)
            t, i = ([at[Place(key, 1, row)] for row in rows] for key in ("t", "I"))
            flasks = sorted(place.row or 0 for place in at if place.key == "V_std")
            c = [1.000 * at[Place("V_std", None, row)] / 10.00 for row in flasks]  # mmol/L
            slope, start = np.polyfit(c, [at[Place("A_std", None, row)] for row in flasks], 1)
            iodine = (at[Place("A_x", 1, 1)] - start) / slope * at[Place("V", 1)] / 1e6  # mol
            self.assertAlmostEqual(float(np.trapezoid(i, t)) / F / iodine, 10, 3)

    def test_every_metal_atom_gives_its_hydrogen(self) -> None:
        """Dalton's law by hand, the vapour of water at that temperature by the Antoine equation (within 0.2 %)."""
        for seed in SEEDS:
            at = truth("gas-eudometer", {"R": f"{R}", "R_mean": f"{R}"}, seed, {"levels": "equal"})
            kelvin = at[Place("T", 1)] + 273.15
            vapour = 10 ** (8.07131 - 1730.63 / (233.426 + kelvin - 273.15)) * 0.133322387415  # kPa
            hydrogen = (at[Place("p_bar")] / 10 - vapour) * at[Place("V", 1)] / 1e6 / (R / 1000 * kelvin) * 1000 / 1000
            self.assertAlmostEqual(hydrogen * 1000 / (at[Place("m", 1)] / 24.305 * 1000), 1, 3)
