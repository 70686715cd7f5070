"""Choices that change a last digit, stated where a user can see them: the same list in the application and on paper."""

from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class ChoiceMade:
    """What was chosen among several accepted ways, and what the others would change."""

    topic: str
    made: str
    otherwise: str


CHOICES: tuple[ChoiceMade, ...] = (
    ChoiceMade(
        "Molar masses",
        "CIAAW 2021 standard atomic weights, abridged where an interval is given; each ± is a rectangular half-width "
        "(EURACHEM/CITAC CG4), fully correlated within an element.",
        "Weights summed from isotopes differ by up to 8 × 10⁻⁵, most with sulfur and chlorine.",
    ),
    ChoiceMade(
        "Expanded uncertainty",
        "95 %: k = 2 when many degrees of freedom stand behind u, else Student’s t for the effective degrees of "
        "freedom (Welch–Satterthwaite, GUM G.4, not truncated). U has two figures, rounded half to even on the "
        "decimal text.",
        "Some schools always take k = 2, or round U up.",
    ),
    ChoiceMade(
        "Replicates",
        "What trials are known to vary by (reading, end point) stays; what their spread shows beyond that is added, "
        "and its few degrees of freedom count by as much of it as is new. The calibration of one instrument is shared "
        "by all trials and is not averaged away.",
        "Adding the whole spread would count scatter twice; the spread alone lets two lucky trials claim too much; the "
        "larger of the two makes U jump sixfold for a milligram.",
    ),
    ChoiceMade(
        "Volumetric tolerances",
        "Triangular (EURACHEM/CITAC’s choice): u = a/√6.",
        "Rectangular, a/√3, would be 1.4 times as large.",
    ),
    ChoiceMade(
        "Linear budget and random draws",
        "Results are stated from the linear budget; every report checks it by random draws and says where they part.",
        "First order understates strongly curved results: by 29 % in JCGM 101’s mass calibration.",
    ),
    ChoiceMade(
        "Calibration lines",
        "Fitted with intercept, or through the origin where that is chosen; the scatter about it, beyond what the "
        "readings are known to vary by, has n − 2 (n − 1) degrees of freedom, because one residual standard "
        "deviation serves both the line and the readings.",
        "Counting them apart would claim more degrees of freedom.",
    ),
    ChoiceMade(
        "Millimetres of mercury",
        "1 mmHg = 133.322387415 Pa (conventional); 1 torr = 1/760 atm = 133.322368421 Pa.",
        "They differ by 1.4 × 10⁻⁷; many tables take one for the other.",
    ),
    ChoiceMade(
        "Vapour pressure of water",
        "Wagner and Pruss 1993, within 1 × 10⁻⁴ of IAPWS-95.",
        "Older handbook tables differ by up to 0.1 %: 23.756 against 23.776 mmHg at 25 °C.",
    ),
    ChoiceMade(
        "Heat capacity of water",
        "4.184 J/(g·°C) where a class uses it, the thermochemical calorie; IAPWS-95 gives 4.1813 at 25 °C.",
        "0.06 % apart.",
    ),
    ChoiceMade(
        "Standard conditions of a gas",
        "0 °C and 1 atm: 22.414 L/mol.",
        "0 °C and 1 bar: 22.711 L/mol.",
    ),
    ChoiceMade(
        "Standard potentials",
        "The usual handbook series.",
        "Compilations differ by 65 mV for iron(II)/iron and by 130 mV for dichromate.",
    ),
    ChoiceMade(
        "Standard deviation",
        "n − 1 in the denominator.",
        "n describes a whole population and is smaller.",
    ),
)
