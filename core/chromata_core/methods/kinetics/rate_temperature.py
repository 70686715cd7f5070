"""Rate against temperature: activation energy from the disappearing cross."""

from chromata_core.declaration import cautions
from chromata_core.declaration.nature import Follows
from chromata_core.declaration.option_kinds import Choice, ChoiceOption, ListOption, NumberOption, Trials
from chromata_core.declaration.preparation import Shared, Supply, Target
from chromata_core.declaration.questions import conclusion
from chromata_core.declaration.vocabulary import (
    KINETICS,
    Example,
    Fault,
    Method,
    Observation,
    OwnError,
    Quantity,
    Slip,
    Step,
    Wait,
)
from chromata_core.methods import natural_constants
from chromata_core.methods.kinetics import cross
from chromata_core.telling.line_charts import AcrossLine

_MIXED = {"bath_is": "mixed"}

METHOD = Method(
    slug="rate-temperature",
    version=2,
    family=KINETICS,
    title="Rate and temperature",
    question="How much faster does a reaction run when it is warmer, and what is its activation energy?",
    reaction=cross.REACTION,
    options=(
        ListOption("T_plan", "Planned temperatures", "22; 40; 60; 70", "°C", "T_plan",
                   "Room temperature first. What the tubes show is the record."),
        ChoiceOption("bath_is", "Warm water comes from", (
            Choice("beaker", "Beakers, mixed hot and cold", words={"bath_words": "About 5 °C above the planned one, tubes in it"}),
            Choice("thermostat", "Thermostats", words={"bath_words": "The thermostat at the planned one, tubes in it"}),
            Choice("mixed", "Thermostats for some temperatures, beakers for the others", words={"bath_words": "The thermostat, if one stands at it; else a beaker about 5 °C above it"}),
        ), "beaker", "A beaker cools while the tubes warm up; a thermostat does not."),
        ListOption("T_fixed", "Thermostats stand at", "40; 60", "°C", "T_fixed", "Every other temperature a bench makes in a beaker of its own.", when=_MIXED),
        *cross.AGREE,
        NumberOption("baths", "Water baths", "2", low="1", high="8", planning=True),
        NumberOption("bath_places", "Benches at a bath", "4", low="1", high="24", planning=True),
        NumberOption("bath_minutes", "At one temperature", "12", "min", "", "Five minutes for the tubes to warm, then two runs.", low="1", high="90", planning=True),
        NumberOption("bath_change", "Heating a bath to the next", "10", "min", low="0", high="60", planning=True),
        NumberOption("V_thio_plan", "Thiosulfate for a run", "10", "mL", low="1", planning=True),
        NumberOption("c_thio_plan", "Thiosulfate", "0.15", "mol/L", low="0.01", high="1", planning=True),
        NumberOption("T_ref", "Unit of temperature", "1000", "K", "1000 K", fixed=True),
        NumberOption("t_1", "Unit of time", "1", "s", "1 s", fixed=True),
        NumberOption("T_low", "Q₁₀ from 20 °C, in kelvin", "293.15", "K", "T₂₀", fixed=True),
        NumberOption("T_high", "Q₁₀ to 30 °C, in kelvin", "303.15", "K", "T₃₀", fixed=True),
        natural_constants.R, natural_constants.ZERO,
    ),
    roles=cross.ROLES,
    readings=(
        Observation("bath", "The bath", (Choice("set", "{bath_words}"), Choice("room", "No bath: room temperature")),
                    hint="Two baths are shared: room temperature first, the warm ones when they are free."),
        *cross.READINGS,
    ),
    quantities=(
        Quantity("T_A", "Thiosulfate, mean", "mean(T_a)", "°C", "T_thio"),
        Quantity("T_B", "Acid, mean", "mean(T_b)", "°C", "T_acid"),
        Quantity("T", "Temperature", "(T_A + T_B) / 2", "°C", "T"),
        cross.TIME,
        Quantity("rate", "Rate", "1 / t_mean", "1/s", "1/t"),
        Quantity("x", "1000 K over T", "T_ref / T", "", "1000 K/T"),
        Quantity("y", "ln of the rate", "ln(t_1 * rate)", "", "ln(1 s/t)"),
        Quantity("nu", "Degrees of freedom of the scatter", "freedom_about(x, y)", "", "ν", "summary", aside=True),
        Quantity("u_slope", "Doubt of the slope", "doubt_of_slope(x, y)", "", "u", "summary", aside=True),
        Quantity("b", "Slope of the Arrhenius line", "line_slope(x, y)", "", "b", "summary",
                 errors=(OwnError("Scatter about the line", "u_slope", "normal", freedom="nu"),)),
        Quantity("E_a", "Activation energy", "-R * T_ref * b", "kJ/mol", "E_a", "summary", result=True, accepted=True),
        Quantity("Q_10", "Q₁₀, from 20 to 30 °C", "exp(E_a / R * (1 / T_low - 1 / T_high))", "", "Q₁₀", "summary", result=True, accepted=True),
    ),
    steps=(
        Step("labels", "Goggles, cross, tubes", "Put goggles on, draw the cross", "and put a thermometer into each tube: thiosulfate and acid.",
             "10 mL of thiosulfate in one, about 2 mL of acid in the other.", "setup", cautions=(cautions.GOGGLES, cautions.ACID_BURNS, cautions.DEFER), scene="ready"),
        Step("bath", "Into the bath for {T_plan}", "Set the bath for {T_plan}", "and put both tubes into it.", "Prepare the next pair of tubes meanwhile.",
             reads=("bath",), wait=Wait("Reaching the temperature", 300), meanwhile="bath", cautions=(cautions.HOT_WATER,), minutes=2, scene="tubes-in-bath"),
        cross.POUR,
        Step("own", "Own calculation", "Work out the activation energy yourself", "and compare.", "ln of the rate against 1/T in kelvin; the slope is −E_a/R.", "closing", ("own.E_a",)),
        conclusion(3),
        cross.CLEAN,
    ),
    hazards=(*cross.HAZARDS, cautions.HOT_WATER, cautions.DEFER),
    checks=cross.CHECKS,
    questions=(
        "Why does every tube have a thermometer of its own?",
        "What does a difference between the bath's and the tube's temperature do to the activation energy?",
        "Twice as fast for every ten degrees: does your Q₁₀ say so, and at which temperatures?",
    ),
    example=Example((
        ("bath", 1, None, "room"), *cross.runs(1, ("21.8", "21.9", "84.3"), ("22.0", "21.9", "82.6")),
        ("bath", 2, None, "set"), *cross.runs(2, ("40.3", "39.8", "29.1"), ("40.1", "39.9", "30.2")),
        ("bath", 3, None, "set"), *cross.runs(3, ("59.6", "59.9", "10.9"), ("60.2", "59.8", "11.2")),
        ("bath", 4, None, "set"), *cross.runs(4, ("69.8", "69.2", "7.3"), ("69.6", "69.5", "7.0")),
    )),
    # an activation energy of about 43 kJ/mol
    follows=(Follows("T_a", "T_plan"), Follows("T_b", "T_plan"), Follows("rate", "exp(-5.2 * x)")),
    trials=Trials("Temperature", 1, 12, each="T_plan"),
    compares="E_a",
    slips=(
        *cross.SLIPS,
        Slip("celsius", "degrees Celsius are used for kelvin", "x", "T_ref / (T - T_0)"),
        Slip("log10", "log₁₀ is used for ln", "y", "log10(t_1 * rate)"),
        Slip("sign", "the sign is lost", "E_a", "R * T_ref * b"),
        Slip("time-for-rate", "the time is used for the rate", "y", "ln(t_mean / t_1)"),
        Slip("planned-temperature", "the planned temperature is used for the tubes'", "T", "T_plan"),
    ),
    faults=(
        Fault("one-thermometer", "Bath's temperature written for the tubes'", {"T_a": "x + 0.1 * (x - 22)", "T_b": "x + 0.1 * (x - 22)"},
              "Warm tubes are colder than their bath.", "A thermometer in each tube."),
        Fault("late-stop", "Reaction of the hand", {"t": "x + 0.6"}, "The stopwatch stops after the eye.", "The same person starts and stops; larger volumes make longer times."),
        Fault("cooled", "Cooled while pouring", {"t": "x * (1 + 0.5 / x)"}, "The warm tubes stood in the air before.", "Pour straight from the bath."),
    ),
    charts=(AcrossLine("arrhenius", "Arrhenius line", "x", "y"),),
    targets=(Target("Runs for each bench", "2", "", "two at each temperature, a third if they differ"),),
    supplies=(
        Supply("Sodium thiosulfate", "2 * V_thio_plan", "mL", substance="Na2S2O3", concentration="c_thio_plan"),
        Supply("Hydrochloric acid", "2 * V_acid_plan", "mL", note=cautions.ACID_BURNS, substance="HCl", concentration="c_acid_plan"),
        Supply("Tubes and thermometers, pairs", "2", "", "bench"),
    ),
    shared=(
        Shared("Bath", "baths", "bath_places", "bath_minutes", "bath_change", "T_plan", free_first=True, free_label="At room temperature", used_in=("bath", "pour"), kind="bath",
               meanwhile="Draw the cross, label tubes, work out 1/T of what is done.", when={"bath_is": ("beaker", "thermostat")}),
        Shared("Thermostat", "baths", "bath_places", "bath_minutes", "bath_change", "T_plan", only="T_fixed", used_in=("bath", "pour"), kind="bath",
               meanwhile="Work at a temperature that you make yourself: room temperature first.", when=_MIXED),
    ),
    waste=cross.WASTE,
)  # fmt: skip
