"""An instrument that was calibrated: its own corrections in place of a standard's tolerance."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from typing import Any

from chromata_core.errors import ReadingError
from chromata_core.instruments.catalogue import instrument
from chromata_core.instruments.instrument import ErrorTerm, Instrument


@dataclass(frozen=True, slots=True)
class CalibrationPoint:
    """At ``nominal`` the instrument really gives ``actual``, with standard uncertainty ``u``; in its unit."""

    nominal: float
    actual: float
    u: float


def calibrated(base: Instrument, slug: str, name: str, points: Sequence[CalibrationPoint], basis: str) -> Instrument:
    """``base`` with the calibration ``points``, called ``name``; ReadingError where they do not fit its scale.

    Between points the correction is interpolated, beyond them it stays. One u stands for all: the largest, a normal
    distribution, shared by every reading because one calibration is behind them all.
    """
    if not points:
        raise ReadingError("A calibration needs at least one point: a nominal volume with what was really delivered.")
    inside = [float(base.low) <= point.nominal <= float(base.high) for point in points]
    if not all(inside):
        raise ReadingError(f"A calibration point lies outside {base.low} to {base.high} {base.unit}, its scale.")
    ordered = sorted(points, key=lambda point: point.nominal)
    measured = ErrorTerm(
        f"{base.kind.capitalize()} calibration, measured", "tolerance", repr(max(p.u for p in points)), "normal",
        shared=True, on_delivery=any(term.on_delivery for term in base.errors), basis=basis,
    )  # fmt: skip
    others = tuple(term for term in base.errors if term.kind != "tolerance")
    corrections = tuple((point.nominal, point.actual - point.nominal) for point in ordered)
    return replace(
        base, slug=slug, short=name, label=f"the {base.kind} “{name}”", errors=(measured, *others),
        corrections=corrections,
    )  # fmt: skip


def thawed(slug: str, kept: Mapping[str, Any]) -> Instrument:
    """The instrument ``slug`` from plain data: base, name, points and source, as a session or a file keeps it."""
    points = [CalibrationPoint(**point) for point in kept["points"]]
    return calibrated(instrument(kept["base"]), slug, kept["name"], points, kept["source"])
