"""An end point from a recorded curve, in millivolts or pH: iron(II) by dichromate, or a solid acid by base.

Points are kept as they are read; the end point is where the second derivative passes zero, three other ways beside it.
"""

from chromata_core.declaration import cautions
from chromata_core.declaration.nature import Titrated
from chromata_core.declaration.option_kinds import Choice, ChoiceOption, NumberOption, SubstanceOption, Trials
from chromata_core.declaration.preparation import Supply, Target
from chromata_core.declaration.questions import conclusion
from chromata_core.declaration.schools import agreement_options
from chromata_core.declaration.vocabulary import (
    TITRATION,
    Example,
    Fault,
    Method,
    Observation,
    OwnError,
    Quantity,
    Role,
    Series,
    Slip,
    Step,
)
from chromata_core.judging.checks import Within
from chromata_core.judging.rules import RunsTo
from chromata_core.judging.whenever import Whenever
from chromata_core.methods.titration import example_curves
from chromata_core.methods.titration.recorded_curve import (
    AgainstTheTrend,
    CoarseAtJump,
    JumpAhead,
    JumpPassed,
    TitrationCurve,
)
from chromata_core.methods.weighing import by_difference, difference

_SYSTEMS = (
    Choice(
        "iron", "Iron(II) by dichromate, mV", {"z_t": "6", "M_s": "FeSO4.7H2O", "c_given": "molarity", "c_t": "0.016667"},
        {"sample": "iron(II) salt", "titrant": "potassium dichromate", "titrant_formula": "K2Cr2O7", "medium": "90 mL of 1 mol/L sulfuric acid", "probe": "the combined redox electrode",
         "burn": cautions.DICHROMATE, "acid": cautions.DILUTE_SULFURIC, "collect": cautions.CHROMIUM_WASTE},
    ),
    Choice(
        "acid", "A solid acid by sodium hydroxide, pH", {"z_t": "1", "M_s": "KHC8H4O4", "c_given": "molarity", "c_t": "0.1000"},
        {"sample": "acid", "titrant": "sodium hydroxide", "titrant_formula": "NaOH", "medium": "90 mL of boiled and cooled water", "probe": "the glass electrode, calibrated",
         "burn": cautions.BASE_BURNS, "acid": cautions.DEFER, "collect": cautions.NEUTRAL_WASTE},
    ),
)  # fmt: skip
_ENDS = {
    "second": ("Second derivative passes zero", "second_derivative_end"), "first": ("Top of the first derivative", "first_derivative_end"),
    "steepest": ("Steepest point, by eye", "steepest_end"),
}  # fmt: skip


def _example(options: dict[str, str], *portions: tuple[str, str, tuple[tuple[str, str], ...]]) -> Example:
    """Portions weighed by difference, each with its curve."""
    rows: list[tuple[str, int | None, int | None, str]] = []
    for trial, (before, after, curve) in enumerate(portions, 1):
        rows += [("m_before", trial, None, before), ("m_after", trial, None, after), ("dissolved", trial, None, "all")]
        rows += [
            (key, trial, n, text) for n, pair in enumerate(curve, 1) for key, text in zip(("V", "E"), pair, strict=True)
        ]
    return Example(tuple(rows), options)


_PURITY, _MASS = {"asks": "purity"}, {"asks": "mass"}

METHOD = Method(
    slug="potentiometric-titration",
    version=1,
    family=TITRATION,
    title="Potentiometric titration",
    question="How pure is a salt, by the jump of a potential?",
    reaction="6 Fe²⁺ + Cr₂O₇²⁻ + 14 H⁺ → 6 Fe³⁺ + 2 Cr³⁺ + 7 H₂O, or HA + OH⁻ → A⁻ + H₂O",
    options=(
        ChoiceOption("system", "What is titrated", _SYSTEMS, "iron", "Sets titrant, ratio and substance; all can be changed."),
        ChoiceOption("asks", "What is asked", (
            Choice("purity", "How pure is the salt? Each bench weighs its portions"), Choice("mass", "How much of it is in a portion that is given out?"),
        ), "purity"),
        NumberOption("m_nom", "Nominal portion", "0.80", "g", "m_nom", "Against it portions are compared: do they agree?", low="0.001", when=_MASS),
        ChoiceOption(
            "c_given", "Titrant's concentration is given as",
            (Choice("molarity", "Molarity, mol/L"), Choice("normality", "Normality, N: equivalents in a litre", {"c_t": "0.1000"})),
            "molarity", "0.1 N potassium dichromate is 0.016667 mol/L: one formula unit takes six electrons.",
        ),
        NumberOption("c_t", "Titrant concentration", "0.016667", "mol/L", "c_titrant", "As given, by the choice above.", "0.00002", "normal95",
                     "Titrant concentration", room=True),
        NumberOption("z_t", "Electrons or OH⁻ per formula of titrant", "6", symbol="z_t", low="1", high="8"),
        SubstanceOption(
            "M_s", "Substance in the sample",
            (Choice("FeSO4.7H2O", "Iron(II) sulfate heptahydrate"), Choice("FeN2H8S2O8.6H2O", "Ammonium iron(II) sulfate hexahydrate"),
             Choice("KHC8H4O4", "Potassium hydrogen phthalate"), Choice("C7H6O2", "Benzoic acid")),
            "FeSO4.7H2O", "M", "Pick one or type a formula.",
        ),
        NumberOption("z_s", "Electrons or H⁺ per formula of the substance", "1", symbol="z_s", low="1", high="4"),
        SubstanceOption("M_dry", "Without its water", (Choice("FeSO4", "Iron(II) sulfate"),), "FeSO4", "M_dry", fixed=True),
        ChoiceOption("end", "End point", (
            *(Choice(key, label) for key, (label, _) in _ENDS.items()), Choice("gran", "Gran's line from the points before it"),
        ), "second",
                     "The others are shown beside it."),
        ChoiceOption("strength", "The acid is", (Choice("weak", "Weak: its pH passes pKₐ on the way"), Choice("strong", "Strong: all of it is H⁺ from the start")), "weak",
                     "Gran's line is V·10^(−pH) for a weak acid and (V₀ + V)·10^(−pH) for a strong one."),
        NumberOption("V_0", "Solution in the beaker at the start", "100", "mL", "V₀", "For the Gran's line of a strong acid.", low="1", when={"system": "acid", "strength": "strong"}),
        NumberOption("step", "Step far from the jump", "0.50", "mL", low="0.05"),
        NumberOption("fine_step", "Step within the jump", "0.10", "mL", low="0.02"),
        ChoiceOption("until", "The curve ends", (
            Choice("jump", "When the jump lies behind: smaller steps within it"), Choice("volume", "At a fixed volume, in equal steps all the way"),
        ), "jump", "Equal steps are quicker to record and leave the end point known to half a step."),
        NumberOption("V_to", "Equal steps to", "40", "mL", low="5", high="100", when={"until": "volume"}),
        NumberOption("behind", "Readings behind the jump", "5", low="2", high="30", help="They belong to the curve: without them it has no end."),
        NumberOption("least_titre", "Smallest useful titre", "10", "mL", help="Below it the burette's errors weigh too much."),
        NumberOption("V_wanted", "Wanted titre", "28", "mL", low="1", planning=True),
        *agreement_options("1", "%", "rsd", "1"),
    ),
    roles=(
        Role("balance", "Balance", ("balance",), "balance-0.0001"),
        Role("burette", "Burette", ("burette", "piston burette"), "burette-50-b"),
        Role("voltmeter", "Voltmeter and redox electrode", ("voltmeter",), "voltmeter-1mv"),
        Role("ph_meter", "pH meter and glass electrode", ("pH meter",), "ph-meter-0.01"),
    ),
    readings=(
        *by_difference("Vial", "About the planned portion.", when=_PURITY),
        Observation("dissolved", "Before the electrode", (Choice("all", "All dissolved"), Choice("grains", "Grains are left: stir on")), until=("all",),
                    hint="What dissolves later moves the jump."),
        Series("V", "Burette", "mL", "burette", "V", paced=True, logged="curve", until=JumpPassed("V", "E", "behind"), starts=True, when={"until": "jump"}),
        Series("V", "Burette", "mL", "burette", "V", paced=True, logged="curve", until=RunsTo("V_to"), starts=True, when={"until": "volume"}),
        Series("E", "Potential", "mV", "voltmeter", "E", beside="V", settles=5, response=True, hint="Electrode clear of wall and stirring bar.", when={"system": "iron"}),
        Series("E", "pH", "", "ph_meter", "pH", beside="V", settles=5, response=True, hint="Electrode clear of wall and stirring bar.", when={"system": "acid"}),
        Observation("colour", "Colour past the jump", (
            Choice("green", "Green"), Choice("yellow", "Green with yellow in it"), Choice("other", "Another"),
        ), hint="Chromium(III) is green, dichromate left over yellow. Too slow a change to see the end by: hence the electrode.", when={"system": "iron"}),
    ),
    quantities=(
        Quantity("c", "Titrant, in moles", "c_t", "mol/L", "c", "bench", when={"c_given": "molarity"}),
        Quantity("c", "Titrant, in moles", "c_t / z_t", "mol/L", "c", "bench", when={"c_given": "normality"}),
        difference("Sample", "Vial", when=_PURITY),
        Quantity("half_step", "Half the step at the jump", "step_at_end(V, E) / 2", "mL", "½ΔV"),
        Quantity("V_gran", "By Gran's line", "gran_redox_end(V, E)", "mL", "V_Gran", when={"system": "iron"}),
        Quantity("V_gran", "By Gran's line", "gran_end(V, E)", "mL", "V_Gran", when={"system": "acid", "strength": "weak"}),
        Quantity("V_gran", "By Gran's line", "gran_strong_end(V, E, V_0)", "mL", "V_Gran", when={"system": "acid", "strength": "strong"}),
        Quantity("V_end", "End point", "V_gran", "mL", "V_end", when={"end": "gran"}),
        *(
            Quantity("V_end", "End point", f"{function}(V, E)", "mL", "V_end", when={"end": key},
                     errors=(OwnError("Step at the jump", "half_step", "rectangular"),))
            for key, (_, function) in _ENDS.items()
        ),
        Quantity("V_first", "By the first derivative", "first_derivative_end(V, E)", "mL", "V_1st"),
        Quantity("V_steep", "By the steepest point", "steepest_end(V, E)", "mL", "V_steep"),
        Quantity("V_eq", "Titrant to the end point", "V_end - first(V)", "mL", "V_eq",
                 positive="The end point lies before the start; look at the volumes."),
        Quantity("n", "Amount of the substance", "z_t * c * V_eq / z_s", "mmol", "n"),
        Quantity("m_s", "Substance in this portion", "n * M_s", "g", "m_found", result=True),
        Quantity("w_t", "Purity, this portion", "m_s / m", "%", "w", when=_PURITY),
        Quantity("w_t", "Of the nominal portion", "m_s / m_nom", "%", "w", when=_MASS),
        Quantity("pKa_t", "pH at half the end point", "value_at(V, E, first(V) + V_eq / 2)", "", "pKₐ", when={"system": "acid"}),
        Quantity("w", "Purity of the sample", "mean(w_t)", "%", "w̄", "summary", result=True, accepted=True, when=_PURITY),
        Quantity("m_mean", "Substance in a portion", "mean(m_s)", "g", "m̄_found", "summary", result=True, accepted=True, when=_MASS),
        Quantity("pKa", "pKₐ of the acid", "mean(pKa_t)", "", "pKₐ", "summary", result=True, accepted=True, when={"system": "acid"}),
    ),
    steps=(
        Step("labels", "Goggles, electrode, burette", "Put goggles on, rinse and hang {probe},", "fill the burette with {titrant}.",
             "Burette filled below eye level, funnel out, tip free of air.", "setup",
             cautions=(cautions.GOGGLES, "{burn}", cautions.BELOW_EYES, cautions.DEFER), scene="ready"),
        Step("weigh", "Weigh a portion by difference", "Weigh the vial, tip a portion into the beaker,", "weigh it again.", "",
             reads=("m_before", "m_after"), minutes=4, when=_PURITY, scene="weigh-by-difference"),
        Step("portion", "A portion that was given out", "Rinse all of the portion into the beaker:", "nothing of it is left behind.", "Each trial takes a portion of its own, of the same mass.", when=_MASS, minutes=3, scene="electrode"),
        Step("dissolve", "Dissolve it, dip the electrode", "Dissolve it in {medium}", "and start the stirrer.",
             "That volume does not enter the result. Electrode clear of the wall and of the stirring bar.", reads=("dissolved",), cautions=("{acid}",), minutes=5, scene="electrode"),
        Step("curve", "Record the curve", "Add titrant, count to five, read both,", "smaller steps within the jump.",
             "Volume first, then what the meter shows.", reads=("V", "E"), cautions=("{burn}",),
             guide=JumpAhead("V", "E", "step", "fine_step", "behind"), minutes=25, when={"until": "jump"}, scene="electrode"),
        Step("curve", "Record the curve", "Add {step}, count to five, read both,", "in equal steps to {V_to}.",
             "When a reading runs away, wait until it stands: there lies the end.", reads=("V", "E"), cautions=("{burn}",), minutes=30, when={"until": "volume"}, scene="electrode"),
        Step("colour", "Colour", "Look at the solution", "and say its colour.", reads=("colour",), when={"system": "iron"}),
        *(Step("own", "Own calculation", f"Work out {wanted} yourself", "and compare.", "From the end point by your own reading of the curve.", "closing", (f"own.{result}",), when=when)
          for wanted, result, when in (("the purity", "w", _PURITY), ("the mass of the substance", "m_mean", _MASS))),
        conclusion(3),
        Step("electrode", "Electrode, burette, waste", "Rinse the electrode, put it back into 3 mol/L KCl,", "empty and rinse the burette.", "", "closing",
             cautions=("{collect}", cautions.DEFER), scene="electrode"),
    ),
    hazards=(cautions.GOGGLES, "{burn}", "{acid}", cautions.BELOW_EYES, "{collect}", cautions.DEFER),
    checks=(
        Whenever("V-grows", "V <= before(V)", "{V} is not above {before(V)}.",
                 "A burette only gives: its reading grows from one point to the next.",
                 "Read it again and correct the wrong one.", "stop", "V", "V", "Read me the last two aloud."),
        Whenever("V-start", "row == 1 and V > latest", "The first point stands at {V} mL.",
                 "The reading before any titrant belongs to the curve.",
                 "If titrant ran in already, start a new portion; if the burette began there, go on.", on="V", each="V",
                 limits={"latest": "2 mL"}),
        AgainstTheTrend("V", "E", "15"),
        CoarseAtJump("half_step", "V", "E", "fine_step"),
        Within("V_eq", "The burette's own errors weigh more in a small titre.", "Weigh out more next time.", low="option:least_titre", on="V"),
    ),
    questions=(
        "Why must the readings be closer together near the jump, and why not everywhere?",
        "Why do the 90 mL in the beaker not enter the result?",
        "Which of the ways to find the end point would you trust with coarse steps?",
    ),
    example=_example(
        {"c_given": "normality", "c_t.limit": "0.0001"},
        ("15.3310", "14.5173", example_curves.IRON_FIRST), ("14.5173", "13.7249", example_curves.IRON_SECOND),
    ),
    more_examples=(
        _example({"system": "acid", "c_t.limit": "0.0002"},
                 ("16.0482", "15.5340", example_curves.ACID_FIRST), ("15.5340", "15.0264", example_curves.ACID_SECOND)),
    ),
    trials=Trials("Portion", 1, 4, agree="w_t"),
    slips=(
        Slip("normality", "the normality is used as mol/L", "c", "c_t"),
        Slip("ratio-inverted", "the ratio of titrant to substance is turned over", "n", "c * V_eq * z_s / z_t"),
        Slip("one-to-one", "one formula unit of titrant is taken for one of substance", "n", "c * V_eq"),
        Slip("anhydrous", "the molar mass of the anhydrous salt is used", "m_s", "n * M_dry"),
        Slip("final-reading", "the burette's reading at the end point is used instead of the difference", "V_eq", "V_end"),
        Slip("last-point", "the last volume of the curve is taken for the end point", "V_end", "last(V)"),
    ),
    faults=(
        Fault("burette-wet", "Burette rinsed with water only", {"V": "x * 1.01"}, "The titrant is diluted: the jump comes late.",
              "Rinse twice with titrant."),
        Fault("oxidised", "Part of the iron oxidised by air", {"V": "x * 0.985"}, "The salt looks yellow instead of green.",
              "Fresh salt; titrate soon after dissolving."),
        Fault("portion-lost", "Powder left on the beaker's rim", {"V": "x * 0.99"}, "Grains above the liquid.", "Rinse them down before you start."),
        Fault("weighing", "Vial touched with a wet glove", {"m_after": "x + 0.010"}, "The vial seems heavier after the tipping.", "Dry gloves or tongs."),
    ),
    charts=(TitrationCurve("curve", "Titration curve", "V", "E", "V_end"),),
    targets=(
        Target("Portion for the wanted titre", "z_t * c_t * V_wanted / z_s * M_s", "g", "with the concentration in mol/L", when={"c_given": "molarity"}),
        Target("Portion for the wanted titre", "c_t * V_wanted / z_s * M_s", "g", "with the concentration as normality", when={"c_given": "normality"}),
        Target("Titre to come", "V_wanted", "mL", "on the burette without filling it again", read_at="burette", at_least="least_titre", choose=("V_wanted",)),
    ),
    supplies=(
        Supply("Titrant: {titrant}", "V_wanted", "mL", note="{burn}", substance="{titrant_formula}", concentration="c_t", when={"c_given": "molarity"}),
        Supply("Titrant: {titrant}", "V_wanted", "mL", note="{burn}", substance="{titrant_formula}", concentration="c_t", equivalents="z_t",
               when={"c_given": "normality"}),
        Supply("Sample: {sample}", "z_t * c_t * V_wanted / z_s * M_s", "g", when={"c_given": "molarity"}),
        Supply("Sample: {sample}", "c_t * V_wanted / z_s * M_s", "g", when={"c_given": "normality"}),
    ),
    titrated=Titrated("M_s", "{titrant_formula}", "c", "z_s", end="V_eq"),
    waste="Chromium goes to hazardous waste; neutral salt solution down the sink only where local rules allow it.",
)  # fmt: skip
