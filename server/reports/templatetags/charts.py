"""Charts on paper: the core's points, marks and fields as SVG, without knowing what they mean."""

from collections.abc import Callable, Iterable
from math import floor, log10

from django import template
from django.utils.html import format_html, format_html_join
from django.utils.safestring import SafeString

from chromata_core.telling.chart import Chart, ChartLine

register = template.Library()

_WIDTH, _HEIGHT, _LEFT, _RIGHT, _TOP, _BOTTOM = 420.0, 210.0, 50.0, 12.0, 10.0, 34.0
_INK, _SOFT, _RULE, _FIELD = "#1C2530", "#566071", "#CFC8BA", "#E2F2E8"
Place = Callable[[float], float]


@register.simple_tag
def chart_svg(chart: Chart, colour: str) -> SafeString:
    """``chart`` as an SVG picture; what has a scale of its own on the right is drawn by its shape alone."""
    left = [line for line in chart.lines if not line.right]
    xs = [x for line in chart.lines for x, _ in line.points] + [x for area in chart.areas for x in area.x]
    ys = [y for line in left for _, y in line.points] + [y for area in chart.areas for y in area.y]
    ys += [mark.y for mark in chart.marks if mark.y is not None]
    ys += [0.0 for line in left if line.style == "bars"]
    wide = [0.3, len(chart.ticks) + 0.7] if chart.ticks else [*xs, *(m.x for m in chart.marks if m.x is not None)]
    across, x_ticks = _axis(wide, _LEFT, _WIDTH - _RIGHT)
    up, y_ticks = _axis(ys, _HEIGHT - _BOTTOM, _TOP)
    parts = [
        *(_area(across, up, area.x, area.y) for area in chart.areas),
        *(_grid(across, up, [] if chart.ticks else x_ticks, y_ticks)),
        *(_bars(across, line) for line in chart.lines if line.right),
        *(_standing(across, up, line, colour) for line in left if line.style == "bars"),
        *(_trace(across, up, line, colour) for line in left if line.style != "bars"),
        *(_mark(across(mark.x), mark.label) for mark in chart.marks if mark.x is not None),
        *(_level(up(mark.y), mark.label) for mark in chart.marks if mark.y is not None),
        *(_named(across(x), word) for x, word in chart.ticks),
        _words(chart),
    ]
    body = format_html_join("", "{}", ((part,) for part in parts))
    return format_html('<svg viewBox="0 0 {} {}" style="width: 120mm">{}</svg>', _WIDTH, _HEIGHT, body)


def _axis(values: Iterable[float], start: float, end: float) -> tuple[Place, list[float]]:
    """Where a value stands between ``start`` and ``end``, and about five round ticks."""
    found = list(values)
    low, high = min(found), max(found)
    air = (high - low or abs(high) or 1.0) * 0.06
    low, high = low - air, high + air
    step = _round_step((high - low) / 5)
    first = floor(low / step) + 1
    ticks = [n * step for n in range(first, first + 12) if n * step <= high]
    return lambda value: start + (value - low) / (high - low) * (end - start), ticks


def _round_step(rough: float) -> float:
    power = 10.0 ** floor(log10(rough))
    lead = rough / power
    return float(power * (1 if lead < 1.5 else 2 if lead < 2.8 else 5 if lead < 7 else 10))


def _grid(across: Place, up: Place, x_ticks: list[float], y_ticks: list[float]) -> list[SafeString]:
    text = '<text x="{}" y="{}" font-size="9" fill="{}" text-anchor="{}">{}</text>'
    base = _HEIGHT - _BOTTOM
    line = '<line x1="{}" x2="{}" y1="{}" y2="{}" stroke="{}" stroke-width=".6"/>'
    return [
        *(format_html(line, _LEFT, _WIDTH - _RIGHT, f"{up(y):.1f}", f"{up(y):.1f}", _RULE) for y in y_ticks),
        *(format_html(text, _LEFT - 4, f"{up(y) + 3:.1f}", _SOFT, "end", f"{y:.6g}") for y in y_ticks),
        *(format_html(text, f"{across(x):.1f}", base + 12, _SOFT, "middle", f"{x:.6g}") for x in x_ticks),
        format_html(line, _LEFT, _WIDTH - _RIGHT, base, base, _SOFT),
    ]


def _trace(across: Place, up: Place, line: ChartLine, colour: str) -> SafeString:
    at = [(f"{across(x):.1f}", f"{up(y):.1f}") for x, y in line.points]
    dots = format_html_join("", '<circle cx="{}" cy="{}" r="2.2" fill="{}"/>', ((x, y, colour) for x, y in at))
    if line.style == "dots":
        return dots
    path = " ".join(",".join(pair) for pair in at)
    if line.style == "path":
        return format_html('<polyline points="{}" fill="none" stroke="{}" stroke-width="1.3"/>', path, _SOFT)
    return format_html('<polyline points="{}" fill="none" stroke="{}" stroke-width="1.3"/>{}', path, colour, dots)


def _bars(across: Place, line: ChartLine) -> SafeString:
    base, most = _HEIGHT - _BOTTOM, max(abs(y) for _, y in line.points) or 1.0
    bar = '<line x1="{0}" x2="{0}" y1="{1}" y2="{2}" stroke="{3}" stroke-width="2.4"/>'
    rows = ((f"{across(x):.1f}", base, f"{base - abs(y) / most * (base - _TOP):.1f}", _RULE) for x, y in line.points)
    return format_html_join("", bar, rows)


def _standing(across: Place, up: Place, line: ChartLine, colour: str) -> SafeString:
    bar = '<line x1="{0}" x2="{0}" y1="{1}" y2="{2}" stroke="{3}" stroke-width="14"/>'
    rows = ((f"{across(x):.1f}", f"{up(0):.1f}", f"{up(y):.1f}", colour) for x, y in line.points)
    return format_html_join("", bar, rows)


def _level(y: float, label: str) -> SafeString:
    line = '<line x1="{}" x2="{}" y1="{}" y2="{}" stroke="{}" stroke-dasharray="4 3"/>'
    text = '<text x="{}" y="{}" font-size="9" text-anchor="end" fill="{}">{}</text>'
    drawn = format_html(line, _LEFT, _WIDTH - _RIGHT, f"{y:.1f}", f"{y:.1f}", _INK)
    return drawn + format_html(text, _WIDTH - _RIGHT - 3, f"{y - 3:.1f}", _INK, label)


def _named(x: float, word: str) -> SafeString:
    text = '<text x="{}" y="{}" font-size="7.5" fill="{}" text-anchor="middle">{}</text>'
    return format_html(text, f"{x:.1f}", _HEIGHT - _BOTTOM + 12, _SOFT, word)


def _area(across: Place, up: Place, x: tuple[float, float], y: tuple[float, float]) -> SafeString:
    left, right, top, bottom = across(x[0]), min(across(x[1]), _WIDTH - _RIGHT), up(y[1]), up(y[0])
    box = '<rect x="{}" y="{}" width="{}" height="{}" fill="{}"/>'
    return format_html(box, f"{left:.1f}", f"{top:.1f}", f"{right - left:.1f}", f"{bottom - top:.1f}", _FIELD)


def _mark(x: float, label: str) -> SafeString:
    line = '<line x1="{0}" x2="{0}" y1="{1}" y2="{2}" stroke="{3}" stroke-dasharray="4 3"/>'
    text = '<text x="{}" y="{}" font-size="9" text-anchor="end" fill="{}">{}</text>'
    drawn = format_html(line, f"{x:.1f}", _TOP, _HEIGHT - _BOTTOM, _INK)
    return drawn + format_html(text, f"{x - 4:.1f}", _TOP + 9, _INK, label)


def _words(chart: Chart) -> SafeString:
    middle = (_TOP + _HEIGHT - _BOTTOM) / 2
    across = '<text x="{}" y="{}" font-size="9.5" fill="{}" text-anchor="middle">{}</text>'
    turned = '<text transform="translate(9 {}) rotate(-90)" font-size="9.5" fill="{}" text-anchor="middle">{}</text>'
    return format_html(across, (_LEFT + _WIDTH - _RIGHT) / 2, _HEIGHT - 6, _SOFT, chart.x_label) + format_html(
        turned, middle, _SOFT, chart.y_label
    )
