"""Numbers on paper: the doubtful end is lighter and dotted underneath."""

from django import template
from django.utils.html import format_html
from django.utils.safestring import SafeString

from chromata_core.engine.shown import Shown
from chromata_core.quantity.rounding import with_figures
from chromata_core.telling.outcome import ReadingOut, TrialOut

register = template.Library()


@register.filter
def figure(shown: Shown) -> SafeString:
    """A number with its doubtful digits marked; words stay words."""
    sure, doubtful, power = shown.parts
    if not doubtful:
        return format_html("{}{}", sure, power)
    return format_html('<span class="n">{}<span class="d">{}</span>{}</span>', sure, doubtful, power)


@register.filter
def figures(value: float) -> str:
    """A number with two significant figures."""
    return with_figures(value, 2)


@register.filter
def made_in(reading: ReadingOut, trial: TrialOut) -> ReadingOut | None:
    """The same reading in another trial, if it was made there."""
    return next((taken for taken in trial.readings if (taken.key, taken.index) == (reading.key, reading.index)), None)
