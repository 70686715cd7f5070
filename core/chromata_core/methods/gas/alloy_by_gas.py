"""Composition of a zinc–aluminium alloy from the hydrogen it gives; the pure metal first."""

from chromata_core.declaration import cautions
from chromata_core.declaration.option_kinds import Choice, ChoiceOption, NumberOption, SubstanceOption, Trials
from chromata_core.declaration.preparation import Supply, Target
from chromata_core.declaration.questions import conclusion
from chromata_core.declaration.schools import agreement_options
from chromata_core.declaration.vocabulary import (
    GAS,
    Example,
    Fault,
    Method,
    Observation,
    Quantity,
    Reading,
    Role,
    Series,
    Slip,
    Step,
)
from chromata_core.judging.checks import Within
from chromata_core.judging.rules import PouredOut, Times
from chromata_core.judging.whenever import Whenever
from chromata_core.methods import class_units, natural_constants
from chromata_core.methods.gas import pressure
from chromata_core.methods.gas.gate import Between, ComesOut, GateOpen
from chromata_core.methods.weighing import tared

_CYLINDER, _BALANCE, _BOTH = "cylinder", "balance", "both"
_ML_OF_A_GRAM = "(1 - rho_air / rho_weights) / (water_density(T) - rho_air)"
_GAS = "p_gas * V / (R * T)"
_IMPOSSIBLE = "impossible composition: gas was lost, air was added, or a reading is wrong."

METHOD = Method(
    slug="alloy-by-gas",
    version=2,
    family=GAS,
    title="An alloy by its hydrogen",
    question="How much zinc and how much aluminium are in an alloy?",
    reaction="Zn + 2 H⁺ → Zn²⁺ + H₂;  2 Al + 6 H⁺ → 2 Al³⁺ + 3 H₂",
    options=(
        SubstanceOption("M_Zn", "Zinc", (Choice("Zn", "Zinc"),), "Zn", "M_Zn", fixed=True),
        SubstanceOption("M_Al", "Aluminium", (Choice("Al", "Aluminium"),), "Al", "M_Al", fixed=True),
        ChoiceOption("pure", "Pure metal tried first", (
            Choice("zinc", "Zinc", words={"pure": "zinc"}), Choice("aluminium", "Aluminium", words={"pure": "aluminium"}),
        ), "zinc", "Shows that the apparatus is tight before any alloy is used up."),
        NumberOption("least_recovery", "Pure metal must give at least", "95", "%", help="Of the predicted hydrogen. Common practice.", high="100"),
        NumberOption("most_recovery", "and at most", "104", "%", help="More means that air got in.", low="100", high="150"),
        NumberOption("most_pure", "Tries with the pure metal", "4", help="After so many the work goes on, with a warning.", low="1", high="10"),
        ChoiceOption("volume_by", "Displaced water", (
            Choice(_CYLINDER, "Poured out through a cylinder"), Choice(_BALANCE, "Weighed, in portions the balance can carry"),
            Choice(_BOTH, "Both, portion by portion"),
        ), _BOTH, "Both are compared; the weighing is then used."),
        NumberOption("V_full", "A full portion", "100", "mL", "V_full", "What the cylinder holds.", low="1"),
        NumberOption("portions", "Weighed in so many portions", "2", symbol="N", help="For “weighed”: a balance has a capacity.", low="1", high="10",
                     when={"volume_by": _BALANCE}),
        NumberOption("apart", "Cylinder and balance agree within", "3", "mL", help="Common practice."),
        *pressure.SOURCE, class_units.PRESSURES, natural_constants.R, *natural_constants.BUOYANCY,
        *natural_constants.STANDARD_STATE,
        NumberOption("V_wanted", "Wanted gas at 0 °C and 1 atm", "200", "mL", help="What the collecting vessel holds well.", low="10", planning=True),
        NumberOption("w_expected", "Expected aluminium in the alloy", "10", "%", help="To plan with.", low="0.1", high="99.9", planning=True),
        NumberOption("m_sample", "Alloy given to each bench", "1.2", "g", help="It has to last for two trials.", low="0.01", planning=True),
        *agreement_options("3", "%", "range", "5"),
    ),
    roles=(
        Role("balance", "Balance for the metal", ("balance",), "balance-0.001"),
        Role("cylinder_pure", "Cylinder for the pure metal's water", ("cylinder",), "cylinder-250-b"),
        Role("cylinder", "Cylinder for the alloy's water", ("cylinder",), "cylinder-100-a"),
        Role("water_balance", "Balance for the water", ("balance",), "balance-0.01"),
        Role("thermometer", "Thermometer", ("thermometer", "glass thermometer"), "thermometer-0.1"),
        pressure.BAROMETER,
    ),
    readings=(
        pressure.READING,
        Reading("T", "Water in the collecting vessel", "°C", "thermometer", "T", scope="bench", common=True, hint="The gas takes its temperature and its vapour."),
        Series("m_pure", "Pure {pure}", "g", "balance", "m_pure", scope="bench", common=True, hint="About as planned; write what the balance shows.",
               until=ComesOut("recovery", "least_recovery", "most_recovery", "most_pure")),
        Series("V_pure", "Water displaced", "mL", "cylinder_pure", "V_pure", scope="bench", common=True, response=True, beside="m_pure", hint="All of it, at eye level."),
        tared("m", "Alloy", "m", "Keep enough for the second trial."),
        Observation("clamp", "Clamp on the outlet", (Choice("open", "Open"), Choice("closed", "Closed: open it now")),
                    until=("open",), hint="Closed while you fill, OPEN before the metal meets the acid, or the stopper flies."),
        Observation("outlet", "Outlet tube", (
            Choice("under", "Stayed under water, taken out last"), Choice("air", "Came out, or bubbles went past"),
        ), voids=("air",), hint="Wait until no bubble rises; shake without turning over."),
        Series("V_out", "Portion of water", "mL", "cylinder", "V_out", response=True, until=PouredOut(), when={"volume_by": (_CYLINDER, _BOTH)},
               hint="Full portions are written as full: 100.0; the last one to a tenth."),
        Series("m_out", "The same portion weighed", "g", "water_balance", "m_out", response=True, beside="V_out", when={"volume_by": _BOTH},
               hint="In a tared beaker."),
        Series("m_out", "Portion of water", "g", "water_balance", "m_out", response=True, until=Times("portions"), when={"volume_by": _BALANCE},
               hint="In a tared beaker, less than the balance can carry."),
        Observation("masses", "What do the masses say?", (
            Choice("amounts", "n(Zn) + n(Al) = m(alloy)"), Choice("masses", "m(Zn) + m(Al) = m(alloy)"), Choice("gas", "m(Zn) + m(Al) = m(H₂)"),
        ), scope="bench", right={"masses": ""}, because="Masses add up to a mass: two metals make the piece that you weighed."),
        Observation("hydrogen", "What does the hydrogen say?", (
            Choice("same", "n(Zn) + n(Al) = n(H₂)"), Choice("turned", "n(Zn) + ⅔ n(Al) = n(H₂)"),
            Choice("acid", "2 n(Zn) + 3 n(Al) = n(H₂)"), Choice("hydrogen", "n(Zn) + 3⁄2 n(Al) = n(H₂)"),
        ), scope="bench", right={"hydrogen": ""}, because="Look at the two reactions: one zinc gives one H₂; how many H₂ do two aluminium give?"),
    ),
    quantities=(
        *pressure.AIR,
        Quantity("p_gas", "Pressure of the hydrogen", "p_air - vapour_pressure(T)", "kPa", "p_H₂", "bench",
                 positive="The vapour takes all of the air's pressure. Look at the barometer and its unit again."),
        Quantity("n_foretold", "Hydrogen the pure metal must give", "m_pure / M_Zn", "mmol", "n_expected", "bench", per="V_pure", when={"pure": "zinc"}),
        Quantity("n_foretold", "Hydrogen the pure metal must give", "3 * m_pure / (2 * M_Al)", "mmol", "n_expected", "bench", per="V_pure",
                 when={"pure": "aluminium"}),
        Quantity("share", "Recovered of it", "p_gas * V_pure / (R * T) / n_foretold", "%", "r", "bench", per="V_pure"),
        Quantity("recovery", "Hydrogen recovered from the pure metal", "last(share)", "%", "r_last", "bench"),
        Quantity("V_cyl", "Volume by cylinder", "poured(V_out, V_out, V_full)", "mL", "V_cylinder", when={"volume_by": _BOTH}),
        Quantity("V", "Gas volume", "poured(V_out, V_out, V_full)", "mL", "V", when={"volume_by": _CYLINDER}, positive="No gas was collected; read the portions again."),
        Quantity("V", "Gas volume", f"poured(m_out, V_out, V_full) * {_ML_OF_A_GRAM}", "mL", "V", when={"volume_by": _BOTH},
                 positive="No gas was collected; weigh the portions again."),
        Quantity("V", "Gas volume", f"sum_of(m_out, portions) * {_ML_OF_A_GRAM}", "mL", "V", when={"volume_by": _BALANCE},
                 positive="No gas was collected; weigh the portions again."),
        Quantity("n", "Hydrogen collected", _GAS, "mmol", "n_H₂"),
        Quantity("n_low", "Least possible, all zinc", "m / M_Zn", "mmol", "n_least"),
        Quantity("n_high", "Most possible, all aluminium", "3 * m / (2 * M_Al)", "mmol", "n_most"),
        Quantity("m_Al", "Aluminium in it", "(n - m / M_Zn) / (3 / (2 * M_Al) - 1 / M_Zn)", "g", "m_Al",
                 positive=f"Less hydrogen than zinc alone would give: {_IMPOSSIBLE}"),
        Quantity("m_Zn", "Zinc in it", "m - m_Al", "g", "m_Zn", positive=f"More hydrogen than aluminium alone would give: {_IMPOSSIBLE}"),
        Quantity("w_t", "Aluminium, this trial", "m_Al / m", "%", "w_Al"),
        Quantity("w_Al", "Aluminium", "mean(w_t)", "%", "w̄_Al", "summary", result=True, accepted=True),
        Quantity("w_Zn", "Zinc", "1 - w_Al", "%", "w̄_Zn", "summary", result=True, accepted=True),
    ),
    steps=(
        Step("labels", "Goggles, flask, tubing", "Put goggles on and check that every joint is tight", "and the outlet reaches under water.",
             "Flask with stopper, small vial, tubing with clamp, collecting vessel full of water.", "setup",
             cautions=(cautions.GOGGLES, cautions.HYDROGEN, cautions.DEFER), scene="ready"),
        Step("assemble", "Fill flask and tubing", "Flask with water nearly to its side arm; clamp on the tubing, then tubing on the flask;", "fill the tubing with a pipette bulb, its end under water.",
             "The clamp goes on before the tubing is attached. Close it as soon as the tubing is full: then nothing runs while you set the rest.", "setup", minutes=5, scene="train-fill"),
        pressure.STEP,
        Step("warmth", "Temperature of the water", "Read the thermometer", "in the collecting vessel.", "", "setup", ("T",)),
        Step("pure", "Pure {pure} first", "Weigh the {pure} into the vial, let it react,", "read the water it displaced.",
             "10 mL of 6 mol/L acid; the vial is slid in without touching it. Only when it comes out as predicted the alloy is used.",
             "setup", ("m_pure", "V_pure"), cautions=(cautions.ACID_6M, cautions.HYDROGEN), minutes=12, scene="displaced-water"),
        Step("weigh", "Weigh the alloy", "Weigh the alloy into the vial", "and keep enough for the second trial.", reads=("m",), scene="weigh-tared"),
        Step("vial", "Acid in, vial in", "10 mL of 6 mol/L acid into the large tube;", "slide the vial in: no drop touches the metal.",
             "Tilt the tube and let the vial glide down the wall.", cautions=(cautions.ACID_6M,), minutes=3, scene="train-vial"),
        Step("set", "Stopper on, clamp open", "Stopper in, outlet under water, collecting vessel empty;", "then open the clamp.",
             "The clamp is closed while you fill and open before the reaction.", reads=("clamp",), cautions=(cautions.ACID_6M,), minutes=3, scene="train-set"),
        Step("react", "Tip the vial, shake", "Hold the stopper, tip the vial and shake without turning over,", "until no bubble rises.",
             "Watch the flask's level: it stays above its outlet, or gas is lost. The tubing's end stays under water; lift it out as soon as the bubbles stop, so that nothing more runs.", reads=("outlet",), cautions=(cautions.HYDROGEN,), minutes=6, scene="train-react"),
        Step("water", "Measure the displaced water", "Pour the displaced water out in portions", "and write each.", "",
             reads=("V_out", "m_out"), scene="train-measure"),
        Step("equations", "Two equations", "Two unknowns need two equations:", "which are they?", "", "closing", ("masses", "hydrogen"), minutes=2),
        Step("own", "Own calculation", "Work out the share of aluminium yourself", "and compare.",
             "From your two equations: put one into the other.", "closing", ("own.w_Al",)),
        conclusion(3),
        Step("clean", "Let the gas out, clean up", "Let the gas out under the hood", "and rinse the flask.", "", "closing",
             cautions=(cautions.HYDROGEN, cautions.NEUTRAL_WASTE, cautions.DEFER), scene="tidy"),
    ),
    hazards=pressure.HAZARDS,
    checks=(
        GateOpen("V_pure", "The pure metal did not give what it must:", "Look for a leak, a closed clamp, or air in the tube, and try again."),
        Within("n", "No mixture of zinc and aluminium of this mass gives that much.",
               "Gas was lost if it is too little, air came in if it is too much. Do another trial.",
               low="quantity:n_low", high="quantity:n_high", level="stop", on="m_out"),
        Whenever("V-apart", "V - V_cyl > apart or V_cyl - V > apart", "Gas volume {V} and volume by cylinder {V_cyl} differ.",
                 "One of the portions was read or weighed wrongly.", "Look at the last portion and its tare again.", on="m_out"),
    ),
    questions=(
        "Why is a pure metal tried before the alloy?",
        "Why can two unknown masses be found from one gas volume?",
        "Your result lies outside 0 to 100 %. What happened in the flask?",
    ),
    example=Example(
        (
            ("p_bar", None, None, "1006.2"), ("T", None, None, "20.8"), ("masses", None, None, "masses"), ("hydrogen", None, None, "hydrogen"),
            ("m_pure", None, 1, "0.561"), ("V_pure", None, 1, "212"),
            ("m", 1, None, "0.486"), ("clamp", 1, None, "open"), ("outlet", 1, None, "under"),
            ("V_out", 1, 1, "100.0"), ("V_out", 1, 2, "100.0"), ("V_out", 1, 3, "31.4"),
            ("m_out", 1, 1, "99.61"), ("m_out", 1, 2, "99.74"), ("m_out", 1, 3, "31.22"),
            ("m", 2, None, "0.471"), ("clamp", 2, None, "open"), ("outlet", 2, None, "under"),
            ("V_out", 2, 1, "100.0"), ("V_out", 2, 2, "100.0"), ("V_out", 2, 3, "23.2"),
            ("m_out", 2, 1, "99.66"), ("m_out", 2, 2, "99.70"), ("m_out", 2, 3, "23.02"),
        ),
    ),
    trials=Trials("Trial", 2, 4, agree="w_t"),
    slips=(
        Slip("one-to-one", "aluminium is taken to give one hydrogen molecule for each atom", "m_Al", "(n - m / M_Zn) / (1 / M_Al - 1 / M_Zn)"),
        Slip("vapour-ignored", "the water vapour is not taken off", "p_gas", "p_air"),
        Slip("vapour-added", "the water vapour is added instead of taken off", "p_gas", "p_air + vapour_pressure(T)"),
        Slip("swapped", "zinc and aluminium are exchanged", "w_t", "m_Zn / m"),
        Slip("standard-volume", "22.4 L/mol is used at the room's temperature and pressure", "n", "p_s * V / (R * T_s)"),
        Slip("last-portion", "only the last portion of water is counted", "V", f"last(m_out) * {_ML_OF_A_GRAM}", when={"volume_by": (_BALANCE, _BOTH)}),
    ),
    faults=(
        Fault("leak", "A joint leaks", {"m_out": "x * 0.985", "V_out": "x * 0.985"}, "Bubbles at a joint; the pure metal gives too little too.",
              "Wet the joints, push them home, try the pure metal again."),
        Fault("air-in", "Air pushed over while the stopper was set", {"m_out": "x + 1.5", "V_out": "x + 1.5"}, "Water moves before the metal meets the acid.",
              "Set the stopper with the clamp closed, then open it and let the water come to rest."),
        Fault("metal-left", "Metal stuck in the vial", {"m_out": "x * 0.97", "V_out": "x * 0.97"}, "Grey bits are left in the vial.", "Shake until nothing is left."),
    ),
    charts=(Between("range", "What this mass can give", "n", share="w_t", low="n_low", high="n_high", mixture="zinc and aluminium together"),),
    targets=(
        Target("Pure zinc for the wanted gas", "V_wanted * p_s / (R * T_s) * M_Zn", "g", "with 22.414 L/mol; 22.4 makes 0.584 g of 200 mL"),
        Target("Pure aluminium for the wanted gas", "V_wanted * p_s / (R * T_s) * 2 * M_Al / 3", "g", "with 22.414 L/mol; 22.4 makes the same 0.161 g of 200 mL"),
        Target("Alloy for the wanted gas", "V_wanted * p_s / (R * T_s) / (w_expected * 3 / (2 * M_Al) + (1 - w_expected) / M_Zn)", "g", "with the expected composition"),
        Target("Alloy for each of two trials, at most", "lesser(m_sample / 2, V_wanted * p_s / (R * T_s) / (w_expected * 3 / (2 * M_Al) + (1 - w_expected) / M_Zn))",
               "g", "what is given has to last"),
        Target("Gas to come", "V_wanted", "mL", "at 0 °C; a tenth more when warm, and it must fit the cylinder", read_at="cylinder_pure", choose=("V_wanted",)),
    ),
    supplies=(
        Supply("Zinc–aluminium alloy", "m_sample", "g", "bench"),
        Supply("6 mol/L hydrochloric acid", "10 * V_wanted / 200", "mL", note=cautions.ACID_6M, substance="HCl", concentration="6 mol/L"),
        Supply("Pure {pure}", "V_wanted * p_s / (R * T_s) * M_Zn", "g", "bench", when={"pure": "zinc"}),
        Supply("Pure {pure}", "V_wanted * p_s / (R * T_s) * 2 * M_Al / 3", "g", "bench", when={"pure": "aluminium"}),
    ),
    waste="The spent acid holds zinc salts, which are hazardous to water: collect it by local rules.",
)  # fmt: skip
