"""What a calculator is: fields to write in, and what is worked from them."""

from collections.abc import Callable, Mapping
from dataclasses import dataclass, field

from chromata_core.errors import ReadingError
from chromata_core.quantity.given import read_in
from chromata_core.quantity.typed import parse_reading
from chromata_core.quantity.units import unit
from chromata_core.telling.chart import Chart

_LONGEST = 4000


@dataclass(frozen=True, slots=True)
class FieldOf:
    """A field: ``example`` stands in it until something is written, and is what is worked with first. ``choices`` are
    to be chosen from; ``long`` ones take several lines.
    """

    key: str
    label: str
    example: str
    help: str = ""
    choices: tuple[tuple[str, str], ...] = ()
    long: bool = False


@dataclass(frozen=True, slots=True)
class WorkedStep:
    """A line of the working."""

    label: str
    text: str


@dataclass(frozen=True, slots=True)
class WorkedOut:
    """The answer in words, the working, and for a number that a plan can take its ``value``, ``limit`` and ``unit``."""

    result: str
    steps: list[WorkedStep]
    chart: Chart | None = None
    value: str = ""
    limit: str = ""
    unit: str = ""


Said = Mapping[str, str]


@dataclass(frozen=True)
class Calculator:
    """A calculator by its ``key``; ``work`` takes what is written in its fields, and raises ChromataError with a
    sentence for what cannot be.
    """

    key: str
    title: str
    lead: str
    fields: tuple[FieldOf, ...]
    work: Callable[[Said], WorkedOut] = field(repr=False)

    def worked(self, form: Said) -> WorkedOut:
        """With the examples where nothing is written."""
        unknown = [key for key in form if key not in {field.key for field in self.fields}]
        if unknown:
            raise ReadingError(f"{self.title} has no field “{unknown[0][:40]}”.")
        if any(len(text) > _LONGEST for text in form.values()):
            raise ReadingError(f"That is more than {_LONGEST} characters. Write less of it.")
        return self.work({field.key: form.get(field.key, "").strip() or field.example for field in self.fields})


def si_of(text: str, symbol: str, what: str, above: float | None = 0.0) -> float:
    """The quantity in ``text`` in SI; without a unit it is in ``symbol``. ReadingError if it is not above ``above``."""
    value = float(read_in(text, symbol).value)
    if above is not None and value <= above:
        raise ReadingError(f"{what} must be more than {above:g} {symbol}, not {value:g}.".replace(" ,", ","))
    return unit(symbol).to_si(value)


def split_limit(text: str) -> tuple[str, str]:
    """“0.5012 ± 0.0002 g” as its number with the unit, and what stands behind ±."""
    number, sign, limit = text.partition("±") if "±" in text else text.partition("+-")
    if not sign:
        return text.strip(), ""
    symbol = parse_reading(limit.strip()).unit
    bare = number.strip()
    return (f"{bare} {symbol}" if symbol and symbol != "%" and not parse_reading(bare).unit else bare), limit.strip()
