"""What one sheet found and another works with: values, what both have in common, and what is said until then."""

from dataclasses import replace
from math import hypot, sqrt
from unittest import TestCase

import GTC
import numpy as np
from scipy.stats import linregress

from chromata_core.engine.context import Context, context_of
from chromata_core.engine.handing import as_input, as_number, found_here, mean_of_benches, takings
from chromata_core.errors import SheetError
from chromata_core.methods.registry import method
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.sheet.handed import Handed
from chromata_core.telling.evaluate import evaluate
from chromata_core.uncertainty.source import Input, Source
from tests.outside import outside
from tests.sheets import titration

ACID_BASE, COLOUR = method("acid-base-titration"), method("beer-lambert")
STANDARDS = ("V_flask", "V_std", "A_std", "T_std")


def read_off(handed: dict[str, Handed], fit: str = "intercept") -> Sheet:
    """The unknown of the example, on a line that is not measured here."""
    sheet = example_sheet(COLOUR)
    read = tuple(given for given in sheet.given if given.key not in STANDARDS)
    return replace(sheet, options={**sheet.options, "line": "given", "fit": fit}, given=read, handed=handed)


def line_of(at: Context, name: str = "Part 1") -> dict[str, Handed]:
    """The whole line that was measured, as a later plan takes it."""
    later = bind(COLOUR, Sheet({"line": "given"}))
    return {
        taking.option: as_number(found_here(at, taking.usual, None, name, same_pieces=True), taking.unit, name)
        for taking in takings(at.bound, later)
        if taking.usual
    }


class TwoTitrations(TestCase):
    """The second goes on with the concentration that the first found, with the same burette and pipette."""

    def setUp(self) -> None:
        self.first = titration(("0.24", "21.78"), rough=None, options={"c_t": "0.1026", "c_t.limit": "0.0004"})

    def second(self, same_pieces: bool) -> tuple[Handed, float, float]:
        input_ = found_here(context_of(ACID_BASE, self.first), "c_s", None, "record 1", same_pieces)
        handed = as_number(input_, "mol/L", "Part 1")
        sheet = replace(titration(("1.02", "18.44"), rough=None), handed={"c_t": handed})
        result = evaluate(ACID_BASE, sheet).results[0]
        return handed, result.value, result.u

    @staticmethod
    def by_hand(handed: Handed, same_pieces: bool) -> GTC.lib.UncertainReal:
        """GTC on the same inputs: burette ±0.10 mL, reading ±0.02, end ±0.05, pipette ±0.03 and ±0.01, triangular."""

        def pieces() -> tuple[object, object, object]:
            return GTC.ureal(0, 0.10 / sqrt(6)), GTC.ureal(0, 0.03 / sqrt(6)), GTC.ureal(1, 0.00063 / 1.959963984540054)

        first = pieces()
        second = first if same_pieces else pieces()
        titrant = GTC.ureal(0.1026, 0.0004 / 1.959963984540054)
        for (burette, pipette, room), start, end in ((first, 0.24, 21.78), (second, 1.02, 18.44)):
            scale = [GTC.ureal(x, 0.02 / sqrt(6)) for x in (end, start)]
            titre = (scale[0] - scale[1]) * room + burette + GTC.ureal(0, 0.05 / sqrt(6))
            titrant = titrant * titre / ((GTC.ureal(20.00, 0.01 / sqrt(6)) + pipette) * room)
            if start == 0.24:  # it is taken over as it is stated
                titrant = titrant - GTC.value(titrant) + float(handed.text)
        return titrant

    @outside("acid-base-titration", by="GTC through two parts with common burette and pipette")
    def test_what_both_have_in_common_is_counted_once(self) -> None:
        for same in (True, False):
            handed, value, u = self.second(same)
            peer = self.by_hand(handed, same)
            self.assertAlmostEqual(value / GTC.value(peer), 1, delta=1e-9)
            self.assertAlmostEqual(u / GTC.uncertainty(peer), 1, delta=2e-4)  # the first value was rounded to its U
        self.assertGreater(self.second(True)[2], 1.05 * self.second(False)[2], "c V, so common errors add up")

    def test_it_stands_as_it_is_stated_with_where_it_is_from(self) -> None:
        handed, *_ = self.second(True)
        self.assertEqual((handed.text, handed.limit), ("0.11050", "0.00067"))
        sheet = replace(titration(("1.02", "18.44"), rough=None), handed={"c_t": handed})
        state = evaluate(ACID_BASE, sheet)
        [told] = state.handed
        self.assertEqual((told.text, told.origin, told.why), ("0.11050 ± 0.00067 mol/L", "Part 1", ""))
        self.assertIn("Part 1", [line.label for line in state.results[0].budget])
        self.assertNotIn("Titrant concentration", [line.label for line in state.results[0].budget])


class ALineTakenOver(TestCase):
    @outside("beer-lambert", by="the same line measured and read off on one sheet")
    def test_it_gives_what_it_gives_where_it_was_measured(self) -> None:
        """Slope, intercept and their covariance, the scatter of the reading: all of it is there."""
        for fit in ("intercept", "origin"):
            sheet = replace(example_sheet(COLOUR), options={**example_sheet(COLOUR).options, "fit": fit})
            here = evaluate(COLOUR, sheet).results[0]
            there = evaluate(COLOUR, read_off(line_of(context_of(COLOUR, sheet)), fit)).results[0]
            self.assertAlmostEqual(there.value / here.value, 1, delta=2e-3)  # slope and intercept are as stated
            self.assertAlmostEqual(there.u / here.u, 1, delta=5e-3)
            if fit == "intercept":
                # n − 2 is told with the line, not the part by which they count where it was measured
                self.assertTrue(1 <= (there.dof or 0) / (here.dof or 1) < 1.1)

    def test_all_five_numbers_belong_to_it(self) -> None:
        handed = line_of(context_of(COLOUR, example_sheet(COLOUR)))
        self.assertEqual(list(handed), ["a_line", "b_line", "A_top", "s_line", "n_line"])
        self.assertEqual((handed["a_line"].text, handed["n_line"].text), ("80.3", "4"))


class TheMeanOfAClass(TestCase):
    def test_lines_of_one_design_are_pooled_as_all_points_together(self) -> None:
        """The mean of slopes is the slope through all points (scipy), and likewise the intercept."""
        volumes = ("2.00", "4.00", "6.00", "8.00")
        benches = (
            ("0.163", "0.321", "0.487", "0.643"),
            ("0.159", "0.326", "0.480", "0.650"),
            ("0.166", "0.318", "0.491", "0.638"),
        )
        pooled = []
        for n, absorbances in enumerate(benches, 1):
            texts = {("V_std", i): v for i, v in enumerate(volumes, 1)} | {
                ("A_std", i): a for i, a in enumerate(absorbances, 1)
            }
            given = tuple(
                replace(given, text=texts.get((given.key, given.index or 0), given.text))
                for given in example_sheet(COLOUR).given
            )
            at = context_of(COLOUR, replace(example_sheet(COLOUR), given=given))
            pooled.append(
                {key: found_here(at, key, None, f"record {n}", same_pieces=True) for key in ("rise", "start")}
            )
        c = [0.01 * float(v) / 10.00 for v in volumes] * 3
        peer = linregress(c, [float(a) for row in benches for a in row])
        rise = mean_of_benches([inputs["rise"] for inputs in pooled], "session 1")
        start = mean_of_benches([inputs["start"] for inputs in pooled], "session 1")
        self.assertAlmostEqual(rise.value * 1000 / peer.slope, 1, 9)  # SI: m³/mol
        self.assertAlmostEqual(start.value, peer.intercept, 9)

    def test_the_spread_of_benches_keeps_its_covariance(self) -> None:
        """Without known errors the mean's covariance is the sample's over n (numpy.cov)."""
        pairs = [(80.2, 0.004), (81.9, -0.003), (79.1, 0.009), (80.8, 0.001)]
        means = [mean_of_benches([Input(pair[k]) for pair in pairs], "session 1") for k in (0, 1)]
        parts = [{source.id: source.u * effect for source, effect in mean.sources} for mean in means]
        expected = np.cov(np.array(pairs).T) / len(pairs)
        covariances = [[sum(a.get(key, 0) * b.get(key, 0) for key in {*a, *b}) for b in parts] for a in parts]
        np.testing.assert_allclose(covariances, expected, rtol=1e-9)
        self.assertEqual({source.dof for mean in means for source, _ in mean.sources}, {3.0})

    def test_what_moves_two_numbers_apart_still_does_so_in_their_means(self) -> None:
        """One error adds to the first number and takes from the second of each bench: their sum is free of it."""
        error = Source("balance", "Balance", 0.02, "normal", lasts="bench")
        pairs = [(Input(5.0, ((error, 1.0),)), Input(3.0, ((error, -1.0),)))] * 3
        first, second = (mean_of_benches([pair[k] for pair in pairs], "session 1") for k in (0, 1))
        moved = {source.id: source.u * effect for source, effect in first.sources}
        for source, effect in second.sources:
            moved[source.id] = moved.get(source.id, 0.0) + source.u * effect
        self.assertAlmostEqual(sum(abs(amount) for amount in moved.values()), 0.0, 12)

    def test_known_errors_of_a_bench_shrink_and_common_ones_stay(self) -> None:
        own = [Source(f"record {n}: burette", "x", 0.03, "normal") for n in range(4)]
        common = Source("pipette:tolerance", "x", 0.02, "normal", lasts="bench")
        mean = mean_of_benches([Input(5.0, ((source, 1.0), (common, 1.0))) for source in own], "session 1")
        self.assertAlmostEqual(hypot(*(s.u * e for s, e in mean.sources)), hypot(0.03 / 2, 0.02), 12)
        self.assertNotIn("pipette:tolerance", [source.id for source, _ in mean.sources], "nobody's own piece")


class WhatIsMissing(TestCase):
    def test_the_plan_stands_and_the_bench_is_told(self) -> None:
        waits = {"c_t": Handed("“Standards”, bench 3", why="there is no concentration yet")}
        state = evaluate(ACID_BASE, replace(titration(("1.02", "18.44"), rough=None), handed=waits))
        [finding] = [finding for finding in state.findings if finding.code == "c_t-awaited"]
        self.assertIn("still the plan's 0.1000 mol/L", finding.what)
        self.assertIn("“Standards”, bench 3: there is no concentration yet.", finding.why)
        self.assertAlmostEqual(state.results[0].value, 0.1 * 17.42 / 20, 9)

    def test_what_cannot_be_worked_with_stops_no_bench(self) -> None:
        for text in ("-80.1", "0", "much"):
            state = evaluate(COLOUR, read_off({"a_line": Handed("Part 1", text, "0.1")}))
            self.assertEqual([handed_out.why != "" for handed_out in state.handed], [True])
            self.assertIn("a_line-awaited", [finding.code for finding in state.findings])
        self.assertEqual(evaluate(COLOUR, read_off({"nothing": Handed("Part 1", "1")})).handed, [])

    def test_a_label_that_somebody_wrote_for_the_room_counts(self) -> None:
        handed = {"c_stock": Handed("Part 1", "0.0200", "0.0001")}
        written = (*example_sheet(COLOUR).given, Given("c_stock", "0.01020 ± 0.00004"))
        state = evaluate(COLOUR, replace(example_sheet(COLOUR), given=written, handed=handed))
        plain = evaluate(COLOUR, replace(example_sheet(COLOUR), given=written))
        self.assertEqual((state.handed, state.results[0].line), ([], plain.results[0].line))

    def test_what_is_no_number_is_not_handed_on(self) -> None:
        for input_ in (Input(float("inf")), Input(1.0, ((Source("x", "x", float("inf"), "normal"), 1.0),))):
            with self.assertRaisesRegex(SheetError, "no number to work with"):
                as_number(input_, "mol/L", "Part 1")

    def test_what_is_tiny_keeps_all_that_bears_on_it(self) -> None:
        """As far from one as micromoles in SI are, no contribution is too small beside the others."""
        at = context_of(ACID_BASE, titration(("0.24", "21.78"), rough=None))
        column = at.computed.column("c_s", None)
        assert column is not None
        whole, tiny = (as_input(at, column * size, "record 1", same_pieces=True) for size in (1.0, 1e-12))
        self.assertEqual([source.id for source, _ in tiny.sources], [source.id for source, _ in whole.sources])

    def test_where_one_trial_is_all_there_is_it_has_no_number(self) -> None:
        for most, labels in ((1, ["Titre"]), (5, [])):
            trials = replace(ACID_BASE.trials, minimum=1, maximum=most)
            quantities = tuple(
                replace(quantity, hands="c_t", label="Titre") if quantity.key == "V" else quantity
                for quantity in ACID_BASE.quantities
            )
            giver = bind(replace(ACID_BASE, trials=trials, quantities=quantities), Sheet())
            offered = [handed for taking in takings(giver, bind(ACID_BASE, Sheet())) for handed in taking.offered]
            self.assertEqual([handed.label for handed in offered if handed.key == "V"], labels)

    def test_why_there_is_nothing_yet(self) -> None:
        apart = context_of(ACID_BASE, titration(("0.24", "21.78"), ("0.30", "23.40"), rough=None))
        for at, key, why in (
            (context_of(ACID_BASE, Sheet()), "c_s", "is not found yet"),
            (apart, "c_s", "do not agree yet"),
            (apart, "gone", "nothing of that name"),
        ):
            with self.assertRaisesRegex(SheetError, why):
                found_here(at, key, None, "record 1", same_pieces=True)
