"""Vessels by half of their outline: radius and depth from the rim down. One line for each kind."""

from dataclasses import dataclass
from typing import Literal

from chromata_core.apparatus.outline import Outline, arc, round_bottom

VesselKind = Literal[
    "test tube", "gas tube", "small tube", "beaker", "wide beaker", "flask", "volumetric flask", "burette", "pipette",
    "cylinder", "crucible", "can", "cup", "cuvette", "column", "funnel", "bottle", "well", "trough", "boat", "mug",
    "side-arm flask", "wash bottle", "mortar", "dropper",
]  # fmt: skip


@dataclass(frozen=True, slots=True)
class Profile:
    """``half`` of the outline; ``open_below``: it ends in a hole. ``marks``: depths of the first and last mark, and
    how many there are.
    """

    half: Outline
    open_below: bool = False
    marks: tuple[float, float, int] | None = None


PROFILES: dict[VesselKind, Profile] = {
    "test tube": Profile(((10, 0), (10, 70), *round_bottom(10, 84))),
    "gas tube": Profile(((11, 0), (11, 140), *round_bottom(11, 152)), marks=(18, 120, 9)),
    "small tube": Profile(((6, 0), (6, 30), (2, 46), (0, 47))),
    "beaker": Profile(((30, 0), (28, 3), (28, 58), (25, 62), (0, 62))),
    "wide beaker": Profile(((44, 0), (42, 3), (42, 66), (38, 70), (0, 70))),
    "flask": Profile(((10, 0), (9, 3), (9, 22), (34, 72), (34, 78), (30, 82), (0, 82))),
    "side-arm flask": Profile(((10, 0), (9, 3), (9, 22), (34, 72), (34, 78), (30, 82), (0, 82))),
    "volumetric flask": Profile(((7, 0), (6, 2), (6, 44), *arc((0, 72), 27, -72, 62), (0, 96)), marks=(22, 22, 1)),
    "burette": Profile(((6, 0), (6, 128), (2, 136), (2, 150)), open_below=True, marks=(14, 122, 13)),
    "pipette": Profile(
        ((2.4, 0), (2.4, 36), (8, 44), (8, 72), (2.4, 80), (2.4, 112), (1, 124)), open_below=True, marks=(20, 20, 1)
    ),
    "cylinder": Profile(((12, 0), (11, 3), (11, 100), (0, 100)), marks=(16, 92, 9)),
    "crucible": Profile(((20, 0), (13, 28), (9, 31), (0, 31))),
    "can": Profile(((24, 0), (24, 62), (0, 62))),
    "cup": Profile(((26, 0), (19, 60), (0, 60))),
    "cuvette": Profile(((10, 0), (10, 50), (0, 50))),
    "column": Profile(((10, 0), (10, 112), (3, 120), (3, 134)), open_below=True),
    "funnel": Profile(((24, 0), (4, 24), (4, 46)), open_below=True),
    "bottle": Profile(((7, 0), (7, 10), (17, 22), (17, 62), (15, 65), (0, 65))),
    "wash bottle": Profile(((5, 0), (5, 6), (16, 18), (16, 58), (13, 62), (0, 62))),
    "well": Profile(((17, 0), (17, 24), (0, 24))),
    "trough": Profile(((60, 0), (58, 3), (58, 64), (54, 68), (0, 68))),
    "boat": Profile(((20, 0), (13, 9), (0, 9))),
    "mug": Profile(((24, 0), (24, 52), (21, 55), (0, 55))),
    "mortar": Profile(((26, 0), (20, 18), (10, 26), (0, 27))),
    "dropper": Profile(((4, 0), (4, 26), (1.2, 34), (1.2, 44)), open_below=True),
}  # fmt: skip
