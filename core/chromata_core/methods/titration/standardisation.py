"""Concentration of a titrant against a weighed primary standard. Published check: EURACHEM/CITAC CG4, example A2."""

from chromata_core.declaration import cautions
from chromata_core.declaration.nature import Titrated
from chromata_core.declaration.option_kinds import Choice, ChoiceOption, NumberOption, SubstanceOption, Trials
from chromata_core.declaration.preparation import Stores, Supply, Target
from chromata_core.declaration.questions import conclusion
from chromata_core.declaration.schools import END_POINT, agreement_options
from chromata_core.declaration.vocabulary import TITRATION, Example, Fault, Method, OwnError, Quantity, Role, Slip, Step
from chromata_core.judging.checks import SameStart, Within
from chromata_core.methods.titration import burette
from chromata_core.methods.weighing import by_difference, difference, tared

_C = "m * P * z_p / (M_p * z_t * V)"

OPTIONS = (
    SubstanceOption(
        "M_p",
        "Primary standard",
        (
            Choice("KHC8H4O4", "Potassium hydrogen phthalate, for a base", {"z_p": "1", "titrant": "NaOH", "indicator": "phenolphthalein"},
                   {"standard": "potassium hydrogen phthalate", "drying": "dried at 105–120 °C for 2 h"}),
            Choice("C7H6O2", "Benzoic acid, for a base", {"z_p": "1", "titrant": "NaOH", "indicator": "phenolphthalein"},
                   {"standard": "benzoic acid", "drying": "dried over a desiccant"}),
            Choice("Na2CO3", "Sodium carbonate, for an acid", {"z_p": "2", "titrant": "HCl", "indicator": "methyl-orange"},
                   {"standard": "sodium carbonate", "drying": "dried at 260–270 °C for 1 h"}),
        ),
        "KHC8H4O4",
        "M",
        "The choice sets titrant and indicator; both can be changed.",
    ),
    NumberOption("z_p", "H⁺ taken or given per formula of standard", "1", symbol="z_p", low="1", high="4"),
    ChoiceOption(
        "titrant",
        "Titrant to be standardised",
        (
            Choice("NaOH", "Sodium hydroxide", {"z_t": "1"}, {"titrant": "sodium hydroxide", "burn": cautions.BASE_BURNS}),
            Choice("KOH", "Potassium hydroxide", {"z_t": "1"}, {"titrant": "potassium hydroxide", "burn": cautions.BASE_BURNS}),
            Choice("HCl", "Hydrochloric acid", {"z_t": "1", "indicator": "methyl-orange"}, {"titrant": "hydrochloric acid", "burn": cautions.ACID_BURNS}),
            Choice("H2SO4", "Sulfuric acid", {"z_t": "2", "indicator": "methyl-orange"}, {"titrant": "sulfuric acid", "burn": cautions.ACID_BURNS}),
        ),
        "NaOH",
    ),
    NumberOption("z_t", "H⁺ or OH⁻ per formula of titrant", "1", symbol="z_t", low="1", high="4"),
    NumberOption(
        "P", "Purity of the standard", "1.0000", "", "P", "As a fraction, from its certificate.",
        "0.0005", "rectangular", "Purity of the standard", high="1.01", room=True,
    ),
    ChoiceOption(
        "weighing",
        "How is the standard weighed?",
        (Choice("difference", "By difference from its bottle"), Choice("tared", "Into the tared flask")),
        "difference",
    ),
    burette.INDICATOR,
    burette.FILLS,
    burette.DROPS,
    NumberOption("least_titre", "Smallest useful titre", "10", "mL", help="Below it the burette's errors weigh too much."),
    NumberOption("repeatability", "Repeatability known from earlier work", "0", "%", high="20",
                 help="Relative standard deviation of one whole determination, if your laboratory knows it; 0 if not. It then stands for weighing, reading and end point."),
    NumberOption("c_expected", "Expected concentration of the titrant", "0.1", "mol/L", low="0.0001", planning=True),
    NumberOption("V_wanted", "Wanted titre", "20", "mL", help="Long enough to be read well, short enough for one burette.", low="1", planning=True),
    burette.ROUGH,
    END_POINT,
    *agreement_options("0.001", "mol/L", "rsd", "0.5"),
)  # fmt: skip

READINGS = (
    *by_difference("Bottle", when={"weighing": "difference"}),
    tared("m_weighed", "Standard on the tared balance", "m", "What the balance shows, not what the sheet asked for.",
          when={"weighing": "tared"}),
    *burette.READINGS,
)  # fmt: skip

STEPS = (
    Step("labels", "Goggles, labels, dry standard", "Put goggles on and check every label", "against your sheet.",
         "The standard: {standard}, {drying}, cooled in a desiccator.", "setup", cautions=(cautions.GOGGLES, cautions.DEFER), scene="ready"),
    burette.FILL,
    Step("weigh-out", "Weigh the standard", "Weigh the bottle, tip some out, weigh it again.", "",
         "About the planned mass is enough: the record is what the balance shows.", reads=("m_before", "m_after"),
         when={"weighing": "difference"}, minutes=4, scene="weigh-by-difference"),
    Step("weigh-tared", "Weigh the standard", "Tare the flask, add the standard,", "write what the balance shows.",
         "About the planned mass is enough: the record is what the balance shows.", reads=("m_weighed",), when={"weighing": "tared"}, scene="weigh-tared"),
    Step("dissolve", "Dissolve it, add indicator", "Dissolve it in about 50 mL of water", "and add {drops} drops of {indicator}.",
         "Boiled and cooled water for a base, so that carbon dioxide does not take titrant.", minutes=4, scene="sample-indicator"),
    *burette.START,
    burette.RUN,
    burette.END,
    Step("own", "Own calculation", "Work out the concentration yourself", "and compare.", "", "closing", ("own.c_mean",)),
    conclusion(2),
    burette.CLEAN,
)  # fmt: skip

METHOD = Method(
    slug="standardisation",
    version=2,
    family=TITRATION,
    title="Standardisation of a titrant",
    question="What is the exact concentration of the titrant, by a substance that can be weighed?",
    reaction="HC₈H₄O₄⁻ + OH⁻ → C₈H₄O₄²⁻ + H₂O, or CO₃²⁻ + 2 H⁺ → CO₂ + H₂O",
    options=OPTIONS,
    roles=(
        Role("balance", "Balance", ("balance",), "balance-0.0001"),
        Role("burette", "Burette", ("burette", "piston burette"), "burette-50-b"),
    ),
    readings=READINGS,
    quantities=(
        difference("Mass of standard", "Bottle", when={"weighing": "difference"}),
        Quantity("m", "Mass of standard", "m_weighed", "g", "m", when={"weighing": "tared"},
                 positive="There is no standard on the balance."),
        *burette.DELIVERED,
        Quantity("c", "Titrant concentration, this trial", _C, "mol/L", "c",
                 errors=(OwnError("Repeatability of the method", "repeatability", "normal", relative=True, covers=True),)),
        Quantity("c_mean", "Concentration of the titrant", "mean(c)", "mol/L", "c̄", "summary", result=True, accepted=True),
    ),
    steps=STEPS,
    hazards=(cautions.GOGGLES, "{burn}", cautions.BELOW_EYES, cautions.DEFER),
    checks=(
        SameStart("V_start"),
        Within("V", "The burette's own errors weigh more in a small titre.", "Weigh out more standard next time.",
               low="option:least_titre", on="V_end"),
        Within("m", "A tenth of a milligram weighs much in so small a mass.", "Weigh out more, or use a finer balance.",
               low="0.05", on="m_after"),
    ),
    questions=(
        "Why is the titrant not simply weighed and dissolved?",
        "Which contribution to the uncertainty would a second balance not remove?",
    ),
    example=Example(
        (
            ("m_before", 0, None, "18.3021"), ("m_after", 0, None, "18.1798"), ("m_weighed", 0, None, "0.1223"),
            ("V_start", 0, None, "0.30"), ("end_point", 0, None, "held"), ("V_end", 0, None, "23.6"),
            ("m_before", 1, None, "18.1798"), ("m_after", 1, None, "18.0594"), ("m_weighed", 1, None, "0.1204"),
            ("V_start", 1, None, "0.10"), ("end_point", 1, None, "held"), ("V_end", 1, None, "22.87"),
            ("m_before", 2, None, "18.0594"), ("m_after", 2, None, "17.9417"), ("m_weighed", 2, None, "0.1177"),
            ("V_start", 2, None, "0.35"), ("end_point", 2, None, "held"), ("V_end", 2, None, "22.63"),
        ),
        {"M_p": "Na2CO3"},
    ),
    trials=Trials("Trial", 2, 6, agree="c", rough="rough_trial"),
    slips=(
        Slip("final-reading", "the burette's final reading is used instead of the difference", "V", "V_end"),
        Slip("rough-included", "the rough trial is averaged too", with_rough=True),
        Slip("bottle-mass", "the bottle is not subtracted", "m", "m_before"),
        Slip("milligrams", "grams are taken as milligrams", "m", "(m_before - m_after) / 1000"),
        Slip("ratio-inverted", "the ratio of standard to titrant is turned over", "c", "m * P * z_t / (M_p * z_p * V)"),
        Slip("millilitres", "millilitres are not turned into litres", "c", f"{_C} / 1000"),
    ),
    faults=(
        Fault("standard-damp", "Standard not dried", {"V_end": "x * 0.99"},
              "Part of the mass is water: less titrant is needed, the concentration seems too high.",
              "Dry it and let it cool in a desiccator."),
        *burette.FAULTS,
        burette.CARBON_DIOXIDE,
    ),
    targets=(
        Target("Standard for the wanted titre", "c_expected * V_wanted * z_t * M_p / (z_p * P)", "g", "for each trial; about that is enough"),
        Target("Titre to come", "V_wanted", "mL", "on the burette without filling it again", read_at="burette", at_least="least_titre", choose=("V_wanted",)),
    ),
    supplies=(
        Supply("Primary standard: {standard}", "c_expected * V_wanted * z_t * M_p / (z_p * P)", "g"),
        Supply("Titrant: {titrant}", "V_wanted", "mL", note="{burn}", substance="titrant", concentration="c_expected"),
    ),
    stores=Stores("c_mean", solution="{titrant}"),
    titrated=Titrated("M_p", "titrant", "c_expected", "z_p", "indicator"),
    waste=cautions.NEUTRAL_WASTE,
)  # fmt: skip
