"""What stands on the usual shelf: in which form a substance is bought, how it is handled, and how its solution keeps.

Mass fractions and densities of concentrated acids and ammonia at 20 °C, hazard words of the Globally Harmonised System
and how long solutions keep are handbook values and common practice from memory. The bottle's own label and the
supplier's data sheet are the authority; a bottle that was entered in the stockroom counts instead.
"""

from collections.abc import Mapping
from dataclasses import dataclass
from functools import lru_cache

from chromata_core.chemistry.molar_mass import atoms_of, without_water
from chromata_core.errors import ReadingError

_ACID = "Acid into water, never the reverse, slowly and stirring; it gets hot."
_STOPPER = "plastic bottle, or glass with a rubber stopper"


@dataclass(frozen=True, slots=True)
class Form:
    """How it is bought: a solid of that ``formula`` and ``purity`` (per cent of its mass), or a concentrated solution
    with ``percent`` of its mass and ``density`` (g/mL). ``limit`` is the ± of the per cent, 95 %.
    """

    formula: str
    purity: float = 0.0
    percent: float = 0.0
    density: float = 0.0
    limit: float = 0.5


@dataclass(frozen=True, slots=True)
class Reagent:
    """``hazard`` is what its label says, ``how`` what hands have to know while dissolving or diluting it.

    ``keeps`` are days of a closed bottle of its solution, ``store`` where. ``standardise``: what is weighed or measured
    of it does not tell its concentration well enough for a titration.
    """

    name: str
    form: Form
    hazard: str = ""
    how: str = ""
    store: str = "closed bottle, room temperature"
    keeps: int = 180
    standardise: bool = False


_REAGENTS = (
    Reagent("Hydrochloric acid", Form("HCl", percent=37, density=1.18, limit=1), "Danger: burns skin and eyes, fumes irritate",
            f"Under the hood. {_ACID}", keeps=365, standardise=True),
    Reagent("Nitric acid", Form("HNO3", percent=65, density=1.39, limit=1), "Danger: burns skin and eyes, oxidises",
            f"Under the hood. {_ACID}", "dark bottle, away from what burns", 365, True),
    Reagent("Sulfuric acid", Form("H2SO4", percent=96, density=1.84, limit=1), "Danger: burns skin and eyes",
            f"{_ACID} Stand the vessel in cold water.", keeps=365, standardise=True),
    Reagent("Phosphoric acid", Form("H3PO4", percent=85, density=1.685, limit=1), "Danger: burns skin and eyes", _ACID, keeps=365, standardise=True),
    Reagent("Ethanoic acid", Form("CH3COOH", percent=99.8, density=1.05, limit=0.2), "Danger: burns skin and eyes, its vapour burns with a flame",
            f"Under the hood, no flame. {_ACID}", keeps=365, standardise=True),
    Reagent("Ammonia", Form("NH3", percent=25, density=0.91, limit=1), "Danger: burns skin and eyes, fumes irritate, harms water life",
            "Under the hood.", "closed bottle, cool", 90, True),
    Reagent("Sodium hydroxide", Form("NaOH", 97, limit=2), "Danger: burns skin and eyes",
            "Weigh quickly: the pellets draw water. Boiled and cooled water, for it takes up carbon dioxide; it gets hot.", _STOPPER, 60, True),
    Reagent("Potassium hydroxide", Form("KOH", 85, limit=2), "Danger: burns skin and eyes",
            "Weigh quickly: the pellets draw water, and hold some 15 %. It gets hot.", _STOPPER, 60, True),
    Reagent("Calcium hydroxide", Form("Ca(OH)2", 96, limit=2), "Danger: damages eyes, irritates skin", "Filter what does not dissolve.", keeps=30, standardise=True),
    Reagent("Sodium carbonate", Form("Na2CO3", 99.9, limit=0.1), "Warning: irritates eyes", "Dried at 260–270 °C for 1 h, cooled in the desiccator."),
    Reagent("Sodium hydrogen carbonate", Form("NaHCO3", 99.5)),
    Reagent("Potassium hydrogen phthalate", Form("KHC8H4O4", 99.95, limit=0.05), "", "Dried at 105–120 °C for 2 h, cooled in the desiccator.", keeps=90),
    Reagent("Benzoic acid", Form("C7H6O2", 99.9, limit=0.1), "Danger: damages eyes, irritates skin"),
    Reagent("Sodium thiosulfate", Form("Na2S2O3.5H2O", 99.5), "", "Boiled and cooled water: what lives in it makes it cloudy.", "dark bottle", 30),
    Reagent("Potassium dichromate", Form("K2Cr2O7", 99.9, limit=0.1),
            "Danger: may cause cancer, poisonous, oxidises, harms water life", "Gloves, no dust: weigh it under the hood.", keeps=1825),
    Reagent("Potassium permanganate", Form("KMnO4", 99), "Danger: oxidises, harmful if swallowed, harms water life", "It stains.", "dark bottle", 90, True),
    Reagent("Potassium chromate", Form("K2CrO4", 99), "Danger: may cause cancer, irritates, harms water life", "Gloves, no dust: weigh it under the hood.", keeps=1825),
    Reagent("Potassium iodate", Form("KIO3", 99.7, limit=0.2), "Danger: oxidises, damages eyes", keeps=1825),
    Reagent("Potassium iodide", Form("KI", 99.5), "", store="dark bottle", keeps=30),
    Reagent("Iodine", Form("I2", 99.8, limit=0.2), "Warning: harmful to skin and if breathed in, harms water life",
            "Dissolve it with ten times its mass of potassium iodide in a little water first, then make up.", "dark bottle, glass stopper", 30, True),
    Reagent("Copper(II) sulfate", Form("CuSO4.5H2O", 99), "Danger: damages eyes, harmful if swallowed, harms water life", keeps=730),
    Reagent("Copper(II) nitrate", Form("Cu(NO3)2.2.5H2O", 98, limit=2), "Danger: oxidises, burns skin and eyes, harms water life",
            "It draws water: close the jar at once.", keeps=365),
    Reagent("Copper(II) chloride", Form("CuCl2.2H2O", 99), "Danger: damages eyes, harmful if swallowed, harms water life", keeps=730),
    Reagent("Cobalt(II) chloride", Form("CoCl2.6H2O", 98), "Danger: may cause cancer, may sensitise, harms water life", "Gloves, no dust."),
    Reagent("Cobalt(II) nitrate", Form("Co(NO3)2.6H2O", 98), "Danger: may cause cancer, may sensitise, oxidises, harms water life", "Gloves, no dust."),
    Reagent("Nickel(II) sulfate", Form("NiSO4.6H2O", 98), "Danger: may cause cancer, may sensitise, harms water life", "Gloves, no dust."),
    Reagent("Chromium(III) nitrate", Form("Cr(NO3)3.9H2O", 98), "Danger: oxidises, irritates, may sensitise"),
    Reagent("Iron(II) sulfate", Form("FeSO4.7H2O", 99), "Warning: harmful if swallowed, irritates", "A little sulfuric acid keeps it from turning brown.", keeps=7),
    Reagent("Ammonium iron(II) sulfate", Form("FeN2H8S2O8.6H2O", 99.5), "Warning: irritates", "A little sulfuric acid keeps it from turning brown.", keeps=30),
    Reagent("Zinc sulfate", Form("ZnSO4.7H2O", 99), "Danger: damages eyes, harmful if swallowed, harms water life", keeps=730),
    Reagent("Silver nitrate", Form("AgNO3", 99.8, limit=0.2), "Danger: burns skin and eyes, oxidises, harms water life", "It stains skin and cloth: gloves.", "dark bottle", 180),
    Reagent("Lead(II) nitrate", Form("Pb(NO3)2", 99), "Danger: may damage fertility and the unborn child, poisonous, oxidises, harms water life",
            "Gloves, no dust; local rules say who may handle it."),
    Reagent("Tin(II) chloride", Form("SnCl2.2H2O", 98), "Danger: burns skin and eyes", "In dilute hydrochloric acid, else it turns cloudy.", keeps=7),
    Reagent("Magnesium sulfate", Form("MgSO4.7H2O", 99.5)),
    Reagent("Aluminium sulfate", Form("Al2(SO4)3.18H2O", 98), "Danger: damages eyes"),
    Reagent("Barium chloride", Form("BaCl2.2H2O", 99), "Danger: poisonous if swallowed", "Gloves; wash hands."),
    Reagent("Calcium chloride", Form("CaCl2.2H2O", 99), "Warning: irritates eyes", "It gets warm while dissolving."),
    Reagent("Sodium sulfate", Form("Na2SO4", 99)),
    Reagent("Sodium chloride", Form("NaCl", 99.5)),
    Reagent("Potassium nitrate", Form("KNO3", 99), "Warning: oxidises"),
    Reagent("Ammonium nitrate", Form("NH4NO3", 99), "Warning: oxidises, irritates eyes", "Away from what burns; local rules say how much may be kept."),
    Reagent("Sucrose", Form("C12H22O11", 99.5), keeps=7),
    Reagent("Citric acid", Form("C6H8O7.H2O", 99.5), "Warning: irritates eyes", keeps=30, standardise=True),
    Reagent("Lactic acid", Form("C3H6O3", percent=88, density=1.20, limit=2), "Danger: damages eyes, irritates skin", _ACID, keeps=60, standardise=True),
    Reagent("Malic acid", Form("C4H6O5", 99), "Warning: irritates eyes", keeps=30, standardise=True),
)  # fmt: skip
# The soluble salt from which a solution of a metal's ion is made.
_SALTS = {
    "Ag": "AgNO3", "Cu": "CuSO4", "Pb": "Pb(NO3)2", "Sn": "SnCl2", "Ni": "NiSO4", "Fe": "FeSO4", "Zn": "ZnSO4", "Co": "CoCl2",
    "Al": "Al2(SO4)3", "Mg": "MgSO4",
}  # fmt: skip


def reagent(formula: str) -> Reagent:
    """``formula`` as it is usually bought, whatever water is written with it; pure under its own formula if it is not
    known here. ReadingError for what is no formula.
    """
    known = _by_atoms().get(_atoms(formula))
    return known or Reagent(formula, Form(formula, 99.0, limit=1.0))


def salt_of(formula: str) -> str:
    """The salt whose solution is meant where a metal is named; any other formula as it stands."""
    return _SALTS.get(formula, formula)


def same_substance(first: str, other: str) -> bool:
    """Whether both are the same but for their water."""
    return _atoms(first) == _atoms(other)


def units_in(formula: str) -> float:
    """How many atoms of the metal stand in the usual salt of ``formula``, a metal; 1 for anything else."""
    if formula not in _SALTS:
        return 1.0
    return next(count for (symbol, *_), count in atoms_of(_SALTS[formula]).items() if symbol == formula)


@lru_cache(maxsize=512)
def _atoms(formula: str) -> frozenset[tuple[str, float]]:
    dry = without_water(formula)
    return frozenset((symbol, count) for (symbol, *_), count in atoms_of(dry).items())


@lru_cache(maxsize=1)
def _by_atoms() -> Mapping[frozenset[tuple[str, float]], Reagent]:
    return {_atoms(reagent.form.formula): reagent for reagent in _REAGENTS}


def known_names() -> Mapping[str, str]:
    """Names of what is known here, by formula as it is bought."""
    return {reagent.form.formula: reagent.name for reagent in _REAGENTS}


def checked_formula(text: str) -> str:
    """``text`` if it is a formula of something that can stand on a shelf; ReadingError with a sentence if not."""
    formula = text.strip()
    if not formula:
        raise ReadingError("Write what is in it, as a formula: HCl, Na2S2O3.5H2O.")
    atoms_of(formula)
    return formula
