"""Charts of cells: every pair beside its standard value, and the ladder of half-cells."""

from dataclasses import dataclass

from chromata_core.chemistry.standard_potentials import METALS, metal_potential
from chromata_core.declaration.names import ReadingName
from chromata_core.engine.context import Context
from chromata_core.judging.answers import asked_still
from chromata_core.methods.electrochemistry.cell_checks import measured, rungs
from chromata_core.methods.electrochemistry.pairs_option import pairs_of
from chromata_core.quantity.rounding import plain
from chromata_core.telling.chart import Chart, ChartLine, ChartMark, Draws, Statistic, with_u, without_u


@dataclass(frozen=True, slots=True)
class PairsOfMetals(Draws):
    """Each pair's potential as a bar with its sign, the standard value as a dot; says which metal is which pole."""

    key: str
    title: str
    reading: ReadingName

    def draw(self, at: Context) -> Chart | None:
        """From the first pair on."""
        planned, done = list(enumerate(pairs_of(at), 1)), measured(at, self.reading)
        if not done:
            return None
        poles = ", ".join(
            f"{METALS[pair.plus if volts >= 0 else pair.minus]} over {METALS[pair.minus if volts >= 0 else pair.plus]}"
            for n, pair, volts in done
            if not asked_still(at, at.last_try(n))
        )
        return Chart(
            self.key, self.title, "", y_label="V", sentence=f"Cathode over anode: {poles}." if poles else "",
            lines=[
                ChartLine("Measured", "bars", [(float(n), volts) for n, _, volts in done]),
                ChartLine("Standard value", "dots", [(float(n), pair.potential) for n, pair in planned]),
            ],
            marks=[], areas=[],
            ticks=[f"{pair.plus}–{pair.minus}" for _, pair in planned],
        )  # fmt: skip


@dataclass(frozen=True, slots=True)
class LadderOfHalfCells(Draws):
    """The half-cells as rungs, by least squares from all pairs, beside the series of standard potentials."""

    key: str
    title: str
    reading: ReadingName

    def draw(self, at: Context) -> Chart | None:
        """As soon as the measured pairs connect all metals; the last metal stands at its standard value."""
        ladder = rungs(at, self.reading)
        if ladder is None:
            return None
        foot = metal_potential(pairs_of(at)[-1].minus)
        order = sorted(ladder.potentials, key=ladder.potentials.__getitem__, reverse=True)
        shown = {metal: ladder.potentials[metal] + foot for metal in order}
        sentence = ", ".join(f"{metal} {plain(shown[metal], 3)}" for metal in order)
        fit = f" The pairs fit it within {plain(ladder.s, 3)} V." if len(ladder.residuals) >= len(order) else ""
        return Chart(
            self.key, self.title, "", y_label="V against the standard hydrogen electrode", sentence=f"From above: {sentence} V.{fit}",
            lines=[ChartLine(metal, "line", [(1.0, shown[metal]), (2.0, metal_potential(metal))]) for metal in order],
            marks=[], areas=[], ticks=["measured here", "standard values"],
        )  # fmt: skip

    def statistics(self, at: Context) -> list[Statistic]:
        """Every half-cell against the one at the foot, and what is left over where more pairs than needed were read."""
        ladder = rungs(at, self.reading)
        if ladder is None:
            return []
        foot = pairs_of(at)[-1].minus
        spare = len(ladder.residuals) - len(ladder.potentials) + 1
        rising = sorted(ladder.potentials.items(), key=lambda rung: -rung[1])
        told = [
            with_u(self.title, f"{metal} against {foot}", volts, ladder.u[metal], "V")
            if spare
            else Statistic(self.title, f"{metal} against {foot}", volts, "V", f"{plain(volts, 3)} V")
            for metal, volts in rising
            if metal != foot
        ]
        if spare:
            told.append(without_u(self.title, "Residual standard deviation", ladder.s, "V"))
            told.append(Statistic(self.title, "Degrees of freedom", float(spare), "", str(spare)))
        return told


@dataclass(frozen=True, slots=True)
class PairResiduals(Draws):
    """How far each pair stands off the ladder of all: one bad contact stands out."""

    key: str
    title: str
    reading: ReadingName

    def draw(self, at: Context) -> Chart | None:
        """Where more pairs were measured than the ladder needs."""
        ladder = rungs(at, self.reading)
        if ladder is None or len(ladder.residuals) < len(ladder.potentials):
            return None
        left = [(float(n), value) for n, value in enumerate(ladder.residuals.values(), 1)]
        (plus, minus), off = max(ladder.residuals.items(), key=lambda item: abs(item[1]))
        return Chart(
            self.key, self.title, "", y_label="measured − ladder, V", sentence=f"The largest is {plain(off, 3)} V, {plus}–{minus}.",
            lines=[ChartLine("Residual", "bars", left)], marks=[ChartMark("ladder", y=0.0)], areas=[],
            ticks=[f"{a}–{b}" for a, b in ladder.residuals],
        )  # fmt: skip
