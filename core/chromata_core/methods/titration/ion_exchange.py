"""A metal complex through hydrogen ions: a cation column sets them free, base counts them.

By electroneutrality the H⁺ set free equals the charge of the anions that pass, whatever became of the cations.
"""

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
from chromata_core.judging.checks import SameStart, Seen, UpsideDown, Within
from chromata_core.judging.whenever import Whenever
from chromata_core.methods.titration import burette
from chromata_core.methods.weighing import by_difference, difference

_NEUTRAL = (Choice("neutral", "Neutral, like the water poured on"), Choice("acid", "Still acid: rinse on"))

METHOD = Method(
    slug="ion-exchange-titration",
    version=2,
    family=TITRATION,
    title="A cobalt complex through an ion exchanger",
    question="What is the molar mass of a complex salt, and how much metal does it hold?",
    reaction="Mᶻ⁺ + z RH → R_zM + z H⁺, then H⁺ + OH⁻ → H₂O",
    options=(
        NumberOption("c_t", "Base concentration", "0.0500", "mol/L", "c_t", "Sodium hydroxide in the burette.", "0.0003", "normal95",
                     "Base concentration", room=True),
        NumberOption("z", "H⁺ set free by one formula unit", "3", symbol="z", low="1", high="6",
                     help="The charge of the anions that pass: 3 for a trichloride. Ammonia that the complex loses stays behind as ammonium."),
        SubstanceOption("M_metal", "Metal", (Choice("Co", "Cobalt"), Choice("Cr", "Chromium"), Choice("Ni", "Nickel")), "Co", "M_metal"),
        NumberOption("m_low", "Smallest portion", "0.7", "g", low="0.01"),
        NumberOption("m_high", "Largest portion", "0.8", "g", low="0.01"),
        NumberOption("least_titre", "Smallest useful titre", "5", "mL", help="Below it the burette's errors weigh too much."),
        ChoiceOption("packed", "The column", (
            Choice("packed", "Stands there packed"), Choice("bench", "Is packed by each bench"),
        ), "packed", "Packing takes a quarter of an hour and shows what a column is."),
        burette.INDICATOR,
        burette.FILLS,
        burette.DROPS,
        ChoiceOption("titrant", "In the burette", (
            Choice("NaOH", "Sodium hydroxide", words={"titrant": "sodium hydroxide", "burn": cautions.BASE_BURNS}),
        ), "NaOH"),
        NumberOption("M_expected", "Expected molar mass", "267.5", "g/mol", help="To plan the portion with.", low="10", planning=True),
        NumberOption("V_wanted", "Wanted titre", "33", "mL", low="1", planning=True),
        NumberOption("V_flask_plan", "Flask", "50", "mL", low="1", planning=True),
        NumberOption("V_aliquot_plan", "Aliquot", "10", "mL", low="1", planning=True),
        END_POINT,
        *agreement_options("0.10", "mL"),
    ),
    roles=(
        Role("balance", "Balance", ("balance",), "balance-0.0001"),
        Role("flask", "Flask", ("flask",), "flask-50-a"),
        Role("pipette", "Pipette for the aliquots", ("pipette",), "pipette-10-a"),
        Role("clock", "Clock", ("clock", "stopwatch"), "clock-1s"),
        Role("burette", "Burette for the base", ("burette", "piston burette"), "burette-50-b"),
    ),
    readings=(
        *by_difference("Vial", "Between the smallest and the largest portion of the plan.", scope="bench"),
        Observation("reduced", "Colour over the zinc", (Choice("turned", "Turned: reduced"), Choice("not-yet", "Not yet: leave it longer")),
                    until=("turned",), scope="bench", hint="Swirl it in the water; the colour of the complex goes."),
        Reading("V_f", "Flask", "mL", "flask", "V_f", scope="bench", hint="Without the zinc; rinse it and the beaker into the flask."),
        Observation("first_drops", "First drops, before it is rinsed", (
            Choice("acid", "Acid: it is in its H⁺ form"), Choice("neutral", "Neutral: ask whether it was regenerated")),
            scope="bench", hint="Litmus under the tip goes red at first. A column that was never acid sets no H⁺ free."),
        Observation("neutral_before", "Effluent before the aliquot", _NEUTRAL, until=("neutral",),
                    hint="Indicator paper against the water you pour on. It may take far more than 50 mL."),
        Reading("V_a", "Aliquot", "mL", "pipette", "V_a", hint="Down the wall, so that the resin is not stirred up."),
        Reading("t_drops", "Time of 20 drops", "s", "clock", "t₂₀", optional=True, hint="Count 20 drops at the tip: 7 to 10 s."),
        Observation("column", "The column while it ran", (Choice("covered", "Liquid stood above the resin all the time"),
                    Choice("dry", "Ran dry, or air between the beads")), voids=("dry",), hint="2 to 3 drops each second."),
        Observation("neutral_after", "Effluent after rinsing", _NEUTRAL, until=("neutral",),
                    hint="Rinse with 5 to 10 mL portions, all into the same flask, until it is neutral again."),
        *burette.READINGS,
    ),
    quantities=(
        difference("Sample", "Vial", scope="bench"),
        *burette.DELIVERED,
        Quantity("n_h", "H⁺ in the aliquot", "c_t * V", "mmol", "n_H⁺"),
        Quantity("n", "Complex in the whole flask", "n_h * V_f / V_a / z", "mmol", "n"),
        Quantity("M_t", "Molar mass, this aliquot", "m / n", "g/mol", "M"),
        Quantity("w_t", "Metal, this aliquot", "n * M_metal / m", "%", "w"),
        Quantity("M_mean", "Molar mass", "mean(M_t)", "g/mol", "M̄", "summary", result=True, accepted=True),
        Quantity("w", "Metal in the salt", "mean(w_t)", "%", "w̄", "summary", result=True, accepted=True),
    ),
    steps=(
        Step("labels", "Goggles, gloves, column", "Put goggles and gloves on and look at the column:", "no bubbles, liquid above the resin.",
             "Cation exchanger in its H⁺ form, flask, pipette, zinc, indicator paper, burette.", "setup",
             cautions=(cautions.GOGGLES, cautions.COBALT, cautions.DEFER), minutes=8, scene="ready"),
        Step("pack", "Pack the column", "Push a 2 cm wad of wool down with a rod, then resin with much water through a funnel,", "the column held slanting.",
             "Less wool lets resin through, more makes it drip for ever. Liquid stays above the resin; bubbles: close the top, shake gently. A wide column needs a wide clamp.",
             "setup", when={"packed": "bench"}, minutes=15, scene="column"),
        Step("first", "Is it in its H⁺ form?", "Let the first drops run onto litmus:", "red or blue?", "Then rinse it; it may take far more than 50 mL.", "setup", ("first_drops",), scene="column"),
        burette.FILL,
        Step("weigh", "Weigh the complex by difference", "Weigh the vial, tip the salt into a beaker,", "weigh the vial again.",
             "0.7 to 0.8 g is usual.", "setup", ("m_before", "m_after"), cautions=(cautions.COBALT,), scene="weigh-by-difference"),
        Step("reduce", "Reduce with zinc", "Dissolve it in about 20 mL of water, add about 0.4 g of zinc,", "swirl until the murky green is dark red.",
             "Another complex has other colours.", "setup", ("reduced",), wait=Wait("Reducing", 300), cautions=(cautions.ZINC_ACID,), minutes=4, scene="reduce-with-zinc"),
        Step("flask", "Make up the flask", "Pour it off the zinc into the flask, rinse,", "fill to the mark, turn it over ten times.", "", "setup", ("V_f",), minutes=5, scene="flask-to-mark"),
        Step("before", "Is the column neutral?", "Rinse the column with water", "until what runs out is neutral.",
             "Acid left over from the last user would count as yours.", reads=("neutral_before",), scene="column"),
        Step("aliquot", "Aliquot onto the column", "Run one aliquot down the wall onto the resin,", "2 to 3 drops each second.",
             "Collect everything from now on.", reads=("V_a", "t_drops", "column"), minutes=8, scene="column"),
        Step("after", "Rinse until neutral", "Follow with 5 to 10 mL portions of water", "until it is neutral again.",
             "All into the same flask.", reads=("neutral_after",), minutes=6, scene="column"),
        Step("indicator", "Add indicator", "Add {drops} drops of {indicator} to all of the effluent.", "", minutes=1, scene="sample-indicator"),
        *burette.START,
        burette.RUN,
        burette.END,
        Step("own", "Own calculation", "Work out the molar mass yourself", "and compare.", "From the aliquot to the whole flask, from H⁺ to the complex.",
             "closing", ("own.M_mean",)),
        conclusion(3),
        Step("waste", "Column, cobalt, burette", "Leave the column under water, collect the cobalt,", "rinse the burette.", "", "closing",
             cautions=(cautions.COBALT, cautions.DEFER), minutes=8, scene="tidy"),
    ),
    hazards=(cautions.GOGGLES, cautions.COBALT, cautions.ZINC_ACID, "{burn}", cautions.BELOW_EYES, cautions.DEFER),
    checks=(
        Whenever("drops-fast", "t_drops > 0 and t_drops < quickest", "20 drops in {t_drops}: more than three a second.", "What runs too fast has no time to meet the resin.",
                 "Close the tap a little.", on="t_drops", limits={"quickest": "6.5 s"}),
        Seen("first_drops", "neutral", "look", "Neutral from the start.", "A column in another form than H⁺ sets too little acid free, and nothing shows it later.",
             "Ask whether it was regenerated with acid before you put anything on it."),
        SameStart("V_start"),
        UpsideDown("V", ("V_end", "V_start"), "agreement_limit"),
        Within("m", "Less gives a small titre.", "Weigh out a little more.", low="option:m_low", on="m_after"),
        Within("m", "More may be too much for the column.", "Weigh out a little less.", high="option:m_high", on="m_after"),
        Within("V", "The burette's own errors weigh more in a small titre.", "Take a larger aliquot or a weaker base next time.",
               low="option:least_titre", on="V_end"),
        Seen("neutral_before", "acid", "repeat", "The effluent is still acid.", "Acid left in the column would be counted as yours.",
             "Rinse with more water, then test again."),
        Seen("neutral_after", "acid", "repeat", "The effluent is still acid.", "Part of your H⁺ is still in the column.",
             "Another 5 to 10 mL of water, then test again."),
    ),
    questions=(
        "Why is it the charge of the anions that counts, and not what became of the cations?",
        "What would acid left in the column do to your molar mass?",
        "Why may the effluent be rinsed with any amount of water?",
    ),
    example=Example(
        (
            ("first_drops", None, None, "acid"), ("m_before", None, None, "14.2285"), ("m_after", None, None, "13.4832"), ("reduced", None, None, "turned"), ("V_f", None, None, "50.00"),
            ("neutral_before", 1, None, "neutral"), ("V_a", 1, None, "10.00"), ("column", 1, None, "covered"), ("neutral_after", 1, None, "neutral"),
            ("V_start", 1, None, "0.35"), ("end_point", 1, None, "held"), ("V_end", 1, None, "33.51"),
            ("neutral_before", 2, None, "neutral"), ("V_a", 2, None, "10.00"), ("column", 2, None, "covered"), ("neutral_after", 2, None, "neutral"),
            ("V_start", 2, None, "0.80"), ("end_point", 2, None, "held"), ("V_end", 2, None, "34.02"),
        ),
        {"c_t": "0.0502"},
    ),
    trials=Trials("Aliquot", 2, 4, agree="V"),
    slips=(
        Slip("aliquot-missing", "the aliquot is taken for the whole flask", "n", "n_h / z"),
        Slip("aliquot-inverted", "the ratio of flask and aliquot is turned over", "n", "n_h * V_a / V_f / z"),
        Slip("z-missing", "each H⁺ is taken for a whole formula unit", "n", "n_h * V_f / V_a"),
        Slip("z-inverted", "the amount is multiplied by the charge", "n", "n_h * V_f / V_a * z"),
        Slip("final-reading", "the burette's final reading is used instead of the difference", "V", "V_end"),
        Slip("inverted", "amount is divided by mass and turned over at the end", "w_t", "n * M_metal * m / (m * m) * V_a / V_f"),
    ),
    faults=(
        *burette.FAULTS,
        Fault("ran-dry", "Resin ran dry", {"V_end": "x - 0.60"}, "Air between the beads: part of the solution finds no resin.",
              "Keep liquid above the resin; refill the column from below."),
        Fault("not-neutral", "Column not neutral at the start", {"V_end": "x + 0.80"}, "The first effluent reddens the paper.",
              "Rinse until it is neutral, however long it takes."),
        Fault("stirred-up", "Aliquot stirred up the resin", {"V_end": "x - 0.30"}, "The band has no edge; ions slip through.",
              "Run it down the wall."),
    ),
    targets=(
        Target("Portion for the wanted titre", "c_t * V_wanted / z * V_flask_plan / V_aliquot_plan * M_expected", "g", "for this flask and aliquot", at_least="m_low", at_most="m_high", choose=("V_wanted",)),
        Target("Titre to come", "V_wanted", "mL", "on the burette without filling it again", read_at="burette", at_least="least_titre", choose=("V_wanted",)),
    ),
    supplies=(
        Supply("Sodium hydroxide of the plan's concentration", "V_wanted", "mL", substance="titrant", concentration="c_t"),
        Supply("Complex salt", "c_t * V_wanted / z * V_flask_plan / V_aliquot_plan * M_expected", "g", "bench", note=cautions.COBALT),
    ),
    titrated=Titrated("HCl", "titrant", "c_t", indicator="indicator"),
    waste=cautions.COBALT,
)  # fmt: skip
