"""Charge against product: iodine set free by a current, counted by its colour."""

from chromata_core.declaration import cautions
from chromata_core.declaration.option_kinds import Choice, ChoiceOption, NumberOption, Trials
from chromata_core.declaration.preparation import Supply, Target
from chromata_core.declaration.questions import conclusion
from chromata_core.declaration.schools import agreement_options
from chromata_core.declaration.vocabulary import (
    SPECTROPHOTOMETRY,
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
    Wait,
)
from chromata_core.judging.checks import Seen
from chromata_core.judging.curve_checks import NeedleScale
from chromata_core.judging.rules import RunsTo
from chromata_core.judging.whenever import Whenever
from chromata_core.methods import natural_constants
from chromata_core.methods.spectrophotometry import light
from chromata_core.telling.charts import Pairs

_Z, _F, _N, _EFF = ({"question": key} for key in ("z", "F", "N_A", "efficiency"))

METHOD = Method(
    slug="coulometry-iodine",
    version=3,
    family=SPECTROPHOTOMETRY,
    title="Charge and iodine",
    question="How many electrons does a molecule of iodine take?",
    reaction="2 IO₃⁻ + 12 H⁺ + 10 e⁻ → I₂ + 6 H₂O",
    options=(
        ChoiceOption("question", "Question", (
            Choice("z", "Electrons for each iodine molecule", words={"wanted": "number of electrons"}),
            Choice("F", "The Faraday constant", words={"wanted": "Faraday constant"}),
            Choice("N_A", "The Avogadro constant", words={"wanted": "Avogadro constant"}),
            Choice("efficiency", "Current efficiency", words={"wanted": "current efficiency"}),
        ), "z"),
        NumberOption("z_lit", "Electrons by the equation", "10", symbol="z", low="1", high="20"),
        NumberOption("I_plan", "Current", "0.10", "A", low="0.001", help="Set at the supply; what the meter shows is the record."),
        NumberOption("t_run", "Time of the current", "300", "s", low="10"),
        *light.options("0.001000", "mol/L", "0.000010", "1.00; 2.00; 4.00; 6.00; 8.00", "10", "460", "748", blank="the iodate solution without current"),
        ChoiceOption("rest_by", "While it dissolves", (
            Choice("stir", "It is stirred, covered", words={"rest": "stir, covered,"}),
            Choice("stand", "It stands still: the solid sinks and dissolves", words={"rest": "let it stand, covered,"}),
        ), "stir", "Stirred it is faster; still, part of the solid sinks and can be left behind."),
        NumberOption("V_cell", "Volume of the cell, about", "100", "mL", low="1", planning=True),
        *agreement_options("1", "", "rad", "5"),
        natural_constants.F, natural_constants.CHARGE,
    ),
    roles=(
        Role("cylinder", "For the cell's volume", ("flask", "cylinder", "pipette"), "flask-100-a"),
        Role("clock", "Clock", ("clock",), "clock-1s"),
        Role("ammeter", "Ammeter", ("ammeter",), "ammeter-0.15"),
        *light.ROLES, *light.dilution_roles(),
    ),
    readings=(
        *light.STANDARDS,
        Reading("V", "Volume of the cell", "mL", "cylinder", "V", hint="Everything in it, acid too."),
        Observation("acid", "Sulfuric acid", (Choice("in", "It is in"), Choice("forgotten", "Not yet: add it now")), until=("in",),
                    hint="Without acid no iodine is made, and five minutes are lost."),
        Series("t", "Clock", "s", "clock", "t", paced=True, until=RunsTo("t_run"), hint="0 when the current is switched on, then every minute to {t_run}."),
        Series("I", "Current", "A", "ammeter", "I", beside="t", hint="Every minute."),
        Observation("pole", "Brown colour at", (
            Choice("negative", "The wire to the negative post; bubbles at the other"), Choice("positive", "The wire to the positive post"),
        ), hint="Electrons leave the supply at its negative post: iodate is reduced there, oxygen bubbles at the other."),
        Observation("solid", "The dark solid", (
            Choice("top", "Floats at the top"), Choice("bottom", "Lies at the bottom"), Choice("both", "Both"), Choice("none", "None is seen"),
        ), hint="Iodine that is not dissolved: it is made, and not yet in the light."),
        Observation("dissolved", "After the rest", (
            Choice("clear", "No grains: one brown solution"), Choice("sunk", "Grains lie at the bottom, the liquid is clear"),
            Choice("grains", "Grains float: wait"),
        ), until=("clear", "sunk"), hint="Solid iodine floats at first and is not in the light."),
        *light.unknown(),
    ),
    quantities=(
        *light.read_off("mmol/L"),
        Quantity("c", "Iodine in the cell", "D * c_x", "mmol/L", "c_I₂"),
        Quantity("n", "Iodine made", "c * V", "mmol", "n_I₂", positive="The line gives no iodine at all; look at the blank again."),
        Quantity("I_mean", "Mean current", "mean_over(t, I)", "A", "Ī", positive="No current was read; look at the meter again."),
        Quantity("t_all", "Time of the current", "last(t) - first(t)", "s", "Δt"),
        Quantity("Q", "Charge", "I_mean * t_all", "C", "Q", positive="No time passed between the readings; look at the clock again."),
        Quantity("n_e", "Electrons", "Q / F", "mmol", "n_e", when={"question": ("z", "efficiency")}),
        Quantity("y", "Electrons for each I₂, this run", "n_e / n", "", "z", when=_Z),
        Quantity("y", "Faraday constant, this run", "Q / (z_lit * n)", "C/mol", "F", when=_F),
        Quantity("y", "Avogadro constant, this run", "Q / (e * z_lit * n)", "1/mol", "N_A", when=_N),
        Quantity("y", "Current efficiency, this run", "z_lit * n / n_e", "%", "η", when=_EFF),
        Quantity("z", "Electrons for each iodine molecule", "mean(y)", "", "z̄", "summary", result=True, accepted=True, known="z_lit", when=_Z),
        Quantity("F_found", "Faraday constant", "mean(y)", "C/mol", "F̄", "summary", result=True, accepted=True, known="F", when=_F),
        Quantity("N_found", "Avogadro constant", "mean(y)", "1/mol", "N̄_A", "summary", result=True, accepted=True, known="F / e", when=_N),
        Quantity("efficiency", "Current efficiency", "mean(y)", "%", "η̄", "summary", result=True, accepted=True, when=_EFF),
    ),
    steps=(
        Step("labels", "Goggles, cell, supply off", "Put goggles on; the supply is off", "until everything is connected.", "", "setup",
             cautions=(cautions.GOGGLES, cautions.IODINE, cautions.CURRENT, cautions.DEFER), scene="ready"),
        *light.SETUP_STEPS,
        Step("cell", "Fill the cell", "Fill the cell with iodate solution and acid", "and write its volume.", "Acid into the solution, never the reverse.", reads=("V", "acid"),
             cautions=(cautions.DILUTE_SULFURIC,), minutes=4, scene="electrolysis"),
        Step("current", "Current", "Switch on, start the clock at once, set about {I_plan};", "read the meter every minute to {t_run}.",
             "Stir. Brown streams from one wire, bubbles from the other.", reads=("t", "I", "pole"), wait=Wait("Current", 300), cautions=(cautions.CURRENT, cautions.IODINE),
             minutes=2, scene="electrolysis"),  # set up; the readings are made while it runs
        Step("rest", "Switch off, let it dissolve", "Switch off and {rest} five minutes,", "until nothing floats.", "", reads=("solid", "dissolved"), wait=Wait("Dissolving", 300),
             cautions=(cautions.IODINE,), minutes=1, scene="electrolysis-rest"),
        light.read_step("Read the iodine", "{rinse} the cuvette with the brown solution,"),
        *(Step("own", "Own calculation", "Work out the {wanted} yourself", "and compare.", "Charge is current times time; divide by the Faraday constant.", "closing",
               (f"own.{result}",), when={"question": question})
          for question, result in (("z", "z"), ("F", "F_found"), ("N_A", "N_found"), ("efficiency", "efficiency"))),
        conclusion(3),
        Step("clean", "Thiosulfate, rinse", "Take the brown away with a little thiosulfate", "and rinse the cell.", "", "closing", cautions=(cautions.IODINE, cautions.DEFER), scene="tidy"),
    ),
    hazards=(cautions.GOGGLES, cautions.IODINE, cautions.CURRENT, cautions.DILUTE_SULFURIC, cautions.CUVETTE, cautions.DEFER),
    checks=(
        *light.CHECKS,
        Whenever("t-grows", "t <= before(t)", "{t} is not above {before(t)}.", "A clock only goes forward: look which of the two is wrong.",
                 "Read it again and correct the wrong one.", "stop", "t", "t", "Read me the last two aloud."),
        NeedleScale("I", "I_plan"),
        Seen("pole", "positive", "look", "Brown at the positive post?", "Reduction happens where electrons arrive: at the wire to the negative post.",
             "Look at the leads: red to plus, black to minus."),
    ),
    questions=(
        "Where do the electrons leave the supply, and what happens to them?",
        "Why must the cell rest before it is read?",
        "Which limits your result: the needle, the clock or the colour?",
    ),
    example=Example(
        (
            *light.standards(("1.00", "0.076"), ("2.00", "0.149"), ("4.00", "0.302"), ("6.00", "0.447"), ("8.00", "0.601")),
            *(reading for run, currents, absorbance in ((1, ("0.102", "0.101", "0.100", "0.100", "0.099", "0.099"), "0.228"),
                                                        (2, ("0.104", "0.102", "0.101", "0.101", "0.100", "0.100"), "0.233"))
              for reading in (
                  ("V", run, None, "100.00"), ("acid", run, None, "in"),
                  *(pair for i, (t, current) in enumerate(zip(("0", "60", "120", "180", "240", "300"), currents, strict=True), 1)
                    for pair in (("t", run, i, t), ("I", run, i, current))),
                  ("pole", run, None, "negative"), ("dissolved", run, None, "clear"), ("rezero", run, None, "zero"), *light.read(run, 1, absorbance),
              )),
        ),
    ),
    trials=Trials("Run", 2, 4, agree="y"),
    path=("c_x", "D", "c", "V", "n"),
    slips=(
        *(slip for slip in light.SLIPS if not slip.key.startswith(("dilution", "no-dilution"))),
        Slip("minutes", "minutes are used for seconds", "t_all", "(last(t) - first(t)) / 60"),
        Slip("first-current", "the first current is used for the mean", "I_mean", "first(I)"),
        Slip("atoms", "iodine atoms are counted instead of molecules", "n", "2 * c * V"),
    ),
    faults=(
        *(fault for fault in light.FAULTS if fault.key != "standard-short"),
        Fault("wrong-scale", "Wrong scale of the ammeter", {"I": "x * 4"}, "The needle stands in the same place, the number is another one.", "Read the scale of the terminal in use."),
        Fault("floating", "Solid iodine not dissolved", {"A_x": "x * 0.9", "T_x": "x * 1.06"}, "Dark grains float on top.", "Stir and wait five minutes."),
        Fault("switched-off-late", "Current ran on after the last reading", {"A_x": "x * 1.05", "T_x": "x * 0.97"}, "The supply was switched off later than the clock says.", "Switch off at the last reading."),
    ),
    charts=(*light.CHARTS, Pairs("current", "Current through the run", "t", "I", "I_mean")),
    targets=(
        Target("Charge", "I_plan * t_run", "C", "current times time", told=True),
        Target("Iodine to be expected", "I_plan * t_run / (z_lit * F) / V_cell", "mmol/L", "it must lie between the standards", at_least="c_stock / 10", at_most="c_stock * 8 / 10", choose=("I_plan", "t_run")),
    ),
    supplies=(*light.supplies("Iodine of the plan's concentration", "I2"), Supply("Iodate solution with sulfuric acid", "V_cell", "mL", note=cautions.DILUTE_SULFURIC)),
    shared=light.SHARED,
    waste="Iodine is turned colourless with thiosulfate first; local rules say whether it then goes down the sink.",
)  # fmt: skip
