"""What each function of the formula language takes and gives, as its definition demands; written without looking at
its declaration: a slope is what its line rises by, the foot of a perpendicular lies on the axis, a logarithm has no
unit, and so on.
"""

from unittest import TestCase

from chromata_core.errors import FormulaError
from chromata_core.formula.dimension import dimension_of
from chromata_core.formula.functions import FUNCTIONS
from chromata_core.formula.parse import parse_formula
from chromata_core.quantity.units import unit

# A letter for each unit; “strange” fits nowhere. An argument in brackets is a list, one with a star may have any unit.
UNITS = {
    "t": "s", "U": "V", "A": "m²", "m": "m", "p": "Pa", "T": "K", "n": "", "rise": "V/s", "d": "g/L", "c": "J/(kg·K)",
    "strange": "mol·A",
}  # fmt: skip
TABLE = (
    *((name, "[t]*", "t") for name in ("mean", "sum", "last", "first", "largest", "sd")),
    *((name, "[t]*", "n") for name in ("doubt_of_sd", "count")),
    *((name, "n", "n") for name in ("ln", "log10", "exp")),
    ("sqrt", "A*", "m"), ("size", "t*", "t"), ("lesser", "t* t", "t"), ("dilution_factor", "t* t", "n"),
    ("poured", "[t]* [U]* U", "t"), ("farthest", "[t]* t", "t"),
    *((name, "[t]* n", "t") for name in ("sum_of", "mean_last")),
    ("water_density", "T", "d"), ("vapour_pressure", "T", "p"), ("water_heat_capacity", "T", "c"),
    ("station_pressure", "p m", "p"), ("count_from", "[t]* t", "n"), ("mean_over", "[t]* [U]*", "U"),
    ("before_mixing", "[t]* [U]* t", "U"), ("after_mixing", "[t]* [U]* t t", "U"),
    ("doubt_after_mixing", "[t]* [U]* t t", "U"), ("freedom_after_mixing", "[t]* [U]* t", "n"),
    ("inside", "[U]* U", "U"), ("value_at", "[t]* [U]* t", "U"), ("doubt_of_middle", "[t]* [U]*", "U"),
    *((name, "[t]* [U]* U", "t") for name in ("line_x", "line_x_origin", "doubt_of_line", "doubt_of_line_origin")),
    *((name, "[t]* [U]* U n", "t") for name in ("scatter_of_reading", "scatter_of_reading_origin")),
    *((name, "[n] [U]*", "U") for name in ("line_slope", "line_intercept", "doubt_of_slope", "doubt_of_intercept")),
    *(
        (name, "[t]* [U]*", "rise")
        for name in ("line_rise", "line_rise_origin", "doubt_of_rise", "doubt_of_rise_origin")
    ),
    *((name, "[t]* [U]*", "U") for name in ("scatter_about", "scatter_about_origin")),
    *((name, "[t]* [U]*", "n") for name in ("freedom_about", "freedom_about_origin")),
    *(
        (name, "[t]* [U]*", "t")
        for name in ("peak_at", "second_derivative_end", "first_derivative_end", "steepest_end", "step_at_end")
    ),
    ("gran_end", "[t]* [n]", "t"), ("gran_strong_end", "[t]* [n] t", "t"), ("gran_redox_end", "[t]* [U]", "t"),
)  # fmt: skip
KNOWN = {letter: unit(symbol).dimension for letter, symbol in UNITS.items()}


def called(name: str, arguments: list[str]) -> str:
    """“line_x(t, U, U)”."""
    return f"{name}({', '.join(argument.strip('[]*') for argument in arguments)})"


class UnitsOfFunctions(TestCase):
    def test_every_function_is_in_the_table(self) -> None:
        self.assertEqual(sorted(name for name, *_ in TABLE), sorted(FUNCTIONS))

    def test_what_it_gives(self) -> None:
        for name, takes, gives in TABLE:
            with self.subTest(name):
                self.assertEqual(dimension_of(parse_formula(called(name, takes.split())), KNOWN), KNOWN[gives])

    def test_another_unit_is_refused_where_one_is_demanded(self) -> None:
        for name, takes, _ in TABLE:
            arguments = takes.split()
            for place, argument in enumerate(arguments):
                if not argument.endswith("*"):
                    other = [*arguments[:place], "strange", *arguments[place + 1 :]]
                    with self.subTest(called(name, other)), self.assertRaisesRegex(FormulaError, "wants"):
                        dimension_of(parse_formula(called(name, other)), KNOWN)

    def test_which_of_them_are_lists(self) -> None:
        for name, takes, _ in TABLE:
            with self.subTest(name):
                self.assertEqual(FUNCTIONS[name].lists, takes.count("["))
