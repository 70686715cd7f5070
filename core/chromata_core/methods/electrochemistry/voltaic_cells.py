"""Potentials of metal pairs: every combination, its poles, and the ladder of half-cells behind them."""

from chromata_core.declaration import cautions
from chromata_core.declaration.nature import Follows
from chromata_core.declaration.option_kinds import Choice, ChoiceOption, NumberOption, Trials
from chromata_core.declaration.preparation import Supply, Target
from chromata_core.declaration.questions import conclusion
from chromata_core.declaration.vocabulary import (
    ELECTROCHEMISTRY,
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
from chromata_core.methods.electrochemistry.cell_charts import LadderOfHalfCells, PairResiduals, PairsOfMetals
from chromata_core.methods.electrochemistry.cell_checks import BadContact, OverRange, ReversedLeads
from chromata_core.methods.electrochemistry.pairs_option import PairsOption
from chromata_core.methods.electrochemistry.square_of_pairs import SquareOfPairs

METHOD = Method(
    slug="voltaic-cells",
    version=1,
    family=ELECTROCHEMISTRY,
    title="Cells of two metals",
    question="Which metal gives electrons to which, and how strongly?",
    reaction="A → Aⁿ⁺ + n e⁻ at the anode; Bᵐ⁺ + m e⁻ → B at the cathode",
    options=(
        PairsOption("cells", "Metals", "Ag; Cu; Pb; Zn", "V", "E°", "Three to six of Ag, Cu, Pb, Sn, Ni, Fe, Zn, Al, Mg, each in a solution of its ion. Every pair is measured; or write the pairs, red lead first: Cu/Zn; Ag/Cu."),
        ChoiceOption("vessel", "Half-cells stand in", (
            Choice("beakers", "Beakers with paper-strip bridges", words={"bridge": "lay a fresh strip, wet with bridge solution, across"}),
            Choice("wells", "A block of wells round a central bridge", words={"bridge": "fill the central well high enough to touch them all"}),
        ), "beakers"),
        ChoiceOption("own_asked", "The difference is worked out", (
            Choice("each", "At the bench, after each pair"), Choice("later", "Afterwards: nothing interrupts the measuring"),
        ), "each"),
        ChoiceOption("halves", "What happens at the anode", (
            Choice("each", "Is asked after each pair"), Choice("no", "Is not asked"),
        ), "each", "One touch: four half-equations stand there, the sign of the reading says which is right."),
        NumberOption("c_ions", "Concentration of every ion", "0.1", "mol/L", help="Standard values hold at 1 mol/L; equal dilution changes pairs of equal charge little.", low="0.0001"),
        NumberOption("V_side", "Solution for a half-cell", "20", "mL", low="0.5", planning=True),
    ),
    roles=(Role("voltmeter", "Voltmeter, 2 V range", ("voltmeter",), "voltmeter-v"),),
    readings=(
        Observation("zero", "Voltmeter, leads together", (Choice("zero", "Shows zero"), Choice("off", "Shows something else: look at its range")), until=("zero",),
                    scope="bench", hint="2 V range: three decimals, volts. A 1 alone at the left means over range."),
        Observation("metals", "Each metal is the one its label says", (Choice("yes", "Looked at each: yes"), Choice("swapped", "Two were swapped: put right now")), until=("yes",),
                    scope="bench", hint="Colour, weight, softness. Two strips swapped in their bags is a common event."),
        Reading("E", "Cell potential, with its sign", "V", "voltmeter", "E", response=True, hint="Clips clear of the liquid, metals not touching the bridge; a few seconds."),
        Observation("anode", "At the anode", (
            Choice("plus_gives", "{plus gives}"), Choice("plus_takes", "{plus takes}"), Choice("minus_gives", "{minus gives}"), Choice("minus_takes", "{minus takes}"),
        ), hint="Red is on {plus}, black on {minus}. Which of them gives electrons to the leads?", right={"minus_gives": "E > 0", "plus_gives": "E < 0"},
            because="At the anode a metal gives electrons and goes into solution. A positive sign: the black lead, on {minus}, is the negative pole.", when={"halves": "each"}),
    ),
    quantities=(
        Quantity("E_cell", "Cell potential", "E", "V", "E_cell", result=True, known="cells"),
        Quantity("d", "Difference from the standard value", "(E_cell - cells) / cells", "%", "d", result=True),
    ),
    steps=(
        Step("labels", "Goggles, gloves, sand the metals", "Put goggles and gloves on and sand every metal bright", "on both sides.", "", "setup",
             cautions=(cautions.GOGGLES, cautions.METAL_SALTS, cautions.DEFER), minutes=8, scene="ready"),
        Step("empty", "Empty and rinse the block", "Take the storage solution out with a dropper, well by well,", "into the waste; rinse twice, dab dry.",
             "Pouring is messy and mixes the wells.", "setup", when={"vessel": "wells"}, cautions=(cautions.METAL_SALTS,), minutes=4, scene="salt-bridge"),
        Step("check", "Each metal in its own ion", "Look at each metal: is it the one its label says?", "Then each into the {c_ions} solution of its own ion.", "", "setup", ("metals",), scene="salt-bridge"),
        Step("meter", "Voltmeter", "Touch the leads together:", "does it show zero?", "", "setup", ("zero",), scene="cell-leads"),
        Step("bridge", "Salt bridge", "Between the half-cells {bridge};", "metals do not touch it.", "A dry or torn bridge is the commonest bad contact.", "setup", cautions=(cautions.METAL_SALTS,),
             photo="The set-up: half-cells, bridges, leads", minutes=4, scene="salt-bridge"),
        Step("read", "Red to {plus}, black to {minus}", "Red lead to {plus}, black lead to {minus}:", "read, with its sign.",
             "Keep the leads so and keep the sign: it names the poles.", reads=("E",), scene="cell-leads"),
        Step("anode", "Anode", "Say what happens at the anode:", "the sign of your reading tells.", reads=("anode",), when={"halves": "each"}),
        Step("own", "Own calculation", "Work out the difference from the standard value yourself", "and compare.", "Standard value of the red metal less that of the black one.", "trial", ("own.d",), when={"own_asked": "each"}),
        conclusion(3),
        Step("refill", "Rinse and refill the block", "Collect the solutions, rinse every well with water, fill the central one", "with storage solution, and hand the block back.",
             "A bridge that dries out cracks and leaks for the next team.", "closing", when={"vessel": "wells"}, cautions=(cautions.METAL_SALTS,), scene="tidy"),
        Step("clean", "Collect the solutions", "Collect every solution", "and rinse and dry the metals.", "", "closing", cautions=(cautions.METAL_SALTS, cautions.DEFER), scene="tidy"),
    ),
    hazards=(cautions.GOGGLES, cautions.METAL_SALTS, cautions.DEFER),
    checks=(OverRange("E"), ReversedLeads("E", "cells"), BadContact("E")),
    questions=(
        "Which metal is the anode of every pair it is in, and why?",
        "How can one pair be foretold from two others, and does yours agree?",
        "Why do your potentials lie below the standard values?",
    ),
    example=Example((
        ("zero", None, None, "zero"), ("metals", None, None, "yes"),
        *(
            written
            for n, volts in enumerate(("0.421", "0.873", "1.498", "0.449", "1.072", "0.620"), 1)
            for written in (("E", n, None, volts), ("anode", n, None, "minus_gives"))
        ),
    )),
    follows=(Follows("E_cell", "cells"),),
    trials=Trials("Pair", 1, 15, each="cells"),
    slips=(
        Slip("divided-by-measured", "it is divided by the measured value instead of the standard one", "d", "(E_cell - cells) / E_cell"),
        Slip("turned", "the difference is taken the wrong way round", "d", "(cells - E_cell) / cells"),
        Slip("share", "the share of the standard value is given instead of the difference", "d", "E_cell / cells"),
    ),
    faults=(
        Fault("oxide", "Metals not sanded", {"E": "x * 0.93"}, "Dull metal: every potential is too small.", "Sand, rinse, dry, measure at once."),
        Fault("reversed", "Leads reversed", {"E": "-x"}, "The sign is the other one.", "Red to the metal named first, or keep the sign and say so."),
        Fault("dry-bridge", "Dry salt bridge", {"E": "x - 0.12"}, "The display creeps and is too small, in one pair or in all.", "A fresh strip, wet through."),
    ),
    charts=(
        SquareOfPairs("square", "Every pair against every other", "E"),
        PairsOfMetals("pairs", "Every pair, measured and standard", "E"), LadderOfHalfCells("ladder", "Ladder of half-cells", "E"),
        PairResiduals("residuals", "What does not fit the ladder", "E"),
    ),
    targets=(Target("Standard potential of the first pair", "cells", "V", "what the class should come near to", read_at="voltmeter"),),
    supplies=(Supply("Solution of each ion", "V_side", "mL", "bench", note=cautions.METAL_SALTS, substance="cells", concentration="c_ions"), Supply("Bridge strips", "1", "")),
    waste="Silver, lead and copper solutions are collected, each by its own rule.",
)  # fmt: skip
