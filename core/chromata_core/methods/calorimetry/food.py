"""Energy of a burning piece of food, caught by water in a can."""

from chromata_core.declaration import cautions
from chromata_core.declaration.option_kinds import Choice, ChoiceOption, NumberOption, Trials
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
from chromata_core.judging.checks import Within
from chromata_core.methods import class_units, natural_constants
from chromata_core.methods.calorimetry import cup
from chromata_core.methods.weighing import tared

_EACH = {"own_asked": "each"}

METHOD = Method(
    slug="food-calorimetry",
    version=1,
    family=CALORIMETRY,
    title="Energy of a burning food",
    question="How much energy does a piece of food hold, and what does its label say?",
    reaction="food + O₂ → CO₂ + H₂O, heat into the water",
    options=(
        class_units.FOOD_ENERGY, cup.HEAT_CAPACITY,
        ChoiceOption("water_by", "Water is", (Choice("cylinder", "Measured in a cylinder, 1 g/mL"), Choice("balance", "Weighed")), "cylinder"),
        NumberOption("rho_1", "Density taken for water", "1", "g/mL", "ρ", fixed=True),
        ChoiceOption("burned_by", "Mass burned", (Choice("residue", "First weighing less the rest"), Choice("whole", "All of it: it burned nearly to the end"),
        ), "residue", "A piece that burned to its end leaves 0.00."),
        ChoiceOption("own_asked", "Worked out by each bench", (
            Choice("end", "At the end: energy of a gram, share of the label"),
            Choice("each", "One after the other: heat, energy, that of a gram; then of a piece and its share"),
        ), "end", "Each answer is judged before the next one builds on it."),
        NumberOption("E_label", "Label: energy of a serving", "160", "kcal", "E_label", low="0.1"),
        NumberOption("N_label", "Label: pieces in a serving", "24", symbol="N", low="1"),
        NumberOption("N_several", "Pieces weighed together", "10", symbol="N_weighed", help="For the mean mass of a piece.", low="1"),
        NumberOption("J_kcal", "Joules in a {energy_unit}", "4184", "J/kcal", "k", fixed=True),
        NumberOption("c_kcal", "The same heat capacity, in {energy}", "1", "kcal/(L·K)", "c", fixed=True),
        natural_constants.N_A, natural_constants.ZERO,
        NumberOption("V_plan", "Water in the can", "60", "mL", low="1", planning=True),
        NumberOption("m_plan", "Piece to burn", "1.0", "g", low="0.01", planning=True),
        NumberOption("catch", "Share of the heat that reaches the water", "30", "%", help="Open flame under a can: a fifth to a half. Common practice.", low="1",
                     high="100", planning=True),
        *agreement_options("0.3", "kcal/g", "rad", "10"),
    ),
    roles=(
        Role("balance", "Balance", ("balance",), "balance-0.01"), Role("cylinder", "Cylinder", ("cylinder",), "cylinder-100-a"), cup.THERMOMETER,
    ),
    readings=(
        Reading("m_several", "Several pieces together", "g", "balance", "m_several", scope="bench", hint="{N_several} pieces, unburned, on a tared boat."),
        Reading("V_w", "Water in the can", "mL", "cylinder", "V", hint="About {V_plan}.", when={"water_by": "cylinder"}),
        tared("m_w", "Water in the tared can", "m_water", "About {V_plan}.", when={"water_by": "balance"}),
        Reading("m_food", "Food on its tared boat", "g", "balance", "m_food", hint="One piece."),
        Reading("T_start", "Water, before", "°C", "thermometer", "T_start", hint="Thermometer clear of the bottom."),
        Reading("T_end", "Highest temperature", "°C", "thermometer", "T_end", response=True, hint="It rises a little after the flame is out. Clear of the bottom.", echo="q"),
        Observation("fell", "The piece", (Choice("stayed", "Stayed in the holder"), Choice("fell", "Fell, or part of it did")), voids=("fell",),
                    hint="What fell burned elsewhere or not at all."),
        Reading("m_rest", "What is left of it", "g", "balance", "m_rest", hint="Same boat, same tare. Let it cool. It burned to its end: zero.", echo="m", when={"burned_by": "residue"}),
    ),
    quantities=(
        Quantity("m_piece", "Mean mass of a piece", "m_several / N_several", "g", "m_piece", "bench"),
        Quantity("E_said", "Label, per piece", "E_label / N_label", "kcal", "E_label/N", "bench"),
        Quantity("m_water", "Mass of water", "V_w * rho_1", "g", "m_water", when={"water_by": "cylinder"}),
        Quantity("m_water", "Mass of water", "m_w", "g", "m_water", when={"water_by": "balance"}),
        Quantity("m", "Mass burned", "m_food - m_rest", "g", "m", positive="It did not get lighter; were the two weighings swapped?", when={"burned_by": "residue"}),
        Quantity("m", "Mass burned", "m_food", "g", "m", positive="Nothing was weighed; look at the balance again.", when={"burned_by": "whole"}),
        Quantity("dT", "Rise of temperature", "T_end - T_start", "K", "ΔT", positive="The water did not get warmer; look at both temperatures again."),
        Quantity("q", "Heat caught by the water", "m_water * c * dT", "J", "q"),
        Quantity("E", "the same in {energy}", "q / J_kcal", "kcal", "E"),
        Quantity("E_short", "by the shortcut, litres × ΔT", "m_water / rho_1 * c_kcal * dT", "kcal", "E_short"),
        Quantity("e_t", "Energy of a gram, this trial", "E / m", "kcal/g", "e"),
        Quantity("e", "Energy of a gram", "mean(e_t)", "kcal/g", "ē", "summary", result=True, accepted=True),
        Quantity("E_piece", "Energy of a piece", "e * m_piece", "kcal", "E_piece", "summary", result=True, accepted=True),
        Quantity("w", "Share of the label", "E_piece / E_said", "%", "w", "summary", result=True),
        Quantity("H", "Enthalpy of a mole of pieces", "-E_piece * N_A", "kJ/mol", "ΔH", "summary", result=True),
    ),
    steps=(
        Step("labels", "Goggles, can, holder, long lighter", "Put goggles on and set the can over the holder,", "its bottom just above where the flame will be.",
             "Can on a ring or rod, boat, holder of wire, long lighter or splint.", "setup",
             cautions=(cautions.GOGGLES, cautions.NUTS, cautions.OPEN_FLAME, cautions.NOT_EATEN, cautions.DEFER), scene="ready"),
        Step("several", "Mean mass of a piece", "Weigh {N_several} pieces together", "on a tared boat.", "", "setup", ("m_several",), cautions=(cautions.NUTS, cautions.NOT_EATEN), scene="weigh-tared"),
        Step("water", "Water into the can", "Measure about {V_plan} of water", "into the can.", reads=("V_w", "m_w"), scene="cylinder"),
        Step("weigh", "Weigh the piece", "Weigh one piece", "on the tared boat.", reads=("m_food",), scene="weigh-tared"),
        Step("warmth", "Temperature before", "Read the water's temperature,", "clear of the bottom.", reads=("T_start",)),
        Step("burn", "Light it, heat the water", "Light the piece with the long lighter, push it under the can at once;", "write the highest temperature.",
             "Light it again if it goes out early. The can just above the flame: soot means too near.", reads=("T_end", "fell"),
             cautions=(cautions.OPEN_FLAME, cautions.SMOKE, cautions.HOT_CAN), minutes=5, scene="burning-food"),
        Step("rest", "Weigh what is left", "Let it cool, weigh what is left", "on the same boat.", reads=("m_rest",), when={"burned_by": "residue"}, cautions=(cautions.HOT_CAN,), scene="burning-food"),
        Step("own-piece", "Own calculation, this piece", "Work out the heat, then the energy,", "then that of one gram.", "Joules first; 4184 J make one kilocalorie.", "trial", ("own.q", "own.E", "own.e_t"), when=_EACH, minutes=5),
        Step("own", "Own calculation", "Work out the energy of a gram and of a piece yourself", "and compare with the label.",
             "Joules first, then kilocalories: 4184 J make one. Litres times degrees gives kilocalories directly.", "closing", ("own.e", "own.w"), when={"own_asked": "end"}),
        Step("own", "Own calculation", "Work out the energy of a piece,", "and which share of its label that is.", "From the mean of your pieces and the mean mass of one.", "closing", ("own.E_piece", "own.w"), when=_EACH),
        conclusion(4),
        Step("clean", "Clean the can", "When all is cold, wipe the soot off", "and throw the food away.", "", "closing", cautions=(cautions.HOT_CAN, cautions.NOT_EATEN, cautions.DEFER), scene="tidy"),
    ),
    hazards=(cautions.GOGGLES, cautions.NUTS, cautions.OPEN_FLAME, cautions.SMOKE, cautions.HOT_CAN, cautions.NOT_EATEN, cautions.DEFER),
    checks=(
        Within("dT", "A small rise is badly known.", "Take a larger piece or less water.", low="5", on="T_end"),
        Within("w", "More than the label says cannot come from this food.", "Look at the masses, and whether the lighter heated the can.", high="105", on="m_several"),
    ),
    questions=(
        "Where did the heat go that the label promises and you did not catch?",
        "Why does litres times degrees give kilocalories at once?",
        "What would a piece that fell off do to your value per gram?",
        "How would you build the can so that more heat reaches the water?",
    ),
    example=Example(
        (
            ("m_several", None, None, "13.62"),
            ("V_w", 1, None, "60.4"), ("m_w", 1, None, "60.31"), ("m_food", 1, None, "1.38"), ("T_start", 1, None, "21.6"), ("T_end", 1, None, "49.3"), ("fell", 1, None, "stayed"),
            ("m_rest", 1, None, "0.31"),
            ("V_w", 2, None, "59.8"), ("m_w", 2, None, "59.74"), ("m_food", 2, None, "1.33"), ("T_start", 2, None, "21.9"), ("T_end", 2, None, "48.7"), ("fell", 2, None, "stayed"),
            ("m_rest", 2, None, "0.27"),
        ),
    ),
    trials=Trials("Piece", 2, 5, agree="e_t"),
    compares="E_piece",
    slips=(
        Slip("food-mass", "the mass of food is used for that of the water", "q", "m * c * dT"),
        Slip("no-residue", "what is left over is not subtracted", "m", "m_food"),
        Slip("residue-alone", "what is left over is taken for what burned", "m", "m_rest", when={"burned_by": "residue"}),
        Slip("end-temperature", "the highest temperature is used instead of the rise", "dT", "T_end - T_0"),
        Slip("one-serving", "a whole serving of the label is compared with one piece", "E_said", "E_label"),
        Slip("joules-per-calorie", "4.184 is used for the joules of a kilocalorie", "E", "1000 * q / J_kcal"),
    ),
    faults=(
        Fault("heat-escapes", "Heat past the can", {"T_end": "x - 6"}, "The flame licks round the can; the label is never reached.", "A shield round can and flame; the can just above the flame."),
        Fault("piece-lost", "A bit fell off and was not counted", {"m_rest": "x - 0.15"}, "A bit glows on the bench.", "Weigh it with the rest, or begin again."),
        Fault("touches-bottom", "Thermometer on the bottom of the can", {"T_end": "x + 3"}, "It jumps up and sinks again.", "Keep it clear of the bottom; swirl."),
        Fault("soot-boat", "Rest weighed hot", {"m_rest": "x - 0.03"}, "Warm air lifts the boat.", "Let it cool first."),
    ),
    targets=(
        Target("Expected rise", "catch * E_label / N_label / (V_plan * rho_1 * c)", "K", "for a piece of about that mass", told=True, at_least="5", at_most="60", choose=("V_plan",)),
    ),
    supplies=(Supply("Food", "m_plan", "g"), Supply("Food for the mean mass", "N_several", "", "bench"), Supply("Water", "V_plan", "mL")),
    waste="Burnt food goes into the bin when it is cold.",
)  # fmt: skip
