"""A cup with a thermometer, written once: temperatures before and after, read singly or as a trace, and what a cup takes."""

from chromata_core.declaration.option_kinds import Choice, ChoiceOption, NumberOption, Option
from chromata_core.declaration.vocabulary import OwnError, Quantity, Reading, Role, Series
from chromata_core.judging.rules import TraceRead
from chromata_core.methods import natural_constants
from chromata_core.telling.line_charts import Trace

SINGLE = {"peak": "reading"}
RECORDED = {"peak": ("trace", "extrapolated")}

HEAT_CAPACITY = NumberOption("c", "Heat capacity of water", "4.184", "J/(g·K)", "c", "4.184 is the thermochemical calorie; water at 25 °C has 4.181.",
                             low="0.1")  # fmt: skip
CUP: tuple[Option, ...] = (
    ChoiceOption("cup", "Heat that the cup takes", (Choice("counted", "Counted, with its cup constant"), Choice("neglected", "Neglected")), "counted"),
    NumberOption("C_cup", "Cup constant", "10", "J/K", "C_cup", "Two nested foam cups with lid: about 10 J/K. Common practice.", "5",
                 "normal95", "Cup constant", low="0.1", when={"cup": "counted"}),
)  # fmt: skip
THERMOMETER = Role("thermometer", "Thermometer", ("thermometer", "glass thermometer"), "thermometer-0.1")
CLOCK = Role("clock", "Clock", ("clock",), "clock-1s")


def peak(default: str, extreme: str) -> tuple[Option, ...]:
    """How the temperature after mixing is found; ``extreme`` is highest or lowest."""
    return (
        ChoiceOption("peak", "Temperature after mixing", (
            Choice("reading", f"The {extreme} reading"), Choice("trace", f"The {extreme} of a recorded series"),
            Choice("extrapolated", "A recorded series, drawn back to mixing"),
        ), default, "Drawing back to mixing takes the loss to the room out."),
        NumberOption("t_mix", "Mixed at", "120", "s", "t_mix", "On the clock that runs from the first reading.", low="1", when=RECORDED),
        NumberOption("t_settled", "The line back is drawn from", "180", "s", "t_settled", "When stirring has evened it out.", low="1", when=RECORDED),
        NumberOption("after", "Readings from then on", "6", help="At least three make a line.", low="3", high="60", when=RECORDED),
        natural_constants.ZERO,
    )  # fmt: skip


def trace(trial: int, *pairs: tuple[str, str]) -> tuple[tuple[str, int, int, str], ...]:
    """A recorded series of an example: (seconds, °C) in turn."""
    return tuple(
        (key, trial, index, text)
        for index, pair in enumerate(pairs, 1)
        for key, text in zip(("t", "Temp"), pair, strict=True)
    )


def readings(start: str, end: str, hint: str) -> tuple[Reading, ...]:
    """Two single temperatures, or times and temperatures in turn."""
    return (
        Reading("T_start", start, "°C", "thermometer", "T_start", hint="Wait until it stands still.", when=SINGLE),
        Reading("T_end", end, "°C", "thermometer", "T_end", hint=hint, response=True, when=SINGLE),
        Series("t", "Clock", "s", "clock", "t", paced=True, until=TraceRead("t_settled", "after"), when=RECORDED, logged="curve",
               hint="Twice or more before mixing, mixed at {t_mix}, then every half minute."),
        Series("Temp", "Temperature", "°C", "thermometer", "T", beside="t", response=True, when=RECORDED),
    )  # fmt: skip


TEMPERATURES = (
    Quantity("T_1", "Temperature before", "T_start", "°C", "T₁", when=SINGLE),
    Quantity("T_2", "Temperature after", "T_end", "°C", "T₂", when=SINGLE),
    Quantity("T_1", "Temperature before", "before_mixing(t, Temp, t_mix)", "°C", "T₁", when=RECORDED),
    Quantity("T_2", "Temperature after", "farthest(Temp, T_1)", "°C", "T₂", when={"peak": "trace"}),
    Quantity("u_trace", "What the scatter of the trace leaves open", "doubt_after_mixing(t, Temp, t_mix, t_settled)", "K", "u_T₂",
             when={"peak": "extrapolated"}, aside=True),
    Quantity("nu_trace", "Degrees of freedom of that scatter", "freedom_after_mixing(t, Temp, t_settled)", "", "ν", when={"peak": "extrapolated"}, aside=True),
    Quantity("T_2", "Temperature after", "after_mixing(t, Temp, t_mix, t_settled)", "°C", "T₂", when={"peak": "extrapolated"},
             errors=(OwnError("Scatter of the trace", "u_trace", "normal", freedom="nu_trace"),)),
)  # fmt: skip
CHANGE = Quantity("dT", "Change of temperature", "T_2 - T_1", "K", "ΔT")
TRACE = Trace(
    "trace",
    "Temperature trace",
    "t",
    temperatures="Temp",
    mixed="t_mix",
    settled="t_settled",
    before="T_1",
    after="T_2",
    drawn_back={"peak": "extrapolated"},
)
