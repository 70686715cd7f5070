"""Hydrate and precipitate."""

from tests.teacher import Answer, answers

# Crucible 31.482 g, with hydrate 34.556 g, heated 33.501, 33.449, 33.447 g; CuSO4 159.60, H2O 18.015 g/mol
_water, _salt, _hydrate = 1.109, 1.965, 3.074
_HYDRATE = answers(
    "hydrate",
    ("w", None, _water / _salt * 100, 4, "anhydrous|salt|divided by|residue|dry|instead"),
    ("w", None, _water / 34.556 * 100, 4, "crucible|subtracted"),
    ("w", None, (34.556 - 33.501) / _hydrate * 100, 5, "first"),
    ("w", None, _salt / _hydrate * 100, 4, "salt|rest|residue|turned|instead|heated"),
    ("w", None, _water / _hydrate, 4, "fraction|per cent"),
    ("w", None, _hydrate / _water * 100, 4, "turned"),
    ("w", None, (34.556 - 33.474) / _hydrate * 100, 4, "digits"),
    ("w", None, (34.565 - 33.447) / (34.565 - 31.482) * 100, 5, "digits"),
    ("w", None, (34.556 - 33.447) / (34.556 - 31.842) * 100, 5, "digits"),
    ("x", None, (_water / 18.015) / (1.965 / 249.685), 4, "molar mass"),
    ("x", None, (_water / 18.015) / (_hydrate / 159.60), 4, "hydrate|heated|crucible|anhydrous"),
    ("x", None, _water / _salt, 4, "molar mass|grams|mass"),
    ("x", None, (_salt / 159.60) / (_water / 18.015), 4, "turned"),
    ("x", None, (_water / 18.015) / (_salt / 63.546), 4, "molar mass"),
    ("x", None, (_water / 18.015) / (_salt / 96.06), 4, "molar mass"),
    ("x", None, (_water / 16.0) / (_salt / 159.60), 4, "molar mass"),
    ("x", None, (_water / 17.007) / (_salt / 159.60), 4, "molar mass"),  # OH
    ("x", None, (_water / 10) / (_salt / 159.60), 4, "molar mass|atomic number"),
    ("x", None, "5", "", "= right"),
    ("x", None, "5.0", "", "= right"),
    ("x", None, "5.00", "", "= right"),
    ("w", None, "36.1", "", "= right"),
    ("w", None, "36.08", "%", "= right"),
    ("w", None, "36", "%", "= right"),
    ("x", None, 0.06 / 0.0123, 3, "round"),
    ("x", None, 0.062 / 0.012, 3, "round"),
)

# 1.042 and 1.017 g Na2SO4, 1.663 and 1.624 g BaSO4: 142.04, 233.38; SO4 96.06
_y = (1.663 / (1.042 / 142.04 * 233.38) * 100, 1.624 / (1.017 / 142.04 * 233.38) * 100)
_f = 96.06 / 233.38
_PRECIPITATE = answers(
    "precipitate-yield",
    ("yield_mean", None, _y[0], 6, "alone"),
    ("yield_mean", None, sum(10000 / y for y in _y) / 2, 5, "turned"),
    ("yield_mean", None, sum(_y) / 200, 4, "fraction|per cent"),
    (
        "yield_mean",
        None,
        (1.663 / (2.015 / 244.26 * 233.38) + 1.624 / (1.986 / 244.26 * 233.38)) * 50,
        4,
        "limit|reagent|excess|lesser|other",
    ),
    ("yield_mean", None, (1.663 / 1.042 + 1.624 / 1.017) * 50, 5, "theor|sample|mass|salt"),
    ("yield_mean", None, sum(_y) / 2 * 142.04 / 119.06, 4, "molar mass"),  # one sodium
    ("w", None, (1.663 / 1.042 + 1.624 / 1.017) * 50, 5, "factor"),
    ("w", None, (1.663 / 1.042 + 1.624 / 1.017) * 50 / _f, 5, "factor"),
    ("w", None, 1.663 * _f / 1.042 * 100, 5, "alone"),
    ("w", None, (1.042 / (1.663 * _f) + 1.017 / (1.624 * _f)) * 50, 5, "turned"),
    ("w", None, ((34.121 - 32.418) / 1.042 + (33.561 - 31.905) / 1.017) * 50 * _f, 5, "first"),
    ("w", None, (34.081 / 1.042 + 33.529 / 1.017) * 50 * _f, 5, "filter|subtracted"),
    ("w", None, (1.663 / 1.024 + 1.624 / 1.017) * 50 * _f, 5, "digits"),
    ("w", None, ((34.081 - 32.481) / 1.042 + 1.624 / 1.017) * 50 * _f, 5, "digits"),
    ("w", None, (1.663 / 1.042 + (33.592 - 31.905) / 1.017) * 50 * _f, 5, "digits"),
    ("w", None, (1.663 / 1.042 + 1.624 / 1.017) * 50 * 80.06 / 233.38, 5, "molar mass"),  # SO3
    ("w", None, (1.663 / 1.042 + 1.624 / 1.017) * 50 * 32.06 / 233.38, 5, "molar mass"),  # S alone
    ("m_p", 1, 34.121 - 32.418, 4, "first"),
    ("m_p", 1, 34.081, 5, "filter|subtracted"),
    ("m_p", 1, "1663", "mg", "= right"),
    ("m_p", 1, "1.66", "", "= right"),
    ("yield_mean", None, "97.2", "", "= right"),
    ("yield_mean", None, "97", "%", "= right"),
    ("w", None, "65.7", "", "= right"),
    ("w", None, "0.657", "g/g", "= right"),
)

ANSWERS: tuple[Answer, ...] = (*_HYDRATE, *_PRECIPITATE)
