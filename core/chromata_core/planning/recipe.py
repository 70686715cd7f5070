"""A recipe: which bottle, which vessels, what is weighed or measured in which order, and what concentration results."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from chromata_core.chemistry.reagents import reagent
from chromata_core.errors import ReadingError
from chromata_core.formula.propagate import Propagated
from chromata_core.planning.measured import Measured
from chromata_core.planning.recipe_steps import lead_of, steps_of
from chromata_core.planning.shelf import Bottle, Shelf, usual
from chromata_core.planning.solutions import Solution
from chromata_core.planning.supplies import amount_text
from chromata_core.planning.ways import Way, ways
from chromata_core.quantity.report import report
from chromata_core.quantity.rounding import with_figures
from chromata_core.quantity.units import unit
from chromata_core.sentences import first_lower

_OTHERS = 4
_SHOWN = 0.005


@dataclass(frozen=True, slots=True)
class ShareOut:
    """A cause with its share of the variance, in per cent."""

    label: str
    percent: str


@dataclass(frozen=True, slots=True)
class Asked:
    """What was really weighed or measured: asked for under ``key``; ``wanted`` is what the recipe says."""

    key: str
    label: str
    unit: str
    wanted: str
    by: str


@dataclass(frozen=True, slots=True)
class OtherWay:
    """Another bottle from which it can be made."""

    bottle: int
    lead: str


@dataclass(frozen=True, slots=True)
class Recipe:
    """How one solution is made. ``lead`` says it in a line, ``steps`` one after the other.

    ``result`` is the concentration that follows, ``molar`` and ``molar_limit`` the same as plain numbers in mol/L with
    their ± (95 %); ``value`` and ``limit`` as the plan's number ``feeds`` takes them. ``filled`` is what it gives in
    all. ``bottle`` is the one it comes from, 0 for one that has to be bought; ``needs`` of it, ``there`` is how
    much it holds, ``short`` whether that is too little.
    ``lacks`` are what is not there, with what to do, ``looks`` what to think of.
    """

    key: str
    title: str
    amount: str
    filled: str
    wanted: str
    lead: str
    steps: list[str]
    asked: list[Asked]
    result: str
    molar: str
    molar_limit: str
    shares: list[ShareOut]
    feeds: str
    value: str
    limit: str
    bottle: int
    substance: str
    needs: str
    there: str
    short: bool
    hazard: str
    store: str
    keeps: int
    lacks: list[str]
    looks: list[str]
    others: list[OtherWay]


def recipe(
    solution: Solution, shelf: Shelf, bottle: int | None = None, measured: Mapping[str, str] | None = None
) -> Recipe:
    """The recipe for ``solution`` from what is on ``shelf``: from the ``bottle`` that was chosen, else from the best.

    ``measured`` are texts of what was really weighed or measured; ReadingError for one that its piece cannot show.
    """
    ways = _best(solution, shelf)
    chosen = [way for way in ways if way.bottle.number == bottle] or ways
    lacks = [] if ways else [_cannot(solution, shelf)]
    lacks += _not_used(solution, shelf, chosen[0].bottle if chosen else None)
    if not chosen:
        return _empty(solution, lacks)
    way = chosen[0]
    lacks += _shortage(way)
    really = _really(way, measured or {})
    result = way.result(really)
    known = reagent(solution.formula)
    molar, molar_limit = _plain(result, 1.0)
    value, limit = _plain(result, solution.equivalents) if solution.feeds else ("", "")
    others = [
        OtherWay(best.bottle.number, lead_of(best)) for best in _one_a_bottle(ways) if lead_of(best) != lead_of(way)
    ]
    return Recipe(
        solution.key, solution.title, _made(way), _filled(way), amount_text(solution.amount, "mL"), lead_of(way),
        steps_of(way, solution), _asked(way),
        f"{_molar(result)} mol/L", molar, molar_limit, _shares(result),
        solution.feeds, value, limit, way.bottle.number, way.bottle.formula, _taken(way, really), *_there(way),
        known.hazard, known.store, known.keeps, lacks, _looks(solution, way, result), others[:_OTHERS],
    )  # fmt: skip


def _shares(result: Propagated) -> list[ShareOut]:
    return [ShareOut(line.label, f"{line.share * 100:.0f} %") for line in result.budget.lines if line.share >= _SHOWN]


def _best(solution: Solution, shelf: Shelf) -> list[Way]:
    """Every way, the best first: what is there before what is bought, what is sure enough, least work."""
    bottles = [bottle for bottle in shelf.holding(solution.formula) if not bottle.past(shelf.day)]
    bought = usual(solution.formula)
    possible = [way for bottle in (*bottles, bought) for way in ways(solution.wanted, bottle, shelf)]
    return sorted(possible, key=lambda way: _rank(way, solution))


def _rank(way: Way, solution: Solution) -> tuple[bool, bool, bool, int, int, float]:
    result = way.result()
    work = sum(stage.batches * len(stage.taken.pieces) for stage in way.stages)
    unsure = result.budget.u > 1.2 * solution.wanted.part * result.value
    waste = way.last.made.value * way.last.batches if way.stages else 0.0
    bought = way.bottle.number == 0
    return (bought, not bought and way.bottle.amount < way.needs, unsure, len(way.stages), work, waste)


def _one_a_bottle(ways: Sequence[Way]) -> list[Way]:
    best: dict[int, Way] = {}
    for way in ways:
        best.setdefault(way.bottle.number, way)
    return list(best.values())


def _measures(way: Way) -> list[tuple[Measured, int]]:
    """What is weighed or measured by a scale, so that it is written down, and how often."""
    return [(stage.taken, stage.batches) for stage in way.stages if not stage.taken.stands]


def _asked(way: Way) -> list[Asked]:
    return [
        Asked(
            measured.key,
            f"{measured.label}, mean of {times}" if times > 1 else measured.label,
            measured.unit,
            measured.text,
            measured.by,
        )
        for measured, times in _measures(way)
    ]


def _really(way: Way, texts: Mapping[str, str]) -> dict[str, float]:
    by_key = {measured.key: measured for measured, _ in _measures(way)}
    unknown = [key for key in texts if key not in by_key]
    if unknown:
        raise ReadingError("This recipe measures something else: the shelf or the plan was changed. Look at it again.")
    return {key: by_key[key].read(text) for key, text in texts.items() if text.strip()}


def _molar(result: Propagated) -> str:
    scale = unit("mol/L")
    return report(scale.from_si(result.value), scale.from_si(result.budget.expanded)).text


def _plain(result: Propagated, per: float) -> tuple[str, str]:
    """Value and ± in mol/L times ``per`` as plain numbers, digits as far as its ± reaches."""
    scale = unit("mol/L")
    value, limit = scale.from_si(result.value * per), scale.from_si(result.budget.expanded * per)
    if limit <= 0:
        return f"{value:.6g}", "0"
    told = report(value, limit)
    if told.power:
        return f"{value:.6g}", f"{limit:.2g}"
    return told.value, told.uncertainty


def _filled(way: Way) -> str:
    return amount_text(way.last.made.value * way.last.batches if way.stages else way.wanted.volume, "mL")


def _made(way: Way) -> str:
    if not way.stages:
        return amount_text(way.wanted.volume, "mL")
    whole = amount_text(way.last.made.value, "mL")
    return f"{way.last.batches} × {whole}" if way.last.batches > 1 else whole


def _needed(way: Way) -> str:
    return amount_text(way.needs, "mL" if way.bottle.liquid else "g")


def _taken(way: Way, really: Mapping[str, float]) -> str:
    """What is taken of the bottle: what was really weighed or measured of it, else what the recipe wants."""
    taken = way.stages[0].taken if way.stages else None
    share = really.get(taken.key, taken.value) / taken.value if taken else 1.0
    return amount_text(way.needs * share, "mL" if way.bottle.liquid else "g")


def _there(way: Way) -> tuple[str, bool]:
    """How much is in the bottle, and whether that is too little."""
    if way.bottle.number == 0:
        return "", True
    return amount_text(way.bottle.amount, "mL" if way.bottle.liquid else "g"), way.bottle.amount < way.needs


def _shortage(way: Way) -> list[str]:
    bottle = way.bottle
    what = f"{bottle.name}, {bottle.strength}"
    if bottle.number == 0:
        return [
            f"No bottle of {first_lower(what)}, is in the stockroom: {_needed(way)} of it are needed. Order it or "
            "enter the bottle that is there."
        ]
    there, short = _there(way)
    if short:
        return [f"{what}: {there} on the shelf, {_needed(way)} needed. Order the rest, or plan less."]
    return []


def _not_used(solution: Solution, shelf: Shelf, used: Bottle | None) -> list[str]:
    """Bottles of it that cannot serve, and why."""
    sentences = []
    for bottle in shelf.holding(solution.formula):
        if bottle.past(shelf.day):
            sentences.append(
                f"{bottle.name}, {bottle.strength}, is past its date ({bottle.until}): not used. Test it and give it a "
                "new date, or dispose of it by local rules."
            )
        elif bottle.liquid and bottle.holds < solution.concentration and bottle != used:
            sentences.append(
                f"{bottle.name}, {bottle.strength}, is weaker than what is wanted: it cannot be made from it."
            )
    return sentences


def _cannot(solution: Solution, shelf: Shelf) -> str:
    if not shelf.balances:
        return f"{solution.title}: no balance is in the stockroom. Count one there."
    kind = "volumetric flask" if solution.wanted.exact else "measuring cylinder"
    if not shelf.of("flask" if solution.wanted.exact else "cylinder"):
        return f"{solution.title}: no {kind} is in the stockroom. Count one there."
    return (
        f"{solution.title} cannot be made from what is there: stronger than what can be bought, or too little for "
        "any vessel."
    )


def _looks(solution: Solution, way: Way, result: Propagated) -> list[str]:
    looks = []
    if solution.limit and result.budget.expanded > 1.2 * solution.limit:
        scale = unit("mol/L")
        u, asked = (with_figures(scale.from_si(x), 2) for x in (result.budget.expanded, solution.limit))
        standardise = reagent(solution.formula).standardise
        cure = "Standardise it, and write what is found" if standardise else "Write what results"
        looks.append(f"Made so it is known to ± {u} mol/L; the plan counts on ± {asked}. {cure} into the plan.")
    if way.bottle.liquid and not way.bottle.u:
        looks.append(f"Nobody wrote how well {first_lower(way.bottle.name)} is known: it is taken as exact.")
    if way.bottle.promised:
        taken = amount_text(way.bottle.promised, "mL" if way.bottle.liquid else "g")
        looks.append(
            f"Of {first_lower(way.bottle.name)} sessions before this one take {taken}; that is counted already."
        )
    off = abs(result.value / solution.concentration - 1)
    if off > max(2 * solution.wanted.part, 0.01):
        looks.append(
            f"It comes to {_molar(result)} mol/L instead of {solution.stated}: no vessels here meet it better."
        )
    return looks


def _empty(solution: Solution, lacks: list[str]) -> Recipe:
    known = reagent(solution.formula)
    return Recipe(
        solution.key,
        solution.title,
        "",
        filled="",
        wanted=amount_text(solution.amount, "mL"),
        lead="",
        steps=[],
        asked=[],
        result="",
        molar="",
        molar_limit="",
        shares=[],
        feeds="",
        value="",
        limit="",
        bottle=0,
        substance=solution.formula,
        needs="",
        there="",
        short=True,
        hazard=known.hazard,
        store=known.store,
        keeps=known.keeps,
        lacks=lacks,
        looks=[],
        others=[],
    )
