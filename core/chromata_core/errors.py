"""One family of errors. Each carries a code, one sentence a student can act on, and the values as data."""

from difflib import get_close_matches

_MOST_TOLD = 40
_LONGEST_NAME = 60  # looking for near names takes time that grows with their length


class ChromataError(Exception):
    """A mistake in what the core was given. ``str(error)`` is a sentence: what is wrong, why, what to do."""

    code = "chromata"

    def __init__(self, message: str, *, code: str | None = None, **data: object) -> None:
        super().__init__(message)
        self.message = message
        self.code = code or self.code
        self.data = data


class ReadingError(ChromataError):
    """A typed reading that is not a number the instrument could show."""

    code = "reading"


class UnitError(ChromataError):
    """A unit nobody knows, or one that does not fit."""

    code = "unit"


class FormulaError(ChromataError):
    """Formula text outside the small arithmetic language, or whose units do not fit."""

    code = "formula"


class DeclarationError(ChromataError):
    """A method that contradicts itself; found when it is loaded."""

    code = "declaration"


class SheetError(ChromataError):
    """A sheet of readings or options that does not belong to its method; lists its faults at once, of very many the
    first.
    """

    code = "sheet"

    def __init__(self, problems: list[str]) -> None:
        if len(problems) > _MOST_TOLD:
            problems = [*problems[:_MOST_TOLD], f"And {len(problems) - _MOST_TOLD} more."]
        super().__init__(" ".join(problems), problems=problems)
        self.problems = problems


def unknown(kind: str, name: str, known: list[str]) -> str:
    """A sentence for a name nobody knows, with the nearest names that exist."""
    if len(name) > _LONGEST_NAME:
        name = f"{name[:_LONGEST_NAME]}…"
    near = get_close_matches(name, known, n=3, cutoff=0.5)
    if near:
        return f"There is no {kind} “{name}”. Did you mean {' or '.join(f'“{n}”' for n in near)}?"
    there = ", ".join(f"“{n}”" for n in sorted(known)[:6])
    return f"There is no {kind} “{name}”. {f'There are {there}' if there else 'None is known here'}{_others(known)}."


def _others(known: list[str]) -> str:
    return f" and {len(known) - 6} more" if len(known) > 6 else ""
