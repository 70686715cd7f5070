"""Water beside IAPWS-95 as CoolProp 8.0.0 computes it (an implementation that is not ours)."""

from unittest import TestCase

import CoolProp.CoolProp as cool
import numpy as np

from chromata_core.chemistry.barometer import station_pressure
from chromata_core.chemistry.water.density import density
from chromata_core.chemistry.water.density_kell_1975 import density_kell
from chromata_core.chemistry.water.density_tanaka_2001 import density_tanaka
from chromata_core.chemistry.water.heat_capacity_iapws_1995 import heat_capacity
from chromata_core.chemistry.water.vapour_pressure_wagner_1993 import vapour_pressure
from chromata_core.errors import ChromataError

EVERYWHERE = [0.5 + n * 1.5 for n in range(67)]


def iapws(what: str, celsius: float) -> float:
    """Liquid water at 101.325 kPa."""
    return float(cool.PropsSI(what, "T", celsius + 273.15, "P", 101325, "Water"))


class Water(TestCase):
    def test_vapour_pressure_within_a_ten_thousandth(self) -> None:
        for t in EVERYWHERE:
            peer = float(cool.PropsSI("P", "T", t + 273.15, "Q", 0, "Water"))
            self.assertAlmostEqual(vapour_pressure(t) / peer, 1, delta=1e-4)

    def test_handbook_tables_differ_by_a_thousandth(self) -> None:
        """Printed tables of an older formulation: 23.756 mmHg at 25 °C, 17.535 at 20 °C (from memory)."""
        for t, table in ((25, 23.756), (20, 17.535)):
            self.assertAlmostEqual(vapour_pressure(t) / 133.322387415 / table, 1, delta=1.1e-3)

    def test_density_as_accurate_as_stated(self) -> None:
        for t in EVERYWHERE:
            self.assertAlmostEqual(density_kell(t) / iapws("D", t), 1, delta=2e-5)
            self.assertAlmostEqual(density(t) / iapws("D", t), 1, delta=2e-5)
            if t <= 40:
                self.assertAlmostEqual(density_tanaka(t) / iapws("D", t), 1, delta=2e-6)

    def test_heat_capacity_as_accurate_as_stated(self) -> None:
        for t in EVERYWHERE[:-1]:
            self.assertAlmostEqual(heat_capacity(t) / (iapws("C", t) / 1000), 1, delta=5e-5)

    def test_outside_it_says_so(self) -> None:
        for function in (vapour_pressure, density, heat_capacity):
            for t in (-1.0, 101.0, 298.15):
                with self.assertRaisesRegex(ChromataError, "another unit"):
                    function(t)


def at(sea_level: float, altitude: float) -> float:
    return float(station_pressure(np.array([sea_level]), np.array([altitude]))[0])


class Barometer(TestCase):
    def test_standard_atmosphere(self) -> None:
        """ISO 2533 table: 1013.25 hPa at sea level is 954.61 hPa at 500 m and 898.75 at 1000 m (from memory)."""
        self.assertAlmostEqual(at(1013.25, 500), 954.61, delta=0.02)
        self.assertAlmostEqual(at(1013.25, 1000), 898.75, delta=0.02)
        self.assertEqual(at(30.1, 0), 30.1)

    def test_an_altitude_out_of_reach(self) -> None:
        with self.assertRaisesRegex(ChromataError, "out of reach"):
            at(1013, 9000)
