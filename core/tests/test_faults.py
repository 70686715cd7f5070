"""Which way each fault bends its result, told from what happens in the glass; the size is computed by the engine.

Facts of the trade: common practice, no published source.
"""

from unittest import TestCase

from chromata_core.method.effects import fault_effects
from chromata_core.methods.registry import methods

UP, DOWN = 1, -1
# Which way the first result goes, and why.
EXPECTED = {
    "acid-base-titration": {
        "air-bubble": UP, "overshoot": UP, "burette-wet": UP,  # more titrant seems to be needed
        "carbon-dioxide": UP, "pipette-blown-out": UP,  # there is more acid in the flask
        "pipette-wet": DOWN,  # there is less sample in it
    },
    "standardisation": {
        "standard-damp": UP,  # less standard than was weighed: less titrant, which then seems stronger
        "air-bubble": DOWN, "overshoot": DOWN, "burette-wet": DOWN, "carbon-dioxide": DOWN,
    },
    "back-titration": {  # more base used back means less acid taken by the tablet
        "air-bubble": DOWN, "overshoot": DOWN, "burette-wet": DOWN, "carbon-dioxide": DOWN, "lost-in-mortar": DOWN,
    },
    "ion-exchange-titration": {  # fewer H⁺ counted: less complex in the same mass, a larger molar mass
        "ran-dry": UP, "stirred-up": UP,
        "not-neutral": DOWN, "air-bubble": DOWN, "overshoot": DOWN, "burette-wet": DOWN,
    },
    "potentiometric-titration": {
        "burette-wet": UP,  # a thinner titrant: more of it
        "oxidised": DOWN, "portion-lost": DOWN,  # less iron(II) in the beaker
        "weighing": UP,  # the portion seems smaller than it was
    },
    "molarity-series": {
        "not-tared": UP,  # the vessel is taken for solute
        "top-of-curve": DOWN,  # the vessel seems larger
        "left-behind": UP,  # the vessel seems smaller
    },
    "volumetric-calibration": {
        "evaporation": DOWN, "dry-tip": DOWN, "blown-out": DOWN,  # less water is weighed
        "wrong-temperature": UP,  # warm water is lighter, so the same mass is taken for a larger volume
    },
    "hydrate": {
        "not-dry": DOWN,  # water is still there and counts as salt
        "spattered": UP,  # salt that left counts as water
        "weighed-warm": UP,  # warm air lifts the crucible: it reads low
    },
    "precipitate-yield": {"wet": UP, "not-washed": UP, "ran-through": DOWN, "filter-damp": DOWN},
}  # fmt: skip


class Faults(TestCase):
    def test_each_bends_its_result_the_way_it_must(self) -> None:
        self.assertEqual(set(EXPECTED), set(methods()))
        for slug, declared in methods().items():
            found = {effect.key: effect.percent for effect in fault_effects(declared)}
            self.assertEqual(set(found), set(EXPECTED[slug]), slug)
            for key, way in EXPECTED[slug].items():
                with self.subTest(slug, fault=key):
                    self.assertGreater(found[key] * way, 0)
