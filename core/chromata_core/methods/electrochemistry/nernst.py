"""Cell potential against concentration: Nernst's slope and the standard potential."""

from chromata_core.declaration import cautions
from chromata_core.declaration.nature import Follows
from chromata_core.declaration.option_kinds import Choice, ChoiceOption, ListOption, NumberOption, Trials
from chromata_core.declaration.preparation import Supply, Target
from chromata_core.declaration.questions import conclusion
from chromata_core.declaration.vocabulary import (
    ELECTROCHEMISTRY,
    Example,
    Fault,
    Method,
    Observation,
    OwnError,
    Quantity,
    Reading,
    Role,
    Slip,
    Step,
)
from chromata_core.judging.whenever import Whenever
from chromata_core.methods import natural_constants
from chromata_core.telling.line_charts import AcrossLine

_ONE, _BOTH = {"varied": ("reduced", "formed")}, {"varied": "both"}

METHOD = Method(
    slug="nernst",
    version=2,
    family=ELECTROCHEMISTRY,
    title="Potential and concentration",
    question="How does the potential of a cell follow its concentrations?",
    reaction="E = E° − (2.303 R T / n F) · log₁₀ Q",
    options=(
        ChoiceOption("cell", "Cell", (
            Choice("ZnCu", "Zinc and copper: Zn + Cu²⁺ → Zn²⁺ + Cu", sets={"z": "2", "p_red": "1", "p_ox": "1", "E_lit": "1.104"}, words={"plus": "copper", "minus": "zinc", "plus_metal": "Cu", "minus_metal": "Zn"}),
            Choice("CuAg", "Copper and silver: Cu + 2 Ag⁺ → Cu²⁺ + 2 Ag", sets={"z": "2", "p_red": "2", "p_ox": "1", "E_lit": "0.458"}, words={"plus": "silver", "minus": "copper", "plus_metal": "Ag", "minus_metal": "Cu"}),
            Choice("ZnAg", "Zinc and silver: Zn + 2 Ag⁺ → Zn²⁺ + 2 Ag", sets={"z": "2", "p_red": "2", "p_ox": "1", "E_lit": "1.561"}, words={"plus": "silver", "minus": "zinc", "plus_metal": "Ag", "minus_metal": "Zn"}),
        ), "ZnCu", "Standard values from the usual compilation, from memory."),
        NumberOption("z", "Electrons in the cell reaction", "2", symbol="n", low="1", high="6"),
        NumberOption("p_ox", "Power of the ion that is formed, in Q", "1", symbol="a", low="1", high="4"),
        NumberOption("p_red", "Power of the ion that is used up, in Q", "1", symbol="b", low="1", high="4"),
        NumberOption("E_lit", "Accepted standard potential", "1.104", "V", "E_lit", low="-6"),
        ChoiceOption("varied", "Concentration that is varied", (
            Choice("reduced", "At the {plus}: the ion that is used up"), Choice("formed", "At the {minus}: the ion that is formed"),
            Choice("both", "Both, one after the other"),
        ), "reduced"),
        ListOption("c_plan", "Concentrations", "1.0; 0.1; 0.01; 0.001", "mol/L", "c", "Each is made from the one before, 1 in 10. Where both are varied: those at the {plus}."),
        ListOption("c_other", "Beside them, at the {minus}", "1.0; 1.0; 0.1; 0.01", "mol/L", "c_−", "One for each of the list above.", along="c_plan", when=_BOTH),
        NumberOption("c_fixed", "Concentration on the other side", "1.0", "mol/L", "c_fixed", "", "0.01", "normal95", "Concentration on the other side", room=True, when=_ONE),
        NumberOption("V_side", "Solution for a half-cell", "20", "mL", low="1", planning=True),
        natural_constants.R, natural_constants.F, natural_constants.UNIT_CONCENTRATION,
        NumberOption("T_25", "25 °C", "25", "°C", "T₂₅", fixed=True),
        NumberOption("ln_10", "ln 10", "2.302585093", symbol="2.303", fixed=True),
    ),
    roles=(
        Role("voltmeter", "Voltmeter, 2 V range", ("voltmeter",), "voltmeter-v"),
        Role("thermometer", "Thermometer", ("thermometer", "glass thermometer"), "thermometer-0.1"),
    ),
    readings=(
        Observation("zero", "Voltmeter, leads together", (Choice("zero", "Shows zero"), Choice("off", "Shows something else: look at its range")), until=("zero",),
                    scope="bench", hint="2 V range: it shows volts with three decimals."),
        Reading("T", "Temperature of the solutions", "°C", "thermometer", "T", scope="bench", room=True),
        Observation("bridge", "Salt bridge", (Choice("fresh", "Fresh, touching both solutions"), Choice("dry", "Dry or loose: renew it")), until=("fresh",),
                    hint="A new paper strip for each solution; the metals do not touch it."),
        Observation("anode", "The anode is", (Choice("plus", "The {plus}"), Choice("minus", "The {minus}")), scope="bench", right={"minus": ""},
                    because="{minus} is the less noble of the two: it gives electrons and goes into solution, {plus} comes down."),
        Reading("E", "Cell potential", "V", "voltmeter", "E", response=True, hint="Red lead at {plus}. Wait until it stands still; keep the sign."),
    ),
    quantities=(
        Quantity("Q", "Reaction quotient", "(c_fixed / c_1)**p_ox / (c_plan / c_1)**p_red", "", "Q", when={"varied": "reduced"}),
        Quantity("Q", "Reaction quotient", "(c_plan / c_1)**p_ox / (c_fixed / c_1)**p_red", "", "Q", when={"varied": "formed"}),
        Quantity("Q", "Reaction quotient", "(c_other / c_1)**p_ox / (c_plan / c_1)**p_red", "", "Q", when=_BOTH),
        Quantity("x", "log₁₀ of Q", "log10(Q)", "", "lg(Q)"),
        Quantity("y", "Cell potential", "E", "mV", "E"),
        Quantity("nu", "Degrees of freedom of the scatter", "freedom_about(x, y)", "", "ν", "summary", aside=True),
        Quantity("u_b", "Doubt of the slope", "doubt_of_slope(x, y)", "mV", "u", "summary", aside=True),
        Quantity("u_a", "Doubt of the intercept", "doubt_of_intercept(x, y)", "mV", "u", "summary", aside=True),
        Quantity("slope", "Slope for a factor of ten in Q", "line_slope(x, y)", "mV", "b", "summary", result=True, accepted=True, known="-ln_10 * R * T / (z * F)",
                 errors=(OwnError("Scatter about the line", "u_b", "normal", freedom="nu"),)),
        Quantity("E_0", "Standard potential of the cell", "line_intercept(x, y)", "V", "E°", "summary", result=True, accepted=True, known="E_lit",
                 errors=(OwnError("Scatter about the line", "u_a", "normal", freedom="nu"),)),
        Quantity("z_found", "Electrons, from the slope", "-ln_10 * R * T / (F * slope)", "", "n", "summary", result=True, known="z"),
    ),
    steps=(
        Step("labels", "Goggles, gloves, metals", "Put goggles and gloves on, sand the metals bright", "and check that each is the one its label says.", "", "setup",
             cautions=(cautions.GOGGLES, cautions.METAL_SALTS, cautions.DEFER), minutes=6, scene="ready"),
        Step("meter", "Voltmeter", "Touch the leads together:", "does it show zero?", "", "setup", ("zero",), scene="cell-leads"),
        Step("warmth", "Temperature", "Read the temperature", "of the solutions.", "", "setup", ("T",)),
        Step("make", "Half-cell with {c_plan}", "Fill the half-cell with {c_plan},", "rinse the metal with it, fresh bridge.", "From the weakest to the strongest nothing is carried over.",
             reads=("bridge",), cautions=(cautions.METAL_SALTS,), photo="The set-up with {c_plan}", minutes=4, when=_ONE, scene="salt-bridge"),
        Step("make", "Half-cells with {c_plan} and {c_other}", "{c_plan} at the {plus}, {c_other} at the {minus};", "rinse the metals, fresh bridge.", "From the weakest to the strongest nothing is carried over.",
             reads=("bridge",), cautions=(cautions.METAL_SALTS,), photo="The set-up with {c_plan} and {c_other}", minutes=5, when=_BOTH, scene="salt-bridge"),
        Step("read", "Read the potential", "Clips clear of the liquid; wait until it stands still,", "read with its sign.", reads=("E",), scene="cell-leads"),
        Step("anode", "Anode", "Which metal was the anode?", "", "", "closing", ("anode",)),
        Step("own", "Own calculation", "Work out slope and standard potential yourself", "and compare.", "E against log Q: slope and intercept.", "closing", ("own.slope", "own.E_0")),
        conclusion(3),
        Step("clean", "Collect the solutions", "Collect every solution", "and rinse the metals.", "", "closing", cautions=(cautions.METAL_SALTS, cautions.DEFER), scene="tidy"),
    ),
    hazards=(cautions.GOGGLES, cautions.METAL_SALTS, cautions.DEFER),
    checks=(
        Whenever("y-sign", "y * E_lit < 0", "Cell potential {y} has the other sign.", "Negative means that the leads are reversed.",
                 "Red lead to the metal named first; read again.", "stop", "E"),
    ),
    questions=(
        "Why does the potential fall when the ion that is used up gets rarer?",
        "Which temperature would double the slope? Is that a good way to measure it?",
        "Why may the weakest solution lie off the line?",
    ),
    example=Example((
        ("zero", None, None, "zero"), ("anode", None, None, "minus"), ("T", None, None, "22.4"),
        *(part for n, volts in enumerate(("1.098", "1.071", "1.041", "1.011"), 1) for part in (("bridge", n, None, "fresh"), ("E", n, None, volts))),
    )),
    follows=(Follows("y", "E_lit - ln_10 * R * T / (z * F) * x"),),
    trials=Trials("Solution", 1, 12, each="c_plan"),
    slips=(
        Slip("inverted-quotient", "the quotient is turned over", "x", "-log10(Q)"),
        Slip("natural-logarithm", "ln is used for log₁₀", "x", "ln_10 * log10(Q)"),
        Slip("one-electron", "one electron is taken for the cell reaction", "z_found", "-ln_10 * R * T / (F * slope) / z"),
    ),
    faults=(
        Fault("wrong-dilution", "Diluted less than planned", {"E": "x + 0.01 * (1.098 - x)"}, "The steps between solutions are smaller.", "One in ten each time, a fresh pipette."),
        Fault("old-bridge", "Old salt bridge", {"E": "x - 0.020 * (1.2 - x)"}, "The display creeps.", "A new strip for each solution."),
        Fault("oxide", "Metal not sanded", {"E": "x - 0.040"}, "Dull metal; every potential is too small.", "Sand, rinse, dry."),
    ),
    charts=(AcrossLine("line", "Nernst's line", "x", "y"),),
    targets=(Target("Slope to be expected at 25 °C", "-ln_10 * R * T_25 / (z * F)", "mV", "for a factor of ten in Q", told=True),),
    supplies=(
        Supply("Solution of the varied ion", "V_side", "mL", "bench", note=cautions.METAL_SALTS, substance="{plus_metal}", concentration="c_plan", when={"varied": "reduced"}),
        Supply("Solution on the other side", "V_side", "mL", "bench", substance="{minus_metal}", concentration="c_fixed", when={"varied": "reduced"}),
        Supply("Solutions at the {plus}", "V_side", "mL", "bench", note=cautions.METAL_SALTS, substance="{plus_metal}", concentration="c_plan", when=_BOTH),
        Supply("Solutions at the {minus}", "V_side", "mL", "bench", note=cautions.METAL_SALTS, substance="{minus_metal}", concentration="c_other", when=_BOTH),
        Supply("Solution of the varied ion", "V_side", "mL", "bench", note=cautions.METAL_SALTS, substance="{minus_metal}", concentration="c_plan", when={"varied": "formed"}),
        Supply("Solution on the other side", "V_side", "mL", "bench", substance="{plus_metal}", concentration="c_fixed", when={"varied": "formed"}),
   ),
    waste="Every solution is collected as heavy-metal waste.",
)  # fmt: skip
