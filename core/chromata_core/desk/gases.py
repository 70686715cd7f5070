"""Gas over water, and the vapour pressure of water."""

from chromata_core.chemistry.water.density import density
from chromata_core.chemistry.water.vapour_pressure_wagner_1993 import vapour_pressure
from chromata_core.desk.calculator import Calculator, FieldOf, Said, WorkedOut, WorkedStep, si_of
from chromata_core.errors import ReadingError
from chromata_core.quantity.given import read_in
from chromata_core.quantity.rounding import with_figures

R = 8.314462618  # J/(mol·K), CODATA 2018, exact since the SI of 2019
_STANDARD_T, _STANDARD_P = 273.15, 101_325.0


def _over_water(form: Said) -> WorkedOut:
    volume = si_of(form["volume"], "mL", "The volume")
    celsius = float(read_in(form["temperature"], "°C").value)
    total = si_of(form["pressure"], "kPa", "The pressure")
    vapour = vapour_pressure(celsius) if form["collected"] == "water" else 0.0
    dry, kelvin = total - vapour, celsius + 273.15
    if dry <= 0:
        raise ReadingError("The vapour alone has more than that pressure. Look at temperature and pressure again.")
    amount = dry * volume / (R * kelvin)
    standard = amount * R * _STANDARD_T / _STANDARD_P
    steps = [
        WorkedStep("Vapour pressure of water", f"{with_figures(vapour / 1000, 4)} kPa at {celsius:g} °C"),
        WorkedStep(
            "Pressure of the dry gas",
            f"{with_figures(total / 1000, 5)} − {with_figures(vapour / 1000, 4)} = {with_figures(dry / 1000, 5)} kPa",
        ),
        WorkedStep(
            "Amount",
            f"n = p · V / (R · T) = {with_figures(dry, 5)} Pa × {with_figures(volume * 1e6, 5)} mL / ({R:.5f} J/(mol·K) × {kelvin:g} K)",
        ),
        WorkedStep("At 0 °C and 101.325 kPa, dry", f"{with_figures(standard * 1e6, 4)} mL"),
    ]
    return WorkedOut(
        f"{with_figures(amount * 1000, 4)} mmol of dry gas", steps, value=f"{amount * 1000:.5g}", unit="mmol"
    )


def _vapour(form: Said) -> WorkedOut:
    celsius = float(read_in(form["temperature"], "°C").value)
    pascal = vapour_pressure(celsius)
    steps = [
        WorkedStep("In other units", f"{pascal / 133.322387415:.2f} mmHg, {pascal / 101_325:.5f} atm"),
        WorkedStep("Density of the water", f"{with_figures(density(celsius) / 1000, 5)} g/mL"),
        WorkedStep("Basis", "Wagner and Pruss 1993 (IAPWS); densities by Kell 1975 or Tanaka 2001"),
    ]
    return WorkedOut(
        f"{with_figures(pascal / 1000, 4)} kPa at {celsius:g} °C", steps, value=f"{pascal / 1000:.4g}", unit="kPa"
    )


OVER_WATER = Calculator(
    "gas", "Gas over water", "The amount of a gas that was collected.",
    (
        FieldOf("volume", "Volume", "38.2 mL"), FieldOf("temperature", "Temperature", "22.5 °C"),
        FieldOf("pressure", "Pressure inside", "100.9 kPa"),
        FieldOf("collected", "Collected", "water", choices=(("water", "over water"), ("dry", "dry"))),
    ),
    _over_water,
)  # fmt: skip
VAPOUR = Calculator(
    "vapour-pressure", "Vapour pressure of water", "And its density.", (FieldOf("temperature", "Temperature", "25 °C"),), _vapour,
)  # fmt: skip
