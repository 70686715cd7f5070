"""Scenes of heat: a burning piece under a can, ice and solutions in a cup, tubes in a bath over a cross."""

from chromata_core.apparatus.scene import FLOOR, TABLE, Move, Scene
from chromata_core.apparatus.things import (
    Area,
    Arrow,
    Clamp,
    Display,
    Flame,
    Line,
    Note,
    Thermometer,
    Thing,
    Vessel,
)  # fmt: skip

CAN = Scene(
    "burning-food", "A burning piece under the can",
    (
        Move("The can hangs on a rod through its tab, water in it, the thermometer clear of the bottom.",
             (Clamp(30, (104, 30)), Line(((104, 30), (104, 44))), Vessel("can", (104, 44), ((0.7, "water"),)), Thermometer((112, 92), 76, 0.3), Note((134, 84), "not at the|bottom", "accent", to=(117, 92)))),
        Move("The piece on its holder. Light it with a long splint: the oil shows first, then it burns.",
             (Area(((86, 186), (114, 186), (110, FLOOR), (90, FLOOR)), "stopper"), Line(((100, 186), (100, 170))), Area(((90, 156), (110, 156), (112, 168), (88, 168)), "solid"), Flame((100, 156), 30), Line(((178, 96), (116, 148)), "line"), Flame((116, 148), 12), TABLE)),
        Move("Can down to just above the flame, without smothering it.",
             (Clamp(24, (104, 14)), Line(((104, 14), (104, 24))), Vessel("can", (104, 24), ((0.7, "water"),)), Thermometer((112, 72), 66, 0.6), Flame((104, 154), 50), Area(((94, 154), (114, 154), (116, 166), (92, 166)), "solid"), Line(((104, 166), (104, 186))), Area(((90, 186), (118, 186), (114, FLOOR), (94, FLOOR)), "stopper"), TABLE),
             "Too high and the room is heated instead."),
        Move("When it is out, stir and read the highest. What is left is weighed cold.",
             (Vessel("can", (64, 70), ((0.7, "water"),)), Thermometer((70, 116), 92, 0.8), Note((86, 40), "the highest", "accent"), Vessel("boat", (146, 129), ((0.5, "solid"),)), Area(((116, 138), (176, 138), (172, 146), (120, 146)), "metal"), Display((116, 146), (60, 34), "0.21 g"), TABLE)),
    ),
)  # fmt: skip

_LID = Line(((70, 84), (130, 84)), "heavy")
_CUPS: tuple[Thing, ...] = (Vessel("cup", (100, 90)), Vessel("cup", (100, 86), ((0.66, "water"),)))

CUP = Scene(
    "cup-ice", "Ice into the cup",
    (
        Move("Two nested cups, one lid, the thermometer through its hole. Wait until it stands.",
             (*_CUPS, _LID, Thermometer((100, 134), 110, 0.6), Line(((70, 150), (130, 150)), "line"))),
        Move("Ice dried on a towel, and in at once, nothing splashed.",
             (*_CUPS, *(Area(((x, y), (x + 14, y + 2), (x + 12, y + 15), (x - 2, y + 13)), "water") for x, y in ((80, 34), (102, 24), (92, 54))), Arrow((134, 34), (118, 74), -10), Area(((14, 176), (70, 172), (74, 190), (16, 194)), "sheet"), Note((44, 166), "dried", "accent", "middle")),
             "Water on the ice is weighed as ice, and melts nothing."),
        Move("Lid on, swirl gently, and read the lowest.",
             (*_CUPS, Area(((90, 104), (104, 106), (102, 118), (88, 116)), "water"), _LID, Thermometer((112, 134), 110, 0.3), Arrow((146, 160), (60, 160), -14), Note((126, 60), "the lowest", "accent")),
             "0 °C: some ice is left. Begin again with less."),
    ),
)  # fmt: skip

MIX = Scene(
    "cup-mix", "Mix in the cup",
    (
        Move("One in the cup, the other beside it, both at the same temperature: rinse the thermometer between.",
             (*_CUPS, Thermometer((100, 134), 110, 0.5), Vessel("beaker", (160, 104), ((0.5, "acid"),)))),
        Move("All at once in, lid on, swirl.",
             (*_CUPS, Vessel("beaker", (52, 14), ((0.3, "acid"), (0.62, "acid")), turned=70), Line(((84, 54), (98, 70), (100, 104)), "accent"), Arrow((146, 160), (60, 160), -14))),
        Move("Read until it turns: the highest, or the lowest where it cools.",
             (*_CUPS, _LID, Thermometer((100, 134), 110, 0.8), Note((118, 50), "until it|turns", "accent"))),
    ),
)  # fmt: skip

_CROSS = (Line(((86, 190), (114, 202)), "heavy"), Line(((114, 190), (86, 202)), "heavy"))

BATH = Scene(
    "tubes-in-bath", "Both tubes into the bath",
    (
        Move("Initials on both tubes. Both stand in the bath, a clean thermometer in each.",
             (Vessel("wide beaker", (100, 116), ((0.8, "water"),)), Vessel("test tube", (80, 88), ((0.5, "colour"),)), Vessel("test tube", (120, 88), ((0.5, "acid"),)), Thermometer((80, 160), 110, 0.5), Thermometer((120, 160), 110, 0.5), Line(((40, 188), (160, 188)))),
             "One thermometer for both: it is cloudy before you mix."),
        Move("Four to five minutes, until both are within a degree of what is planned.",
             (Vessel("wide beaker", (84, 116), ((0.8, "water"),)), Vessel("test tube", (66, 88), ((0.5, "colour"),)), Vessel("test tube", (102, 88), ((0.5, "acid"),)), Display((142, 60), (46, 26), "4:30"), Line(((30, 188), (140, 188))))),
    ),
)  # fmt: skip

CROSS = Scene(
    "over-the-cross", "Pour together over the cross",
    (
        Move("One into the vessel over the cross. The other ready, the clock at zero.",
             (Vessel("beaker", (100, 124), ((0.35, "colour"),)), *_CROSS, Vessel("test tube", (34, 100), ((0.5, "acid"),)), Display((142, 60), (46, 26), "0:00"))),
        Move("Pour, start the clock with the first of it, swirl once.",
             (Vessel("beaker", (100, 124), ((0.35, "colour"),)), Vessel("test tube", (56, 34), ((0.4, "acid"), (0.8, "acid")), turned=72), Line(((92, 76), (100, 90), (100, 150)), "accent"), *_CROSS, Display((142, 60), (46, 26), "0:01")),
             "The clock starts when they meet, not when you are done."),
        Move("Straight down from above, always from the same height. Stop when the cross is gone.",
             (Vessel("beaker", (100, 124), ((0.55, "solid"),)), Line(((100, 30), (100, 118)), "dashed"), Line(((88, 24), (94, 18), (106, 18), (112, 24), (106, 29), (94, 29), (88, 24))), Note((118, 28), "from above", "accent"), Display((142, 60), (46, 26), "0:47"))),
    ),
)  # fmt: skip
