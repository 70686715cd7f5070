"""Scenes of gases: ribbon and tube, a train that displaces water, a barometer."""

from chromata_core.apparatus.scene import TABLE, Move, Scene
from chromata_core.apparatus.things import (
    Area,
    Arrow,
    Bubbles,
    Clamp,
    Display,
    Drops,
    Eye,
    Line,
    Note,
    Paint,
    Round,
    Thing,
    Vessel,
)  # fmt: skip


def _cage(x: float, y: float, up: bool = False) -> tuple[Thing, ...]:
    """A stopper with a wire cage around a folded ribbon, hanging below it or standing above."""
    way = -1 if up else 1
    stopper = ((x - 10, y - 6 * way), (x + 10, y - 6 * way), (x + 8, y + 8 * way), (x - 8, y + 8 * way))
    loops = tuple((x + (6 if n % 2 else -6), y + way * (22 + 4 * n)) for n in range(5))
    return (
        Area(stopper, "stopper"), Line(((x, y + 8 * way), (x, y + 20 * way), *loops, (x, y + 44 * way)), "accent"),
        Area(((x - 3, y + 24 * way), (x + 3, y + 24 * way), (x + 3, y + 38 * way), (x - 3, y + 38 * way)), "metal", "fine"),
    )  # fmt: skip


DILUTE = Scene(
    "acid-into-water", "Make the acid",
    (
        Move("Water first: most of what is needed, in the beaker.", (Vessel("wide beaker", (100, 126), ((0.5, "water"),)), TABLE)),
        Move("Then the acid into it, slowly, while you stir. Never the other way.",
             (Vessel("wide beaker", (100, 126), ((0.56, "water"),)), Vessel("beaker", (40, 28), ((0.3, "acid"), (0.6, "acid")), turned=70), Line(((70, 66), (92, 92), (96, 150)), "accent"), Line(((128, 70), (106, 186)), "heavy"), TABLE),
             "Water onto acid boils and spits."),
        Move("Let it cool to room temperature, then into its labelled bottle.",
             (Vessel("bottle", (100, 131), ((0.6, "acid"),)), Area(((86, 166), (114, 166), (114, 182), (86, 182)), "sheet"), Note((100, 179), "HCl", "figure", "middle"), TABLE)),
    ),
)  # fmt: skip

CAGE = Scene(
    "cage", "Ribbon into its cage",
    (
        Move("Sand the ribbon bright, on a paper towel and not on the bench. Then weigh it.",
             (Area(((40, 150), (160, 150), (160, 160), (40, 160)), "sheet"), Line(((50, 148), (150, 148)), "heavy"), Area(((86, 122), (122, 122), (122, 144), (86, 144)), "stopper"), Arrow((80, 112), (134, 112)))),
        Move("Fold it, wind the wire around it as a cage: nothing may fall out.",
             (Area(((92, 84), (108, 84), (108, 120), (92, 120)), "metal"), Line(tuple((100 + (16 if n % 2 else -16), 76 + 7 * n) for n in range(9)), "accent"), Line(((100, 138), (100, 176)), "accent"), Note((128, 106), "closed|all round", "soft"))),
        Move("The wire through the stopper, its end bent over. The cage hangs below the last mark.",
             (Vessel("gas tube", (100, 30)), *_cage(100, 30), Note((122, 60), "below the|last mark", "accent", to=(106, 64)))),
    ),
)  # fmt: skip

BRIM = Scene(
    "gas-tube-brim", "Acid, then water to the brim, then over",
    (
        Move("Acid first, through the funnel. It is denser and stays below.",
             (Vessel("gas tube", (100, 44), ((0.25, "acid"),)), Vessel("funnel", (100, 6), ((0.55, ""), (0.8, "acid"))), Line(((100, 54), (100, 158)), "accent"), Note((122, 170), "acid", "soft", to=(110, 172)))),
        Move("Water gently down the wall until it stands above the rim. Cage in, stopper on: some spills, no bubble stays.",
             (Vessel("gas tube", (100, 44), ((0.25, "acid"), (1.0, "water"))), Area(((90, 44), (95, 39), (105, 39), (110, 44)), "water", "fine"), Line(((156, 8), (124, 28), (108, 40)), "accent"), *_cage(44, 66),
              Round((100, 44), 17, "", "accent"), Note((128, 56), "above|the rim", "accent")),
             "A bubble left here counts as hydrogen."),
        Move("Finger on the hole, over, and open it only under water. The acid now sinks to the metal.",
             (Vessel("trough", (100, 128), ((0.72, "water"),)), Vessel("gas tube", (84, 22), ((0.7, "water"), (0.96, "water")), turned=180), Line(((78, 126), (80, 150)), "accent"), *_cage(84, 172, up=True), Bubbles((86, 130), (86, 60), 4),
              Note((126, 110), "open end|stays under", "warn"), Arrow((112, 30), (150, 88), 16), TABLE),
             "Air that gets in counts as gas."),
    ),
)  # fmt: skip

BEAKER_READY = Scene(
    "beaker-ready", "Have it standing ready",
    (
        Move("The large beaker full of water, the clamp at its height: the reaction begins at once.",
             (Vessel("trough", (104, 128), ((0.8, "water"),)), Clamp(24, (84, 60)), TABLE, Note((112, 110), "full", "accent"))),
        Move("Wait until the fizzing is over, five to ten minutes. Tap bubbles loose.",
             (Vessel("trough", (104, 128), ((0.72, "water"),)), Vessel("gas tube", (92, 22), ((0.42, "water"), (0.75, "water"), (1.0, "")), turned=180), Bubbles((92, 140), (92, 80), 5), Clamp(24, (80, 60)), Arrow((136, 96), (108, 100), 4), Note((140, 92), "tap", "soft"), TABLE)),
    ),
)  # fmt: skip

LEVELS = Scene(
    "gas-levels", "Read the gas",
    (
        Move("Finger on the hole, and over into the tall cylinder of water.",
             (Vessel("gas tube", (70, 10), ((0.5, "water"), (1.0, "")), turned=180), Area(((56, 164), (84, 164), (84, 176), (56, 176)), "skin"), Vessel("cylinder", (146, 96), ((0.9, "water"),)), Arrow((88, 60), (140, 84), 18), TABLE)),
        Move("Up and down until both levels are one, at eye level. Now the gas is at the room’s pressure.",
             (Vessel("trough", (92, 110), ((0.66, "water"),)), Vessel("gas tube", (84, 22), ((0.46, "water"), (1.0, "")), turned=180), Line(((40, 133), (150, 133)), "dashed"), Eye((178, 132), (150, 133)), Note((104, 60), "gas", "soft"), Arrow((56, 60), (56, 34)), Arrow((56, 66), (56, 92))),
             "Unequal levels: the gas is not at the barometer’s pressure."),
        Move("Or leave it: ruler’s zero at the water outside, up to the bottom of the inner curve.",
             (Vessel("trough", (92, 128), ((0.5, "water"),)), Vessel("gas tube", (84, 22), ((0.3, "water"), (0.7, "water"), (1.0, "")), turned=180), Area(((106, 40), (118, 40), (118, 162), (106, 162)), "sheet"), *(Line(((106, y), (112, y)), "fine") for y in range(48, 162, 8)),
              Line(((60, 162), (122, 162)), "dashed"), Note((128, 166), "0 here", "accent"), Note((128, 70), "h", "accent", to=(118, 67)))),
    ),
)  # fmt: skip

_FLASK = (92.0, 114.0)  # its rim


def _flask(water: float, dip: bool = True) -> tuple[Thing, ...]:
    """The flask with its side arm; with ``dip`` its stopper and the tube that reaches down into the water."""
    x, y = _FLASK
    arm = Area(((x - 9, y + 12), (x - 22, y + 8), (x - 22, y + 13), (x - 9, y + 17)), "sheet")
    stopper = Area(((x - 9, y - 6), (x + 9, y - 6), (x + 8, y + 8), (x - 8, y + 8)), "stopper")
    tube = (Line(((x, y + 74), (x, y - 20))), stopper) if dip else ()
    return (Vessel("flask", _FLASK, ((water, "water"),)), arm, *tube)


def _outlet(clamp: Paint = "") -> tuple[Thing, ...]:
    """The tubing from the dip tube to the beaker, with its clamp: closed where it is ``metal``."""
    across = Area(((122, 88), (130, 88), (130, 100), (122, 100)), clamp)
    return (Line(((92, 94), (160, 94), (160, 190))), *((across,) if clamp else ()))


def _tube(acid: Paint = "acid") -> tuple[Thing, ...]:
    """The large tube with its stopper, joined to the flask's side arm."""
    x, y = _FLASK
    return (
        Vessel("test tube", (36, 112), ((0.35, acid),)), Area(((27, 106), (45, 106), (43, 116), (29, 116)), "stopper"),
        Line(((36, 106), (36, 90), (60, 90), (60, y + 10), (x - 22, y + 10))),
    )  # fmt: skip


def _portion(x: float, y: float, full: float) -> Thing:
    return Vessel("cylinder", (x, y), ((full, "water"),))


TRAIN = Scene(
    "displaced-water", "Gas drives water over",
    (
        Move("The hydrogen goes into the flask by its side arm and drives as much water over into the beaker.",
             (*_flask(0.6), *_tube(), Vessel("beaker", (158, 134), ((0.3, "water"),)), *_outlet(), Bubbles((36, 184), (36, 154), 4), Arrow((38, 80), (58, 80)), Arrow((104, 84), (146, 84), 6), TABLE)),
        Move("First the pure metal: its water must come near to what it foretells. A leak shows here, not in the alloy.",
             (Vessel("test tube", (46, 98), ((0.35, "acid"),)), Vessel("small tube", (46, 116), ((0.3, "metal"),)), Area(((37, 92), (55, 92), (53, 102), (39, 102)), "stopper"), Note((46, 76), "pure metal", "soft", "middle"),
              Arrow((72, 150), (112, 150), 8), _portion(144, 96, 0.7), Line(((128, 121), (160, 121)), "dashed"), Note((144, 86), "foretold", "accent", "middle"), TABLE),
             "Too little: a joint leaks. Too much: air came in."),
    ),
)  # fmt: skip

TRAIN_FILL = Scene(
    "train-fill", "Fill flask and tubing",
    (
        Move("Water into the flask, nearly to its side arm.",
             (*_flask(0.78, dip=False), Line(((140, 70), (112, 88), (94, 112)), "accent"), Note((122, 140), "nearly to|the side arm", "accent", to=(101, 132)), TABLE),
             "Water in the side arm shuts the gas out."),
        Move("The clamp onto the tubing first, then the tubing onto the flask; its end under water in the beaker.",
             (*_flask(0.78), Vessel("beaker", (158, 134), ((0.4, "water"),)), *_outlet("metal"), Note((126, 78), "clamp first", "accent", "middle"), TABLE)),
        Move("Push with the bulb at the side arm until water fills the tubing to its end. Close the clamp at once.",
             (*_flask(0.74), Vessel("beaker", (158, 134), ((0.42, "water"),)), Line(((92, 94), (160, 94), (160, 190)), "accent"), Area(((122, 88), (130, 88), (130, 100), (122, 100)), "metal"),
              Round((50, 124), 14, "stopper"), Line(((64, 124), (72, 124)), "heavy"), Arrow((16, 124), (32, 124)), Note((126, 78), "no air in it", "accent", "middle"), Note((50, 154), "bulb", "soft", "middle"), TABLE),
             "A bubble left in the tubing breaks the flow."),
    ),
)  # fmt: skip

TRAIN_VIAL = Scene(
    "train-vial", "Acid in, vial in",
    (
        Move("Acid into the large tube by a cylinder, its walls kept dry higher up.",
             (Vessel("test tube", (112, 98), ((0.35, "acid"),)), Vessel("cylinder", (52, 24), ((0.6, "acid"),), turned=62), Line(((98, 64), (110, 96), (112, 160)), "accent"), TABLE)),
        Move("Tilt the tube. The vial with the metal glides down its wall, open end up.",
             (Vessel("test tube", (98, 86), ((0.34, "acid"),), turned=40), Vessel("small tube", (110, 96), ((0.3, "metal"),), turned=40), Arrow((142, 70), (122, 96), -8), Note((120, 176), "acid stays|below", "soft"))),
        Move("Upright again: the vial stands in the acid and no drop is in it.",
             (Vessel("test tube", (100, 98), ((0.35, "acid"),)), Vessel("small tube", (100, 132), ((0.3, "metal"),)), Note((124, 130), "rim above|the acid", "accent", to=(106, 134)), TABLE),
             "Acid in the vial begins before the stopper is on."),
    ),
)  # fmt: skip

TRAIN_SET = Scene(
    "train-set", "Stopper on, clamp open",
    (
        Move("Stopper into the tube with the clamp still closed, the tubing to the side arm.",
             (*_flask(0.74), *_tube(), Vessel("beaker", (158, 134), ((0.42, "water"),)), *_outlet("metal"), Arrow((36, 70), (36, 84)), Note((126, 78), "still closed", "soft", "middle"), TABLE)),
        Move("Empty the beaker; a little water is put back so that the tubing’s end stays under it, in the tare.",
             (Vessel("beaker", (60, 60), ((0.3, "water"), (0.6, "water")), turned=-100), Arrow((116, 130), (88, 112), -10), Vessel("beaker", (158, 134), ((0.14, "water"),)), Line(((160, 40), (160, 190)), "line"), Note((66, 176), "end under", "accent", "middle", to=(158, 188)), TABLE)),
        Move("Now open the clamp. A few drops come over, then the water rests: the train is tight.",
             (*_flask(0.74), *_tube(), Vessel("beaker", (158, 134), ((0.14, "water"),)), *_outlet(), Line(((122, 84), (130, 104)), "heavy"), Note((126, 74), "OPEN", "warn", "middle"), TABLE),
             "A closed clamp: the stopper flies off."),
    ),
)  # fmt: skip

TRAIN_REACT = Scene(
    "train-react", "Tip the vial, shake",
    (
        Move("Thumb on the stopper, tip it so that acid meets metal, shake. Never upside down.",
             (Vessel("test tube", (96, 50), ((0.3, "acid"), (0.5, "acid")), turned=48), Bubbles((84, 106), (110, 84), 4), Area(((126, 50), (146, 62), (138, 76), (118, 64)), "skin"), Arrow((150, 90), (160, 130), 10), Arrow((160, 130), (150, 90), 10))),
        Move("Watch the flask: its water stays above the end of the dip tube, or gas goes over too.",
             (*_flask(0.3), Vessel("beaker", (158, 134), ((0.7, "water"),)), *_outlet(), Line(((52, 188), (126, 188)), "dashed"), Note((10, 100), "never down|to here", "warn", to=(58, 186)), TABLE),
             "Gas in the outlet is lost: the alloy was too much."),
        Move("When the bubbles stop, lift the tubing out of the beaker so that nothing more runs.",
             (Line(((100, 20), (100, 110)), "line"), Arrow((120, 112), (120, 62)), Vessel("beaker", (100, 134), ((0.62, "water"),)), Drops((100, 116), 1, "water"), TABLE)),
    ),
)  # fmt: skip

TRAIN_MEASURE = Scene(
    "train-measure", "Measure the water that came over",
    (
        Move("Fill the cylinder to its last mark, bottom of the curve at eye level. Write it as a full portion.",
             (Vessel("beaker", (46, 60), ((0.6, "water"),), turned=70), Line(((78, 92), (106, 92), (112, 160)), "accent"), _portion(112, 96, 0.92), Eye((170, 104), (126, 104)), TABLE)),
        Move("The same portion into a tared beaker on the balance, then the next one.",
             (Vessel("beaker", (72, 102), ((0.5, "water"),)), Area(((36, 164), (108, 164), (108, 170), (36, 170)), "metal"), Display((30, 170), (84, 24), "99.61 g"), Note((126, 120), "tare first,|below its|capacity", "accent"), TABLE),
             "Drops left in the beaker are gas that is not counted."),
        Move("The last portion is not full: read it to a tenth of a division.",
             (_portion(92, 96, 0.31), Line(((70, 165), (130, 165)), "dashed"), Eye((166, 165), (130, 165)), Note((118, 150), "31.4", "figure"), TABLE)),
    ),
)  # fmt: skip
