"""Practice: scales read wrongly in every usual way, worked by hand; hunts with one right answer; lines judged."""

from unittest import TestCase

from chromata_core.engine.context import context_of
from chromata_core.errors import ReadingError
from chromata_core.instruments.catalogue import CATALOGUE
from chromata_core.methods.registry import method, methods
from chromata_core.practice.calculation_drill import (
    calculation_task,
    can_be_drilled,
    judge_calculation,
    line_of,
)
from chromata_core.practice.fault_hunt import NOTHING, can_be_hunted, hunt, judge_hunt
from chromata_core.practice.scale_drill import DRIFTING, DRILLED, ScaleTask, judge_scale, scale_task


class Scales(TestCase):
    """A burette whose level stands at 23.64 mL, numbers growing downwards, and what else may be written for it."""

    def kinds(self, slug: str, at: float, *texts: str) -> list[str]:
        task = ScaleTask(CATALOGUE[slug], at)
        return [judge_scale(task, text).kind for text in texts]

    def test_a_burette(self) -> None:
        for text, kind in (
            ("23.64", "right"), ("23.66 mL", "right"), ("0.02364 L", "right"), ("23,63", "right"),
            ("23.6", "decimals"), ("23.640", "decimals"),
            ("24.36", "direction"),  # 0.36 above the 24 below it
            ("22.36", "direction"),  # 0.64 above the 23
            ("23.06", "division"),  # six marks taken for hundredths
            ("24.28", "division"),  # each mark taken for 0.2
            ("23.59", "rim"),  # the rim stands 0.05 higher, where numbers are smaller
            ("22.64", "tens"), ("33.64", "tens"),
            ("23.70", "near"), ("40", "off"), ("about 20", "none"), ("", "none"), ("23.64 g", "none"),
        ):  # fmt: skip
            with self.subTest(text):
                self.assertEqual(self.kinds("burette-50-b", 23.64, text), [kind])

    def test_an_eye_that_is_not_at_the_height(self) -> None:
        """By hand: from above the level is against a mark 0.6 higher up, 0.06 mL less on a burette; from below a
        cylinder of 1 mL divisions says 0.9 mL less. Common practice, no published source.
        """
        burette = ScaleTask(CATALOGUE["burette-50-b"], 23.64, eye=0.6)
        scale_verdicts = [judge_scale(burette, text) for text in ("23.58", "23.64", "24.36")]
        self.assertEqual([scale_verdict.kind for scale_verdict in scale_verdicts], ["parallax", "right", "direction"])
        self.assertIn("Lower your eye", scale_verdicts[0].sentence)
        cylinder = ScaleTask(CATALOGUE["cylinder-100-a"], 57.3, eye=-0.9)
        self.assertIn("Raise your eye", judge_scale(cylinder, "56.4").sentence)

    def test_a_needle_over_three_scales(self) -> None:
        """Half of the swing is 0.30 A at the 0.6 A terminal; 1.5 A on the 3 A scale, 0.075 A on that of 0.15 A."""
        self.assertEqual(self.kinds("ammeter-0.6", 0.302, "0.30", "1.51", "0.076"), ["right", "scale", "scale"])

    def test_mercury_is_read_at_the_top_of_its_curve(self) -> None:
        """A barometer at 752.3 mm: its rim stands lower, and its scale runs upwards."""
        self.assertEqual(self.kinds("barometer-mmhg", 752.3, "752.3", "751.8", "767.7"), ["right", "rim", "direction"])
        self.assertEqual(self.kinds("barometer-mmhg", 752.3, "752.5", "752"), ["near", "decimals"])

    def test_a_needle_over_two_per_cent(self) -> None:
        """It stands at 46.4: 50 divisions of 2 %; counted as single ones it is 43.2, from 40 the wrong way 33.6."""
        self.assertEqual(
            self.kinds("photometer-t-needle", 46.4, "46.4", "46", "43.2", "33.6"),
            ["right", "decimals", "division", "direction"],
        )

    def test_a_display_is_copied_once_it_stands(self) -> None:
        task = scale_task(DRIFTING, 5)
        self.assertEqual(task.course[-1], f"{task.at:.3f}")
        self.assertEqual(len(set(task.course[-4:])), 1, "it stands before it is told to")
        self.assertNotEqual(task.course[0], task.course[-1])
        told = [judge_scale(task, text).kind for text in (task.course[-1], task.course[1], "999", "12 mL")]
        self.assertEqual(told, ["right", "early", "off", "none"])
        round_one = next(t for t in (scale_task(DRIFTING, n) for n in range(200)) if t.course[-1].endswith("0"))
        self.assertEqual(judge_scale(round_one, round_one.course[-1].rstrip("0")).kind, "decimals")

    def test_what_stands_there_is_right_and_mistakes_never_are(self) -> None:
        for slug in DRILLED:
            for seed in range(200):
                task = scale_task(slug, seed)
                tool = task.instrument
                self.assertTrue(float(tool.low) < task.at < float(tool.high))
                verdict = judge_scale(task, f"{task.at:.{tool.decimals}f}")
                self.assertTrue(verdict.right, (slug, seed, task.at, verdict))
                self.assertTrue(judge_scale(task, verdict.answer).right, (slug, seed))
                step = float(tool.graduation) * (10 if tool.kind == "barometer" else 1)
                for wrong in (task.at + step, task.at - 3 * step, task.at + 10 * step):
                    self.assertFalse(judge_scale(task, f"{wrong:.{tool.decimals}f}").right, (slug, seed, wrong))

    def test_the_same_seed_is_the_same_task(self) -> None:
        self.assertEqual(scale_task("burette-50-b", 7), scale_task("burette-50-b", 7))
        self.assertNotEqual(scale_task("burette-50-b", 7).at, scale_task("burette-50-b", 8).at)


class Hunts(TestCase):
    def test_one_answer_is_right_and_its_effect_is_what_is_seen(self) -> None:
        hunted = [slug for slug in methods() if can_be_hunted(slug)]
        self.assertGreaterEqual(len(hunted), 12)
        hidden = set()
        for slug in hunted:
            for seed in range(8):
                keys = [suspect.key for suspect in hunt(slug, seed).suspects]
                right = [key for key in keys if judge_hunt(slug, seed, key).right]
                with self.subTest(method=slug, seed=seed):
                    self.assertEqual(len(right), 1)
                    self.assertEqual(keys[-1], NOTHING)
                    self.assertTrue(judge_hunt(slug, seed, right[0]).fits)
                    self.assertFalse(judge_hunt(slug, seed, NOTHING).right and right != [NOTHING])
                    hidden.add(right[0] == NOTHING)
        self.assertEqual(hidden, {True, False})

    def test_readings_and_results_are_those_of_one_bench(self) -> None:
        shown = hunt("hydrate", 5)
        self.assertIn("Water in the hydrate", shown.result)
        self.assertTrue(any("crucible" in line.lower() for line in shown.readings), shown.readings)

    def test_who_is_no_suspect_is_refused(self) -> None:
        for answer in ("", "nonsense", "x" * 4000):
            with self.assertRaises(ReadingError):
                judge_hunt("hydrate", 5, answer)


class Calculations(TestCase):
    def test_the_line_itself_is_right_and_a_slip_is_named(self) -> None:
        for slug, declared in methods().items():
            if not can_be_drilled(slug):
                continue
            for seed in range(4):
                sheet, line, trial = line_of(slug, seed)
                value = context_of(declared, sheet).value(line.key, trial)
                assert value is not None
                with self.subTest(method=slug, seed=seed, line=line.key):
                    self.assertTrue(judge_calculation(slug, seed, f"{value:.6g}").right)
                    self.assertFalse(judge_calculation(slug, seed, f"{value * 1000:.6g}").right)
                    self.assertTrue(calculation_task(slug, seed).given)

    def test_a_thousand_is_named(self) -> None:
        sheet, line, trial = line_of("acid-base-titration", 3)
        value = context_of(method("acid-base-titration"), sheet).value(line.key, trial)
        assert value is not None
        self.assertIn("millilitres", judge_calculation("acid-base-titration", 3, f"{value * 1000:.4g}").sentence)

    def test_what_is_no_number_is_told_and_nothing_breaks(self) -> None:
        for text in ("", "about 5", "1e999", "nan", "x" * 5000, "5 parsec"):
            self.assertFalse(judge_calculation("hydrate", 1, text).right)
