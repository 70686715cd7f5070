"""Would the tests notice? Small mistakes are put into the core, one at a time, and its tests run against each.

    MISTAKES=60 SEED=1 bin/bench mutants        prints the share that was caught, and every one that was not

A mistake turns a comparison or an operator round, moves a number, takes the other branch, or drops a negation, in a
line of ``quantity, formula, uncertainty, statistics, curves`` or ``engine`` drawn by lot; decorators are left out, as
the size of a cache changes no answer. A process of its own imports the core with that one line changed and runs the
tests of those rooms until one fails, and where none does, all other tests of the core. A mistake that never ends is
caught too: it is given five times the processor's time that the tests take as things are.
"""

from __future__ import annotations

import ast
import importlib
import importlib.util
import os
import random
import resource
import sys
import unittest
from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from functools import partial
from importlib.abc import Loader, MetaPathFinder
from importlib.machinery import ModuleSpec
from multiprocessing import Pool
from pathlib import Path
from types import ModuleType
from typing import Any

CORE = Path(__file__).parents[1] / "core"
ROOMS = ("quantity", "formula", "uncertainty", "statistics", "curves", "engine")
OF_ROOMS = (
    "test_rounding", "test_decimals", "test_typed_readings", "test_unit_grammar", "test_formulas", "test_conditions",
    "test_functions_of_lists", "test_worst_case", "test_gum_examples", "test_eurachem_a2", "test_budget_lines",
    "test_against_uncertainty_libraries", "test_monte_carlo", "test_outliers_and_robust", "test_statistics",
    "test_nist_strd", "test_class_comparison", "test_lines", "test_end_points", "test_traces_and_ladders",
    "test_judgement", "test_one_piece", "test_spectrophotometry", "test_kinetics", "test_nernst", "test_potentiometric",
    "test_worked_lines", "test_tries", "test_calorimetry", "test_back_titration", "test_gravimetry",
    "test_at_the_edges", "test_solutions", "test_given_line", "test_gas", "test_how_many_trials", "test_no_jumps",
    "test_handing", "test_class_view", "test_faults", "test_control", "test_units_of_functions",
)  # fmt: skip
SLOW = ("numpy", "periodictable", "pint", "scipy.stats")  # imported once, before every process branches off
ENDLESS = 5  # times what the tests take
SWAPS: dict[type, Any] = {
    ast.Lt: ast.LtE, ast.LtE: ast.Lt, ast.Gt: ast.GtE, ast.GtE: ast.Gt, ast.Eq: ast.NotEq, ast.NotEq: ast.Eq,
    ast.Add: ast.Sub, ast.Sub: ast.Add, ast.Mult: ast.Div, ast.Div: ast.Mult, ast.And: ast.Or, ast.Or: ast.And,
    ast.Is: ast.IsNot, ast.IsNot: ast.Is, ast.In: ast.NotIn, ast.NotIn: ast.In,
}  # fmt: skip


@dataclass(frozen=True)
class Mistake:
    """The ``number``-th place of ``file`` that can be mistaken."""

    file: Path
    number: int
    line: int
    what: str

    def __str__(self) -> str:
        return f"{self.file.relative_to(CORE / 'chromata_core')}:{self.line} {self.what}"


class Mistaken(ast.NodeTransformer):
    """Finds every place that can be mistaken, and mistakes the one that is asked for."""

    def __init__(self, wanted: int = -1) -> None:
        self.wanted, self.seen = wanted, list[tuple[int, str]]()

    def _here(self, node: ast.AST, what: str) -> bool:
        self.seen.append((getattr(node, "lineno", 0), what))
        return len(self.seen) - 1 == self.wanted

    def visit_FunctionDef(self, node: ast.FunctionDef) -> ast.FunctionDef:
        decorators, node.decorator_list = node.decorator_list, []
        self.generic_visit(node)
        node.decorator_list = decorators
        return node

    def _number(self, node: ast.AST, value: float) -> bool:
        return not isinstance(value, bool) and self._here(node, f"{value}")

    def generic_visit(self, node: ast.AST) -> Any:
        super().generic_visit(node)
        match node:
            case ast.Compare(ops=[op]) if type(op) in SWAPS and self._here(node, type(op).__name__):
                node.ops = [SWAPS[type(op)]()]
            case ast.BinOp(op=op) | ast.BoolOp(op=op) if type(op) in SWAPS and self._here(node, type(op).__name__):
                node.op = SWAPS[type(op)]()
            case ast.UnaryOp(op=ast.USub() | ast.Not(), operand=operand) if self._here(node, "sign or not"):
                return operand
            case ast.Constant(value=int() | float() as value) if self._number(node, value):
                return ast.copy_location(ast.Constant(value + 1), node)
            case ast.IfExp(test=test) if self._here(node, "other branch"):
                node.test = ast.copy_location(ast.UnaryOp(ast.Not(), test), test)
        return node


def mistakes() -> Iterator[Mistake]:
    """Everywhere that a mistake can be made; what stands in annotations and docstrings is none."""
    for room in ROOMS:
        for file in sorted((CORE / "chromata_core" / room).glob("*.py")):
            finder = Mistaken()
            finder.visit(ast.parse(file.read_text(encoding="utf-8")))
            yield from (Mistake(file, number, line, what) for number, (line, what) in enumerate(finder.seen))


class Changed(MetaPathFinder, Loader):
    """Imports the module of one file with its mistake in it."""

    def __init__(self, mistake: Mistake) -> None:
        self.mistake = mistake
        self.name = ".".join(mistake.file.relative_to(CORE).with_suffix("").parts)

    def find_spec(self, name: str, path: object = None, target: object = None) -> ModuleSpec | None:
        if name != self.name:
            return None
        return importlib.util.spec_from_file_location(name, self.mistake.file, loader=self)

    def create_module(self, spec: ModuleSpec) -> None:
        return None

    def exec_module(self, module: ModuleType) -> None:
        tree = ast.parse(self.mistake.file.read_text(encoding="utf-8"))
        changed = ast.fix_missing_locations(Mistaken(self.mistake.number).visit(tree))
        exec(compile(changed, str(self.mistake.file), "exec"), module.__dict__)


def caught(mistake: Mistake | None, tests: Sequence[str], seconds: int = resource.RLIM_INFINITY) -> bool:
    """Whether one of ``tests`` fails with it, or they need more than so many of a processor; without one, as things
    are.
    """
    child = os.fork()
    if child == 0:
        resource.setrlimit(resource.RLIMIT_CPU, (seconds, seconds))
        nowhere = os.open(os.devnull, os.O_WRONLY)
        os.dup2(nowhere, 1)
        os.dup2(nowhere, 2)
        if mistake:
            sys.meta_path.insert(0, Changed(mistake))
        os._exit(not _passes(mistake, tests))
    return os.waitpid(child, 0)[1] != 0


def _passes(mistake: Mistake | None, tests: Sequence[str]) -> bool:
    """The tests that name the module come first: they are the ones most likely to notice."""
    module = mistake.file.stem if mistake else ""
    order = sorted(tests, key=lambda name: f".{module} " not in (CORE / f"tests/{name}.py").read_text())
    try:
        suite = unittest.defaultTestLoader.loadTestsFromNames([f"tests.{name}" for name in order])
    except BaseException:
        return False
    return unittest.TextTestRunner(stream=sys.stderr, failfast=True).run(suite).wasSuccessful()


def taken(tests: Sequence[str]) -> int:
    """Seconds of a processor that ``tests`` take as things are."""
    before = resource.getrusage(resource.RUSAGE_CHILDREN).ru_utime
    if caught(None, tests):
        sys.exit("The tests fail as things are.")
    return 1 + int(resource.getrusage(resource.RUSAGE_CHILDREN).ru_utime - before)


def caught_at_last(mistake: Mistake, stages: Sequence[tuple[Sequence[str], int]]) -> bool:
    """Whether any of the tests notices, those of the rooms first."""
    return any(caught(mistake, tests, seconds) for tests, seconds in stages)


def main() -> None:
    """Prints the share that was caught, and what was not."""
    number, seed = int(os.environ.get("MISTAKES", "60")), int(os.environ.get("SEED", "1"))
    sys.path.insert(0, str(CORE))
    for library in SLOW:
        importlib.import_module(library)
    others = [file.stem for file in sorted((CORE / "tests").glob("test_*.py")) if file.stem not in OF_ROOMS]
    stages = [(tests, ENDLESS * taken(tests)) for tests in (OF_ROOMS, others)]
    every = list(mistakes())
    drawn = random.Random(seed).sample(every, min(number, len(every)))
    missed = 0
    with Pool() as pool:
        answers = pool.imap(partial(caught_at_last, stages=stages), drawn)
        for tried, (mistake, seen) in enumerate(zip(drawn, answers, strict=True), 1):
            if not seen:
                missed += 1
                print(f"not caught: {mistake} ({missed} of the first {tried})", flush=True)
            elif tried % 10 == 0:
                print(f"{tried} tried, {missed} not caught", flush=True)
    print(f"{len(drawn)} of {len(every)} possible mistakes tried, {1 - missed / len(drawn):.0%} caught")


if __name__ == "__main__":
    main()
