"""Drawings of how hands do something, on paper: in one ink, with greys for what is in the glass."""

from django import template
from django.utils.html import format_html, format_html_join
from django.utils.safestring import SafeString

from chromata_core.apparatus.scene import MoveDrawn, SceneDrawn
from chromata_core.apparatus.things import Paint, Pen

register = template.Library()

_FILLS: dict[Paint, str] = {
    "": "none", "water": "#EEEEEE", "colour": "#C9C9C9", "deep": "#8C8C8C", "acid": "#DADADA", "solid": "#B4B4B4",
    "metal": "#9A9A9A", "other metal": "#6E6E6E", "flame": "#A8A8A8", "sheet": "#FFFFFF", "skin": "#F4F4F4",
    "stopper": "#D4D4D4", "pink": "#E6E6E6", "magenta": "#8C8C8C", "red": "#9C9C9C", "orange": "#B4B4B4",
    "yellow": "#DCDCDC", "green": "#A8A8A8", "blue": "#949494", "violet": "#848484",
}  # fmt: skip
_PENS: dict[Pen, tuple[str, float, str]] = {
    "": ("none", 0, "none"), "line": ("#1C2530", 2, "none"), "fine": ("#566071", 1, "none"),
    "dashed": ("#566071", 1.2, "4 3"), "accent": ("#1C2530", 1.6, "none"), "warn": ("#1C2530", 2.2, "none"),
    "heavy": ("#1C2530", 4, "none"),
}  # fmt: skip
_PATH = (
    '<path d="{}" fill="{}" stroke="{}" stroke-width="{}" stroke-dasharray="{}" stroke-linejoin="round" '
    'stroke-linecap="round"/>'
)


@register.simple_tag
def move_svg(move: MoveDrawn, scene: SceneDrawn) -> SafeString:
    """``move`` as it is seen on the screen, in greys."""
    paths = format_html_join("", _PATH, ((shape.path, _FILLS[shape.fill], *_PENS[shape.pen]) for shape in move.shapes))
    words = format_html_join(
        "", '<text x="{}" y="{}" font-size="{}" text-anchor="{}" font-weight="{}">{}</text>',
        (
            (word.x, word.y, word.size, word.anchor, 700 if word.tone in ("accent", "warn") else 400, word.text)
            for word in move.words
        ),
    )  # fmt: skip
    size = (scene.width, scene.height)
    return format_html(
        '<svg viewBox="0 0 {} {}" style="width: 100%; font-family: Hyperlegible">{}{}</svg>', *size, paths, words
    )
