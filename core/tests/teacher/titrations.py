"""Titrations: acid and base, back titration, ion exchange, potentiometric, standardisation."""

from tests.teacher import Answer, answers

# 20.00 mL of a sample diluted 1 in 5; 18.25 and 18.31 mL of 0.1026 mol/L; malic acid, two protons, 134.087 g/mol
_c, _M = 0.1026 * 18.28 * 5 / (2 * 20), 134.087
_ACID = answers(
    "acid-base-titration",
    ("c_s", None, 0.1026 * (18.74 - 0.22 + 18.31) / 2 * 5 / 40, 5, "digits"),
    ("c_s", None, 0.1026 * (18.25 + 19.36 - 1.50) / 2 * 5 / 40, 5, "digits"),
    ("c_s", None, 0.1062 * 18.28 * 5 / 40, 5, "digits"),
    ("c_s", None, 0.1026 * 18.28 * 5 / 20, 4, "protons|ratio|left out|z"),
    ("c_s", None, 0.1026 * 18.28 / 40, 4, "dilut"),
    ("c_s", None, 0.1026 * 18.28 / 5 / 40, 4, "dilut"),
    ("c_s", None, 0.1026 * 20 * 5 / (2 * 18.28), 4, "swapped|turned|volumes"),
    ("c_s", None, 0.1026 * (18.47 + 19.36) / 2 * 5 / 40, 4, "final|subtracted|end"),
    ("c_s", None, 0.1026 * 18.25 * 5 / 40, 5, "alone"),
    ("c_s", None, 0.1026 * 18.31 * 5 / 40, 5, "alone"),
    ("c_s", None, 0.1026 * (18.7 + 18.25 + 18.31) / 3 * 5 / 40, 4, "rough"),
    ("c_s", None, 0.1026 * (18.25 + 18.31) * 5 / 40, 4, "divided|added|sum"),
    ("c_s", None, 0.1026 * 18.28 * 5 * 2 / 20, 4, "multiplied|other way|turned|ratio|protons"),
    ("c_s", None, 0.1026 * 18.28 * 5 / (2 * 20) * 1000, 4, "thousand|millilitres"),
    ("c_s", None, 0.1026 * 18.28 / 1000 * 5 / 2, 4, "volume|divided"),
    ("c_s", None, 0.1026 * 18.28 * 5 / (2 * 25), 4, "= unexplained"),
    ("gamma", None, _c / _M, 4, "divided|turned|other way"),
    ("gamma", None, _c * 133.079, 5, "molar mass"),  # without one hydrogen
    ("gamma", None, _c * 143.087, 4, "digits|molar mass"),
    ("gamma", None, _c, 4, "molar mass|amount"),
    ("w_v", None, 31.435, 4, "ten|100"),
    ("m_dose", None, 31.435 * 10, 4, "thousand|litre|mL"),
    ("m_dose", None, 3.1435, 4, "ten|decimal|dose|100"),
    ("c_s", None, "0.2344", "", "= right"),
    ("c_s", None, "234", "mmol/L", "= right"),
    ("c_s", None, "0,234", "", "= right"),
    ("gamma", None, "31.4", "", "= right"),
    ("gamma", None, "31435", "mg/L", "= right"),
    ("gamma", None, "31.4", "mg/mL", "= right"),
    ("c_s", None, 0.1026 * 18.3 * 5 / 40, 4, "= rounded"),
    ("c_s", None, 0.1026 * 18 * 5 / 40, 4, "round"),
    ("c_s", None, 0.10 * 18.28 * 5 / 40, 4, "round"),
)

# Acid 48.50 and 48.20 mL of 0.1018, back with 12.73 and 13.82 mL of 0.0992; 0.3539 and 0.3408 g of 1.3120 g
_n = (0.1018 * 48.5 - 0.0992 * 12.73, 0.1018 * 48.2 - 0.0992 * 13.82)
_q = (_n[0] / 0.3539 + _n[1] / 0.3408) / 2
_BACK = answers(
    "back-titration",
    ("q_mean", None, ((0.1018 * 48.5) / 0.3539 + (0.1018 * 48.2) / 0.3408) / 2, 4, "back|subtracted"),
    ("q_mean", None, ((0.0992 * 12.73) / 0.3539 + (0.0992 * 13.82) / 0.3408) / 2, 4, "back|base|left|not"),
    ("q_mean", None, _n[0] / 0.3539, 5, "alone"),
    ("q_mean", None, (_n[0] + _n[1]) / 2, 4, "divided|mass"),
    ("q_mean", None, (_n[0] / 0.3359 + _n[1] / 0.3408) / 2, 5, "digits"),
    ("q_mean", None, ((0.1018 * 48.5 - 0.0992 * (18.28 - 0.15)) / 0.3539 + _n[1] / 0.3408) / 2, 5, "digits"),
    ("q_mean", None, ((0.1018 * 48.5 - 0.0992 * (21.88 - 0.15)) / 0.3539 + _n[1] / 0.3408) / 2, 5, "digits"),
    ("q_mean", None, (_n[0] / (12.8841 - 12.5032) + _n[1] / (12.5032 - 12.1894)) / 2, 5, "digits"),
    (
        "q_mean",
        None,
        ((0.1018 * 48.5 + 0.0992 * 12.73) / 0.3539 + (0.1018 * 48.2 + 0.0992 * 13.82) / 0.3408) / 2,
        4,
        "added",
    ),
    ("n_tablet", None, _q, 4, "tablet|mass|left out"),
    ("n_tablet", None, _q / 1.3120, 4, "divided|turned|other way"),
    ("n_tablet", None, _q * 1.3210, 5, "digits"),
    ("n_tablet", None, _q * 1.3120 / 1000, 4, "thousand"),
    ("m_k", None, _q * 1.3120 * 100.087, 5, "two|half|divided|2"),
    ("m_k", None, _q * 1.3120 * 60.009 / 2, 4, "molar mass"),  # the ion for the salt
    ("m_k", None, _q * 1.3120 * 68.086 / 2, 4, "molar mass"),  # one oxygen
    ("m_k", None, _q * 1.3120 / 100.087 / 2, 4, "divided|turned|other way"),
    ("worth", None, _q * 1.3120 * 0.20, 4, "multiplied|other way|turned"),
    ("q_mean", None, "10.4", "mmol/g", "= right"),
    ("n_tablet", None, "0.01362", "mol", "= right"),
    ("m_k", None, "0.681", "g", "= right"),
    ("m_k", None, "681", "", "= right"),
    ("m_k", None, "680", "", "= right"),
)

# 33.16 and 33.22 mL of 0.0502 on 10.00 of 50.00 mL; 0.7453 g; three H⁺ for each complex; cobalt
_n1, _n2 = 0.0502 * 33.16 * 5 / 3, 0.0502 * 33.22 * 5 / 3
_EXCHANGE = answers(
    "ion-exchange-titration",
    ("M_mean", None, (745.3 / (_n1 / 5) + 745.3 / (_n2 / 5)) / 2, 5, "aliquot|flask|left out|five"),
    ("M_mean", None, (745.3 / (_n1 * 3) + 745.3 / (_n2 * 3)) / 2, 4, "charge|three|left out|each H"),
    ("M_mean", None, (745.3 / (_n1 * 9) + 745.3 / (_n2 * 9)) / 2, 4, "charge|other way|multiplied"),
    ("M_mean", None, 745.3 / _n1, 5, "alone"),
    ("M_mean", None, (1 / (745.3 / _n1) + 1 / (745.3 / _n2)) / 2, 4, "turned"),
    ("M_mean", None, (745.3 / _n1 + 745.3 / _n2) / 2 / 1000, 4, "thousand"),
    ("M_mean", None, (14228.5 / _n1 + 14228.5 / _n2) / 2, 5, "subtracted|after|vial"),
    ("M_mean", None, (787.4 / _n1 + 787.3 / _n2) / 2, 5, "= unexplained"),
    ("M_mean", None, (754.3 / _n1 + 754.3 / _n2) / 2, 5, "digits"),
    ("w", None, (_n1 + _n2) / 2 * 58.693 / 745.3 * 100, 4, "molar mass"),  # nickel, the neighbour
    ("w", None, (_n1 + _n2) / 2 * 55.845 / 745.3 * 100, 4, "molar mass"),  # iron
    ("w", None, (_n1 + _n2) / 2 * 27 / 745.3 * 100, 4, "molar mass|atomic number"),
    ("w", None, (_n1 + _n2) / 2 * 58.933 / 745.3, 4, "fraction|per cent"),
    ("w", None, (_n1 + _n2) / 2 / 745.3 * 100, 4, "molar mass|left out"),
    ("M_mean", None, "268", "", "= right"),
    ("M_mean", None, "0.2684", "kg/mol", "= right"),
    ("w", None, "22.0", "%", "= right"),
    ("w", None, "22", "", "= right"),
    ("M_mean", None, (745.3 / 2.8 + 745.3 / 2.8) / 2, 4, "round"),
)

# End points 28.75 and 27.95 mL of 0.01667 mol/L, six electrons; 0.8137 and 0.7924 g; FeSO4·7H2O 278.01 g/mol
_m1, _m2 = 0.0166667 * 6 * 28.7466 * 278.01 / 1000, 0.0166667 * 6 * 27.949 * 278.01 / 1000
_POTENTIOMETRIC = answers(
    "potentiometric-titration",
    ("m_s", 1, _m1 / 6, 4, "electrons|left out|six|ratio|one of substance"),
    ("m_s", 1, _m1 * 6, 4, "electrons|other way|six|equivalents|normality"),
    ("m_s", 1, _m1 * 151.90 / 278.01, 4, "molar mass"),  # without its water
    ("m_s", 1, _m1 * 55.845 / 278.01, 4, "molar mass"),  # iron alone
    ("m_s", 2, _m2 * 151.90 / 278.01, 4, "molar mass"),
    ("m_s", 1, _m1 * 28.8466 / 28.7466, 5, "start|first|subtracted|instead of the difference"),
    ("m_s", 1, _m1 * 1000, 4, "thousand"),
    ("m_s", 1, 2.874663, 4, "molar mass"),
    ("w", None, _m1 / 0.8137 * 100, 5, "alone"),
    ("w", None, (_m1 / 0.8317 + _m2 / 0.7924) * 50, 4, "digits"),
    ("w", None, (0.8137 / _m1 + 0.7924 / _m2) * 50, 5, "turned"),
    ("w", None, 0.9814, 4, "fraction|per cent"),
    ("w", None, (_m1 / (15.3310 - 14.5713) + _m2 / (14.5713 - 13.7249)) * 50, 5, "digits"),
    ("m_s", 1, "799", "mg", "= right"),
    ("m_s", 1, "0.799", "", "= right"),
    ("w", None, "98.1", "", "= right"),
    ("w", None, "98", "%", "= right"),
)

# 0.1204 g on 22.77 mL, 0.1177 g on 22.28 mL; rough 0.1223 g on 23.3 mL; sodium carbonate 105.988 g/mol, two
_k = 2 / 105.988 * 1000
_STANDARDISATION = answers(
    "standardisation",
    ("c_mean", None, _k / 2 * (0.1204 / 22.77 + 0.1177 / 22.28) / 2, 4, "two|ratio|left out|equiv|half|z"),
    ("c_mean", None, _k / 4 * (0.1204 / 22.77 + 0.1177 / 22.28) / 2, 4, "other way|turned|ratio|divided"),
    ("c_mean", None, _k * 0.1204 / 22.77, 5, "alone"),
    ("c_mean", None, _k * 0.1177 / 22.28, 5, "alone"),
    ("c_mean", None, _k * (0.1223 / 23.3 + 0.1204 / 22.77 + 0.1177 / 22.28) / 3, 5, "rough"),
    ("c_mean", None, _k * 105.988 / 82.998 * (0.1204 / 22.77 + 0.1177 / 22.28) / 2, 4, "molar mass"),  # one sodium
    ("c_mean", None, _k * 105.988 / 60.009 * (0.1204 / 22.77 + 0.1177 / 22.28) / 2, 4, "molar mass"),
    ("c_mean", None, _k * 0.1187 / 22.87, 4, "= unexplained"),
    ("c_mean", None, _k * (0.1204 / 22.87 + 0.1177 / 22.63) / 2, 5, "final|subtracted|end"),
    ("c_mean", None, _k * (0.1204 / (22.78 - 0.10) + 0.1177 / 22.28) / 2, 5, "digits"),
    ("c_mean", None, _k * (0.1204 / 22.77 + 0.1177 / (26.23 - 0.35)) / 2, 5, "digits"),
    ("c_mean", None, _k * (0.1204 / 22.77 + 0.1177 / (22.36 - 0.35)) / 2, 5, "digits"),
    ("c_mean", None, _k * (22.77 / 0.1204 + 22.28 / 0.1177) / 2, 4, "turned|wrong way"),
    ("c_mean", None, 0.0997327e-3, 4, "thousand|millilitres"),
    ("c_mean", None, 2 * (0.1204 + 0.1177) / 2 / 105.988, 4, "volume|divided"),
    ("c_mean", None, _k * (0.1204 / 22.77 + 0.1177 / 22.28), 4, "sum|added|divided"),
    ("c_mean", None, "99.7", "mmol/L", "= right"),
    ("c_mean", None, "0.09973", "", "= right"),
    ("c_mean", None, "9.97e-2", "mol/L", "= right"),
    ("c_mean", None, "0.0997", "M", "= right"),
)

ANSWERS: tuple[Answer, ...] = (*_ACID, *_BACK, *_EXCHANGE, *_POTENTIOMETRIC, *_STANDARDISATION)
