"""Scenes of gases: ribbon and tube, a train that displaces water, a barometer."""

from chromata_core.apparatus.scene import FLOOR, TABLE, Move, Scene
from chromata_core.apparatus.things import (
    Area,
    Arrow,
    Bubbles,
    Clamp,
    Eye,
    Line,
    Note,
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

_TRAIN: tuple[Thing, ...] = (
    Vessel("test tube", (34, 76), ((0.35, "acid"),)), Area(((25, 70), (43, 70), (41, 80), (27, 80)), "stopper"),
    Line(((34, 70), (34, 50), (86, 50), (86, 118)), "line"), Vessel("side-arm flask", (90, 112), ((0.72, "water"),)),
    Line(((94, 184), (94, 84), (160, 84), (160, 182)), "line"), Vessel("beaker", (158, 134), ((0.3, "water"),)), TABLE,
)  # fmt: skip

TRAIN = Scene(
    "displaced-water", "Gas drives water over",
    (
        Move("Flask nearly full, tubing filled with water, its end below the surface of the beaker.",
             (*_TRAIN, Note((104, 74), "full of water", "accent"))),
        Move("Acid in the tube; the metal in a small vial slides down without touching it. Stopper on, clamp open.",
             (Vessel("test tube", (100, 66), ((0.35, "acid"),)), Vessel("small tube", (100, 84), ((0.3, "metal"),)), Area(((90, 58), (110, 58), (108, 72), (92, 72)), "stopper"), Line(((100, 58), (100, 30), (170, 30)), "line"),
              Line(((140, 22), (140, 38)), "heavy"), Note((140, 56), "clamp open", "warn", "middle")),
             "A closed clamp: the stopper flies off."),
        Move("Thumb on the stopper, tip it so that acid meets metal, shake. Never upside down.",
             (Vessel("test tube", (96, 50), ((0.3, "acid"), (0.5, "acid")), turned=48), Bubbles((84, 106), (110, 84), 4), Area(((126, 50), (146, 62), (138, 76), (118, 64)), "skin"), Arrow((150, 90), (160, 130), 10), Arrow((160, 130), (150, 90), 10))),
        Move("When the bubbles stop, lift the tubing out so that nothing more runs. Measure the water in portions.",
             (Line(((60, 40), (60, 100)), "line"), Arrow((76, 100), (76, 56)), Vessel("beaker", (60, 134), ((0.6, "water"),)), Arrow((96, 150), (122, 150), 8), Vessel("cylinder", (150, 96), ((0.6, "water"),)), Line(((130, FLOOR), (170, FLOOR)), "heavy"), TABLE)),
    ),
)  # fmt: skip
