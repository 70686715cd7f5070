"""Constants of nature as they stand in formulas, ten figures of chemistry/constants.py (CODATA 2022)."""

from chromata_core.chemistry.constants import ATMOSPHERE, AVOGADRO, FARADAY, GAS_CONSTANT
from chromata_core.declaration.option_kinds import Choice, ChoiceOption, NumberOption


def _text(value: float) -> str:
    return f"{value:.10g}".replace("e+", "e")


R = NumberOption("R", "Gas constant", _text(GAS_CONSTANT), "J/(mol·K)", "R", fixed=True)
F = NumberOption("F", "Faraday constant", _text(FARADAY), "C/mol", "F", fixed=True)
N_A = NumberOption("N_A", "Avogadro constant", _text(AVOGADRO), "1/mol", "N_A", fixed=True)
GRAVITY = NumberOption("g_n", "Standard gravity", "9.80665", "m/s²", "g", fixed=True)
CHARGE = NumberOption("e", "Elementary charge", "1.602176634e-19", "C", "e", fixed=True)
ZERO = NumberOption("T_0", "Freezing point of water", "0", "°C", "T₀", low="-1", fixed=True)
UNIT_CONCENTRATION = NumberOption("c_1", "Unit concentration", "1", "mol/L", "c°", fixed=True)

STANDARD_STATE = (
    NumberOption("T_s", "Standard temperature", "0", "°C", "T_s", low="-1", fixed=True),
    NumberOption("p_s", "Standard pressure", repr(ATMOSPHERE / 1000), "kPa", "p_s", fixed=True),
)
# Water weighed in air: steel weights of 8.0 g/mL by convention, air of 1.2 mg/mL (OIML R 111, from memory).
BUOYANCY = (
    NumberOption("rho_air", "Density of the air", "0.0012", "g/mL", "ρ_air", fixed=True),
    NumberOption("rho_weights", "Density of the balance's weights", "8.0", "g/mL", "ρ_w", fixed=True),
)
# Which conditions are “standard” is a school; 0 °C and 1 atm is the default (22.414 L/mol).
STANDARD_CONDITIONS = (
    ChoiceOption(
        "conditions", "Standard conditions",
        (
            Choice("atm", "0 °C and 1 atm (22.414 L/mol)", sets={"T_s": "0", "p_s": repr(ATMOSPHERE / 1000)}),
            Choice("bar", "0 °C and 100 kPa (22.711 L/mol)", sets={"T_s": "0", "p_s": "100"}),
            Choice("room", "25 °C and 1 atm (24.465 L/mol)", sets={"T_s": "25", "p_s": repr(ATMOSPHERE / 1000)}),
        ),
        "atm",
    ),
    *STANDARD_STATE,
)  # fmt: skip
