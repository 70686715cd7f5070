"""What hands do to make a solution, in sentences and in their order: water first, acid into it."""

from chromata_core.chemistry.molar_mass import formula_text
from chromata_core.chemistry.reagents import reagent
from chromata_core.planning.measured import Measured, short_of
from chromata_core.planning.shelf import Bottle
from chromata_core.planning.solutions import Solution
from chromata_core.planning.supplies import amount_text
from chromata_core.planning.ways import Stage, Way
from chromata_core.quantity.rounding import place_for_figures, plain, with_figures
from chromata_core.quantity.units import unit
from chromata_core.sentences import first_lower

_WATER_FIRST = 0.7  # of what is filled up in the end: enough to take the heat, and room to rinse
_ROUND = 4  # figures of a mass to aim at; what the balance shows is what counts


def lead_of(way: Way) -> str:
    """The way in one line: “37.41 g of Na₂S₂O₃·5H₂O, flask 1000 mL”."""
    bottle = way.bottle
    if not way.stages:
        return f"as it stands: {bottle.name}, {bottle.strength}"
    first = way.stages[0]
    water = f"{_water(first)} of water first, then " if bottle.percent else ""
    line = f"{water}{aim(first.taken)} of {_of(bottle)}{' into it' if water else ''}, {first.made.by}"
    if len(way.stages) == 2:
        line += f"; then {aim(way.last.taken)} of that, {way.last.made.by}"
    return line + (f", {way.last.batches} times" if way.last.batches > 1 else "")


def steps_of(way: Way, solution: Solution) -> list[str]:
    """Every step, from the empty vessel to the labelled bottle."""
    if not way.stages:
        return [f"Use {first_lower(way.bottle.name)}, {way.bottle.strength}, as it stands.", _BOTTLED]
    known = reagent(way.bottle.formula)
    first, *others = way.stages
    steps = _first(way.bottle, first, known.how)
    for stage in others:
        strong = unit("mol/L").from_si(way.stages[0].strong)
        steps += [
            f"That is a stronger one, {with_figures(strong, 4)} mol/L. Take {aim(stage.taken)} of it with the "
            f"{stage.taken.by}.",
            _fill(stage.made),
        ]
    if way.last.batches > 1:
        steps.append(f"Do this {way.last.batches} times, and mix all of it: then it is the same for everybody.")
    return [*steps, _BOTTLED]


_BOTTLED = "Into its bottle, with its label: what, how strong, when, by whom."


def aim(taken: Measured) -> str:
    """What to aim at: marks as they are, else no more figures than anybody should chase."""
    if taken.stands:
        return amount_text(taken.value, taken.unit)
    if taken.unit != "g":
        return taken.text
    grams = unit("g").from_si(taken.value)
    fine = max(min(place_for_figures(grams, _ROUND), taken.pieces[0].decimals), 0)  # no finer than it is shown
    return f"{plain(grams, fine)} g"


def _of(bottle: Bottle) -> str:
    if not bottle.liquid:
        return formula_text(bottle.formula)
    name = first_lower(bottle.name)
    return f"{bottle.percent:g} % {name}" if bottle.percent else f"{name} {bottle.strength}"


def _water(stage: Stage) -> str:
    return _about(_WATER_FIRST * (stage.made.value - stage.taken.value))


def _about(volume: float) -> str:
    """Two figures, as plain digits."""
    millilitres = float(f"{unit('mL').from_si(volume):.2g}")
    return f"{millilitres:g} mL"


def _first(bottle: Bottle, stage: Stage, how: str) -> list[str]:
    by = stage.taken.by
    if bottle.percent:
        return [
            f"{_water(stage)} of pure water into the beaker first.",
            f"Measure {aim(stage.taken)} of {_of(bottle)} ({bottle.density:g} g/mL) with the {by}, "
            f"and pour it into the water. {how}".strip(),
            f"Let it cool. {_fill(stage.made)}",
        ]
    if bottle.liquid:
        return [f"Take {aim(stage.taken)} of {_of(bottle)} with the {by}.", _fill(stage.made)]
    return [
        f"Weigh about {aim(stage.taken)} of {_of(bottle)} ({bottle.strength}) with the {by}, "
        f"and write down every digit it shows. {how}".strip(),
        f"Dissolve it in about {_about(_WATER_FIRST * stage.made.value)} of pure water.",
        f"Rinse all of it over. {_fill(stage.made)}",
    ]


def _fill(measured: Measured) -> str:
    piece = measured.pieces[0]
    if piece.kind == "flask":
        return (
            f"Fill the {short_of(piece)} to its mark with pure water at room temperature, close it and turn it over "
            "ten times."
        )
    return f"Fill up to {amount_text(measured.value, 'mL')} in the {short_of(piece)}, and stir."
