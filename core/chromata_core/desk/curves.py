"""A line through points with a reading off it, and the curve of a titration."""

from dataclasses import replace
from math import sqrt

from chromata_core.chemistry.acid_and_base import PROTOLYTES, Protolyte, ph_of
from chromata_core.curves.line import line
from chromata_core.desk.calculator import Calculator, FieldOf, Said, WorkedOut, WorkedStep, si_of
from chromata_core.errors import ReadingError
from chromata_core.quantity.report import report
from chromata_core.quantity.rounding import with_figures
from chromata_core.quantity.typed import parse_reading
from chromata_core.telling.chart import Chart, ChartLine, ChartMark
from chromata_core.telling.lay_out import lay_out
from chromata_core.uncertainty.budget import coverage_factor

_MOST_POINTS, _CURVE_POINTS = 100, 161
_STRONGEST = 20.0  # mol/L: above any acid or base that can be bought
_STRONG = -3.0  # pKₐ of an acid that is all H⁺ at any concentration used here


def _pairs(text: str) -> list[tuple[float, float]]:
    pairs = []
    for row in text.splitlines():
        parts = row.replace("\t", " ").replace(";", " ").split()
        if not parts:
            continue
        if len(parts) != 2:
            raise ReadingError(f"“{row.strip()[:40]}” is not one x and one y. Write “2.00 0.163” on each line.")
        x, y = (float(parse_reading(part).value) for part in parts)
        pairs.append((x, y))
    if len(pairs) > _MOST_POINTS:
        raise ReadingError(f"{len(pairs)} points are too many; {_MOST_POINTS} at most.")
    return pairs


def _fit(form: Said) -> WorkedOut:
    points = _pairs(form["points"])
    origin = form["through"] == "origin"
    fitted = line([x for x, _ in points], [y for _, y in points], through_origin=origin)
    k = coverage_factor(fitted.dof)
    slope, intercept = report(fitted.slope, k * fitted.u_slope), report(fitted.intercept, k * fitted.u_intercept)
    steps = [
        WorkedStep("Slope", f"{slope.text}, u = {with_figures(fitted.u_slope, 2)}"),
        *([] if origin else [WorkedStep("Intercept", f"{intercept.text}, u = {with_figures(fitted.u_intercept, 2)}")]),
        WorkedStep(
            "Scatter about it",
            f"s = {with_figures(fitted.s, 3)} with {fitted.dof} degrees of freedom, r² = {fitted.r2:.5f}",
        ),
    ]
    marks: list[ChartMark] = []
    result, value, limit = f"y = {with_figures(fitted.slope, 4)} x + {with_figures(fitted.intercept, 4)}", "", ""
    if form["read"] != "none":
        y0 = float(parse_reading(form["read"]).value)
        if not fitted.slope:
            raise ReadingError("The line is level: no x can be read off it.")
        x0 = (y0 - fitted.intercept) / fitted.slope
        # Inverse prediction of one reading: EURACHEM/CITAC CG4, E.4.2.
        spread = 1 + fitted.share + ((y0 - fitted.y_mean) / fitted.slope) ** 2 / fitted.sxx
        u = fitted.s / abs(fitted.slope) * sqrt(spread)
        told = report(x0, k * u)
        steps.append(
            WorkedStep(
                "Read off",
                f"x = ({y0:g} − {with_figures(fitted.intercept, 4)}) / {with_figures(fitted.slope, 4)}, u = {with_figures(u, 2)}, k = {with_figures(k, 3)}",
            )
        )
        low, high = min(x for x, _ in points), max(x for x, _ in points)
        if not low <= x0 <= high:
            steps.append(WorkedStep("Look again", "It lies outside the points: nobody has measured the line there."))
        marks = [ChartMark(f"x = {with_figures(x0, 4)}", x=x0), ChartMark(f"y = {y0:g}", y=y0)]
        result, value, limit = f"x = {told.text}", "" if told.power else told.value, told.uncertainty
    ends = [(x, fitted.at(x)) for x in (min(x for x, _ in points), max(x for x, _ in points))]
    chart = Chart(
        "fit",
        "Line",
        "x",
        y_label="y",
        sentence=result,
        lines=[ChartLine("Points", "dots", points), ChartLine("Line", "path", ends)],
        marks=marks,
        areas=[],
    )
    return WorkedOut(result, steps, replace(chart, plot=lay_out(chart)), value, limit)


def titration_ph(acid: float, volume: float, pka: float, base: float, added: float) -> float:
    """pH of a monoprotic acid (mol/L, mL, pKₐ) with so much strong base in it, by its charge balance at 25 °C:
    [H⁺] + [Na⁺] = [OH⁻] + [A⁻], activities taken as concentrations.
    """
    whole = volume + added
    return ph_of((Protolyte((pka,)), acid * volume / whole), (PROTOLYTES["NaOH"], base * added / whole))


def _titration(form: Said) -> WorkedOut:
    acid, base = (si_of(form[key], "mol/L", "A concentration") / 1000 for key in ("acid", "base"))
    if max(acid, base) > _STRONGEST:
        raise ReadingError(f"No solution is stronger than {_STRONGEST:g} mol/L. Look at the concentrations again.")
    volume = si_of(form["volume"], "mL", "The volume") * 1e6
    pka = _STRONG if form["pka"].lower() == "strong" else float(parse_reading(form["pka"]).value)
    if not -10 <= pka <= 14:
        raise ReadingError("A pKₐ lies between −10 and 14. Write “strong” for an acid that gives all of its H⁺.")
    end = acid * volume / base
    if not 1e-3 < end < 1e5:
        raise ReadingError(f"It would take {end:.3g} mL of base. Choose concentrations nearer to each other.")
    volumes = [2 * end * n / (_CURVE_POINTS - 1) for n in range(_CURVE_POINTS)]
    points = [(v, titration_ph(acid, volume, pka, base, v)) for v in volumes]
    at_end = titration_ph(acid, volume, pka, base, end)
    steep = titration_ph(acid, volume, pka, base, end * 1.001) - titration_ph(acid, volume, pka, base, end * 0.999)
    steps = [
        WorkedStep("Equivalence", f"{form['acid']} × {form['volume']} / {form['base']} = {with_figures(end, 4)} mL"),
        WorkedStep("pH there", f"{at_end:.2f}: choose an indicator that changes near it"),
        WorkedStep(
            "Halfway",
            f"pH {titration_ph(acid, volume, pka, base, end / 2):.2f}"
            + ("" if pka == _STRONG else f", near pKₐ {pka:g}"),
        ),
        WorkedStep(
            "Jump",
            f"{steep:.1f} in pH within ± 0.1 % of the end" + (": too small for an indicator" if steep < 1 else ""),
        ),
        WorkedStep("Basis", "charge balance, K_w = 10^-14, activities taken as concentrations"),
    ]
    marks = [ChartMark(f"{with_figures(end, 4)} mL", x=end), ChartMark(f"pH {at_end:.1f}", y=at_end)]
    sentence = f"pH from {points[0][1]:.1f} to {points[-1][1]:.1f}, with its jump at {with_figures(end, 4)} mL."
    chart = Chart(
        "titration",
        "Titration curve",
        "Base, mL",
        y_label="pH",
        sentence=sentence,
        lines=[ChartLine("pH", "path", points)],
        marks=marks,
        areas=[],
    )
    return WorkedOut(
        f"{with_figures(end, 4)} mL to pH {at_end:.2f}",
        steps,
        replace(chart, plot=lay_out(chart)),
        with_figures(end, 4),
        "",
        "mL",
    )


FIT = Calculator(
    "line", "Line and reading off", "Slope, intercept and scatter; an x read off for a y.",
    (
        FieldOf("points", "x and y, one pair on each line", "2 0.163\n4 0.321\n6 0.487\n8 0.643", long=True),
        FieldOf("read", "Read off at y", "0.412", "“none” for the line alone"),
        FieldOf("through", "The line", "intercept", choices=(("intercept", "with an intercept"), ("origin", "through the origin"))),
    ),
    _fit,
)  # fmt: skip
TITRATION = Calculator(
    "titration", "Titration curve", "A monoprotic acid with a strong base, at 25 °C.",
    (
        FieldOf("acid", "Acid", "0.100 mol/L"), FieldOf("volume", "Volume of the acid", "20.0 mL"),
        FieldOf("pka", "Its pKₐ, or “strong”", "4.76"), FieldOf("base", "Base", "0.100 mol/L"),
    ),
    _titration,
)  # fmt: skip
