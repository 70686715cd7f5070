"""A place of the record: written and read in one module, and nobody can name a part so that it is taken for one."""

from dataclasses import replace
from unittest import TestCase

from chromata_core.declaration.places import REWRITABLE, TALK, Place, answer, own, tick, timer, void
from chromata_core.declaration.vocabulary import Observation, Series
from chromata_core.errors import SheetError
from chromata_core.loading.load import problems_of
from chromata_core.methods.registry import method, methods
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.telling.evaluate import evaluate

TITRATION = method("acid-base-titration")


class Places(TestCase):
    def test_what_is_written_is_what_is_read(self) -> None:
        for place, kind, name in (
            (tick("fill"), "tick", "fill"), (timer("run", 2), "timer", "run"), (own("c_s", 1), "own", "c_s"),
            (answer(3), "answer", "3"), (void(2), "void", "void"), (Place("V_end", 1), "part", "V_end"),
            *((Place(word), "talk", word) for word in TALK),
        ):  # fmt: skip
            with self.subTest(place):
                self.assertEqual((place.kind, place.name), (kind, name))

    def test_the_keys_of_old_records_are_kept(self) -> None:
        """They are sealed: a record written before must be read the same."""
        keys = [tick("fill").key, timer("run").key, own("c_s").key, answer(1).key, void(1).key]
        self.assertEqual(keys, ["step.fill", "timer.run", "own.c_s", "answer.1", "void"])
        self.assertEqual(REWRITABLE, {"tick", "timer", "own", "answer"})

    def test_an_unknown_word_before_a_dot_is_no_place(self) -> None:
        with self.assertRaisesRegex(SheetError, "steps.fill"):
            bind(TITRATION, Sheet({}, {}, (Given("steps.fill", "done"),)))

    def test_no_part_may_be_called_like_a_place(self) -> None:
        reading = next(reading for reading in TITRATION.readings if reading.key == "V_s")
        for word in ("void", "note", "photo", "step", "answer"):
            renamed = tuple(replace(part, key=word) if part is reading else part for part in TITRATION.readings)
            self.assertIn(
                f"“{word}” has a meaning of its own", " ".join(problems_of(replace(TITRATION, readings=renamed)))
            )

    def test_every_task_says_what_it_is_of(self) -> None:
        """In every method: a task's name is a step, a part, a result or a question that the method has."""
        for declared in methods().values():
            known = {step.key for step in declared.steps} | {part.key for part in declared.readings}
            known |= {quantity.key for quantity in declared.quantities}
            known |= {str(number) for number, _ in enumerate(declared.questions, 1)}
            for task in evaluate(declared, Sheet()).tasks:
                with self.subTest(declared.slug, task=task.key):
                    self.assertIn(task.name, known)

    def test_the_title_of_any_row_of_a_series(self) -> None:
        for declared in methods().values():
            series = {part.key for part in declared.readings if isinstance(part, Series)}
            for task in evaluate(declared, Sheet()).tasks:
                with self.subTest(declared.slug, task=task.key):
                    self.assertEqual("{row}" in task.row_title, task.key in series or task.turn is not None)
                    if task.turn == 1 and task.index is None:  # the first round says no number
                        self.assertEqual(task.row_title.replace(", round {row}", ""), task.title)
                    else:
                        self.assertEqual(task.row_title.replace("{row}", str(task.index)), task.title)

    def test_an_observation_is_no_series(self) -> None:
        lid = next(part for part in method("hydrate").readings if isinstance(part, Observation) and part.key == "lid")
        with self.assertRaisesRegex(SheetError, "is not a series"):
            bind(method("hydrate"), Sheet({}, {}, (Given(lid.key, lid.choices[0].key, 1, 1),)))
