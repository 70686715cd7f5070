"""Scenes of masses: weighing, crucibles, precipitates, filters, a centrifuge, a column."""

from chromata_core.apparatus.scene import FLOOR, TABLE, Move, Scene
from chromata_core.apparatus.things import (
    Area,
    Arrow,
    Clamp,
    Display,
    Drops,
    Flame,
    Line,
    Note,
    Round,
    Thing,
    Vessel,
)  # fmt: skip


def _balance(text: str, x: float = 100.0) -> tuple[Thing, ...]:
    """A balance whose pan is 138 from the top."""
    return (
        Area(((x - 40, 138), (x + 40, 138), (x + 34, 146), (x - 34, 146)), "metal"),
        Display((x - 46, 146), (92, 36), text), TABLE,
    )  # fmt: skip


WEIGH = Scene(
    "weigh-by-difference", "Weigh by difference",
    (
        Move("The bottle with what is in it goes on the balance. Doors closed, wait until it stands, write all decimals.",
             (Vessel("bottle", (100, 73), ((0.4, "solid"),)), *_balance("24.6031 g"))),
        Move("Tap some out into the vessel, without touching it. What falls beside is lost.",
             (Vessel("bottle", (74, 42), ((0.3, ""), (0.56, "solid")), turned=78), Drops((112, 80), 3, "solid", 14), Vessel("beaker", (122, 134), ((0.1, "solid"),)), TABLE)),
        Move("The bottle back on the balance. What is gone from it is in the vessel.",
             (Vessel("bottle", (100, 73), ((0.25, "solid"),)), *_balance("24.1984 g"), Note((150, 100), "less", "accent"))),
    ),
)  # fmt: skip

TARED = Scene(
    "weigh-tared", "Weigh into a tared vessel",
    (
        Move("The empty vessel on the balance, then zero.", (Vessel("boat", (100, 129)), *_balance("0.0000 g"))),
        Move("Add with a spatula, a little at a time. Do not chase the last grain.",
             (Vessel("boat", (100, 129), ((0.7, "solid"),)), *_balance("0.4127 g"), Line(((40, 70), (84, 118)), "heavy"), Drops((90, 112), 1, "solid"))),
        Move("Doors closed. Wait until the number stands, and write it with its zeros.",
             (Vessel("boat", (100, 129), ((0.7, "solid"),)), *_balance("0.4130 g"), Line(((48, 138), (48, 66), (152, 66), (152, 138))), Note((100, 58), "closed", "soft", "middle"))),
    ),
)  # fmt: skip

CRUSH = Scene(
    "crush", "Crush a tablet",
    (
        Move("Weigh the whole tablet first, then tap it to pieces in the mortar.",
             (Vessel("mortar", (100, 150)), Area(((88, 160), (112, 160), (110, 170), (90, 170)), "solid"), Line(((124, 90), (104, 158)), "heavy"), Line(((60, 177), (140, 177)), "line"), Arrow((150, 90), (146, 126)))),
        Move("Then grind, round and round, until no grains are left.",
             (Vessel("mortar", (100, 150), ((0.5, "solid"),)), Line(((128, 92), (108, 168)), "heavy"), Line(((60, 177), (140, 177)), "line"), Arrow((136, 142), (66, 142), 16))),
    ),
)  # fmt: skip

_TRIANGLE = (Line(((56, 112), (144, 112))), Line(((62, 112), (50, FLOOR))), Line(((138, 112), (150, FLOOR))))

CRUCIBLE = Scene(
    "crucible", "Heat, cool, weigh",
    (
        Move("Crucible in the triangle, lid ajar so that steam can go. Gently at first, then strongly.",
             (Vessel("crucible", (100, 84), ((0.5, "colour"),)), Line(((84, 78), (126, 66)), "heavy"), *_TRIANGLE, Round((100, 186), 8, "metal"), Flame((100, 176), 50), TABLE,
              Note((136, 56), "ajar", "accent"), Arrow((128, 60), (140, 26), 8)),
             "Green, blue or orange in the flame: salt is leaving. Less heat."),
        Move("Drops under the lid mean that water is still leaving. Lift it with tongs.",
             (Vessel("crucible", (100, 134), ((0.45, "solid"),)), Line(((70, 112), (130, 98)), "heavy"), *(Round((x, y), 2.6, "water", "fine") for x, y in ((88, 114), (104, 110), (118, 106))),
              Line(((130, 98), (176, 74)), "line"), TABLE, Line(((70, 166), (130, 166)), "heavy"))),
        Move("Cool to room temperature on the pad: a warm crucible floats on the air it warms. Then weigh, without a finger on it.",
             (Vessel("crucible", (100, 106), ((0.45, "solid"),)), *_balance("18.4402 g"), Line(((86, 104), (114, 104)), "heavy")),
             "Warm weighs too little."),
        Move("Heat, cool and weigh again until two weighings agree.",
             (Vessel("crucible", (56, 96), ((0.4, "solid"),)), Flame((56, 168), 30), Arrow((86, 100), (114, 100), 10), Vessel("crucible", (146, 96), ((0.4, "solid"),)),
              Display((110, 138), (72, 30), "the same"), Arrow((126, 184), (70, 184), 10), TABLE)),
    ),
)  # fmt: skip

PRECIPITATE = Scene(
    "precipitate", "Precipitate and let it settle",
    (
        Move("The reagent slowly, along a rod, while you stir.",
             (Vessel("beaker", (100, 134), ((0.14, "solid"), (0.55, "water"))), Line(((120, 60), (100, 186)), "heavy"), Vessel("beaker", (44, 36), ((0.3, "acid"), (0.62, "acid")), turned=70), Line(((74, 74), (106, 110), (104, 150)), "accent"), TABLE)),
        Move("Let it settle until the liquid above is clear.",
             (Vessel("beaker", (100, 134), ((0.2, "solid"), (0.6, "water"))), Arrow((150, 140), (150, 184)), Note((44, 120), "clear", "accent", "middle", (86, 168)), TABLE)),
        Move("One more drop at the wall: if it clouds, more reagent is needed.",
             (Vessel("beaker", (100, 134), ((0.2, "solid"), (0.6, "water"))), Vessel("dropper", (118, 74), ((0.6, "acid"),)), Drops((118, 120), 1, "acid"), TABLE, Note((136, 150), "clouds?", "warn"))),
    ),
)  # fmt: skip

FILTER = Scene(
    "filter", "Filter, wash, dry",
    (
        Move("Weigh the dry filter, fold it, wet it: it clings to the funnel. Its tip touches the beaker’s wall.",
             (Vessel("funnel", (92, 70)), Area(((70, 72), (114, 72), (92, 94)), "sheet"), Vessel("beaker", (104, 134)), Clamp(28, (70, 82)), TABLE, Note((120, 66), "below the rim", "soft"))),
        Move("First the clear liquid along the rod, the solid last. Never above the edge of the paper.",
             (Vessel("beaker", (54, 18), ((0.3, "solid"), (0.6, "water")), turned=74), Line(((88, 52), (94, 82)), "heavy"), Vessel("funnel", (96, 80), ((0.5, ""), (0.68, "solid"), (0.86, "water"))), Drops((96, 130), 1, "water"), Vessel("beaker", (104, 140), ((0.3, "water"),)), TABLE),
             "Over the edge it runs past the filter."),
        Move("Wash with a little cold liquid, several times: three small portions do more than one large one.",
             (Vessel("funnel", (92, 80), ((0.5, ""), (0.68, "solid"), (0.8, "water"))), Vessel("wash bottle", (164, 70), ((0.6, "water"),)), Line(((164, 70), (164, 58), (132, 56), (104, 78)), "fine"), Drops((92, 130), 1, "water"), Vessel("beaker", (100, 140), ((0.4, "water"),)), TABLE)),
        Move("Dry, cool, weigh; and again until two weighings agree.",
             (Area(((24, 60), (176, 60), (176, 190), (24, 190)), "sheet"), Line(((24, 132), (176, 132)), "fine"), Vessel("boat", (100, 122), ((0.7, "solid"),)), Display((128, 66), (42, 22), "110 °C"), *(Arrow((x, 178), (x, 142)) for x in (60, 100, 140)))),
    ),
)  # fmt: skip

CENTRIFUGE = Scene(
    "centrifuge", "Centrifuge and wash a solid",
    (
        Move("Two tubes of the same mass, opposite each other: one alone shakes the machine to pieces.",
             (Round((100, 120), 62, "sheet"), Round((100, 120), 8, "metal"), Vessel("small tube", (100, 62), ((0.4, "solid"), (0.8, "water"))), Vessel("small tube", (100, 131), ((0.2, "water"), (0.6, "solid")), turned=180), Arrow((158, 84), (164, 150), 14)),
             "Nothing is opened while it turns."),
        Move("Pour the clear liquid off with one calm move; the solid stays at the bottom.",
             (Vessel("small tube", (90, 62), ((0.4, "solid"), (0.7, "water")), turned=112), Drops((70, 116), 2, "water"), Vessel("beaker", (62, 140), ((0.3, "water"),)), TABLE)),
        Move("Wash: fill up with the wash liquid, stir the solid up, centrifuge, pour off. Several times.",
             (Vessel("small tube", (70, 120), ((0.35, "solid"), (0.85, "water"))), Line(((92, 70), (70, 160)), "heavy"), Arrow((96, 140), (124, 140), 8), Vessel("small tube", (146, 120), ((0.4, "solid"), (0.85, "water"))), Note((146, 184), "settled", "soft", "middle"))),
    ),
)  # fmt: skip

COLUMN = Scene(
    "column", "A column that stays wet",
    (
        Move("A wad of wool, then resin with plenty of water. The liquid always stands above the resin.",
             (Clamp(36, (90, 60)), Vessel("column", (100, 24), ((0.16, "sheet"), (0.66, "solid"), (0.82, "water"))), Note((118, 66), "always|above", "accent", to=(104, 52)), Vessel("beaker", (100, 166), ((0.3, "water"),))),
             "Dry resin lets everything run past: top closed, shake gently."),
        Move("The sample by pipette along the wall, not into the bed. Two to three drops a second.",
             (Vessel("pipette", (118, -64), ((0.3, "deep"),), turned=12), Vessel("column", (100, 50), ((0.16, "sheet"), (0.66, "solid"), (0.76, "deep"))), Drops((100, 186), 1, "water"))),
        Move("Rinse with small portions until litmus under the tip stays blue. Everything that came is kept.",
             (Vessel("column", (100, 14), ((0.16, "sheet"), (0.66, "solid"), (0.74, "water"))), Drops((100, 150), 1, "water"), Area(((124, 122), (176, 122), (176, 136), (124, 136)), "water"), Note((150, 150), "stays blue", "soft", "middle"), Vessel("beaker", (100, 170), ((0.5, "colour"),)))),
    ),
)  # fmt: skip

ZINC = Scene(
    "reduce-with-zinc", "Reduce with zinc",
    (
        Move("The complex into water, zinc to it, and swirl.",
             (Vessel("flask", (100, 114), ((0.12, "metal"), (0.5, "colour"))), TABLE, Arrow((146, 186), (70, 186), -14))),
        Move("Until the murky green is a clear dark red. Then pour off from the zinc, rinse, and make up.",
             (Vessel("flask", (62, 46), ((0.1, "metal"), (0.34, "deep")), turned=74), Vessel("volumetric flask", (136, 100), ((0.4, "deep"),)), TABLE, Note((24, 160), "zinc stays|behind", "accent"))),
    ),
)  # fmt: skip
