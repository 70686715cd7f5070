"""The stockroom's usual instruments, by slug. An instructor can calibrate one for the class (``calibrated.py``)."""

from chromata_core.errors import ReadingError, unknown
from chromata_core.instruments.glassware import (
    GAS_TUBE,
    GRADUATED_PIPETTE,
    HAND_MARKED,
    PISTON_BURETTE,
    adjustable,
    burette,
    cylinder,
    flask,
    pipette,
)
from chromata_core.instruments.instrument import Instrument
from chromata_core.instruments.meters import (
    GLASS_THERMOMETER,
    PERCENT_NEEDLE,
    RULER,
    THERMOMETER,
    ammeter,
    balance,
    barometer,
    meter,
    shown,
)

# Three-scale ammeters: the full swings with the decimals to record, and the divisions of every scale.
_AMMETERS = (({"0.15": 3, "0.6": 2, "3": 2}, 30), ({"0.05": 4, "0.5": 3, "5": 2}, 50))
_COPY = "Wait until the display stands still. Copy every digit it shows."
_CUVETTE = "Clear faces wiped, no bubbles, the same way round as for the blank, lid shut. Copy every digit."

CATALOGUE: dict[str, Instrument] = {
    instrument.slug: instrument
    for instrument in (
        burette("burette-50-a", "A", "50", "0.05"),
        burette("burette-50-b", "B", "50", "0.10"),
        burette("burette-25-a", "A", "25", "0.03"),
        PISTON_BURETTE,
        pipette("5", "A", "0.01"),
        pipette("10", "A", "0.02"),
        pipette("20", "A", "0.03"),
        pipette("25", "A", "0.03"),
        pipette("50", "A", "0.05"),
        adjustable("1", "0.1", "0.008", "0.003"),
        adjustable("5", "0.5", "0.040", "0.015"),
        HAND_MARKED,
        GRADUATED_PIPETTE,
        GAS_TUBE,
        flask("10", "0.02"),
        flask("25", "0.04"),
        flask("50", "0.05"),
        flask("100", "0.08"),
        flask("250", "0.12"),
        cylinder("25", "0.5", 1, "B", "0.5", "0.1"),
        cylinder("100", "1", 1, "A", "0.5", "0.2"),
        cylinder("250", "2", 0, "B", "2.0", "0.4"),
        THERMOMETER,
        GLASS_THERMOMETER,
        meter(
            "voltmeter",
            "voltmeter-1mv",
            "voltmeter with a combined redox electrode",
            "mV",
            ("-1999", "1999"),
            "1",
            0,
            "2",
        ),
        meter(
            "voltmeter",
            "voltmeter-0.1mv",
            "voltmeter 0.1 mV with a combined redox electrode",
            "mV",
            ("-1999.9", "1999.9"),
            "0.1",
            1,
            "1.0",
        ),
        meter("pH meter", "ph-meter-0.01", "pH meter with a glass electrode", "", ("0", "14"), "0.01", 2, "0.02"),
        barometer("barometer-mmhg", "wall barometer, mm of mercury", "mmHg", ("550", "820"), "0.1", 1, "0.5"),
        barometer("barometer-inhg", "wall barometer, inches of mercury", "inHg", ("21", "32"), "0.01", 2, "0.02"),
        barometer("barometer-cmhg", "wall barometer, cm of mercury", "cmHg", ("55", "82"), "0.01", 2, "0.05"),
        shown(
            "pressure sensor", "pressure-hpa", "pressure sensor, hPa", "hPa", ("700", "1100"), "0.1", 1, "1.0", _COPY
        ),
        shown(
            "pressure sensor", "pressure-kpa", "pressure sensor, kPa", "kPa", ("70", "110"), "0.01", 2, "0.10", _COPY
        ),
        shown(
            "weather report",
            "weather-report",
            "weather report, sea level",
            "hPa",
            ("920", "1080"),
            "1",
            0,
            "1",
            "The pressure of the nearest station, now. It is reduced to sea level: the plan knows your altitude.",
        ),
        RULER,
        shown(
            "stopwatch",
            "stopwatch-0.1s",
            "stopwatch",
            "s",
            ("0", "3600"),
            "0.1",
            1,
            "0.5",
            "Stop it the moment it happens, the same hand each time. Write a tenth of a second.",
        ),
        shown(
            "voltmeter",
            "voltmeter-v",
            "voltmeter, 2 V range",
            "V",
            ("-1.999", "1.999"),
            "0.001",
            3,
            "0.010",
            "Red lead to the metal named first. Keep the sign; a 1 alone at the left means over range.",
        ),
        shown(
            "voltmeter",
            "multimeter-2000mv",
            "multimeter, DC 2000 m range",
            "mV",
            ("-1999", "1999"),
            "1",
            0,
            "10",
            "Black in COM, red in VΩmA. On this range the number is millivolts: 1097 is 1.097 V. Keep the sign.",
        ),
        shown(
            "clock", "clock-1s", "clock with seconds", "s", ("0", "86400"), "1", 0, "2", "Seconds since you started it."
        ),
        shown(
            "spectrophotometer",
            "photometer-a",
            "spectrophotometer, absorbance",
            "",
            ("-0.1", "3"),
            "0.001",
            3,
            "0.003",
            _CUVETTE,
        ),
        shown(
            "spectrophotometer", "photometer-t", "spectrophotometer, %T", "%T", ("0", "120"), "0.1", 1, "0.5", _CUVETTE
        ),
        shown(
            "wavelength scale",
            "wavelength-1nm",
            "wavelength scale",
            "nm",
            ("180", "1100"),
            "1",
            0,
            "2",
            "The wavelength that is set, approached from the same side.",
        ),
        PERCENT_NEEDLE,
        *(
            ammeter(scale, tuple(scales), divisions, decimals)
            for scales, divisions in _AMMETERS
            for scale, decimals in scales.items()
        ),
        balance("balance-0.1", "portable balance, 0.1 g", "2000", "0.1", 1, "0.1", "0.1"),
        balance("balance-0.01", "top-loading balance, 0.01 g", "500", "0.01", 2, "0.01", "0.01"),
        balance("balance-0.001", "balance, 0.001 g", "300", "0.001", 3, "0.002", "0.001"),
        balance("balance-0.0001", "analytical balance, 0.0001 g", "200", "0.0001", 4, "0.00015", "0.0001"),
    )
}


def instrument(slug: str) -> Instrument:
    """The instrument called ``slug``; ReadingError with near names if there is none."""
    if slug not in CATALOGUE:
        raise ReadingError(unknown("instrument", slug, list(CATALOGUE)), slug=slug)
    return CATALOGUE[slug]
