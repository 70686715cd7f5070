"""Charts on paper: a plot as the core laid it out, put into SVG; a square as a table."""

from django import template
from django.utils.html import format_html, format_html_join
from django.utils.safestring import SafeString

from chromata_core.telling.chart import Chart, Square, SquareCell
from chromata_core.telling.plot import Plot, PlotLine, PlotText

register = template.Library()

_INK, _SOFT, _RULE, _FIELD, _SHEET = "#1C2530", "#566071", "#CFC8BA", "#E2F2E8", "#FFFFFF"
_INKS = {"tick": _SOFT, "axis": _SOFT, "mark": _INK, "area": "#1F6B43", "point": _INK}
# Lines that share a chart are told apart by their stroke, not by colour alone; as on the screen.
_DASHES = ("none", "6 3", "2 3", "8 3 2 3")
_STROKE = '<line x1="{}" y1="{}" x2="{}" y2="{}" stroke="{}" stroke-width="{}" stroke-dasharray="{}"/>'


_BOX = '<rect x="{}" y="{}" width="{}" height="{}" fill="{}"/>'


def _places(distance: float) -> str:
    """A tenth of a unit of the page is finer than any printer."""
    return f"{distance:.1f}"


@register.simple_tag
def chart_svg(chart: Chart, colour: str) -> SafeString:
    """``chart`` as it is seen on the screen."""
    if chart.square:
        return _table(chart.square)
    return _svg(chart.plot, colour) if chart.plot else SafeString()


def _svg(plot: Plot, colour: str) -> SafeString:
    left, _, right, base = plot.frame
    parts = [
        *(format_html(_BOX, *map(_places, (box.x, box.y, box.width, box.height)), _FIELD) for box in plot.boxes),
        *(_stroke(left, y, right, y, _RULE, 0.6) for y in plot.rules),
        _stroke(left, base, right, base, _SOFT, 0.6),
        *(_line(line, colour) for line in sorted(plot.lines, key=lambda line: not line.beside)),
        *(_stroke(mark.x1, mark.y1, mark.x2, y2=mark.y2, ink=_INK, width=1, dash="4 3") for mark in plot.marks),
        *(_words(text) for text in plot.texts),
    ]  # fmt: skip
    body = format_html_join("", "{}", ((part,) for part in parts))
    picture = format_html(
        '<svg viewBox="0 0 {} {}" style="width: 120mm; font-family: Hyperlegible">{}</svg>',
        plot.width,
        _places(plot.height),
        body,
    )
    return picture + (_names(plot.lines, colour) if plot.named else SafeString())


def _stroke(x1: float, y1: float, x2: float, y2: float, ink: str, width: float, dash: str = "none") -> SafeString:
    return format_html(_STROKE, *map(_places, (x1, y1, x2, y2)), ink, width, dash)


def _line(line: PlotLine, colour: str) -> SafeString:
    ink = _RULE if line.beside else _SOFT if line.style == "path" else colour
    if line.style == "bars":
        bars = (_stroke(x, line.foot, x, y, ink, line.size) for x, y in line.points)
        return format_html_join("", "{}", ((bar,) for bar in bars))
    dash = "none" if line.style == "path" else _DASHES[line.number % len(_DASHES)]
    joined = " ".join(f"{_places(x)},{_places(y)}" for x, y in line.points)
    path = format_html(
        '<polyline points="{}" fill="none" stroke="{}" stroke-width="1.5" stroke-dasharray="{}"/>', joined, ink, dash
    )
    inside = _SHEET if line.number % 2 else ink
    dots = format_html_join(
        "", '<circle cx="{}" cy="{}" r="{}" fill="{}" stroke="{}"/>',
        ((_places(x), _places(y), _places(line.size * 0.7), inside, ink) for x, y in line.points),
    )  # fmt: skip
    return dots if line.style == "dots" else path if line.style == "path" else path + dots


def _words(text: PlotText) -> SafeString:
    at = (_places(text.x), _places(text.y))
    place = format_html('transform="translate({} {}) rotate(-90)"' if text.turned else 'x="{}" y="{}"', *at)
    return format_html(
        '<text {} font-size="{}" text-anchor="{}" fill="{}">{}</text>',
        place, _places(text.size), text.anchor, _INKS[text.role], text.text,
    )  # fmt: skip


def _names(lines: list[PlotLine], colour: str) -> SafeString:
    """Each line's name behind a piece of it."""
    rows = ((_line(_sample(line), colour), line.label) for line in lines)
    return format_html(
        '<div class="small">{}</div>',
        format_html_join(" ", '<span><svg viewBox="0 0 30 10" style="width: 9mm">{}</svg> {}</span>', rows),
    )


def _sample(line: PlotLine) -> PlotLine:
    across = [(15.0, 3.0)] if line.style in ("bars", "dots") else [(5.0, 5.0), (25.0, 5.0)]
    style = "bars" if line.style == "bars" else line.style
    return PlotLine(
        line.label,
        style,
        line.number,
        points=across,
        values=[],
        foot=10.0,
        size=min(line.size, 5.0),
        beside=line.beside,
    )


def _table(square: Square) -> SafeString:
    by_place = {(cell.row, cell.column): cell for cell in square.cells}
    heads = format_html_join("", "<th>{}</th>", ((head,) for head in square.heads))
    rows = (
        (
            head,
            format_html_join("", "<td>{}</td>", ((_cell(by_place.get((at, to))),) for to in range(len(square.heads)))),
        )
        for at, head in enumerate(square.heads)
    )
    body = format_html_join("", "<tr><th>{}</th>{}</tr>", rows)
    return format_html(
        '<table class="square"><tr><td class="small soft">{}</td>{}</tr>{}</table>', square.corner, heads, body
    )


def _cell(cell: SquareCell | None) -> SafeString:
    if cell is None or cell.shown is None:
        return SafeString("")
    value = format_html("<s>{}</s>" if cell.void else "{}", cell.shown.text)
    return format_html('{}<div class="small soft">{}</div>', value, cell.note)
