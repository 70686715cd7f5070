"""Food in flame, melting ice, neutralisation."""

from tests.teacher import Answer, answers

# 60.4 mL by 27.7 K with 1.07 g, 59.8 mL by 26.8 K with 1.06 g; 10 pieces 13.62 g; label 160 kcal for 24
_e = (0.0604 * 27.7 / 1.07, 0.0598 * 26.8 / 1.06)
_mean = sum(_e) / 2
_FOOD = answers(
    "food-calorimetry",
    ("e", None, (0.0604 * 27.7 / 1.38 + 0.0598 * 26.8 / 1.33) / 2, 4, "left|rest|subtracted|residue"),
    (
        "e",
        None,
        (0.0604 * 49.3 / 1.07 + 0.0598 * 48.7 / 1.06) / 2,
        4,
        "subtracted|end|final|before|instead of the rise",
    ),
    ("e", None, (0.0604 * 300.85 / 1.07 + 0.0598 * 299.95 / 1.06) / 2, 4, "273"),
    ("e", None, _mean * 4.184, 4, "joule|kJ|kilocal|4.184"),
    ("e", None, _mean * 4184, 4, "joule|kilocal|J"),
    ("e", None, _mean / 4.184, 4, "joule|kJ|kilocal|4.184|heat capacity|specific"),
    ("e", None, _e[0], 4, "alone"),
    ("e", None, _e[1], 4, "alone"),
    ("e", None, (0.0604 * 27.7 + 0.0598 * 26.8) / 2, 4, "divided|mass|gram"),
    ("e", None, (1.07 / (0.0604 * 27.7) + 1.06 / (0.0598 * 26.8)) / 2, 4, "turned"),
    ("e", None, (0.0604 * (49.3 - 26.1) / 1.07 + 0.0598 * 26.8 / 1.06) / 2, 4, "digits"),
    ("e", None, (0.0604 * (49.3 - 21.6) / (1.38 - 0.13) + 0.0598 * 26.8 / 1.06) / 2, 4, "digits"),
    ("e", None, (0.0640 * 27.7 / 1.07 + 0.0598 * 26.8 / 1.06) / 2, 5, "digits"),
    ("e", None, _mean * 1000, 4, "thousand|kilocalorie"),
    ("e", None, (0.0604 * 27.7 / 1.07 + 0.0598 * 26.8 / 1.06), 4, "sum|divided|added"),
    ("E_piece", None, _mean, 4, "piece|mass|gram"),
    ("E_piece", None, _mean * 13.62, 4, "ten|pieces|divided|decimal"),
    ("E_piece", None, _mean * 1.07, 4, "= unexplained"),
    ("w", None, _mean * 1.362 / 160 * 100, 4, "label|pieces|24"),
    ("w", None, _mean * 1.362 / (160 / 24), 4, "fraction|per cent"),
    ("w", None, 160 / 24 / (_mean * 1.362) * 100, 4, "turned"),
    ("w", None, _mean / (160 / 24) * 100, 4, "piece|gram|mass"),
    ("e", None, "1.54", "", "= right"),
    ("e", None, "6.43", "kJ/g", "= right"),
    ("e", None, "1.5", "kcal/g", "= right"),
    ("e", None, "6434", "J/g", "= right"),
    ("e", None, "1538", "cal/g", "= right"),
    ("E_piece", None, "2.09", "kcal", "= right"),
    ("w", None, "31", "%", "= right"),
    ("w", None, "30", "", "= unexplained|figures"),
)

# 238.46 g, 24.8 → 10.2 °C, 38.85 g of ice; 241.02 g, 24.6 → 10.6 °C, 37.53 g of ice; cup 10 J/K


def _fusion(m: float, dt: float, ice: float, end: float, cup: float = 10, c: float = 4.184, warm: float = 1) -> float:
    return ((m * c + cup) * dt - warm * ice * c * end) / 1000 / (ice / 18.015)


_H = (_fusion(238.46, 14.6, 38.85, 10.2), _fusion(241.02, 14.0, 37.53, 10.6))
_ICE = answers(
    "heat-of-fusion",
    (
        "H",
        None,
        (_fusion(238.46, 14.6, 38.85, 10.2, warm=0) + _fusion(241.02, 14, 37.53, 10.6, warm=0)) / 2,
        4,
        "warm|melted|water",
    ),
    ("H", None, (_fusion(238.46, 14.6, 38.85, 10.2, cup=0) + _fusion(241.02, 14, 37.53, 10.6, cup=0)) / 2, 5, "cup"),
    (
        "H",
        None,
        (_fusion(238.46, 14.6, 38.85, 10.2, cup=0, warm=0) + _fusion(241.02, 14, 37.53, 10.6, cup=0, warm=0)) / 2,
        4,
        "simple|cup.*warm|warm.*cup",
    ),
    ("H", None, (_H[0] + _H[1]) / 2 / 18.015, 4, "molar mass|mole|gram"),
    ("H", None, _H[0], 5, "alone"),
    ("H", None, sum(_H), 4, "sum|added|divided"),
    ("H", None, -(_H[0] + _H[1]) / 2, 4, "sign"),
    ("H", None, (_H[0] + _H[1]) / 2 * 1000, 4, "thousand|J"),
    ("H", None, (_fusion(283.46, 14.6, 277.31 - 283.46, 10.2) + _H[1]) / 2, 5, "digits"),
    ("H", None, (_fusion(238.46, 24.8 - 12.0, 38.85, 12.0) + _H[1]) / 2, 5, "digits"),
    ("H", None, (_fusion(238.46, 24.8 - 1.02, 38.85, 1.02) + _H[1]) / 2, 5, "digits|decimal"),
    ("H", None, (_fusion(238.46, 28.4 - 10.2, 38.85, 10.2) + _H[1]) / 2, 5, "digits"),
    ("H", None, (_H[0] * 16 + _H[1] * 16) / 2 / 18.015, 4, "molar mass"),
    ("H", None, (_fusion(238.46, 287.75, 38.85, 10.2) + _fusion(241.02, 287.15, 37.53, 10.6)) / 2, 4, "273"),
    ("simple", None, 6.754657, 5, "alone"),
    ("simple", None, (_H[0] + _H[1]) / 2, 4, "full|warm|cup|balance"),
    ("H", None, "6.05", "", "= right"),
    ("H", None, "6050", "J/mol", "= right"),
    ("H", None, "6.0", "kJ/mol", "= right"),
    ("H", None, "6", "kJ/mol", "= figures"),
    ("simple", None, "6.77", "", "= right"),
)

# 50.00 + 50.00 mL, ΔT 6.516 and 6.609 K, 1.02 g/mL, 4.184 J/(g·K), cup 10 J/K, 0.0500 mol
_dT = (6.51619, 6.609286)
_each = [-(102 * 4.184 + 10) * t / 1000 / 0.05 for t in _dT]
_REACTION = answers(
    "heat-of-reaction",
    ("H", None, -sum(_each) / 2, 4, "sign"),
    ("H", None, _each[0], 4, "alone"),
    ("H", None, -sum(102 * 4.184 * t for t in _dT) / 2 / 1000 / 0.05, 4, "cup"),
    ("H", None, -sum((100 * 4.184 + 10) * t for t in _dT) / 2 / 1000 / 0.05, 4, "density"),
    ("H", None, -sum((51 * 4.184 + 10) * t for t in _dT) / 2 / 1000 / 0.05, 4, "one|both|base|half|acid|volume"),
    ("H", None, sum(_each) / 2 * 0.05, 4, "amount|divided|mole"),
    ("H", None, sum(_each) / 2 * 0.05 / 0.055, 4, "base|lesser|excess|limit"),
    ("H", None, sum(_each) / 2 * 1000, 4, "thousand"),
    (
        "H",
        None,
        -sum((102 * 4.184 + 10) * t for t in (27.91619, 28.13429)) / 2 / 1000 / 0.05,
        4,
        "subtracted|after|final|end temperature",
    ),
    ("H", None, -sum((102 * 4.184 + 10) * (t + 273.15) for t in _dT) / 2 / 1000 / 0.05, 4, "273"),
    ("H", None, -sum((102 * 1 + 10) * t for t in _dT) / 2 / 1000 / 0.05, 4, "specific|heat capacity|4.184|left out"),
    ("H", None, sum(_each), 4, "sum|added|divided"),
    ("H", None, sum(_each) / 2 / 4.184, 4, "kilocal|kcal|calorie"),
    ("H", None, "-57.3", "", "= right"),
    ("H", None, "-57", "kJ/mol", "= right"),
    ("H", None, "-57300", "J/mol", "= right"),
    ("H", None, "-57327", "J/mol", "= right"),
    ("H", None, "−57.33", "", "= right"),
    ("H", None, "-13.7", "kcal/mol", "= right"),
)

ANSWERS: tuple[Answer, ...] = (*_FOOD, *_ICE, *_REACTION)
