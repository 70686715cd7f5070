"""Scenes of volumes: pipettes, flasks to the mark, cylinders, solutions by mass, making things ready and tidying up."""

from chromata_core.apparatus.scene import FLOOR, TABLE, Move, Scene
from chromata_core.apparatus.things import Area, Arrow, Bubbles, Display, Drops, Eye, Line, Note, Round, Vessel


def _goggles(x: float, y: float) -> tuple[Round, Round, Line, Line, Line]:
    return (
        Round((x - 20, y), 15, "water"), Round((x + 20, y), 15, "water"), Line(((x - 5, y), (x + 5, y))),
        Line(((x - 35, y - 4), (x - 50, y - 10))), Line(((x + 35, y - 4), (x + 50, y - 10))),
    )  # fmt: skip


READY = Scene(
    "ready", "Before anything else",
    (
        Move("Goggles on, and gloves where the step says so. They stay on until everything is cleaned.", _goggles(100, 96)),
        Move(
            "Write on every vessel what is in it and whose it is, before anything goes in.",
            (
                Vessel("beaker", (56, 134)), Vessel("flask", (140, 114)), TABLE,
                Area(((40, 156), (72, 156), (72, 174), (40, 174)), "sheet"), Note((56, 169), "acid", "figure", "middle"),
                Area(((119, 164), (161, 164), (161, 182), (119, 182)), "sheet"), Note((140, 177), "run 1", "figure", "middle"),
            ),
        ),
        Move(
            "Rinse with water, last with distilled. What is measured in is rinsed with what comes in.",
            (
                Vessel("wash bottle", (60, 90), ((0.6, "water"),)), Line(((60, 90), (60, 78), (88, 74), (118, 120)), "fine"),
                Vessel("beaker", (132, 126), ((0.2, "water"),), turned=-14), TABLE,
            ),
        ),
    ),
)  # fmt: skip

TIDY = Scene(
    "tidy", "Leave it as you would find it",
    (
        Move(
            "What must not go down the drain goes into its own labelled bottle. Ask where you are not sure.",
            (
                Vessel("beaker", (62, 54), ((0.3, "colour"), (0.62, "colour")), turned=70), Vessel("bottle", (130, 130), ((0.35, "colour"),)),
                TABLE, Area(((116, 166), (144, 166), (144, 182), (116, 182)), "sheet"), Note((130, 178), "W", "figure", "middle"), Note((156, 160), "waste", "soft"),
                Arrow((98, 92), (128, 122), -10),
            ),
        ),
        Move(
            "Rinse at once, last with distilled water: what has dried stays.",
            (
                Vessel("wash bottle", (56, 90), ((0.6, "water"),)), Line(((56, 90), (56, 78), (86, 74), (112, 116)), "fine"),
                Vessel("flask", (124, 114), ((0.2, "water"),)), TABLE, Arrow((150, 188), (98, 188), -12),
            ),
        ),
        Move("Switch off, wipe the bench, wash your hands. Goggles come off last.", (*_goggles(100, 90), Arrow((100, 120), (100, 156)), TABLE)),
    ),
)  # fmt: skip

PIPETTE = Scene(
    "pipette", "Pipette to the mark",
    (
        Move(
            "Bulb on, and draw past the mark on purpose. Tip well below the surface.",
            (
                Round((100, 14), 13, "stopper"), Vessel("pipette", (100, 27), ((0.86, "water"), (0.95, "water"))),
                Vessel("beaker", (100, 134), ((0.6, "water"),)), TABLE, Note((122, 46), "past it", "accent", to=(103, 46)),
            ),
            "A tip that comes up out of the liquid sucks air into the bulb.",
        ),
        Move(
            "Bulb off, finger on. Let it sink slowly until the curve rests on the mark, at eye level.",
            (
                Area(((88, 12), (112, 12), (112, 26), (88, 26)), "skin"), Vessel("pipette", (100, 27), ((0.83, "water"),)),
                Eye((160, 47), (106, 47)), Vessel("beaker", (100, 150), ((0.4, "water"),)), TABLE, Note((20, 20), "finger", "soft", to=(88, 18)),
            ),
        ),
        Move(
            "Let it run out against the wall, wait, touch off. The last drop stays in the tip.",
            (
                Vessel("pipette", (104, 14), ((0.05, "water"),), turned=14), Vessel("flask", (88, 114), ((0.3, "water"),)), TABLE,
                Note((112, 108), "never|blown out", "warn"),
            ),
        ),
    ),
)  # fmt: skip

TO_THE_MARK = Scene(
    "flask-to-mark", "Make up to the mark",
    (
        Move(
            "Everything into the flask: rinse beaker and funnel into it, several times with a little water.",
            (
                Vessel("funnel", (100, 46), ((0.6, ""), (0.8, "water"))), Vessel("volumetric flask", (100, 100), ((0.4, "colour"),)),
                Vessel("wash bottle", (166, 60), ((0.6, "water"),)), Line(((166, 60), (166, 48), (140, 44), (112, 52)), "fine"), TABLE,
            ),
        ),
        Move(
            "Water to just below the mark; the last drops one by one until the curve rests on it.",
            (
                Vessel("dropper", (100, 44), ((0.6, "water"),)), Drops((100, 90), 1, "water"),
                Vessel("volumetric flask", (100, 100), ((0.77, "colour"),)), Eye((164, 122), (108, 122)), TABLE,
            ),
            "Past the mark cannot be taken back: begin anew.",
        ),
        Move(
            "Stopper on, a finger on it, and turn it over ten times until no streaks are left.",
            (
                Vessel("volumetric flask", (84, 66), ((0.1, "colour"), (0.74, "colour")), turned=180),
                Area(((77, 160), (91, 160), (89, 172), (79, 172)), "stopper"), Bubbles((84, 134), (84, 90), 4),
                Arrow((128, 66), (128, 166), -30),
            ),
        ),
    ),
)  # fmt: skip

BY_MASS = Scene(
    "solution-by-mass", "A solution in a vessel of one’s own",
    (
        Move(
            "Vessel on the balance, tare. Scoop, do not chase the target: write what stands there.",
            (
                Vessel("mug", (100, 82), ((0.12, "solid"),)), Area(((60, 138), (140, 138), (134, 146), (66, 146)), "metal"),
                Display((56, 146), (88, 34), "12.07 g"), TABLE,
            ),
        ),
        Move(
            "Water in a slow thin stream to the lower ring, the top of its curve.",
            (
                Vessel("mug", (100, 139), ((0.08, "solid"), (0.6, "water")), ringed=(22,)), Vessel("beaker", (46, 40), ((0.35, "water"), (0.7, "water")), turned=66),
                Line(((74, 78), (92, 96), (98, 140)), "accent"), TABLE, Note((132, 160), "to here", "accent", to=(124, 161)),
            ),
        ),
        Move(
            "Stir until it is clear. Side by side they show which is strongest.",
            (
                Vessel("mug", (46, 139), ((0.6, "water"),)), Vessel("mug", (100, 139), ((0.6, "colour"),)), Vessel("mug", (154, 139), ((0.6, "deep"),)), TABLE,
                Line(((108, 96), (98, 186)), "heavy"),
            ),
        ),
    ),
)  # fmt: skip

MEASURE = Scene(
    "cylinder", "Measure with a cylinder",
    (
        Move(
            "Fill it on the bench, not in the hand, to just below the mark; the last of it by dropper.",
            (
                Vessel("cylinder", (100, 96), ((0.7, "water"),)), Line(((80, FLOOR), (120, FLOOR)), "heavy"),
                Vessel("dropper", (100, 40), ((0.6, "water"),)), Drops((100, 88), 1, "water"), TABLE,
            ),
        ),
        Move(
            "Eye at the curve’s lowest point. A measured volume that is larger goes in portions.",
            (
                Vessel("cylinder", (80, 96), ((0.72, "water"),)), Line(((60, FLOOR), (100, FLOOR)), "heavy"), Eye((164, 124), (92, 124)),
                Note((108, 100), "lowest point", "accent", to=(84, 124)), TABLE,
            ),
        ),
    ),
)  # fmt: skip
