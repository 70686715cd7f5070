"""The checks that every sheet gets and no method declares: digits, impossible values, spoiled trials, agreement."""

from collections.abc import Iterable, Iterator

from chromata_core.declaration.vocabulary import Reading
from chromata_core.engine.context import Context
from chromata_core.engine.numeric_pass import undefined
from chromata_core.judging.answers import answered
from chromata_core.judging.finding import Finding
from chromata_core.quantity.rounding import plain, with_figures
from chromata_core.quantity.typed import Typed, parse_reading
from chromata_core.sentences import first_upper, joined, with_article

DIGITS = ("missing-digit", "too-many-digits")


def every_sheet(at: Context) -> Iterable[Finding]:
    """The checks that need no declaring: digits, impossible values, agreement."""
    yield from _awaited(at)
    yield from _digits(at)
    yield from _spoiled(at)
    yield from _impossible(at)
    yield from _undefined(at)
    yield from _agreement(at)
    yield from answered(at)


def _awaited(at: Context) -> Iterator[Finding]:
    """A number that another sheet was to find and did not: the result stands on the plan's, and must not seem final."""
    for option in at.bound.hand_ins if at.bound.typed else ():
        if option.key in at.bound.awaited:
            awaited = at.bound.awaited[option.key]
            yield Finding(
                f"{option.key}-awaited", "look", f"{option.label}: still the plan's {at.bound.number_text(option)}.",
                f"{awaited.origin}: {awaited.why}.", "Finish it there; it is taken over by itself.",
                word="What did you find before, and where does it enter here?",
            )  # fmt: skip


def _digits(at: Context) -> Iterator[Finding]:
    readings = {reading.key: reading for reading in at.bound.readings}
    for (key, trial, index), typed in at.bound.typed.items():
        if key in readings:
            finding = digits_finding(at, readings[key], typed, trial, index)
            if finding:
                yield finding


def digits_finding(at: Context, reading: Reading, typed: Typed, trial: int | None, index: int | None) -> Finding | None:
    """Too few or too many decimals for the instrument; None if they are right."""
    tool = at.instrument(reading.key)
    missing = tool.decimals - typed.decimals
    if parse_reading(typed.text).unit not in ("", reading.unit):  # not as the instrument shows it
        return None
    if missing == 0 or (at.is_rough(trial) if trial is not None else False):
        return None
    a_tool = with_article(tool.kind)
    if missing > 0:
        full = plain(typed.value, tool.decimals)
        do = "Copy every digit of the display, zeros too." if tool.digital else "Judge one digit between the marks."
        return Finding(
            "missing-digit",
            "look",
            f"{typed.text} on {a_tool}: {full}?",
            f"{first_upper(a_tool)} tells {tool.decimals} decimals; {typed.text} claims fewer.",
            do,
            key=reading.key,
            trial=trial,
            index=index,
            suggest=full,
            word=f"What is the next digit? {first_upper(a_tool)} tells {tool.decimals} decimals.",
        )
    return Finding(
        "too-many-digits",
        "look",
        f"{typed.text} has more decimals than {a_tool} can tell.",
        f"Its smallest {'step' if tool.digital else 'mark'} is {f'{tool.graduation} {tool.unit}'.rstrip()}.",
        f"Write {tool.decimals} decimals.",
        key=reading.key,
        trial=trial,
        index=index,
        suggest=plain(typed.value, tool.decimals),
    )


def _spoiled(at: Context) -> Iterator[Finding]:
    """A trial that was seen to go wrong: void, but kept on the record; silent once enough others agree."""
    agreed = at.computed.agreement is None or at.computed.agreement.agree
    if agreed and len(at.computed.counted) >= at.bound.asked.least:
        return
    for trial in at.trials(valid=False):
        for part in at.bound.observations:
            place = next((p for p in at.bound.looks(part.key, trial) if at.bound.texts[p] in part.voids), None)
            if place and not at.is_rough(trial):
                seen = at.bound.texts[place]
                label = next(choice.label for choice in part.choices if choice.key == seen)
                name = at.trial_name(trial)
                yield Finding(
                    "spoiled", "repeat", f"{label}.", f"{name.capitalize()} stays on the record but is not averaged.",
                    f"Do another {at.bound.method.trials.noun.lower()}.", *place,
                )  # fmt: skip


def _impossible(at: Context) -> Iterator[Finding]:
    for trial, reason in at.computed.voided.items():
        quantity = next((q for q in at.bound.quantities if q.positive == reason), None)
        if quantity is None:
            continue
        on = _last_reading(at, trial)
        yield Finding(
            f"{quantity.key}-impossible", "stop", reason,
            f"{quantity.label} would be {at.said(quantity.key, at.value(quantity.key, trial) or 0.0)}.",
            "Look at both readings again and correct the wrong one.", key=on, trial=trial,
            word="Read me both numbers from the instrument, aloud.",
        )  # fmt: skip


def _undefined(at: Context) -> Iterator[Finding]:
    """Quantities whose readings are there and say nothing: a mass or a volume of zero to divide by."""
    places = [(None, at.computed.bench), *at.computed.trials.items()]
    for trial, values in places:
        for quantity in at.bound.quantities:
            here = (quantity.scope == "trial") == (trial is not None)
            if here and (problem := undefined(quantity, values)):
                yield Finding(
                    f"{quantity.key}-undefined",
                    "stop",
                    problem,
                    "The readings leave nothing to work with.",
                    "Look for a zero or a number from another scale and correct it.",
                    key=_last_reading(at, trial),
                    trial=trial,
                    word="Which of these readings can really be so?",
                )


def _last_reading(at: Context, trial: int | None) -> str:
    keys = [r.key for r in at.bound.readings if at.typed(r.key, trial) is not None]
    return keys[-1] if keys else ""


def _agreement(at: Context) -> Iterator[Finding]:
    agreement, plan = at.computed.agreement, at.bound.method.trials
    if agreement is None:
        return
    rule = agreement_rule(at)
    size = (
        f"{agreement.measure * 100:.2f} %"
        if at.bound.options["agreement"] != "range"
        else at.said(plan.agree, float(at.as_shown(plan.agree, agreement.measure)))
    )
    if agreement.agree:
        count = {2: "Two", 3: "Three", 4: "Four"}.get(len(agreement.members), str(len(agreement.members)))
        what = f"{count} agree{_AGREED[at.bound.options['agreement']].format(size)}."
        yield Finding("agree", "keep", what, f"The class rule is {rule}.", "Go on.")
        return
    numbers = [n for n in at.trials() if not at.is_rough(n) and at.value(plan.agree, n) is not None]
    names = joined(map(str, numbers))
    spare = len(numbers) < at.bound.asked.most or at.bound.asked.goes_on
    yield Finding(
        "disagree", "repeat",
        f"{plan.noun}s {names} {_APART[at.bound.options['agreement']].format(size)}.", f"The class rule is {rule}.",
        f"Do {plan.noun.lower()} {max(at.trials(valid=False)) + 1}." if spare else
        "Ask your instructor before another: this is the most the plan allows.",
        trial=numbers[-1], word="What did you do differently in the last one? Do one more, slowly at the end.",
    )  # fmt: skip


# What the class's rule measures is named: a relative average deviation is half of what two trials differ by.
_AGREED = {
    "range": " within {}", "rad": ": relative average deviation {}", "rsd": ": relative standard deviation {}",
}  # fmt: skip
_APART = {
    "range": "differ by {}", "rad": "do not agree: relative average deviation {}",
    "rsd": "do not agree: relative standard deviation {}",
}  # fmt: skip


def agreement_rule(at: Context) -> str:
    """The class rule in words."""
    if at.bound.options["agreement"] == "range":
        agreed, limit = at.bound.method.trials.agree, at.number("agreement_limit")
        shown = at.as_shown(agreed, limit)
        text = at.bound.options["agreement_limit"] if shown is limit else with_figures(float(shown), 3)
        return f"{text} {at.quantity(agreed).unit}".rstrip()
    name = "relative average deviation" if at.bound.options["agreement"] == "rad" else "relative standard deviation"
    return f"{at.bound.options['agreement_relative']} % {name}"
