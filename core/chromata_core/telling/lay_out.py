"""Charts laid out: scale, ticks, words and their places are decided here alone, for screen and paper."""

from collections.abc import Iterator, Sequence
from dataclasses import replace

from chromata_core.telling.axes import Axis, Words, axis_of, tick_text, value_text, wrapped
from chromata_core.telling.chart import Chart, ChartArea, ChartLine, ChartMark
from chromata_core.telling.plot import HEIGHT, WIDTH, Plot, PlotBox, PlotLine, PlotMark, PlotText, Point

_LEFT, _TOP, _BASE = 56.0, 12.0, HEIGHT - 40.0
_RIGHT, _RIGHT_SCALE = WIDTH - 10.0, WIDTH - 46.0
_SMALL, _PLAIN = 10.5, 11.5
_MANY = 24  # points; from here on they are drawn smaller
_FOOT = 8.0
_STEPS = 40
_LINE = 11.0  # from one line of words to the next


_FARTHEST = 1e100  # beyond it nothing can be told apart on a page


def lay_out(chart: Chart) -> Plot | None:
    """``chart`` on the page, without points that stand nowhere; None where nothing is left to draw."""
    lines = [replace(line, points=[p for p in line.points if _drawable(*p)]) for line in chart.lines]
    chart = replace(
        chart,
        lines=[line for line in lines if line.points],
        marks=[mark for mark in chart.marks if _drawable(mark.x or 0.0, mark.y or 0.0)],
        areas=[area for area in chart.areas if _drawable(*area.x) and _drawable(*area.y)],
    )
    return _laid_out(chart) if any(not line.right for line in chart.lines) else None


def _drawable(x: float, y: float) -> bool:
    return abs(x) < _FARTHEST and abs(y) < _FARTHEST  # neither holds of what is no number


def _laid_out(chart: Chart) -> Plot:
    right = _RIGHT_SCALE if chart.right_label else _RIGHT
    across, up, beside = _axes(chart, right)
    lines = [
        _line(chart, line, number, across, beside if line.right and beside else up)
        for number, line in enumerate(chart.lines)
    ]
    named = len(lines) > 1 and not all(len(line.points) == 1 for line in lines)
    marks = [_across_the_field(mark, across, up, right) for mark in chart.marks]
    dots = [point for line in lines if line.style != "bars" for point in line.points]
    words = Words([*dots, *(point for mark in marks for point in _along(mark))])
    boxes = [_box(area, across, up, right) for area in chart.areas]
    for text in (*_at_ticks(chart, across, up, beside, right), *_at_axes(chart, right)):
        words.put(text)
    for mark in chart.marks:
        words.put(*_at_mark(mark, across, up, right))
    for area, box in zip(chart.areas, boxes, strict=True):
        words.put(*_in_box(area, box))
    for line in lines:
        if line.style == "dots" and len(line.points) == 1 and not named:
            words.put(*_at_point(line))
    return Plot(
        width=WIDTH,
        height=max(text.y for text in words.texts) + _FOOT,
        frame=(_LEFT, _TOP, right, _BASE),
        rules=[up.at(tick) for tick in up.ticks],
        lines=lines,
        boxes=boxes,
        marks=marks,
        texts=words.texts,
        named=named,
    )


def _axes(chart: Chart, right: float) -> tuple[Axis, Axis, Axis | None]:
    left_lines = [line for line in chart.lines if not line.right]
    beside = [y for line in chart.lines if line.right for _, y in line.points]
    xs = [x for line in chart.lines for x, _ in line.points] + [x for area in chart.areas for x in area.x]
    ys = [y for line in left_lines for _, y in line.points] + [y for area in chart.areas for y in area.y]
    ys += [mark.y for mark in chart.marks if mark.y is not None]
    ys += [0.0 for line in left_lines if line.style == "bars"]
    counted = all(float(x).is_integer() for line in chart.lines for x, _ in line.points)
    if chart.ticks:
        across = axis_of([0.5, len(chart.ticks) + 0.5], _LEFT, right, air=0.0)
    else:
        marked = [mark.x for mark in chart.marks if mark.x is not None]
        across = axis_of([*xs, *marked], _LEFT, right, least=1.0 if counted else 0.0)
    return across, axis_of(ys, _BASE, _TOP), axis_of([0.0, *beside], _BASE, _TOP) if beside else None


def _line(chart: Chart, line: ChartLine, number: int, across: Axis, up: Axis) -> PlotLine:
    if line.style == "bars":
        size = 3.0 if line.right else 34.0 if chart.ticks else 9.0
    else:
        size = 2.2 if len(line.points) > _MANY else 3.6
    return PlotLine(
        label=line.label,
        style=line.style,
        number=number,
        points=[(across.at(x), up.at(y)) for x, y in line.points],
        values=[_said(chart, line, x, y) for x, y in line.points],
        foot=up.at(0.0),
        size=size,
        beside=line.right,
    )


def _said(chart: Chart, line: ChartLine, x: float, y: float) -> str:
    """What a point says when it is pointed at: “Standards: c, mol/L 0.05; Absorbance 0.2131”."""
    word = chart.ticks[round(x) - 1] if chart.ticks else ""
    along = word or f"{chart.x_label} {value_text(x)}".strip()
    return f"{line.label}: {along}; {chart.right_label if line.right else chart.y_label} {value_text(y)}"


def _at_ticks(chart: Chart, across: Axis, up: Axis, beside: Axis | None, right: float) -> Iterator[PlotText]:
    for tick in [] if chart.ticks else across.ticks:
        yield PlotText(across.at(tick), _BASE + 13, tick_text(tick), "middle", _SMALL, "tick")
    for place, word in enumerate(chart.ticks, 1):
        for row, part in enumerate(wrapped(word)):
            yield PlotText(across.at(place), _BASE + 12 + row * _LINE, part, "middle", _SMALL, "tick")
    for tick in up.ticks:
        yield PlotText(_LEFT - 5, up.at(tick) + 3.5, tick_text(tick), "end", _SMALL, "tick")
    if beside:
        for tick in beside.ticks:
            yield PlotText(right + 5, beside.at(tick) + 3.5, tick_text(tick), "start", _SMALL, "tick")


def _at_axes(chart: Chart, right: float) -> Iterator[PlotText]:
    middle = (_TOP + _BASE) / 2
    if chart.x_label:
        yield PlotText((_LEFT + right) / 2, HEIGHT - 8, f"{chart.x_label} →", "middle", _PLAIN, "axis")
    if chart.y_label:
        size = min(_PLAIN, (_BASE - _TOP) / (len(chart.y_label) * 0.54))
        yield PlotText(10, middle, f"{chart.y_label} →", "middle", size, "axis", turned=True)
    if chart.right_label:
        yield PlotText(WIDTH - 4, middle, chart.right_label, "middle", _PLAIN, "axis", turned=True)


def _across_the_field(mark: ChartMark, across: Axis, up: Axis, right: float) -> PlotMark:
    if mark.x is not None:
        return PlotMark(across.at(mark.x), _TOP, across.at(mark.x), _BASE)
    y = up.at(mark.y or 0.0)
    return PlotMark(_LEFT, y, right, y)


def _along(mark: PlotMark) -> list[Point]:
    """Places on a mark, near enough to one another that no word fits between."""
    return [
        (mark.x1 + (mark.x2 - mark.x1) * step / _STEPS, mark.y1 + (mark.y2 - mark.y1) * step / _STEPS)
        for step in range(_STEPS + 1)
    ]


def _at_mark(mark: ChartMark, across: Axis, up: Axis, right: float) -> Sequence[PlotText]:
    """Places for a mark's word, the best first."""
    if mark.x is None:
        y = up.at(mark.y or 0.0)
        ends: tuple[tuple[float, str], ...] = ((right - 4, "end"), (_LEFT + 4, "start"))
        return [PlotText(x, y + off, mark.label, anchor, _PLAIN, "mark") for off in (-4, 12) for x, anchor in ends]  # type: ignore[arg-type]
    x = across.at(mark.x)
    return [
        PlotText(x - 4 if anchor == "end" else x + 4, y, mark.label, anchor, _PLAIN, "mark")
        for y in (_TOP + 9, _BASE - 5, (_TOP + _BASE) / 2)
        for anchor in (("start", "end") if x < _LEFT + 60 else ("end", "start"))
    ]


def _box(area: ChartArea, across: Axis, up: Axis, right: float) -> PlotBox:
    left, far = sorted((across.at(area.x[0]), across.at(area.x[1])))
    top, foot = sorted((up.at(area.y[0]), up.at(area.y[1])))
    return PlotBox(left, top, min(far, right) - left, foot - top)


def _in_box(area: ChartArea, box: PlotBox) -> Sequence[PlotText]:
    return [
        PlotText(box.x + 4, box.y + 11, area.label, "start", _SMALL, "area"),
        PlotText(box.x + 4, box.y + box.height - 4, area.label, "start", _SMALL, "area"),
        PlotText(box.x + box.width - 4, box.y + 11, area.label, "end", _SMALL, "area"),
    ]


def _at_point(line: PlotLine) -> Sequence[PlotText]:
    """A single dot has its name beside it."""
    [(x, y)] = line.points
    return [
        PlotText(x + 7, y - 5, line.label, "start", _SMALL, "point"),
        PlotText(x - 7, y - 5, line.label, "end", _SMALL, "point"),
        PlotText(x + 7, y + 12, line.label, "start", _SMALL, "point"),
        PlotText(x - 7, y + 12, line.label, "end", _SMALL, "point"),
        PlotText(x, y - 14, line.label, "middle", _SMALL, "point"),
        PlotText(x, y + 20, line.label, "middle", _SMALL, "point"),
    ]
