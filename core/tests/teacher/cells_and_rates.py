"""Cells, and the clock of sulfur."""

from math import exp, log, log10

import numpy as np

from tests.teacher import Answer, answers


def _slope(x: list[float], y: list[float]) -> float:
    return float(np.polyfit(x, y, 1)[0])


_E, _Q = [1.098, 1.071, 1.041, 1.011], [0.0, 1.0, 2.0, 3.0]
_b = _slope(_Q, _E)  # −0.0291 V
_NERNST = answers(
    "nernst",
    ("slope", None, 29.1, 3, "sign|turned"),
    ("slope", None, _b * 1000 / log(10), 4, "ln"),
    ("slope", None, -0.0291, 3, "thousand"),
    ("slope", None, (1011 - 1098) / 3, 4, "two points"),
    ("slope", None, 1 / -29.1, 4, "turned|axes"),
    ("slope", None, _slope(_Q, [1.089, *_E[1:]]) * 1000, 4, "digits"),
    ("slope", None, _slope(_Q, [1.098, 1.017, *_E[2:]]) * 1000, 4, "digits"),
    ("E_0", None, 1.098, 4, "first point"),
    ("E_0", None, 1.0989 * 1000, 4, "thousand"),
    ("E_0", None, -1.0989, 4, "sign"),
    ("z_found", None, 1 / 2.0152, 4, "turned"),
    ("z_found", None, 8.31446 * 295.55 / (96485.33 * 0.0291), 4, "ln|2.303"),
    ("z_found", None, 2.302585 * 8.31446 * 22.4 / (96485.33 * 0.0291), 4, "kelvin|273"),
    ("z_found", None, -2.0152, 4, "sign|turned over"),
    ("z_found", None, 2.302585 * 0.08206 * 295.55 / (96485.33 * 0.0291), 4, "gas constant|R"),
    ("z_found", None, 2.302585 * 8.31446 * 295.55 / (96485.33 * 29.1), 4, "thousand"),
    ("z_found", None, 2.302585 * 295.55 / (96485.33 * 0.0291), 4, "gas constant|R"),
    ("z_found", None, 2.302585 * 8.31446 * 295.55 / 0.0291, 4, "Faraday|left out"),
    ("slope", None, "-29.1", "", "= right"),
    ("slope", None, "-0.0291", "V", "= right"),
    ("z_found", None, "2", "", "= right"),
    ("z_found", None, "2.0", "", "= right"),
    ("z_found", None, "2.02", "", "= right"),
    ("E_0", None, "1.10", "V", "= right"),
    ("E_0", None, "1099", "mV", "= right"),
)

# The pairs as the example orders them; standard potentials Ag 0.7996, Cu 0.3419, Pb −0.1262, Zn −0.7618 V
_VOLTAIC = answers(
    "voltaic-cells",
    ("E_cell", 1, -0.421, 3, "sign"),
    ("E_cell", 5, -1.072, 4, "sign"),
    ("E_cell", 2, 0.837, 3, "digits"),
    ("E_cell", 3, 1.489, 4, "digits"),
    ("E_cell", 3, 1498, 4, "thousand|mV"),
    ("d", 1, 100 * (0.4577 - 0.421) / 0.4577, 4, "sign|wrong way"),
    ("d", 1, 100 * (0.421 - 0.4577) / 0.421, 4, "turned|measured|divided by"),
    ("d", 1, (0.421 - 0.4577) / 0.4577, 4, "fraction|per cent"),
    ("d", 1, 100 * 0.421 / 0.4577, 4, "subtracted|share"),
    ("d", 5, 100 * (1.027 - 1.1037) / 1.1037, 4, "digits"),
    ("d", 5, 100 * (1.072 - 1.1037), 4, "divided"),
    ("E_cell", 1, "421", "mV", "= right"),
    ("E_cell", 1, "0.42", "V", "= right"),
    ("d", 1, "-8.0", "", "= right"),
    ("d", 1, "-8", "%", "= right"),
)

_c = [0.15, 0.12, 0.09, 0.06]
_t = [40.95, 51.65, 69.15, 105.65]
_lc, _lr = [log10(c) for c in _c], [log10(1 / t) for t in _t]
_ORDER = answers(
    "rate-concentration",
    ("order", None, -_slope(_lc, _lr), 4, "sign|time"),
    ("order", None, 1 / _slope(_lc, _lr), 4, "turned|axes|swapped"),
    ("order", None, (_lr[3] - _lr[0]) / (_lc[3] - _lc[0]), 4, "two points|first and last"),
    ("order", None, _slope(_lc, [*_lr[:3], log10(1 / ((108.3 + 107.5) / 2))]), 4, "digits"),
    ("order", None, _slope(_lc, [log10(1 / ((43.0 + 41.6) / 2)), *_lr[1:]]), 4, "digits"),
    ("order", None, _slope(_lc, [1 / t for t in _t]), 4, "log"),
    ("order", None, _slope(_c, _lr), 4, "log"),
    ("order", None, _slope([log(c) for c in _c], _lr), 4, "ln|log"),
    ("order", None, _slope(_lc, [log(1 / t) for t in _t]), 4, "ln|log"),
    ("order", None, "1", "", "= right"),
    ("order", None, "1.0", "", "= right"),
    ("order", None, "1.03", "", "= right"),
    ("order", None, "1.033", "", "= right"),
)

_T = [21.9, 40.025, 59.875, 69.525]
_time = [83.45, 29.65, 11.05, 7.15]
_inv = [1 / (t + 273.15) for t in _T]
_lnr = [log(1 / t) for t in _time]
_B = _slope(_inv, _lnr)
_ARRHENIUS = answers(
    "rate-temperature",
    ("E_a", None, -_B / 1000, 4, "gas constant|R"),
    ("E_a", None, -_B, 4, "gas constant|R|thousand"),
    ("E_a", None, _B * 8.31446 / 1000, 4, "sign"),
    ("E_a", None, -_B * 8.31446, 5, "thousand|J"),
    ("E_a", None, -_B * 0.082057 / 1000, 4, "gas constant|R"),
    ("E_a", None, -_B * 1.987 / 1000, 4, "gas constant|calor|R"),
    ("E_a", None, -_slope([1 / t for t in _T], _lnr) * 8.31446 / 1000, 4, "kelvin|273|°C"),
    ("E_a", None, -_B * 8.31446 / 1000 / log(10), 4, "log"),
    ("E_a", None, -_slope(_inv, [log(t) for t in _time]) * 8.31446 / 1000, 4, "time|rate|sign"),
    ("E_a", None, -_slope(_inv, [*_lnr[:2], log(1 / ((19.0 + 11.2) / 2)), _lnr[3]]) * 8.31446 / 1000, 5, "digits"),
    ("E_a", None, -_slope(_inv, [_lnr[0], log(1 / ((92.1 + 30.2) / 2)), *_lnr[2:]]) * 8.31446 / 1000, 5, "digits"),
    ("E_a", None, -_slope(_inv, [*_lnr[:3], log(1 / ((7.3 + 0.7) / 2))]) * 8.31446 / 1000, 5, "digits|decimal|7"),
    ("Q_10", None, exp(43.3675 / 8.31446 * (1 / 293.15 - 1 / 303.15)), 5, "thousand|unit|kJ"),
    ("Q_10", None, 1 / 1.79845, 4, "turned|wrong way|sign"),
    ("Q_10", None, log(1.79845), 4, "exp|log"),
    ("Q_10", None, 43367.5 / 8.31446 * (1 / 293.15 - 1 / 303.15), 4, "exp|log"),
    ("E_a", None, "43.4", "", "= right"),
    ("E_a", None, "43000", "J/mol", "= right"),
    ("E_a", None, "43.37", "kJ/mol", "= right"),
    ("E_a", None, "43", "kJ/mol", "= right"),
    ("Q_10", None, "1.8", "", "= right"),
)

ANSWERS: tuple[Answer, ...] = (*_NERNST, *_VOLTAIC, *_ORDER, *_ARRHENIUS)
