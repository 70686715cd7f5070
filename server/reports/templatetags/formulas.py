"""Formulas on paper: the MathML of the core with no more elements than what sets it needs, each of which takes time."""

from functools import lru_cache
from xml.etree.ElementTree import Element, fromstring  # of the core’s own making

from django import template
from django.utils.html import escape
from django.utils.safestring import SafeString, mark_safe

register = template.Library()

# What must stay one element, because another is set by its place.
_BY_PLACE = ("mfrac", "msub", "msup")
_PLAIN = ("mrow", "mn", "mo")
_THIN = "\u2009"


@register.filter
def on_paper(formula: str) -> SafeString:
    """``formula``, MathML without its outermost element, for a ``math`` of the paper."""
    return mark_safe(_set(formula))


@lru_cache(maxsize=4096)
def _set(formula: str) -> str:
    return "".join(_plain(element) for element in fromstring(f"<math>{formula}</math>"))


def _plain(node: Element, kept: bool = False) -> str:
    inside = escape(node.text or "") + "".join(_plain(element, node.tag in _BY_PLACE) for element in node)
    if node.tag in _PLAIN and not kept:
        sign = node.tag == "mo" and inside not in "()"
        return f"{_THIN}{inside}{_THIN}" if sign else inside
    upright = ' mathvariant="normal"' if node.get("mathvariant") else ""
    return f"<{node.tag}{upright}>{inside}</{node.tag}>"
