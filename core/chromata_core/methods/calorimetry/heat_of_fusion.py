"""Enthalpy of fusion of ice, melted in a cup of water: the simple balance beside the full one."""

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
from chromata_core.judging.checks import Within
from chromata_core.judging.guides import Told
from chromata_core.methods import class_units
from chromata_core.methods.calorimetry import cup
from chromata_core.methods.weighing import tared
from chromata_core.telling.bar_charts import Bars

_MELTS = "m_w_plan * c * (T_plan - T_0) / (H_lit / M_w)"

# Ice that could never melt is the one thing that spoils a run for good: how much this water can melt is said before.
_WEIGH = Told(
    "Dry about {m_ice_plan:g} of ice, weigh it quickly; {0.7 * m_most:g} at most: this water melts {m_most:g}."
)
_ADD = Told(
    "About {m_ice_plan:g} of dried ice in, {0.7 * m_most:g} at most; lid on, swirl; write the lowest temperature."
)
_AFTER, _BEFORE = {"ice_by": "after"}, {"ice_by": "before"}

METHOD = Method(
    slug="heat-of-fusion",
    version=2,
    family=CALORIMETRY,
    title="Heat of fusion of ice",
    question="How much heat does ice take to melt?",
    reaction="H₂O(s) → H₂O(l)",
    options=(
        SubstanceOption("M_w", "Water", (Choice("H2O", "Water"),), "H2O", "M", fixed=True),
        class_units.HEATS, cup.HEAT_CAPACITY,
        *cup.CUP,
        *cup.peak("reading", "lowest"),
        NumberOption("H_lit", "Accepted enthalpy of fusion", "6.01", "kJ/mol", "ΔH_lit", "6.007 kJ/mol at 0 °C by IAPWS; books give 6.01 or 6.02.", low="0.1"),
        NumberOption("m_w_plan", "Water in the cup", "240", "g", low="1", planning=True),
        NumberOption("m_ice_plan", "Ice", "40", "g", low="1", planning=True),
        NumberOption("T_plan", "Its temperature", "24", "°C", help="Near that of the room: then little heat leaks either way.", low="1", planning=True),
        ChoiceOption("ice_by", "The ice is", (Choice("after", "Found by weighing all again"), Choice("before", "Weighed before it goes in")), "after",
                     "Weighed before, the end can be foretold, and what melts on the way is missing; weighed after, every drop counts as ice."),
        ChoiceOption("vessel", "Vessel", (
            Choice("foam", "Two foam cups, one in the other", words={"nest": "nest two cups"}), Choice("mug", "An insulated mug", words={"nest": "take an insulated mug"}),
        ), "foam", "A mug of steel takes up some heat itself: count it, with a heat capacity that you measured."),
        *agreement_options("0.3", "kJ/mol", "range", "5"),
    ),
    roles=(Role("balance", "Balance", ("balance",), "balance-0.01"), cup.THERMOMETER, cup.CLOCK),
    readings=(
        tared("m_w", "Water in the tared cup", "m_water", "About {m_w_plan}."),
        Reading("m_in", "Ice, dried, on its tared boat", "g", "balance", "m_in", hint="About {m_ice_plan}, from the towel straight onto the boat.", echo="T_told", when=_BEFORE),
        *cup.readings("Water, before the ice", "Lowest temperature", "Swirl gently, lid on; the lowest it reaches."),
        Observation("ice", "Ice", (Choice("melted", "All melted"), Choice("left", "Ice is left")), voids=("left",),
                    hint="Look under the lid before you weigh."),
        Reading("m_all", "Water and melted ice, tared cup", "g", "balance", "m_all", hint="The same tare as before.", echo="m_ice", when=_AFTER),
    ),
    quantities=(
        *cup.TEMPERATURES,
        Quantity("m_most", "Most ice that this water can melt", "m_w * c * (T_1 - T_0) / (H_lit / M_w)", "g", "m_most"),
        cup.CHANGE,
        Quantity("over", "Above the freezing point", "T_2 - T_0", "K", "ΔT₀",
                 positive="The water reached 0 °C: ice may be left, and how much melted is not known. Start again with less ice."),
        Quantity("T_told", "The water should end at about", "T_0 + (m_w * c * (T_1 - T_0) - m_in * H_lit / M_w) / ((m_w + m_in) * c)", "°C", "T_expected",
                 when={**_BEFORE, "peak": "reading"}),
        Quantity("m_ice", "Ice", "m_in", "g", "m_ice", positive="Nothing was weighed; look at the balance again.", when=_BEFORE),
        Quantity("m_ice", "Ice", "m_all - m_w", "g", "m_ice", positive="Nothing was added: the two weighings may be swapped, or the tare was lost.", when=_AFTER),
        Quantity("q_w", "Heat of the water", "m_w * c * dT", "kJ", "q_water"),
        Quantity("q_cup", "Heat of the cup", "C_cup * dT", "kJ", "q_cup", when={"cup": "counted"}),
        Quantity("q_ice", "Heat gained by the ice", "-q_w - q_cup", "kJ", "q_ice", when={"cup": "counted"}),
        Quantity("q_ice", "Heat gained by the ice", "-q_w", "kJ", "q_ice", when={"cup": "neglected"}),
        Quantity("q_warm", "to warm its water to the end", "m_ice * c * over", "kJ", "q_warm"),
        Quantity("q_melt", "to melt it", "q_ice - q_warm", "kJ", "q_melt"),
        Quantity("n", "Amount of ice", "m_ice / M_w", "mol", "n"),
        Quantity("simple_t", "By the simple balance, this trial", "-q_w / n", "kJ/mol", "ΔH_simple"),
        Quantity("H_t", "By the full balance, this trial", "q_melt / n", "kJ/mol", "ΔH_fus"),
        Quantity("H", "Enthalpy of fusion, full balance", "mean(H_t)", "kJ/mol", "ΔH_fus", "summary", result=True, accepted=True, known="H_lit"),
        Quantity("simple", "Enthalpy of fusion, simple balance", "mean(simple_t)", "kJ/mol", "ΔH_simple", "summary", result=True, accepted=True,
                 known="H_lit"),
    ),
    steps=(
        Step("labels", "Goggles, cup, lid, thermometer", "Put goggles on and {nest};", "see that the lid closes.",
             "Ice comes dry from a towel, at 0 °C, not straight from the freezer.", "setup", cautions=(cautions.GOGGLES, cautions.SHATTER, cautions.DEFER), scene="ready"),
        Step("water", "Weigh the water", "Tare the cup, add about {m_w_plan} of water", "near room temperature, and write its mass.", reads=("m_w",), minutes=3, scene="weigh-tared"),
        Step("warmth", "Temperature before", "Read the water's temperature", "with the lid on.", reads=("T_start",), when=cup.SINGLE),
        Step("ice", "Weigh the ice", "Dry about {m_ice_plan} of ice in a towel, weigh it", "and be quick: it melts.", reads=("m_in",), when=_BEFORE, cautions=(cautions.SHATTER,), guide=_WEIGH, scene="cup-ice"),
        Step("melt", "Dried ice in, swirl", "Dry about {m_ice_plan} of ice in a towel, add it, lid on, swirl;", "write the lowest temperature.",
             "Ice that carries water counts as ice and takes no heat.", reads=("T_end", "ice"), when={**cup.SINGLE, **_AFTER}, cautions=(cautions.SHATTER,), guide=_ADD, minutes=6, scene="cup-ice"),
        Step("melt", "Ice in, swirl", "Ice in, lid on, swirl;", "write the lowest temperature.",
             "What melts on the way is counted as ice and takes no heat: be quick.", reads=("T_end", "ice"), when={**cup.SINGLE, **_BEFORE}, cautions=(cautions.SHATTER,), minutes=6, scene="cup-ice"),
        Step("melt", "Record, dried ice in, swirl", "Start the clock and read twice; at {t_mix} add about {m_ice_plan} of dried ice, lid on, swirl;", "read on every half minute.",
             "Ice that carries water counts as ice and takes no heat.", reads=("t", "Temp", "ice"), when=cup.RECORDED, cautions=(cautions.SHATTER,), minutes=6, scene="cup-ice"),
        Step("again", "Weigh again", "Weigh the cup with all its water,", "same tare.", reads=("m_all",), when=_AFTER),
        Step("own", "Own calculation", "Work out the enthalpy of fusion yourself", "and compare.",
             "The water lost heat, so the ice gained it: mind the sign. Its melt water was warmed too.", "closing", ("own.simple", "own.H")),
        conclusion(3),
        Step("clean", "Pour away, dry", "Pour the water away", "and dry the cup.", "", "closing", cautions=(cautions.DEFER,), scene="tidy"),
    ),
    hazards=(cautions.GOGGLES, cautions.SHATTER, cautions.DEFER),
    checks=(
        Within("m_ice", "The water cannot melt so much; it would stop at 0 °C with ice left.", "Start again with less ice.", high="quantity:m_most", level="stop", on="m_all"),
        Within("m_ice", "The water cannot melt so much; it would stop at 0 °C with ice left.", "Take less ice, before it goes in.", high="quantity:m_most", level="stop", on="m_in"),
        Within("over", "Close to 0 °C a last piece of ice hardly shows.", "Look under the lid; next time take less ice.", low="1", on="T_end"),
    ),
    questions=(
        "Why is the simple balance too high, and by how much of its value?",
        "What does water on the ice do to the result?",
        "Why does it help to begin a little above room temperature and end a little below?",
    ),
    example=Example(
        (
            ("m_w", 1, None, "238.46"), ("T_start", 1, None, "24.8"), ("T_end", 1, None, "10.2"),
            *cup.trace(1, ("30", "24.8"), ("90", "24.8"), ("150", "15.1"), ("180", "11.6"), ("210", "10.4"), ("240", "10.2"), ("270", "10.2"), ("300", "10.3"), ("330", "10.4"), ("360", "10.5")),
            ("m_in", 1, None, "38.85"), ("ice", 1, None, "melted"), ("m_all", 1, None, "277.31"),
            ("m_w", 2, None, "241.02"), ("T_start", 2, None, "24.6"), ("T_end", 2, None, "10.6"),
            *cup.trace(2, ("30", "24.6"), ("90", "24.6"), ("150", "15.4"), ("180", "12.0"), ("210", "10.8"), ("240", "10.6"), ("270", "10.6"), ("300", "10.7"), ("330", "10.8"), ("360", "10.9")),
            ("m_in", 2, None, "37.53"), ("ice", 2, None, "melted"), ("m_all", 2, None, "278.55"),
        ),
    ),
    trials=Trials("Trial", 2, 4, agree="H_t"),
    compares="H",
    slips=(
        Slip("ice-mass", "the mass of ice is used for that of the water", "q_w", "m_ice * c * dT"),
        Slip("total-mass", "the mass of water and ice together is used for the water", "q_w", "(m_w + m_ice) * c * dT"),
        Slip("grams", "grams are used for moles", "n", "1000 * m_ice"),
        Slip("ice-as-all", "the last weighing is taken for the ice", "m_ice", "m_all", when=_AFTER),
        Slip("warming-added", "warming the melt water is added instead of taken off", "q_melt", "q_ice + q_warm"),
        Slip("warming-ignored", "warming the melt water is left out", "q_melt", "q_ice"),
        Slip("sign", "the sign of the temperature change is turned", "dT", "T_1 - T_2"),
    ),
    faults=(
        Fault("wet-ice", "Ice carried water", {"T_end": "x + 0.9"}, "It drips: water that counts as ice and melts nothing.", "Dry each piece in a towel just before."),
        Fault("no-lid", "Cup without lid", {"T_end": "x + 0.4"}, "The room warms it while it melts.", "Lid on, swirl through the hole."),
        Fault("cold-ice", "Ice straight from the freezer", {"T_end": "x - 0.7"}, "It crackles in the water: it has to be warmed to 0 °C first.", "Let it stand in a bowl until it is wet, then dry it."),
        Fault("read-early", "Read before the lowest", {"T_end": "x + 0.6"}, "The display was still falling.", "Wait until it stands, then rises."),
    ),
    charts=(
        cup.TRACE,
        Bars("balance", "Where the heat went, in the last trial", ("q_ice", "q_melt", "q_warm"),
             "The water has q = {q_w}: it lost heat, so the ice gained {q_ice}: {q_melt} to melt, {q_warm} to warm its water. "
             "The simple balance calls all of it melting and is too high by that.", ("q_w",)),
    ),
    targets=(
        Target("Predicted end temperature", "T_0 + (m_w_plan * c * (T_plan - T_0) - m_ice_plan * H_lit / M_w) / ((m_w_plan + m_ice_plan) * c)", "°C",
               "below 0 °C means that ice is left", told=True, at_least="2", choose=("m_ice_plan", "m_w_plan")),
        Target("Most ice that so much water melts", _MELTS, "g", "at 0 °C nothing more melts", told=True),
        Target("Safe portion of ice", f"0.7 * {_MELTS}", "g", "leaves some degrees above 0 °C", told=True),
    ),
    supplies=(Supply("Ice, in pieces to be dried", "m_ice_plan", "g"), Supply("Water near room temperature", "m_w_plan", "g"), Supply("Foam cups", "2", "", "bench")),
    waste="Water goes down the sink.",
)  # fmt: skip
