"""Enthalpy of a reaction in a cup: acid and base, or a solid that dissolves."""

from dataclasses import replace

from chromata_core.declaration import cautions
from chromata_core.declaration.option_kinds import Choice, ChoiceOption, NumberOption, SubstanceOption, Trials
from chromata_core.declaration.preparation import Supply, Target
from chromata_core.declaration.questions import conclusion
from chromata_core.declaration.schools import agreement_options
from chromata_core.declaration.vocabulary import (
    CALORIMETRY,
    Example,
    Fault,
    Method,
    Observation,
    Quantity,
    Reading,
    Role,
    Slip,
    Step,
)
from chromata_core.judging.whenever import Whenever
from chromata_core.methods import class_units
from chromata_core.methods.calorimetry import cup
from chromata_core.telling.bar_charts import Bars

_ACID, _SALT = {"process": "neutralisation"}, {"process": "dissolution"}

METHOD = Method(
    slug="heat-of-reaction",
    version=3,
    family=CALORIMETRY,
    title="Heat of a reaction",
    question="How much heat does a mole give or take?",
    reaction="H⁺ + OH⁻ → H₂O, or a solid into its ions",
    options=(
        SubstanceOption("M_s", "Solid", (
            Choice("KNO3", "Potassium nitrate", sets={"H_lit": "34.9"}), Choice("NH4NO3", "Ammonium nitrate", sets={"H_lit": "25.7"}),
            Choice("NaCl", "Sodium chloride", sets={"H_lit": "3.9"}), Choice("CaCl2", "Calcium chloride", sets={"H_lit": "-81.3"}),
        ), "KNO3", "M", "For “a solid dissolves”. Enthalpies are handbook values, from memory."),
        ChoiceOption("process", "What happens", (
            Choice("neutralisation", "A strong acid and a strong base", sets={"H_lit": "-55.8", "c": "4.184"},
                   words={"burn": cautions.STRONG_BASE, "mix": "Pour the base into the acid"}),
            Choice("dissolution", "A solid dissolves", sets={"H_lit": "34.9"}, words={"burn": cautions.DISSOLVING, "mix": "Tip the solid in"}),
        ), "neutralisation"),
        NumberOption("c_a", "Acid concentration", "1.000", "mol/L", "c_a", "", "0.005", "normal95", "Acid concentration", room=True, when=_ACID),
        NumberOption("c_b", "Base concentration", "1.100", "mol/L", "c_b", "A little more than the acid, so that all acid reacts.", "0.005", "normal95", "Base concentration", room=True, when=_ACID),
        NumberOption("rho", "Density of the solution", "1.02", "g/mL", "ρ", "0.5 mol/L sodium chloride: 1.02 g/mL.", "0.01", "rectangular", "Density of the solution, assumed", low="0.5", when=_ACID),
        class_units.HEATS,
        replace(cup.HEAT_CAPACITY, label="Heat capacity of the solution", limit="0.20", limit_distribution="rectangular",
                limit_label="Heat capacity of the solution, assumed",
                help="As of water. Half a mole of salt in a litre makes it about 4.0, from memory; the ± says so."),
        *cup.CUP,
        *cup.peak("extrapolated", "extreme"),
        NumberOption("H_lit", "Accepted enthalpy", "-55.8", "kJ/mol", "ΔH_lit",
                     "Water from its ions at 25 °C, no salt beside them: −55.8 by tables of formation enthalpies; near 1 mol/L about −57.", low="-2000"),
        NumberOption("V_plan", "Each solution", "50", "mL", low="1", planning=True),
        NumberOption("m_plan", "Solid", "5.0", "g", low="0.01", planning=True),
        NumberOption("m_w_plan", "Water", "100", "g", low="1", planning=True),
        *agreement_options("2", "kJ/mol", "rad", "5"),
    ),
    roles=(
        Role("pipette", "For the solutions", ("pipette", "burette", "cylinder"), "pipette-50-a"),
        Role("balance", "Balance", ("balance",), "balance-0.01"), cup.THERMOMETER, cup.CLOCK,
    ),
    readings=(
        Reading("V_a", "Acid, in the cup", "mL", "pipette", "V_a", when=_ACID),
        Reading("V_b", "Base", "mL", "pipette", "V_b", hint="In its own beaker, not in the cup yet.", when=_ACID),
        Reading("T_b", "Temperature of the base", "°C", "thermometer", "T_b", hint="Rinse and dry the thermometer on the way.", when=_ACID),
        Reading("m_w", "Water, in the cup", "g", "balance", "m_water", when=_SALT),
        Reading("m_s", "Solid", "g", "balance", "m_solid", hint="Dry, ground fine, on a tared boat.", when=_SALT),
        *cup.readings("Temperature in the cup, before", "Extreme temperature", "The highest it reaches, or the lowest where it cools."),
        Observation("mixed", "Mixing", (Choice("all", "All of it in, nothing spilt"), Choice("spilt", "Some was spilt or stuck")), voids=("spilt",)),
    ),
    quantities=(
        *(quantity for quantity in cup.TEMPERATURES),
        Quantity("T_i", "Temperature of both, before", "(V_a * T_1 + V_b * T_b) / (V_a + V_b)", "°C", "T_i", when=_ACID),
        Quantity("T_i", "Temperature before", "T_1", "°C", "T_i", when=_SALT),
        Quantity("dT", "Change of temperature", "T_2 - T_i", "K", "ΔT"),
        Quantity("m", "Mass of the solution", "rho * (V_a + V_b)", "g", "m", when=_ACID),
        Quantity("m", "Mass of the solution", "m_w + m_s", "g", "m", when=_SALT),
        Quantity("q_s", "Heat of the solution", "m * c * dT", "kJ", "q_solution"),
        Quantity("q_cup", "Heat of the cup", "C_cup * dT", "kJ", "q_cup", when={"cup": "counted"}),
        Quantity("q", "Heat of the reaction", "-q_s - q_cup", "kJ", "q", when={"cup": "counted"}),
        Quantity("q", "Heat of the reaction", "-q_s", "kJ", "q", when={"cup": "neglected"}),
        Quantity("n", "Amount that reacted, the lesser", "lesser(c_a * V_a, c_b * V_b)", "mol", "n", when=_ACID, positive="No solution was measured; look at both volumes again."),
        Quantity("n", "Amount that dissolved", "m_s / M_s", "mol", "n", when=_SALT, positive="No solid was weighed; look at the balance again."),
        Quantity("H_t", "Enthalpy, this trial", "q / n", "kJ/mol", "ΔH"),
        Quantity("H", "Enthalpy of the reaction", "mean(H_t)", "kJ/mol", "ΔH̄", "summary", result=True, accepted=True, known="H_lit"),
    ),
    steps=(
        Step("labels", "Goggles, cup, lid, thermometer", "Put goggles on and nest two cups;", "see that the lid closes.", "", "setup",
             cautions=(cautions.GOGGLES, cautions.SHATTER, "{burn}", cautions.DEFER), scene="ready"),
        Step("measure", "Measure both solutions", "Measure the acid into the cup and the base into its beaker;", "read the base's temperature.",
             "Rinse the thermometer before it goes into the acid.", reads=("V_a", "V_b", "T_b"), when=_ACID, cautions=(cautions.ACID_BURNS, "{burn}"), minutes=4, scene="cylinder"),
        Step("measure", "Weigh water and solid", "Weigh the water into the cup,", "then the solid on a boat.", "", reads=("m_w", "m_s"), when=_SALT, cautions=("{burn}",), minutes=4, scene="cylinder"),
        Step("mix", "Read, mix, read", "Read the cup, {mix}, lid on, swirl;", "write the extreme temperature.", "",
             reads=("T_start", "T_end", "mixed"), when=cup.SINGLE, cautions=("{burn}", cautions.SHATTER), minutes=6, scene="cup-mix"),
        Step("mix", "Record, mix, record", "Start the clock and read twice. {mix} at {t_mix}, lid on, swirl;", "read on every half minute.", "",
             reads=("t", "Temp", "mixed"), when=cup.RECORDED, cautions=("{burn}", cautions.SHATTER), minutes=6, scene="cup-mix"),
        Step("own", "Own calculation", "Work out the enthalpy yourself", "and compare.", "What warms the solution is lost by the reaction: mind the sign.", "closing", ("own.H",)),
        conclusion(3),
        Step("clean", "Pour away, rinse", "Pour the solution away by your instructor's rule", "and rinse the cup.", "", "closing", cautions=(cautions.NEUTRAL_WASTE, cautions.DEFER), scene="tidy"),
    ),
    hazards=(cautions.GOGGLES, cautions.ACID_BURNS, "{burn}", cautions.SHATTER, cautions.DEFER),
    checks=(
        Whenever("dT-small", "-least < dT < least", "Change of temperature {dT} is small.", "A small change is badly known.",
                 "Use stronger solutions or more solid.", on="mixed", limits={"least": "2 K"}),
        Whenever("H_t-sign", "H_t * H_lit < 0", "Enthalpy, this trial {H_t} has the other sign.",
                 "Warming means that the reaction gave heat: ΔH is negative; cooling means positive.",
                 "Look which temperature came first, and whether the right bottle was used.", "stop", "mixed"),
    ),
    questions=(
        "Why is the temperature drawn back to the moment of mixing?",
        "What does the sign of ΔH say, and how does it follow from the thermometer?",
        "Which loss makes your value too small, and how would you show it?",
    ),
    example=Example(
        (
            ("V_a", 1, None, "50.00"), ("V_b", 1, None, "50.00"), ("T_b", 1, None, "21.5"), ("m_w", 1, None, "99.64"), ("m_s", 1, None, "5.07"),
            ("T_start", 1, None, "21.3"), ("T_end", 1, None, "27.8"),
            *cup.trace(1, ("30", "21.3"), ("90", "21.3"), ("150", "27.6"), ("180", "27.8"), ("210", "27.7"), ("240", "27.7"), ("270", "27.6"), ("300", "27.5"), ("330", "27.5")),
            ("mixed", 1, None, "all"),
            ("V_a", 2, None, "50.00"), ("V_b", 2, None, "50.00"), ("T_b", 2, None, "21.6"), ("m_w", 2, None, "100.12"), ("m_s", 2, None, "5.03"),
            ("T_start", 2, None, "21.5"), ("T_end", 2, None, "28.0"),
            *cup.trace(2, ("30", "21.4"), ("90", "21.5"), ("150", "27.8"), ("180", "28.0"), ("210", "27.9"), ("240", "27.8"), ("270", "27.8"), ("300", "27.7"), ("330", "27.6")),
            ("mixed", 2, None, "all"),
        ),
    ),
    trials=Trials("Trial", 2, 4, agree="H_t"),
    slips=(
        Slip("one-solution", "only one of the two solutions is taken for the mass", "m", "rho * V_a", when=_ACID),
        Slip("water-alone", "the solid's mass is left out", "m", "m_w", when=_SALT),
        Slip("sign", "the sign is turned: the solution's heat is given for the reaction's", "q", "q_s + q_cup", when={"cup": "counted"}),
        Slip("sum-of-moles", "acid and base are added for the amount", "n", "c_a * V_a + c_b * V_b", when=_ACID),
        Slip("grams", "grams are used for moles", "n", "1000 * m_s", when=_SALT),
        Slip("end-temperature", "the end temperature is used instead of the change", "dT", "T_2 - T_0"),
        Slip("highest-reading", "the extreme reading is used instead of the line back to mixing", "T_2", "farthest(Temp, T_1)", when={"peak": "extrapolated"}),
        Slip("no-cup", "the cup is left out", "q", "-q_s", when={"cup": "counted"}),
    ),
    faults=(
        Fault("base-warm", "Base warmer than written", {"T_b": "x - 1.0"}, "Freshly made or held in the hand.", "Let both stand side by side, read both."),
        Fault("spilt-base", "Some of the base spilt", {"V_b": "x * 1.04"}, "A wet bench; the amount is counted that never reacted.", "Pour at once, beaker's lip on the cup's rim."),
        Fault("poured-late", "Poured later than the plan says", {"t": "x - 20"}, "The line is drawn back to a moment when nothing was mixed.",
              "Pour when the clock shows the planned time, or correct the plan.", when={"peak": "extrapolated"}),
    ),
    charts=(
        cup.TRACE,
        Bars("heat", "Where the heat is, in the last trial", ("q_s", "q_cup", "q"),
             "The solution has q = {q_s}; what it and the cup took the reaction gave: q = {q}."),
    ),
    targets=(
        Target("Expected change", "-H_lit * lesser(c_a * V_plan, c_b * V_plan) / (2 * V_plan * rho * c)", "K", "without the cup", when=_ACID, at_least="2", choose=("c_a", "c_b")),
        Target("Expected change", "-H_lit * m_plan / M_s / ((m_plan + m_w_plan) * c)", "K", "without the cup", when=_SALT),
    ),
    supplies=(
        Supply("Acid of the plan's concentration", "V_plan", "mL", note=cautions.ACID_BURNS, substance="HCl", concentration="c_a", when=_ACID),
        Supply("Base of the plan's concentration", "V_plan", "mL", note=cautions.STRONG_BASE, substance="NaOH", concentration="c_b", when=_ACID),
        Supply("Solid", "m_plan", "g", when=_SALT), Supply("Water", "m_w_plan", "g", when=_SALT), Supply("Foam cups", "2", "", "bench"),
    ),
    waste=cautions.NEUTRAL_WASTE,
)  # fmt: skip
