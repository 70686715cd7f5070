"""Cells of pairs of metals as a square: measured on one side of the diagonal, expected on the other."""

from collections.abc import Sequence

from chromata_core.chemistry.standard_potentials import METALS, MetalPair
from chromata_core.engine.context import Context
from chromata_core.engine.shown import Shown
from chromata_core.judging.finding import Finding, gravest
from chromata_core.quantity.rounding import plain
from chromata_core.telling.outcome import PairCell, PairMatrix


def pair_matrix(at: Context, findings: Sequence[Finding]) -> PairMatrix | None:
    """Every pair of the plan with what its trial's first reading shows; None for methods without pairs."""
    pairs = at.bound.pairs
    reading = next((one for one in at.bound.readings if one.scope == "trial"), None)
    if not pairs or reading is None:
        return None
    metals = list(dict.fromkeys(metal for pair in pairs for metal in (pair.plus, pair.minus)))
    cells = [_cell(at, reading.key, at.last_try(n), pair, findings) for n, pair in enumerate(pairs, 1)]
    return PairMatrix(reading.key, reading.label, reading.unit, metals, [METALS[metal] for metal in metals], cells)


def _cell(at: Context, key: str, trial: int, pair: MetalPair, findings: Sequence[Finding]) -> PairCell:
    typed = at.typed(key, trial)
    worst = gravest([f for f in findings if f.trial == trial and f.key in (key, "") and f.level != "keep"])
    level = worst.level if worst else "keep"
    standard = plain(pair.potential, 3)
    if typed is None:
        return PairCell(trial, pair.plus, pair.minus, None, standard, "", "", level, False)
    volts = float(typed.value)
    percent = (volts - pair.potential) / pair.potential * 100 if pair.potential else 0.0
    off = f"{'+' if percent >= 0.5 else ''}{plain(percent, 0)} %"
    return PairCell(
        trial, pair.plus, pair.minus, Shown(typed.text, 1, at.instrument(key).unit), standard, off,
        pair.plus if volts >= 0 else pair.minus, level, trial in at.computed.voided,
    )  # fmt: skip
