"""Work before class: lines of the plan worked by hand here, where faults lead, and what is told when."""

from unittest import TestCase

from chromata_core.declaration.prelab import Prelab, prelab_problems
from chromata_core.methods.registry import method, methods
from chromata_core.prelab.standing import Answered, answer_problem, preparation, standing
from chromata_core.prelab.state import TaskState
from chromata_core.prelab.tasks import Task, tasks_of
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Sheet

GAS = "gas-eudometer"

# Which way a result goes when this is done wrong: common practice, no published source.
LEADS = {
    (GAS, "oxide"): "low", (GAS, "trapped-air"): "high",
    ("hydrate", "not-dry"): "low", ("hydrate", "spattered"): "high",
    ("standardisation", "standard-damp"): "high", ("acid-base-titration", "burette-wet"): "high",
    ("acid-base-titration", "pipette-wet"): "low", ("food-calorimetry", "heat-escapes"): "low",
    ("heat-of-fusion", "wet-ice"): "low", ("beer-lambert", "fingerprint"): "high",
    ("ion-exchange-titration", "ran-dry"): "high", ("precipitate-yield", "ran-through"): "low",
    ("alloy-by-gas", "leak"): "low", ("metal-in-alloy", "left-in-beaker"): "low",
}  # fmt: skip


def tasks(slug: str, **options: str) -> dict[str, Task]:
    plan = Sheet({**method(slug).example.options, **options})
    return {task.key: task for task in tasks_of(bind(method(slug), plan), plan)}


class PlanLines(TestCase):
    # 101 325 Pa · 38 · 10⁻⁶ m³ / (8.314 462 618 J/(mol K) · 295.15 K) = 1.5690 mmol of H₂ (ideal gas law; R of CODATA
    # 2018), as much magnesium of 24.305 g/mol (IUPAC 2021): 38.13 mg.
    RIBBON = "plan_line_1"

    def said(self, text: str, tries: int = 1, limit: int = 3) -> TaskState:
        plan = preparation(method(GAS), Sheet({}), Prelab((self.RIBBON,), tries=limit))
        return standing(plan, {self.RIBBON: Answered(text, "", tries)}).tasks[0]

    def test_a_ribbon_worked_by_hand_is_right_in_any_unit(self) -> None:
        for text in ("0.0381", "0.03813 g", "38.1 mg", "3,81e-2", "3.81·10^-2 g"):
            state = self.said(text)
            self.assertTrue(state.agrees and state.done, (text, state.sentence))
            self.assertEqual(state.sentence, "Right.")

    def test_a_slip_of_it_is_named(self) -> None:
        for text, named in (
            (f"{101325 * 38e-6 / (8.314462618 * 22) * 24.305:.4f}", "kelvin"),
            (f"{0.038134 * 12 / 24.305:.4f}", "atomic number"),
            ("0.3813", "decimal point"),
        ):
            state = self.said(text)
            self.assertFalse(state.agrees)
            self.assertIn(named, state.sentence, text)

    def test_the_line_is_told_when_it_is_right_or_tried_often_enough(self) -> None:
        self.assertEqual(self.said("0.05", 2).told, "")
        told = self.said("0.05", 3)
        self.assertIn("= 0.0381", told.told)
        self.assertTrue(told.done)
        self.assertFalse(told.agrees)
        self.assertFalse(self.said("0.05", 9, limit=0).done, "never told")

    def test_the_end_temperature_of_a_plan(self) -> None:
        """240 g · 4.184 · 24 K = 24 099.8 J; 40 g / 18.015 g/mol · 6010 J/mol = 13 344.4 J melt it; the rest over
        280 g · 4.184 J/(g K) leaves 9.18 °C.
        """
        keys = tuple(tasks("heat-of-fusion"))
        plan = preparation(method("heat-of-fusion"), Sheet(method("heat-of-fusion").example.options), Prelab(keys[:1]))
        self.assertTrue(standing(plan, {keys[0]: Answered("9.18")}).ready)
        self.assertFalse(standing(plan, {keys[0]: Answered("12.4")}).ready)

    def test_what_each_plan_tells_is_what_the_planner_works_out(self) -> None:
        """Every line of every method: the right number is right, seven times as much is not."""
        for slug, declared in methods().items():
            for task in tasks(slug).values():
                if task.line is None:
                    continue
                plan = preparation(declared, Sheet(declared.example.options), Prelab((task.key,), tries=1))
                told = standing(plan, {task.key: Answered(f"12345 {task.unit}")}).tasks[0].told
                right = told.rpartition("= ")[2].replace("−", "-").replace(" × 10", "·10")
                with self.subTest(slug, line=task.text, told=told):
                    self.assertTrue(standing(plan, {task.key: Answered(right)}).tasks[0].agrees)
                    number = float(right.split(" ")[0].split("·")[0])
                    seven = right.replace(right.split(" ")[0].split("·")[0], f"{7 * number:.4g}", 1)
                    self.assertFalse(standing(plan, {task.key: Answered(seven)}).tasks[0].agrees)

    def test_a_substance_is_given_by_its_formula_alone(self) -> None:
        given = tasks(GAS)[self.RIBBON].given
        self.assertIn("Metal: Magnesium, Mg", given)
        self.assertNotIn("24.3", " ".join(given))


class Questions(TestCase):
    def test_where_a_fault_leads(self) -> None:
        for (slug, fault), way in LEADS.items():
            with self.subTest(slug, fault=fault):
                self.assertEqual(tasks(slug)[f"effect-{fault}"].right, (way,))

    def test_of_a_negative_result_the_size_is_asked(self) -> None:
        self.assertIn("its sign aside", tasks("heat-of-reaction")["effect-spilt-base"].text)
        self.assertNotIn("effect-reversed", tasks("voltaic-cells"), "another sign is neither larger nor smaller")

    def test_a_choice_needs_a_reason_and_is_judged(self) -> None:
        plan = preparation(method(GAS), Sheet({"acid_made": "worked"}), Prelab(("first", "effect-oxide"), ("Why?",)))
        self.assertIn("why", answer_problem(plan, "first", "water", " a "))
        self.assertEqual(answer_problem(plan, "first", "water", "it spits"), "")
        self.assertIn("Choose", answer_problem(plan, "first", "milk", "it spits"))
        self.assertIn("not asked", answer_problem(plan, "plan_line_1", "1", ""))
        self.assertIn("few words", answer_problem(plan, "own-1", " ", ""))
        prelab_state = standing(plan, {"first": Answered("acid", "why not"), "effect-oxide": Answered("low", "no gas")})
        wrong, right, own = prelab_state.tasks
        self.assertEqual((wrong.agrees, wrong.done, wrong.told), (False, False, ""))
        self.assertEqual((right.agrees, right.done), (True, True))
        self.assertIn("Oxide weighs", right.told)
        self.assertEqual((own.agrees, own.done, prelab_state.done), (None, False, 1))

    def test_what_cannot_be_read_is_told(self) -> None:
        plan = preparation(method(GAS), Sheet({}), Prelab(("plan_line_1",)))
        for text in ("about 5", "5 mL", "", "nan", "1e999"):
            self.assertTrue(answer_problem(plan, "plan_line_1", text, ""), text)

    def test_problems_of_a_plan(self) -> None:
        self.assertEqual(prelab_problems(Prelab(("a",), ("Why?",)), ["a", "b"]), [])
        for wrong in (
            Prelab(("c",)), Prelab(("a", "a")), Prelab((), (" ",)), Prelab((), ("x" * 301,)), Prelab(("a",), tries=10),
            Prelab(needed=True), Prelab((), ("Why?",) * 5),
        ):  # fmt: skip
            self.assertEqual(len(prelab_problems(wrong, ["a", "b"])), 1, wrong)
