"""Copper in an alloy by the colour of its nitrate: from the cuvette back to the solid."""

from dataclasses import replace

from chromata_core.declaration import cautions
from chromata_core.declaration.option_kinds import Choice, ChoiceOption, NumberOption, SubstanceOption, Trials
from chromata_core.declaration.preparation import Shared, Supply, Target
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
    Slip,
    Step,
    Wait,
)
from chromata_core.judging.checks import Seen
from chromata_core.judging.whenever import Whenever
from chromata_core.methods.spectrophotometry import light
from chromata_core.methods.weighing import tared

_EXPECTED = "m * w_expected / M_Cu / V_flask_plan"
_ORDERS = {"piece": "blank", "standards": ""}


def _begin(order: str) -> tuple[Step, Step]:
    """The piece weighed and in its acid: before the setup step that the order names, or in its turn."""
    early = _ORDERS[order]
    return (
        Step("weigh", "Weigh the piece", "Weigh a clean, dry piece", "on a tared boat.", reads=("kind", "m"), early=early, when={"order": order}, scene="weigh-tared"),
        Step("dissolve", "Dissolve it under the hood", "Piece into a beaker, 30 mL of 6 mol/L nitric acid, under the hood;", "start the clock and go on.",
             "About ten minutes for a thin piece, until it is gone and no brown is left.", wait=Wait("Dissolving", 600), meanwhile="" if early else "weigh", cautions=(cautions.NITRIC,),
             early=early, minutes=3, when={"order": order}, scene="dissolve-in-hood"),
    )  # fmt: skip


METHOD = Method(
    slug="metal-in-alloy",
    version=2,
    family=SPECTROPHOTOMETRY,
    title="Copper in an alloy",
    question="How much copper is in a piece of alloy?",
    reaction="Cu + 4 H⁺ + 2 NO₃⁻ → Cu²⁺ + 2 NO₂ + 2 H₂O",
    options=(
        SubstanceOption("M_Cu", "Metal", (Choice("Cu", "Copper"),), "Cu", "M_Cu", fixed=True),
        *light.options("0.2000", "mol/L", "0.0010", "2.00; 4.00; 6.00; 8.00", "10", "800", "4.66"),
        ChoiceOption("order", "What begins first", (
            Choice("piece", "The piece: standards are made while it dissolves"), Choice("standards", "The standards"),
        ), "piece", "Ten minutes for a thin piece, far longer for a solid one: they are not waited for."),
        ChoiceOption("alloy", "Alloy", (
            Choice("brass", "Brass, copper and zinc", {"w_expected": "62"}), Choice("bronze", "Bronze, copper and tin", {"w_expected": "90"}),
            Choice("cupronickel", "Copper and nickel", {"w_expected": "75"}), Choice("silver", "Silver with some copper", {"w_expected": "8"}),
            Choice("copper", "Nearly pure copper", {"w_expected": "98"}), Choice("clad", "A coat of copper on another core", {"w_expected": "5"}),
        ), "brass", "Sets what is expected; nickel is green and reads a little at this wavelength."),
        NumberOption("w_expected", "Expected copper", "62", "%", help="Brass: about 60 to 70.", low="0.1", high="100", planning=True),
        NumberOption("m_plan", "Piece", "0.40", "g", low="0.001", planning=True),
        NumberOption("V_flask_plan", "Flask for it", "50", "mL", low="1", planning=True),
        NumberOption("D_plan", "Planned dilution, 1 in", "1", low="1", high="1000", planning=True),
        NumberOption("hoods", "Hoods", "1", low="1", high="12", planning=True),
        NumberOption("hood_places", "Benches at one hood", "8", low="1", high="24", planning=True),
        NumberOption("hood_minutes", "A bench's turn at the hood", "20", "min", "", "Until its pieces are dissolved and no brown is left.", low="1", high="120", planning=True),
        *agreement_options("3", "%", "range", "5"),
    ),
    roles=(
        Role("balance", "Balance", ("balance",), "balance-0.0001"),
        Role("alloy_flask", "Flask for the dissolved alloy", ("flask",), "flask-50-a"),
        *light.ROLES, *light.dilution_roles("pipette-25-a"),
    ),
    readings=(
        *light.STANDARDS,
        Observation("kind", "The piece", (
            Choice("through", "One metal all through"), Choice("coated", "A thin coat on a core of another metal"), Choice("red", "Red: mostly copper"),
        ), hint="File an edge. Pieces that look alike may have been made differently in another year: note the year with the key O."),
        tared("m", "Piece of alloy", "m", "Clean and dry, four decimals."),
        Reading("V_alloy", "Flask it was made up in", "mL", "alloy_flask", "V_alloy"),
        Observation("colour", "Its colour by eye", (
            Choice("between", "Between the standards"), Choice("darker", "Darker than the strongest: dilute it now"), Choice("paler", "Paler than the weakest"),
        ), hint="Hold it beside the standards before a white sheet."),
        *light.unknown(),
    ),
    quantities=(
        *light.read_off("mol/L"),
        Quantity("c", "In the flask", "D * c_x", "mol/L", "c_flask"),
        Quantity("n", "Copper in the flask", "c * V_alloy", "mmol", "n"),
        Quantity("m_Cu", "Mass of copper", "n * M_Cu", "g", "m_Cu"),
        Quantity("w_t", "Copper, this piece", "m_Cu / m", "%", "w"),
        Quantity("w", "Copper in the alloy", "mean(w_t)", "%", "w̄_Cu", "summary", result=True, accepted=True),
    ),
    steps=(
        Step("labels", "Goggles, gloves, hood", "Put goggles and gloves on", "and check that the hood draws.", "", "setup",
             cautions=(cautions.GOGGLES, cautions.NITRIC, cautions.DYE, cautions.DEFER), scene="ready"),
        *light.SETUP_STEPS,
        *(step for order in _ORDERS for step in _begin(order)),
        Step("make-up", "Make up, invert", "Rinse it all into the flask, make up to the mark,", "invert ten times.", "What is not mixed is not one solution.", reads=("V_alloy",),
             cautions=(cautions.NITRIC,), minutes=4, scene="flask-to-mark"),
        Step("compare", "Compare by eye", "Hold it beside the standards:", "does its colour lie between them?", "A piece that is mostly copper is far too dark.", reads=("colour",), scene="standards"),
        light.read_step("Read the dissolved alloy", "{rinse} the cuvette with it,"),
        Step("own", "Own calculation", "Work out the copper in the alloy yourself", "and compare.", "Cuvette, dilution, flask, moles, grams, per cent.", "closing", ("own.w",)),
        conclusion(3),
        Step("clean", "Collect the copper", "Collect every blue solution", "and rinse the cuvettes.", "", "closing", cautions=(cautions.COPPER_WASTE, cautions.DEFER), scene="tidy"),
    ),
    hazards=(cautions.GOGGLES, cautions.NITRIC, cautions.COPPER_WASTE, cautions.CUVETTE, cautions.DEFER),
    checks=(
        *light.CHECKS,
        Whenever("too-dark", f"{_EXPECTED} > c_stock * 8 / 10 and V_flask > 0 and V_taken <= 0 and D_plan < 2",
                 f"This much should come to about {{{_EXPECTED}:mol/L}} in the flask; the strongest standard has {{c_stock * 8 / 10:mol/L}}.",
                 "Above the strongest standard the line says nothing.",
                 f"Make it up, hold it beside the standards, and dilute it about {{{_EXPECTED} / c_stock * 2:}} times before it is read.", on="m"),
        Seen("kind", "red", "look", "Mostly copper: far too dark undiluted.", "A red piece gives a deep blue.", "Plan to dilute it before it is read; hold it beside the standards first."),
        Seen("kind", "coated", "look", "A coat on a core of another metal.", "The whole piece is weighed, and only part of it is copper; the core may need longer, or stay behind.",
             "Wait until nothing is left; say in the report what the core was."),
    ),
    questions=(
        "Why is the colour compared by eye before anything is read?",
        "Which metals in the alloy could bend the result, and at which wavelength would you look for them?",
        "Walk from the cuvette back to the solid: which factor matters most?",
    ),
    example=Example(
        (
            *light.standards(("2.00", "0.187"), ("4.00", "0.369"), ("6.00", "0.561"), ("8.00", "0.742")),
            ("kind", 1, None, "through"), ("m", 1, None, "0.9127"), ("V_alloy", 1, None, "50.00"), ("colour", 1, None, "darker"), ("rezero", 1, None, "zero"), *light.read(1, 1, "0.826"),
            ("V_taken", 1, None, "25.00"), ("V_made", 1, None, "50.00"), *light.read(1, 2, "0.413"),
        ),
    ),
    trials=Trials("Piece", 1, 4, agree="w_t"),
    path=("c_x", "D", "c", "V_alloy", "n", "m_Cu", "w_t"),
    slips=(
        *light.SLIPS,
        Slip("no-flask", "the flask's volume is left out", "n", "c / c_stock * V_flask * c_stock", when=light.MEASURED),
        Slip("moles-as-grams", "moles are given for grams", "m_Cu", "n / 1000"),
    ),
    faults=(
        *light.FAULTS,
        Fault("not-mixed", "Flask not inverted", {"A_x": "x * 1.06", "T_x": "x * 0.9"}, "Streaks when it is tilted; the bottom is darker.", "Invert ten times, thumb on the stopper."),
        Fault("left-in-beaker", "Not all rinsed over", {"A_x": "x * 0.97", "T_x": "x * 1.03"}, "The beaker is still blue.", "Rinse three times into the flask before making up."),
    ),
    charts=light.CHARTS,
    targets=(
        Target("Expected in the flask", "m_plan * w_expected / M_Cu / V_flask_plan", "mol/L", "before it is diluted"),
        Target("Expected in the cuvette", "m_plan * w_expected / M_Cu / V_flask_plan / D_plan", "mol/L", "it must lie between the standards", at_least="c_stock / 10", at_most="c_stock * 8 / 10", choose=("D_plan", "m_plan")),
    ),
    supplies=(
        *light.supplies("Copper(II) nitrate of the plan's concentration", "Cu(NO3)2"),
        Supply("6 mol/L nitric acid", "30 * V_flask_plan / 50", "mL", note=cautions.NITRIC, substance="HNO3", concentration="6 mol/L"),
        Supply("Alloy", "m_plan", "g"),
    ),
    shared=(
        Shared("Hood", "hoods", "hood_places", "hood_minutes", used_in=("dissolve",), kind="hood", meanwhile="Make the standards while the piece dissolves."),
        *(replace(shared, follows="Hood") for shared in light.SHARED),
    ),
    waste=cautions.COPPER_WASTE,
)  # fmt: skip
