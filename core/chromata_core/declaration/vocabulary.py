"""The words in which an experiment is declared. A method file reads like the experiment's page in a lab manual.

To add an experiment write one file under ``methods/`` with a ``METHOD``; docs/adding-an-experiment.md shows how.

Scopes: ``bench`` is done once, ``trial`` again for every trial, ``summary`` is computed over the trials that count.
``when={"weighing": "difference"}`` makes a part exist only under that choice of an option (or under any of several, in
a tuple); of more than one option all must hold.
"""

from collections.abc import Mapping
from dataclasses import dataclass, field
from decimal import Decimal
from typing import Literal

from chromata_core.declaration.names import (
    ChoiceName,
    CountName,
    LimitName,
    ListName,
    NumberName,
    QuantityName,
    ReadingName,
    RoleName,
    SeriesName,
    StepName,
    ValueName,
    When,
)
from chromata_core.declaration.parts import Check, Drawing, Guide, SeriesRule
from chromata_core.declaration.preparation import Shared, Stores, Supply, Target
from chromata_core.errors import ReadingError
from chromata_core.quantity.given import written_in
from chromata_core.quantity.typed import parse_reading
from chromata_core.uncertainty.source import Distribution

Scope = Literal["bench", "trial"]
_MOST_LISTED = 24


@dataclass(frozen=True, slots=True)
class Family:
    """A family of methods, as the method book groups them."""

    key: str
    label: str


SOLUTIONS = Family("solutions", "Solutions and glassware")
TITRATION = Family("titration", "Titration")
GRAVIMETRIC = Family("gravimetric", "Gravimetric")
GAS = Family("gas", "Gas collection")
CALORIMETRY = Family("calorimetry", "Calorimetry")
SPECTROPHOTOMETRY = Family("spectrophotometry", "Spectrophotometry")
ELECTROCHEMISTRY = Family("electrochemistry", "Electrochemistry")
KINETICS = Family("kinetics", "Kinetics")
FAMILIES = (SOLUTIONS, TITRATION, GRAVIMETRIC, GAS, CALORIMETRY, SPECTROPHOTOMETRY, ELECTROCHEMISTRY, KINETICS)


@dataclass(frozen=True, slots=True)
class Choice:
    """One way to choose. ``sets`` gives other options their default when this one is taken; ``words`` are put into
    the texts of steps and hints, where they stand in braces.
    """

    key: str
    label: str
    sets: Mapping[str, str] = field(default_factory=dict)
    words: Mapping[str, str] = field(default_factory=dict)


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
    series whose rule names it.
    """

    key: str
    label: str
    default: str
    unit: str
    symbol: str
    help: str = ""

    def planned(self, text: str) -> list[Planned]:
        """What ``text`` plans, one for each trial or row; ReadingError for what cannot be planned so."""
        found = [Planned(parse_reading(part).value) for part in text.split(";")]
        if len(found) > _MOST_LISTED or min(one.value for one in found) <= 0:
            raise ReadingError(f"Give 1 to {_MOST_LISTED} values above zero, with semicolons between them: 5; 15; 30.")
        return found

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
class Role:
    """A place for an instrument, with the kinds that fit it. ``several``: each reading has a piece of its own, such as
    a thermometer in each of two tubes, so that their calibrations are two.
    """

    key: str
    label: str
    kinds: tuple[str, ...]
    default: str
    several: bool = False


@dataclass(frozen=True, slots=True)
class Reading:
    """A number read from an instrument. ``zero_of`` names the reading whose delivery starts here.

    ``echo`` names the quantity to say back when it is kept; ``optional`` readings are made only if needed and count as
    zero until then, unless the one they ``follow`` was made: the two belong together.
    ``anew``: written once, but the vessel is filled anew for each trial or row. How its filling scatters is then new in
    each, in proportion, in the quantity named here; where that is a list, the scatter about its line holds it.
    ``room``: one person may read it for the whole room, such as the barometer on the wall.
    """

    key: str
    label: str
    unit: str
    role: RoleName
    symbol: str
    scope: Scope = "trial"
    hint: str = ""
    zero_of: ReadingName = ""
    echo: QuantityName = ""
    optional: bool = False
    follows: ReadingName = ""
    anew: QuantityName = ""
    room: bool = False
    when: When = None


@dataclass(frozen=True, slots=True)
class Series(Reading):
    """Readings of one kind, made again until ``until`` is met. ``beside`` names the series with which this one is read
    in turn, so that the two are pairs; only the first of them has a rule. ``starts``: its first reading is where a
    delivery begins. ``logged`` ones may be taken over from a file, with the one that stands beside: a curve, or a
    spectrum.
    """

    until: SeriesRule | None = None
    beside: SeriesName = ""
    starts: bool = False
    logged: Literal["", "curve", "spectrum"] = ""


@dataclass(frozen=True, slots=True)
class Observation:
    """Something seen, chosen in one touch. ``voids`` are the choices after which the trial cannot be used;
    ``until`` those with which it is done, if there are others after which one looks again.
    """

    key: str
    label: str
    choices: tuple[Choice, ...]
    voids: tuple[str, ...] = ()
    until: tuple[str, ...] = ()
    scope: Scope = "trial"
    hint: str = ""
    when: When = None


@dataclass(frozen=True, slots=True)
class OwnError:
    """An error of judgement, new at every trial, of a computed quantity. Its limit is the value of an option, or of a
    quantity that stands before it.

    ``covers``: once its limit is not zero it stands for the scatter of the whole trial, so that the readings' own
    readability and repeatability and other errors of judgement are not counted again (EURACHEM/CITAC CG4, A2).
    ``freedom`` names a quantity with its degrees of freedom; errors that name the same one were judged from one
    scatter. ``shared`` errors are the same one in every trial.
    """

    label: str
    limit: LimitName
    distribution: Distribution
    relative: bool = False
    covers: bool = False
    freedom: QuantityName = ""
    shared: bool = False


@dataclass(frozen=True, slots=True)
class Quantity:
    """A computed quantity. Over trials, and over a series whose scatter counts: ``mean(x)`` alone, so that the spread
    can be told from the known errors.

    ``result``: reported with uncertainty, for each trial if it belongs to trials. ``accepted``: it may be compared
    with an accepted value; ``known`` is one that nature fixes, a formula over constants. ``per`` names the series for
    each of whose rows it is worked: it is a list, as that is. ``aside`` ones serve the uncertainty alone and are not
    shown among the others.
    ``positive`` is the sentence for a value of zero or less, which nature does not allow; such a trial cannot count.
    """

    key: str
    label: str
    formula: str
    unit: str
    symbol: str
    scope: Literal["bench", "trial", "summary"] = "trial"
    result: bool = False
    accepted: bool = False
    errors: tuple[OwnError, ...] = ()
    positive: str = ""
    known: str = ""
    per: ListName = ""
    aside: bool = False
    when: When = None


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


@dataclass(frozen=True, slots=True)
class Wait:
    """A timed wait inside a step, in seconds. ``before`` names the option for how many minutes before the session it
    was begun by whoever prepared it.
    """

    label: str
    seconds: int
    before: NumberName = ""


@dataclass(frozen=True, slots=True)
class Step:
    """One thing to do. ``lead`` and ``then`` make the sentence at the top of the bench.

    ``reads`` are the readings and observations made in it; a step without any is ticked off. ``guide`` says from the
    readings so far how to go on. ``meanwhile`` names the step of the next trial that can be done while this one waits.
    ``photo`` says of what a picture belongs on the record; it is offered, never demanded.
    """

    key: str
    title: str
    lead: str
    then: str = ""
    detail: str = ""
    scope: Literal["setup", "trial", "closing"] = "trial"
    reads: tuple[str, ...] = ()
    wait: Wait | None = None
    cautions: tuple[str, ...] = ()
    guide: Guide | None = None
    meanwhile: StepName = ""
    photo: str = ""
    when: When = None


@dataclass(frozen=True, slots=True)
class Slip:
    """A mistake of arithmetic: ``quantity`` worked with ``formula`` instead. ``says`` finishes “you get this if …”.

    ``with_rough`` puts the rough trial into the mean.
    """

    key: str
    says: str
    quantity: QuantityName = ""
    formula: str = ""
    with_rough: bool = False
    when: When = None


@dataclass(frozen=True, slots=True)
class Fault:
    """Something physical that bends the data: new text formulas for readings, in their own units.

    ``looks`` is how it shows at the bench, ``remedy`` what to do.
    """

    key: str
    label: str
    changes: Mapping[str, str]
    looks: str
    remedy: str
    when: When = None


@dataclass(frozen=True, slots=True)
class Example:
    """A worked example: options and readings (key, trial, index, text) of an invented or published run."""

    readings: tuple[tuple[str, int | None, int | None, str], ...]
    options: Mapping[str, str] = field(default_factory=dict)
    instruments: Mapping[str, str] = field(default_factory=dict)
    source: str = "invented for Chromata"


@dataclass(frozen=True, slots=True)
class Method:
    """An experiment, whole. ``slug`` is its name everywhere; ``version`` grows whenever results could change.

    ``compares`` is the result by which products are compared and ranked; the first result if it is empty. ``path`` are
    the trial quantities through which one goes from what was measured back to the sample, shown one after the other.
    ``more_examples`` stand for choices that the first example cannot show: each is used under those that it names.
    """

    slug: str
    version: int
    family: Family
    title: str
    question: str
    reaction: str
    options: tuple[Option, ...]
    roles: tuple[Role, ...]
    readings: tuple[Reading | Observation, ...]
    quantities: tuple[Quantity, ...]
    steps: tuple[Step, ...]
    hazards: tuple[str, ...]
    checks: tuple[Check, ...]
    questions: tuple[str, ...]
    example: Example
    trials: Trials = Trials("Trial", 1, 1)
    compares: QuantityName = ""
    slips: tuple[Slip, ...] = ()
    faults: tuple[Fault, ...] = ()
    charts: tuple[Drawing, ...] = ()
    targets: tuple[Target, ...] = ()
    supplies: tuple[Supply, ...] = ()
    stores: Stores | None = None
    path: tuple[ValueName, ...] = ()
    waste: str = ""
    more_examples: tuple[Example, ...] = ()
    shared: tuple[Shared, ...] = ()
