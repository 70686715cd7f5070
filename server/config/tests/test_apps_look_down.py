"""Apps form no circle: records below, what is answered from them above."""

import ast
from pathlib import Path
from unittest import TestCase

from django.conf import settings

# Lowest first. ``config`` is what all of them stand in, and only its addresses name them.
ORDER = (
    "config", "people", "experiments", "stock", "labs", "prelab", "notebook", "rehearsals", "results", "reports",
    "preparation", "marking", "archives", "practice", "devices", "demo",
)  # fmt: skip
SERVER: Path = settings.ROOT / "server"


class AppsLookDown(TestCase):
    def test_every_import(self) -> None:
        for app in ORDER[1:]:
            for file in (SERVER / app).rglob("*.py"):
                if "tests" in file.parts or "migrations" in file.parts:
                    continue
                for node in ast.walk(ast.parse(file.read_text(encoding="utf-8"))):
                    named = getattr(node, "module", None) or "" if isinstance(node, ast.ImportFrom) else ""
                    there = named.split(".")[0]
                    if there in ORDER:
                        with self.subTest(file=str(file.relative_to(SERVER)), imports=named):
                            self.assertLessEqual(ORDER.index(there), ORDER.index(app))

    def test_every_app_is_ordered(self) -> None:
        apps = {file.parent.name for file in SERVER.glob("*/apps.py")}
        self.assertEqual(apps | {"config"}, set(ORDER))
