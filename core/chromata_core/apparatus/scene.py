"""A scene: two to four small moves of the hands, each with its drawing and its words."""

from dataclasses import dataclass

from chromata_core.apparatus.drawn import Shape, Words, drawn
from chromata_core.apparatus.things import Line, Thing

WIDTH, HEIGHT = 200.0, 210.0  # of the page on which each move is drawn
FLOOR = 196.0  # where things stand
TABLE = Line(((14, FLOOR), (186, FLOOR)))


@dataclass(frozen=True, slots=True)
class Move:
    """One move: ``text`` says it, ``mind`` the one thing that goes wrong here, if something does."""

    text: str
    things: tuple[Thing, ...]
    mind: str = ""


@dataclass(frozen=True, slots=True)
class Scene:
    """Something that hands do, in moves."""

    key: str
    title: str
    moves: tuple[Move, ...]


@dataclass(frozen=True, slots=True)
class MoveDrawn:
    """A move as it is put on a page."""

    text: str
    mind: str
    shapes: list[Shape]
    words: list[Words]


@dataclass(frozen=True, slots=True)
class SceneDrawn:
    """A scene on pages of ``width`` and ``height``, a move on each."""

    key: str
    title: str
    width: float
    height: float
    moves: list[MoveDrawn]


def scene_drawn(scene: Scene) -> SceneDrawn:
    """``scene`` laid out for screen and paper."""
    return SceneDrawn(scene.key, scene.title, WIDTH, HEIGHT, [_move(move) for move in scene.moves])


def _move(move: Move) -> MoveDrawn:
    pieces = drawn(move.things)
    shapes = [piece for piece in pieces if isinstance(piece, Shape)]
    return MoveDrawn(move.text, move.mind, shapes, [piece for piece in pieces if isinstance(piece, Words)])
