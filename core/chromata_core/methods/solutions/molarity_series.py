"""Solutions of known concentration by mass, in vessels whose volume is measured backwards."""

from chromata_core.declaration import cautions
from chromata_core.declaration.names import When
from chromata_core.declaration.nature import Follows
from chromata_core.declaration.option_kinds import (
    Choice,
    ChoiceOption,
    ListOption,
    NumberOption,
    SubstanceOption,
    Trials,
)
from chromata_core.declaration.preparation import Shared, Supply, Target
from chromata_core.declaration.questions import conclusion
from chromata_core.declaration.vocabulary import (
    SOLUTIONS,
    Example,
    Fault,
    Method,
    Observation,
    Quantity,
    Role,
    Series,
    Slip,
    Step,
)
from chromata_core.judging.checks import Seen
from chromata_core.judging.rules import PouredOut
from chromata_core.judging.whenever import Whenever
from chromata_core.methods.weighing import tared
from chromata_core.telling.charts import AcrossTrials

# Salts that are no food are never tasted, whatever the vessels are.
_FOOD: When = {"ware": "kitchen", "M_s": ("C12H22O11", "C6H12O6", "NaCl")}

_EACH: When = {"own_asked": "each"}

METHOD = Method(
    slug="molarity-series",
    version=1,
    family=SOLUTIONS,
    title="A series of solutions by mass",
    question="How concentrated are solutions made from weighed portions, and how do they compare?",
    reaction="n = m / M, c = n / V",
    options=(
        SubstanceOption(
            "M_s", "Solute",
            (
                Choice("C12H22O11", "Sucrose"), Choice("C6H12O6", "Glucose"), Choice("NaCl", "Sodium chloride"),
                Choice("KNO3", "Potassium nitrate"), Choice("CuSO4.5H2O", "Copper(II) sulfate pentahydrate"),
            ),
            "C12H22O11", "M", "Pick one or type a formula.",
        ),
        ListOption("m_plan", "Planned portions", "5.00; 15.00; 30.00", "g", "m_plan",
                   "One vessel for each, such as 1 : 3 : 6. What the balance shows is the record, not the plan."),
        NumberOption("V_plan", "Expected volume of a vessel", "350", "mL", help="To plan with; each bench measures its own.",
                     low="1", planning=True),
        NumberOption("c_wanted", "Wanted concentration", "0.10", "mol/L", help="Tells the portion that gives it.", low="0.0001",
                     planning=True),
        NumberOption("rho_s", "Density of the solid", "1.59", "g/mL", "ρ_s", "Only to recognise a slip.", low="0.1"),
        SubstanceOption("M_other", "Mistaken for", (Choice("C6H12O6", "A simple sugar"),), "C6H12O6", "M", fixed=True),
        ChoiceOption("ware", "Vessels and spoons", (
            Choice("laboratory", "Of the laboratory: nothing is tasted"), Choice("kitchen", "Of the kitchen, kept apart: food may be tasted"),
        ), "laboratory", "Only food that touched nothing of a laboratory, in a room where eating is allowed; local rules and the responsible instructor decide."),
        ChoiceOption("own_asked", "Worked out by each bench", (
            Choice("concentration", "The concentration"), Choice("each", "Litres, then moles, then the concentration", units={"mL": "L"}),
        ), "concentration", "Each answer is judged before the next one builds on it."),
        NumberOption("balances", "Balances", "4", low="1", high="24", planning=True),
        NumberOption("balance_places", "Benches at one at a time", "1", low="1", high="6", planning=True),
        NumberOption("balance_minutes", "A bench's turn", "6", "min", "", "All its portions, one after the other.", low="1", high="60", planning=True),
        NumberOption("off_plan", "Far from the plan beyond", "10", "%", help="Asks whether the right number was written."),
        NumberOption("near_plan", "Near enough within", "2", "%", help="Nobody should chase the exact target."),
    ),
    roles=(
        Role("cylinder", "Cylinder to measure with", ("cylinder",), "cylinder-100-a"),
        Role("balance", "Balance", ("balance",), "balance-0.01"),
    ),
    readings=(
        Observation(
            "vessel", "Shape of the vessels",
            (Choice("straight", "Straight walls"), Choice("curved", "Curved at the mark: top of the curve used")),
            scope="bench", hint="All of one shape. Choose a mark below the rim, so that stirring does not spill.",
        ),
        Series("V_out", "Portion poured out", "mL", "cylinder", "V_out", scope="bench", until=PouredOut(),
               hint="Full portions are written as full: 100.0. The last one is read to a tenth; 0.0 if nothing is left."),
        tared("m", "Solute in the tared vessel", "m", "About {m_plan}. Within 2 % is good work: write what the balance shows."),
        Observation(
            "looks", "Solution",
            (Choice("clear", "Clear: all dissolved"), Choice("grains", "Grains are left: stir on")),
            until=("clear",), hint="Hold it against the light. Note its colour with the key O.",
        ),
        Observation(
            "taste", "Taste", (Choice("none", "Hardly any"), Choice("some", "Clearly there"), Choice("strong", "Strong")),
            when=_FOOD, hint="A clean spoon for each; only where nothing of the laboratory touched it.",
        ),
    ),
    quantities=(
        Quantity("V", "Volume of a vessel", "sum(V_out)", "mL", "V", "bench", positive="The vessel holds nothing; read the portions again."),
        Quantity("n", "Amount of solute", "m / M_s", "mol", "n"),
        Quantity("c", "Concentration", "n / V", "mol/L", "c", result=True),
        Quantity("gamma", "Mass concentration", "m / V", "g/L", "γ", result=True),
        Quantity("ratio", "The last compared with the first", "last(c) / first(c)", "", "c_last/c_first", "summary", result=True),
    ),
    steps=(
        Step("labels", "Goggles, vessels, labels", "Put goggles on and mark your vessels", "below the rim, all at the same height.",
             "Vessels of one shape, a cylinder, balance, spoon, stirring rod, wash bottle.", "setup",
             cautions=(cautions.GOGGLES, cautions.NO_TASTING, cautions.DEFER), scene="ready"),
        Step("shape", "Shape of the vessels", "Look at the wall at your mark:", "is it straight?", "", "setup", ("vessel",), scene="cylinder"),
        Step("measure", "Measure the volume backwards", "Fill one vessel to the mark, pour it out through the cylinder:",
             "full portions, then the rest.",
             "Backwards, because water that came out of a laboratory cylinder never goes into a vessel meant for food.",
             "setup", ("V_out",), minutes=5, scene="cylinder"),
        Step("litres", "Litres", "Add the portions up:", "how many litres does a vessel hold?", "", "setup", ("own.V",), when=_EACH, minutes=2),
        Step("weigh", "Weigh the portion", "Tare the vessel, add about {m_plan},", "write what the balance shows.", reads=("m",),
             cautions=(cautions.SPILL,), scene="solution-by-mass"),
        Step("dissolve", "Fill to the mark, dissolve", "Fill to the mark with water and stir", "until nothing is left.",
             "To the mark, not a measured volume of water: the solute takes up room too.", reads=("looks", "taste"), minutes=4, scene="solution-by-mass"),
        Step("own", "Own calculation", "Work out this concentration yourself", "and compare.", "", "trial", ("own.c",), when={"own_asked": "concentration"}),
        Step("own", "Own calculation", "Work out the moles, then moles in a litre,", "and compare.", "", "trial", ("own.n", "own.c"), when=_EACH),
        Step("compare", "The series", "Work out how many times stronger the last is", "than the first.", "", "closing", ("own.ratio",), scene="solution-by-mass"),
        conclusion(3),
        Step("clean", "Empty and clean", "Empty the vessels", "and wipe the balance.", "", "closing",
             cautions=(cautions.NO_TASTING, cautions.DEFER), scene="tidy"),
    ),
    hazards=(cautions.GOGGLES, cautions.NO_TASTING, cautions.SPILL, cautions.DEFER),
    checks=(
        Whenever("m-plan", "m / m_plan - 1 > off_plan or 1 - m / m_plan > off_plan", "{m} is far from the planned {m_plan}.",
                 "Perhaps the balance was not tared, or the plan of another vessel was used.",
                 "Look at the display again. Keep it if it really shows that.", on="m", word="What does the balance show with nothing on it?"),
        Whenever("m-plan", "-near_plan <= m / m_plan - 1 <= near_plan", "Within {near_plan} % of the plan: good work, do not chase it.", "", "", "keep", "m"),
        Seen("looks", "grains", "repeat", "Grains are left.", "What is not dissolved is not in the concentration yet.", "Stir on, then look again."),
    ),
    questions=(
        "Why is the vessel filled to the mark and not with a measured volume of water?",
        "Which reading limits your concentrations, and why does the volume not matter for their ratio?",
        "How would you make a solution half as strong as your first without the balance?",
    ),
    example=Example(
        (
            ("vessel", None, None, "straight"), ("V_out", None, 1, "100.0"), ("V_out", None, 2, "100.0"),
            ("V_out", None, 3, "100.0"), ("V_out", None, 4, "42.6"),
            ("m", 1, None, "6.03"), ("looks", 1, None, "clear"), ("m", 2, None, "11.96"), ("looks", 2, None, "clear"),
            ("m", 3, None, "24.11"), ("looks", 3, None, "clear"),
        ),
        {"m_plan": "6.00; 12.00; 24.00"},
    ),
    follows=(Follows("m", "m_plan"),),
    trials=Trials("Vessel", 1, 12, each="m_plan"),
    slips=(
        Slip("target-mass", "the planned mass is used instead of what the balance showed", "n", "m_plan / M_s"),
        Slip("millilitres", "millilitres are not turned into litres", "c", "n / (1000 * V)"),
        Slip("water-volume", "the volume of water added is used instead of that of the solution", "c", "n / (V - m / rho_s)"),
        Slip("other-substance", "another formula is used for the molar mass (C₆H₁₂O₆)", "n", "m / M_other"),
        Slip("last-portion", "only the last portion is taken for the volume", "V", "last(V_out)"),
        Slip("inverted", "the ratio is turned over", "ratio", "first(c) / last(c)"),
    ),
    faults=(
        Fault("not-tared", "Balance not tared", {"m": "x + 8.4"}, "The reading is far from the plan, by the same mass every time.",
              "Tare with the empty vessel on the pan, and look for 0.00."),
        Fault("top-of-curve", "Cylinder read at the top of the curve", {"V_out": "x + 0.6"},
              "Every portion seems larger; the concentration too small.", "Eye level, bottom of the curve."),
        Fault("left-behind", "Water left in the vessel", {"V_out": "x * 0.99"}, "Drops on the wall after pouring.",
              "Let it drain for some seconds and tap the rim."),
    ),
    charts=(AcrossTrials("concentration", "Planned mass and concentration", "m_plan", "c"),),
    targets=(
        Target("Concentration of the first vessel", "m_plan / M_s / V_plan", "mol/L", "in the expected volume"),
        Target("Portion for the wanted concentration", "c_wanted * M_s * V_plan", "g", "write it among the planned portions"),
    ),
    shared=(Shared("Balance", "balances", "balance_places", "balance_minutes", kind="balance", used_in=("m",), meanwhile="Measure your vessels backwards, label them."),),
    supplies=(Supply("Solute", "m_plan", "g"), Supply("Water", "V_plan", "mL", note="and as much again for measuring the vessel")),
    waste="Solutions of sugar or table salt go down the sink; copper salts are collected as heavy-metal waste.",
)  # fmt: skip
