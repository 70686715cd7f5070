"""What is told of archives."""

from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class PieceKept:
    """How many bytes of an archive are here."""

    bytes: int


@dataclass(frozen=True, slots=True)
class SessionInside:
    """A session in an archive: when it was, its method, and how much was written at how many benches."""

    title: str
    method: str
    starts_at: str
    benches: int
    entries: int


@dataclass(frozen=True, slots=True)
class SectionInside:
    """A section in an archive."""

    name: str
    term: str
    students: int
    sessions: list[SessionInside]


@dataclass(frozen=True, slots=True)
class ArchiveInside:
    """What an archive would bring, where and when it was made, and whether this installation sealed it; ``problem``
    says why it cannot be brought in, empty if it can.
    """

    department: str
    made_at: str
    ours: bool
    photos: int
    sections: list[SectionInside]
    problem: str


@dataclass(frozen=True, slots=True)
class BroughtIn:
    """The new sections."""

    sections: list[int]
