"""What is told of practice."""

from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class Practised:
    """Something that can be practised, by its slug and what people call it."""

    slug: str
    label: str


@dataclass(frozen=True, slots=True)
class SkillShown:
    """How far a person is in one thing."""

    kind: str
    slug: str
    label: str
    tried: int
    right: int
    in_a_row: int


@dataclass(frozen=True, slots=True)
class PracticeView:
    """What there is to practise, and how far one is."""

    scales: list[Practised]
    calculations: list[Practised]
    hunts: list[Practised]
    skills: list[SkillShown]


@dataclass(frozen=True, slots=True)
class PracticeVerdict:
    """What came of an answer. ``fits``: of a fault hunt, it would explain the numbers as well. ``answer`` is what a
    scale shows, empty for others.
    """

    right: bool
    fits: bool
    sentence: str
    answer: str
    skill: SkillShown


@dataclass(frozen=True, slots=True)
class SkillOfClass:
    """How a class does in one thing: how many people tried, how often, how often it was right."""

    kind: str
    label: str
    people: int
    tried: int
    right: int


@dataclass(frozen=True, slots=True)
class ClassSkills:
    """A section's practice, the weakest first."""

    section: str
    skills: list[SkillOfClass]
