"""Working with a burette, written once for every titration: filling, reading, running in, judging the end point."""

from chromata_core.declaration import cautions
from chromata_core.declaration.option_kinds import Choice, ChoiceOption, NumberOption
from chromata_core.declaration.vocabulary import Fault, Observation, OwnError, Quantity, Reading, Step, Wait
from chromata_core.judging.guides import RunIn


def _until(indicator: str, colour: str) -> dict[str, str]:
    return {
        "indicator": indicator, "colour": colour, "until": f"a {colour} holds", "held": f"the {colour} has held",
        "first": f"The first {colour} that stays for 30 s while you swirl. Darker than that is too far.",
        "asked": f"Is the {colour} holding?",
    }  # fmt: skip


_GONE = {
    "indicator": "phenolphthalein", "colour": "pink", "until": "the pink is gone and stays away",
    "held": "the pink has stayed away", "asked": "Is it still without colour?",
    "first": "The drop that takes the pink away for 30 s. Nothing shows what comes after it: go slowly.",
}  # fmt: skip

INDICATOR = ChoiceOption(
    "indicator",
    "Indicator",
    (
        Choice("phenolphthalein", "Phenolphthalein", words=_until("phenolphthalein", "pink")),
        Choice("phenolphthalein-gone", "Phenolphthalein, an acid run in: the pink goes", words=_GONE),
        Choice("methyl-orange", "Methyl orange", words=_until("methyl orange", "orange")),
        Choice("bromothymol-blue", "Bromothymol blue", words=_until("bromothymol blue", "green")),
        Choice(
            "universal",
            "Universal, with its chart",
            {"end_point_limit": "0.15", "drops": "5"},
            _until("universal indicator", "chart green"),
        ),
    ),
    "phenolphthalein",
    "Strong base into a weak acid: phenolphthalein. Strong acid into a weak base: methyl orange.",
)

ROUGH = ChoiceOption("rough_trial", "Rough trial first", (Choice("yes", "Yes"), Choice("no", "No")), "yes",
                     "Finds the end point to a millilitre; never averaged.")  # fmt: skip

DROPS = NumberOption("drops", "Drops of indicator", "3", low="1", high="20",
                     help="About five of a universal indicator: more is too dark to judge. Common practice.")  # fmt: skip

FILLS = ChoiceOption(
    "fills",
    "The burette",
    (Choice("hand", "Is filled by hand: read before and after"), Choice("self", "Fills itself to zero: only the end is read")),
    "hand",
    "One with a three-way tap runs over at 0.00; its tolerance holds for a delivery from there.",
)  # fmt: skip
_BY_HAND, _BY_ITSELF = {"fills": "hand"}, {"fills": "self"}

READINGS = (
    Reading("V_start", "Burette, start", "mL", "burette", "V_start", zero_of="V_end",
            hint="Wherever it stands; a full burette is 0.00.", when=_BY_HAND),
    Observation(
        "end_point",
        "End point",
        (Choice("held", "The colour held for 30 s"), Choice("overshot", "Overshot: too much colour")),
        voids=("overshot",),
        hint="{first}",
    ),
    Reading("V_end", "Burette, end", "mL", "burette", "V_end", echo="V", response=True),
    Reading("V_stop", "Burette, stopped for a refill", "mL", "burette", "V_stop", optional=True,
            hint="Close the tap, read where it stands, then fill it below eye level.", when=_BY_HAND),
    Reading("V_refilled", "Burette, after the refill", "mL", "burette", "V_refilled", optional=True, zero_of="V_end",
            follows="V_stop", hint="Where the titration goes on from.", when=_BY_HAND),
)  # fmt: skip

_JUDGED = (OwnError("Judging the end point", "end_point_limit", "triangular"),)
DELIVERED = (
    Quantity("V", "Delivered", "V_end - V_start + V_stop - V_refilled", "mL", "V", errors=_JUDGED, when=_BY_HAND,
             positive="The end reading is not above the start reading; a burette's numbers grow downward."),
    Quantity("V", "Delivered", "V_end", "mL", "V", errors=_JUDGED, when=_BY_ITSELF,
             positive="Nothing was run in: read the burette again."),
)  # fmt: skip

FILL = Step(
    "fill", "Rinse and fill the burette", "Rinse and fill the burette", "with {titrant}.",
    "Twice with a few millilitres of titrant, then fill. Take the funnel out, clear the tip of air.", "setup",
    cautions=(cautions.BELOW_EYES, "{burn}"), minutes=6,
scene="burette-fill")  # fmt: skip

START = (
    Step("start", "Read the start", "Read the burette", "before you open the tap.", reads=("V_start",), when=_BY_HAND, minutes=2, scene="burette-read"),
    Step("start", "Fill it to zero", "Turn the tap to fill until it runs over,", "then off: it stands at 0.00.",
         "The surplus runs back into the bottle. The part under the tap must be full of liquid too.", when=_BY_ITSELF, minutes=2, scene="burette-read"),
)  # fmt: skip

RUN = Step(
    "run", "Run in the titrant", "Run in titrant, swirling,", "until {until} for 30 s.",
    "Quickly for the rough trial; later slowly, then drop by drop, half a drop at the end. Rinse the wall down with a little water before the last drops.",
    reads=("V_stop", "V_refilled", "end_point"), wait=Wait("{asked}", 30), guide=RunIn("V_start", "V"), minutes=5, scene="burette-run")  # fmt: skip

END = Step(
    "end",
    "Read the end",
    "Read the burette",
    "after {held} for 30 s.",
    reads=("V_end",),
    scene="burette-read",
)

CLEAN = Step(
    "clean", "Empty, rinse, waste", "Empty and rinse the burette", "and clear your bench.",
    "Last with distilled water; then upside down, tap open.", "closing", cautions=(cautions.NEUTRAL_WASTE, cautions.DEFER),
scene="tidy")  # fmt: skip

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
