"""What is chosen for a session before it begins: options, and how many trials are made."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from decimal import Decimal
from functools import lru_cache

from chromata_core.declaration.names import ChoiceName, CountName, PlanName, QuantityName, When
from chromata_core.errors import ReadingError
from chromata_core.quantity.given import written_in
from chromata_core.quantity.typed import parse_reading
from chromata_core.sentences import counted, first_upper
from chromata_core.uncertainty.source import Distribution

_MOST_LISTED = 24
HOW_MANY = "trials"  # the option's key
_USUAL, _THIRD, _OPEN = "usual", "third", "open"
_EXACTLY = range(1, 7)


@dataclass(frozen=True, slots=True)
class Choice:
    """One way to choose. ``sets`` gives other options their default when this one is taken; ``words`` are put into
    the texts of steps and hints and into labels, where they stand in braces.

    ``units`` are the class's: what is declared in one unit is shown, worked and asked for in another, ``{"kPa":
    "atm"}``. Readings stay in the unit of their instrument, limits and accepted values in the declared one.
    """

    key: str
    label: str
    sets: Mapping[str, str] = field(default_factory=dict)
    words: Mapping[str, str] = field(default_factory=dict)
    units: Mapping[str, str] = field(default_factory=dict)


@dataclass(frozen=True, slots=True)
class ChoiceOption:
    """A school or a session choice."""

    key: str
    label: str
    choices: tuple[Choice, ...]
    default: str
    help: str = ""


@dataclass(frozen=True, slots=True)
class NumberOption:
    """A number chosen for the session. With ``symbol`` it may stand in formulas, under its key; ``planning`` ones serve
    targets and supplies alone; ``fixed`` ones are constants of nature and not offered as a choice. ``when`` says under
    which choices it is asked for.

    ``limit`` is the default ± of that number (text, same unit), of the given distribution; the session may change it
    under the option key with ``.limit`` behind. ``limit_label`` is its line in the budget.
    ``room`` ones stand on a bottle: what its label says may be written for the whole room once the session is open,
    and counts instead of what was planned.
    """

    key: str
    label: str
    default: str
    unit: str = ""
    symbol: str = ""
    help: str = ""
    limit: str = ""
    limit_distribution: Distribution = "normal95"
    limit_label: str = ""
    low: str = "0"
    high: str = ""
    planning: bool = False
    fixed: bool = False
    room: bool = False
    when: When = None


@dataclass(frozen=True, slots=True)
class SubstanceOption:
    """A substance by formula, from a list or typed. Its molar mass stands in formulas under ``key``.

    ``fixed`` substances are part of the method and not offered as a choice.
    """

    key: str
    label: str
    choices: tuple[Choice, ...]
    default: str
    symbol: str
    help: str = ""
    fixed: bool = False


@dataclass(frozen=True, slots=True)
class Planned:
    """One planned value, in the option's unit. ``words`` are put into the texts of its trial, where they stand in
    braces; ``short`` names the trial where its number says nothing.
    """

    value: Decimal
    words: Mapping[str, str] = field(default_factory=dict)
    short: str = ""


@dataclass(frozen=True, slots=True)
class ListOption:
    """A planned value for each trial, written one after the other: “5; 15; 30”. It stands in formulas of that trial,
    under its key, and in texts of its steps where they have ``{key}``. One that plans no trials plans the rows of the
    series whose rule names it. ``along`` names the list whose trials it goes with, a value of its own for each of them.
    """

    key: str
    label: str
    default: str
    unit: str
    symbol: str
    help: str = ""
    along: PlanName = ""
    when: When = None

    def planned(self, text: str) -> list[Planned]:
        """What ``text`` plans, one for each trial or row; ReadingError for what cannot be planned so."""
        values = [Planned(parse_reading(part).value) for part in text.split(";")]
        if len(values) > _MOST_LISTED or min(value.value for value in values) <= 0:
            raise ReadingError(f"Give 1 to {_MOST_LISTED} values above zero, with semicolons between them: 5; 15; 30.")
        return values

    def in_units(self, text: str) -> str:
        """``text`` with every value in the option's unit; as it stands where no unit is written."""
        parts = text.split(";")
        if not any(parse_reading(part).unit for part in parts):
            return text
        return "; ".join(written_in(part, self.unit) for part in parts)

    @property
    def words(self) -> Mapping[str, str]:
        """What stands in texts that belong to no trial of it."""
        return {}


Option = ChoiceOption | NumberOption | SubstanceOption | ListOption


@dataclass(frozen=True, slots=True)
class Asked:
    """``least`` trials are asked for, and further ones while they do not agree, up to ``most``. With ``goes_on`` the
    next one is always at hand.
    """

    least: int
    most: int
    goes_on: bool = False


@dataclass(frozen=True, slots=True)
class Trials:
    """How often the measurement is made. ``agree`` is the trial quantity that must agree between trials.

    ``rough`` names the yes/no option that asks for a rough trial first; it is trial 0 and never averaged. ``each``
    names the list option that plans the trials, one for each of its values, or the number option that counts them.
    """

    noun: str
    minimum: int
    maximum: int
    agree: QuantityName = ""
    rough: ChoiceName = ""
    each: CountName = ""

    def planned_by(self, option: ListOption) -> bool:
        """Whether this list plans a value for each trial."""
        return bool(self.each) and self.each in (option.key, option.along)

    @property
    def how_many(self) -> ChoiceOption | None:
        """The choice of every plan; None where trials are planned one by one, or are made once."""
        return None if self.each or self.maximum == 1 else _how_many(self)

    def asked(self, chosen: str) -> Asked:
        """What ``chosen`` asks for; what the method asks for where nothing was chosen."""
        if chosen.isdigit():
            return Asked(int(chosen), int(chosen))
        return {_THIRD: Asked(2, 3), _OPEN: Asked(1, 1, goes_on=True)}.get(chosen, Asked(self.minimum, self.maximum))


@lru_cache(maxsize=256)
def _how_many(trials: Trials) -> ChoiceOption:
    """Asked for many times in an evaluation, and always the same for the same trials."""
    noun = trials.noun.lower()
    more = ", more until they agree" if trials.agree and trials.minimum > 1 else ""
    third = (Choice(_THIRD, f"Two {noun}s, and a third if they are apart"),) if trials.agree else ()
    choices = (
        Choice(_USUAL, f"At least {counted(trials.minimum, noun)}{more}"),
        *third,
        *(Choice(str(n), first_upper(counted(n, noun))) for n in _EXACTLY),
        Choice(_OPEN, f"As many {noun}s as time allows"),
    )
    return ChoiceOption(
        HOW_MANY, f"How many {noun}s?", choices, _USUAL,
        "What the bench asks for. Who has time may always make one more; only those that agree are averaged.",
    )  # fmt: skip


ONCE = Trials("Trial", 1, 1)
