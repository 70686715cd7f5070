"""A line of standards and what is read off it."""

import numpy as np

from tests.teacher import Answer, answers


def _line(x: list[float], y: list[float]) -> tuple[float, float]:
    slope, intercept = np.polyfit(x, y, 1)
    return float(slope), float(intercept)


def _origin(x: list[float], y: list[float]) -> float:
    return float(np.dot(x, y) / np.dot(x, x))


# Stock 0.01000 mol/L, 2 to 8 mL in 10 mL; unknown 0.412 after dilution 10 in 50, 0.893 before
_x, _y = [0.002, 0.004, 0.006, 0.008], [0.163, 0.321, 0.487, 0.643]
_b, _a = _line(_x, _y)
_c = (0.412 - _a) / _b
_BEER = answers(
    "beer-lambert",
    ("c", 1, _c, 4, "dilut"),
    ("c", 1, _c / 5, 4, "dilut"),
    ("c", 1, (0.412 / _b) * 5, 5, "intercept"),
    ("c", 1, (0.893 - _a) / _b * 5, 4, "first|undiluted|0.893"),
    ("c", 1, (0.893 - _a) / _b, 4, "first|undiluted|0.893|dilut"),
    ("c", 1, (0.421 - _a) / _b * 5, 4, "digits"),
    ("c", 1, (0.412 * _b + _a) * 5, 4, "line|turned|read off|other way"),
    ("c", 1, _c * 5 * 1000, 4, "thousand"),
    ("c", 1, _c * 6, 4, "dilut|added"),
    ("c", 1, _c * 4, 4, "dilut|subtracted|= unexplained"),
    ("c", 1, "25.5", "mmol/L", "= right"),
    ("c", 1, "0.0255", "", "= right"),
    ("c", 1, "0.02553", "mol/L", "= right"),
    ("c", 1, "2.6e-2", "", "= right"),
    ("c", 1, 5 * 0.0051, 4, "= rounded|right"),
)

# Stock 0.2000 mol/L, 2 to 8 mL in 10 mL; 0.9127 g in 50.00 mL, diluted 25 in 50; 0.413
_bx, _by = [0.04, 0.08, 0.12, 0.16], [0.187, 0.369, 0.561, 0.742]
_bb, _ba = _line(_bx, _by)
_cu = (0.413 - _ba) / _bb
_w = _cu * 2 * 0.05 * 63.546 / 0.9127 * 100
_BRASS = answers(
    "metal-in-alloy",
    ("w", None, _w / 2, 4, "dilut"),
    ("w", None, _w / 4, 4, "dilut"),
    ("w", None, _w * (0.413 / _bb) / _cu, 4, "intercept"),
    ("w", None, _w * 65.38 / 63.546, 4, "molar mass"),  # zinc
    ("w", None, _w * 58.693 / 63.546, 4, "molar mass"),  # nickel
    ("w", None, _w * 29 / 63.546, 4, "molar mass|atomic number"),
    ("w", None, _w * 0.9127 / 0.9217, 4, "digits"),
    ("w", None, _w * 0.9127 / 0.9172, 5, "digits"),
    ("w", None, _w / 100, 4, "fraction|per cent"),
    ("w", None, 10000 / _w, 4, "turned"),
    ("w", None, _w / 63.546, 4, "molar mass|moles"),
    ("w", None, _w / 0.05, 4, "volume|flask|litre"),
    ("w", None, _w * 20, 4, "volume|flask|litre"),
    ("w", None, _w * 1000, 5, "thousand"),
    ("w", None, (0.431 - _ba) / _bb * _w / _cu, 4, "digits"),
    ("w", None, _w * 0.9127, 4, "mass|divided|alloy"),
    ("w", None, "61.9", "", "= right"),
    ("w", None, "62", "%", "= right"),
    ("w", None, "0.619", "g/g", "= right"),
)

# Iodine: line of 0.1 to 0.8 mmol/L; 0.228 and 0.233 in 100 mL; 30.03 and 30.36 C
_ix, _iy = [0.1, 0.2, 0.4, 0.6, 0.8], [0.076, 0.149, 0.302, 0.447, 0.601]
_ib, _ia = _line(_ix, _iy)
_ci = [(a - _ia) / _ib for a in (0.228, 0.233)]
_ne = [q / 96485.33 * 1000 for q in (30.03, 30.36)]
_z = [n / (c * 0.1) for n, c in zip(_ne, _ci, strict=True)]
_COULOMETRY = answers(
    "coulometry-iodine",
    ("z", None, _z[0], 5, "alone"),
    ("z", None, _z[1], 5, "alone"),
    ("z", None, sum(n / c for n, c in zip(_ne, _ci, strict=True)) / 2, 4, "volume|decimal|divided by"),
    ("z", None, sum(1 / z for z in _z) / 2, 4, "turned"),
    ("z", None, sum(_z) / 120, 4, "min|60|seconds"),
    ("z", None, sum(_z), 4, "sum|added|divided"),
    ("z", None, sum(_z) / 2 * 1000, 4, "thousand"),
    ("z", None, sum(_z) / 2 * 2, 4, "sum|added|divided|twice|= unexplained"),
    ("z", None, sum(n / (a / _ib * 0.1) for n, a in zip(_ne, (0.228, 0.233), strict=True)) / 2, 5, "intercept"),
    (
        "z",
        None,
        (_ne[0] * 0.102 / 0.1001 / (_ci[0] * 0.1) + _ne[1] * 0.104 / 0.1012 / (_ci[1] * 0.1)) / 2,
        5,
        "first|start",
    ),
    ("z", None, (_ne[0] / ((0.282 - _ia) / _ib * 0.1) + _z[1]) / 2, 5, "digits"),
    ("z", None, "10", "", "= right"),
    ("z", None, "10.2", "", "= right"),
    ("z", None, "10.19", "", "= right"),
)

# Solubility: 59.4, 58.7, 59.8 %T; line of 24 to 192 µmol/L; two to one: K = 2 c³ for the ratio 2 : 1 as here
_sx = [24e-6, 48e-6, 96e-6, 144e-6, 192e-6]
_sy = [2 - np.log10(t) for t in (82.2, 67.8, 46.1, 31.1, 21.3)]
_sb, _sa = _line(_sx, [float(y) for y in _sy])
_s = [(2 - float(np.log10(t)) - _sa) / _sb for t in (59.4, 58.7, 59.8)]
_K = [(2 * s) ** 2 * s for s in _s]
_SOLUBILITY = answers(
    "solubility-product",
    ("K", None, sum(s * s * s for s in _s) / 3, 4, "twice|two|partner|stoich|ratio|left out|factor"),
    ("K", None, sum(2 * s * s for s in _s) / 3, 4, "square|power|exponent"),
    ("K", None, sum(2 * s * s * s for s in _s) / 3, 4, "square|power|bracket|twice"),
    ("K", None, sum((s / 2) ** 2 * s for s in _s) / 3, 4, "other way|turned|half|divided"),
    ("K", None, _K[0], 4, "alone"),
    ("K", None, sum(_K), 4, "sum|added|divided"),
    ("K", None, sum(_K) / 3 * 1e9, 4, "thousand|unit|milli"),
    ("K", None, sum(4 * (t * 1e6) ** 3 for t in _s) / 3, 4, "unit|micro|million|thousand"),
    ("K", None, (4 * ((2 - float(np.log10(54.9)) - _sa) / _sb) ** 3 + _K[1] + _K[2]) / 3, 4, "digits"),
    ("K", None, "1.08e-12", "", "= right"),
    ("K", None, "1.1e-12", "", "= right"),
    ("K", None, "1.076·10^-12", "", "= right"),
)

ANSWERS: tuple[Answer, ...] = (*_BEER, *_BRASS, *_COULOMETRY, *_SOLUBILITY)
