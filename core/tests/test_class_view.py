"""A class after its session: who stands apart, what made the errors, one line through all benches, and its picture."""

from dataclasses import replace
from itertools import pairwise
from math import log
from unittest import TestCase

from scipy.stats import linregress, ttest_1samp

from chromata_core.engine.context import Context, context_of
from chromata_core.engine.pooled import pooled_results
from chromata_core.methods.registry import method
from chromata_core.sheet.bound import Given
from chromata_core.sheet.example import example_sheet
from chromata_core.statistics.class_comparison import BenchResult, ClassComparison, class_comparison
from chromata_core.statistics.comparing import TestOutcome, against, welch
from chromata_core.statistics.outliers import apart
from chromata_core.telling.chart import Draws
from chromata_core.telling.class_causes import (
    BenchTold,
    fault_causes,
    own_causes,
    own_results,
    reading_causes,
    without,
)
from chromata_core.telling.class_plot import RADIUS, WIDTH, class_plot
from chromata_core.telling.effects import what_if
from chromata_core.telling.evaluate import evaluate
from tests.outside import outside
from tests.sheets import titration

# B. Rosner, Technometrics 25 (1983) 165, as in the NIST/SEMATECH e-Handbook 1.3.5.17.3 (values from memory): of up to
# ten suspects three stand apart, 6.01, 5.42 and 5.34, although the first two alone would not.
ROSNER = (
    -0.25, 0.68, 0.94, 1.15, 1.20, 1.26, 1.26, 1.34, 1.38, 1.43, 1.49, 1.49, 1.55, 1.56, 1.58, 1.65, 1.69, 1.70, 1.76,
    1.77, 1.81, 1.91, 1.94, 1.96, 1.99, 2.06, 2.09, 2.10, 2.14, 2.15, 2.23, 2.24, 2.26, 2.35, 2.37, 2.40, 2.47, 2.54,
    2.62, 2.64, 2.90, 2.92, 2.92, 2.93, 3.21, 3.26, 3.30, 3.59, 3.68, 4.30, 4.64, 5.34, 5.42, 6.01,
)  # fmt: skip


def results(*values: float, accepted: float | None = None, expanded: float = 0.05) -> list[BenchResult]:
    return [BenchResult(n, "", value, expanded, accepted) for n, value in enumerate(values, 1)]


def compared(results: list[BenchResult]) -> ClassComparison:
    comparison = class_comparison("Concentration", "mol/L", results)
    assert comparison
    return comparison


class StandingApart(TestCase):
    def test_three_of_rosner_s_values(self) -> None:
        self.assertEqual([ROSNER[i] for i in apart(ROSNER, 10)], [6.01, 5.42, 5.34])
        self.assertEqual(apart(ROSNER, 1), [], "the first alone hides behind the others")

    def test_they_count_until_somebody_decides(self) -> None:
        of_class = results(1.00, 1.02, 1.01, 1.03, 1.02, 1.60)
        [product] = compared(of_class).products
        self.assertEqual((product.n, product.suspects), (6, [6]))
        self.assertAlmostEqual(product.robust or 0, 1.02, delta=0.02)
        of_class[5] = replace(of_class[5], left_out="The pipette was the wrong one.")
        [product] = compared(of_class).products
        self.assertEqual((product.n, product.suspects, len(product.results)), (5, [], 6))
        self.assertAlmostEqual(product.mean, 1.016)

    def test_nobody_left_is_no_division_by_nothing(self) -> None:
        of_class = [replace(result, left_out="x") for result in results(1.0, 1.1)]
        self.assertEqual(compared(of_class).products[0].n, 2)
        for product in ("", "B"):  # beside an accepted value, and beside another product
            of_class = [replace(result, left_out="x") for result in results(1.0, 1.1, 1.3, accepted=1.0)]
            told = compared([*of_class, *(replace(bench_result, product=product) for bench_result in of_class)])
            self.assertIn("Closest", told.sentence)

    def test_how_far_the_class_is_off_and_whether_by_chance(self) -> None:
        values = (1.03, 1.05, 1.04, 1.06)
        self.assertAlmostEqual(against(values, 1.0).p, ttest_1samp(values, 1.0).pvalue, 12)
        self.assertEqual(against((2.0, 2.0, 2.0), 2.0), TestOutcome(0.0, 2.0, 1.0))
        self.assertEqual(against((2.0, 2.0, 2.0), 2.1), TestOutcome(0.0, 2.0, 0.0))
        self.assertEqual(welch((2.0, 2.0, 2.0), (2.1, 2.1)), TestOutcome(0.0, 3.0, 0.0))
        self.assertIn("The class reads 4.5 % high, more than chance does (t, p = 0.0061)", self.said(*values))
        self.assertIn("within chance", self.said(0.98, 1.03, 1.00))

    def said(self, *values: float) -> str:
        return compared(results(*values, accepted=1.0)).sentence


class ThePicture(TestCase):
    def test_no_dot_hides_another_and_all_stand_on_the_page(self) -> None:
        values = [8.30 + 0.001 * (n * 37 % 41) for n in range(48)]
        plot = class_plot(compared(results(*values, accepted=8.314)))
        dots = [dot for strip in plot.strips for dot in strip.dots]
        self.assertEqual(len(dots), 48)
        for row in {dot.y for dot in dots}:
            for left, other in pairwise(sorted(dot.x for dot in dots if dot.y == row)):
                self.assertGreaterEqual(other - left, 2 * RADIUS)
        for dot in dots:
            self.assertTrue(RADIUS <= dot.x <= WIDTH - RADIUS and 0 <= dot.y <= plot.height, dot)

    def test_one_bench_ten_times_too_high_leaves_the_others_their_room(self) -> None:
        plot = class_plot(compared(results(0.101, 0.104, 0.099, 0.102, 1.02, expanded=0.002)))
        dots = {dot.bench: dot for strip in plot.strips for dot in strip.dots}
        self.assertEqual([dots[n].beyond for n in range(1, 6)], [False, False, False, False, True])
        self.assertGreater(max(dots[n].x for n in range(1, 5)) - min(dots[n].x for n in range(1, 5)), WIDTH / 4)

    def test_the_axis_holds_the_accepted_value(self) -> None:
        [strip] = class_plot(compared(results(1.0, 1.1, accepted=3.0))).strips
        self.assertTrue(strip.accepted and strip.dots[-1].x < strip.accepted < WIDTH)

    def test_all_alike_and_a_single_one_can_be_drawn(self) -> None:
        for values in ((1.0,), (1.0, 1.0, 1.0), (0.0, 0.0)):
            self.assertEqual(len(class_plot(compared(results(*values, expanded=0.0))).strips[0].dots), len(values))


PLAIN = {"c_t": "0.1026", "dilution": "1", "z_s": "1", "z_t": "1"}


def told(
    number: int, *trials: tuple[str, str], own: dict[str, str] | None = None, seen: dict[int, str] | None = None
) -> BenchTold:
    sheet = titration(*trials, rough=None, options=PLAIN, seen=seen)
    given = (*sheet.given, *(Given(f"own.{key}", text) for key, text in (own or {}).items()))
    state = evaluate(method("acid-base-titration"), replace(sheet, given=given), {"c_s": "0.0938"})
    result_out = next((result for result in state.results if result.key == "c_s"), None)
    result = result_out and BenchResult(number, "", result_out.value, result_out.expanded, 0.0938)
    return BenchTold(number, state, result)


GOOD = (("0.22", "18.47"), ("1.05", "19.36"))  # 18.25 and 18.31 mL: 0.1026 · 18.28 / 20.00 = 0.09378 mol/L


class Causes(TestCase):
    def test_slips_are_counted_over_benches_with_their_size(self) -> None:
        final = {"c_s": "0.0970"}  # 0.1026 · 18.915 / 20.00: the end is taken for the difference
        room = [told(1, *GOOD, own=final), told(2, *GOOD, own={"c_s": "0.0938"}), told(3, *GOOD, own=final)]
        room.append(told(4, *GOOD, own={"c_s": "0.41873"}))
        slip, other = own_causes(room)
        self.assertEqual((slip.kind, slip.benches, slip.text), ("own", [1, 3], "+3.4 %"))
        self.assertIn("final reading is used instead of the difference", slip.label)
        self.assertEqual((other.kind, other.benches), ("unexplained", [4]))
        self.assertEqual(own_results(room, "c_s"), "Own results: 1 of 4 right.")
        self.assertEqual(own_results([told(1, *GOOD)], "c_s"), "")

    def test_what_was_seen_at_benches_and_the_mean_without(self) -> None:
        spoiled = told(2, ("0.22", "18.47"), ("1.05", "19.36"), ("0.10", "18.36"), seen={1: "overshot"})
        room = [told(1, *GOOD), spoiled, told(3, *GOOD)]
        [cause] = reading_causes(room)
        self.assertEqual((cause.kind, cause.benches), ("reading", [2]))
        self.assertIn("(2 benches)", without(room, [cause], "mol/L"))
        self.assertEqual(without(room, [], "mol/L"), "")
        assert room[2].result
        other = replace(room[2], result=replace(room[2].result, product="B"))
        self.assertEqual(without([*room[:2], other], [cause], "mol/L"), "", "two products have no mean")

    def test_a_reason_is_one_cause_whoever_wrote_it(self) -> None:
        """Told by the bench, or typed by who rejects a trial: with its full stop or without."""
        spoiled = told(2, ("0.22", "18.47"), ("1.05", "19.36"), ("0.10", "18.36"), seen={1: "overshot"})
        [overshot] = reading_causes([spoiled])
        for why, labels in (
            (overshot.label, [overshot.label]),
            (f"{overshot.label}.", [overshot.label]),
            ("It was spilt.", [overshot.label, "It was spilt"]),
        ):
            rejected = [*spoiled.state.trials, replace(spoiled.state.trials[1], state="void", why=why)]
            room = [replace(spoiled, state=replace(spoiled.state, trials=rejected))]
            self.assertEqual([cause.label for cause in reading_causes(room)], labels)

    def test_a_fault_is_named_where_it_would_explain_a_miss(self) -> None:
        gas = method("gas-eudometer")
        at = context_of(gas, example_sheet(gas))
        effects = what_if(at.bound)
        state = evaluate(gas, example_sheet(gas))
        for effect in (effect for effect in effects if abs(effect.percent) > 2):
            value = 8.314 * (1 + effect.percent / 100)
            room = [
                BenchTold(n, state, r) for n, r in enumerate(results(8.314, value, accepted=8.314, expanded=0.02), 1)
            ]
            [cause] = fault_causes(room, effects)
            self.assertEqual((cause.benches, cause.kind), ([2], "fault"))
            same = [cause.says for cause in effects if abs(cause.percent - effect.percent) < 0.1]
            self.assertTrue(any(says in cause.label for says in same), cause)
        far = [BenchTold(1, state, r) for r in results(80.0, accepted=8.314, expanded=0.02)]
        self.assertEqual(fault_causes(far, effects), [], "nothing of the kind makes it ten times as large")


class OneLineForAll(TestCase):
    """Rates against temperature: each bench's four temperatures, and one line through those of all benches."""

    def bench(self, factor: float) -> Context:
        chosen = method("rate-temperature")
        sheet = example_sheet(chosen)
        slower = tuple(
            replace(given, text=f"{float(given.text) * factor:.1f}") if given.key == "t" else given
            for given in sheet.given
        )
        return context_of(chosen, replace(sheet, given=slower))

    def test_of_one_bench_it_is_its_own_result(self) -> None:
        at = self.bench(1.0)
        own = {
            result_out.key: result_out
            for result_out in evaluate(at.bound.method, example_sheet(at.bound.method)).results
        }
        for pooled_result in pooled_results({"record 1": at}):
            self.assertAlmostEqual(pooled_result.value / own[pooled_result.quantity.key].value, 1, 9)
            self.assertAlmostEqual(
                pooled_result.made.u * pooled_result.factor / own[pooled_result.quantity.key].u, 1, 6
            )

    @outside("rate-temperature", by="scipy.stats.linregress through the points of three benches")
    def test_the_line_is_that_through_all_points(self) -> None:
        benches = {f"record {n}": self.bench(factor) for n, factor in enumerate((1.0, 1.08, 0.95), 1)}
        points = [
            (1000 / (at.value("T", n, "K") or 0), log(1 / (at.value("t_mean", n) or 0)))
            for at in benches.values()
            for n in at.trials()
        ]
        peer = linregress(*zip(*points, strict=True))
        energy = next(pooled_result for pooled_result in pooled_results(benches) if pooled_result.quantity.key == "E_a")
        self.assertAlmostEqual(energy.value / (-8.314462618 * peer.slope), 1, 6)
        drawing = next(draws for draws in method("rate-temperature").charts if isinstance(draws, Draws))
        chart = drawing.pooled(benches)
        assert chart
        self.assertEqual(len(chart.lines[0].points), len(points))
