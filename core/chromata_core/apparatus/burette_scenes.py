"""Scenes of titrations: a burette filled, read and run; what is under it."""

from chromata_core.apparatus.scene import FLOOR, Move, Scene
from chromata_core.apparatus.things import Arrow, Clamp, Drops, Eye, Line, Note, Round, Thing, Vessel


def _tap(x: float, y: float, open_: bool) -> Line:
    """Along the tube it is open, across it is closed."""
    return Line(((x, y - 8), (x, y + 8)) if open_ else ((x - 8, y), (x + 8, y)), "heavy")


_TILE = Line(((66, FLOOR), (134, FLOOR)), "heavy")

FILL = Scene(
    "burette-fill", "Rinse and fill a burette",
    (
        Move(
            "Clamp it low: its top at eye level while you fill. Rinse two or three times with a little titrant, rolled "
            "along the wall and out through the tip.",
            (
                Vessel("burette", (112, 30), ((0.2, ""), (0.34, "colour")), turned=62),
                Vessel("beaker", (44, 150), ((0.15, "colour"),)), Drops((45, 140), 1),
                Arrow((70, 60), (112, 38), 14), Note((56, 40), "roll it", "soft"), Note((82, 176), "out through|the tip", "soft"),
            ),
        ),
        Move(
            "Close the tap, fill above zero through a funnel, and take the funnel off.",
            (
                Clamp(40, (112, 100)), Vessel("burette", (112, 50), ((0.12, "colour"), (0.98, "colour"))),
                Vessel("funnel", (112, 8), ((0.55, ""), (0.8, "colour"))), _tap(112, 180, False),
                Note((130, 178), "across:|closed", "soft"), Eye((172, 66), (122, 66)), Note((144, 18), "off again", "warn"),
            ),
            "A funnel left on drips into the reading.",
        ),
        Move(
            "Open the tap over a beaker until the part under it is full and the level is at zero or below.",
            (
                Clamp(36, (112, 50)), Vessel("burette", (112, -14), ((0.12, "colour"), (0.9, "colour"))),
                _tap(112, 116, True), Note((128, 112), "along: open", "soft"), Drops((112, 137), 1),
                Vessel("beaker", (112, 148), ((0.2, "colour"),)), Round((112, 128), 9, "", "warn"),
                Note((128, 134), "no air here", "warn"),
            ),
            "Air under the tap comes out later and counts as titrant.",
        ),
    ),
)  # fmt: skip

READ = Scene(
    "burette-read", "Read a burette",
    (
        Move(
            "Turn it so that the numbers face you, and wait half a minute for the film to run down.",
            (
                Clamp(40, (112, 70)), Vessel("burette", (112, 20), ((0.12, "colour"), (0.72, "colour"))), _tap(112, 150, False),
                Note((128, 60), "numbers|to you", "soft"), Arrow((96, 40), (128, 40), -16),
            ),
        ),
        Move(
            "Eye at the height of the curve’s lowest point. Read to a fifth or a tenth of a division.",
            (
                Line(((70, 20), (70, 190))), Line(((130, 20), (130, 190))),
                *(Line(((70, y), (92 if n % 5 else 104, y)), "fine") for n, y in enumerate(range(36, 186, 12))),
                Line(((70, 96), (80, 104), (100, 108), (120, 104), (130, 96)), "accent"),
                Line(((60, 108), (140, 108)), "dashed"), Eye((176, 108), (140, 108)), Note((126, 134), "lowest point", "accent", to=(102, 109)),
            ),
            "From above you read too little, from below too much.",
        ),
        Move(
            "A drop at the tip belongs to the flask: touch it off before you read.",
            (
                Line(((90, 10), (90, 50), (97, 64), (97, 96))), Line(((110, 10), (110, 50), (103, 64), (103, 96))),
                Drops((100, 98), 1), Vessel("flask", (100, 112), ((0.4, "colour"),)), Arrow((122, 104), (112, 116), -6),
                Note((126, 96), "against|the wall", "soft"),
            ),
        ),
    ),
)  # fmt: skip

RUN = Scene(
    "burette-run", "Run the titrant in",
    (
        Move(
            "One hand at the tap, the other swirls. Fast at first, over white paper.",
            (
                Clamp(40, (112, 60)), Vessel("burette", (112, -46), ((0.12, "colour"), (0.8, "colour"))), _tap(112, 84, True),
                Line(((112, 104), (112, 170)), "accent"), Vessel("flask", (112, 114), ((0.4, "water"),)), _TILE,
                Arrow((146, 188), (78, 188), -14),
            ),
        ),
        Move(
            "Patches of colour that linger mean: slow down. Now drop by drop.",
            (
                Vessel("burette", (112, -46), ((0.12, "colour"), (0.8, "colour"))), _tap(112, 84, False), Drops((112, 106), 1),
                Vessel("flask", (112, 114), ((0.4, "water"),)), Round((112, 176), 12, "colour", ""), Round((100, 182), 6, "colour", ""),
                _TILE, Note((150, 160), "lingers", "accent", to=(122, 174)),
            ),
            "Here one stream too long costs the trial.",
        ),
        Move(
            "Half a drop, rinsed off the tip with the wash bottle, until the colour stays.",
            (
                Vessel("burette", (100, -46), ((0.12, "colour"), (0.8, "colour"))), _tap(100, 84, False),
                Vessel("flask", (100, 114), ((0.4, "colour"),)), _TILE,
                Vessel("wash bottle", (168, 92), ((0.6, "water"),)), Line(((168, 92), (168, 80), (140, 76), (106, 103)), "fine"),
                Note((6, 60), "the faintest|that stays", "accent"),
            ),
        ),
    ),
)  # fmt: skip

SAMPLE = Scene(
    "sample-indicator", "Sample and indicator into the flask",
    (
        Move(
            "The sample into a clean flask. Water on its wall does not matter.",
            (Vessel("pipette", (100, -14), ((0.9, "water"),)), Vessel("flask", (100, 114), ((0.25, "water"),)), _TILE),
        ),
        Move(
            "Indicator by drops, no more than the step says: more makes the change slow to see.",
            (
                Vessel("dropper", (100, 40), ((0.7, "deep"),)), Drops((100, 88), 1, "deep"), Vessel("flask", (100, 114), ((0.35, "water"),)),
                _TILE, Note((120, 60), "a few drops", "accent"),
            ),
        ),
        Move(
            "Rinse the wall with water. The flask goes under the burette, on white.",
            (
                Vessel("flask", (92, 114), ((0.4, "water"),)), Line(((58, FLOOR), (126, FLOOR)), "heavy"),
                Vessel("wash bottle", (164, 118), ((0.6, "water"),)), Line(((164, 118), (164, 106), (132, 96), (97, 112)), "fine"),
            ),
        ),
    ),
)  # fmt: skip

_SHELF: tuple[Thing, ...] = (Line(((20, FLOOR), (180, FLOOR)), "line"),)

BACK_TITRATION = Scene(
    "back-titration-heat", "A look at the indicator, boil, cool",
    (
        Move(
            "Indicator now, before any time is lost: pink means too little acid. Begin again with less.",
            (
                Vessel("flask", (56, 114), ((0.4, "water"),)), Vessel("flask", (146, 114), ((0.4, "deep"),)), *_SHELF,
                Note((56, 104), "go on", "soft", "middle"), Note((146, 104), "begin again", "warn", "middle"),
            ),
        ),
        Move(
            "Boil a minute over a roaring flame. Cloudiness stays, and does not matter.",
            (
                Vessel("flask", (100, 40), ((0.4, "water"),)), Line(((52, 124), (148, 124))), Line(((58, 124), (46, FLOOR))),
                Line(((142, 124), (154, FLOOR))), Round((100, 188), 7, "metal"), Line(((100, 182), (100, 166)), "heavy"),
            ),
            "It spits: goggles, and the mouth towards nobody.",
        ),
        Move(
            "Cool on a pad until a hand can hold it. Meanwhile weigh the next portion.",
            (Vessel("flask", (100, 110), ((0.4, "water"),)), Line(((56, 194), (144, 194)), "heavy"), *_SHELF,
             Arrow((150, 120), (176, 84), 12), Note((146, 74), "warm is|too early", "soft")),
        ),
    ),
)  # fmt: skip
