"""A curve from a file: two columns as a logger or a spreadsheet writes them, or a JCAMP-DX spectrum. Text alone."""

import contextlib
import io
from collections.abc import Callable

import jcamp
import numpy as np

from chromata_core.errors import ChromataError, SheetError
from chromata_core.quantity.rounding import plain
from chromata_core.quantity.typed import parse_reading
from chromata_core.sheet.pairs_file import read_pairs

Point = tuple[float, float]
_MOST = 60  # points that a bench takes of a spectrum: enough to see its shape
_NANOMETRES: dict[str, Callable[[float], float]] = {
    "nanometers": lambda x: x,
    "nanometres": lambda x: x,
    "nm": lambda x: x,
    "micrometers": lambda x: 1000 * x,
    "1/cm": lambda x: 1e7 / x,
}
_ABSORBANCE: dict[str, Callable[[float], float]] = {
    "absorbance": lambda y: y,
    "transmittance": lambda y: -float(np.log10(y)),
    "%t": lambda y: 2 - float(np.log10(y)),
    "percent transmittance": lambda y: 2 - float(np.log10(y)),
}


def read_curve(text: str, kind: str) -> list[tuple[str, str]]:
    """The pairs of a logged ``curve`` as written, or those of a ``spectrum``: nm and absorbance, thinned out.

    SheetError says what cannot be read.
    """
    if kind != "spectrum":
        return read_pairs(text)
    jdx = text.lstrip("\ufeff").lstrip().startswith("##")
    points = (
        _jcamp(text) if jdx else [(_number(number), _number(other)) for number, other in read_pairs(text, most=20_000)]
    )
    return [(plain(x, 0), plain(y, 3)) for x, y in _thinned(points)]


def write_spectrum(points: list[Point], title: str) -> str:
    """``points`` (nm, absorbance) as a JCAMP-DX file: pairs, for they need not be evenly spaced."""
    head = (
        f"TITLE={title}", "JCAMP-DX=5.00", "DATA TYPE=UV/VIS SPECTRUM", "ORIGIN=Chromata", "OWNER=",
        "XUNITS=NANOMETERS", "YUNITS=ABSORBANCE", "XFACTOR=1", "YFACTOR=1", f"FIRSTX={points[0][0]:g}",
        f"LASTX={points[-1][0]:g}", f"NPOINTS={len(points)}", "XYPOINTS=(XY..XY)",
    )  # fmt: skip
    lines = [*(f"##{line}" for line in head), *(f"{x:g}, {y:g}" for x, y in points), "##END=", ""]
    return "\n".join(lines)


def _number(text: str) -> float:
    return float(parse_reading(text).value)


def _jcamp(text: str) -> list[Point]:
    try:
        with contextlib.redirect_stdout(io.StringIO()):  # the library prints what it doubts
            curve = jcamp.read(io.StringIO(text.lstrip("\ufeff")))
        xs, ys = (np.asarray(curve[key], dtype=float) for key in ("x", "y"))
        across = _NANOMETRES[str(curve.get("xunits", "")).strip().lower()]
        up = _ABSORBANCE[str(curve.get("yunits", "")).strip().lower()]
        return [(across(float(x)), up(float(y))) for x, y in zip(xs, ys, strict=True)]
    except KeyError as error:
        raise SheetError(
            ["The JCAMP-DX file does not say wavelengths (nm or 1/cm) with absorbance or transmittance. "
             "Export it as a UV/VIS spectrum."]
        ) from error  # fmt: skip
    except ChromataError:
        raise
    except Exception as error:  # the library raises many unrelated classes for a damaged file
        raise SheetError(["The JCAMP-DX file cannot be read. Export it again, or as two columns."]) from error


def _thinned(points: list[Point]) -> list[Point]:
    """At most so many, evenly through the spectrum, by rising wavelength; the highest one always."""
    rising = sorted({round(x): (x, y) for x, y in points if np.isfinite(x) and np.isfinite(y)}.values())
    if len(rising) < 3:
        raise SheetError(["A spectrum needs three wavelengths or more. Is it the right file?"])
    if len(rising) <= _MOST:
        return rising
    places = {round(place) for place in np.linspace(0, len(rising) - 1, _MOST - 1)}
    places.add(max(range(len(rising)), key=lambda place: rising[place][1]))
    return [rising[place] for place in sorted(places)]
