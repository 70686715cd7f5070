"""Words that declarations of earlier releases use: said in today's words as they are read, so that no record goes dark.

A session keeps the declaration it was opened with, and instructors keep files; a word is therefore never just removed.
"""

from collections.abc import Callable, Mapping
from typing import Any

Record = dict[str, Any]
_SQUARE = "square-of-pairs"


def in_todays_words(declared: Mapping[str, Any]) -> Record:
    """``declared`` with every retired check replaced by the conditions that say the same."""
    checks = declared.get("checks")
    if not isinstance(checks, list):
        return dict(declared)
    return {**_with_its_square(declared), "checks": [new for old in checks for new in _today(old, declared)]}


def _with_its_square(declared: Mapping[str, Any]) -> Record:
    """The square of pairs came of itself with their plan; it is a drawing like any other now."""
    charts, options = declared.get("charts"), declared.get("options")
    if not isinstance(charts, list) or "pairs-option" not in _kinds(options) or _SQUARE in _kinds(charts):
        return dict(declared)
    drawn = next(
        (chart for chart in charts if isinstance(chart, dict) and chart.get("kind") == "pairs-of-metals"), None
    )
    square = {"kind": _SQUARE, "key": "square", "title": "Every pair against every other"}
    return {**declared, "charts": [{**square, "reading": drawn.get("reading", "")}, *charts] if drawn else charts}


def _kinds(records: object) -> list[object]:
    """The kinds of records, whatever was sent in their place."""
    return [record.get("kind") for record in records if isinstance(record, dict)] if isinstance(records, list) else []


def _today(check: Any, declared: Mapping[str, Any]) -> list[Any]:
    retired = _RETIRED.get(str(check.get("kind"))) if isinstance(check, Mapping) else None
    try:
        return retired(check, declared) if retired else [check]
    except KeyError:  # incomplete: told as any unknown word is
        return [check]


def _whenever(code: str, condition: str, what: str, why: str, do: str, **more: Any) -> Record:
    return {"kind": "whenever", "code": code, "condition": condition, "what": what, "why": why, "do": do, **more}


def _grows(old: Mapping[str, Any], _: object) -> list[Any]:
    x = old["series"]
    why = old.get("why", "A burette only gives: its reading grows from one point to the next.")
    return [_whenever(
        f"{x}-grows", f"{x} <= before({x})", f"{{{x}}} is not above {{before({x})}}.", why,
        "Read it again and correct the wrong one.", level="stop", on=x, each=x, word="Read me the last two aloud.",
    )]  # fmt: skip


def _rises(old: Mapping[str, Any], _: object) -> list[Any]:
    x, option = old["series"], old["option"]
    rise = f"{x} - before({x})"
    what = f"The mass went up by {{{rise}:g}}."
    return [_whenever("mass-rises", f"{rise} > {option}", what, old["why"], old["do"], level="stop", on=x, each=x)]


def _begins_at(old: Mapping[str, Any], _: object) -> list[Any]:
    x = old["series"]
    return [_whenever(
        f"{x}-start", f"row == 1 and {x} > latest", f"The first point stands at {{{x}}} mL.",
        "The reading before any titrant belongs to the curve.",
        "If titrant ran in already, start a new portion; if the burette began there, go on.",
        on=x, each=x, limits={"latest": f"{old['latest']} mL"},
    )]  # fmt: skip


def _near_plan(old: Mapping[str, Any], _: object) -> list[Any]:
    x, plan, far, near = old["reading"], old["planned"], old["far"], old["near"]
    return [
        _whenever(
            f"{x}-plan", f"{x} / {plan} - 1 > {far} or 1 - {x} / {plan} > {far}",
            f"{{{x}}} is far from the planned {{{plan}}}.",
            "Perhaps the balance was not tared, or the plan of another vessel was used.",
            "Look at the display again. Keep it if it really shows that.", on=x,
            word="What does the balance show with nothing on it?",
        ),
        _whenever(
            f"{x}-plan", f"-{near} <= {x} / {plan} - 1 <= {near}",
            f"Within {{{near}}} % of the plan: good work, do not chase it.", "", "", level="keep", on=x,
        ),
    ]  # fmt: skip


def _set_as(old: Mapping[str, Any], _: object) -> list[Any]:
    x, plan = old["reading"], old["planned"]
    return [_whenever(
        f"{x}-set", f"{x} != {plan}", f"Set to {{{x}}}, planned is {{{plan}}}.",
        "The mean would be compared with another volume than was delivered.",
        "Set it anew, or correct what you wrote.", level="stop", on=x,
    )]  # fmt: skip


def _fewer_than(old: Mapping[str, Any], _: object) -> list[Any]:
    x, asked = old["series"], old["option"]
    return [_whenever(
        f"{x}-few", f"row == {asked} and {asked} < standard",
        f"{{{asked}}} readings; the standard asks for {{standard:}}.",
        "A standard deviation from few readings is only roughly known.",
        "Say so beside the result, or do the rest as well.", on=x, each=x, limits={"standard": str(old["least"])},
    )]  # fmt: skip


def _apart(old: Mapping[str, Any], declared: Mapping[str, Any]) -> list[Any]:
    first, other, within = old["one"], old["other"], old["within"]
    what = f"{_label(declared, first)} {{{first}}} and {_label(declared, other).lower()} {{{other}}} differ."
    condition = f"{first} - {other} > {within} or {other} - {first} > {within}"
    return [_whenever(f"{first}-apart", condition, what, old["why"], old["do"], on=old["on"])]


def _too_small(old: Mapping[str, Any], declared: Mapping[str, Any]) -> list[Any]:
    x = old["quantity"]
    least = f"{old['least']} {_quantity(declared, x)['unit']}"
    what = f"{_label(declared, x)} {{{x}}} is small."
    limits = {"least": least.rstrip()}
    return [_whenever(f"{x}-small", f"-least < {x} < least", what, old["why"], old["do"], on=old["on"], limits=limits)]


def _sign_of(old: Mapping[str, Any], declared: Mapping[str, Any]) -> list[Any]:
    x = old["quantity"]
    what = f"{_label(declared, x)} {{{x}}} has the other sign."
    return [
        _whenever(f"{x}-sign", f"{x} * {old['option']} < 0", what, old["why"], old["do"], level="stop", on=old["on"])
    ]


def _quantity(declared: Mapping[str, Any], key: str) -> Mapping[str, Any]:
    quantities = declared.get("quantities")
    known = quantities if isinstance(quantities, list) else []
    quantity: Mapping[str, Any] = next(
        (quantity for quantity in known if isinstance(quantity, dict) and quantity.get("key") == key), {}
    )
    return {"label": key, "unit": "", **quantity}


def _label(declared: Mapping[str, Any], key: str) -> str:
    return str(_quantity(declared, key)["label"])


_RETIRED: dict[str, Callable[[Mapping[str, Any], Mapping[str, Any]], list[Any]]] = {
    "grows": _grows, "rises": _rises, "begins-at": _begins_at, "near-plan": _near_plan, "set-as": _set_as,
    "fewer-than": _fewer_than, "apart": _apart, "too-small": _too_small, "sign-of": _sign_of,
}  # fmt: skip
