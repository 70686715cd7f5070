"""Gas over water: a metal in the tube, an alloy in the flask."""

from tests.teacher import Answer, answers

# 1009.4 hPa; 0.0361 g Mg, 37.36 mL, column 86.5 mm, 21.4 °C; 0.0348 g, 36.15 mL, 93.0 mm, 21.6 °C.
# Water: 997.96 and 997.91 kg/m³, vapour 2.550 and 2.581 kPa.
_p, _M = 100.94, 24.305
_col = (0.8465, 0.91007)
_w = (2.5499, 2.5814)
_m, _V, _T = (0.0361, 0.0348), (37.36, 36.15), (294.55, 294.75)


def _each(
    p1: float,
    p2: float,
    m: tuple[float, float] = _m,
    v: tuple[float, float] = _V,
    t: tuple[float, float] = _T,
    molar: float = _M,
) -> tuple[float, float]:
    return p1 * v[0] / (m[0] / molar * 1000 * t[0]), p2 * v[1] / (m[1] / molar * 1000 * t[1])


def _mean(pair: tuple[float, float]) -> float:
    return sum(pair) / 2


_dry = (_p - _col[0] - _w[0], _p - _col[1] - _w[1])
_R = _mean(_each(*_dry))
_EUDOMETER = answers(
    "gas-eudometer",
    ("R_mean", None, _mean(_each(_dry[0] + _w[0], _dry[1] + _w[1])), 4, "vapour"),
    ("R_mean", None, _mean(_each(_dry[0] + 2 * _w[0], _dry[1] + 2 * _w[1])), 4, "vapour"),
    ("R_mean", None, _mean(_each(_dry[0] + _col[0], _dry[1] + _col[1])), 4, "column"),
    ("R_mean", None, _mean(_each(_dry[0] + 2 * _col[0], _dry[1] + 2 * _col[1])), 4, "column"),
    (
        "R_mean",
        None,
        _mean(_each(_dry[0] + _w[0] + _col[0], _dry[1] + _w[1] + _col[1])),
        4,
        "vapour.*column|column.*vapour|barometer",
    ),
    ("R_mean", None, _mean(_each(*_dry, t=(21.4, 21.6))), 4, "kelvin|273|°C"),
    ("R_mean", None, _mean(_each(_dry[0] + 0.385, _dry[1] + 0.385)), 5, "standard pressure|1 atm|101"),
    ("R_mean", None, _mean(_each(*_dry, molar=12)), 4, "molar mass|atomic number"),
    ("R_mean", None, _mean(_each(*_dry, molar=26.982)), 4, "molar mass"),
    ("R_mean", None, _mean(_each(*_dry, molar=22.990)), 4, "molar mass"),
    ("R_mean", None, _mean(_each(*_dry, molar=40.304)), 4, "molar mass"),  # the oxide
    ("R_mean", None, _mean(_each(*_dry, molar=1)) / 1, 4, "molar mass|grams|moles"),
    ("R_mean", None, _each(*_dry)[0], 4, "alone"),
    ("R_mean", None, _each(*_dry)[1], 5, "alone"),
    ("R_mean", None, sum(_each(*_dry)), 4, "divided|sum|added"),
    ("R_mean", None, _mean(_each(*_dry, m=(0.0316, 0.0348))), 5, "digits"),
    ("R_mean", None, _mean(_each(*_dry, m=(0.0361, 0.0384))), 5, "digits"),
    ("R_mean", None, _mean(_each(*_dry, v=(37.63, 36.15))), 5, "digits"),
    ("R_mean", None, _mean(_each(*_dry, v=(37.36, 36.51))), 5, "digits"),
    ("R_mean", None, _mean(_each(_dry[0] + 9, _dry[1] + 9)), 5, "= unexplained"),
    ("R_mean", None, _R * 1000, 4, "thousand"),
    ("R_mean", None, _R / 1000, 4, "thousand"),
    ("R_mean", None, 1 / _R, 4, "turned"),
    ("R_mean", None, _mean(_each(*_dry, t=(294.55 + 273.15, 294.75 + 273.15))), 4, "273|twice|kelvin"),
    ("R_mean", None, _mean(_each(_dry[0] - 0.0, _dry[1], t=(273.15, 273.15))), 4, "0 °C|273|standard|temperature"),
    ("R_mean", None, "8.34", "J/(mol*K)", "= right"),
    ("R_mean", None, "8.34", "L*kPa/(mol*K)", "= right"),
    ("R_mean", None, "0.0823", "L*atm/(mol*K)", "= right"),
    ("R_mean", None, "8.3", "", "= right"),
    ("R_mean", None, "8.339", "", "= right"),
    ("R_mean", None, _mean(_each(*_dry, m=(0.036, 0.035))), 4, "round"),
    ("R_mean", None, _mean(_each(91.3, 92.7)), 4, "= unexplained"),
)

# 1006.2 hPa, 20.8 °C, vapour 2.458 kPa; 0.486 g and 0.471 g of zinc and aluminium; 231.27 and 223.05 mL
_n = (98.162 * 231.267 / (8.31446 * 293.95), 98.162 * 223.052 / (8.31446 * 293.95))


def _share(n: float, m: float, zn: float = 65.38, al: float = 26.982) -> float:
    return (n / 1000 - m / zn) / (1.5 / al - 1 / zn) / m * 100


def _al(
    n: tuple[float, float] = _n, m: tuple[float, float] = (0.486, 0.471), zn: float = 65.38, al: float = 26.982
) -> float:
    return (_share(n[0], m[0], zn, al) + _share(n[1], m[1], zn, al)) / 2


_ALLOY = answers(
    "alloy-by-gas",
    ("w_Al", None, _al((_n[0] * 100.62 / 98.162, _n[1] * 100.62 / 98.162)), 4, "vapour"),
    ("w_Al", None, _al((_n[0] * 293.95 / 20.8, _n[1] * 293.95 / 20.8)), 4, "kelvin|273|°C"),
    ("w_Al", None, _al((_n[0] * 98.867 / 98.162, _n[1] * 98.867 / 98.162)), 4, "standard pressure|1 atm|101"),
    ("w_Al", None, _share(_n[0], 0.486), 4, "alone"),
    ("w_Al", None, _share(_n[1], 0.471), 4, "alone"),
    ("w_Al", None, _al(m=(0.468, 0.471)), 4, "digits"),
    ("w_Al", None, _al(m=(0.486, 0.417)), 5, "digits"),
    (
        "w_Al",
        None,
        (_n[0] / 1000 - 0.486 / 65.38) / (1 / 26.982 - 1 / 65.38) / 0.486 * 50
        + (_n[1] / 1000 - 0.471 / 65.38) / (1 / 26.982 - 1 / 65.38) / 0.471 * 50,
        4,
        "aluminium|3|ratio|equation|one hydrogen",
    ),
    ("w_Al", None, _al(zn=63.546), 4, "molar mass"),
    ("w_Al", None, _al(zn=30), 4, "molar mass|atomic number"),
    ("w_Al", None, _al(al=13), 4, "molar mass|atomic number"),
    ("w_Al", None, _al() / 100, 4, "fraction|per cent"),
    ("w_Al", None, 100 - _al(), 4, "zinc|other|rest|100"),
    ("w_Zn", None, _al(), 4, "aluminium|other|rest|100|subtracted"),
    ("w_Zn", None, 100 + _al(), 5, "added"),
    ("w_Al", None, "9.36", "", "= right"),
    ("w_Al", None, "9.4", "%", "= right"),
    ("w_Zn", None, "90.6", "", "= right"),
    ("w_Zn", None, "91", "%", "= right"),
)

ANSWERS: tuple[Answer, ...] = (*_EUDOMETER, *_ALLOY)
