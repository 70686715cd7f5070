"""Solubility product of a sparingly soluble salt by the colour of one of its ions."""

from dataclasses import replace

from chromata_core.declaration import cautions
from chromata_core.declaration.option_kinds import Choice, ChoiceOption, NumberOption, Trials
from chromata_core.declaration.preparation import Shared, Supply, Target
from chromata_core.declaration.questions import conclusion
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
from chromata_core.methods import natural_constants
from chromata_core.methods.spectrophotometry import light

_RATIO = "c / c_1"
_SPUN = {"parting": "spin"}

METHOD = Method(
    slug="solubility-product",
    version=3,
    family=SPECTROPHOTOMETRY,
    title="A solubility product",
    question="How little of a sparingly soluble salt dissolves?",
    reaction="MₐXᵦ(s) ⇌ a M + b X;  Ksp = [M]ᵃ[X]ᵇ",
    options=(
        ChoiceOption("salt", "Salt", (
            Choice("Ag2CrO4", "Silver chromate, Ag₂CrO₄", sets={"a": "2", "b": "1", "Ksp_lit": "1.1e-12"}, words={"ion": "chromate", "solid": "silver chromate", "stock": "K2CrO4"}),
            Choice("MX", "One to one, MX", sets={"a": "1", "b": "1"}, words={"ion": "the coloured ion", "solid": "the salt", "stock": ""}),
            Choice("MX2", "One to two, MX₂", sets={"a": "1", "b": "2"}, words={"ion": "the coloured ion", "solid": "the salt", "stock": ""}),
            Choice("M2X", "Two to one, M₂X", sets={"a": "2", "b": "1"}, words={"ion": "the coloured ion", "solid": "the salt", "stock": ""}),
            Choice("M3X2", "Three to two, M₃X₂", sets={"a": "3", "b": "2"}, words={"ion": "the coloured ion", "solid": "the salt", "stock": ""}),
        ), "Ag2CrO4", "Any other ratio can be set below."),
        NumberOption("a", "Partner ions in the formula", "2", symbol="a", low="1", high="4"),
        NumberOption("b", "Coloured ions in the formula", "1", symbol="b", low="1", high="4"),
        ChoiceOption("washing", "The solid is washed with", (
            Choice("water", "Water", words={"wash": "water"}),
            Choice("salt", "A salt solution that shares no ion, at last water", words={"wash": "a solution of a salt that shares no ion with it, at last with water,"}),
        ), "water", "A salt solution dissolves less of it and keeps fine solids from running through."),
        ChoiceOption("parting", "Solid and liquid are parted", (
            Choice("spin", "In a centrifuge, balanced", words={"part": "spin it"}), Choice("settle", "By settling and pouring off", words={"part": "let it settle and pour off"}),
        ), "spin"),
        NumberOption("spinners", "Centrifuges", "1", low="1", high="12", planning=True, when=_SPUN),
        NumberOption("spin_places", "Benches at one at a time", "3", "", help="Each with a pair of tubes that stand opposite each other.", low="1", high="12", planning=True, when=_SPUN),
        NumberOption("spin_minutes", "A spin, from loading to taking out", "6", "min", low="1", high="60", planning=True, when=_SPUN),
        NumberOption("solid_minutes", "Before the first spin", "15", "min", "", "Mixing, settling, sharing out to the tubes, the first washing.", high="120", planning=True, when=_SPUN),
        NumberOption("washes", "How often it is washed", "3", low="1", high="6", help="Three times is common practice.", planning=True),
        NumberOption("Ksp_lit", "Accepted solubility product", "1.1e-12", symbol="K_lit", help="Silver chromate at 25 °C: about 1.1 × 10⁻¹², handbook value from memory."),
        *light.options("0.0002400", "mol/L", "0.0000010", "1.00; 2.00; 4.00; 6.00; 8.00", "10", "405", "3500", "T"),
        natural_constants.UNIT_CONCENTRATION,
    ),
    roles=(*light.ROLES, *light.dilution_roles(), Role("thermometer", "Thermometer", ("thermometer", "glass thermometer"), "thermometer-0.1")),
    readings=(
        Reading("T", "Temperature of the solutions", "°C", "thermometer", "T", scope="bench", room=True, hint="A solubility product belongs to one temperature: write it beside it."),
        *light.STANDARDS,
        Observation("clear", "The liquid over the solid", (Choice("clear", "Clear: nothing floats"), Choice("cloudy", "Cloudy: spin it again")), until=("clear",),
                    hint="A grain in the light reads as colour."),
        *light.unknown(),
    ),
    quantities=(
        *light.read_off("µmol/L"),
        Quantity("c", "Coloured ion in the saturated solution", "D * c_x", "µmol/L", "[X]"),
        Quantity("r", "the same as a pure number", _RATIO, "", "x", positive="The line gives less than nothing here; look at the blank again."),
        Quantity("r_M", "Partner ion", "a / b * r", "", "[M]"),
        Quantity("K_t", "Solubility product, this solution", "r_M**a * r**b", "", "Ksp"),
        Quantity("K", "Solubility product", "mean(K_t)", "", "K̄sp", "summary", result=True, accepted=True, known="Ksp_lit"),
    ),
    steps=(
        Step("labels", "Goggles, gloves", "Put goggles and gloves on", "and set the waste bottle beside you.", "", "setup",
             cautions=(cautions.GOGGLES, cautions.CHROMATE, cautions.SILVER, cautions.DEFER), scene="ready"),
        Step("warmth", "Temperature", "Read the temperature of the solutions:", "the result belongs to it.", "", "setup", ("T",)),
        Step("precipitate", "Make the solid", "Mix the two solutions slowly, stirring,", "and let {solid} settle.", "What settles is what will be washed; the liquid over it goes into the waste.", "setup",
             wait=Wait("Settling", 300), cautions=(cautions.CHROMATE, cautions.SILVER), minutes=5, scene="precipitate"),
        *light.SETUP_STEPS,
        Step("tubes", "Into small tubes", "Share most of the solid out to small tubes,", "one for each solution.", "Tubes that stand opposite each other in a centrifuge weigh the same.", "setup",
             cautions=(cautions.CHROMATE,), minutes=4, scene="centrifuge"),
        Step("wash", "Wash the solid", "Wash {solid} with {wash} and {part};", "what you washed with goes into the waste.",
             "What is left in it carries ions that are not from the solid.", cautions=(cautions.CHROMATE,), minutes=2, cycle="washes",
             again="Wash {solid} with {wash} once more and {part}.", scene="centrifuge"),
        Step("shake", "Let it saturate", "Shake it with fresh water, wait, shake again,", "then {part}.", "Until nothing more dissolves: minutes, better an hour.",
             wait=Wait("Saturating", 600), meanwhile="wash", minutes=1, scene="centrifuge"),
        Step("look", "Look through it", "Hold the liquid against the light:", "is it clear?", reads=("clear",), scene="sample-light"),
        light.read_step("Read the saturated solution", "{rinse} the cuvette with the clear liquid,"),
        Step("own", "Own calculation", "Work out the solubility product yourself", "and compare.", "The partner ion follows from the formula; then the powers.", "closing", ("own.K",)),
        conclusion(3),
        Step("clean", "Collect silver and chromate", "Collect every solution and solid", "as hazardous waste.", "", "closing", cautions=(cautions.CHROMATE, cautions.DEFER), scene="tidy"),
    ),
    hazards=(cautions.GOGGLES, cautions.CHROMATE, cautions.SILVER, cautions.CUVETTE, cautions.DEFER),
    checks=light.CHECKS,
    questions=(
        "Why does an error of 5 % in the concentration make 15 % in the solubility product of M₂X?",
        "How would you show that the solution was saturated?",
        "What does a grain of solid in the light do to the result?",
    ),
    example=Example(
        (
            ("T", None, None, "22.4"),
            *light.standards(("1.00", "0.085"), ("2.00", "0.169"), ("4.00", "0.336"), ("6.00", "0.507"), ("8.00", "0.672")),
            ("clear", 1, None, "clear"), ("rezero", 1, None, "zero"), *light.read(1, 1, "0.226"),
            ("clear", 2, None, "clear"), ("rezero", 2, None, "zero"), *light.read(2, 1, "0.231"),
            ("clear", 3, None, "clear"), ("rezero", 3, None, "zero"), *light.read(3, 1, "0.223"),
        ),
    ),
    trials=Trials("Solution", 3, 6),
    path=("c_x", "D", "c", "r_M", "K_t"),
    slips=(
        *(slip for slip in light.SLIPS if not slip.key.startswith(("dilution", "no-dilution"))),
        Slip("no-coefficient", "the partner ion is not multiplied by its coefficient", "r_M", "r"),
        Slip("no-exponent", "the exponents are left out", "K_t", "r_M * r"),
        Slip("coefficient-outside", "the coefficient is not raised to its power", "K_t", "a / b * r**a * r**b"),
    ),
    faults=(
        Fault("solid-in-light", "Solid in the cuvette", {"A_x": "x + 0.040", "T_x": "x * 0.912"}, "The reading sinks while you watch: a grain settles.", "Spin again, take the liquid from the top."),
        Fault("not-saturated", "Not at equilibrium", {"A_x": "x * 0.88", "T_x": "x * 1.08"}, "The next shaking gives more colour.", "Shake and wait until two readings agree."),
        Fault("wash-water", "Wash water left in", {"A_x": "x + 0.025", "T_x": "x * 0.944"}, "The first solution is darker than the later ones.", "Wash and spin three times."),
        Fault("blank-drifted", "Blank not set again", {"A_x": "x - 0.020", "T_x": "x * 1.047"}, "With the blank in it no longer shows zero.", "Zero on the blank before every solution."),
    ),
    charts=light.CHARTS,
    targets=(
        Target("Coloured ion to be expected", "(Ksp_lit * (b / a)**a)**(1 / (a + b)) * c_1", "µmol/L", "it must lie between the standards", at_least="c_stock / 10", at_most="c_stock * 8 / 10", choose=("c_stock",)),
        Target("Strongest standard, for 8 mL in a 10 mL flask", "c_stock * 8 / 10", "µmol/L", "above what is expected", told=True),
    ),
    supplies=(*light.supplies("Stock of {ion} in the plan's concentration", "{stock}"), Supply("Washed solid", "1", "", "trial", note=cautions.CHROMATE)),
    shared=(
        *(replace(shared, follows="Centrifuge") for shared in light.SHARED),
        Shared("Centrifuge", "spinners", "spin_places", "spin_minutes", after="solid_minutes", used_in=("wash", "shake"), kind="centrifuge",
               meanwhile="Make the standards; weigh the tubes that will stand opposite each other.", when=_SPUN),
    ),
    waste="Silver and chromate are collected as hazardous waste, never poured down the sink.",
)  # fmt: skip
