"""Words for a run that must come out before the next may begin, and for a mixture between two pure metals."""

from collections.abc import Iterator
from dataclasses import dataclass

from chromata_core.declaration.names import NumberName, QuantityName, SeriesName
from chromata_core.declaration.vocabulary import Series
from chromata_core.engine.context import Context
from chromata_core.judging.finding import Finding
from chromata_core.judging.shapes import Ends, Looks
from chromata_core.telling.chart import Chart, ChartArea, ChartLine, ChartMark, Draws, axis


@dataclass(frozen=True, slots=True)
class ComesOut(Ends):
    """Made again until ``quantity``, worked from the last of them, lies between two options (its unit); after as many
    times as the option ``most`` says the work goes on without.
    """

    quantity: QuantityName
    low: NumberName
    high: NumberName
    most: NumberName
    words: str = "until it comes out as predicted"

    @property
    def options(self) -> tuple[str, ...]:
        """Both limits and the most."""
        return (self.low, self.high, self.most)

    def met(self, at: Context, key: str, trial: int | None) -> bool:
        """Whether the last one is good enough, or the last that is asked for."""
        return self.good(at, trial) or len(at.bound.series(key, trial)) >= at.number(self.most)

    def good(self, at: Context, trial: int | None) -> bool:
        """Whether it came out."""
        value = at.value(self.quantity, trial, at.bound.declared(self.quantity).unit)
        return value is not None and float(at.number(self.low)) <= value <= float(at.number(self.high))


@dataclass(frozen=True, slots=True)
class GateOpen(Looks):
    """The series that must come out before the work may go on: says so, each time and at the end."""

    last: SeriesName
    why: str
    do: str

    def look(self, at: Context) -> Iterator[Finding]:
        """One finding at the last row, while the gate is shut or was opened without success."""
        reading = at.reading(self.last)
        assert isinstance(reading, Series)
        gate = at.reading(reading.beside)
        assert isinstance(gate, Series) and isinstance(gate.until, ComesOut)
        readings, value = at.bound.series(self.last, None), at.value(gate.until.quantity, None)
        if not readings or value is None:
            return
        amount = at.said(gate.until.quantity, value)
        if gate.until.good(at, None):
            yield Finding(
                "gate",
                "keep",
                f"{amount}: as predicted. Go on.",
                "",
                "",
                key=self.last,
                trial=None,
                index=len(readings),
            )
            return
        over = gate.until.met(at, gate.key, None)
        do = "The plan goes on: say in the conclusion that it never came out." if over else self.do
        yield Finding(
            "gate", "look" if over else "repeat", f"{amount} of what was predicted.",
            f"{self.why} {at.number(gate.until.low)} to {at.number(gate.until.high)} % is asked for.", do,
            key=self.last, trial=None, index=len(readings), word="Show me the joints, and the clamp.",
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
        points = []
        for trial in at.trials(valid=False):
            values = [at.value(key, trial) for key in (self.amount, self.low, self.high)]
            n, low, high = (value or 0.0 for value in values)
            if None not in values and high > low:
                points.append((trial, n, low, high))
        if not points:
            return None
        lines = [
            ChartLine(at.trial_name(t).capitalize(), "dots", [(n, 100 * (n - low) / (high - low))])
            for t, n, low, high in points
        ]
        trial, n, low, high = points[-1]
        inside = "inside" if low <= n <= high else "outside"
        sentence = (
            f"{at.trial_name(trial).capitalize()}: {at.said(self.amount, n)}, {inside} the {at.said(self.low, low)} to "
            f"{at.said(self.high, high)} that {self.mixture} of this mass can give."
        )
        ends = ChartLine("Mixtures", "path", [(low, 0.0), (high, 100.0)])
        return Chart(
            self.key, self.title, axis(amount.label, amount.unit), y_label=axis(share.label, share.unit), sentence=sentence, lines=[ends, *lines],
            marks=[ChartMark("least", x=low), ChartMark("most", x=high)], areas=[ChartArea("possible", (low, high), (0.0, 100.0))],
        )  # fmt: skip
