"""What the screens get about own experiments."""

from dataclasses import dataclass, field
from typing import Any, Literal

from chromata_core.telling.describe import MethodPage
from chromata_core.telling.outcome import Evaluation

State = Literal["draft", "ready", "withdrawn"]


@dataclass(frozen=True, slots=True)
class ExperimentCard:
    """An own experiment as one line. ``changed``: a draft newer than the ready version exists."""

    slug: str
    title: str
    family: str
    copied_from: str
    state: State
    changed: bool
    version: int
    sessions: int


@dataclass(frozen=True, slots=True)
class VersionOut:
    """A version that was kept; ``sessions`` were opened with it."""

    number: int
    note: str
    saved_at: str
    ready: bool
    sessions: int


@dataclass(frozen=True, slots=True)
class ExperimentPage:
    """An own experiment in the hands of its author. ``problems`` are contradictions, ``lacks`` what is still missing,
    ``wishes`` what may wait;
    ``tried`` says that this very draft came through a trial run. ``page`` is how it will look, as soon as it holds.
    """

    card: ExperimentCard
    number: int
    ready: bool
    note: str
    declaration: dict[str, Any]
    problems: list[str]
    lacks: list[str]
    wishes: list[str]
    tried: bool
    versions: list[VersionOut]
    page: MethodPage | None


@dataclass(frozen=True, slots=True)
class Row:
    """A reading of a trial run or an example."""

    key: str
    trial: int | None
    index: int | None
    text: str


@dataclass(frozen=True, slots=True)
class TrialRun:
    """What a trial run gave. ``passed``: every result came out and no finding stops the bench."""

    readings: list[Row]
    evaluation: Evaluation
    passed: bool
    missing: list[str] = field(default_factory=list)


@dataclass(frozen=True, slots=True)
class SceneCard:
    """A drawing by its key, with its title and how many moves it has."""

    key: str
    title: str
    moves: int
