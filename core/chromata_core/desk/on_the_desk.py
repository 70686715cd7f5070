"""The calculators in their order on the desk."""

from chromata_core.desk.calculator import Calculator
from chromata_core.desk.curves import FIT, TITRATION
from chromata_core.desk.gases import OVER_WATER, VAPOUR
from chromata_core.desk.making import DILUTION, MOLAR_MASS
from chromata_core.desk.numbers import COMBINE, CONVERT, FIGURES, PERCENT

DESK: dict[str, Calculator] = {
    calculator.key: calculator
    for calculator in (DILUTION, MOLAR_MASS, CONVERT, OVER_WATER, VAPOUR, COMBINE, FIT, TITRATION, FIGURES, PERCENT)
}
