"""A bench worked on the screen: skilled hands find the hidden truth, clumsy ones find what they did."""

from math import exp, log10
from random import Random
from unittest import TestCase

import numpy as np

from chromata_core.declaration.places import Place
from chromata_core.engine.numeric_pass import compute
from chromata_core.methods.registry import method, methods
from chromata_core.quantity.units import unit
from chromata_core.simulation.responses import retyped
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.outcome import ResultOut
from chromata_core.workbench.bench import At
from chromata_core.workbench.burette_station import Burette
from chromata_core.workbench.light_station import apparent
from tests.hands import Hands


def truth_of(hands: Hands, result: ResultOut) -> float:
    """What ``result`` would be without any error: the hidden truth, or what hands have made where nothing answers."""
    truth = hands.bench.truth
    values = {} if truth.wanted else {at: truth.at(at) for at in truth.values}
    computed = compute(retyped(truth.bound, {**truth.values, **values}))
    column = computed.column(result.key, result.trial)
    assert column is not None
    symbol = next(q.unit for q in truth.bound.quantities if q.key == result.key)
    return unit(symbol).from_si(float(np.real(column.flat[0])))


class SkilledHands(TestCase):
    def test_find_the_truth_in_every_method(self) -> None:
        """The first result holds it within twice its stated 95 % interval; a cup leaks some heat besides."""
        for declared in methods().values():
            for example in (declared.example, *declared.more_examples):
                with self.subTest(method=declared.slug, options=example.options):
                    hands = Hands(declared, example.options, example.instruments)
                    evaluation = evaluate(declared, hands.work())
                    self.assertEqual(evaluation.hand.kind, "finished")
                    first = evaluation.results[0]
                    self.assertLess(abs(first.value - truth_of(hands, first)), 2 * first.expanded)

    def test_the_same_acts_are_the_same_bench_however_often_one_looks(self) -> None:
        first, again = titration(), titration()
        first.work(12)
        again.bench.do(first.acts)
        at = At("end", Place("V_end", 1))
        self.assertEqual(first.bench.view(at), again.bench.view(at))
        self.assertEqual(again.bench.view(at), again.bench.view(at))

    def test_whatever_is_done_wherever_leads_to_one_bench_and_breaks_nothing(self) -> None:
        """200 things at random, at any task and at some that are none; done once more by another bench: the same."""
        for declared in methods().values():
            with self.subTest(method=declared.slug):
                hands, random = Hands(declared, declared.example.options, declared.example.instruments), Random(7)
                tasks = evaluate(declared, hands.sheet).tasks
                places = [
                    At(task.step, Place(task.key, task.trial and trial, task.index and row))
                    for task in tasks for trial in (1, 2, 9) for row in (1, 4)
                ]  # fmt: skip
                for at in random.choices(places, k=200):
                    view = hands.bench.view(at)
                    if view and view.controls:
                        hands.do(at, random.choice(view.controls).key)
                again = Hands(declared, declared.example.options, declared.example.instruments).bench
                again.do(hands.acts)
                for at in places:
                    self.assertEqual(again.view(at), hands.bench.view(at))

    def test_another_seed_is_another_bench(self) -> None:
        shown = {
            Hands(method("gas-eudometer"), {}, {}, seed).read(At("barometer", Place("p_bar"))) for seed in range(6)
        }
        self.assertGreater(len(shown), 3)


def titration(seed: int = 3) -> Hands:
    example = method("acid-base-titration").example
    return Hands(method("acid-base-titration"), example.options, example.instruments, seed)


FILL, START, RUN, END = (
    At("fill", Place("step.fill")), At("start", Place("V_start", 1)), At("run", Place("end_point", 1)),
    At("end", Place("V_end", 1)),
)  # fmt: skip


class ClumsyHands(TestCase):
    def station(self, hands: Hands, at: At) -> Burette:
        station = hands.bench.in_hand(at)
        assert isinstance(station, Burette)
        return station

    def run_out(self, hands: Hands) -> float:
        """Runs drop by drop to the end; what was delivered by the burette's own numbers."""
        start = self.station(hands, START).level
        while self.station(hands, RUN).past < 0:
            hands.do(RUN, "stream" if self.station(hands, RUN).past < -1.5 else "drop")
        return self.station(hands, RUN).level - start

    def test_air_left_under_the_tap_counts_as_titrant(self) -> None:
        """A bubble of 0.30 mL that comes out while one titrates makes the titre larger by as much."""
        careful, careless = titration(), titration()
        careful.do(FILL, "fill", "waste")
        careful.do(START, *["drip"] * 4)
        careless.do(FILL, "fill")
        while self.station(careless, START).level < 0:
            careless.bench.stations["burette"].level += 0.2  # drained without its tip: nothing of it is in the flask
        more = self.run_out(careless) - self.run_out(careful)
        self.assertAlmostEqual(more, 0.30, delta=0.06)

    def test_past_the_end_the_flask_is_strongly_coloured(self) -> None:
        hands = titration()
        hands.do(FILL, "fill", "waste")
        hands.do(START, *["drip"] * 6)
        self.run_out(hands)
        hands.do(RUN, "swirl")
        pale = hands.bench.view(RUN)
        hands.do(RUN, "stream", "swirl")
        strong = hands.bench.view(RUN)
        assert pale and strong
        paints = [[shape.fill for shape in view.shapes] for view in (pale, strong)]
        self.assertIn("pink", paints[0])
        self.assertIn("magenta", paints[1])

    def test_a_burette_run_past_its_end_says_so(self) -> None:
        hands = titration()
        hands.do(FILL, "fill", "waste")
        hands.do(RUN, *["much"] * 12)
        view = hands.bench.view(RUN)
        assert view
        self.assertEqual(float(view.shows), 50.0)
        self.assertIn("past its last mark", self.station(hands, RUN).said)

    def test_a_forgotten_blank_makes_every_absorbance_too_large(self) -> None:
        declared = method("beer-lambert")
        at = At("standards", Place("A_std", None, 2))
        shown = []
        for acts in (("warm", "blank", "wipe", "zero", "in", "wipe"), ("warm", "in", "wipe")):
            hands = Hands(declared, declared.example.options, declared.example.instruments)
            hands.do(at, *acts)
            shown.append(float(hands.read(at)))
        self.assertGreater(shown[1] - shown[0], 0.04)

    def test_a_pipette_read_above_its_mark_gives_more_and_the_result_follows(self) -> None:
        """0.4 mL too much of 20 mL sample wants 2 % more titrant."""
        fine, over = titration(), titration()
        at = At("pipette", Place("V_s"))
        fine.bench.truth.make(at.place, 20.0)
        over.bench.truth.make(at.place, 20.4)
        titres = [hands.bench.truth.at(END.place) - hands.bench.truth.at(START.place) for hands in (fine, over)]
        self.assertAlmostEqual(titres[1] / titres[0], 1.02, places=6)

    def test_a_tube_not_full_to_its_brim_shows_more_gas(self) -> None:
        declared = method("gas-eudometer")
        at = At("read", Place("V", 1))
        shown = []
        for acts in (("acid", "water", "brim", "over"), ("acid", "water", "over")):
            hands = Hands(declared, declared.example.options, declared.example.instruments)
            hands.do(at, *acts, *["wait"] * 8, "tap", "level")
            shown.append(float(hands.read(at)))
        self.assertGreater(shown[1] - shown[0], 0.35)

    def test_a_crucible_heated_too_little_is_heavy_and_too_strongly_is_light(self) -> None:
        """Its last weighing is that of the dry salt only after gentle heating, again and again."""
        declared, heat, weigh = method("hydrate"), At("heat", Place("flame", 1)), At("weigh", Place("m_heated", 1, 1))
        shown = {}
        for name, acts in {"dry": ["gentle"] * 4, "once": ["gentle"], "strong": ["strong"] * 3}.items():
            hands = Hands(declared, declared.example.options, declared.example.instruments)
            hands.do(heat, *acts)
            hands.prepare(weigh)
            shown[name] = float(hands.read(weigh))
        truth = hands.bench.truth
        dry = truth.planned(Place("m_heated", 1, 3))
        water = truth.at(Place("m_before", 1)) - dry
        self.assertAlmostEqual(shown["dry"], dry, delta=0.004)
        self.assertAlmostEqual(shown["once"], dry + water * exp(-5 / 1.6), delta=0.004)
        self.assertLess(shown["strong"], dry - 0.01)

    def test_what_cannot_be_done_changes_nothing(self) -> None:
        hands = titration()
        before = hands.bench.view(FILL)
        hands.do(FILL, "swirl", "explode", "")
        hands.do(At("nowhere", Place("nothing", 9, 9)), "fill")
        self.assertEqual(hands.bench.view(FILL), before)
        self.assertIsNone(hands.bench.view(At("nowhere", Place("nothing", 9, 9))))


class Physics(TestCase):
    def test_stray_light_limits_what_can_be_seen(self) -> None:
        """A = 0 stays 0; nothing is darker than −log₁₀(s/(1 + s)); at A = 2 with 0.1 % it is 0.04 too small."""
        self.assertEqual(apparent(0.0, 0.001), 0.0)
        self.assertAlmostEqual(apparent(9.0, 0.001), log10(1001), places=4)
        self.assertAlmostEqual(apparent(2.0, 0.001), -log10((0.01 + 0.001) / 1.001), places=12)
        self.assertAlmostEqual(apparent(2.0, 0.001), 1.959, places=3)


class LightAndCurrent(TestCase):
    def test_standards_lie_on_one_line(self) -> None:
        """Beer's law: whatever the worked example scattered, and wherever a pipette really stood."""
        for slug, key in (("beer-lambert", "A_std"), ("solubility-product", "T_std")):
            declared = method(slug)
            truth = Hands(declared, declared.example.options, declared.example.instruments).bench.truth
            volumes = (1.03, 2.51, 4.0, 6.7)
            absorbed = []
            for row, volume in enumerate(volumes, 1):
                truth.make(Place("V_std", None, row), volume)
                shown = truth.at(Place(key, None, row))
                absorbed.append(shown if key == "A_std" else 2 - log10(shown))
            slope, start = np.polyfit(volumes, absorbed, 1)
            self.assertLess(max(abs(start + slope * x - y) for x, y in zip(volumes, absorbed, strict=True)), 1e-6)

    def test_iodine_that_floats_is_not_in_the_light(self) -> None:
        """A fifth floats when the current is off; 2.5 min of standing leave e⁻¹ of that."""
        declared = method("coulometry-iodine")
        current, rest = At("current", Place("I", 1, 1)), At("rest", Place("dissolved", 1))
        at = At("read", Place("A_x", 1, 1))
        shown = {}
        for minutes in (0, 1, 12):
            hands = Hands(declared, declared.example.options, declared.example.instruments)
            hands.prepare(At("blank", Place("zero")))
            hands.do(current, "on")
            hands.do(rest, *["wait"] * minutes)
            hands.do(at, "blank", "wipe", "turn", "zero", "in", "wipe", "turn")
            shown[minutes] = float(hands.read(at))
        self.assertAlmostEqual(shown[0] / shown[12], 0.8, delta=0.02)
        self.assertAlmostEqual(shown[1] / shown[12], 1 - 0.2 * exp(-1 / 2.5), delta=0.02)

    def test_a_cuvette_the_other_way_round_absorbs_more(self) -> None:
        declared = method("beer-lambert")
        at = At("standards", Place("A_std", None, 2))
        seen = set()
        for seed in range(12):
            hands = Hands(declared, declared.example.options, declared.example.instruments, seed)
            hands.do(at, "warm", "blank", "wipe", "turn", "zero", "in", "wipe")
            aside = float(hands.read(at))
            hands.do(at, "turn")
            seen.add(round((aside - float(hands.read(at))) / 0.012))
        self.assertEqual(seen, {0, 1})
