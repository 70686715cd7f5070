"""Charts that compare amounts: bars side by side, and a mixture between its two ends."""

from dataclasses import dataclass

from chromata_core.declaration.names import QuantityName
from chromata_core.engine.context import Context
from chromata_core.telling.chart import Chart, ChartLine, Draws, axis


@dataclass(frozen=True, slots=True)
class Bars(Draws):
    """Quantities of one trial as bars. ``sentence`` has them, and those of ``words``, in braces, with their units."""

    key: str
    title: str
    quantities: tuple[QuantityName, ...]
    sentence: str
    words: tuple[str, ...] = ()

    def draw(self, at: Context) -> Chart | None:
        """The last trial in which all of those that exist are known."""
        here = {q.key: q for q in at.bound.quantities}
        wanted = [here[key] for key in self.quantities if key in here]
        for trial in reversed(at.trials()):
            values = [at.value(q.key, trial if q.scope == "trial" else None) for q in wanted]
            if wanted and all(value is not None for value in values):
                break
        else:
            return None
        sentence = self.sentence
        for quantity in [*wanted, *(here[key] for key in self.words)]:
            shown = at.figured(quantity, trial if quantity.scope == "trial" else None)
            sentence = sentence.replace(f"{{{quantity.key}}}", f"{shown.text} {shown.unit}")
        points = [(float(place), value or 0.0) for place, value in enumerate(values, 1)]
        return Chart(
            self.key, self.title, "", y_label=axis("", wanted[0].unit), sentence=sentence,
            lines=[ChartLine(at.trial_name(trial).capitalize(), "bars", points)], marks=[], areas=[],
            ticks=[quantity.label for quantity in wanted],
        )  # fmt: skip
