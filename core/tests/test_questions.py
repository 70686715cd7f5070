"""An instructor's closing questions instead of the method's own."""

from unittest import TestCase

from chromata_core.authoring.as_json import from_json, to_json
from chromata_core.declaration.questions import asking
from chromata_core.errors import SheetError
from chromata_core.loading.load import load
from chromata_core.methods.registry import method, methods
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.telling.evaluate import evaluate


class Questions(TestCase):
    def test_every_method_asks_others_and_still_holds_together(self) -> None:
        for chosen in methods().values():
            for asked in (["Why?"], [f"Question {n}?" for n in range(1, 9)]):
                with self.subTest(chosen.slug, asked=len(asked)):
                    other = load(from_json(to_json(asking(chosen, asked))))
                    tasks = [task.key for task in evaluate(other, Sheet()).tasks if task.kind == "answer"]
                    self.assertEqual(tasks, [f"answer.{n}" for n in range(1, len(asked) + 1)])
                    self.assertEqual(other.quantities, chosen.quantities)

    def test_answers_stand_beside_them(self) -> None:
        other = asking(method("acid-base-titration"), ["Why?", "How?"])
        evaluation = evaluate(other, Sheet(given=(Given("answer.2", "So."),)))
        self.assertEqual(evaluation.answers, ["", "So."])

    def test_refused(self) -> None:
        chosen = method("acid-base-titration")
        self.assertIs(asking(chosen, []), chosen)
        for wrong in ([""], ["x" * 301], ["?"] * 9):
            with self.assertRaises(SheetError):
                asking(chosen, wrong)
