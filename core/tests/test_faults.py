"""Which way each fault bends its result, told from what happens in the glass; the size is computed by the engine.

Facts of the trade: common practice, no published source.
"""

from unittest import TestCase

from chromata_core.methods.registry import method
from chromata_core.sheet.binding import bind
from chromata_core.sheet.example import example_sheet
from chromata_core.telling.effects import what_if

UP, DOWN = 1, -1
# Which way the first result goes, and why. (A new method may say it in its own tests.)
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
    "gas-eudometer": {
        "trapped-air": UP,  # counted as hydrogen
        "oxide": DOWN, "gas-lost": DOWN,  # less hydrogen than the mass promises
        "room-temperature": DOWN,  # a warmer table: more vapour taken off, and a larger T
    },
    "alloy-by-gas": {  # aluminium gives more hydrogen for its mass
        "air-in": UP, "leak": DOWN, "metal-left": DOWN,
    },
    "heat-of-fusion": {
        "cold-ice": UP,  # warming the ice counts as melting it
        "wet-ice": DOWN, "no-lid": DOWN, "read-early": DOWN,  # the water seems to lose less
    },
    "food-calorimetry": {
        "touches-bottom": UP,
        "heat-escapes": DOWN,
        "piece-lost": DOWN, "soot-boat": DOWN,  # more seems to have burned
    },
    "heat-of-reaction": {  # ΔH is negative: up is further from zero
        "base-warm": UP,  # written too cold, the rise seems larger
        "spilt-base": UP,  # more solution seems to have been warmed
        "poured-late": DOWN,  # drawn back to a moment after mixing, when some was lost
    },
    "beer-lambert": {
        "fingerprint": UP, "standard-short": UP,
        "blank-drifted": DOWN, "cuvette-wet": DOWN,
    },
    "metal-in-alloy": {
        "fingerprint": UP, "standard-short": UP, "not-mixed": UP,
        "blank-drifted": DOWN, "cuvette-wet": DOWN, "left-in-beaker": DOWN,
    },
    "solubility-product": {
        "solid-in-light": UP, "wash-water": UP,
        "not-saturated": DOWN, "blank-drifted": DOWN,
    },
    "nernst": {
        "wrong-dilution": DOWN,  # the steps are smaller
        "old-bridge": UP,  # the weakest solutions suffer most
        "oxide": DOWN,  # every potential is too small
    },
    "voltaic-cells": {"oxide": DOWN, "reversed": DOWN, "dry-bridge": DOWN},
    "rate-temperature": {  # hot tubes seem hotter, or slower, than they are: the line is flatter
        "one-thermometer": DOWN, "late-stop": DOWN, "cooled": DOWN,
    },
    "rate-concentration": {
        "late-stop": DOWN,  # short times suffer most
        "pipette-read-high": UP,  # the weak mixtures seem nearer to the strong ones
    },
    "coulometry-iodine": {  # electrons for each molecule: more iodine seen means fewer
        "fingerprint": DOWN, "switched-off-late": DOWN,
        "blank-drifted": UP, "cuvette-wet": UP, "floating": UP, "wrong-scale": UP,
    },
    "precipitate-yield": {"wet": UP, "not-washed": UP, "ran-through": DOWN, "filter-damp": DOWN},
}  # fmt: skip


class Faults(TestCase):
    def test_each_bends_its_result_the_way_it_must(self) -> None:
        for slug, ways in EXPECTED.items():
            declared = method(slug)
            effects = {effect.key: effect.percent for effect in what_if(bind(declared, example_sheet(declared)))}
            self.assertEqual(set(effects), set(ways), slug)
            for key, way in ways.items():
                with self.subTest(slug, fault=key):
                    self.assertGreater(effects[key] * way, 0)
