"""The functions of the formula language, one line each: what they do to columns, to units and on paper.

Columns are arrays whose last axis runs over perturbations or draws; a list of readings or trials is the first axis.
Only operations that also hold for complex columns are allowed here: the linear budget is a complex step.
"""

from collections.abc import Callable
from dataclasses import dataclass

import numpy as np

from chromata_core.chemistry.barometer import station_pressure
from chromata_core.chemistry.water.over_columns import density_column, heat_capacity_column, vapour_pressure_column
from chromata_core.curves import calibration, end_point, mixing
from chromata_core.quantity.column import Column
from chromata_core.statistics.replicates import TooFewError


@dataclass(frozen=True, slots=True)
class Function:
    """``takes`` says what each argument must be: any unit (None), the unit of an argument before it (its place), or a
    unit by its symbol. ``gives`` is the unit of the answer in the same way. The first ``lists`` arguments are whole
    lists; ``linear`` ones gather errors as they gather values. ``exact`` answers are counted, not measured. ``figures``
    is the place of the argument whose significant figures the answer keeps, where it does not keep a list's decimals;
    ``told`` how many of the arguments are shown on paper, all of them for None. ``per`` is the place of an
    argument whose unit divides the answer's, as that of x does a slope's.
    """

    apply: Callable[..., Column]
    shown: str
    takes: tuple[int | str | None, ...] = (None,)
    gives: int | str = 0
    lists: int = 0
    root: bool = False
    linear: bool = False
    exact: bool = False
    figures: int | None = None
    told: int | None = None
    per: int | None = None

    @property
    def arity(self) -> int:
        """How many arguments there are."""
        return len(self.takes)


def _lesser(a: Column, b: Column) -> Column:
    return np.where(np.real(a) <= np.real(b), a, b)


def _size(x: Column) -> Column:
    return np.where(np.real(x) < 0, -x, x)


def _doubt_of_sd(x: Column) -> Column:
    """Relative standard uncertainty of a standard deviation of n values, 1/√(2(n − 1)): GUM E.4.3."""
    if len(x) < 2:
        raise TooFewError("A standard deviation needs at least two values.")
    return np.array([(2 * (len(x) - 1)) ** -0.5])


def _standard_deviation(x: Column) -> Column:
    if len(x) < 2:
        raise TooFewError("A standard deviation needs at least two values.")
    column: Column = np.sqrt(((x - x.mean(axis=0)) ** 2).sum(axis=0) / (len(x) - 1))
    return column


def _mean_last(x: Column, times: Column) -> Column:
    rows = round(float(np.real(times).flat[0]))
    if len(x) < rows:
        raise TooFewError(f"The mean of the last {rows} needs as many readings.")
    column: Column = x[-rows:].mean(axis=0)
    return column


def _poured(x: Column, by: Column, full: Column) -> Column:
    """The sum of ``x`` once the last of ``by`` does not fill the vessel: nothing can have come after it."""
    if len(x) != len(by) or np.real(by[-1]).mean() >= np.real(full).mean():
        raise TooFewError("The last portion filled the vessel; pour on.")
    column: Column = x.sum(axis=0)
    return column


def _sum_of(x: Column, number: Column) -> Column:
    if len(x) < np.real(number).mean():
        raise TooFewError("Some portions are still to come.")
    column: Column = x.sum(axis=0)
    return column


def _dilution_factor(made_up: Column, taken: Column) -> Column:
    """Volume made up over volume taken; 1 where nothing was diluted (both zero)."""
    none = np.real(taken) == 0
    return np.where(none, 1.0, made_up / np.where(none, 1.0, taken))


FUNCTIONS: dict[str, Function] = {
    "mean": Function(lambda x: x.mean(axis=0), "mean", lists=1, linear=True),
    "sum": Function(lambda x: x.sum(axis=0), "sum", lists=1, linear=True),
    "last": Function(lambda x: x[-1], "last", lists=1, linear=True),
    "first": Function(lambda x: x[0], "first", lists=1, linear=True),
    "largest": Function(lambda x: x[np.real(x).reshape(len(x), -1)[:, 0].argmax()], "largest", lists=1),
    "sd": Function(_standard_deviation, "s", lists=1),
    "doubt_of_sd": Function(_doubt_of_sd, "relative u of s, from", gives="", lists=1, exact=True),
    "count": Function(lambda x: np.array([float(len(x))]), "number", gives="", lists=1, exact=True),
    "ln": Function(np.log, "ln", ("",), ""),
    "log10": Function(np.log10, "log₁₀", ("",), ""),
    "exp": Function(np.exp, "exp", ("",), ""),
    "sqrt": Function(np.sqrt, "√", root=True),
    "size": Function(_size, "size of"),
    "lesser": Function(_lesser, "the lesser of", (None, 0)),
    "poured": Function(_poured, "sum of", (None, None, 1), lists=2, told=1),
    "sum_of": Function(_sum_of, "sum of", (None, ""), lists=1, told=1),
    "mean_last": Function(_mean_last, "mean of the last", (None, ""), lists=1),
    "farthest": Function(mixing.farthest, "farthest from the start of", (None, 0), lists=1),
    "dilution_factor": Function(_dilution_factor, "made up over taken", (None, 0), ""),
    "water_density": Function(density_column, "ρ_water", ("K",), "g/L"),
    "vapour_pressure": Function(vapour_pressure_column, "p_water", ("K",), "Pa"),
    "water_heat_capacity": Function(heat_capacity_column, "c_water", ("K",), "J/(kg·K)"),
    "station_pressure": Function(station_pressure, "pressure up here", ("Pa", "m")),
    "before_mixing": Function(mixing.before_mixing, "T before, at mixing", (None, None, 0), 1, lists=2),
    "after_mixing": Function(mixing.after_mixing, "T after, at mixing", (None, None, 0, 0), 1, lists=2),
    "doubt_after_mixing": Function(mixing.doubt_after_mixing, "u by scatter", (None, None, 0, 0), 1, lists=2),
    "freedom_after_mixing": Function(
        mixing.freedom_after_mixing, "its degrees of freedom", (None, None, 0), "", lists=2, exact=True
    ),
    "count_from": Function(mixing.count_from, "number from", (None, 0), "", lists=1, exact=True),
    "mean_over": Function(mixing.mean_over, "mean over time", (None, None), 1, lists=2),
    "inside": Function(calibration.inside, "between the standards", (None, 0), 1, lists=1),
    "line_x": Function(calibration.line_x, "read off the line", (None, None, 1), lists=2, figures=2),
    "line_x_origin": Function(
        calibration.line_x_origin, "read off the line through zero", (None, None, 1), lists=2, figures=2
    ),
    "line_slope": Function(calibration.line_slope, "slope", ("", None), 1, lists=2),
    "line_intercept": Function(calibration.line_intercept, "intercept", ("", None), 1, lists=2),
    "line_rise": Function(calibration.line_slope, "slope", (None, None), 1, lists=2, per=0),
    "line_rise_origin": Function(calibration.line_slope_origin, "slope through zero", (None, None), 1, lists=2, per=0),
    "doubt_of_rise": Function(calibration.doubt_of_slope, "u of the slope", (None, None), 1, lists=2, per=0),
    "doubt_of_rise_origin": Function(
        calibration.doubt_of_slope_origin, "u of the slope through zero", (None, None), 1, lists=2, per=0
    ),
    "scatter_about": Function(calibration.scatter_about, "s about the line", (None, None), 1, lists=2),
    "scatter_about_origin": Function(
        calibration.scatter_about_origin, "s about the line through zero", (None, None), 1, lists=2
    ),
    "freedom_about": Function(
        calibration.freedom_about, "degrees of freedom about the line", (None, None), "", lists=2, exact=True
    ),
    "freedom_about_origin": Function(
        calibration.freedom_about_origin, "the same, through zero", (None, None), "", lists=2, exact=True
    ),
    "doubt_of_middle": Function(calibration.doubt_of_middle, "u of the middle", (None, None), 1, lists=2),
    "doubt_of_slope": Function(calibration.doubt_of_slope, "u of the slope", ("", None), 1, lists=2),
    "doubt_of_intercept": Function(calibration.doubt_of_intercept, "u of the intercept", ("", None), 1, lists=2),
    "scatter_of_reading": Function(calibration.scatter_of_reading, "s/(b√p)", (None, None, 1, ""), lists=2),
    "doubt_of_line": Function(calibration.doubt_of_line, "u of the line", (None, None, 1), lists=2),
    "scatter_of_reading_origin": Function(
        calibration.scatter_of_reading_origin, "s/(b√p), through zero", (None, None, 1, ""), lists=2
    ),
    "doubt_of_line_origin": Function(
        calibration.doubt_of_line_origin, "u of the line, through zero", (None, None, 1), lists=2
    ),
    "peak_at": Function(calibration.peak_at, "place of the peak", (None, None), lists=2),
    "second_derivative_end": Function(end_point.by_second_derivative, "second derivative zero", (None, None), lists=2),
    "first_derivative_end": Function(end_point.by_first_derivative, "first derivative top", (None, None), lists=2),
    "steepest_end": Function(end_point.steepest, "steepest", (None, None), lists=2),
    "gran_end": Function(end_point.gran_from_start, "Gran’s line", (None, ""), lists=2),
    "gran_strong_end": Function(end_point.gran_strong, "Gran’s line", (None, "", 0), lists=2),
    "gran_redox_end": Function(end_point.gran_redox, "Gran’s line", (None, "V"), lists=2),
    "step_at_end": Function(end_point.step_at_jump, "step at the jump", (None, None), lists=2),
    "value_at": Function(end_point.value_at, "reading at", (None, None, 0), 1, lists=2),
}
