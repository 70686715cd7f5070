"""Dilution, molar mass and composition."""

from dataclasses import replace

from chromata_core.chemistry.molar_mass import BASIS, KILO, atoms_of, formula_text, molar_mass
from chromata_core.desk.calculator import Calculator, FieldOf, Said, WorkedOut, WorkedStep, si_of
from chromata_core.errors import ReadingError
from chromata_core.planning.recipe_steps import lead_of
from chromata_core.planning.shelf import USUAL, Bottle
from chromata_core.planning.ways import Wanted, ways
from chromata_core.quantity.report import report
from chromata_core.quantity.rounding import with_figures
from chromata_core.quantity.units import unit
from chromata_core.uncertainty.budget import coverage_factor


def _dilution(form: Said) -> WorkedOut:
    stock, wanted = (si_of(form[key], "mol/L", "A concentration") for key in ("stock", "wanted"))
    volume = si_of(form["volume"], "mL", "The volume")
    if wanted > stock:
        raise ReadingError(
            f"The stock ({form['stock']}) is weaker than what is wanted ({form['wanted']}): diluting makes it weaker still."
        )
    taken = wanted * volume / stock
    millilitres, whole = unit("mL").from_si(taken), unit("mL").from_si(volume)
    steps = [
        WorkedStep("What is in it stays in it", "c₁ · V₁ = c₂ · V₂"),
        WorkedStep(
            "Taken", f"V₁ = {form['wanted']} × {whole:g} mL / {form['stock']} = {with_figures(millilitres, 4)} mL"
        ),
        WorkedStep("Water", f"about {with_figures(whole - millilitres, 3)} mL, filled up to {whole:g} mL"),
        WorkedStep("Dilution factor", f"{with_figures(stock / wanted, 4)}"),
    ]
    bottle = Bottle(1, "the stock", "H2O", True, stock, 0.0, 1.0)
    for exact, label in ((True, "With a flask and pipettes"), (False, "With cylinders")):
        possible = ways(Wanted("H2O", wanted, volume, exact), bottle, USUAL)
        if possible and possible[0].stages:
            way = possible[0]
            result = way.result()
            molar = report(unit("mol/L").from_si(result.value), unit("mol/L").from_si(result.budget.expanded))
            line = lead_of(replace(way, bottle=bottle)).replace(f"the stock {bottle.strength}", "the stock")
            steps.append(WorkedStep(label, f"{line}: {molar.text} mol/L, the stock taken as exact"))
    return WorkedOut(f"{with_figures(millilitres, 4)} mL of the stock, made up to {whole:g} mL", steps)


def _molar_mass(form: Said) -> WorkedOut:
    formula = form["formula"]
    mass = molar_mass(formula)
    u = sum((source.u * size) ** 2 for source, size in mass.sources) ** 0.5
    grams, expanded = mass.value / KILO, coverage_factor(float("inf")) * u / KILO
    told = report(grams, expanded) if expanded else None
    steps = [
        WorkedStep(
            symbol, f"{count:g} × {weight:g} = {with_figures(count * weight, 6)} g/mol, {100 * count * weight / grams:.2f} % of the mass"
        )
        for (symbol, weight, _), count in sorted(atoms_of(formula).items())
    ]  # fmt: skip
    text = told.text if told else with_figures(grams, 6)
    return WorkedOut(f"{formula_text(formula)}: {text} g/mol", [*steps, WorkedStep("Basis", BASIS)])


DILUTION = Calculator(
    "dilution", "Dilution", "How much of a stock, and how much water.",
    (
        FieldOf("stock", "Stock", "6 mol/L"), FieldOf("wanted", "Wanted", "0.5 mol/L"),
        FieldOf("volume", "Volume", "250 mL"),
    ),
    _dilution,
)  # fmt: skip
MOLAR_MASS = Calculator(
    "molar-mass", "Molar mass", "With its uncertainty, and the mass of each element in it.",
    (FieldOf("formula", "Formula", "CuSO4.5H2O"),), _molar_mass,
)  # fmt: skip
