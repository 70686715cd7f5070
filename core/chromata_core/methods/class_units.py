"""The units in which a class works, where schools differ: results, worked lines and own answers follow them."""

from chromata_core.declaration.option_kinds import Choice, ChoiceOption

_HELP = "For results, worked lines and own answers. An answer typed with another unit behind it is converted."

PRESSURES = ChoiceOption(
    "pressures", "Pressures, volumes and R in",
    (
        Choice("kPa", "kPa, mL, J/(mol·K)"),
        Choice("atm", "atm, L, L·atm/(mol·K)", units={"kPa": "atm", "mL": "L", "mmol": "mol", "J/(mol·K)": "L·atm/(mol·K)"}),
        Choice("mmHg", "mmHg, L, L·mmHg/(mol·K)", units={"kPa": "mmHg", "mL": "L", "mmol": "mol", "J/(mol·K)": "L·mmHg/(mol·K)"}),
    ),
    "kPa", _HELP,
)  # fmt: skip

HEATS = ChoiceOption(
    "heats", "Heat in",
    (
        Choice("kJ", "kJ, kJ/mol"),
        Choice("J", "J, J/mol", units={"kJ": "J", "kJ/mol": "J/mol"}),
        Choice("kcal", "kcal, kcal/mol, cal/(g·K)", units={"kJ": "kcal", "kJ/mol": "kcal/mol", "J/(g·K)": "cal/(g·K)", "J/K": "cal/K"}),
    ),
    "kJ", _HELP,
)  # fmt: skip

_KCAL = {"energy": "kilocalories", "energy_unit": "kilocalorie"}
_KJ = {"energy": "kilojoules", "energy_unit": "kilojoule"}
FOOD_ENERGY = ChoiceOption(
    "energies", "Energy of the food in",
    (
        Choice("kcal", "kcal", words=_KCAL),
        Choice("kJ", "kJ", words=_KJ, units={"kcal": "kJ", "kcal/g": "kJ/g", "kcal/(L·K)": "kJ/(L·K)", "J/kcal": "J/kJ"}),
    ),
    "kcal", _HELP,
)  # fmt: skip
