"""What is dissolved for the class can be found under every choice, and how concentrated it is."""

import re
from collections.abc import Iterator

from chromata_core.chemistry.molar_mass import molar_mass
from chromata_core.declaration.option_kinds import ChoiceOption, ListOption, NumberOption, SubstanceOption
from chromata_core.declaration.preparation import Supply
from chromata_core.declaration.vocabulary import Method
from chromata_core.errors import ChromataError
from chromata_core.quantity.given import read_in

_BRACES = re.compile(r"\{(\w+)\}")


def solutions_misfit(method: Method) -> Iterator[str]:
    """A sentence for each supply whose substance or concentration nobody could make."""
    for supply in method.supplies:
        for formula in _formulas(method, supply):
            try:
                molar_mass(formula)
            except ChromataError as error:
                yield f"“{supply.label}”: {error.message}"
        yield from _concentration(method, supply)


def _formulas(method: Method, supply: Supply) -> list[str]:
    option = next((option for option in method.all_options if option.key == supply.substance), None)
    if isinstance(option, ListOption | SubstanceOption):  # it has looked at what is written there itself
        return []
    if isinstance(option, ChoiceOption):
        return [choice.key for choice in option.choices]
    named = _BRACES.fullmatch(supply.substance)
    if named is None:
        return [formula.strip() for formula in supply.substance.split(";") if formula.strip()]
    choices = [c for o in method.options if isinstance(o, ChoiceOption | SubstanceOption) for c in o.choices]
    return [choice.words[named[1]] for choice in choices if choice.words.get(named[1])]


def _concentration(method: Method, supply: Supply) -> Iterator[str]:
    option = next((option for option in method.all_options if option.key == supply.concentration), None)
    try:
        if isinstance(option, NumberOption | ListOption):
            read_in(f"1 {option.unit}", "mol/L")
        elif supply.concentration:
            read_in(supply.concentration, "mol/L")
    except ChromataError as error:
        yield f"“{supply.label}”: {error.message}"
