"""The command line: methods · describe · compute · simulate · export · check · vocabulary · choices. No database.

A METHOD is the slug of one that ships, or the file of one's own. Prints people's text, or JSON with --json. Exit
status 0: it worked; 1: the input is wrong; 2: the command is.
"""

import argparse
import csv
import io
import json
import sys
from collections.abc import Sequence
from dataclasses import asdict, replace
from pathlib import Path

from chromata_core.choices import CHOICES
from chromata_core.errors import ChromataError, SheetError
from chromata_core.method.as_json import from_json, to_json
from chromata_core.method.complete import lacks
from chromata_core.method.describe import card, page, readings_schema
from chromata_core.method.evaluate import context_of, evaluate
from chromata_core.method.explain import explain
from chromata_core.method.form import vocabulary
from chromata_core.method.load import load
from chromata_core.method.monte_carlo import draw_results
from chromata_core.method.outcome import Evaluation, WorkedLine
from chromata_core.method.sheet_file import SheetFile, read_sheet, write_csv
from chromata_core.method.vocabulary import Method
from chromata_core.methods.registry import method, methods
from chromata_core.simulation.rehearse import rehearse


def main(arguments: Sequence[str] | None = None) -> int:
    """Runs one command; the exit status."""
    options = _parser().parse_args(arguments)
    try:
        text, data = _COMMANDS[options.command](options)
    except ChromataError as error:
        problems = error.problems if isinstance(error, SheetError) else [error.message]
        if options.json:
            print(json.dumps({"error": error.code, "problems": problems}, ensure_ascii=False, indent=2))
        print("\n".join(problems), file=sys.stderr)
        return 1
    print(json.dumps(data, ensure_ascii=False, indent=2) if options.json else text)
    return 0


def _parser() -> argparse.ArgumentParser:
    parser = argparse.ArgumentParser(prog="chromata", description="The computation of Chromata, on the command line.")
    commands = parser.add_subparsers(dest="command", required=True, metavar=" | ".join(_COMMANDS))
    listing = commands.add_parser("methods", help="list the experiments")
    spoken = commands.add_parser("vocabulary", help="the records in which an experiment of one's own is written")
    choices = commands.add_parser("choices", help="choices that change a last digit, and what others would give")
    describe = commands.add_parser("describe", help="one experiment: readings, options, formulas, JSON Schema")
    compute = commands.add_parser("compute", help="readings in (JSON or CSV), results with uncertainty out")
    simulate = commands.add_parser("simulate", help="readings as a bench would leave them that works like the example")
    export = commands.add_parser("export", help="one experiment as a file (JSON), to be changed and checked")
    check = commands.add_parser("check", help="does an experiment of one's own hold, and is it complete?")
    for command in (describe, compute, simulate, export, check):
        command.add_argument("method", metavar="METHOD", help="a slug, or a file of one's own (.json)")
    simulate.add_argument("--seed", type=int, default=1, metavar="N", help="another bench for every number (1)")
    simulate.add_argument("--fault", default="", metavar="KEY", help="with this fault of the method")
    compute.add_argument("file", metavar="FILE", help="JSON or CSV; - reads standard input")
    for name, what in (
        ("option", "a choice"),
        ("instrument", "an instrument by role"),
        ("accepted", "an accepted value"),
    ):
        compute.add_argument(
            f"--{name}", action="append", default=[], metavar="KEY=TEXT", help=f"{what}; may be repeated"
        )
    compute.add_argument("--draws", type=int, metavar="N", help="check by N random draws (Monte Carlo)")
    compute.add_argument("--seed", type=int, default=1, metavar="N", help="of the random draws (1)")
    for command in (listing, choices, spoken, describe, compute, simulate, export, check):
        command.add_argument("--json", action="store_true", help="JSON instead of text")
    return parser


def _methods(_: argparse.Namespace) -> tuple[str, object]:
    cards = [card(found) for found in methods().values()]
    width = max(len(found.slug) for found in cards)
    lines = [f"{found.slug:<{width}}  {found.family_label}: {found.title}. {found.question}" for found in cards]
    return "\n".join(lines), [asdict(found) for found in cards]


def _choices(_: argparse.Namespace) -> tuple[str, object]:
    said = [f"{choice.topic}\n  {choice.made}\n  Otherwise: {choice.otherwise}" for choice in CHOICES]
    return "\n".join(said), [asdict(choice) for choice in CHOICES]


def _vocabulary(_: argparse.Namespace) -> tuple[str, object]:
    lines = []
    for record in vocabulary():
        lines += ["", f"{record.name}{f' ({record.use})' if record.use else ''}: {record.help}"]
        for field in record.fields:
            of = f" of {' | '.join(field.of)}" if field.of else ""
            form = f"{field.kind}{', many' if field.many else ''}{of}"
            lines.append(f"  {field.name:<20} {form}{'' if field.required else ', may be left out'}")
    return "\n".join(lines[1:]), [asdict(record) for record in vocabulary()]


def _describe(options: argparse.Namespace) -> tuple[str, object]:
    chosen = _method(options.method)
    shown = page(chosen)
    lines = [shown.card.title, shown.card.question, "", "Readings"]
    lines += [f"  {p.key:<12} {p.label}{f' ({p.unit})' if p.unit else ''}, {p.scope}, {p.kind}" for p in shown.parts]
    lines += ["", "Options"]
    lines += [f"  {o.key:<18} {o.label}: {o.default} {o.unit}".rstrip() for o in shown.options]
    lines += ["", "Computed"]
    lines += [f"  {q.plain}{f'   [{q.unit}]' if q.unit else ''}" for q in shown.quantities]
    lines += ["", "Hazards", *(f"  {hazard}" for hazard in shown.hazards)]
    return "\n".join(lines), {**asdict(shown), "schema": readings_schema(chosen)}


def _compute(options: argparse.Namespace) -> tuple[str, object]:
    chosen = _method(options.method)
    file = read_sheet(_text_of(options.file))
    if file.method and file.method != chosen.slug:
        raise SheetError([f"The file is for “{file.method}”, not for “{chosen.slug}”."])
    if options.draws is not None and not 1000 <= options.draws <= 10_000_000:
        raise SheetError(["--draws must be from 1000 to 10000000."])
    return _computed(chosen, _with_flags(file, options), options.draws, options.seed)


def _with_flags(file: SheetFile, options: argparse.Namespace) -> SheetFile:
    """``file`` with what was said on the command line, which goes before what the file says."""
    said: dict[str, dict[str, str]] = {}
    for kind in ("option", "instrument", "accepted"):
        pairs = [text.partition("=") for text in getattr(options, kind)]
        wrong = [key for key, equals, _ in pairs if not equals]
        if wrong:
            raise SheetError([f"--{kind} {wrong[0]} needs a value: --{kind} KEY=TEXT."])
        said[kind] = {key.strip(): text.strip() for key, _, text in pairs}
    sheet = replace(
        file.sheet, options={**file.sheet.options, **said["option"]},
        instruments={**file.sheet.instruments, **said["instrument"]},
    )  # fmt: skip
    return replace(file, sheet=sheet, accepted={**file.accepted, **said["accepted"]})


def _computed(chosen: Method, file: SheetFile, most: int | None, seed: int) -> tuple[str, object]:
    outcome = evaluate(chosen, file.sheet, file.accepted)
    at = context_of(chosen, file.sheet)
    lines = explain(at)
    draws = draw_results(at, most, seed) if most else []
    data = {**asdict(outcome), "lines": [asdict(line) for line in lines], "draws": [asdict(one) for one in draws]}
    said = "".join(f"\n  {one.label}: {one.sentence}" for one in draws)
    return _text(outcome, lines) + (f"\n\nRandom draws{said}" if draws else ""), data


def _text(outcome: Evaluation, lines: list[WorkedLine]) -> str:
    named = [f"  {line.trial_name + ': ' if line.trial_name else ''}{line.plain}" for line in lines]
    parts = ["Worked computation", *named, "", "Results"]
    for result in outcome.results:
        trial = f", {result.trial_name.lower()}" if result.trial_name else ""
        parts.append(f"  {result.label}{trial}: {result.line}  (k = {result.k:.2f}, 95 %)")
        parts += [f"      {line.label:<28} {line.share:6.1%}   {line.input}" for line in result.budget]
        parts.append(f"      by significant figures {result.by_figures.text}; by apparatus errors {result.worst_case}")
        parts += [f"      {result.comparison.sentence}"] if result.comparison else []
    if not outcome.results:
        parts.append("  None yet: readings are missing.")
    parts += ["", "Findings", *(f"  {f.level}: {f.what} {f.why} {f.do}" for f in outcome.findings)]
    return "\n".join(parts if outcome.findings else parts[:-2])


def _simulate(options: argparse.Namespace) -> tuple[str, object]:
    chosen = _method(options.method)
    sheet = rehearse(chosen, options.seed, None, options.fault)
    readings = [{"key": g.key, "trial": g.trial, "index": g.index, "text": g.text} for g in sheet.given]
    out = io.StringIO()
    csv.writer(out, lineterminator="\n").writerows(write_csv(chosen.slug, sheet))
    data = {
        "method": chosen.slug,
        "options": dict(sheet.options),
        "instruments": dict(sheet.instruments),
        "readings": readings,
    }
    return out.getvalue().rstrip("\n"), data


def _export(options: argparse.Namespace) -> tuple[str, object]:
    data = to_json(_method(options.method))
    return json.dumps(data, ensure_ascii=False, indent=2), data


def _check(options: argparse.Namespace) -> tuple[str, object]:
    chosen = _method(options.method)
    missing = lacks(chosen)
    if missing:
        raise SheetError(missing)
    return f"“{chosen.title}” holds and is complete.", {"slug": chosen.slug, "complete": True}


def _method(name: str) -> Method:
    """A method that ships, by its slug, or one's own, by its file."""
    if not name.endswith(".json"):
        return method(name)
    try:
        data = json.loads(_text_of(name))
    except (json.JSONDecodeError, RecursionError) as error:
        raise SheetError([f"{name} is not JSON: {error}."]) from error
    return load(from_json(data))


def _text_of(name: str) -> str:
    try:
        return sys.stdin.read() if name == "-" else Path(name).read_text(encoding="utf-8")
    except (OSError, UnicodeDecodeError) as error:
        reason = "it is not text" if isinstance(error, UnicodeDecodeError) else error.strerror
        raise SheetError([f"{name} cannot be read: {reason}."]) from error


_COMMANDS = {
    "methods": _methods, "choices": _choices, "describe": _describe, "compute": _compute, "simulate": _simulate,
    "export": _export, "check": _check, "vocabulary": _vocabulary,
}  # fmt: skip

if __name__ == "__main__":
    sys.exit(main())
