"""Results of a sheet, of several sheets together, and of a plan before there is any reading."""

import argparse
from dataclasses import asdict, replace

from chromata_core.commands.files import Said, method_of, pairs_of, sheet_of
from chromata_core.engine.context import context_of
from chromata_core.errors import SheetError
from chromata_core.judging.finding import Finding
from chromata_core.planning.foresight import foresee
from chromata_core.planning.predict import predict
from chromata_core.quantity.rounding import with_figures
from chromata_core.sheet.bound import Sheet
from chromata_core.sheet.sheet_file import SheetFile
from chromata_core.statistics.class_comparison import BenchResult, class_comparison
from chromata_core.statistics.comparing import welch
from chromata_core.statistics.replicates import TooFewError
from chromata_core.statistics.robust import robust
from chromata_core.telling.chart import Statistic
from chromata_core.telling.drawn_results import draw_results
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.explain import explain
from chromata_core.telling.outcome import Evaluation, WorkedLine


def compute(options: argparse.Namespace) -> Said:
    """Readings in, results with uncertainty out."""
    chosen = method_of(options.method)
    if options.draws is not None and not 1000 <= options.draws <= 10_000_000:
        raise SheetError(["--draws must be from 1000 to 10000000."])
    file = _with_flags(sheet_of(options.file, chosen), options)
    outcome, at = evaluate(chosen, file.sheet, file.accepted), context_of(chosen, file.sheet)
    lines = explain(at)
    draws = draw_results(at, options.draws, options.seed) if options.draws else []
    data = {**asdict(outcome), "lines": [asdict(line) for line in lines], "draws": [asdict(draw) for draw in draws]}
    text = "".join(f"\n  {draw.label}: {draw.sentence}" for draw in draws)
    return _text(outcome, lines) + (f"\n\nRandom draws{text}" if draws else ""), data


def _with_flags(file: SheetFile, options: argparse.Namespace) -> SheetFile:
    """``file`` with what was said on the command line, which goes before what the file says."""
    sheet = replace(
        file.sheet, options={**file.sheet.options, **pairs_of(options.option, "option")},
        instruments={**file.sheet.instruments, **pairs_of(options.instrument, "instrument")},
    )  # fmt: skip
    return replace(file, sheet=sheet, accepted={**file.accepted, **pairs_of(options.accepted, "accepted")})


def _text(outcome: Evaluation, lines: list[WorkedLine]) -> str:
    named = [f"  {line.trial_name + ': ' if line.trial_name else ''}{line.plain}" for line in lines]
    parts = ["Worked computation", *named, "", "Results"]
    for result in outcome.results:
        trial = f", {result.trial_name.lower()}" if result.trial_name else ""
        parts.append(f"  {result.label}{trial}: {result.line}  (k = {result.k:.2f}, 95 %)")
        parts += [f"      {line.label:<28} {line.share:6.1%}   {line.input}" for line in result.budget]
        parts.append(f"      by significant figures {result.by_figures.text}; by apparatus errors {result.worst_case}")
        parts += [f"      {result.comparison.sentence}"] if result.comparison else []
    missing = [f"  {reason}" for reason in outcome.absent]
    parts += missing if outcome.results else ["  None yet.", *missing]
    if outcome.agreement:
        parts += ["", "Agreement", f"  {outcome.agreement.what} {outcome.agreement.why}"]
    if outcome.statistics:
        parts += ["", "Statistics", *map(_statistic, outcome.statistics)]
    settled = [f"  {f.what} {f.why}" for f in outcome.settled]
    parts += ["", "Found", *settled] if settled else []
    parts += ["", "Findings", *map(_finding, outcome.findings)] if outcome.findings else []
    return "\n".join(parts)


def _statistic(statistic: Statistic) -> str:
    return f"  {statistic.of}: {statistic.label} {statistic.text}"


def _finding(finding: Finding) -> str:
    place = ", ".join(
        [
            *([f"trial {finding.trial}"] if finding.trial is not None else []),
            *([f"row {finding.index}"] if finding.index else []),
        ]
    )
    return f"  {finding.level}{f' ({place})' if place else ''}: {finding.what} {finding.why} {finding.do}".rstrip()


def compare(options: argparse.Namespace) -> Said:
    """Several sheets of one experiment: mean and spread, robust mean, suspects; two products by Welch's test."""
    chosen = method_of(options.method)
    sheets = [sheet_of(name, chosen) for name in options.files]
    outcomes = [evaluate(chosen, file.sheet, file.accepted) for file in sheets]
    missing = [name for name, outcome in zip(options.files, outcomes, strict=True) if not outcome.results]
    if missing:
        raise SheetError([f"{', '.join(missing)} gives no result, so it cannot be compared."])
    key = options.result or chosen.compares or outcomes[0].results[0].key
    means = [next((r for r in outcome.results if r.key == key), None) for outcome in outcomes]
    results = [
        BenchResult(number, product or "all", result.value, result.expanded)
        for number, (result, product) in enumerate(zip(means, _products(options), strict=True), 1)
        if result is not None
    ]
    if len(results) < len(means):
        raise SheetError([f"“{key}” is not a result of every file. Name another with --result."])
    first = next(result for result in means if result is not None)
    compared = class_comparison(first.label, first.unit, results)
    assert compared is not None
    everyone = [result.value for result in results]
    middle = robust(everyone) if len(everyone) > 2 else None
    test = _welch([[r.value for r in product.results] for product in compared.products])
    lines = [f"{compared.label}, {compared.unit or 'a plain number'}", compared.sentence]
    for product in compared.products:
        mean, s = with_figures(product.mean, 5), with_figures(product.s, 2)
        lines.append(f"  {product.label}: n = {len(product.results)}, mean {mean}, s {s}")
        lines += [f"    {options.files[n - 1]} lies far from the others (ESD, 95 %)." for n in product.suspects]
    if middle:
        mean, s = with_figures(middle.huber_mean, 5), with_figures(middle.huber_s, 2)
        lines.append(f"  Robust (Huber): mean {mean}, s {s}")
    if test:
        t, dof, chance = with_figures(test["t"], 3), f"{test['dof']:.1f}", f"{test['p']:.3g}"
        lines.append(f"  Welch: t = {t}, {dof} degrees of freedom, p = {chance}")
    data = {"comparison": asdict(compared), "robust": asdict(middle) if middle else None, "welch": test}
    return "\n".join(lines), data


def _products(options: argparse.Namespace) -> list[str]:
    """Which product each file is of, by --products A,A,B; all the same without it."""
    named = options.products.split(",") if options.products else [""] * len(options.files)
    if len(named) != len(options.files):
        raise SheetError([f"--products names {len(named)} products for {len(options.files)} files."])
    return [name.strip() for name in named]


def _welch(sets: list[list[float]]) -> dict[str, float] | None:
    if len(sets) != 2:
        return None
    try:
        test = welch(*sets)
    except TooFewError:
        return None
    return {"t": test.statistic, "dof": test.dof, "p": test.p}


def plan(options: argparse.Namespace) -> Said:
    """What a plan will give: targets, what is used up, turns at what is shared, and the uncertainty to expect."""
    chosen = method_of(options.method)
    given = Sheet(pairs_of(options.option, "option"), pairs_of(options.instrument, "instrument"))
    told = predict(chosen, given, options.benches)
    lines = ["Aim for", *(f"  {target.label}: {target.text}" for target in told.supplies.targets)]
    lines += ["", f"For {options.benches} benches"]
    lines += [f"  {supply.label}: {supply.whole_class}" for supply in told.supplies.supplies]
    lines += (
        ["", *(f"{timetable.label}: {timetable.sentence}" for timetable in told.timetables)] if told.timetables else []
    )
    if told.result:
        best = foresee(chosen, given).improvement
        lines += ["", f"Expect {told.result} to {told.relative}. {told.advice} {best}".rstrip()]
    lines += [f"  {warning}" for warning in told.warnings]
    return "\n".join(lines), asdict(told)
