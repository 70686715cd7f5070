"""Scenes of light and current: lamp, blank, cuvette, standards in a row, an electrolysis, cells and their leads."""

from chromata_core.apparatus.scene import FLOOR, TABLE, Move, Scene
from chromata_core.apparatus.things import (
    Area,
    Arrow,
    Bubbles,
    Clamp,
    Display,
    Drops,
    Line,
    Note,
    Paint,
    Round,
    Thing,
    Vessel,
)  # fmt: skip


def _meter(text: str, lid: bool = True) -> tuple[Thing, ...]:
    """A spectrophotometer from the front, its well at 140."""
    body = Area(((30, 120), (170, 120), (176, FLOOR), (24, FLOOR)), "sheet")
    return (
        body,
        Display((40, 150), (64, 28), text),
        Line(((124, 120), (156, 120)) if lid else ((124, 120), (116, 92)), "heavy"),
    )


def _bottle_row(paints: tuple[Paint, ...]) -> tuple[Thing, ...]:
    return tuple(Vessel("cuvette", (34 + 32 * n, 126), ((0.8, paint),)) for n, paint in enumerate(paints))


LAMP = Scene(
    "lamp-on", "Lamp on, long before",
    (
        Move("Switch it on first of all: until it is warm its zero wanders.", (*_meter("warming"), Round((60, 190), 4, "flame"), Note((72, 110), "15–20 min", "accent"), TABLE)),
        Move("Meanwhile make what is to be read. Set the wavelength.", (*_meter("620 nm"), Line(((140, 120), (140, 96)), "fine"), Arrow((40, 100), (170, 100)), TABLE)),
    ),
)  # fmt: skip

BLANK = Scene(
    "blank", "Blank in, zero, blank out",
    (
        Move("Rinse the cuvette with what comes in, throw that away, fill it. No bubbles.",
             (Vessel("cuvette", (100, 106), ((0.8, "water"),)), Vessel("dropper", (100, 50), ((0.7, "water"),)), Drops((100, 96), 1, "water"), Line(((80, 156), (120, 156))), Note((122, 120), "no bubble", "warn"))),
        Move("Wipe the clear faces, hold it by the frosted ones. The arrow looks into the light.",
             (Vessel("cuvette", (100, 90), ((0.8, "water"),)), Line(((92, 92), (92, 138)), "dashed"), Line(((108, 92), (108, 138)), "dashed"), Arrow((20, 116), (84, 116)), Note((24, 104), "light", "soft"), Note((124, 100), "clear faces|to the light", "accent"))),
        Move("Lid down, zero. Then the blank comes out: pressing zero once more would hide the sample.",
             (*_meter("0.000"), Vessel("cuvette", (140, 66), ((0.8, "water"),)), Arrow((140, 118), (140, 60)), TABLE),
             "Zero is pressed with the blank in, and never with a sample."),
    ),
)  # fmt: skip

STANDARDS = Scene(
    "standards", "Standards, thin to strong",
    (
        Move("Your own portion of stock in an own beaker. Each standard by pipette into its flask, to the mark, turned over.",
             (Vessel("beaker", (40, 134), ((0.5, "deep"),)), Vessel("pipette", (58, 4), ((0.6, "deep"),), turned=8), Vessel("volumetric flask", (104, 100), ((0.76, "water"),)), Vessel("volumetric flask", (160, 100), ((0.76, "colour"),)), TABLE)),
        Move("In a row beside the unknown: between which two does it lie?",
             (*_bottle_row(("water", "colour", "colour", "deep")), Vessel("cuvette", (170, 126), ((0.8, "colour"),)), Line(((14, 176), (186, 176))), Note((170, 116), "?", "accent", "middle"))),
        Move("Read from thin to strong, with one cuvette: rinse it with each before you fill it.",
             (*_meter("0.214"), Vessel("cuvette", (140, 62), ((0.8, "colour"),)), Arrow((160, 66), (160, 108)), TABLE)),
    ),
)  # fmt: skip

SAMPLE_READ = Scene(
    "sample-light", "Read the sample",
    (
        Move("Look through it: cloudy liquids scatter light and read too high.",
             (Vessel("cuvette", (62, 90), ((0.8, "colour"),)), Vessel("cuvette", (138, 90), ((0.25, "solid"), (0.8, "colour"))), Note((62, 160), "clear", "soft", "middle"), Note((138, 160), "again, clear", "warn", "middle"))),
        Move("Rinse, fill to its line, wipe, arrow into the light, lid down. No button: read.",
             (*_meter("0.532"), Vessel("cuvette", (140, 62), ((0.8, "colour"),)), Arrow((160, 66), (160, 108)), TABLE)),
    ),
)  # fmt: skip

HOOD = Scene(
    "dissolve-in-hood", "Dissolve it under the hood",
    (
        Move("Under the hood, sash down: brown fumes come at once.",
             (Line(((20, 196), (20, 20), (180, 20), (180, 196))), Line(((20, 90), (180, 90)), "heavy"), Vessel("beaker", (100, 134), ((0.12, "metal"), (0.5, "acid"))), Bubbles((96, 184), (96, 150), 4), Arrow((100, 126), (100, 60), 8), TABLE, Note((118, 70), "fumes", "warn")),
             "Never outside the hood."),
        Move("Wait until nothing is left of the metal. Then water, all of it into the flask, to the mark.",
             (Vessel("beaker", (56, 50), ((0.3, "deep"), (0.6, "deep")), turned=66), Vessel("volumetric flask", (136, 100), ((0.4, "deep"),)), Vessel("funnel", (136, 46)), TABLE)),
    ),
)  # fmt: skip

_CELL: tuple[Thing, ...] = (
    Vessel("wide beaker", (100, 118), ((0.7, "water"),)), Line(((76, 90), (76, 176)), "heavy"), Line(((124, 90), (124, 176)), "heavy"),
    Line(((124, 90), (124, 30), (110, 30)), "warn"), Line(((76, 90), (76, 66), (44, 66), (44, 30), (70, 30)), "line"), Display((70, 16), (40, 28), "+  −"),
    Round((44, 52), 13, "sheet"), Note((44, 56), "A", "figure", "middle"), Line(((46, 188), (154, 188))),
)  # fmt: skip

ELECTROLYSIS = Scene(
    "electrolysis", "The cell and its current",
    (
        Move("Source, ammeter in series, two electrodes that touch nowhere. The scale is that of the post you use.", (*_CELL, Note((100, 156), "apart", "accent", "middle"))),
        Move("Clock and current together. Hold the needle on its mark the whole time.",
             (*_CELL, Bubbles((82, 170), (82, 130), 4), Display((142, 40), (46, 26), "0:00")),
             "Every second without current is charge that did not flow."),
    ),
)  # fmt: skip

REST = Scene(
    "electrolysis-rest", "What floats dissolves",
    (
        Move("Current off. A dark solid floats: iodine that is made, and not yet in the light.",
             (*_CELL, *(Round((x, 139), 3, "metal") for x in (64, 88, 98, 111)), Note((146, 112), "floats", "accent", to=(115, 136)))),
        Move("Wait five minutes: part of it dissolves, part sinks, the brown deepens. Take the clear liquid.",
             (Vessel("wide beaker", (100, 118), ((0.1, "solid"), (0.7, "orange"))), Vessel("dropper", (100, 90), ((0.6, "orange"),)), Line(((46, 188), (154, 188))), Note((146, 140), "clear", "accent", to=(112, 146))),
             "Who does not wait finds less iodine than the current made."),
    ),
)  # fmt: skip


def _strip(x: float, y: float, fill: Paint) -> Area:
    return Area(((x - 6, y), (x + 6, y), (x + 6, y + 44), (x - 6, y + 44)), fill)


BRIDGE = Scene(
    "salt-bridge", "Two half-cells and a bridge",
    (
        Move("A strip of filter paper, soaked in the bridge’s salt solution for some minutes.",
             (Vessel("trough", (100, 120), ((0.4, "water"),)), Area(((60, 158), (140, 150), (142, 160), (62, 168)), "sheet"), Line(((40, 188), (160, 188))))),
        Move("Bridge first, an end in each; then the metals. They touch neither the bridge nor each other.",
             (Vessel("beaker", (56, 126), ((0.6, "water"),)), Vessel("beaker", (144, 126), ((0.6, "colour"),)), Line(((72, 170), (72, 116), (128, 116), (128, 170)), "heavy"), _strip(44, 112, "metal"), _strip(156, 112, "other metal"), Line(((20, 188), (180, 188))), Note((100, 104), "bridge", "accent", "middle")),
             "A bridge that has dried out carries nothing: the meter wanders."),
    ),
)  # fmt: skip

LEADS = Scene(
    "cell-leads", "Read the voltage",
    (
        Move("Sand the metals bright. Leads together first: the meter shows zero.",
             (Display((64, 40), (72, 40), "0.000 V"), Line(((80, 80), (80, 110), (100, 150)), "line"), Line(((120, 80), (120, 110), (100, 150)), "warn"), Round((100, 150), 4, "metal"))),
        Move("Clips tight and clear of the liquid. Red to one, black to the other, hold still.",
             (Display((64, 14), (72, 36), "0.94 V"), Line(((80, 50), (80, 70), (44, 80), (44, 112)), "line"), Line(((120, 50), (120, 70), (156, 80), (156, 112)), "warn"), Vessel("beaker", (56, 126), ((0.6, "water"),)), Vessel("beaker", (144, 126), ((0.6, "colour"),)),
              Line(((72, 170), (72, 120), (128, 120), (128, 170)), "heavy"), _strip(44, 112, "metal"), _strip(156, 112, "other metal"), Line(((20, 188), (180, 188)))),
             "A clip in the liquid is a third metal."),
        Move("Negative: exchange the leads, and read again. Write the sign with it.",
             (Display((64, 40), (72, 40), "−0.94 V"), Arrow((70, 120), (130, 120), 16), Arrow((130, 136), (70, 136), 16), Note((54, 130), "black", "soft", "end"), Note((146, 130), "red", "warn"))),
    ),
)  # fmt: skip

ELECTRODE = Scene(
    "electrode", "The electrode in the beaker",
    (
        Move("Its cap, with the solution in it, stands aside upright. Rinse, dab, do not rub.",
             (Vessel("small tube", (150, 140), ((0.6, "water"),)), Line(((96, 20), (96, 150)), "line"), Line(((108, 20), (108, 150)), "line"), Round((102, 152), 8, "water"), Vessel("wash bottle", (40, 96), ((0.6, "water"),)), Line(((40, 96), (40, 84), (66, 82), (92, 140)), "fine"))),
        Move("Everything dissolved before it comes in. Clear of wall and stirring bar.",
             (Clamp(30, (96, 40)), Vessel("wide beaker", (108, 118), ((0.7, "water"),)), Line(((90, 40), (90, 158)), "line"), Line(((102, 40), (102, 158)), "line"), Round((96, 160), 8, "water"), Area(((100, 178), (132, 178), (132, 184), (100, 184)), "metal"), Line(((54, 188), (162, 188)))),
             "A bar that strikes it breaks the glass."),
        Move("A step of titrant, count to five, read. Where it runs away, wait until it stands: the end is here.",
             (Vessel("burette", (136, -70), ((0.1, "colour"), (0.9, "colour"))), Drops((136, 86), 1), Vessel("wide beaker", (108, 118), ((0.7, "water"),)), Line(((86, 70), (86, 158)), "line"), Line(((98, 70), (98, 158)), "line"), Round((92, 160), 8, "water"), Display((14, 40), (58, 30), "612 mV"), Line(((92, 70), (92, 54), (72, 54)), "line"), Line(((54, 188), (162, 188))))),
    ),
)  # fmt: skip
