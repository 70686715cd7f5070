"""Water of crystallisation: a salt is heated to constant mass in a crucible."""

from chromata_core.declaration import cautions
from chromata_core.declaration.option_kinds import Choice, ChoiceOption, NumberOption, SubstanceOption, Trials
from chromata_core.declaration.preparation import Supply, Target
from chromata_core.declaration.questions import conclusion
from chromata_core.declaration.schools import agreement_options
from chromata_core.declaration.vocabulary import (
    GRAVIMETRIC,
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
from chromata_core.judging.checks import Seen, Within
from chromata_core.methods.gravimetric import drying
from chromata_core.methods.gravimetric.identify import Identify

CANDIDATES = (
    "CuSO4.5H2O", "MgSO4.7H2O", "BaCl2.2H2O", "CaSO4.2H2O", "FeSO4.7H2O", "ZnSO4.7H2O", "Na2CO3.10H2O", "CoCl2.6H2O",
)  # fmt: skip

METHOD = Method(
    slug="hydrate",
    version=2,
    family=GRAVIMETRIC,
    title="Water of crystallisation",
    question="How much water is bound in a crystal, and what is its formula?",
    reaction="salt·xH₂O → salt + x H₂O",
    options=(
        ChoiceOption(
            "task",
            "What is asked?",
            (Choice("formula", "The salt is known: find x"), Choice("identify", "Unknown salt: which one is it?")),
            "formula",
        ),
        SubstanceOption(
            "M_salt",
            "Anhydrous salt",
            (
                Choice("CuSO4", "Copper(II) sulfate"),
                Choice("MgSO4", "Magnesium sulfate"),
                Choice("BaCl2", "Barium chloride"),
                Choice("CaSO4", "Calcium sulfate"),
                Choice("ZnSO4", "Zinc sulfate"),
            ),
            "CuSO4",
            "M_salt",
        ),
        SubstanceOption("M_water", "Water", (Choice("H2O", "Water"),), "H2O", "M_water", fixed=True),
        *drying.options(),
        *agreement_options("1", "%", "range", "3"),
        NumberOption("m_portion", "Portion of salt", "3", "g", help="1.5 to 5 g dry well in a crucible.", low="0.1", planning=True),
    ),
    roles=(Role("balance", "Balance", ("balance",), "balance-0.001"),),
    readings=(
        Reading("m_crucible", "Crucible and lid", "g", "balance", "m_crucible", hint="Heated once and cooled, so that it is dry."),
        Reading("m_before", "Crucible, lid and hydrate", "g", "balance", "m_before", echo="m_hydrate"),
        Observation(
            "flame",
            "Around the crucible",
            (Choice("plain", "Plain flame"), Choice("coloured", "Coloured flame: salt is escaping")),
            voids=("coloured",),
        ),
        drying.weighed_dry("m_heated", "After heating", "At room temperature: a warm crucible reads low.", echo="m_water"),
        Observation("lid", "Under the lid", (Choice("dry", "Dry"), Choice("drops", "Drops on the rim")),
                    hint="Lift the lid and look at its rim."),
    ),
    quantities=(
        Quantity("m_hydrate", "Hydrate", "m_before - m_crucible", "g", "m_hydrate",
                 positive="With the salt in it the crucible must be heavier than empty."),
        Quantity("m_water", "Water driven off", "m_before - last(m_heated)", "g", "m_water",
                 positive="The crucible is not lighter after heating; water must have gone."),
        Quantity("w_t", "Mass fraction of water", "m_water / m_hydrate", "%", "w"),
        Quantity("n_water", "Amount of water", "m_water / M_water", "mol", "n_water", when={"task": "formula"}),
        Quantity("n_salt", "Amount of salt", "(last(m_heated) - m_crucible) / M_salt", "mol", "n_salt", when={"task": "formula"},
                 positive="No salt is left in the crucible; check the three masses."),
        Quantity("x_t", "Water per formula unit", "n_water / n_salt", "", "x", when={"task": "formula"}),
        Quantity("w", "Water in the hydrate", "mean(w_t)", "%", "w̄", "summary", result=True, accepted=True),
        Quantity("x", "Water per formula unit", "mean(x_t)", "", "x̄", "summary", result=True, accepted=True,
                 when={"task": "formula"}),
    ),
    steps=(
        Step("labels", "Goggles, tongs, clean crucible", "Put goggles on and check the crucible", "for cracks.",
             "Crucible, lid, triangle, tongs, heat-proof mat.", "setup", cautions=(cautions.GOGGLES, cautions.DEFER), scene="ready"),
        Step("empty", "Weigh it empty", "Weigh the empty crucible with its lid.", "", reads=("m_crucible",), scene="weigh-tared"),
        Step("fill", "Add the salt, weigh", "Add about 3 g of the salt and weigh it", "with crucible and lid.", reads=("m_before",), minutes=3, scene="weigh-tared"),
        Step("heat", "Heat", "Heat for 5 minutes,", "lid slightly open, gently at first.",
             "Look at the flame around the crucible: colour means that salt is escaping.", reads=("flame",),
             wait=Wait("Heating", 300, again=(300, 120)), meanwhile="empty", cautions=(cautions.FLAME, cautions.HOT_CRUCIBLE), minutes=3,
             cycle="m_heated", again="Heat it again, lid slightly open; watch the flame.", scene="crucible"),
        drying.weigh_step("m_heated", 600, "heat again until the mass stays.", "5 minutes the second time, 2 minutes after that.", "crucible"),
        Step("look", "Look under the lid", "Look under the lid", "before you call it dry.", reads=("lid",), scene="crucible"),
        *(Step("own", "Own calculation", f"Work out {wanted} yourself", "and compare.", hint, "closing", (f"own.{result}",), when={"task": task})
          for task, wanted, hint, result in (
              ("formula", "the water per formula unit", "Moles of water to moles of dry salt.", "x"), ("identify", "the share of water", "Mass that left, of the mass that was there.", "w"),
          )),
        conclusion(2),
        Step("clean", "Waste and cleaning", "Collect the residue", "and clean the crucible when it is cold.", "", "closing",
             cautions=(cautions.METAL_WASTE, cautions.DEFER), scene="tidy"),
    ),
    hazards=(cautions.GOGGLES, cautions.FLAME, cautions.HOT_CRUCIBLE, cautions.METAL_WASTE, cautions.DEFER),
    checks=(
        *drying.checks("m_heated", "It took up water while it cooled, decomposed, or the crucible was not clean.",
                       "Heat again and cool it in a desiccator; if it rises again, take a new portion."),
        Within("m_hydrate", "Too little is hard to weigh well, too much is hard to dry.", "About 3 g is a good portion.",
               low="1.5", high="5", on="m_before"),
        Seen("lid", "drops", "repeat", "Drops on the rim of the lid.", "Water that has not left is weighed as salt.",
             "Heat again with the lid tilted, then weigh once more."),
        Seen("flame", "coloured", "stop", "The flame around the crucible is coloured.", "Salt is escaping: its mass would count as water.",
             "This portion cannot be used. Start again with a gentler flame."),
        Identify("w", CANDIDATES, {"task": "identify"}),
    ),
    questions=(
        "How do you know that all the water has gone?",
        "Would a crucible weighed while still warm make x too large or too small? Why?",
    ),
    example=Example(
        (
            ("m_crucible", 1, None, "31.482"), ("m_before", 1, None, "34.556"), ("flame", 1, None, "plain"),
            ("m_heated", 1, 1, "33.501"), ("m_heated", 1, 2, "33.449"), ("m_heated", 1, 3, "33.447"), ("lid", 1, None, "dry"),
        ),
    ),
    trials=Trials("Crucible", 1, 3, agree="w_t"),
    slips=(
        Slip("hydrate-moles", "the hydrate's mass is used for the moles of salt", "n_salt", "(m_before - m_crucible) / M_salt"),
        Slip("ratio-inverted", "the ratio is turned over", "x_t", "n_salt / n_water"),
        Slip("crucible-included", "the crucible is not subtracted", "n_salt", "last(m_heated) / M_salt"),
        Slip("first-heating", "the first weighing after heating is used instead of the last", "m_water", "m_before - first(m_heated)"),
        Slip("hydrate-molar-mass", "the hydrate's molar mass is used for the dry salt", "n_salt",
             "(last(m_heated) - m_crucible) / (M_salt + 5 * M_water)"),
    ),
    faults=(
        Fault("not-dry", "Stopped before constant mass", {"m_heated": "x + 0.040"}, "The next weighing would be lower.",
              "Heat, cool and weigh until two weighings agree."),
        Fault("spattered", "Salt spattered out", {"m_heated": "x - 0.060"}, "Grains on the lid or the mat, a coloured flame.",
              "Heat gently at first, lid slightly open."),
        Fault("weighed-warm", "Weighed while warm", {"m_heated": "x - 0.015"}, "The display creeps upward.",
              "Wait until you can hold the crucible near your cheek without feeling warmth."),
    ),
    charts=(drying.chart("m_heated"),),
    targets=(
        Target("Salt left, if there were one water", "m_portion * M_salt / (M_salt + M_water)", "g", "the more water, the less is left",
               when={"task": "formula"}),
        Target("Mass lost for each water of the formula, at most", "m_portion * M_water / (M_salt + M_water)", "g",
               "for a monohydrate; against the balance's last digit", when={"task": "formula"}, at_least="0.1", choose=("m_portion",)),
    ),
    supplies=(Supply("Hydrated salt", "m_portion", "g"), Supply("Crucible with lid", "1", "")),
    waste=cautions.METAL_WASTE,
)  # fmt: skip
