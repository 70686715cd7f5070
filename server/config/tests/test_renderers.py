"""What is answered as JSON: dataclasses as they are, also with numbers that only some JSON readers take."""

import json
from dataclasses import dataclass
from unittest import TestCase

from config.renderers import Json


@dataclass(frozen=True, slots=True)
class Inner:
    rows: tuple[int, ...]


@dataclass(frozen=True, slots=True)
class Outer:
    name: str
    inner: Inner
    data: object


class Rendered(TestCase):
    def test_a_dataclass_with_anything_in_it(self) -> None:
        for data in ({"a": 1.5}, 2**70, [-(2**80), "ü ± \u0000"], {"deep": {"er": None}}):
            with self.subTest(data):
                text = Json().render(Outer("é", Inner((1, 2)), data))
                self.assertEqual(json.loads(text), {"name": "é", "inner": {"rows": [1, 2]}, "data": data})

    def test_nothing_is_no_body(self) -> None:
        self.assertEqual(Json().render(None), b"")
