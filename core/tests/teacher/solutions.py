"""Molarity series, calibration of a pipette."""

from tests.teacher import Answer, answers

# 6.03, 11.96, 24.11 g of sucrose, each in the whole vessel of 342.6 mL (three portions of 100.0 mL and 42.6 mL)
_M, _V = 342.297, 342.6
_c = [m / _M / _V * 1000 for m in (6.03, 11.96, 24.11)]

_MOLARITY = answers(
    "molarity-series",
    ("c", 1, 6.30 / _M / 0.3426, 4, "digits"),
    ("c", 2, 11.69 / _M / 0.3426, 4, "digits"),
    ("c", 2, 19.16 / _M / 0.3426, 4, "digits"),
    ("c", 3, 21.41 / _M / 0.3426, 4, "digits"),
    ("c", 1, 6.03 / 180.156 / 0.3426, 4, "molar mass"),  # glucose
    ("c", 3, 24.11 / 180.156 / 0.3426, 4, "molar mass"),
    ("c", 1, 6.03 / 0.3426, 4, "molar mass|grams"),
    ("c", 2, 11.96 / 0.3426, 4, "molar mass|grams"),
    ("c", 1, 6.03 / _M / 342.6, 4, "thousand|mL|litre"),
    ("c", 1, 6.03 / _M, 4, "divided|volume"),
    ("c", 3, 24.11 / _M, 4, "divided|volume"),
    ("c", 1, 6.03 / _M * 0.3426, 4, "multiplied|inverted|turned"),
    ("c", 2, 0.3426 / (11.96 / _M), 4, "turned over|wrong way"),
    ("c", 1, 6.03 * _M / 0.3426, 5, "multiplied|instead of divided|turned"),
    ("c", 1, 6.03 / _M / 0.3000, 4, "last|portion|left out"),
    ("c", 2, 11.96 / _M / 0.1000, 4, "portion"),
    ("c", 3, 11.96 / _M / 0.3426, 4, "weighed|trial 2|another|vessel|solution 2|mass of"),
    ("gamma", 1, 6.03, 3, "divided|volume"),
    ("gamma", 1, 6.03 / 342.6, 4, "thousand|mL|litre"),
    ("gamma", 2, 11.69 / 0.3426, 4, "digits"),
    ("gamma", 3, 24.11 / 0.3000, 4, "portion|left out"),
    ("ratio", None, _c[0] / _c[2], 4, "turned over|wrong way"),
    ("ratio", None, _c[1] / _c[0], 4, "second|vessel 2|another"),
    ("ratio", None, _c[2] - _c[0], 4, "difference|subtracted"),
    ("c", 1, "51.4", "mmol/L", "= right"),
    ("c", 1, "0.0514", "", "= right"),
    ("c", 2, "0.10199", "mol/L", "= right"),
    ("c", 3, "2.06e-1", "", "= right"),
    ("gamma", 1, "17.6", "mg/mL", "= right"),
    ("gamma", 1, "17.60", "", "= right"),
    ("ratio", None, "4.0", "", "= right"),
    ("ratio", None, "4", "", "= right"),
    ("c", 1, 0.018 / 0.3426, 4, "round"),
    ("c", 1, 0.0176 / 0.3426, 4, "= rounded"),
)

# Water at 21.4 °C: 1.003153 mL for a gram in air. Means of ten: 0.49861, 0.99693, 2.98760 g.
_Z = 1.003153
_CALIBRATION = answers(
    "volumetric-calibration",
    ("V_mean", 1, 0.49861, 5, "mass|density|gram|1 g"),
    ("V_mean", 2, 0.99693, 5, "mass|density|gram|1 g"),
    ("V_mean", 3, 2.98760 / _Z, 5, "divided|turned|instead"),
    ("V_mean", 1, 4.9861 * _Z, 5, "divided|sum|ten|decimal point"),
    ("V_mean", 3, 29.876 * _Z, 5, "divided|sum|ten|decimal point"),
    ("error_r", 2, 0.00007327 * 100, 4, "= right"),
    ("error_r", 3, "-0.0993", "%", "= right"),
    ("error_r", 3, 0.0993, 3, "sign|wrong way|less the measured"),
    ("error_r", 3, -0.000993, 3, "fraction|per cent|thousand"),
    ("error_r", 1, (0.49861 - 0.5) / 0.5 * 100, 3, "mass|density|gram|1 g"),
    ("error_r", 3, (2.9876 - 3) / 3 * 100, 3, "mass|density|gram|1 g"),
    ("V_mean", 2, "1.0001", "mL", "= right"),
    ("V_mean", 2, "1000.1", "µL", "= right"),
    ("V_mean", 3, "2.997", "", "= right"),
    ("s", 1, "0.00052", "mL", "= right"),
    ("s", 1, "0.52", "µL", "= right"),
    ("s", 2, 0.0005753937 * 0.9**0.5, 4, "n|degrees|one less"),
    ("s", 3, 0.001163158 / 10**0.5, 4, "mean|root"),
)

ANSWERS: tuple[Answer, ...] = (*_MOLARITY, *_CALIBRATION)
