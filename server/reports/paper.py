"""HTML set on A4 paper: one sheet at a time in each worker, and nothing fetched but what ships."""

import atexit
import os
from collections.abc import Mapping
from functools import cache
from pathlib import Path
from threading import BoundedSemaphore
from typing import TYPE_CHECKING

from django.conf import settings
from django.template.loader import render_to_string

from config.errors import Refused
from config.in_turn import aside

if TYPE_CHECKING:  # 0.8 s to import, and only needed where something is printed
    from weasyprint import CSS
    from weasyprint.text.fonts import FontConfiguration

_PRINTER = BoundedSemaphore(1)  # setting a report takes half a second of a whole processor
_PATIENCE = 15  # seconds
_FAMILIES = {"Hyperlegible": "atkinson-hyperlegible-next", "HyperlegibleMono": "atkinson-hyperlegible-mono"}
_WEIGHTS = (400, 600, 700)


def pdf_of(template: str, shown: Mapping[str, object]) -> bytes:
    """``template`` as PDF; Refused where too many wait for the printer."""
    with aside():  # a class that prints leaves the other requests their turn
        ours = _PRINTER.acquire(timeout=_PATIENCE)
    if not ours:
        raise Refused("Many reports are being printed. Ask for this one again in a few seconds.", 503)
    try:
        return _printed(render_to_string(template, shown))
    finally:
        _PRINTER.release()


def set_up() -> None:
    """Prints a line nobody sees: libraries are loaded and fonts are read."""
    with _PRINTER:
        _printed("<p>Ready</p>")


def _printed(html: str) -> bytes:
    from weasyprint import HTML
    from weasyprint.urls import URLFetcher, URLFetcherResponse

    class OnlyPictures(URLFetcher):
        """Nothing is fetched for a paper but the pictures that stand in it."""

        def fetch(self, url: str, headers: dict[str, str] | None = None) -> URLFetcherResponse:
            if not url.startswith("data:"):
                raise ValueError("nothing is fetched for a paper")
            return super().fetch(url, headers)

    faces, known = _typefaces()
    pdf = HTML(string=html, url_fetcher=OnlyPictures()).write_pdf(stylesheets=[faces], font_config=known)
    assert isinstance(pdf, bytes)
    return pdf


@cache
def _typefaces() -> "tuple[CSS, FontConfiguration]":
    """The application's own fonts, from the npm packages that the screens use, read once for all papers."""
    from weasyprint import CSS
    from weasyprint.text.fonts import FontConfiguration

    known = FontConfiguration()
    modules = Path(settings.ROOT) / "web" / "node_modules" / "@fontsource-variable"
    faces = [
        f'@font-face {{ font-family: {family}; src: url("{_cut(file, weight).as_uri()}"); font-weight: {weight}; }}'
        for family, name in _FAMILIES.items()
        for file in sorted((modules / name / "files").glob("*wght-normal.woff2"))
        for weight in _WEIGHTS
    ]
    return CSS(string="\n".join(faces), font_config=known), known


atexit.register(_typefaces.cache_clear)  # what draws them is gone when Python clears its modules


def _cut(file: Path, weight: int) -> Path:
    """A variable font at one ``weight``, kept: cutting it anew for every paper takes a third of its time."""
    cut = Path(settings.VAR) / "typefaces" / f"{file.stem}-{file.stat().st_size}-{weight}.ttf"
    if not cut.exists():
        from fontTools.ttLib import TTFont
        from fontTools.varLib.instancer import instantiateVariableFont

        cut.parent.mkdir(parents=True, exist_ok=True)
        font = instantiateVariableFont(TTFont(file), {"wght": weight})
        font.flavor = None
        half = cut.with_suffix(f".{os.getpid()}")
        font.save(half)
        half.replace(cut)  # another process may do the same at this moment
    return cut
