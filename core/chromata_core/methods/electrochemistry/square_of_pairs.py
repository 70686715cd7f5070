"""Cells of pairs of metals as a square: measured on one side of the diagonal, expected on the other."""

from dataclasses import dataclass

from chromata_core.chemistry.standard_potentials import METALS, MetalPair
from chromata_core.declaration.names import ReadingName
from chromata_core.engine.context import Context
from chromata_core.engine.shown import Shown
from chromata_core.judging.answers import asked_still
from chromata_core.judging.find import find
from chromata_core.judging.finding import Finding, gravest
from chromata_core.methods.electrochemistry.pairs_option import pairs_of
from chromata_core.quantity.rounding import plain
from chromata_core.quantity.units import unit
from chromata_core.telling.chart import Chart, Draws, Square, SquareCell

_CORNER = "red ↓ black →"


@dataclass(frozen=True, slots=True)
class SquareOfPairs(Draws):
    """Every pair of the plan: what was read, with the metal that is the cathode; and its standard value."""

    key: str
    title: str
    reading: ReadingName

    def draw(self, at: Context) -> Chart | None:
        """From the start on: what is still to be measured is seen in it."""
        pairs, reading = pairs_of(at), at.reading(self.reading)
        if not pairs or reading is None:
            return None
        metals, findings = list(dict.fromkeys(m for pair in pairs for m in (pair.plus, pair.minus))), find(at)
        cells = [
            cell for n, pair in enumerate(pairs, 1) for cell in self._cells(at, at.last_try(n), pair, metals, findings)
        ]
        square = Square(self.reading, _CORNER, metals, [METALS[metal] for metal in metals], cells)
        sentence = (
            f"Red in the row, black in the column: {reading.label.lower()}, {reading.unit}, and the metal that is the "
            "cathode (+). The other way round, pale: the standard value, and how far off."
        )
        return Chart(
            self.key,
            self.title,
            "",
            y_label=reading.unit,
            sentence=sentence,
            lines=[],
            marks=[],
            areas=[],
            square=square,
        )

    def _cells(
        self, at: Context, trial: int, pair: MetalPair, metals: list[str], findings: list[Finding]
    ) -> tuple[SquareCell, SquareCell]:
        """What was read of a pair, and what is expected of it."""
        typed, row, column = at.typed(self.reading, trial), metals.index(pair.plus), metals.index(pair.minus)
        tool = at.instrument(self.reading)
        worst = gravest([f for f in findings if f.trial == trial and f.key in (self.reading, "") and f.level != "keep"])
        name = f"Red at {pair.plus}, black at {pair.minus}"
        standard = Shown(plain(unit(tool.unit).from_si(pair.potential), tool.decimals), 0, tool.unit)
        level = worst.level if worst else "keep"
        volts = at.read_in("V", self.reading, trial)
        if typed is None or volts is None:
            read = SquareCell(row, column, trial, shown=None, note="", name=name, level=level)
            return read, SquareCell(column, row, trial, standard, "", f"Standard value of {name}", expected=True)
        percent = (volts - pair.potential) / pair.potential * 100 if pair.potential else 0.0
        off = f"{'+' if percent >= 0.5 else ''}{plain(percent, 0)} %"
        pole = "" if asked_still(at, trial) else f"{pair.plus if volts >= 0 else pair.minus} +"
        read = SquareCell(
            row, column, trial, shown=Shown(typed.text, 1, tool.unit), note=pole,
            name=f"{name}: {typed.text}", level=level, void=trial in at.computed.voided,
        )  # fmt: skip
        return read, SquareCell(column, row, trial, standard, off, f"Standard value of {name}", expected=True)
