"""Glassware. Tolerances are the standards' values from memory.

Reading errors of scales are a judged fifth of a division (common practice, no published source). Water's expansion
2.1 × 10⁻⁴ per °C and ±3 °C about 20 °C at 95 % are the assumptions of EURACHEM/CITAC CG4, examples A1 and A2.
"""

from chromata_core.instruments.instrument import ErrorTerm, Instrument

_ROOM = ErrorTerm(
    "Temperature of the glassware", "temperature", "0.00063", "normal95", relative=True, cause="laboratory temperature",
    basis="2.1e-4 per °C × ±3 °C at 95 %: EURACHEM/CITAC CG4, A1 and A2",
)  # fmt: skip


def burette(slug: str, grade: str, high: str, tolerance: str) -> Instrument:
    """Of ``high`` mL in marks of 0.1 mL; ``tolerance`` is the ± of its calibration, mL."""
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


def pipette(volume: str, grade: str, tolerance: str) -> Instrument:
    """With one mark, ``volume`` mL ± ``tolerance`` mL."""
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


def cylinder(high: str, graduation: str, decimals: int, grade: str, tolerance: str, judged: str) -> Instrument:
    """Of ``high`` mL; ``graduation``, ``tolerance`` and ``judged``, a fifth of a mark, in mL."""
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


def flask(volume: str, tolerance: str) -> Instrument:
    """With one mark, to contain ``volume`` mL ± ``tolerance`` mL."""
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


GRADUATED_PIPETTE = Instrument(
    "pipette-graduated-10", "graduated pipette", "the 10 mL graduated pipette", "Graduated pipette 10 mL", "mL",
    "0", "10", "0.1", 2,
    "Eye level, bottom of the curve. Write the volume delivered: the smallest mark is 0.1 mL, judge one digit more.",
    (
        ErrorTerm("Pipette calibration", "tolerance", "0.05", "triangular", shared=True,
                  basis="±0.05 mL, ISO 835 class A, value from memory"),
        ErrorTerm("Reading the pipette", "readability", "0.02", "triangular",
                  basis="a fifth of a division; common practice, no published source"),
        _ROOM,
    ),
    numbers_run="down", meniscus="bottom", basis="ISO 835",
)  # fmt: skip

GAS_TUBE = Instrument(
    "gas-tube-50", "gas tube", "the 50 mL gas tube", "Gas tube 50 mL", "mL", "0", "50", "0.1", 2,
    "It stands upside down: the numbers run down from the closed end. Eye level, bottom of the curve; the smallest mark "
    "is 0.1 mL, judge one digit more.",
    (
        ErrorTerm("Gas tube calibration", "tolerance", "0.1", "triangular", shared=True,
                  basis="±0.1 mL unless calibrated; common practice, no published source"),
        ErrorTerm("Reading the gas tube", "readability", "0.02", "triangular",
                  basis="a fifth of a division; common practice, no published source"),
    ),
    numbers_run="down", meniscus="bottom",
)  # fmt: skip


def adjustable(volume: str, low: str, limit: str, repeatability: str) -> Instrument:
    """From ``low`` to ``volume`` mL; ``limit``, its ± at every volume, and ``repeatability``, a standard deviation, in mL."""
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


HAND_MARKED = Instrument(
    "hand-marked-3", "adjustable pipette", "the hand-marked transfer pipette",
    "Transfer pipette marked by hand, to 3 mL", "mL", "0.1", "3", "0.01", 2,
    "Copy what stands at the mark. Draw past it, let it sink to the line; small volumes may be made of several.",
    (
        ErrorTerm("Pipette calibration", "tolerance", "0.10", "rectangular", shared=True,
                  basis="a line drawn at a mass weighed once, ±0.10 mL; common practice, no published source"),
        ErrorTerm("Delivering with the pipette", "repeatability", "0.03", "normal",
                  basis="a drop more or less; common practice, no published source"),
    ),
    digital=True, basis="none: it is what the calibration finds",
)  # fmt: skip


PISTON_BURETTE = Instrument(
    "piston-burette-25", "piston burette", "the 25 mL piston burette", "Piston burette 25 mL, digital",
    "mL", "0", "25", "0.01", 2, "Copy every digit of the display, zeros too. It counts what it has delivered.",
    (
        ErrorTerm("Burette calibration", "tolerance", "0.03", "triangular", shared=True, on_delivery=True,
                  basis="±0.03 mL, triangular: EURACHEM/CITAC CG4, A2"),
        _ROOM,
    ),
    digital=True,
)  # fmt: skip
