"""What people call the fields and choices of the vocabulary, and how each field is written."""

from chromata_core.method.vocabulary import FAMILIES

FORMULAS = ("formula", "known")
LONG = (
    "lead", "then", "detail", "why", "do", "what", "help", "hint", "says", "looks", "remedy", "note", "waste",
    "question", "reaction", "positive", "hazards", "questions", "cautions", "sentence",
)  # fmt: skip
_IN_FORMULAS = (
    "number-option", "substance-option", "list-option", "pairs-option", "reading", "series", "quantity",
)  # fmt: skip
# What people call a field; every other is called as it is named.
LABELS = {
    "key": "Short name", **{f"{owner}.key": "Name in formulas" for owner in _IN_FORMULAS}, "unit": "Unit",
    "default": "Usual one", "when": "Only under", "limit": "±", "limit_distribution": "± is", "limit_label": "Its
    line in the budget", "low": "At least", "high": "At most", "sets": "Sets", "words": "Words put into texts",
    "zero_of": "Start of", "echo": "Say back", "follows": "Follows", "voids": "Choices that void", "lead": "Do
    this", "then": "… and then", "reads": "Reads", "until": "Until", "known": "Known value", "positive": "Said if
    not above zero", "aside": "For the uncertainty alone", "quantity.per": "For each row of", "supply.per": "For
    each", "agree": "What must agree", "noun": "Called", "rough": "Rough one, by", "each": "One for each", "kinds":
    "Fitting kinds", "of": "Series", "on": "Said at", "what": "What is said", "do": "What to do", "says": "You get
    this if …", "limit_option": "Within", "changes": "What it does to readings (x is the true one)", "own-error":
    "Error of judgement", "role": "Place for an instrument", "reading.role": "Instrument", "series.role":
    "Instrument", "roles": "Places for instruments", "result": "Reported as a result", "stores.result": "Which
    result", "accepted": "May be compared with an accepted value", "optional": "Only if needed", "planning": "For
    planning only", "fixed": "A constant, not asked for", "relative": "As a share of the value", "covers": "Stands
    for all scatter", "shared": "The same in every trial", "starts": "A delivery begins with it", "with_rough":
    "With the rough trial", "questions": "Closing questions", "hazards": "Cautions", "quantities": "Quantities, each
    with its formula", "compares": "Products are compared by", "path": "Shown as the way back to the sample",
    "minimum": "At least", "maximum": "At most", "supplies": "What is used up", "targets": "What to aim at",
    "supply": "Supply", "method.shared": "Equipment that benches share", "stores": "What later sessions can use",
    "example": "Worked example", "errors": "Errors of judgement", "photo": "A picture is offered of", "scope": "How
    often", "beside": "Read in turn with", "logged": "May be taken over from a file",
}  # fmt: skip
# What people call a choice; every other is called as it is written.
CHOICES = {
    **{family.key: family.label for family in FAMILIES}, "bench": "Once for the bench", "trial": "In every trial",
    "summary": "Over the trials that count", "setup": "Before the trials", "closing": "At the end", "": "No",
    "keep": "Keep", "look": "Look again", "repeat": "Repeat", "stop": "Stop", "normal": "normal, standard
    uncertainty", "normal95": "normal, holds 95 %", "resolution": "one step of a display", "curve": "A curve",
    "spectrum": "A spectrum",
}  # fmt: skip
# Fields that are asked for at once although they need not be there.
OFTEN = (
    "scope", "unit", "symbol", "hint", "result", "until", "then", "reads", "cautions", "low", "high", "choices",
    "limit", "quantity", "formula", "help", "charts", "slips", "faults", "trials", "waste", "stores", "shared",
    "targets", "supplies", "compares", "path", "source",
)  # fmt: skip
