"""An instrument that was calibrated: its own corrections in place of a standard's tolerance."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, fields, replace
from typing import Any

from chromata_core.errors import ReadingError
from chromata_core.instruments.catalogue import instrument
from chromata_core.instruments.instrument import ErrorTerm, Instrument
from chromata_core.instruments.own import own_instrument, own_scale
from chromata_core.quantity.given import finite


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
    """The instrument ``slug`` from plain data, as a session or a file keeps it: base, name, points and source of one that
    was calibrated, or ``own``, what its owner says of it.
    """
    if isinstance(kept, Mapping) and set(kept) == {"own"}:
        return own_instrument(slug, own_scale(kept["own"]))
    if not isinstance(kept, Mapping) or set(kept) != _PARTS or not isinstance(kept["points"], list):
        raise ReadingError(f"The calibration “{slug}” needs {', '.join(sorted(_PARTS))}, and nothing else.")
    if not all(isinstance(kept[part], str) for part in _PARTS - {"points"}):
        raise ReadingError(f"The calibration “{slug}” needs texts in quotes for base, name and source.")
    points = [_point(slug, point) for point in kept["points"]]
    return calibrated(instrument(kept["base"]), slug, kept["name"], points, kept["source"])


_PARTS = {"base", "name", "points", "source"}


def _point(slug: str, point: object) -> CalibrationPoint:
    wanted = [field.name for field in fields(CalibrationPoint)]
    if not isinstance(point, Mapping) or sorted(point) != sorted(wanted):
        raise ReadingError(f"A point of the calibration “{slug}” needs {', '.join(wanted)}, and nothing else.")
    nominal, actual, u = (
        finite(point[name], f"“{name}” of the calibration “{slug}”", 0.0 if name == "u" else None) for name in wanted
    )
    return CalibrationPoint(nominal, actual, u)
