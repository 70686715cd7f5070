"""What there is: methods, their pages, instruments, the words of declarations, choices behind the last digit."""

import argparse
from dataclasses import asdict

from chromata_core.apparatus.scene_book import SCENES
from chromata_core.authoring.form import vocabulary
from chromata_core.choices import CHOICES
from chromata_core.commands.files import Said, method_of
from chromata_core.instruments.catalogue import CATALOGUE
from chromata_core.methods.registry import methods
from chromata_core.telling.describe import card, page
from chromata_core.telling.file_schema import readings_schema
from chromata_core.telling.options_told import OptionOut


def list_methods(_: argparse.Namespace) -> Said:
    """Every shipped method with the question it answers."""
    cards = [card(method) for method in methods().values()]
    width = max(len(card.slug) for card in cards)
    lines = [f"{card.slug:<{width}}  {card.family_label}: {card.title}. {card.question}" for card in cards]
    return "\n".join(lines), [asdict(card) for card in cards]


def list_choices(_: argparse.Namespace) -> Said:
    """Choices that change a last digit, and what others would give."""
    paragraphs = [f"{choice.topic}\n  {choice.made}\n  Otherwise: {choice.otherwise}" for choice in CHOICES]
    return "\n".join(paragraphs), [asdict(choice) for choice in CHOICES]


def list_vocabulary(_: argparse.Namespace) -> Said:
    """The records in which a method is written, with their fields."""
    lines = []
    for record in vocabulary():
        lines += ["", f"{record.name}{f' ({record.use})' if record.use else ''}: {record.help}"]
        for field in record.fields:
            of = f" of {' | '.join(field.of)}" if field.of else ""
            form = f"{field.kind}{', many' if field.many else ''}{of}"
            lines.append(f"  {field.name:<20} {form}{'' if field.required else ', may be left out'}")
    return "\n".join(lines[1:]), [asdict(record) for record in vocabulary()]


def list_instruments(_: argparse.Namespace) -> Said:
    """Every instrument of the catalogue by the slug that files and flags name."""
    width = max(map(len, CATALOGUE))
    lines = [f"{tool.slug:<{width}}  {tool.kind}: {tool.short}" for tool in CATALOGUE.values()]
    return "\n".join(lines), [asdict(tool) for tool in CATALOGUE.values()]


def list_scenes(_: argparse.Namespace) -> Said:
    """Every drawing with its moves and where it is shown; then the steps that have none."""
    shown: dict[str, list[str]] = {key: [] for key in ("", *SCENES)}
    for method in methods().values():
        for step in method.steps:
            if step.key not in ("conclusion", "own"):
                shown[step.scene].append(f"{method.slug} {step.key}")
    width = max(map(len, SCENES))
    lines = [
        f"{s.key:<{width}}  {len(s.moves)} moves: {s.title}. {len(set(shown[s.key]))} steps" for s in SCENES.values()
    ]
    lines += ["", "Steps without one", *(f"  {step}" for step in dict.fromkeys(shown[""]))]
    data = [{"key": s.key, "title": s.title, "moves": len(s.moves), "steps": shown[s.key]} for s in SCENES.values()]
    return "\n".join(lines), data


def describe(options: argparse.Namespace) -> Said:
    """One experiment: readings, choices, instruments, formulas."""
    chosen = method_of(options.method)
    shown = page(chosen)
    lines = [shown.card.title, shown.card.question, "", "Readings"]
    lines += [f"  {p.key:<12} {p.label}{f' ({p.unit})' if p.unit else ''}, {p.scope}, {p.kind}" for p in shown.parts]
    lines += ["", "Options"]
    for option in shown.options:
        lines += [f"  {option.key:<18} {option.label}: {option.default} {option.unit}".rstrip(), *_choices(option)]
    lines += ["", "Instruments"]
    lines += [f"  {role.key:<18} {role.label}: {role.default} ({' or '.join(role.kinds)})" for role in shown.roles]
    lines += ["", "Computed"]
    lines += [f"  {q.plain}{f'   [{q.unit}]' if q.unit else ''}" for q in shown.quantities]
    lines += ["", "Hazards", *(f"  {hazard}" for hazard in shown.hazards)]
    return "\n".join(lines), {**asdict(shown), "schema": readings_schema(chosen)}


def _choices(option: OptionOut) -> list[str]:
    return [f"  {'':<18}   {choice.key}: {choice.label}" for choice in option.choices]
