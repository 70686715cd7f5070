"""Which test follows which way of working, from the plan to the report, in its order, units and instruments."""

from collections.abc import Callable
from typing import TypeVar

WAYS = (
    "molarity-series: moles, litres and molarity worked out at each vessel",
    "heat-of-fusion: ice weighed first, joules for a mole, one run",
    "coulometry-iodine: the line is handed out, 500 mA, one run",
    "solubility-product: made, washed with a salt solution, spun, at a temperature",
    "gas-eudometer: R in litres and atmospheres",
    "gas-eudometer: the mass of unknown ribbons, barometer in inches",
    "gas-eudometer: molar volume, diluted acid made first",
    "alloy-by-gas: the pure metal first, then two pieces",
    "metal-in-alloy: the piece first, standards while it dissolves",
    "acid-base-titration: two products by a colour chart, which takes more?",
    "back-titration: indicator before boiling, flask and sample, a burette that fills itself",
    "food-calorimetry: one piece against its label, balance to 0.1 g",
    "food-calorimetry: two foods, energy of a gram in kilojoules",
    "voltaic-cells: beakers and a multimeter in millivolts, worked out afterwards",
    "voltaic-cells: a block of wells, then concentrations of one ion",
    "volumetric-calibration: one gram is one millilitre, ten deliveries at a mark",
    "rate-temperature: three of the temperatures at each bench, thermostats",
    "potentiometric-titration: equal steps of 0.5 mL to 40 mL, read to 0.1 mV",
    "hydrate: two salts at a bench, heated until nothing changes",
    "ion-exchange-titration: a column, its effluent titrated",
    "beer-lambert: one absorbance read off a known line",
)

FOLLOWED: dict[str, list[str]] = {}
Test = TypeVar("Test", bound=Callable[..., None])


def practice(way: str) -> Callable[[Test], Test]:
    """Marks a test as one that works in this way."""

    def mark(test: Test) -> Test:
        FOLLOWED.setdefault(way, []).append(test.__qualname__)
        return test

    return mark
