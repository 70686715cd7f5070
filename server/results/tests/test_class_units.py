"""A class that works in kilojoules, its hidden value given in kilocalories: the floor compares like with like."""

from labs.tests.room import Room, filled


class ClassUnits(Room):
    def test_the_floor_s_band_lies_about_the_accepted_value_in_the_class_s_unit(self) -> None:
        """1.6 kcal/g is 6.694 kJ/g (4.184 kJ to the thermochemical kilocalorie)."""
        for options, wanted in (({}, 1.6), ({"energies": "kJ"}, 1.6 * 4.184)):
            bench = filled(self.section, "food-calorimetry", options, {"e": "1.6"})
            floor = self.as_(self.instructor).get(f"/api/sessions/{bench.session_id}/floor").json()
            [tile] = floor["benches"]
            self.assertAlmostEqual((tile["band"]["low"] + tile["band"]["high"]) / 2, wanted, 3)
            self.assertTrue(tile["band"]["low"] < tile["value"] * 1.2)
            comparison = floor["class_comparison"]
            self.assertEqual(comparison["unit"], "kJ/g" if options else "kcal/g")
