"""Layers look one way, so that any rule can be understood without what is built on it."""

import ast
from pathlib import Path
from unittest import TestCase

import chromata_core

ROOT = Path(chromata_core.__file__).parent
# Lowest first. ``formula`` may call what chemistry and curves know; instruments carry error sources.
ORDER = (
    "errors", "sentences", "quantity", "uncertainty", "statistics", "chemistry", "curves", "formula", "instruments",
    "method",
    "methods", "planning", "simulation", "choices", "commands", "cli",
)  # fmt: skip
# Third parties each layer may use; nobody may use the web framework.
ALLOWED = {"cattrs", "jcamp", "numpy", "pint", "periodictable", "scipy"}


def imports(file: Path) -> list[str]:
    found = []
    for node in ast.walk(ast.parse(file.read_text(encoding="utf-8"))):
        if isinstance(node, ast.Import):
            found += [alias.name for alias in node.names]
        elif isinstance(node, ast.ImportFrom) and node.module:
            found.append(node.module)
    return found


class Layers(TestCase):
    def test_every_import_looks_down(self) -> None:
        for file in ROOT.rglob("*.py"):
            here = file.relative_to(ROOT).parts[0].removesuffix(".py")
            for name in (n for n in imports(file) if n.startswith("chromata_core.")):
                there = name.split(".")[1]
                with self.subTest(file=file.name, imports=name):
                    self.assertLessEqual(ORDER.index(there), ORDER.index(here) if here in ORDER else len(ORDER))

    def test_only_known_libraries_and_no_web_framework(self) -> None:
        import sys

        for file in ROOT.rglob("*.py"):
            for name in imports(file):
                top = name.split(".")[0]
                with self.subTest(file=file.name, imports=name):
                    self.assertTrue(top in ALLOWED or top == "chromata_core" or top in sys.stdlib_module_names)
