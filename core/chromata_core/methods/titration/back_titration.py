"""Neutralising power of an antacid tablet: more acid than it can take, the rest titrated back with base."""

from chromata_core.declaration import cautions
from chromata_core.declaration.nature import Titrated
from chromata_core.declaration.option_kinds import Choice, ChoiceOption, NumberOption, SubstanceOption, Trials
from chromata_core.declaration.preparation import Supply, Target
from chromata_core.declaration.questions import conclusion
from chromata_core.declaration.schools import END_POINT, agreement_options
from chromata_core.declaration.vocabulary import (
    TITRATION,
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
from chromata_core.judging.checks import SameStart, Seen, Within
from chromata_core.judging.whenever import Whenever
from chromata_core.methods.titration import burette
from chromata_core.methods.weighing import by_difference, difference

_N = "c_a * V_added - c_b * V"

_BY_BURETTE = {"acid_by": "burette"}
_BY_DIFFERENCE, _ADDED = {"weigh_by": "difference"}, {"weigh_by": "added"}
_BEFORE = {"indicator_when": "before"}

METHOD = Method(
    slug="back-titration",
    version=3,
    family=TITRATION,
    title="Back titration of an antacid",
    question="How much acid can a tablet neutralise?",
    reaction="CO₃²⁻ + 2 H⁺ → CO₂ + H₂O, then H⁺ + OH⁻ → H₂O",
    options=(
        NumberOption("c_a", "Acid concentration", "0.1000", "mol/L", "c_a", "Hydrochloric acid, measured exactly.",
                     "0.0005", "normal95", "Acid concentration", room=True),
        NumberOption("c_b", "Base concentration", "0.1000", "mol/L", "c_b", "Sodium hydroxide in the burette.",
                     "0.0005", "normal95", "Base concentration", room=True),
        SubstanceOption("M_k", "Compared as", (Choice("CaCO3", "Calcium carbonate"),), "CaCO3", "M", fixed=True),
        NumberOption("price", "Price of one tablet", "0.20", "", "price", "To compare products; in any currency.", low="0.001"),
        NumberOption("most_sample", "Largest portion", "0.5", "g", help="More needs more acid than is there. Common practice."),
        NumberOption("least_titre", "Smallest useful titre", "2", "mL", help="Below it hardly any acid was left over."),
        NumberOption("V_acid", "Acid to be added", "48", "mL", low="1", planning=True),
        NumberOption("q_expected", "Expected neutralising power", "10", "mmol/g", "", "About 10 for a common tablet; 20 is pure chalk.",
                     low="0.1", planning=True),
        NumberOption("used_up", "Share of the acid to be used up", "70", "%", help="The rest is titrated back.", low="1", high="99", planning=True),
        ChoiceOption("acid_by", "The acid is measured with", (
            Choice("burette", "A burette, read before and after"), Choice("measured", "A pipette or cylinder"),
        ), "burette", "A burette gives any volume; a pipette is quicker and gives one."),
        ChoiceOption("indicator_when", "The indicator goes in", (
            Choice("before", "Before boiling: a portion that is too large shows at once"), Choice("cooled", "When it has cooled"),
        ), "before", "Pink at once means that there is not enough acid; the earlier that is seen, the less is lost."),
        ChoiceOption("weigh_by", "A portion is weighed", (
            Choice("difference", "Out of a vial, before and after"), Choice("added", "Into the flask: empty, then with it"),
        ), "difference"),
        burette.INDICATOR,
        burette.FILLS,
        burette.DROPS,
        ChoiceOption("titrant", "In the burette", (
            Choice("NaOH", "Sodium hydroxide", words={"titrant": "sodium hydroxide", "burn": cautions.BASE_BURNS}),
        ), "NaOH"),
        END_POINT,
        *agreement_options("1", "mmol/g", "rad", "5"),
    ),
    roles=(
        Role("balance", "Balance", ("balance",), "balance-0.0001"),
        Role("acid_burette", "Burette for the acid", ("burette", "piston burette"), "burette-50-a"),
        Role("pipette", "For the acid", ("pipette", "cylinder"), "pipette-50-a"),
        Role("burette", "Burette for the base", ("burette", "piston burette"), "burette-50-b"),
    ),
    readings=(
        Reading("m_tablet", "Whole tablet", "g", "balance", "m_tablet", scope="bench", hint="Before it is crushed."),
        *by_difference("Vial", "About half the tablet, never more than 0.5 g.", when=_BY_DIFFERENCE),
        Reading("m_flask", "Flask, empty", "g", "balance", "m_flask", hint="Dry, without its stopper.", when=_ADDED),
        Reading("m_full", "Flask and portion", "g", "balance", "m_full", echo="m", hint="About half the tablet, never more than 0.5 g.", when=_ADDED),
        Reading("V_a_start", "Acid burette, start", "mL", "acid_burette", "V_a,start", zero_of="V_a", when=_BY_BURETTE,
                hint="Wherever it stands; a full burette is 0.00."),
        Reading("V_a", "Acid burette, end", "mL", "acid_burette", "V_a,end", when=_BY_BURETTE, hint="After 45 to 50 mL of acid."),
        Reading("V_a", "Acid added", "mL", "pipette", "V_a", when={"acid_by": "measured"}, hint="45 to 50 mL, exactly measured."),
        Observation(
            "at_once",
            "Colour with the indicator",
            (Choice("clear", "No pink: there is acid left"), Choice("pink", "Pink at once: not enough acid")),
            voids=("pink",),
            hint="Cloudiness from binders is normal. Pink already means that the base has nothing to meet.",
        ),
        *burette.READINGS,
    ),
    quantities=(
        difference("Sample", "Vial", when=_BY_DIFFERENCE),
        Quantity("m", "Sample", "m_full - m_flask", "g", "m", when=_ADDED,
                 positive="The flask did not get heavier; were the two weighings swapped?"),
        Quantity("V_added", "Acid added", "V_a - V_a_start", "mL", "V_a", when=_BY_BURETTE,
                 positive="The acid burette's end reading is not above its start reading; its numbers grow downward."),
        Quantity("V_added", "Acid added", "V_a", "mL", "V_a", when={"acid_by": "measured"}),
        *burette.DELIVERED,
        Quantity("n", "Acid neutralised by the sample", _N, "mmol", "n",
                 positive="More base was used than acid was there; look at both volumes again."),
        Quantity("q", "Neutralising power, this trial", "n / m", "mmol/g", "q"),
        Quantity("q_mean", "Neutralising power", "mean(q)", "mmol/g", "q̄", "summary", result=True, accepted=True),
        Quantity("n_tablet", "Acid one tablet takes", "q_mean * m_tablet", "mmol", "n_tablet", "summary",
                 result=True, accepted=True),
        Quantity("m_k", "As calcium carbonate, one tablet", "n_tablet * M_k / 2", "mg", "m_CaCO₃", "summary",
                 result=True, accepted=True),
        Quantity("worth", "Acid taken for one unit of money", "n_tablet / price", "mmol", "n_price", "summary", result=True),
    ),
    steps=(
        Step("labels", "Goggles, labels, glassware", "Put goggles on and check every label", "against your sheet.",
             "Two burettes, or a pipette for the acid; mortar, vial, conical flasks, hot plate.", "setup",
             cautions=(cautions.GOGGLES, cautions.DEFER), scene="ready"),
        Step("tablet", "Weigh the whole tablet", "Weigh the whole tablet", "before you crush it.", "", "setup", ("m_tablet",),
             cautions=(cautions.NO_MOUTH,), scene="weigh-tared"),
        Step("crush", "Crush it, fill every burette", "Crush the tablet to a fine powder", "and fill every burette.",
             "Powder left in the mortar is sample lost only if you weigh it as taken.", "setup",
             cautions=(cautions.BELOW_EYES, cautions.ACID_BURNS, "{burn}"), minutes=10, scene="crush"),
        Step("weigh", "Weigh a portion by difference", "Weigh the vial, tip about half out,", "weigh it again.",
             "About half the tablet, never more than 0.5 g.", reads=("m_before", "m_after"), minutes=4, when=_BY_DIFFERENCE, scene="weigh-by-difference"),
        Step("weigh", "Weigh a portion into the flask", "Weigh the flask, add a portion,", "weigh it again.",
             "About half the tablet, never more than 0.5 g.", reads=("m_flask", "m_full"), minutes=4, when=_ADDED, scene="weigh-by-difference"),
        Step("acid", "Add the acid", "Read the acid burette, add 45 to 50 mL of acid,", "read it again.", reads=("V_a_start", "V_a"),
             cautions=(cautions.ACID_BURNS,), when=_BY_BURETTE, minutes=3, scene="pipette"),
        Step("acid", "Add the acid", "Add 45 to 50 mL of acid,", "exactly measured.", reads=("V_a",),
             cautions=(cautions.ACID_BURNS,), when={"acid_by": "measured"}, minutes=3, scene="pipette"),
        Step("indicator", "Indicator, and a look", "Add {drops} drops of {indicator} and look:", "is there acid left?",
             "Pink now means too little acid: begin again with less, before any time is lost.", reads=("at_once",), minutes=1, when=_BEFORE, scene="back-titration-heat"),
        Step("boil", "Boil", "Boil gently for 1 minute.", "", "It drives carbon dioxide out. Weigh the next portion meanwhile.",
             wait=Wait("Boiling", 60), meanwhile="weigh", cautions=(cautions.BUMPING,), minutes=2, scene="back-titration-heat"),
        Step("cool", "Cool, add indicator", "Cool it until you can hold the flask,", "add {drops} drops of {indicator} and look.",
             "In a water bath it takes a few minutes.", reads=("at_once",), wait=Wait("Cooling", 300), meanwhile="weigh",
             cautions=(cautions.BUMPING,), minutes=2, when={"indicator_when": "cooled"}, scene="back-titration-heat"),
        Step("cool", "Cool", "Cool it until you can hold the flask.", "", "In a water bath it takes a few minutes.",
             wait=Wait("Cooling", 300), meanwhile="weigh", cautions=(cautions.BUMPING,), minutes=1, when=_BEFORE, scene="back-titration-heat"),
        *burette.START,
        burette.RUN,
        burette.END,
        Step("own", "Own calculation", "Work out the neutralising power yourself", "and compare.",
             "What the base used up was left over; the rest was neutralised by the tablet.", "closing", ("own.q_mean",)),
        conclusion(3),
        burette.CLEAN,
    ),
    hazards=(cautions.GOGGLES, cautions.ACID_BURNS, "{burn}", cautions.BELOW_EYES, cautions.BUMPING, cautions.NO_MOUTH,
             cautions.DEFER),
    checks=(
        SameStart("V_start"),
        SameStart("V_a_start"),
        Within("m", "It may take more acid than there is.", "Take less: about half the tablet, never more than 0.5 g.",
               high="option:most_sample", level="stop", on="m_after"),
        Whenever("V-range", "V < least_titre", "Only {V} of base was needed.",
                 "Hardly any acid was left over, so the difference is badly known.",
                 "Start again with less: about {m * used_up * c_a * V_added / n:g} would use up {used_up} %.", on="V_end"),
        Seen("at_once", "pink", "stop", "Pink at once.", "There was not enough acid for this much sample.",
             "This trial is void. Start again with less sample."),
    ),
    questions=(
        "Why is the tablet not titrated with acid directly?",
        "What would carbon dioxide left in the flask do to your result?",
        "Which reading limits your result, and what would you change?",
    ),
    example=Example(
        (
            ("m_tablet", None, None, "1.3120"),
            ("m_before", 1, None, "12.8841"), ("m_after", 1, None, "12.5302"), ("V_a_start", 1, None, "0.00"), ("V_a", 1, None, "48.50"), ("at_once", 1, None, "clear"),
            ("V_start", 1, None, "0.15"), ("end_point", 1, None, "held"), ("V_end", 1, None, "12.88"),
            ("m_before", 2, None, "12.5302"), ("m_after", 2, None, "12.1894"), ("V_a_start", 2, None, "0.10"), ("V_a", 2, None, "48.30"), ("at_once", 2, None, "clear"),
            ("V_start", 2, None, "0.40"), ("end_point", 2, None, "held"), ("V_end", 2, None, "14.22"),
        ),
        {"c_a": "0.1018", "c_b": "0.0992"},
    ),
    more_examples=(
        Example(
            (
                ("m_tablet", None, None, "1.3120"),
                ("m_before", 1, None, "12.8841"), ("m_after", 1, None, "12.5302"), ("V_a", 1, None, "50.00"), ("at_once", 1, None, "clear"),
                ("V_start", 1, None, "0.15"), ("end_point", 1, None, "held"), ("V_end", 1, None, "14.42"),
                ("m_before", 2, None, "12.5302"), ("m_after", 2, None, "12.1894"), ("V_a", 2, None, "50.00"), ("at_once", 2, None, "clear"),
                ("V_start", 2, None, "0.40"), ("end_point", 2, None, "held"), ("V_end", 2, None, "15.97"),
            ),
            {"acid_by": "measured", "c_a": "0.1018", "c_b": "0.0992"},
        ),
        Example(
            (
                ("m_tablet", None, None, "1.3120"),
                ("m_flask", 1, None, "92.4410"), ("m_full", 1, None, "92.7949"), ("V_a_start", 1, None, "0.00"), ("V_a", 1, None, "48.50"), ("at_once", 1, None, "clear"),
                ("V_start", 1, None, "0.15"), ("end_point", 1, None, "held"), ("V_end", 1, None, "12.88"),
                ("m_flask", 2, None, "88.1012"), ("m_full", 2, None, "88.4420"), ("V_a_start", 2, None, "0.10"), ("V_a", 2, None, "48.30"), ("at_once", 2, None, "clear"),
                ("V_start", 2, None, "0.40"), ("end_point", 2, None, "held"), ("V_end", 2, None, "14.22"),
            ),
            {"weigh_by": "added", "c_a": "0.1018", "c_b": "0.0992"},
        ),
    ),
    trials=Trials("Trial", 2, 5, agree="q"),
    compares="n_tablet",
    slips=(
        Slip("base-alone", "the amount of base is taken for the amount neutralised", "n", "c_b * V"),
        Slip("reversed", "the subtraction is turned round", "n", "c_b * V - c_a * V_added"),
        Slip("acid-alone", "the acid left over is not subtracted", "n", "c_a * V_added"),
        Slip("final-reading", "the burette's final reading is used instead of the difference", "V", "V_end"),
        Slip("acid-final-reading", "the acid burette's final reading is used instead of the difference", "V_added", "V_a", when=_BY_BURETTE),
        Slip("whole-tablet", "the whole tablet's mass is used for the sample's", "q", "n / m_tablet"),
        Slip("one-to-one", "carbonate is taken to neutralise one H⁺ instead of two", "m_k", "n_tablet * M_k"),
    ),
    faults=(
        *burette.FAULTS,
        Fault("carbon-dioxide", "Carbon dioxide not driven off", {"V_end": "x + 0.40"},
              "It takes base too: more is needed, the tablet seems to neutralise less.", "Boil for a full minute."),
        Fault("lost-in-mortar", "Powder spilt after weighing", {"V_end": "x + 1.5"},
              "Less sample reaches the flask than was weighed out.", "Tip it straight into the flask, tap the vial."),
    ),
    targets=(
        Target("Portion for that share", "c_a * V_acid * used_up / q_expected", "g", "never more than the largest portion", at_most="most_sample", choose=("used_up", "V_acid")),
        Target("Base to titrate the rest", "c_a * V_acid * (1 - used_up) / c_b", "mL", "the expected titre", read_at="burette", at_least="least_titre", choose=("used_up", "V_acid")),
    ),
    supplies=(
        Supply("Hydrochloric acid of the plan's concentration", "V_acid", "mL", note=cautions.ACID_BURNS, substance="HCl", concentration="c_a"),
        Supply("Base in the burette", "c_a * V_acid * (1 - used_up) / c_b", "mL", note="{burn}", substance="titrant", concentration="c_b"),
        Supply("Tablets", "1", "", "bench"),
    ),
    titrated=Titrated("HCl", "titrant", "c_b", indicator="indicator"),
    waste=cautions.NEUTRAL_WASTE,
)  # fmt: skip
