"""Yield and purity from a precipitate: limiting reactant, dried mass, gravimetric factor."""

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
from chromata_core.methods.weighing import tared

_SYSTEMS = (
    Choice(
        "barium-sulfate", "Sulfate by barium chloride",
        {"M_a": "Na2SO4", "M_b": "BaCl2.2H2O", "M_p": "BaSO4", "M_ion": "SO4", "a": "1", "b": "1"},
        {"sample": "sulfate", "reagent": "barium chloride", "poison": cautions.BARIUM, "collect": cautions.METAL_WASTE,
         "equation": "Ba²⁺ + SO₄²⁻ → BaSO₄"},
    ),
    Choice(
        "calcium-carbonate", "Calcium by sodium carbonate",
        {"M_a": "CaCl2.2H2O", "M_b": "Na2CO3", "M_p": "CaCO3", "M_ion": "Ca", "a": "1", "b": "1"},
        {"sample": "calcium salt", "reagent": "sodium carbonate", "poison": cautions.GOGGLES, "collect": cautions.NEUTRAL_WASTE,
         "equation": "Ca²⁺ + CO₃²⁻ → CaCO₃"},
    ),
    Choice(
        "silver-chloride", "Chloride by silver nitrate",
        {"M_a": "NaCl", "M_b": "AgNO3", "M_p": "AgCl", "M_ion": "Cl", "a": "1", "b": "1"},
        {"sample": "chloride", "reagent": "silver nitrate", "poison": cautions.SILVER, "collect": cautions.SILVER,
         "equation": "Ag⁺ + Cl⁻ → AgCl"},
    ),
)  # fmt: skip
_SUBSTANCES = (
    ("M_a", "Sample salt", "M_sample", "Na2SO4"), ("M_b", "Reagent", "M_reagent", "BaCl2.2H2O"),
    ("M_p", "Precipitate", "M_precipitate", "BaSO4"), ("M_ion", "Ion that is asked for", "M_ion", "SO4"),
)  # fmt: skip

METHOD = Method(
    slug="precipitate-yield",
    version=1,
    family=GRAVIMETRIC,
    title="Yield and purity of a precipitate",
    question="How much precipitate forms, how much should have formed, and how much of an ion was in the sample?",
    reaction="Ba²⁺ + SO₄²⁻ → BaSO₄, Ca²⁺ + CO₃²⁻ → CaCO₃, or Ag⁺ + Cl⁻ → AgCl",
    options=(
        ChoiceOption("system", "Precipitation", _SYSTEMS, "barium-sulfate", "Sets substances and cautions; the substances can be changed."),
        *(SubstanceOption(key, label, (), default, symbol) for key, label, symbol, default in _SUBSTANCES),
        NumberOption("a", "Formula units of sample for one of precipitate", "1", symbol="a", low="1", high="6"),
        NumberOption("b", "Formula units of reagent for one of precipitate", "1", symbol="b", low="1", high="6"),
        NumberOption("z_ion", "Ions in one formula unit of precipitate", "1", symbol="z", low="1", high="6"),
        *drying.options(),
        NumberOption("m_a_plan", "Planned portion of sample", "1.0", "g", low="0.01", planning=True),
        NumberOption("excess", "Reagent in excess by", "10", "%", help="So that the sample limits.", planning=True),
        *agreement_options("1", "%", "range"),
    ),
    roles=(Role("balance", "Balance", ("balance",), "balance-0.001"),),
    readings=(
        tared("m_a", "Sample salt", "m_sample", "What the balance shows on the tared beaker."),
        tared("m_b", "Reagent", "m_reagent", "More than the sample can use."),
        Observation("complete", "A drop of reagent into the clear liquid above",
                    (Choice("clear", "Stays clear: all has come down"), Choice("cloudy", "Clouds: not all has come down")),
                    until=("clear",), hint="Let it settle first, then look where the drop falls in."),
        Reading("m_filter", "Filter, dry", "g", "balance", "m_filter", hint="With its watch glass, dried once."),
        Observation("filtrate", "Filtrate",
                    (Choice("clear", "Clear"), Choice("cloudy", "Cloudy: precipitate runs through")),
                    until=("clear",), hint="If it is cloudy, pour it through the same filter again."),
        drying.weighed_dry("m_dried", "Filter with precipitate, dried", "Cooled to room temperature.", echo="m_p"),
    ),
    quantities=(
        Quantity("factor", "Gravimetric factor", "z_ion * M_ion / M_p", "", "F", "bench"),
        Quantity("n_a", "Amount of sample salt", "m_a / M_a", "mmol", "n_sample", positive="There is no sample on the balance."),
        Quantity("n_b", "Amount of reagent", "m_b / M_b", "mmol", "n_reagent", positive="There is no reagent on the balance."),
        Quantity("n_p", "Precipitate that can form", "lesser(n_a / a, n_b / b)", "mmol", "n_theory"),
        Quantity("m_theory", "Theoretical mass", "n_p * M_p", "g", "m_theory"),
        Quantity("m_p", "Precipitate", "last(m_dried) - m_filter", "g", "m_precipitate", result=True,
                 positive="The filter must be heavier with the precipitate on it."),
        Quantity("yield_t", "Yield, this beaker", "m_p / m_theory", "%", "η"),
        Quantity("w_t", "Mass fraction of the ion, this beaker", "m_p * factor / m_a", "%", "w"),
        Quantity("yield_mean", "Yield", "mean(yield_t)", "%", "η̄", "summary", result=True),
        Quantity("w", "Mass fraction of the ion in the sample", "mean(w_t)", "%", "w̄", "summary", result=True, accepted=True),
    ),
    steps=(
        Step("labels", "Goggles, gloves, beakers, filters", "Put goggles and gloves on", "and check every label.",
             "Two beakers, filter paper or crucible, funnel, watch glass, wash bottle, oven at 105 to 110 °C.", "setup",
             cautions=(cautions.GOGGLES, "{poison}", cautions.DEFER), scene="ready"),
        Step("weigh-sample", "Weigh the sample", "Weigh the {sample} into a tared beaker,", "dissolve it in 50 mL of water.", reads=("m_a",),
             cautions=("{poison}",), scene="weigh-tared"),
        Step("weigh-reagent", "Weigh the reagent", "Weigh the {reagent} into another", "and dissolve it.", reads=("m_b",),
             cautions=("{poison}",), scene="weigh-tared"),
        Step("precipitate", "Precipitate slowly, let it settle", "Warm both, add the {reagent} drop by drop, stirring;", "then test the liquid.",
             "Slowly and warm: larger crystals, which do not run through the filter. {equation}", reads=("complete",),
             wait=Wait("Settling, warm", 600), meanwhile="weigh-sample", cautions=(cautions.HOT_GLASS,), minutes=5, scene="precipitate"),
        Step("filter", "Weigh the filter, filter, wash", "Weigh the dry filter, filter, wash three times;", "look at the filtrate.",
             "Small portions of water; the last drops must carry no reagent.", reads=("m_filter", "filtrate"), minutes=12, scene="filter"),
        Step("dry", "Dry", "Dry the filter in the oven,", "watch glass open a little.", "", wait=Wait("Drying", 1800, again=(600,)),
             cautions=(cautions.HOT_GLASS,), minutes=2, cycle="m_dried", again="Put it into the oven again.", scene="filter"),
        drying.weigh_step("m_dried", 600, "dry again until the mass stays.", "10 minutes in the oven between weighings.", "filter"),
        Step("own", "Own calculation", "Work out the yield yourself", "and compare.",
             "First which of the two runs out.", "closing", ("own.yield_mean",)),
        conclusion(3),
        Step("clean", "Waste and cleaning", "Collect precipitate and filtrate,", "and wash your hands.", "", "closing",
             cautions=("{collect}", cautions.DEFER), scene="tidy"),
    ),
    hazards=(cautions.GOGGLES, "{poison}", cautions.HOT_GLASS, "{collect}", cautions.DEFER),
    checks=(
        *drying.checks("m_dried", "It took up water while it cooled.", "Dry again and cool it in a desiccator."),
        Within("yield_t", "More than can form: it is still wet, or reagent was not washed out.", "Wash and dry again, then weigh.",
               high="100.5", level="repeat", on="m_dried"),
        Within("yield_t", "Much is missing: it ran through the filter or was left in the beaker.", "Look at the filtrate and the beaker's wall.",
               low="80", on="m_dried"),
        Seen("complete", "cloudy", "repeat", "Not all has come down.", "What stays in solution is not weighed.",
             "Add more reagent, let it settle, test again."),
        Seen("filtrate", "cloudy", "repeat", "The filtrate is cloudy.", "Precipitate runs through.",
             "Pour it through the same filter again, or use a finer one."),
    ),
    questions=(
        "How do you know which reactant limits, and what would change if it were the other?",
        "Why is the precipitate washed, and why not with much water at once?",
        "A yield of 103 %: name two causes and how you would tell them apart.",
    ),
    example=Example(
        (
            ("m_a", 1, None, "1.042"), ("m_b", 1, None, "2.015"), ("complete", 1, None, "clear"), ("m_filter", 1, None, "32.418"),
            ("filtrate", 1, None, "clear"), ("m_dried", 1, 1, "34.121"), ("m_dried", 1, 2, "34.084"), ("m_dried", 1, 3, "34.081"),
            ("m_a", 2, None, "1.017"), ("m_b", 2, None, "1.986"), ("complete", 2, None, "clear"), ("m_filter", 2, None, "31.905"),
            ("filtrate", 2, None, "clear"), ("m_dried", 2, 1, "33.561"), ("m_dried", 2, 2, "33.533"), ("m_dried", 2, 3, "33.529"),
        ),
    ),
    trials=Trials("Beaker", 2, 4, agree="yield_t"),
    slips=(
        Slip("other-limits", "the reactant in excess is taken as the limiting one", "n_p", "n_a / a + n_b / b - lesser(n_a / a, n_b / b)"),
        Slip("filter-included", "the filter is not subtracted", "m_p", "last(m_dried)"),
        Slip("masses-compared", "masses are compared instead of amounts", "m_theory", "lesser(m_a, m_b)"),
        Slip("first-drying", "the first weighing is used instead of the last", "m_p", "first(m_dried) - m_filter"),
        Slip("factor-inverted", "the gravimetric factor is turned over", "factor", "M_p / (z_ion * M_ion)"),
        Slip("factor-left-out", "the gravimetric factor is left out", "w_t", "m_p / m_a"),
        Slip("yield-inverted", "the yield is turned over", "yield_t", "m_theory / m_p"),
    ),
    faults=(
        Fault("wet", "Weighed before it was dry", {"m_dried": "x + 0.060"}, "The next weighing is lower.", "Dry and weigh until two agree."),
        Fault("ran-through", "Precipitate ran through the filter", {"m_dried": "x - 0.040"}, "The filtrate is cloudy.",
              "Precipitate warm and slowly; filter it again."),
        Fault("not-washed", "Reagent not washed out", {"m_dried": "x + 0.025"}, "Crystals on the dry filter; the yield passes 100 %.",
              "Three small portions of water."),
        Fault("filter-damp", "Filter weighed damp", {"m_filter": "x + 0.030"}, "The filter dries further with the precipitate.", "Dry the filter first."),
    ),
    charts=(drying.chart("m_dried"),),
    targets=(
        Target("Reagent for one portion, with excess", "m_a_plan / M_a / a * b * M_b * (1 + excess)", "g", "so that the sample limits", told=True),
        Target("Precipitate from one portion", "m_a_plan / M_a / a * M_p", "g", "the theoretical mass"),
    ),
    supplies=(
        Supply("Sample salt", "m_a_plan", "g"),
        Supply("Reagent", "m_a_plan / M_a / a * b * M_b * (1 + excess)", "g", note="{poison}"),
        Supply("Filters", "1", ""),
    ),
    waste="Barium and silver residues are collected as hazardous waste; calcium carbonate goes with solid waste where local rules allow it.",
)  # fmt: skip
