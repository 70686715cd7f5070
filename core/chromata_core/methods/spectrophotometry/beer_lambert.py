"""Concentration of a coloured solution from a calibration line."""

from chromata_core.declaration import cautions
from chromata_core.declaration.option_kinds import Choice, ChoiceOption, NumberOption, Trials
from chromata_core.declaration.preparation import Supply, Target
from chromata_core.declaration.questions import conclusion
from chromata_core.declaration.vocabulary import SPECTROPHOTOMETRY, Example, Method, Quantity, Role, Series, Slip, Step
from chromata_core.judging.rules import PeakPassed
from chromata_core.methods.spectrophotometry import light
from chromata_core.telling.line_charts import Spectrum

_SPECTRUM = {"wavelength_by": "spectrum"}

METHOD = Method(
    slug="beer-lambert",
    version=2,
    family=SPECTROPHOTOMETRY,
    title="Concentration by colour",
    question="How concentrated is a coloured solution?",
    reaction="A = ε · l · c",
    options=(
        *light.options("0.01000", "mol/L", "0.00005", "2.00; 4.00; 6.00; 8.00", "10", "520", "80.6"),
        ChoiceOption("solute", "What is dissolved", (
            Choice("other", "Something else: made by your own recipe", words={"solute": ""}),
            Choice("KMnO4", "Potassium permanganate", words={"solute": "KMnO4"}), Choice("CoCl2", "Cobalt(II) chloride", words={"solute": "CoCl2"}),
            Choice("CuSO4", "Copper(II) sulfate", words={"solute": "CuSO4"}), Choice("CrNO3", "Chromium(III) nitrate", words={"solute": "Cr(NO3)3"}),
        ), "other", "Tells the prep room how the stock is made."),
        ChoiceOption("wavelength_by", "The wavelength is", (
            Choice("given", "Given by the plan"), Choice("spectrum", "Found from a spectrum: measured point by point, or taken over from a file"),
        ), "given"),
        NumberOption("least_points", "Points of a spectrum, at least", "8", low="3", high="60", when=_SPECTRUM),
        NumberOption("unknowns", "Unknowns", "1", help="Each has its own result.", low="1", high="12"),
        NumberOption("V_made_plan", "Unknown for a bench", "30", "mL", low="1", planning=True),
    ),
    roles=(*light.ROLES, *light.dilution_roles(), Role("wavelength", "Wavelength scale", ("wavelength scale",), "wavelength-1nm")),
    readings=(
        Series("lam", "Wavelength", "nm", "wavelength", "λ", paced=True, scope="bench", common=True, until=PeakPassed("A_lam", "least_points"), when=_SPECTRUM, logged="spectrum",
               hint="Zero on the blank at every wavelength. A JCAMP-DX or CSV file may be taken over instead."),
        Series("A_lam", "Absorbance there", "", "photometer_a", "A", scope="bench", common=True, beside="lam", when=_SPECTRUM),
        *light.STANDARDS,
        *light.unknown(),
    ),
    quantities=(
        Quantity("lam_max", "Wavelength of the peak", "peak_at(lam, A_lam)", "nm", "λ_max", "bench", when=_SPECTRUM),
        *light.read_off("mol/L"),
        Quantity("c", "Concentration of the unknown", "D * c_x", "mol/L", "c", result=True, accepted=True),
    ),
    steps=(
        Step("labels", "Goggles, flasks, cuvettes", "Put goggles on and label your flasks", "from weak to strong.", "", "setup",
             cautions=(cautions.GOGGLES, cautions.DYE, cautions.CUVETTE, cautions.DEFER), scene="ready"),
        Step("spectrum", "Find the peak", "Read a standard from one end of its colour to the other,", "until the peak lies behind.", "Set the wavelength to the peak afterwards.",
             "setup", ("lam", "A_lam"), when=_SPECTRUM, scene="standards"),
        *light.SETUP_STEPS,
        light.read_step("Read the unknown", "{rinse} the cuvette with the unknown,"),
        Step("own", "Own calculation", "Read its concentration off your own line", "and compare.", "Undo every dilution.", "trial", ("own.c",)),
        conclusion(3),
        Step("clean", "Rinse, switch off", "Rinse cuvettes and flasks", "and collect what may not go down the sink.", "", "closing", cautions=(cautions.DYE, cautions.DEFER), scene="tidy"),
    ),
    hazards=(cautions.GOGGLES, cautions.DYE, cautions.CUVETTE, cautions.DEFER),
    checks=light.CHECKS,
    questions=(
        "Why must the unknown lie between the standards?",
        "What does the intercept of your line say of the blank?",
        "Which limits your result: the standards, the scatter about the line, or the stock?",
    ),
    example=Example(
        (
            *(pair for i, (nm, a) in enumerate((("440", "0.182"), ("460", "0.236"), ("480", "0.331"), ("500", "0.462"), ("520", "0.561"), ("540", "0.527"),
                                                ("560", "0.388"), ("580", "0.201")), 1)
              for pair in (("lam", None, i, nm), ("A_lam", None, i, a))),
            *light.standards(("2.00", "0.163"), ("4.00", "0.321"), ("6.00", "0.487"), ("8.00", "0.643")),
            ("rezero", 1, None, "zero"), *light.read(1, 1, "0.893"), ("V_taken", 1, None, "10.00"), ("V_made", 1, None, "50.00"), *light.read(1, 2, "0.412"),
        ),
    ),
    trials=Trials("Unknown", 1, 12, each="unknowns"),
    path=("c_x", "D", "c"),
    slips=(*light.SLIPS, Slip("intercept-left-out", "the intercept of the given line is left out", "c_x", "A_0 / a_line", when=light.GIVEN)),
    faults=light.FAULTS,
    charts=(Spectrum("spectrum", "Spectrum", "lam", "A_lam", "lam_max"), *light.CHARTS),
    targets=(
        Target("Weakest standard, for 2 mL in a 10 mL flask", "c_stock * 2 / 10", "mol/L", "each further millilitre adds half as much again", told=True),
    ),
    supplies=(*light.supplies("Stock of the plan's concentration", "{solute}"), Supply("Unknown", "V_made_plan", "mL", "bench")),
    shared=light.SHARED,
    waste="What colours the solutions decides: copper, chromium and cobalt salts are collected as heavy-metal waste.",
)  # fmt: skip
