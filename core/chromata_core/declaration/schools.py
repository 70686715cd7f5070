"""Options that several methods share, written once."""

from chromata_core.declaration.option_kinds import Choice, ChoiceOption, NumberOption, Option

AGREEMENT = ("agreement", "agreement_limit", "agreement_relative")


def agreement_options(limit: str, unit: str, default: str = "range", relative: str = "5") -> tuple[Option, ...]:
    """How good is “agree”? The instructor's choice per session; limits are common practice, no published source."""
    return (
        ChoiceOption(
            "agreement",
            "When do trials agree?",
            (
                Choice("range", "All within a limit of each other"),
                Choice("rad", "Relative average deviation at most"),
                Choice("rsd", "Relative standard deviation at most"),
            ),
            default,
            "Only trials that agree are averaged; the rough one never is.",
        ),
        NumberOption(
            "agreement_limit",
            "Limit between trials",
            limit,
            unit,
            help="For “all within a limit”.",
            when={"agreement": "range"},
        ),
        NumberOption(
            "agreement_relative",
            "Relative limit",
            relative,
            "%",
            high="100",
            help="For the two relative rules.",
            when={"agreement": ("rad", "rsd")},
        ),
    )


END_POINT = NumberOption(
    "end_point_limit", "End point judged to within ±", "0.05", "mL",
    help="One drop is about 0.05 mL; half a drop if the class works with half drops. Common practice.",
)  # fmt: skip
