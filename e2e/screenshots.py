"""Takes the pictures of docs/screenshots from a running demo: ``bin/screenshots [URL [NAME …]]``."""

import sys
from pathlib import Path

from playwright.sync_api import Page, sync_playwright

FOLDER = Path(__file__).resolve().parents[1] / "docs/screenshots"
OWN = "/experiments/brine-from-the-salt-works-how-dense"
LAPTOP, TABLET, PHONE = (1280, 800), (820, 1180), (390, 844)


# A dry run, into the middle of its first titration.
WORKED = [
    "click Dry run", "click Done, go on", "click Fill it above zero", "click Let 1 mL run to waste",
    *["click Some drops to waste"] * 6, "click Done, go on", "type 20.00\n", "click Done, go on", "type 0.35\n",
    *["click Run 5 mL"] * 4, "click Swirl", "click A drop",
]  # fmt: skip


# name, who, address, size, dark, what is done there
VIEWS: list[tuple[str, str, str, tuple[int, int], bool, list[str]]] = [
    ("term", "instructor", "/", LAPTOP, False, []),
    ("method", "instructor", "/methods/acid-base-titration", LAPTOP, False, []),
    ("experiment", "instructor", f"{OWN}?chapter=computation", LAPTOP, False, ["click Density in this trial"]),
    ("planner", "instructor", "/plan?method=acid-base-titration", LAPTOP, False, []),
    ("before-class", "student", "/sessions/11/before", LAPTOP, False, []),
    ("week", "instructor", "/week", LAPTOP, False, []),
    ("desk", "instructor", "/desk?at=titration", LAPTOP, False, []),
    ("session", "instructor", "/sessions/13", (1280, 1200), False, []),
    ("floor", "instructor", "/sessions/10/floor", LAPTOP, False, []),
    ("class", "instructor", "/sessions/9/class", LAPTOP, False, ["click Mark by it"]),
    ("report", "instructor", "/benches/59/report", LAPTOP, False, []),
    ("worksheet", "instructor", "/benches/65", LAPTOP, False, ["click Work it out"]),
    ("history", "instructor", "/methods/acid-base-titration/history", LAPTOP, False, []),
    ("stockroom", "instructor", "/stock", LAPTOP, False, []),
    ("bench", "instructor", "/benches/66", LAPTOP, False, ["type 19.21"]),
    ("bench-phone", "instructor", "/benches/66", PHONE, False, ["type 19.2"]),
    ("bench-dark", "instructor", "/benches/70", TABLET, True, []),
    ("worked", "instructor", "/sessions/9", LAPTOP, False, WORKED),
    (
        "practice",
        "student",
        "/practice?kind=hunts&of=gas-eudometer",
        (1280, 1000),
        False,
        ["click Oxide on the ribbon"],
    ),
]
SIGN_IN = {"instructor": "Ilse Varga", "student": "Noor Amadi"}


def act(page: Page, step: str) -> None:
    """``type TEXT``, ``scroll PIXELS`` or ``click BUTTON``."""
    verb, _, what = step.partition(" ")
    if verb == "type":
        page.keyboard.type(what, delay=20)
    elif verb == "scroll":
        page.mouse.wheel(0, int(what))
    else:
        page.get_by_role("button", name=what).first.click()
    page.wait_for_timeout(900)


def main(url: str, names: list[str]) -> None:
    """Writes the pictures of these names; all of them without any."""
    FOLDER.mkdir(exist_ok=True)
    with sync_playwright() as playwright:
        browser = playwright.chromium.launch(executable_path="/usr/bin/chromium-headless-shell")
        wanted = [view for view in VIEWS if view[0] in names or not names]
        for name, who, path, (width, height), dark, steps in wanted:
            context = browser.new_context(
                viewport={"width": width, "height": height},
                color_scheme="dark" if dark else "light",
                service_workers="block",
            )
            page = context.new_page()
            page.goto(url)
            if who:
                page.get_by_role("button", name=SIGN_IN[who]).click()
                page.get_by_role("button", name=SIGN_IN[who]).wait_for(state="detached")
                page.goto(url + path)
            page.wait_for_load_state("networkidle")
            page.wait_for_timeout(1500)
            for step in steps:
                act(page, step)
            page.screenshot(path=FOLDER / f"{name}.png")
            print(f"docs/screenshots/{name}.png")
            context.close()
        browser.close()


if __name__ == "__main__":
    main((sys.argv[1] if len(sys.argv) > 1 else "http://127.0.0.1:8000").rstrip("/"), sys.argv[2:])
