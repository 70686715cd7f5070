"""What a plan aims at against the scale on which it is read: cases worked by hand, and every cure tried."""

from dataclasses import replace
from unittest import TestCase

from chromata_core.errors import SheetError
from chromata_core.loading.load import problems_of
from chromata_core.methods.registry import method, methods
from chromata_core.planning.in_range import OffRange, off_range
from chromata_core.planning.supplies import supplies
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Sheet


def off(slug: str, options: dict[str, str], **tools: str) -> list[OffRange]:
    return off_range(bind(method(slug), Sheet(options, tools)))


class ByHand(TestCase):
    def test_a_titre_beyond_the_burette_comes_with_smaller_ones(self) -> None:
        """0.1 mol/L against 0.1 mol/L: 60 mL of titrant want 60 mL of sample, and a burette ends at 50."""
        sample, titre = off("acid-base-titration", {"V_wanted": "60"})
        self.assertEqual(sample.text, "Sample for the wanted titre: 60.0 mL. Pipette 20 mL, class A: it gives 20 mL.")
        self.assertIn({"pipette": "pipette-50-a"}, [cure.instruments for cure in sample.cures])
        self.assertEqual(titre.text, "Titre to come: 60.0 mL. Burette 50 mL, class B: it shows 0 to 50 mL.")
        self.assertEqual([cure.options for cure in titre.cures], [{"V_wanted": "48"}])

    def test_a_weaker_titrant_wants_less_sample_and_no_cure_leads_off_another_scale(self) -> None:
        [off_range] = off("acid-base-titration", {"c_t": "0.02"})  # 0.02 × 20 / 0.1 = 4 mL
        self.assertIn("4.00 mL", off_range.text)
        self.assertNotIn(
            "V_wanted", [key for cure in off_range.cures for key in cure.options], "80 mL are in no burette"
        )

    def test_a_drop_is_not_measured_in_a_cylinder(self) -> None:
        [off_range] = off("acid-base-titration", {"c_t": "0.0001"})  # 0.02 mL
        self.assertEqual([cure.instruments for cure in off_range.cures if cure.instruments], [])

    def test_ice_that_would_be_left(self) -> None:
        """240 g from 24 °C give 24.1 kJ; 90 g of ice take 30.1 kJ to melt."""
        [off_range] = off("heat-of-fusion", {"m_ice_plan": "90"})
        self.assertEqual({key for cure in off_range.cures for key in cure.options}, {"m_ice_plan", "m_w_plan"})

    def test_two_solutions_are_made_stronger_together_where_one_alone_does_not_help(self) -> None:
        [off_range] = off("heat-of-reaction", {"c_a": "0.1", "c_b": "0.1"})
        self.assertEqual([set(cure.options) for cure in off_range.cures], [{"c_a", "c_b"}])

    def test_gas_beyond_the_tube(self) -> None:
        [off_range] = off("gas-eudometer", {"V_wanted": "80"})
        self.assertEqual([cure.options for cure in off_range.cures], [{"V_wanted": "40"}])


class Declared(TestCase):
    def test_what_is_held_against_the_wrong_thing_never_reaches_a_plan(self) -> None:
        usual = method("gas-eudometer")
        gas = next(target for target in usual.targets if target.read_at)
        for change, says in (
            ({"read_at": "balance"}, "is in mL, and"),
            ({"read_at": "unicorn"}, "unicorn"),
            ({"at_least": "V_wanted * V_wanted"}, "is not in mL"),
            ({"at_most": "nobody"}, "nobody"),
            ({"choose": ("nobody",)}, "nobody"),
        ):
            with self.subTest(change):
                wrong = replace(usual, targets=(replace(gas, **change),))
                self.assertIn(says, " ".join(problems_of(wrong)))


class Everywhere(TestCase):
    def test_a_plan_as_it_stands_comes_out_well(self) -> None:
        for declared in methods().values():
            with self.subTest(declared.slug):
                self.assertEqual(off_range(bind(declared, Sheet())), [])

    def test_every_cure_does_what_it_says(self) -> None:
        """Numbers that can be changed for a target are made far too small and too large; each cure is then taken."""
        tried = 0
        for declared in methods().values():
            for target in declared.targets:
                for key in target.choose:
                    for factor in (0.02, 0.2, 5, 40):
                        usual = next(all_option.default for all_option in declared.all_options if all_option.key == key)
                        tried += self._cures(declared.slug, {key: f"{float(usual) * factor:.4g}"})
        self.assertGreater(tried, 40)

    def _cures(self, slug: str, options: dict[str, str]) -> int:
        tried = 0
        try:
            off_ranges = off(slug, options)
        except SheetError:  # out of the option's own reach: told there
            return 0
        for miss in off_ranges:
            label = miss.text.partition(":")[0]
            for cure in miss.cures:
                after = off(slug, {**options, **cure.options}, **cure.instruments)
                with self.subTest(slug, options=options, cure=cure.text):
                    self.assertNotIn(label, [other.text.partition(":")[0] for other in after])
                    aims = supplies(bind(method(slug), Sheet({**options, **cure.options})), 1).targets
                    if cure.options:
                        text = next(aim.text for aim in aims if aim.label == label)
                        self.assertTrue(cure.text.endswith(text), (cure.text, text))
                tried += 1
        return tried
