"""Concentration of an unknown acid or base by titration against a standard, with an indicator."""

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
    Role,
    Slip,
    Step,
)
from chromata_core.judging.checks import SameStart, UpsideDown, Within
from chromata_core.methods.titration import burette

_CONCENTRATION, _VOLUME = {"asks": "concentration"}, {"asks": "volume"}

OPTIONS = (
    ChoiceOption(
        "titrant",
        "In the burette",
        (
            Choice("NaOH", "Sodium hydroxide", {"z_t": "1"}, {"titrant": "sodium hydroxide", "burn": cautions.BASE_BURNS}),
            Choice("KOH", "Potassium hydroxide", {"z_t": "1"}, {"titrant": "potassium hydroxide", "burn": cautions.BASE_BURNS}),
            Choice("HCl", "Hydrochloric acid", {"z_t": "1", "indicator": "methyl-orange"}, {"titrant": "hydrochloric acid", "burn": cautions.ACID_BURNS}),
            Choice("H2SO4", "Sulfuric acid", {"z_t": "2", "indicator": "methyl-orange"}, {"titrant": "sulfuric acid", "burn": cautions.ACID_BURNS}),
        ),
        "NaOH",
    ),
    NumberOption(
        "c_t", "Titrant concentration", "0.1000", "mol/L", "c_t",
        "From its standardisation or its label.", "0.0005", "normal95", "Titrant concentration", room=True,
    ),
    NumberOption("z_t", "H⁺ or OH⁻ per formula of titrant", "1", symbol="z_t", low="1", high="4"),
    SubstanceOption(
        "M_s",
        "Substance in the sample",
        (
            Choice("CH3COOH", "Ethanoic acid", {"z_s": "1"}, {"substance": "ethanoic acid"}),
            Choice("HCl", "Hydrochloric acid", {"z_s": "1"}, {"substance": "hydrochloric acid"}),
            Choice("C3H6O3", "Lactic acid", {"z_s": "1"}, {"substance": "lactic acid"}),
            Choice("C4H6O5", "Malic acid", {"z_s": "2"}, {"substance": "malic acid"}),
            Choice("C6H8O7", "Citric acid", {"z_s": "3"}, {"substance": "citric acid"}),
            Choice("H2SO4", "Sulfuric acid", {"z_s": "2"}, {"substance": "sulfuric acid"}),
            Choice("NaOH", "Sodium hydroxide", {"z_s": "1"}, {"substance": "sodium hydroxide"}),
            Choice("NH3", "Ammonia", {"z_s": "1"}, {"substance": "ammonia"}),
            Choice("Ca(OH)2", "Calcium hydroxide", {"z_s": "2"}, {"substance": "calcium hydroxide"}),
            Choice("Na2CO3", "Sodium carbonate, to methyl orange", {"z_s": "2"}, {"substance": "sodium carbonate"}),
        ),
        "CH3COOH",
        "M",
        "Pick one or type a formula.",
    ),
    NumberOption("z_s", "H⁺ or OH⁻ per formula of the substance", "1", symbol="z_s", low="1", high="4"),
    burette.INDICATOR,
    burette.FILLS,
    burette.DROPS,
    NumberOption(
        "dilution", "Sample diluted before titrating", "1", "", "f", "10 when 10 mL were made up to 100 mL; else 1.",
        low="1", limit_label="Dilution of the sample",
    ),
    NumberOption("dose", "One dose or portion", "10", "mL", "V_dose", "To compare products by what people use at once.", low="0.1"),
    NumberOption("least_titre", "Smallest useful titre", "10", "mL", help="Below it the burette's errors weigh too much."),
    NumberOption("c_expected", "Expected concentration of the sample, diluted", "0.1", "mol/L", low="0.0001", planning=True),
    NumberOption("V_wanted", "Wanted titre", "20", "mL", low="1", planning=True),
    ChoiceOption("asks", "What is asked", (
        Choice("concentration", "How concentrated is it?"), Choice("volume", "Which takes more? The titre alone is compared"),
    ), "concentration"),
    burette.ROUGH,
    END_POINT,
    *agreement_options("0.10", "mL"),
)  # fmt: skip

STEPS = (
    Step("labels", "Goggles, labels, glassware", "Put goggles on and check every label", "against your sheet.",
         "Burette, pipette, conical flasks, indicator, wash bottle, white tile.", "setup",
         cautions=(cautions.GOGGLES, cautions.DEFER), scene="ready"),
    burette.FILL,
    Step("pipette", "Pipette the sample", "Write the pipette's volume.", "One for all trials.",
         "Rinse it with the sample, fill to the mark, let it drain.", "setup", ("V_s",), cautions=(cautions.NO_MOUTH,), scene="pipette"),
    Step("chart", "Its colour by the chart", "A few drops of universal indicator into some of the sample:", "which pH has its colour?",
         "On a white tile, beside the chart.", "setup", ("pH_chart",), when={"indicator": "universal"}),
    Step("portion", "Sample and indicator", "Run the sample into a clean flask", "and add {drops} drops of {indicator}.",
         "A little water from the wash bottle does no harm: it does not change the amount.", "trial", minutes=3, scene="sample-indicator"),
    *burette.START,
    burette.RUN,
    burette.END,
    Step("own", "Own calculation", "Work out the concentration yourself", "and compare.",
         "From the mean titre, the titrant and the ratio. Write it with the figures it deserves.", "closing", ("own.c_s",), when=_CONCENTRATION),
    Step("own", "Own calculation", "Work out the mean titre yourself", "and say which product takes more.", "", "closing", ("own.V_mean",), when=_VOLUME),
    conclusion(3),
    burette.CLEAN,
)  # fmt: skip

METHOD = Method(
    slug="acid-base-titration",
    version=2,
    family=TITRATION,
    title="Acid–base titration",
    question="How concentrated is an acid or a base in a sample?",
    reaction="H⁺ + OH⁻ → H₂O",
    options=OPTIONS,
    roles=(
        Role("burette", "Burette", ("burette", "piston burette"), "burette-50-b"),
        Role("pipette", "Pipette or cylinder for the sample", ("pipette", "cylinder"), "pipette-20-a"),
    ),
    readings=(
        burette.sample_volume("V_s", "Sample volume"),
        Observation("pH_chart", "pH by the colour chart", tuple(Choice(f"pH{n}", f"pH {n}") for n in range(1, 14)), scope="bench",
                    hint="The nearest colour of the chart; between two, the paler.", when={"indicator": "universal"}),
        *burette.READINGS,
    ),
    quantities=(
        *burette.DELIVERED,
        Quantity("V_mean", "Mean titre", "mean(V)", "mL", "V̄", "summary", when=_CONCENTRATION),
        Quantity("V_mean", "Mean titre", "mean(V)", "mL", "V̄", "summary", result=True, accepted=True, when=_VOLUME),
        Quantity("c_s", "Concentration of the sample", "c_t * V_mean * z_t / (z_s * V_s) * dilution", "mol/L", "c_sample",
                 "summary", result=True, accepted=True, when=_CONCENTRATION),
        Quantity("gamma", "Mass concentration", "c_s * M_s", "g/L", "γ", "summary", result=True, accepted=True, when=_CONCENTRATION),
        Quantity("w_v", "Mass in 100 mL (% w/v)", "gamma", "g/100 mL", "w/v", "summary", result=True, accepted=True, when=_CONCENTRATION),
        Quantity("m_dose", "Mass in one dose", "gamma * dose", "g", "m_dose", "summary", result=True, when=_CONCENTRATION),
    ),
    steps=STEPS,
    hazards=(cautions.GOGGLES, "{burn}", cautions.BELOW_EYES, cautions.NO_MOUTH, cautions.DEFER),
    checks=(
        SameStart("V_start"),
        UpsideDown("V", ("V_end", "V_start"), "agreement_limit"),
        Within("V", "The burette's own errors weigh more in a small titre.", "Take more sample or a weaker titrant next time.",
               low="option:least_titre", on="V_end"),
    ),
    questions=(
        "Which reading limits your result, and what would you change to halve its part?",
        "Why does water added to the flask not change the titre?",
        "How would your result differ if the burette had been rinsed with water only?",
    ),
    example=Example(
        (
            ("V_s", None, None, "20.00"), ("pH_chart", None, None, "pH3"),
            ("V_start", 0, None, "0.40"), ("end_point", 0, None, "held"), ("V_end", 0, None, "19.1"),
            ("V_start", 1, None, "0.22"), ("end_point", 1, None, "held"), ("V_end", 1, None, "18.47"),
            ("V_start", 2, None, "1.05"), ("end_point", 2, None, "held"), ("V_end", 2, None, "19.36"),
        ),
        {"c_t": "0.1026", "c_t.limit": "0.0004", "M_s": "C4H6O5", "dilution": "5"},
    ),
    trials=Trials("Trial", 2, 6, agree="V", rough="rough_trial"),
    compares="m_dose",
    slips=(
        Slip("final-reading", "the burette's final reading is used instead of the difference", "V", "V_end"),
        Slip("rough-included", "the rough trial is averaged too", with_rough=True),
        Slip("ratio-inverted", "the ratio of acid to base is turned over", "c_s",
             "c_t * V_mean * z_s / (z_t * V_s) * dilution", when=_CONCENTRATION),
        Slip("volumes-swapped", "the two volumes change places", "c_s", "c_t * V_s * z_t / (z_s * V_mean) * dilution", when=_CONCENTRATION),
        Slip("millilitres", "millilitres of titrant are divided by litres of sample", "c_s",
             "1000 * c_t * V_mean * z_t / (z_s * V_s) * dilution", when=_CONCENTRATION),
        Slip("no-dilution", "the dilution of the sample is left out", "c_s", "c_t * V_mean * z_t / (z_s * V_s)", when=_CONCENTRATION),
        Slip("dilution-inverted", "the result is divided by the dilution instead of multiplied", "c_s",
             "c_t * V_mean * z_t / (z_s * V_s) / dilution", when=_CONCENTRATION),
    ),
    faults=(
        *burette.FAULTS,
        burette.CARBON_DIOXIDE,
        Fault("pipette-blown-out", "Pipette blown out", {"V_end": "x * 1.0025"},
              "About 0.05 mL more sample than the pipette states: more titrant.", "A pipette to deliver keeps its last drop."),
        Fault("pipette-wet", "Pipette rinsed with water only", {"V_end": "x * 0.99"},
              "The sample is diluted by what was left in the pipette.", "Rinse it with the sample first."),
    ),
    targets=(
        Target("Sample for the wanted titre", "c_t * V_wanted * z_t / (z_s * c_expected)", "mL", "choose the pipette nearest to it", read_at="pipette", choose=("V_wanted", "c_t")),
        Target("Titre to come", "V_wanted", "mL", "on the burette without filling it again", read_at="burette", at_least="least_titre", choose=("V_wanted",)),
    ),
    supplies=(
        Supply("Titrant: {titrant}", "V_wanted", "mL", note="{burn}", substance="titrant", concentration="c_t"),
        Supply("Sample, diluted as planned", "c_t * V_wanted * z_t / (z_s * c_expected)", "mL"),
    ),
    titrated=Titrated("M_s", "titrant", "c_t", "z_s", "indicator"),
    waste=cautions.NEUTRAL_WASTE,
)  # fmt: skip
