"""HTML set on A4 paper: one sheet at a time in each worker, and nothing fetched but what ships."""

from collections.abc import Mapping
from functools import lru_cache
from pathlib import Path
from threading import BoundedSemaphore

from django.conf import settings
from django.template.loader import render_to_string

from config.errors import Refused

_PRINTER = BoundedSemaphore(1)  # setting a report takes a second of a whole processor
_PATIENCE = 15  # seconds


def pdf_of(template: str, shown: Mapping[str, object]) -> bytes:
    """``template`` as PDF; Refused where too many wait for the printer."""
    if not _PRINTER.acquire(timeout=_PATIENCE):
        raise Refused("Many reports are being printed. Ask for this one again in a few seconds.", 503)
    try:
        return _printed(render_to_string(template, {**shown, "fonts": _fonts()}))
    finally:
        _PRINTER.release()


def set_up() -> None:
    """Prints a line nobody sees: libraries are loaded and fonts are read."""
    with _PRINTER:
        _printed("<p>Ready</p>")


def _printed(html: str) -> bytes:
    from weasyprint import HTML  # 0.8 s to import, and only needed here
    from weasyprint.urls import URLFetcher, URLFetcherResponse

    class OnlyOurs(URLFetcher):
        """Nothing is fetched for a paper but the fonts that ship and the pictures that stand in it."""

        def fetch(self, url: str, headers: dict[str, str] | None = None) -> URLFetcherResponse:
            if not url.startswith("data:") and url not in [font["url"] for font in _fonts()]:
                raise ValueError("nothing else is fetched for a paper")
            return super().fetch(url, headers)

    pdf = HTML(string=html, url_fetcher=OnlyOurs()).write_pdf()
    assert isinstance(pdf, bytes)
    return pdf


@lru_cache(maxsize=1)
def _fonts() -> list[dict[str, str]]:
    """The application's own fonts, from the npm packages that the screens use."""
    found = []
    folder = Path(settings.ROOT) / "web" / "node_modules" / "@fontsource-variable"
    for family, name in (
        ("Hyperlegible", "atkinson-hyperlegible-next"),
        ("HyperlegibleMono", "atkinson-hyperlegible-mono"),
    ):
        files = sorted((folder / name / "files").glob("*wght-normal.woff2"))
        found += [{"family": family, "url": file.as_uri()} for file in files]
    return found
