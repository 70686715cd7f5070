"""The stockroom's usual instruments. Tolerances are the standards' values from memory; an instructor can edit a copy.

Reading errors of scales are a judged fifth of a division (common practice, no published source). Water's expansion
2.1 × 10⁻⁴ per °C and ±3 °C about 20 °C at 95 % are the assumptions of EURACHEM/CITAC CG4, examples A1 and A2.
"""

from chromata_core.errors import ReadingError, unknown
from chromata_core.instruments.instrument import ErrorTerm, Instrument, Kind

_ROOM = ErrorTerm(
    "Temperature of the glassware", "temperature", "0.00063", "normal95", relative=True, cause="laboratory temperature",
    basis="2.1e-4 per °C × ±3 °C at 95 %: EURACHEM/CITAC CG4, A1 and A2",
)  # fmt: skip


def _burette(slug: str, grade: str, high: str, tolerance: str) -> Instrument:
    label = f"the {high} mL burette, class {grade}"
    return Instrument(
        slug, "burette", label, f"Burette {high} mL, class {grade}", "mL", "0", high, "0.1", 2,
        "Eye level with the liquid. Bottom of the curve. The smallest mark is 0.1 mL: judge one digit between the marks.",
        (
            ErrorTerm("Burette calibration", "tolerance", tolerance, "triangular", shared=True, on_delivery=True,
                      basis=f"±{tolerance} mL, ASTM E287 / ISO 385 class {grade}, value from memory; triangular: CG4 A2"),
            ErrorTerm("Reading the burette", "readability", "0.02", "triangular",
                      basis="a fifth of a division; common practice, no published source"),
            _ROOM,
        ),
        numbers_run="down", meniscus="bottom", basis="ASTM E287 / ISO 385",
    )  # fmt: skip


def _pipette(volume: str, grade: str, tolerance: str) -> Instrument:
    return Instrument(
        f"pipette-{volume}-{grade.lower()}", "pipette", f"the {volume} mL pipette, class {grade}",
        f"Pipette {volume} mL, class {grade}", "mL", volume, volume, volume, 2,
        f"One mark only. Bottom of the curve on the mark, tip against the wall, not blown out. Write {volume}.00.",
        (
            ErrorTerm("Pipette calibration", "tolerance", tolerance, "triangular", shared=True,
                      basis=f"±{tolerance} mL, ASTM E969 / ISO 648 class {grade}, value from memory; triangular: CG4 A1"),
            ErrorTerm("Filling the pipette", "repeatability", "0.01", "triangular",
                      basis="meniscus on one mark; common practice, no published source"),
            _ROOM,
        ),
        meniscus="bottom", basis="ASTM E969 / ISO 648",
    )  # fmt: skip


def _cylinder(high: str, graduation: str, decimals: int, grade: str, tolerance: str, judged: str) -> Instrument:
    return Instrument(
        f"cylinder-{high}-{grade.lower()}", "cylinder", f"the {high} mL cylinder, class {grade}",
        f"Cylinder {high} mL, class {grade}", "mL", "0", high, graduation, decimals,
        f"On the bench, eye level. Bottom of the curve. The smallest mark is {graduation} mL: judge one digit more.",
        (
            ErrorTerm("Cylinder calibration", "tolerance", tolerance, "triangular", shared=True,
                      basis=f"±{tolerance} mL, ASTM E1272 / ISO 4788 class {grade}, value from memory"),
            ErrorTerm("Reading the cylinder", "readability", judged, "triangular",
                      basis="a fifth of a division; common practice, no published source"),
            _ROOM,
        ),
        numbers_run="up", meniscus="bottom", basis="ASTM E1272 / ISO 4788",
    )  # fmt: skip


def _flask(volume: str, tolerance: str) -> Instrument:
    return Instrument(
        f"flask-{volume}-a", "flask", f"the {volume} mL flask, class A", f"Volumetric flask {volume} mL, class A",
        "mL", volume, volume, volume, 2,
        f"One mark, to contain. Bottom of the curve on the mark, at eye level. Write {volume}.00.",
        (
            ErrorTerm("Flask calibration", "tolerance", tolerance, "triangular", shared=True,
                      basis=f"±{tolerance} mL, ASTM E288 class A, value from memory (ISO 1042 differs a little)"),
            ErrorTerm("Filling the flask", "repeatability", "0.02", "triangular",
                      basis="meniscus on one mark; common practice, no published source"),
            _ROOM,
        ),
        meniscus="bottom", basis="ASTM E288",
    )  # fmt: skip


def _adjustable(volume: str, low: str, limit: str, repeatability: str) -> Instrument:
    return Instrument(
        f"adjustable-{volume}", "adjustable pipette", f"the {volume} mL adjustable pipette",
        f"Adjustable pipette {low} to {volume} mL", "mL", low, volume, "0.01", 2,
        "Copy the setting. A new tip, wetted twice; slowly, straight down, tip just below the surface.",
        (
            ErrorTerm("Pipette calibration", "tolerance", limit, "triangular", shared=True,
                      basis=f"±{limit} mL at every volume, ISO 8655-2 for {volume} mL, value from memory"),
            ErrorTerm("Delivering with the pipette", "repeatability", repeatability, "normal",
                      basis=f"{repeatability} mL, ISO 8655-2 for {volume} mL, value from memory"),
        ),
        digital=True, basis="ISO 8655-2",
    )  # fmt: skip


def _meter(
    kind: Kind, slug: str, name: str, unit: str, span: tuple[str, str], step: str, decimals: int, limit: str
) -> Instrument:
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


_THERMOMETER = Instrument(
    "thermometer-0.1", "thermometer", "the digital thermometer, 0.1 °C", "Digital thermometer, 0.1 °C", "°C",
    "-10", "110", "0.1", 1, "Wait until the display stands still. Copy every digit it shows.",
    (
        ErrorTerm("Thermometer calibration", "tolerance", "0.5", "rectangular", shared=True,
                  basis="±0.5 °C, typical of a school thermometer; common practice, no published source"),
        ErrorTerm("Thermometer display", "readability", "0.1", "resolution", basis="readability d, d/√12"),
    ),
    digital=True,
)  # fmt: skip


def _balance(
    slug: str, name: str, high: str, step: str, decimals: int, linearity: str, repeatability: str
) -> Instrument:
    return Instrument(
        slug, "balance", f"the {name}", name.capitalize(), "g", "0", high, step, decimals,
        "Wait until the display stands still. Copy every digit it shows, zeros too.",
        (
            ErrorTerm("Balance linearity", "tolerance", linearity, "rectangular",
                      basis=f"±{linearity} g at each weighing, uncorrelated: the treatment of EURACHEM/CITAC CG4, A2"),
            ErrorTerm("Balance repeatability", "repeatability", repeatability, "normal",
                      basis="about one display step; common practice, no published source"),
            ErrorTerm("Balance display", "readability", step, "resolution", basis="readability d, d/√12"),
        ),
        digital=True,
    )  # fmt: skip


_PISTON = Instrument(
    "piston-burette-25", "piston burette", "the 25 mL piston burette", "Piston burette 25 mL, digital",
    "mL", "0", "25", "0.01", 2, "Copy every digit of the display, zeros too. It counts what it has delivered.",
    (
        ErrorTerm("Burette calibration", "tolerance", "0.03", "triangular", shared=True, on_delivery=True,
                  basis="±0.03 mL, triangular: EURACHEM/CITAC CG4, A2"),
        _ROOM,
    ),
    digital=True,
)  # fmt: skip

CATALOGUE: dict[str, Instrument] = {
    instrument.slug: instrument
    for instrument in (
        _burette("burette-50-a", "A", "50", "0.05"),
        _burette("burette-50-b", "B", "50", "0.10"),
        _burette("burette-25-a", "A", "25", "0.03"),
        _PISTON,
        _pipette("5", "A", "0.01"),
        _pipette("10", "A", "0.02"),
        _pipette("20", "A", "0.03"),
        _pipette("25", "A", "0.03"),
        _pipette("50", "A", "0.05"),
        _adjustable("1", "0.1", "0.008", "0.003"),
        _adjustable("5", "0.5", "0.040", "0.015"),
        _flask("50", "0.05"),
        _flask("100", "0.08"),
        _flask("250", "0.12"),
        _cylinder("25", "0.5", 1, "B", "0.5", "0.1"),
        _cylinder("100", "1", 1, "A", "0.5", "0.2"),
        _THERMOMETER,
        _meter(
            "voltmeter",
            "voltmeter-1mv",
            "voltmeter with a combined redox electrode",
            "mV",
            ("-1999", "1999"),
            "1",
            0,
            "2",
        ),
        _meter("pH meter", "ph-meter-0.01", "pH meter with a glass electrode", "", ("0", "14"), "0.01", 2, "0.02"),
        _balance("balance-0.01", "top-loading balance, 0.01 g", "500", "0.01", 2, "0.01", "0.01"),
        _balance("balance-0.001", "balance, 0.001 g", "300", "0.001", 3, "0.002", "0.001"),
        _balance("balance-0.0001", "analytical balance, 0.0001 g", "200", "0.0001", 4, "0.00015", "0.0001"),
    )
}


def instrument(slug: str) -> Instrument:
    """The instrument called ``slug``; ReadingError with near names if there is none."""
    if slug not in CATALOGUE:
        raise ReadingError(unknown("instrument", slug, list(CATALOGUE)), slug=slug)
    return CATALOGUE[slug]
