"""Simulated benches of other methods: what is put in comes back within the stated uncertainty."""

from unittest import TestCase

from chromata_core.chemistry.molar_mass import molar_mass
from chromata_core.instruments.catalogue import instrument
from chromata_core.methods.registry import method
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.simulation.cell_bench import dilute, pairs
from chromata_core.simulation.cross_bench import thin, warm
from chromata_core.simulation.crucible_bench import heat
from chromata_core.simulation.follow import follow
from chromata_core.simulation.readings import Written
from chromata_core.simulation.tablet_bench import neutralise
from chromata_core.simulation.weighed_deliveries import deliver
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.outcome import Evaluation


def evaluated(slug: str, options: dict[str, str], written: list[Written]) -> Evaluation:
    return evaluate(method(slug), Sheet(options, {}, tuple(Given(w.key, w.text, w.trial, w.index) for w in written)))


class SimulatedBenches(TestCase):
    def test_the_crucible_gives_its_water_back(self) -> None:
        held = 0
        for seed in range(100):
            evaluation = evaluated("hydrate", {"M_salt": "MgSO4"}, heat("MgSO4", 7, instrument("balance-0.001"), seed))
            x = next(r for r in evaluation.results if r.key == "x")
            held += abs(x.value - 7) <= x.expanded
        self.assertGreaterEqual(held, 88)

    def test_the_pipette_gives_its_error_back(self) -> None:
        """0.4 % too little of 1.00 mL, as it was put in; the water's temperature is right."""
        held = 0
        for seed in range(60):
            written = deliver((1.0,), -0.004, 0.0015, instrument("balance-0.0001"), 21.5, seed)
            result_out = evaluated("volumetric-calibration", {"V_plan": "1.00"}, written).results[0]
            held += abs(result_out.value - 0.996) <= result_out.expanded
        self.assertGreaterEqual(held, 53)

    def test_the_tablet_gives_its_power_back(self) -> None:
        declared = method("back-titration")
        held = 0
        for seed in range(60):
            options = {"c_a.limit": "0", "c_b.limit": "0"}
            result_out = evaluated("back-titration", options, neutralise(declared, options, 1.4, 9.6, seed, 2)).results[
                0
            ]
            held += abs(result_out.value - 9.6) <= result_out.expanded
        self.assertGreaterEqual(held, 52)

    def test_a_walk_goes_from_the_first_step_to_the_last(self) -> None:
        declared = method("hydrate")
        entries = follow(declared, Sheet(), heat("CuSO4", 5, instrument("balance-0.001"), 3), ("One.", "Two."))
        whole = evaluated("hydrate", {}, entries)
        self.assertEqual((entries[0].key, whole.hand.kind), ("step.labels", "finished"))
        self.assertAlmostEqual(molar_mass("CuSO4.5H2O").value, 0.24968, places=4)

    def test_the_cells_give_their_ladder_back_and_name_the_bad_contact(self) -> None:
        """Half-cells within ± 36 mV of the table at 1 mol/L; one contact that loses 120 mV is found, no other is."""
        for seed in range(12):
            sound = evaluated("voltaic-cells", {}, pairs("Ag; Cu; Pb; Zn", 1.0, seed))
            bad = evaluated("voltaic-cells", {}, pairs("Ag; Cu; Pb; Zn", 1.0, seed, bad=("Cu", "Pb")))
            self.assertNotIn("bad-contact", {f.code for f in sound.findings})
            named = next(f for f in bad.findings if f.code == "bad-contact")
            self.assertIn("Copper–lead", named.what)
            self.assertLess(max(abs(r.value) for r in sound.results if r.key == "d"), 20)

    def test_the_diluted_cell_gives_its_slope_back(self) -> None:
        held = 0
        for seed in range(40):
            options = {"c_plan": "1.0; 0.1; 0.01; 0.001"}
            evaluation = evaluated("nernst", options, dilute(1.104, 2, (1.0, 0.1, 0.01, 0.001), seed))
            slope = next(r for r in evaluation.results if r.key == "slope")
            held += abs(slope.value + 29.28) <= slope.expanded  # RT ln 10/(2F) at 22 °C
        self.assertGreaterEqual(held, 35)

    def test_the_cross_gives_energy_and_order_back(self) -> None:
        held, orders = 0, 0
        for seed in range(40):
            options = {"T_plan": "22; 40; 55; 70"}
            evaluation = evaluated("rate-temperature", options, warm(47.0, (22, 40, 55, 70), seed))
            energy = next(r for r in evaluation.results if r.key == "E_a")
            held += abs(energy.value - 47.0) <= energy.expanded
            thinned = evaluated("rate-concentration", {"V_plan": "10; 8; 6; 4"}, thin(1.0, (10, 8, 6, 4), seed))
            order = next(r for r in thinned.results if r.key == "order")
            orders += abs(order.value - 1.0) <= order.expanded
        self.assertGreaterEqual(held, 35)
        self.assertGreaterEqual(orders, 35)
