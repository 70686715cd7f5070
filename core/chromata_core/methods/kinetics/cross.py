"""The disappearing cross, written once: thiosulfate and acid are poured together over a cross, which the sulfur hides."""

from chromata_core.declaration import cautions
from chromata_core.declaration.option_kinds import Choice, NumberOption, Option
from chromata_core.declaration.vocabulary import Observation, Quantity, Reading, Role, Series, Slip, Step
from chromata_core.methods.kinetics.repeats import Repeats, RepeatsAgree

REACTION = "S₂O₃²⁻ + 2 H⁺ → S + SO₂ + H₂O"
AGREE: tuple[Option, ...] = (
    NumberOption("repeat_within", "Runs agree within", "10", "%", help="Common practice.", high="100"),
    NumberOption("most_runs", "Runs at most", "3", low="2", high="6"),
    NumberOption("V_acid_plan", "Acid for a run", "2", "mL", low="0.1", planning=True),
    NumberOption("c_acid_plan", "Hydrochloric acid", "2", "mol/L", low="0.1", high="6", planning=True),
)  # fmt: skip
ROLES = (
    Role(
        "thermometer",
        "Thermometers, one for each tube",
        ("thermometer", "glass thermometer"),
        "thermometer-0.1",
        several=True,
    ),
    Role("stopwatch", "Stopwatch", ("stopwatch",), "stopwatch-0.1s"),
)
READINGS: tuple[Reading | Observation, ...] = (
    Observation("clear", "Both tubes", (Choice("clear", "Clear"), Choice("cloudy", "One is cloudy already: take fresh tubes")), until=("clear",),
                hint="Cloudy before mixing means that a thermometer or a drop was carried over."),
    Series("T_a", "Thiosulfate just before", "°C", "thermometer", "T_thio", until=RepeatsAgree("t", "repeat_within", "most_runs"),
           hint="In the tube, with its own thermometer: the bath's temperature is not the tube's."),
    Series("T_b", "Acid just before", "°C", "thermometer", "T_acid", beside="T_a", hint="Its own thermometer: never the one from the other tube."),
    Series("t", "Cross gone after", "s", "stopwatch", "t", beside="T_a", response=True, hint="Started when they meet, stopped when the cross is gone: the same eye, from above."),
)  # fmt: skip
TIME = Quantity(
    "t_mean", "Time, mean of the runs", "mean(t)", "s", "t̄", positive="No time passed; look at the stopwatch again."
)
POUR = Step(
    "pour", "Pour together, stop the time", "Read both tubes, pour together over the cross, start;", "stop when it is gone. Twice.",
    "A run that differs by more than the rule is made a third time.", reads=("clear", "T_a", "T_b", "t"), cautions=(cautions.SULFUR_DIOXIDE,),
scene="over-the-cross")  # fmt: skip
CLEAN = Step("clean", "Pour out at once, rinse", "Pour the tubes out under the hood", "and rinse them before sulfur sticks.", "", "closing",
             cautions=(cautions.SULFUR_DIOXIDE, cautions.DEFER), scene="tidy")  # fmt: skip
HAZARDS = (cautions.GOGGLES, cautions.SULFUR_DIOXIDE, cautions.ACID_BURNS)
CHECKS = (Repeats("T_a"),)
SLIPS = (Slip("last-run", "the last run is used instead of the mean", "t_mean", "last(t)"),)
WASTE = "Sulfur is filtered off or collected; the liquid is neutral salt once the gas is gone."


def runs(trial: int, *rows: tuple[str, str, str]) -> tuple[tuple[str, int, int | None, str], ...]:
    """The runs of one trial of an example: both temperatures and the time."""
    readings: list[tuple[str, int, int | None, str]] = [("clear", trial, None, "clear")]
    for index, row in enumerate(rows, 1):
        readings += [(key, trial, index, text) for key, text in zip(("T_a", "T_b", "t"), row, strict=True)]
    return tuple(readings)
