"""Working with a burette, written once for every titration: filling, reading, running in, judging the end point."""

from chromata_core.declaration import cautions
from chromata_core.declaration.vocabulary import (
    Choice,
    ChoiceOption,
    Fault,
    Observation,
    OwnError,
    Quantity,
    Reading,
    Step,
    Wait,
)
from chromata_core.judging.guides import RunIn

INDICATOR = ChoiceOption(
    "indicator",
    "Indicator",
    (
        Choice("phenolphthalein", "Phenolphthalein", words={"indicator": "phenolphthalein", "colour": "pink"}),
        Choice("methyl-orange", "Methyl orange", words={"indicator": "methyl orange", "colour": "orange"}),
        Choice("bromothymol-blue", "Bromothymol blue", words={"indicator": "bromothymol blue", "colour": "green"}),
        Choice(
            "universal",
            "Universal, with its chart",
            words={"indicator": "universal indicator", "colour": "chart green"},
        ),
    ),
    "phenolphthalein",
    "Strong base into a weak acid: phenolphthalein. Strong acid into a weak base: methyl orange.",
)

ROUGH = ChoiceOption("rough_trial", "Rough trial first", (Choice("yes", "Yes"), Choice("no", "No")), "yes",
                     "Finds the end point to a millilitre; never averaged.")  # fmt: skip

READINGS = (
    Reading("V_start", "Burette, start", "mL", "burette", "V_start", zero_of="V_end",
            hint="Wherever it stands; a full burette is 0.00."),
    Observation(
        "end_point",
        "End point",
        (Choice("held", "The colour held for 30 s"), Choice("overshot", "Overshot: too much colour")),
        voids=("overshot",),
        hint="The first {colour} that stays for 30 s while you swirl. Darker than that is too far.",
    ),
    Reading("V_end", "Burette, end", "mL", "burette", "V_end", echo="V"),
    Reading("V_stop", "Burette, stopped for a refill", "mL", "burette", "V_stop", optional=True,
            hint="Close the tap, read where it stands, then fill it below eye level."),
    Reading("V_refilled", "Burette, after the refill", "mL", "burette", "V_refilled", optional=True, zero_of="V_end",
            follows="V_stop", hint="Where the titration goes on from."),
)  # fmt: skip

DELIVERED = Quantity(
    "V", "Delivered", "V_end - V_start + V_stop - V_refilled", "mL", "V",
    errors=(OwnError("Judging the end point", "end_point_limit", "triangular"),),
    positive="The end reading is not above the start reading; a burette's numbers grow downward.",
)  # fmt: skip

FILL = Step(
    "fill", "Rinse and fill the burette", "Rinse and fill the burette", "with {titrant}.",
    "Twice with a few millilitres of titrant, then fill. Take the funnel out, clear the tip of air.", "setup",
    cautions=(cautions.BELOW_EYES, "{burn}"),
)  # fmt: skip

START = Step("start", "Read the start", "Read the burette", "before you open the tap.", reads=("V_start",))

RUN = Step(
    "run", "Run in the titrant", "Run in titrant, swirling,", "until a {colour} holds for 30 s.",
    "Quickly for the rough trial; later slowly, then drop by drop, half a drop at the end.",
    reads=("V_stop", "V_refilled", "end_point"), wait=Wait("Is the {colour} holding?", 30), guide=RunIn("V_start", "V"),
)  # fmt: skip

END = Step("end", "Read the end", "Read the burette", "after the {colour} has held for 30 s.", reads=("V_end",))

CLEAN = Step(
    "clean", "Empty, rinse, waste", "Empty and rinse the burette", "and clear your bench.",
    "Burette upside down, tap open.", "closing", cautions=(cautions.NEUTRAL_WASTE, cautions.DEFER),
)  # fmt: skip

FAULTS = (
    Fault("air-bubble", "Air bubble in the burette tip", {"V_end": "x + 0.20"},
          "A bubble leaves the tip while running; the volume it held is counted as delivered.",
          "Open the tap fully for a moment before the first reading, until no bubble is left."),
    Fault("overshoot", "Overshot by one drop", {"V_end": "x + 0.05"}, "The colour is a shade too strong.",
          "Half a drop, from the tip to the wall, rinsed down."),
    Fault("burette-wet", "Burette rinsed with water only", {"V_end": "x * 1.01"},
          "The titrant is diluted in the burette: every trial needs more.", "Rinse twice with titrant."),
)  # fmt: skip

CARBON_DIOXIDE = Fault(
    "carbon-dioxide", "Carbon dioxide in the sample water", {"V_end": "x + 0.10"},
    "The pink fades again and again.", "Boil the water first, or go on until the colour holds for 30 s.",
)  # fmt: skip


def sample_volume(key: str, label: str) -> Reading:
    """The volume of sample, once for all trials."""
    return Reading(key, label, "mL", "pipette", key, scope="bench", hint="The same one for every trial.", anew="V")
