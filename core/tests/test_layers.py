"""Layers look one way, so that any rule can be understood without what is built on it."""

import ast
import sys
from functools import cache
from itertools import groupby
from pathlib import Path
from unittest import TestCase

import chromata_core

ROOT = Path(chromata_core.__file__).parent
# Lowest first. ``formula`` may call what chemistry and curves know; instruments carry error sources.
ORDER = (
    "errors", "sentences", "apparatus", "quantity", "uncertainty", "statistics", "chemistry", "curves", "formula",
    "instruments", "declaration", "sheet", "engine", "judging", "tracing", "telling", "prelab", "marking", "loading",
    "methods", "authoring", "planning", "desk", "simulation", "workbench", "practice", "choices", "commands", "cli",
)  # fmt: skip
# Third parties each layer may use; nobody may use the web framework.
ALLOWED = {"cattrs", "jcamp", "numpy", "ortools", "pint", "periodictable", "scipy"}
ROOMS = ("declaration", "sheet", "engine", "judging", "tracing", "telling", "prelab", "marking", "loading", "authoring")
LONGEST_CHAIN = 15  # within the rooms
FILES = {
    ".".join(("chromata_core", *file.relative_to(ROOT).with_suffix("").parts)): file
    for file in sorted(ROOT.rglob("*.py"))
    if file.name != "__init__.py"
}


@cache
def imports(file: Path) -> frozenset[str]:
    """Every module that a file imports, wherever in it: inside functions and for types alone too."""
    names = set()
    for node in ast.walk(ast.parse(file.read_text(encoding="utf-8"))):
        if isinstance(node, ast.Import):
            names |= {alias.name for alias in node.names}
        elif isinstance(node, ast.ImportFrom) and node.module:
            inside = {f"{node.module}.{alias.name}" for alias in node.names} & set(FILES)
            names |= inside or {node.module}
    return frozenset(names)


def longest_chains() -> dict[str, tuple[str, ...]]:
    """The longest chain of imports down from each module; AssertionError where one comes back to itself."""
    chains: dict[str, tuple[str, ...]] = {}

    def chain(module: str, above: tuple[str, ...]) -> tuple[str, ...]:
        if module in above:
            raise AssertionError(f"in a circle: {' → '.join((*above[above.index(module) :], module))}")
        if module not in chains:
            below = [chain(name, (*above, module)) for name in imports(FILES[module]) if name in FILES]
            chains[module] = (module, *max(below, key=len, default=()))
        return chains[module]

    for module in FILES:
        chain(module, ())
    return chains


class Layers(TestCase):
    def test_every_import_looks_down(self) -> None:
        for name, file in FILES.items():
            here = name.split(".")[1]
            for there in (n.split(".")[1] for n in imports(file) if n.startswith("chromata_core.")):
                with self.subTest(file=file.name, imports=there):
                    self.assertLessEqual(ORDER.index(there), ORDER.index(here) if here in ORDER else len(ORDER))

    def test_no_circle_and_no_long_chain(self) -> None:
        for chain in longest_chains().values():
            rooms = [module for module in chain if module.split(".")[1] in ROOMS]
            self.assertLess(len(rooms), LONGEST_CHAIN, " → ".join(rooms))

    def test_own_imports_stand_at_the_top(self) -> None:
        """What is slow to import may wait until it is needed; our own modules have no reason to."""
        for file in FILES.values():
            inside = [
                node.lineno
                for function in ast.walk(ast.parse(file.read_text(encoding="utf-8")))
                if isinstance(function, ast.FunctionDef)
                for node in ast.walk(function)
                if isinstance(node, ast.ImportFrom) and (node.module or "").startswith("chromata_core")
            ]
            self.assertEqual(inside, [], file)

    def test_no_name_stands_for_two_modules(self) -> None:
        names = sorted(file.stem for file in FILES.values())
        self.assertEqual([name for name, same in groupby(names) if len(list(same)) > 1], [])

    def test_only_known_libraries_and_no_web_framework(self) -> None:
        for file in FILES.values():
            for name in imports(file):
                top = name.split(".")[0]
                with self.subTest(file=file.name, imports=name):
                    self.assertTrue(top in ALLOWED or top == "chromata_core" or top in sys.stdlib_module_names)
