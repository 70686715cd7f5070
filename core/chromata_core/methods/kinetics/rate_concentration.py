"""Rate against concentration: the order of the reaction in thiosulfate."""

from chromata_core.declaration import cautions
from chromata_core.declaration.nature import Follows
from chromata_core.declaration.option_kinds import ListOption, NumberOption, Trials
from chromata_core.declaration.preparation import Supply, Target
from chromata_core.declaration.questions import conclusion
from chromata_core.declaration.vocabulary import (
    KINETICS,
    Example,
    Fault,
    Method,
    OwnError,
    Quantity,
    Reading,
    Role,
    Slip,
    Step,
)
from chromata_core.methods.kinetics import cross
from chromata_core.telling.line_charts import AcrossLine

METHOD = Method(
    slug="rate-concentration",
    version=2,
    family=KINETICS,
    title="Rate and concentration",
    question="How does the rate follow the concentration: what is the order?",
    reaction=cross.REACTION,
    options=(
        ListOption("V_plan", "Planned volumes of thiosulfate", "10; 8; 6; 4", "mL", "V_plan", "Made up with water to the same volume."),
        NumberOption("c_stock", "Thiosulfate stock", "0.150", "mol/L", "c_stock", "", "0.001", "normal95", "Thiosulfate stock", room=True),
        NumberOption("V_all", "Volume before the acid", "10", "mL", "V_all", low="1"),
        *cross.AGREE,
        NumberOption("c_1", "Unit of concentration", "1", "mol/L", "1 mol/L", fixed=True),
        NumberOption("t_1", "Unit of time", "1", "s", "1 s", fixed=True),
    ),
    roles=(Role("pipette", "For thiosulfate and water", ("graduated pipette", "burette", "cylinder"), "pipette-graduated-10"), *cross.ROLES),
    readings=(
        Reading("V_thio", "Thiosulfate stock", "mL", "pipette", "V_thio", hint="Planned: {V_plan}; made up with water."),
        *cross.READINGS,
    ),
    quantities=(
        Quantity("c", "Concentration before the acid", "c_stock * V_thio / V_all", "mol/L", "c", positive="No thiosulfate was measured; look at the pipette again."),
        cross.TIME,
        Quantity("rate", "Rate", "1 / t_mean", "1/s", "1/t"),
        Quantity("x", "log₁₀ of the concentration", "log10(c / c_1)", "", "lg(c)"),
        Quantity("y", "log₁₀ of the rate", "log10(t_1 * rate)", "", "lg(1 s/t)"),
        Quantity("nu", "Degrees of freedom of the scatter", "freedom_about(x, y)", "", "ν", "summary", aside=True),
        Quantity("u_slope", "Doubt of the slope", "doubt_of_slope(x, y)", "", "u", "summary", aside=True),
        Quantity("order", "Order in thiosulfate", "line_slope(x, y)", "", "n", "summary", result=True, accepted=True,
                 errors=(OwnError("Scatter about the line", "u_slope", "normal", freedom="nu"),)),
    ),
    steps=(
        Step("labels", "Goggles, cross, tubes", "Put goggles on and draw the cross;", "all runs at room temperature.", "A thermometer for each tube.", "setup",
             cautions=(cautions.GOGGLES, cautions.ACID_BURNS, cautions.DEFER), scene="ready"),
        Step("measure", "Make {V_plan} up with water", "Measure {V_plan} of thiosulfate and make it up with water,", "the acid into its own tube.", reads=("V_thio",), minutes=2, scene="cylinder"),
        cross.POUR,
        Step("own", "Own calculation", "Work out the order yourself", "and compare.", "The slope of log rate against log concentration.", "closing", ("own.order",)),
        conclusion(3),
        cross.CLEAN,
    ),
    hazards=(*cross.HAZARDS, cautions.DEFER),
    checks=cross.CHECKS,
    questions=(
        "Why is every mixture made up to the same volume?",
        "What would a half as warm room do to your points, and what to the slope?",
        "Does 1/t measure the rate at the start or a mean? What follows for the order?",
    ),
    example=Example((
        ("V_thio", 1, None, "10.00"), *cross.runs(1, ("21.8", "21.9", "40.3"), ("22.0", "21.9", "41.6")),
        ("V_thio", 2, None, "8.00"), *cross.runs(2, ("21.9", "21.8", "50.9"), ("22.0", "21.9", "52.4")),
        ("V_thio", 3, None, "6.00"), *cross.runs(3, ("22.0", "21.9", "70.2"), ("22.1", "22.0", "68.1")),
        ("V_thio", 4, None, "4.00"), *cross.runs(4, ("22.0", "22.0", "103.8"), ("22.1", "22.0", "107.5")),
    )),
    follows=(Follows("V_thio", "V_plan"), Follows("rate", "c")),
    trials=Trials("Mixture", 1, 12, each="V_plan"),
    slips=(
        *cross.SLIPS,
        Slip("time-for-rate", "the time is used for the rate", "y", "log10(t_mean / t_1)"),
        Slip("ln-for-log", "ln on one axis, log₁₀ on the other", "y", "ln(t_1 * rate)"),
        Slip("no-logarithm", "the rate itself is drawn, not its logarithm", "y", "100 * t_1 * rate"),
    ),
    faults=(
        Fault("late-stop", "Reaction of the hand", {"t": "x + 2"}, "The stopwatch stops after the eye.", "The same person starts and stops."),
        Fault("pipette-read-high", "Pipette read from the wrong side", {"V_thio": "x + 0.5"}, "The numbers run the other way.", "Write what was delivered."),
    ),
    charts=(AcrossLine("order", "Order of the reaction", "x", "y"),),
    targets=(Target("First mixture", "c_stock * V_plan / V_all", "mol/L", "before the acid", told=True),),
    supplies=(
        Supply("Sodium thiosulfate stock", "2 * V_plan", "mL", substance="Na2S2O3", concentration="c_stock"),
        Supply("Hydrochloric acid", "2 * V_acid_plan", "mL", note=cautions.ACID_BURNS, substance="HCl", concentration="c_acid_plan"),
    ),
    waste=cross.WASTE,
)  # fmt: skip
