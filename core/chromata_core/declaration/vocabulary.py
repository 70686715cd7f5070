"""The words in which an experiment is declared. A method file reads like the experiment's page in a lab manual.

To add an experiment write one file under ``methods/`` with a ``METHOD``; docs/adding-an-experiment.md shows how.

Scopes: ``bench`` is done once, ``trial`` again for every trial, ``summary`` is computed over the trials that count.
``when={"weighing": "difference"}`` makes a part exist only under that choice of an option (or under any of several, in
a tuple); of more than one option all must hold.
"""

from collections.abc import Mapping
from dataclasses import dataclass, field
from functools import cached_property
from typing import Literal

from chromata_core.declaration.names import (
    CycleName,
    LimitName,
    ListName,
    NumberName,
    QuantityName,
    ReadingName,
    RoleName,
    SceneName,
    SeriesName,
    StepName,
    ValueName,
    When,
)
from chromata_core.declaration.nature import Follows, Titrated
from chromata_core.declaration.option_kinds import ONCE, Choice, Option, Trials
from chromata_core.declaration.parts import Check, Drawing, Guide, SeriesRule
from chromata_core.declaration.preparation import Shared, Stores, Supply, Target
from chromata_core.uncertainty.source import Distribution

Scope = Literal["bench", "trial"]


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
    ``common``: the same for every sample of a bench, such as its standards; what was read for one is offered for the
    next.
    ``response``: it follows from what nature holds, while the others are chosen or found as they are: simulated benches
    let it come out as their truth demands.
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
    common: bool = False
    response: bool = False
    when: When = None


@dataclass(frozen=True, slots=True)
class Series(Reading):
    """Readings of one kind, made again until ``until`` is met. ``beside`` names the series with which this one is read
    in turn, so that the two are pairs; only the first of them has a rule. ``starts``: its first reading is where a
    delivery begins. ``logged`` ones may be taken over from a file, with the one that stands beside: a curve, or a
    spectrum. ``paced`` ones go on in equal steps, such as a clock or a burette: the next one is offered. ``settles``:
    so many seconds are counted before each is read.
    """

    until: SeriesRule | None = None
    beside: SeriesName = ""
    starts: bool = False
    logged: Literal["", "curve", "spectrum"] = ""
    paced: bool = False
    settles: int = 0


@dataclass(frozen=True, slots=True)
class Observation:
    """Something seen, chosen in one touch. ``voids`` are the choices after which the trial cannot be used;
    ``until`` those with which it is done, if there are others after which one looks again.
    ``right`` makes a question of it: which choice is right, each under a condition over what was read (empty: always).
    To who chose another ``because`` is said. The first choice is the usual one only where another would spoil the trial
    or is looked at again: what is merely seen, such as a colour, has none.
    """

    key: str
    label: str
    choices: tuple[Choice, ...]
    voids: tuple[str, ...] = ()
    until: tuple[str, ...] = ()
    scope: Scope = "trial"
    hint: str = ""
    right: Mapping[str, str] = field(default_factory=dict)
    because: str = ""
    when: When = None

    @property
    def has_usual(self) -> bool:
        """Whether the first choice is what one sees when all is well."""
        return bool(self.voids or self.until) and not self.right


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
    shown among the others. ``hands`` names a number of other methods' plans that it can stand for, as the slope of a
    line does; a result can stand for any that its unit fits. ``as_read`` ones foretell a reading and keep its unit,
    whatever the class's is.
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
    hands: str = ""
    as_read: bool = False
    when: When = None

    @property
    def is_line(self) -> bool:
        """Whether it is one number of the work, that a student may work out: no list, nothing for u alone."""
        return not (self.per or self.aside)


@dataclass(frozen=True, slots=True)
class Wait:
    """A timed wait inside a step, in seconds. ``before`` names the option for how many minutes before the session it
    was begun by whoever prepared it. ``again``: how long it is in the second round of a cycle, the third and so on; the
    last of them holds for all that follow.
    """

    label: str
    seconds: int
    before: NumberName = ""
    again: tuple[int, ...] = ()


@dataclass(frozen=True, slots=True)
class Step:
    """One thing to do. ``lead`` and ``then`` make the sentence at the top of the bench.

    ``reads`` are the readings and observations made in it; a step without any is ticked off. ``guide`` says from the
    readings so far how to go on. ``meanwhile`` names the step of the next trial that can be done while this one waits.
    ``early`` names the step of the setup before which this one of a trial is done: a long wait begins first.
    ``photo`` says of what a picture belongs on the record; it is offered, never demanded.
    ``scene`` is the key of the drawing that shows how it is done (apparatus/scene_book.py), empty for none.
    ``minutes`` are how long hands are needed, without its wait; 0: it follows from what is done in it.
    ``cycle``: steps with the same one follow each other and are done in rounds, such as heat, cool, weigh: as long as
    the series named there goes on, which one of them reads, or as often as the number option says. ``again`` is the
    sentence at the top from the second round on.
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
    early: StepName = ""
    photo: str = ""
    scene: SceneName = ""
    minutes: int = 0
    cycle: CycleName = ""
    again: str = ""
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


@dataclass(frozen=True)
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
    trials: Trials = ONCE
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
    titrated: Titrated | None = None
    follows: tuple[Follows, ...] = ()

    @cached_property
    def all_options(self) -> tuple[Option, ...]:
        """Its options, and how many trials are made, which every plan chooses: before the rule by which they agree."""
        how_many = self.trials.how_many
        if how_many is None or how_many.key in [option.key for option in self.options]:
            return self.options
        place = next((n for n, option in enumerate(self.options) if option.key == "agreement"), len(self.options))
        return (*self.options[:place], how_many, *self.options[place:])
