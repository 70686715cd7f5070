"""Charts that compare amounts: bars side by side, and a mixture between its two ends."""

from dataclasses import dataclass

from chromata_core.declaration.names import QuantityName
from chromata_core.engine.context import Context
from chromata_core.telling.chart import Chart, ChartArea, ChartLine, ChartMark, Draws, axis


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
        said = self.sentence
        for quantity in [*wanted, *(here[key] for key in self.words)]:
            shown = at.figured(quantity, trial if quantity.scope == "trial" else None)
            said = said.replace(f"{{{quantity.key}}}", f"{shown.text} {shown.unit}")
        points = [(float(place), value or 0.0) for place, value in enumerate(values, 1)]
        return Chart(
            self.key, self.title, "", axis("", wanted[0].unit), said,
            [ChartLine(at.trial_name(trial).capitalize(), "bars", points)], [], [],
            ticks=[(float(place), quantity.label) for place, quantity in enumerate(wanted, 1)],
        )  # fmt: skip


@dataclass(frozen=True, slots=True)
class Between(Draws):
    """What a mixture can give, from one pure end to the other, and where each trial lies."""

    key: str
    title: str
    amount: QuantityName
    share: QuantityName
    low: QuantityName
    high: QuantityName
    mixture: str

    def draw(self, at: Context) -> Chart | None:
        """From the first trial whose amount is known; each is drawn on the scale of its own two ends."""
        amount, share = at.quantity(self.amount), at.quantity(self.share)
        found = []
        for trial in at.trials(valid=False):
            values = [at.value(key, trial) for key in (self.amount, self.low, self.high)]
            n, low, high = (value or 0.0 for value in values)
            if None not in values and high > low:
                found.append((trial, n, low, high))
        if not found:
            return None
        lines = [
            ChartLine(at.trial_name(t).capitalize(), "dots", [(n, 100 * (n - low) / (high - low))])
            for t, n, low, high in found
        ]
        trial, n, low, high = found[-1]
        inside = "inside" if low <= n <= high else "outside"
        said = (
            f"{at.trial_name(trial).capitalize()}: {at.said(self.amount, n)}, {inside} the {at.said(self.low, low)} to "
            f"{at.said(self.high, high)} that {self.mixture} of this mass can give."
        )
        ends = ChartLine("Mixtures", "path", [(low, 0.0), (high, 100.0)])
        return Chart(
            self.key, self.title, axis(amount.label, amount.unit), axis(share.label, share.unit), said, [ends, *lines],
            [ChartMark("least", x=low), ChartMark("most", x=high)], [ChartArea("possible", (low, high), (0.0, 100.0))],
        )  # fmt: skip
