"""What the screens get about people."""

from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class DepartmentNow:
    """Whose installation this is; the name is empty before it was set up. ``demo``: ready accounts are offered."""

    name: str
    time_zone: str
    demo: bool


@dataclass(frozen=True, slots=True)
class StaffLink:
    """A one-time link: the path of its page, and how many days it is good for."""

    path: str
    days: int


@dataclass(frozen=True, slots=True)
class LinkOpened:
    """What a link is for. ``name`` and ``username`` are of the person whose password is set, empty for a new account;
    ``sets_up`` one makes the department.
    """

    role: str
    name: str
    username: str
    section: str
    department: str
    sets_up: bool


@dataclass(frozen=True, slots=True)
class StaffMember:
    """Somebody of the staff. ``sections`` are those they teach."""

    id: int
    name: str
    username: str
    role: str
    keeper: bool
    active: bool
    sections: list[str]
    last_seen: str


@dataclass(frozen=True, slots=True)
class SectionLine:
    """A section in the list. ``mine``: it may be changed by who asks."""

    id: int
    name: str
    term: str
    code: str
    archived: bool
    students: int
    instructor: str
    assistants: list[str]
    mine: bool


@dataclass(frozen=True, slots=True)
class RosterStudent:
    """A student on the roster. ``joined``: signed in at least once; ``has_pin``: there is a PIN to join with;
    ``waits``: too many wrong PINs were typed for them.
    """

    id: int
    name: str
    number: str
    joined: bool
    has_pin: bool
    waits: bool


@dataclass(frozen=True, slots=True)
class Helper:
    """Somebody who may assist in the section, and whether they do."""

    id: int
    name: str
    assists: bool


@dataclass(frozen=True, slots=True)
class SectionPage:
    """A section whole, for its instructor."""

    line: SectionLine
    students: list[RosterStudent]
    helpers: list[Helper]


@dataclass(frozen=True, slots=True)
class NewPin:
    """A student's new PIN, told once."""

    pin: str


@dataclass(frozen=True, slots=True)
class TokenOut:
    """A token by the name that its owner gave it; ``used_at`` to an hour, None if it never was."""

    id: int
    name: str
    made_at: str
    used_at: str | None


@dataclass(frozen=True, slots=True)
class TokenMade:
    """A new token, told this once, and all that there are now."""

    secret: str
    tokens: list[TokenOut]
