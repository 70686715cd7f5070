"""The spectrophotometer and its calibration line, written once: warm-up, blank, standards from one stock, unknowns."""

from chromata_core.declaration import cautions
from chromata_core.declaration.names import When
from chromata_core.declaration.option_kinds import Choice, ChoiceOption, ListOption, NumberOption, Option
from chromata_core.declaration.parts import Check, Drawing
from chromata_core.declaration.preparation import Shared, Supply
from chromata_core.declaration.vocabulary import (
    Fault,
    Observation,
    OwnError,
    Quantity,
    Reading,
    Role,
    Series,
    Slip,
    Step,
    Wait,
)
from chromata_core.judging.rules import Bracketed, EachOf
from chromata_core.judging.whenever import Whenever
from chromata_core.methods.spectrophotometry.light_checks import (
    BlankStale,
    Bow,
    NotRising,
    OffTheLine,
    OverFull,
    Pale,
    TooEarly,
    ZeroLine,
)
from chromata_core.sentences import first_upper
from chromata_core.telling.line_charts import CalibrationLine, Residuals

BY_A, BY_T = {"scale": "A"}, {"scale": "T"}
# The line is measured here, or given as an equation by who measured it before: then there are no standards.
MEASURED, GIVEN = {"line": "measured"}, {"line": "given"}
_LINE, _ORIGIN = {"fit": "intercept", **MEASURED}, {"fit": "origin", **MEASURED}
_ONE, _TWO = {"cuvettes": "one"}, {"cuvettes": "two"}
_ROW, _IN_TURN = {"standards_by": "row", **MEASURED}, {"standards_by": "turn", **MEASURED}
_ZERO = (Choice("zero", "Shows zero: 0.000 A, 100.0 %T"), Choice("off", "Shows something else: zero it now"))


def options(
    stock: str,
    unit: str,
    limit: str,
    volumes: str,
    flask: str,
    wavelength: str,
    slope: str,
    scale: str = "A",
    blank: str = "water",
) -> tuple[Option, ...]:
    """How it is read, how the line is drawn, and the standards: ``volumes`` of a stock made up to ``flask`` mL. A line
    that is given rises by ``slope`` L/mol (the absorptivity times 1 cm), known to 1 %. ``blank`` is the usual one.
    """
    return (
        ChoiceOption("scale", "Read as", (Choice("A", "Absorbance", words={"zero": "0.000"}), Choice("T", "%T", words={"zero": "100.0 %T"})), scale,
                     "A = 2 − log₁₀ %T; both are shown."),
        ChoiceOption("blank", "The blank is", (
            Choice("usual", first_upper(blank), words={"blank": blank}),
            Choice("reagents", "All that is in the solutions but what is coloured", words={"blank": "all that is in the solutions but what is coloured"}),
        ), "usual", "A reagent of its own colour belongs into the blank; else it is read as what is looked for."),
        ChoiceOption("reblank", "The blank is read again", (
            Choice("each", "Before every solution", words={"rinse": "Blank in, then rinse"}), Choice("row", "Once, before the row", words={"rinse": "Rinse"}),
        ), "each", "A row that is read in one go needs its blank once; after a break, or when the zero may have drifted, it is set anew all the same."),
        ChoiceOption("cuvettes", "Cuvettes", (
            Choice("one", "One for all, rinsed each time"), Choice("two", "Two: one keeps the blank, the other is read against it"),
        ), "one", "Two are never quite alike: what the second one shows with the blank in it is taken off every reading."),
        NumberOption("wavelength", "Wavelength", wavelength, "nm", help="Set before the blank is read.", low="180"),
        ChoiceOption("fit", "Calibration line", (Choice("intercept", "Fitted, with its intercept"), Choice("origin", "Forced through the origin")), "intercept",
                     "Through the origin only if the intercept's own test allows it."),
        ChoiceOption("standards_by", "The standards are", (
            Choice("row", "All made first, then read in a row"), Choice("turn", "Made and read one after the other"),
        ), "row", "In a row the instrument is needed once, and the cuvette goes from weak to strong."),
        ChoiceOption("line", "The line is", (Choice("measured", "Measured by each bench, from standards"), Choice("given", "Given, as an equation")), "measured",
                     "An equation saves the time of the standards; what it was measured with is not seen."),
        NumberOption("a_line", "Slope of the given line", slope, "L/mol", "a", "A = a · c + b; the molar absorptivity times the path.", f"{0.01 * float(slope):.3g}",
                     "normal95", "Slope of the given line", low="0.001", when=GIVEN),
        NumberOption("b_line", "Its intercept", "0.002", "", "b", "", "0.003", "normal95", "Intercept of the given line", low="-1", when=GIVEN),
        NumberOption("A_top", "Highest absorbance on it", "0.75", help="Above that nobody has measured it.", low="0.01", high="3", when=GIVEN),
        NumberOption("s_line", "Scatter of a reading about it", "0.003", "", "s", "The residual standard deviation of the points it was drawn through.", low="0.0001", high="1", when=GIVEN),
        NumberOption("n_line", "Points it was drawn through", "7", "", "n", low="3", high="1000", when=GIVEN),
        NumberOption("c_stock", "Stock concentration", stock, unit, "c_stock", "", limit, "normal95", "Stock concentration", room=True, when=MEASURED),
        ListOption("V_plan", "Stock for the standards", volumes, "mL", "V_plan", f"Each is pipetted into a {flask} mL flask and made up."),
        NumberOption("p", "Readings of each unknown", "1", symbol="p", help="Cuvette emptied and filled again between them.", low="1", high="10"),
        NumberOption("on_before", "Switched on before the session", "20", "min", help="Its lamp needs 15 to 20 min; whoever prepares switches it on first."),
        NumberOption("stale", "Zero again after", "20", "min", help="And after every break. Common practice.", low="1"),
        NumberOption("meters", "Spectrophotometers", "2", low="1", high="24", planning=True),
        NumberOption("meter_places", "Benches at one at a time", "1", low="1", high="6", planning=True),
        NumberOption("make_minutes", "Before the first reading", "25", "min", "", "Goggles, flasks, pipetting and making up the standards.", high="120", planning=True),
        NumberOption("meter_minutes", "A bench's turn", "12", "min", "", "Blank, standards and unknown, cuvette rinsed each time.", low="1", high="90", planning=True),
    )  # fmt: skip


SIGNALS = ("A_std", "T_std", "A_x", "T_x")
SHARED = (
    Shared("Spectrophotometer", "meters", "meter_places", "meter_minutes",
           after="make_minutes", kind="spectrophotometer", used_in=SIGNALS, meanwhile="Make the standards, prepare the unknown, answer the first closing question."),
)  # fmt: skip
ROLES = (
    Role("pipette", "For the standards", ("graduated pipette", "burette", "pipette"), "pipette-graduated-10"),
    Role("flask", "Flask of a standard", ("flask",), "flask-10-a"),
    Role("photometer_a", "Spectrophotometer, absorbance", ("spectrophotometer",), "photometer-a"),
    Role("photometer_t", "Spectrophotometer, %T", ("spectrophotometer",), "photometer-t"),
)


def dilution_roles(pipette: str = "pipette-10-a") -> tuple[Role, ...]:
    """What an unknown is diluted with if it is too dark."""
    return (
        Role("dilution_pipette", "Pipette to dilute with", ("pipette", "graduated pipette", "burette"), pipette),
        Role("dilution_flask", "Flask to dilute in", ("flask",), "flask-50-a"),
    )


STANDARDS: tuple[Reading | Observation, ...] = (
    Observation("zero", "Display with the blank", _ZERO, until=("zero",), scope="bench", hint="Blank in, lid shut."),
    Reading("A_match", "Second cuvette, blank in it", "", "photometer_a", "A_match", scope="bench", common=True, hint="Both hold the blank; the first is set to zero.", when={**BY_A, **_TWO}),
    Reading("T_match", "Second cuvette, blank in it", "%T", "photometer_t", "T_match", scope="bench", common=True, hint="Both hold the blank; the first is set to 100.", when={**BY_T, **_TWO}),
    Reading("V_flask", "Flask of a standard", "mL", "flask", "V_flask", scope="bench", common=True, hint="The same size for all.", anew="c_std", when=MEASURED),
    Series("V_std", "Stock", "mL", "pipette", "V_std", scope="bench", common=True, until=EachOf("V_plan"), hint="Planned: {V_plan}. Write what was delivered.", when=MEASURED),
    Series("A_std", "Absorbance of it", "", "photometer_a", "A", scope="bench", common=True, beside="V_std", response=True, when={**BY_A, **MEASURED},
           hint="Rinsed three times with it."),
    Series("T_std", "Transmittance of it", "%T", "photometer_t", "T", scope="bench", common=True, beside="V_std", response=True, when={**BY_T, **MEASURED},
           hint="Rinsed three times with it."),
)  # fmt: skip


def unknown() -> tuple[Reading | Observation, ...]:
    """The blank once more, the unknown's readings, and how it was diluted if it had to be."""
    return (
        Observation("rezero", "The blank once more", _ZERO, until=("zero",), hint="Blank in, lid shut.", when={"reblank": "each"}),
        Series("A_x", "Absorbance", "", "photometer_a", "A_x", until=Bracketed("A_std", "p", "A_top", "A_r"), when=BY_A, response=True, echo="c",
               hint="It must lie where the line was measured."),
        Series("T_x", "Transmittance", "%T", "photometer_t", "T_x", until=Bracketed("T_std", "p", "A_top", "A_r"), when=BY_T, response=True, echo="c",
               hint="It must lie where the line was measured."),
        Reading("V_taken", "Taken to dilute", "mL", "dilution_pipette", "V_taken", optional=True, hint="Only if it was too dark for the line."),
        Reading("V_made", "Made up to", "mL", "dilution_flask", "V_made", optional=True, follows="V_taken"),
    )  # fmt: skip


def _absorbances(cuvettes: dict[str, str], off: str) -> tuple[Quantity, ...]:
    """Of standards and unknown, less what the cuvette itself shows."""
    by_a, by_t = {**BY_A, **cuvettes}, {**BY_T, **cuvettes}
    standard, unknown = "Absorbance of a standard", "Absorbance of the unknown"
    return (
        Quantity("A_s", standard, f"A_std{off}", "", "A", "bench", per="A_std", when={**by_a, **MEASURED}),
        Quantity("A_s", standard, f"2 - log10(T_std){off}", "", "A", "bench", per="T_std", when={**by_t, **MEASURED}),
        Quantity("A_r", unknown, f"A_x{off}", "", "A", per="A_x", when=by_a),
        Quantity("A_r", unknown, f"2 - log10(T_x){off}", "", "A", per="T_x", when=by_t),
    )


_THIS_READING = "Scatter about the line, this reading"
_ABSORBANCES = (
    Quantity("A_off", "Second cuvette against the first", "A_match", "", "ΔA", "bench", when={**BY_A, **_TWO}),
    Quantity(
        "A_off", "Second cuvette against the first", "2 - log10(T_match)", "", "ΔA", "bench", when={**BY_T, **_TWO}
    ),
    *_absorbances(_ONE, ""),
    *_absorbances(_TWO, " - A_off"),
    Quantity("A_0", "Absorbance of the unknown", "inside(A_s, mean_last(A_r, p))", "", "A₀", when=MEASURED),
    Quantity("nu", "Degrees of freedom of the line", "n_line - 2", "", "ν", "bench", aside=True, when=GIVEN),
    Quantity("u_read", "Scatter of the reading", "s_line / sqrt(p)", "", "u", aside=True, when=GIVEN),
    Quantity(
        "A_0",
        "Absorbance of the unknown",
        "mean_last(A_r, p)",
        "",
        "A₀",
        when=GIVEN,
        errors=(OwnError(_THIS_READING, "u_read", "normal", freedom="nu"),),
    ),
)


_SCATTER = "Scatter about the line"
# The line itself, for who reads off it later. Its slope and its height in the middle are independent; its intercept is
# worked from both, so that all that is read off carries what they have in common.
_LINE_FOUND = (
    Quantity("A_top_found", "Highest absorbance of the standards", "largest(A_s)", "", "A", "bench", aside=True, hands="A_top", when=MEASURED),
    Quantity("n_found", "Points of the line", "count(A_s)", "", "n", "bench", aside=True, hands="n_line", when=MEASURED),
    Quantity("s_found", "Scatter of a reading about the line", "scatter_about(c_std, A_s)", "", "s", "bench", aside=True, hands="s_line", when=_LINE),
    Quantity("s_found", "Scatter of a reading about the line", "scatter_about_origin(c_std, A_s)", "", "s", "bench", aside=True, hands="s_line", when=_ORIGIN),
    Quantity("c_mid", "Middle of the standards", "sum(c_std) / count(A_s)", "mol/L", "c̄", "bench", aside=True, when=_LINE),
    Quantity("u_mid", "Doubt of the line in its middle", "doubt_of_middle(c_std, A_s)", "", "u", "bench", aside=True, when=_LINE),
    Quantity("A_mid", "Height of the line in its middle", "sum(A_s) / count(A_s)", "", "Ā", "bench", aside=True, when=_LINE,
             errors=(OwnError(_SCATTER, "u_mid", "normal", freedom="nu", shared=True),)),
    Quantity("u_rise", "Doubt of the slope", "doubt_of_rise(c_std, A_s)", "L/mol", "u", "bench", aside=True, when=_LINE),
    Quantity("u_rise", "Doubt of the slope", "doubt_of_rise_origin(c_std, A_s)", "L/mol", "u", "bench", aside=True, when=_ORIGIN),
    Quantity("rise", "Slope of the line", "line_rise(c_std, A_s)", "L/mol", "a", "bench", aside=True, hands="a_line", when=_LINE,
             errors=(OwnError(_SCATTER, "u_rise", "normal", freedom="nu", shared=True),)),
    Quantity("rise", "Slope of the line", "line_rise_origin(c_std, A_s)", "L/mol", "a", "bench", aside=True, hands="a_line", when=_ORIGIN,
             errors=(OwnError(_SCATTER, "u_rise", "normal", freedom="nu", shared=True),)),
    Quantity("start", "Intercept of the line", "A_mid - rise * c_mid", "", "b", "bench", aside=True, hands="b_line", when=_LINE),
    Quantity("start", "Intercept of the line", "0 * A_top_found", "", "b", "bench", aside=True, hands="b_line", when=_ORIGIN),
)  # fmt: skip


def read_off(unit: str) -> tuple[Quantity, ...]:
    """From the standards' line to the concentration in the cuvette and, undiluted, before it."""
    errors = (
        OwnError(_THIS_READING, "u_read", "normal", freedom="nu"),
        OwnError("The line itself", "u_line", "normal", freedom="nu", shared=True),
    )
    return (
        *_ABSORBANCES,
        Quantity("c_std", "Concentration of a standard", "c_stock * V_std / V_flask", unit, "c", "bench", per="A_s", when=MEASURED),
        Quantity("nu", "Degrees of freedom of that scatter", "freedom_about(c_std, A_s)", "", "ν", "bench", aside=True, when=_LINE),
        Quantity("nu", "Degrees of freedom of that scatter", "freedom_about_origin(c_std, A_s)", "", "ν", "bench", aside=True, when=_ORIGIN),
        Quantity("u_read", "Scatter of one reading", "scatter_of_reading(c_std, A_s, A_0, p)", unit, "u", aside=True, when=_LINE),
        Quantity("u_read", "Scatter of one reading", "scatter_of_reading_origin(c_std, A_s, A_0, p)", unit, "u", aside=True, when=_ORIGIN),
        Quantity("u_line", "Doubt of the line", "doubt_of_line(c_std, A_s, A_0)", unit, "u", aside=True, when=_LINE),
        Quantity("u_line", "Doubt of the line", "doubt_of_line_origin(c_std, A_s, A_0)", unit, "u", aside=True, when=_ORIGIN),
        *_LINE_FOUND,
        Quantity("c_x", "In the cuvette", "line_x(c_std, A_s, A_0)", unit, "c_x", when=_LINE, errors=errors),
        Quantity("c_x", "In the cuvette", "line_x_origin(c_std, A_s, A_0)", unit, "c_x", when=_ORIGIN, errors=errors),
        Quantity("c_x", "In the cuvette", "(A_0 - b_line) / a_line", unit, "c_x", when=GIVEN),
        Quantity("D", "Dilution factor", "dilution_factor(V_made, V_taken)", "", "D"),
    )  # fmt: skip


SETUP_STEPS: tuple[Step, ...] = (
    Step("warmup", "Lamp on", "Switch the spectrophotometer on first of all;", "it needs 15 to 20 minutes.",
         "It counts from when it was switched on, also if that was before the session.", "setup", wait=Wait("Warming up", 1200, "on_before"), minutes=1, scene="lamp-on"),
    Step("blank", "Wavelength and blank", "Set {wavelength}, cuvette with {blank} in, lid shut,", "set the display to {zero}.",
         "Clear faces wiped, no bubbles, always the same way round. A beaker each for solution, blank and waste: rinse beaker, then cuvette, with what comes in.", "setup", ("zero",), cautions=(cautions.CUVETTE,), minutes=3, scene="blank"),
    Step("match", "The two cuvettes", "Fill the second cuvette with the blank too", "and read it against the first.",
         "What it shows is its own; from now on the solutions go into it.", "setup", ("A_match", "T_match"), when=_TWO, scene="blank"),
    Step("make", "Make the standards", "Pipette {V_plan} of stock into a flask, make up,", "invert ten times.",
         "All of them before the first is read. Rinse the pipette with stock, not with water.", "setup", ("V_flask", "V_std"), cautions=(cautions.DYE,), when=_ROW, minutes=15, scene="standards"),
    Step("standards", "Read the standards in a row", "From weak to strong: rinse the cuvette with the next standard,", "read it.",
         "Points lie on one straight line; they are never joined from one to the next.", "setup", ("A_std", "T_std"), when=_ROW, minutes=10, scene="sample-light"),
    Step("standards", "Make and read the standards", "Pipette {V_plan} of stock into a flask, make up, invert ten times;", "rinse the cuvette with it, read.",
         "Points lie on one straight line; they are never joined from one to the next.", "setup", ("V_flask", "V_std", "A_std", "T_std"), cautions=(cautions.DYE,), when=_IN_TURN, minutes=25, scene="standards"),
)  # fmt: skip


def read_step(title: str, lead: str, when: When = None) -> Step:
    """The blank again, then the unknown."""
    return Step("read", title, lead, "then read it.", "Above the strongest standard it must be diluted, below the weakest the line says nothing.",
                reads=("rezero", "V_taken", "V_made", "A_x", "T_x"), when=when, scene="sample-light")  # fmt: skip


CHECKS: tuple[Check, ...] = (
    TooEarly("warmup", SIGNALS),
    BlankStale("zero", "rezero", SIGNALS, "stale"),
    OverFull(("T_std", "T_x")),
    Pale("A_s", "A_std"), Pale("A_s", "T_std"), Pale("A_r", "A_x"), Pale("A_r", "T_x"),
    NotRising("c_std", "A_s", "V_std"),
    Bow("c_std", "A_s", "V_std"),
    ZeroLine("fit", "c_std", "A_s", "V_std"),
    OffTheLine("A_x", "A_r", "c_std", "A_s", "V_taken", "A_top"), OffTheLine("T_x", "A_r", "c_std", "A_s", "V_taken", "A_top"),
    Whenever("above-given-line", "last(A_x) > A_top", "The absorbance is {last(A_x):}, and the given line ends at {A_top}.", "There nobody has measured it.", "Dilute it, write how much you take and what it is made up to, then read again.", "repeat", "A_x",
             word="Is it darker than anything the line was made with?"),
    Whenever("above-given-line", "2 - log10(last(T_x)) > A_top", "The absorbance is {2 - log10(last(T_x)):}, and the given line ends at {A_top}.", "There nobody has measured it.", "Dilute it, write how much you take and what it is made up to, then read again.",
             "repeat", "T_x", word="Is it darker than anything the line was made with?"),
)  # fmt: skip
CHARTS: tuple[Drawing, ...] = (
    CalibrationLine(
        "line",
        "Calibration line",
        "c_std",
        signals="A_s",
        unknown="A_0",
        found="c_x",
        up="Absorbance",
        given=("a_line", "b_line", "A_top"),
    ),
    Residuals("residuals", "What is left over", "c_std", "A_s"),
)
SLIPS = (
    Slip("percent-as-absorbance", "%T is used as absorbance", "A_0", "mean_last(T_x, p) / 100", when=BY_T),
    Slip("natural-logarithm", "ln is used for log₁₀", "A_0", "ln(100 / mean_last(T_x, p))", when=BY_T),
    Slip("no-dilution", "the dilution factor is left out", "D", "1"),
    Slip("dilution-inverted", "the dilution factor is turned over", "D", "V_taken / V_made"),
    Slip("flask-added", "the stock is added to the flask's volume instead of made up to it", "c_std", "c_stock * V_std / (V_std + V_flask)", when=MEASURED),
    Slip("first-standard", "it is compared with the first standard alone", "c_x", "first(c_std) * A_0 / first(A_s)", when=MEASURED),
)  # fmt: skip
FAULTS = (
    Fault("fingerprint", "Fingerprint or bubble in the light", {"A_x": "x + 0.030", "T_x": "x * 0.933"}, "Wipe and turn the cuvette: the reading changes.", "Wipe the clear faces, tap bubbles out, read again."),
    Fault("blank-drifted", "Blank not set again", {"A_x": "x - 0.020", "T_x": "x * 1.047"}, "With the blank in it no longer shows zero.", "Zero on the blank before every unknown."),
    Fault("cuvette-wet", "Cuvette rinsed with water only", {"A_x": "x * 0.96", "T_x": "x * 1.02"}, "Drops of water dilute what is filled in.", "Rinse three times with the solution itself."),
    Fault("standard-short", "Standards filled above the mark", {"A_std": "x * 0.98", "T_std": "x * 1.01"}, "All standards are weaker than they should be: the unknown seems stronger.", "Make up drop by drop, bottom of the curve on the mark.", when=MEASURED),
)  # fmt: skip


def standards(*points: tuple[str, str]) -> tuple[tuple[str, None, int | None, str], ...]:
    """The line of an example, (stock in mL, absorbance), under both scales."""
    readings: list[tuple[str, None, int | None, str]] = [("zero", None, None, "zero"), ("V_flask", None, None, "10.00")]
    readings += [(key, None, None, text) for key, text in both("match", "0.004")]
    for index, (volume, absorbance) in enumerate(points, 1):
        readings += [
            ("V_std", None, index, volume),
            *((key, None, index, text) for key, text in both("std", absorbance)),
        ]
    return tuple(readings)


def read(trial: int, index: int, absorbance: str) -> tuple[tuple[str, int, int, str], ...]:
    """A reading of an example's unknown under both scales."""
    return tuple((key, trial, index, text) for key, text in both("x", absorbance))


def both(of: str, absorbance: str) -> tuple[tuple[str, str], ...]:
    """An absorbance and the %T that says the same."""
    return (f"A_{of}", absorbance), (f"T_{of}", f"{100 * 10 ** -float(absorbance):.1f}")


def supplies(stock: str, substance: str) -> tuple[Supply, ...]:
    """Stock of ``substance`` for all standards of a bench."""
    return (
        Supply(
            stock,
            "2 * sum(V_plan)",
            "mL",
            "bench",
            note="half of it to rinse the pipette",
            substance=substance,
            concentration="c_stock",
            when=MEASURED,
        ),
        Supply("Cuvettes", "1", "", "bench"),
    )
