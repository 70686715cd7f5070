"""Accuracy and precision of a pipette: what it delivers is weighed, ten times at each of several volumes.

Volume = mass · Z, Z = (1 − ρ_air/ρ_weights)/(ρ_water(T) − ρ_air): ISO 8655-6 and ISO 4787, the air-buoyancy factor.
"""

from chromata_core.declaration import cautions
from chromata_core.declaration.nature import Follows
from chromata_core.declaration.option_kinds import Choice, ChoiceOption, ListOption, NumberOption, Trials
from chromata_core.declaration.preparation import Stores, Supply, Target
from chromata_core.declaration.questions import conclusion
from chromata_core.declaration.vocabulary import (
    SOLUTIONS,
    Example,
    Fault,
    Method,
    OwnError,
    Quantity,
    Reading,
    Role,
    Series,
    Slip,
    Step,
)
from chromata_core.judging.checks import Within
from chromata_core.judging.curve_checks import Suspect, Trend
from chromata_core.judging.rules import Times
from chromata_core.judging.whenever import Whenever
from chromata_core.telling.charts import AccuracyPrecision, Deliveries

_BUOYANCY = "(1 - rho_air / rho_weights) / (water_density(T_water) - rho_air)"
_WEIGHED = (
    ("0.4987", "0.4991", "0.4979", "0.4985", "0.4994", "0.4982", "0.4989", "0.4986", "0.4978", "0.4990"),
    ("0.9968", "0.9975", "0.9961", "0.9972", "0.9966", "0.9979", "0.9963", "0.9970", "0.9974", "0.9965"),
    ("2.9871", "2.9893", "2.9858", "2.9884", "2.9867", "2.9879", "2.9890", "2.9862", "2.9875", "2.9881"),
)

_MARKED, _LIMITS = {"pipette_is": "marked"}, {"pipette_is": ("adjustable", "glass")}

METHOD = Method(
    slug="volumetric-calibration",
    version=1,
    family=SOLUTIONS,
    title="Calibration of a pipette by weighing",
    question="How accurately and how precisely does a pipette deliver?",
    reaction="V = m · Z(T)",
    options=(
        ListOption("V_plan", "Volumes to test", "0.50; 1.00; 3.00", "mL", "V_set", "One after the other."),
        ChoiceOption("pipette_is", "The pipette is", (
            Choice("adjustable", "Adjustable", words={"set_to": "Set the pipette to", "then_do": "new tip, wet it twice.", "why_so": "Turn down onto the volume, never up to it: the thread has play."}),
            Choice("marked", "Marked by hand", words={"set_to": "Draw to your mark for", "then_do": "rinsed with water before.", "why_so": "Past the mark on purpose, then let it sink to the line. A volume without a mark of its own is made of several."}),
            Choice("glass", "Of glass, with its own mark", words={"set_to": "Fill the pipette to its mark for", "then_do": "let it drain, touch off.", "why_so": "Eye level, bottom of the curve on the mark; never blow the last drop out."}),
        ), "adjustable", "A hand-made mark has no limit in any standard: it is compared with what it says and with the class."),
        NumberOption("deliveries", "Deliveries at each volume", "10", help="Ten is what the standard asks.", low="3", high="30"),
        ChoiceOption(
            "density", "From mass to volume",
            (Choice("buoyancy", "Density of water at its temperature, buoyancy of air"), Choice("simple", "1 g is 1 mL")),
            "buoyancy", "The simple way is 0.3 % off at 20 °C, more than a good pipette errs.",
        ),
        NumberOption("rho_air", "Density of the air", "0.0012", "g/mL", "ρ_air", limit="0.00005", limit_distribution="rectangular",
                     limit_label="Density of the air"),
        NumberOption("rho_weights", "Density of the balance's weights", "8.0", "g/mL", "ρ_w", "Steel: 8.0 g/mL by convention.", low="1"),
        NumberOption("rho_1", "Density taken for water", "1.000", "g/mL", "ρ", low="0.9"),
        NumberOption("most_error", "Permitted systematic error", "0.040", "mL", help="ISO 8655-2 for 5 mL, value from memory.", when=_LIMITS),
        NumberOption("most_scatter", "Permitted random error", "0.015", "mL", help="ISO 8655-2 for 5 mL, value from memory.", when=_LIMITS),
    ),
    roles=(
        Role("pipette", "Pipette under test", ("adjustable pipette", "pipette"), "adjustable-5"),
        Role("balance", "Balance", ("balance",), "balance-0.0001"),
        Role("thermometer", "Thermometer", ("thermometer",), "thermometer-0.1"),
    ),
    readings=(
        Reading("T_water", "Water temperature", "°C", "thermometer", "T", scope="bench", room=True, hint="In the vessel you draw from.", when={"density": "buoyancy"}),
        Reading("V_set", "Pipette set to", "mL", "pipette", "V_set", hint="{V_plan}."),
        Series("m_d", "Delivery", "g", "balance", "m_i", until=Times("deliveries"), response=True,
               hint="On the tared boat."),
    ),
    quantities=(
        Quantity("Z", "Volume of one gram", _BUOYANCY, "mL/g", "Z", "bench", when={"density": "buoyancy"}),
        Quantity("Z", "Volume of one gram", "1 / rho_1", "mL/g", "Z", "bench", when={"density": "simple"}),
        Quantity("m_mean", "Mean mass", "mean(m_d)", "g", "m̄", positive="Nothing was delivered; look at the balance."),
        Quantity("V_mean", "Volume really delivered", "m_mean * Z", "mL", "V̄", result=True),
        Quantity("error", "Systematic error", "V_mean - V_plan", "mL", "e"),
        Quantity("error_r", "Systematic error, relative", "error / V_plan", "%", "e_r", result=True),
        Quantity("u_s", "Uncertainty of s, relative", "doubt_of_sd(m_d)", "", "u_s"),
        Quantity("s", "Standard deviation of one delivery", "sd(m_d) * Z", "mL", "s", result=True,
                 errors=(OwnError("Few deliveries", "u_s", "normal", relative=True),)),
        Quantity("rsd", "Relative standard deviation", "s / V_mean", "%", "RSD"),
    ),
    steps=(
        Step("labels", "Goggles, pipette, boat", "Put goggles on and let water and pipette", "take the temperature of the room.",
             "Two hours are usual. Pure water, weighing boat with a lid against evaporation, balance away from draughts.",
             "setup", cautions=(cautions.GOGGLES, cautions.SMALL_TIPS, cautions.DEFER), scene="ready"),
        Step("temperature", "Temperature of the water", "Read the temperature of the water.", "", "", "setup", ("T_water",)),
        Step("mark", "Mark the pipette", "Weigh water into it, 1 g for 1 mL: {V_plan},", "and draw a fine line at each level.", "On a strip of tape, at the bottom of the curve, eye level.", "setup", when=_MARKED, minutes=8, scene="pipette"),
        Step("set", "The pipette at {V_plan}", "{set_to} {V_plan},", "{then_do}", "{why_so}", reads=("V_set",), scene="pipette"),
        Step("deliver", "Deliver and weigh", "Tare the boat, deliver, write the mass;", "again until all are done.",
             "Same depth, same pace, touch the wall at the end.", reads=("m_d",), cautions=(cautions.SPILL,), scene="weigh-tared"),
        Step("own", "Own calculation", "Work out s of the deliveries yourself", "and compare.",
             "From the masses, with n − 1, in millilitres.", "trial", ("own.s",)),
        conclusion(3),
        Step("clean", "Tip off, dry the balance", "Throw the tip away and dry the balance.", "", "", "closing",
             cautions=(cautions.SPILL, cautions.DEFER), scene="tidy"),
    ),
    hazards=(cautions.GOGGLES, cautions.SMALL_TIPS, cautions.SPILL, cautions.DEFER),
    checks=(
        Whenever("V_set-set", "V_set != V_plan", "Set to {V_set}, planned is {V_plan}.",
                 "The mean would be compared with another volume than was delivered.",
                 "Set it anew, or correct what you wrote.", "stop", "V_set"),
        Whenever("m_d-few", "row == deliveries and deliveries < standard", "{deliveries} readings; the standard asks for {standard:}.",
                 "A standard deviation from few readings is only roughly known.",
                 "Say so beside the result, or do the rest as well.", on="m_d", each="m_d", limits={"standard": "10"}),
        Trend("m_d"),
        Suspect("m_d"),
        Within("s", "Deliveries scatter more than the standard permits.", "Practise the stroke, look at tip and seal.",
               high="option:most_scatter", on="m_d"),
        Within("error", "It delivers more than it says.", "Store the calibration and use it; have the pipette adjusted.",
               high="option:most_error", on="m_d"),
        Within("error", "It delivers less than it says.", "Look for a leak or a loose tip; store the calibration and use it.",
               low="-option:most_error", on="m_d"),
    ),
    questions=(
        "Can a pipette be precise and not accurate? Which of your volumes shows it best?",
        "Why does 1 g of water not weigh 1 g for 1 mL in air at room temperature?",
        "What would you see if water evaporated from the boat between deliveries?",
    ),
    example=Example(
        (
            ("T_water", None, None, "21.4"),
            *(("V_set", n, None, text) for n, text in enumerate(("0.50", "1.00", "3.00"), 1)),
            *(("m_d", n, i, text) for n, row in enumerate(_WEIGHED, 1) for i, text in enumerate(row, 1)),
        ),
    ),
    follows=(Follows("V_set", "V_plan"), Follows("V_mean", "V_plan")),
    trials=Trials("Volume", 1, 12, each="V_plan"),
    slips=(
        Slip("n-not-n-1", "n is used instead of n − 1", "s", "sd(m_d) * Z * sqrt((count(m_d) - 1) / count(m_d))"),
        Slip("one-gram", "1 g is taken as 1 mL", "Z", "1 / rho_1"),
        Slip("no-buoyancy", "the buoyancy of air is left out", "Z", "1 / water_density(T_water)"),
        Slip("times-density", "the mass is multiplied by the density", "Z", "water_density(T_water) / (rho_1 * rho_1)"),
        Slip("of-the-mean", "the error is taken relative to the measured volume", "error_r", "error / V_mean"),
        Slip("sign", "the stated volume less the measured one is taken", "error", "V_plan - V_mean"),
        Slip("of-the-mean-s", "the standard deviation of the mean is given for that of one delivery", "s",
             "sd(m_d) * Z / sqrt(count(m_d))"),
    ),
    faults=(
        Fault("evaporation", "Water evaporates from the boat", {"m_d": "x - 0.004"}, "The display creeps downward while you look.",
              "Lid on, read soon, work at an even pace."),
        Fault("dry-tip", "Tip not wetted before", {"m_d": "x * 0.996"}, "The first deliveries are smaller.", "Wet a new tip two or three times."),
        Fault("blown-out", "Last drop lost on the tip", {"m_d": "x - 0.010"}, "A drop hangs after the stroke.", "Touch the wall at the end."),
        Fault("wrong-temperature", "Temperature of the room taken for the water's", {"T_water": "x + 3"},
              "The water stood in the sun or the cold.", "Thermometer into the water you draw."),
    ),
    charts=(
        Deliveries("deliveries", "Deliveries", "m_d"),
        AccuracyPrecision("target", "Accuracy and precision", "error", "s", "most_error", "most_scatter"),
    ),
    targets=(
        Target("Relative systematic error permitted at the first volume", "most_error / V_plan", "%", "the same millilitres weigh more in a small volume"),
    ),
    supplies=(Supply("Pure water", "V_plan * deliveries", "mL"), Supply("Tips", "1", "", note="one for each volume")),
    stores=Stores("V_mean", role="pipette", nominal="V_plan"),
    waste="Water only: down the sink.",
)  # fmt: skip
