"""Charts laid out: inside the page, round ticks, words clear of one another, every value to be read."""

from typing import Any
from unittest import TestCase

from hypothesis import given, settings
from hypothesis import strategies as st

from chromata_core.engine.context import context_of
from chromata_core.methods.registry import methods
from chromata_core.sheet.example import example_sheet
from chromata_core.telling.axes import axis_of, tick_text, value_text, wrapped
from chromata_core.telling.chart import Chart, ChartArea, ChartLine, ChartMark
from chromata_core.telling.evaluate import charts_of
from chromata_core.telling.lay_out import lay_out
from chromata_core.telling.plot import Plot

NUMBER = st.floats(-1e9, 1e9, allow_nan=False)
POINTS = st.lists(st.tuples(NUMBER, NUMBER), min_size=1, max_size=30)


def chart(points: list[tuple[float, float]], **more: Any) -> Chart:
    lines = [ChartLine("Read", "line", points)]
    return Chart("c", "Title", "t, s", "Absorbance", "A line.", lines, [], [], **more)


def plotted(points: list[tuple[float, float]], **more: Any) -> Plot:
    plot = lay_out(chart(points, **more))
    assert plot
    return plot


class Axes(TestCase):
    def test_round_ticks_inside_the_span(self) -> None:
        self.assertEqual(axis_of([0, 30], 0, 300).ticks, [0, 5, 10, 15, 20, 25, 30])
        self.assertEqual([tick_text(t) for t in axis_of([0.04, 0.22], 0, 1).ticks], ["0.05", "0.1", "0.15", "0.2"])

    def test_values_stand_where_they_belong_upward_too(self) -> None:
        self.assertAlmostEqual(axis_of([0, 10], 200, 0, air=0).at(2.5), 150)

    def test_a_single_value_has_room(self) -> None:
        axis = axis_of([5], 0, 100)
        self.assertAlmostEqual(axis.at(5), 50)

    @settings(deadline=None)  # a machine may be busy
    @given(st.lists(NUMBER, min_size=1, max_size=20))
    def test_few_ticks_in_order_and_on_the_page(self, values: list[float]) -> None:
        axis = axis_of(values, 0, 300)
        self.assertLessEqual(len(axis.ticks), 12)
        self.assertEqual(axis.ticks, sorted(axis.ticks))
        self.assertTrue(all(-1 <= axis.at(tick) <= 301 for tick in axis.ticks))

    def test_numbers_as_people_write_them(self) -> None:
        self.assertEqual([tick_text(-0.04), tick_text(0.1 + 0.2), tick_text(1e-7)], ["−0.04", "0.3", "1e−07"])
        self.assertEqual([value_text(0.05), value_text(12.3456), value_text(-2.0)], ["0.05", "12.35", "−2"])

    def test_long_words_stand_in_lines(self) -> None:
        self.assertEqual(wrapped("Heat lost to the cup itself"), ["Heat lost to", "the cup itself"])


class Laid(TestCase):
    @settings(deadline=None)  # a machine may be busy
    @given(POINTS)
    def test_everything_stands_on_the_page(self, points: list[tuple[float, float]]) -> None:
        plot = plotted(points)
        left, top, right, base = plot.frame
        for x, y in plot.lines[0].points:
            self.assertTrue(left - 0.01 <= x <= right + 0.01 and top - 0.01 <= y <= base + 0.01)
        self.assertEqual(len(plot.lines[0].values), len(points))

    def test_more_is_to_the_right_and_above(self) -> None:
        (x1, y1), (x2, y2) = plotted([(0, 0), (1, 2)]).lines[0].points
        self.assertTrue(x1 < x2 and y1 > y2)

    def test_a_point_says_its_values(self) -> None:
        self.assertEqual(plotted([(30, 0.2131)]).lines[0].values, ["Read: t, s 30; Absorbance 0.2131"])
        named = plotted([(1, 0.5)], ticks=["Cu–Zn"]).lines[0].values
        self.assertEqual(named, ["Read: Cu–Zn; Absorbance 0.5"])

    def test_what_is_no_number_is_left_out_and_nothing_at_all_is_no_plot(self) -> None:
        nan, inf = float("nan"), float("inf")
        self.assertEqual(len(plotted([(nan, 1), (1, inf), (2, 3), (1e200, 0)]).lines[0].points), 1)
        self.assertIsNone(lay_out(chart([(nan, nan)])))

    def test_fields_and_marks_that_stand_nowhere_are_left_out(self) -> None:
        nan = float("nan")
        lines = [ChartLine("Read", "dots", [(0.0, 0.0), (1.0, 1e-310)])]
        marks, areas = [ChartMark("x", x=nan), ChartMark("y", y=0.5)], [ChartArea("a", (0.0, 1.0), (nan, 1.0))]
        plot = lay_out(Chart("c", "T", "x", "y", "", lines, marks, areas))
        assert plot
        self.assertEqual((len(plot.marks), len(plot.boxes)), (1, 0))
        beside = [ChartLine("Slope", "bars", [(0.0, 1.0)], right=True)]
        self.assertIsNone(lay_out(Chart("c", "T", "x", "y", "", beside, [], [])))

    def test_words_of_marks_keep_clear_of_one_another(self) -> None:
        marks = [ChartMark("end point", x=5.0), ChartMark("second end", x=5.1), ChartMark("level", y=1.0)]
        areas = [ChartArea("expected", (4.0, 6.0), (0.0, 2.0))]
        lines = [ChartLine("Read", "dots", [(0.0, 0.0), (10.0, 2.0)])]
        plot = lay_out(Chart("c", "T", "V, mL", "E, mV", "", lines, marks, areas))
        assert plot
        placed = [(text.x, text.y, text.anchor) for text in plot.texts if text.role in ("mark", "area")]
        self.assertEqual(len({*placed}), 4)

    def test_every_example_of_every_method_can_be_drawn(self) -> None:
        for method in methods().values():
            for drawn in charts_of(context_of(method, example_sheet(method))):
                with self.subTest(method.slug, chart=drawn.key):
                    self.assertTrue(drawn.square or (drawn.plot and drawn.plot.lines))
                    self.assertFalse(drawn.square and drawn.plot)
