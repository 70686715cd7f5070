"""What stands at the places of a planned session: a bench with one sample in turn, or one for each sample."""

from collections.abc import Mapping, Sequence
from typing import Any

from chromata_core.declaration.options import otherwise, unit_options
from chromata_core.quantity.given import written_in
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Sheet
from config.errors import Refused
from labs.declared import method_of
from labs.instruments import stock_of
from labs.models import Bench, HiddenValue, Sample, Session

_MOST = 96  # records of one session: 48 places with two samples each, 8 with twelve


def furnish(session: Session, places: int, samples: Sequence[Mapping[str, Any]], all_samples: bool) -> None:
    """Gives a planned ``session`` so many places and its samples anew. Teams stay where they are."""
    _told_apart(samples)
    turns = len(samples) if all_samples and samples else 1
    if places * turns > _MOST:
        raise Refused(
            f"{places} benches with {turns} samples each are {places * turns} records, and a session has {_MOST} at "
            "most. Take fewer benches, or deal the samples out in turn.",
            422,
        )
    session.all_samples = all_samples
    session.save(update_fields=["all_samples"])
    session.samples.all().delete()
    furnished = [_sample(session, sample) for sample in samples]
    session.benches.filter(number__gt=places).delete()
    session.benches.filter(turn__gt=turns).delete()
    there = {(bench.number, bench.turn): bench for bench in session.benches.all()}
    for number in range(1, places + 1):
        for turn in range(1, turns + 1):
            bench = there.get((number, turn)) or Bench(session=session, number=number, turn=turn)
            given = furnished[(turn if turns > 1 else number) % len(furnished) - 1] if furnished else None
            bench.sample, bench.own_options = given, given.options if given else {}
            bench.save()
            if turn > 1 and (number, turn) not in there and (number, 1) in there:
                bench.team.set(there[number, 1].team.all())


def _told_apart(samples: Sequence[Mapping[str, Any]]) -> None:
    names = [str(sample["name"]).strip().casefold() for sample in samples]
    twice = next(
        (str(sample["name"]) for sample in samples if names.count(str(sample["name"]).strip().casefold()) > 1), None
    )
    if twice is not None:
        raise Refused(f"Two samples are called “{twice.strip()}”. Name them so that their labels differ.", 422)


def _sample(session: Session, given: Mapping[str, Any]) -> Sample:
    """One sample with its hidden values. Refused where its own choices do not fit the method."""
    chosen = method_of(session)
    own = {key: text for key, text in (given.get("options") or {}).items() if text.strip()}
    if common := unit_options(chosen) & own.keys():
        label = next(option.label for option in chosen.options if option.key in common)
        raise Refused(f"“{label}” is the same for the whole class: results of samples are compared.", 422)
    own = otherwise(chosen, session.options, own)
    bind(chosen, Sheet({**session.options, **own}, session.instruments, stock=stock_of(session)))
    sample = Sample.objects.create(session=session, label=given["name"], options=own)
    results = {q.key: q.unit for q in chosen.quantities if q.result and q.accepted}
    for key, text in (given.get("accepted") or {}).items():
        if key not in results:
            raise Refused(f"“{key}” is not a result that can have an accepted value.", 422)
        if text.strip():
            HiddenValue.objects.create(sample=sample, key=key, text=written_in(text, results[key]))
    return sample
