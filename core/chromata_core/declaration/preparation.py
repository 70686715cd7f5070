"""The words for what is prepared and what outlasts a session: what to aim at, what is used up, what benches share, what
is stored. The vocabulary's Method lists them.
"""

from dataclasses import dataclass
from typing import Literal

from chromata_core.declaration.names import DoneName, NominalName, NumberName, PlanName, QuantityName, RoleName, When


@dataclass(frozen=True, slots=True)
class Target:
    """What to aim at so that the work comes out as wanted: a formula over options, for the first or any trial.

    ``told`` ones are shown at the bench too; never one that is worked from what the bench has to find. It comes out
    well on the scale of the instrument in ``read_at`` and between ``at_least`` and ``at_most`` (numbers in its unit, or
    formulas over options); the options in ``choose`` can be changed so that it does, each alone or all of them.
    """

    label: str
    formula: str
    unit: str
    why: str
    when: When = None
    told: bool = False
    read_at: RoleName = ""
    at_least: str = ""
    at_most: str = ""
    choose: tuple[NumberName, ...] = ()


@dataclass(frozen=True, slots=True)
class Supply:
    """What is used up, by a formula over options: for one trial, or once for a bench.

    Of a solution that is made for the class ``substance`` says what is dissolved: a formula, the key of the choice
    that is one, or words of a choice in braces; a metal stands for its usual salt. ``concentration`` is the key of the
    number or list that tells it, or itself (“6 mol/L”); divided by ``equivalents`` where a number tells a normality.
    """

    label: str
    formula: str
    unit: str
    per: Literal["trial", "bench"] = "trial"
    note: str = ""
    substance: str = ""
    concentration: str = ""
    equivalents: NumberName = ""
    when: When = None


@dataclass(frozen=True, slots=True)
class Shared:
    """Equipment that benches share. Its options say how many pieces there are (``number``), how many benches fit at one
    (``places``), how long one needs it (``minutes``), and how long it takes to set it anew (``change``).

    With ``planned`` it stands at one value of that list at a time, and benches take the values in different orders;
    ``free_first``: the first value needs none of it, and is worked at ``free_label``. With ``only`` just those
    values need it that stand in that list too; the others a bench sees to itself, between its turns. ``after`` says
    how many minutes of work come before anybody needs it. ``meanwhile`` is for who waits. ``kind`` is the kind of
    instrument it is, if readings are made with it, or of equipment (bath, centrifuge, hood), so that it is counted;
    ``follows`` the label of what a bench uses before. ``used_in`` are the steps and readings of a turn: from them
    the floor knows who is in one and who is through.
    """

    label: str
    number: NumberName
    places: NumberName
    minutes: NumberName
    change: NumberName = ""
    planned: PlanName = ""
    only: PlanName = ""
    free_first: bool = False
    free_label: str = "Without it"
    after: NumberName = ""
    meanwhile: str = ""
    kind: str = ""
    follows: str = ""
    used_in: tuple[DoneName, ...] = ()
    when: When = None


@dataclass(frozen=True, slots=True)
class Stores:
    """A result that later sessions can use: as the calibration of the instrument in ``role`` (its nominal value being
    ``nominal``, a list option or reading), or as the concentration of a solution named by the words of ``solution``.
    """

    result: QuantityName
    role: RoleName = ""
    nominal: NominalName = ""
    solution: str = ""
