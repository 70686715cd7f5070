"""Meters, balances, thermometers, barometers and clocks: what shows a number or has a needle.

Tolerances are typical values of school instruments (common practice, no published source) unless said otherwise.
"""

from chromata_core.instruments.instrument import ErrorTerm, Instrument, Kind

_TYPICAL = "common practice, no published source"


# What an error of the zero leaves of a difference: two temperatures with one thermometer still share its scale.
_SCALE = ErrorTerm("Thermometer scale", "tolerance", "0.005", "rectangular", shared=True, relative=True,
                   basis=f"±0.5 % of the reading, ±0.5 °C at 100 °C; {_TYPICAL}")  # fmt: skip


def meter(
    kind: Kind, slug: str, name: str, unit: str, span: tuple[str, str], step: str, decimals: int, limit: str
) -> Instrument:
    """One that shows digits: ``span`` from low to high, ``step`` and ``limit``, the ± of its calibration, in ``unit``."""
    low, high = span
    return Instrument(
        slug, kind, f"the {name}", name if name[:2] == "pH" else name.capitalize(), unit, low, high, step, decimals,
        "Wait until the display stands still. Copy every digit it shows, the sign too.",
        (
            ErrorTerm("Meter calibration", "tolerance", limit, "rectangular", shared=True,
                      basis=f"±{limit} {unit}; common practice, no published source"),
            ErrorTerm("Meter display", "readability", step, "resolution", basis="readability d, d/√12"),
        ),
        digital=True,
    )  # fmt: skip


THERMOMETER = Instrument(
    "thermometer-0.1", "thermometer", "the digital thermometer, 0.1 °C", "Digital thermometer, 0.1 °C", "°C",
    "-10", "110", "0.1", 1, "Wait until the display stands still. Copy every digit it shows.",
    (
        ErrorTerm("Thermometer calibration", "tolerance", "0.5", "rectangular", shared=True,
                  basis="±0.5 °C, typical of a school thermometer; common practice, no published source"),
        _SCALE,
        ErrorTerm("Thermometer display", "readability", "0.1", "resolution", basis="readability d, d/√12"),
    ),
    digital=True,
)  # fmt: skip


def balance(
    slug: str, name: str, high: str, step: str, decimals: int, linearity: str, repeatability: str
) -> Instrument:
    """Up to ``high`` g, shown in ``step`` g; ``linearity`` is a ±, ``repeatability`` a standard deviation, in g."""
    return Instrument(
        slug, "balance", f"the {name}", name.capitalize(), "g", "0", high, step, decimals,
        "Wait until the display stands still. Copy every digit it shows, zeros too.",
        (
            ErrorTerm("Balance linearity", "tolerance", linearity, "rectangular", by_load=True,
                      basis=f"±{linearity} g at each load, uncorrelated between loads (EURACHEM/CITAC CG4, A2) and the same at the same one"),
            ErrorTerm("Balance repeatability", "repeatability", repeatability, "normal",
                      basis="about one display step; common practice, no published source"),
            ErrorTerm("Balance display", "readability", step, "resolution", basis="readability d, d/√12"),
        ),
        digital=True,
    )  # fmt: skip


GLASS_THERMOMETER = Instrument(
    "thermometer-glass-1", "glass thermometer", "the glass thermometer, 1 °C", "Glass thermometer, 1 °C", "°C",
    "-10", "110", "1", 1, "Bulb in the liquid, eye level with the thread. The smallest mark is 1 °C: judge a tenth.",
    (
        ErrorTerm("Thermometer calibration", "tolerance", "0.5", "rectangular", shared=True, basis=f"±0.5 °C; {_TYPICAL}"),
        _SCALE,
        ErrorTerm("Reading the thermometer", "readability", "0.2", "triangular", basis=f"a fifth of a division; {_TYPICAL}"),
    ),
    numbers_run="up",
)  # fmt: skip


def barometer(
    slug: str, name: str, unit: str, span: tuple[str, str], step: str, decimals: int, limit: str
) -> Instrument:
    """A mercury barometer with a vernier; its curve is read at the top."""
    return Instrument(
        slug, "barometer", f"the {name}", name.capitalize(), unit, *span, step, decimals,
        "Tap it, set the vernier to the TOP of the mercury's curve, at eye level.",
        (
            ErrorTerm("Barometer", "tolerance", limit, "rectangular", shared=True, basis=f"±{limit} {unit}; {_TYPICAL}"),
            ErrorTerm("Reading the barometer", "readability", step, "resolution", basis="one step of the vernier, d/√12"),
        ),
        numbers_run="up", meniscus="top",
    )  # fmt: skip


def shown(
    kind: Kind, slug: str, name: str, unit: str, span: tuple[str, str], step: str, decimals: int, limit: str, how: str
) -> Instrument:
    """An instrument with a digital display, known to ± ``limit``."""
    return Instrument(
        slug, kind, f"the {name}", name if name[:2].isupper() else name[:1].upper() + name[1:], unit, *span, step, decimals, how,
        (
            ErrorTerm(f"{kind.capitalize()} calibration", "tolerance", limit, "rectangular", shared=True,
                      basis=f"±{limit} {unit}; {_TYPICAL}".replace(" ;", ";")),
            ErrorTerm(f"{kind.capitalize()} display", "readability", step, "resolution", basis="readability d, d/√12"),
        ),
        digital=True,
    )  # fmt: skip


def ammeter(scale: str, scales: tuple[str, ...], divisions: int, decimals: int) -> Instrument:
    """A three-scale needle ammeter with the terminal for ``scale`` in use; ±2 % of that scale, read to half a division."""
    step = float(scale) / divisions
    return Instrument(
        f"ammeter-{scale}", "ammeter", f"the ammeter on its {scale} A scale", f"Three-scale ammeter, {scale} A terminal",
        "A", "0", scale, f"{step:g}", decimals,
        f"Read the scale of the terminal in use: full swing is {scale} A. Eye straight before the needle, to half a division.",
        (
            ErrorTerm("Ammeter", "tolerance", f"{0.02 * float(scale):g}", "rectangular", shared=True,
                      basis=f"±2 % of full scale; {_TYPICAL}"),
            ErrorTerm("Reading the needle", "readability", f"{step / 2:g}", "triangular", basis=f"half a division; {_TYPICAL}"),
        ),
        numbers_run="up", scales=scales,
    )  # fmt: skip


PERCENT_NEEDLE = Instrument(
    "photometer-t-needle", "spectrophotometer", "the needle of the spectrophotometer, %T",
    "Spectrophotometer with a needle, %T", "%T", "0", "100", "2", 1,
    "Eye straight before the needle: it covers its own image in the mirror. To a fifth of a division or so: 46.4.",
    (
        ErrorTerm("Spectrophotometer", "tolerance", "1", "rectangular", shared=True, basis=_TYPICAL),
        ErrorTerm("Reading the needle", "readability", "0.5", "triangular", basis=f"a quarter of a division; {_TYPICAL}"),
    ),
    numbers_run="up", scales=("100",),
)  # fmt: skip

RULER = Instrument(
    "ruler-300", "ruler", "the ruler, 1 mm", "Ruler 300 mm", "mm", "0", "300", "1", 1,
    "Zero at one end, eye straight before the other. Judge to half a millimetre: 134.5.",
    (
        ErrorTerm("Reading the ruler", "readability", "1.0", "triangular", basis=f"±0.5 mm at each end; {_TYPICAL}"),
    ),
    numbers_run="up",
)  # fmt: skip
