"""Questions of chemistry, answered in one touch: what is right follows from what was read."""

import re
from dataclasses import replace
from unittest import TestCase

from chromata_core.chemistry.standard_potentials import METALS, gives, takes
from chromata_core.declaration.vocabulary import Observation
from chromata_core.loading.load import problems_of
from chromata_core.methods.registry import method
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.telling.evaluate import evaluate

CELLS = method("voltaic-cells")
_SUPERSCRIPTS = str.maketrans("⁰¹²³⁴⁵⁶⁷⁸⁹⁺⁻", "0123456789+-")


def told(volts: str, chosen: str) -> list[str]:
    """What is said of an answer at the pair copper–zinc, red on copper."""
    given = (Given("E", volts, 1), Given("anode", chosen, 1))
    return [
        f"{finding.level}: {finding.what} {finding.why}"
        for finding in evaluate(CELLS, Sheet({"cells": "Cu; Zn"}, {}, given)).findings
        if finding.key == "anode"
    ]


class TheAnode(TestCase):
    def test_a_positive_sign_makes_the_black_lead_s_metal_the_anode(self) -> None:
        """Zinc dissolves in the Daniell cell: every general textbook."""
        self.assertEqual(told("1.072", "minus_gives"), [])
        for wrong in ("plus_gives", "minus_takes", "plus_takes"):
            (finding,) = told("1.072", wrong)
            self.assertTrue(finding.startswith("look: At the anode: not “"), finding)
            self.assertIn("on zinc", finding)

    def test_a_negative_one_the_red_lead_s(self) -> None:
        self.assertEqual(told("-1.072", "plus_gives"), [])
        self.assertEqual(len(told("-1.072", "minus_gives")), 1)

    def test_nothing_is_said_while_it_cannot_be_told(self) -> None:
        findings = evaluate(CELLS, Sheet({"cells": "Cu; Zn"}, {}, (Given("anode", "plus_takes", 1),))).findings
        self.assertEqual([finding for finding in findings if finding.key == "anode"], [])
        self.assertEqual(told("0.000", "plus_takes"), [])

    def test_the_choices_are_this_pair_s_half_equations_on_the_bench_and_on_the_record(self) -> None:
        evaluation = evaluate(
            CELLS, Sheet({"cells": "Cu; Zn"}, {}, (Given("E", "1.072", 1), Given("anode", "minus_gives", 1)))
        )
        hand = next(task for task in evaluation.tasks if task.key == "anode")
        self.assertEqual(hand.labels[2], "Zn → Zn²⁺ + 2 e⁻")
        self.assertIn("Zn → Zn²⁺ + 2 e⁻", [reading.shown.text for reading in evaluation.trials[0].readings])

    def test_it_stays_in_hand_until_it_fits_and_nothing_beside_it_tells_the_answer(self) -> None:
        def at(*answers: str) -> tuple[str, str, str]:
            seen = (
                Given("step.labels", "done"),
                Given("metals", "yes"),
                Given("zero", "zero"),
                Given("step.bridge", "done"),
            )
            given = (*seen, Given("E", "1.072", 1), *(Given("anode", text, 1) for text in answers))
            evaluation = evaluate(CELLS, Sheet({"cells": "Cu; Zn"}, {}, given))
            square = evaluation.charts[0].square
            assert square
            return evaluation.hand.key, square.cells[0].note, evaluation.charts[1].sentence

        self.assertEqual(at(), ("anode", "", ""))
        self.assertEqual(at("plus_gives"), ("anode", "", ""))
        self.assertEqual(at("minus_gives"), ("own.d", "Cu +", "Cathode over anode: copper over zinc."))

    def test_it_is_not_asked_where_the_plan_says_so(self) -> None:
        tasks = evaluate(CELLS, Sheet({"cells": "Cu; Zn", "halves": "no"})).tasks
        self.assertNotIn("anode", [task.key for task in tasks])


class HalfEquations(TestCase):
    def test_charge_and_metal_are_the_same_on_both_sides(self) -> None:
        for metal in METALS:
            with self.subTest(metal):
                match = re.fullmatch(rf"{metal} → {metal}([²³]?)⁺ \+ (\d ?)?e⁻", gives(metal))
                assert match is not None, gives(metal)
                charge = int(match[1].translate(_SUPERSCRIPTS) or 1)
                self.assertEqual(charge, int(match[2] or 1))
                self.assertEqual(takes(metal), " → ".join(reversed(gives(metal).split(" → "))))


class Declared(TestCase):
    def test_a_question_that_cannot_be_judged_is_refused(self) -> None:
        anode = next(part for part in CELLS.readings if isinstance(part, Observation) and part.key == "anode")

        def problems(right: dict[str, str] | None = None, because: str = anode.because) -> str:
            asked = replace(anode, right=anode.right if right is None else right, because=because)
            readings = tuple(asked if part is anode else part for part in CELLS.readings)
            return " ".join(problems_of(replace(CELLS, readings=readings)))

        self.assertEqual(problems(), "")
        self.assertIn("“both”", problems(right={"both": "E > 0"}))
        self.assertIn("Say why", problems(because=""))
        self.assertIn("“EMF”", problems(right={"plus_gives": "EMF > 0"}))
        # volts against a bare number would be compared in silence
        self.assertIn("cannot be compared", problems(right={"plus_gives": "E > 1"}))
        self.assertIn("cannot be read", problems(right={"plus_gives": "E >"}))
