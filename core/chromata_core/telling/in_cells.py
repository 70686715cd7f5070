"""Formulas of the small language as a spreadsheet works them: cells for names, ranges for lists.

What a spreadsheet has no function for and cannot select by itself (an end point of a curve) stays a number.
"""

from collections.abc import Callable, Mapping, Sequence

import numpy as np

from chromata_core.chemistry import barometer
from chromata_core.chemistry.water import density_kell_1975 as kell
from chromata_core.chemistry.water import density_tanaka_2001 as tanaka
from chromata_core.chemistry.water import vapour_pressure_wagner_1993 as wagner
from chromata_core.formula.tree import Binary, Call, Name, Negative, Node, Number

# A cell by its address, or a list of them.
Cells = str | list[str]
_SLACK = 0.1  # s: as where a temperature trace is cut at the moment of mixing


class NotInCells(Exception):
    """This formula has no like in a spreadsheet."""


class NotTogether(Exception):
    """A range is needed, and these cells do not stand below each other."""


def in_cells(tree: Node, known: Mapping[str, Cells], values: Mapping[str, float]) -> str:
    """``tree`` as a spreadsheet writes it, without its “=”; ``values`` are those of the cells, in SI.

    NotInCells for a function that none has, and for a list where one number is needed; NotTogether where a range is
    needed of cells that do not stand together.
    """
    match tree:
        case Number(text):
            return text
        case Name(key):
            return _one(known[key])
        case Negative(operand):
            return f"(-{in_cells(operand, known, values)})"
        case Binary(operator, left, right):
            sides = (in_cells(left, known, values), in_cells(right, known, values))
            return f"({sides[0]}{'^' if operator == '**' else operator}{sides[1]})"
        case Call(function, arguments):
            if function not in _FUNCTIONS:
                raise NotInCells(function)
            taken = [known[a.key] if isinstance(a, Name) else in_cells(a, known, values) for a in arguments]
            return _FUNCTIONS[function](values, *taken)


def _one(cells: Cells) -> str:
    if isinstance(cells, list):
        raise NotInCells("a list stands where one number is needed")
    return cells


def _many(cells: Cells) -> list[str]:
    if not isinstance(cells, list):
        raise NotInCells("one number stands where a list is needed")
    return cells


def block(cells: Cells) -> str:
    """Cells below each other as a range, others one by one."""
    parts = _many(cells)
    rows = [int(cell[1:]) for cell in parts]
    below = rows == list(range(rows[0], rows[0] + len(rows)))
    return f"{parts[0]}:{parts[-1]}" if below and len(parts) > 1 else ",".join(parts)


def _range(cells: Cells) -> str:
    """For functions that take ranges alone."""
    text = block(cells)
    if "," in text:
        raise NotTogether
    return text


Values = Mapping[str, float]
Written = Callable[..., str]


def _over(name: str) -> Written:
    """A function of one list, whatever else it is told."""
    return lambda values, cells, *rest: f"{name}({block(cells)})"


def _of(name: str) -> Written:
    """A function of single numbers."""
    return lambda values, *cells: f"{name}({','.join(map(_one, cells))})"


def _line(name: str) -> Written:
    """A function of a line's ordinates and abscissas, which the language writes the other way round."""
    return lambda values, xs, ys: f"{name}({_range(ys)},{_range(xs)})"


def _read_off(values: Values, xs: Cells, ys: Cells, y0: Cells) -> str:
    return f"(({_one(y0)}-INTERCEPT({_range(ys)},{_range(xs)}))/SLOPE({_range(ys)},{_range(xs)}))"


def _rise_origin(values: Values, xs: Cells, ys: Cells) -> str:
    return f"(SUMPRODUCT({_range(xs)},{_range(ys)})/SUMSQ({_range(xs)}))"


def _read_off_origin(values: Values, xs: Cells, ys: Cells, y0: Cells) -> str:
    return f"({_one(y0)}/{_rise_origin(values, xs, ys)})"


def _diluted(values: Values, made_up: Cells, taken: Cells) -> str:
    return f"IF({_one(taken)}=0,1,{_one(made_up)}/IF({_one(taken)}=0,1,{_one(taken)}))"


def _mean_last(values: Values, cells: Cells, times: Cells) -> str:
    rows = float(_one(times)) if _one(times) not in values else values[_one(times)]
    return f"AVERAGE({block(_many(cells)[-round(rows) :])})"


def _vapour_pressure(values: Values, kelvin: Cells) -> str:
    t = _one(kelvin)
    tau = f"(1-{t}/{wagner.CRITICAL_T})"
    terms = "+".join(f"({a})*{tau}^{power}" for a, power in wagner.TERMS)
    return f"({wagner.CRITICAL_P}*EXP({wagner.CRITICAL_T}/{t}*({terms})))"


def _density(values: Values, kelvin: Cells) -> str:
    t = f"({_one(kelvin)}-273.15)"
    cool = f"{tanaka.MAXIMUM}*(1-({t}+({tanaka.A1}))^2*({t}+{tanaka.A2})/({tanaka.A3}*({t}+{tanaka.A4})))"
    upper = "+".join(f"({a})*{t}^{power}" for power, a in enumerate(kell.UPPER))
    return f"IF({t}<={tanaka.HIGHEST},{cool},({upper})/(1+{kell.LOWER}*{t}))"


def _station(values: Values, sea_level: Cells, altitude: Cells) -> str:
    rise = f"(1-{barometer.LAPSE}*{_one(altitude)}/{barometer.T0})"
    return f"({_one(sea_level)}*{rise}^{barometer.EXPONENT})"


def _mean_over(values: Values, times: Cells, cells: Cells) -> str:
    t, y = _many(times), _many(cells)
    rows = min(len(t), len(y))
    steps = [f"({t[n + 1]}-{t[n]})*({y[n + 1]}+{y[n]})" for n in range(rows - 1)]
    return f"(({'+'.join(steps)})/2/({t[rows - 1]}-{t[0]}))"


def _farthest(values: Values, cells: Cells, start: Cells) -> str:
    parts = _many(cells)
    away = [abs(values[cell] - values[_one(start)]) for cell in parts]
    return parts[int(np.argmax(away))]


def _trace(times: Cells, cells: Cells, chosen: Sequence[bool], at: Cells) -> str:
    """A temperature at a moment, by the line through those readings of its trace that are ``chosen``."""
    t, y = ([cell for cell, here in zip(_many(cells_), chosen, strict=False) if here] for cells_ in (times, cells))
    return f"FORECAST({_one(at)},{_range(y)},{_range(t)})" if len(t) >= 3 else f"AVERAGE({block(y)})"


def _before(values: Values, times: Cells, cells: Cells, mixed: Cells) -> str:
    return _trace(times, cells, [values[t] <= values[_one(mixed)] + _SLACK for t in _many(times)], mixed)


def _after(values: Values, times: Cells, cells: Cells, mixed: Cells, settled: Cells) -> str:
    return _trace(times, cells, [values[t] >= values[_one(settled)] - _SLACK for t in _many(times)], mixed)


_FUNCTIONS: dict[str, Written] = {
    "mean": _over("AVERAGE"), "sum": _over("SUM"), "poured": _over("SUM"), "sum_of": _over("SUM"),
    "largest": _over("MAX"), "sd": _over("STDEV"), "count": _over("COUNT"),
    "first": lambda values, cells: _many(cells)[0], "last": lambda values, cells: _many(cells)[-1],
    "mean_last": _mean_last, "doubt_of_sd": lambda values, cells: f"(2*(COUNT({block(cells)})-1))^-0.5",
    "ln": _of("LN"), "log10": _of("LOG10"), "exp": _of("EXP"), "sqrt": _of("SQRT"), "lesser": _of("MIN"),
    "size": _of("ABS"),
    "dilution_factor": _diluted, "inside": lambda values, cells, y0: _one(y0),
    "water_density": _density, "vapour_pressure": _vapour_pressure, "station_pressure": _station,
    "line_x": _read_off, "line_x_origin": _read_off_origin,
    "line_slope": _line("SLOPE"), "line_rise": _line("SLOPE"), "line_intercept": _line("INTERCEPT"),
    "line_rise_origin": _rise_origin,
    "mean_over": _mean_over, "farthest": _farthest, "before_mixing": _before, "after_mixing": _after,
}  # fmt: skip
