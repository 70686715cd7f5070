"""What a declaration says of nature beyond its formulas, so that a bench worked on the screen behaves as a real one."""

from dataclasses import dataclass

from chromata_core.declaration.names import ChoiceName, LimitName, NumberName, QuantityName, ValueName


@dataclass(frozen=True, slots=True)
class Titrated:
    """What is titrated with what. ``substance`` and ``titrant`` are formulas, the keys of options that choose one, or
    words of a choice in braces; ``concentration`` is the titrant's (mol/L), ``per`` how many H⁺, OH⁻ or electrons one
    formula of the substance gives or takes, 1 if it is empty. By the ``indicator`` the flask has its colour; where a
    curve is recorded, ``end`` is the volume that it takes to its jump.
    """

    substance: str
    titrant: str
    concentration: LimitName
    per: NumberName = ""
    indicator: ChoiceName = ""
    end: QuantityName = ""


@dataclass(frozen=True, slots=True)
class Follows:
    """Under another plan than that of the worked example, ``key``, a reading or a quantity of each trial, is in
    proportion to ``formula``: the mass to the planned one, the potential of a cell to its table value.
    """

    key: ValueName
    formula: str
