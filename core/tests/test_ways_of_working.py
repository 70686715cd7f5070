"""Ways of working, each from the plan to the report as a bench goes: its order, its number of trials, its units, its
instruments. Readings are invented; what they must give is worked by hand beside them.
"""

from collections.abc import Mapping, Sequence
from unittest import TestCase

from chromata_core.declaration.options import resolve_options
from chromata_core.methods.registry import method
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.simulation.follow import follow
from chromata_core.simulation.readings import Written
from chromata_core.telling.beside import beside
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.outcome import Evaluation
from tests.practice import FOLLOWED, WAYS, practice

Read = tuple[str, int | None, int | None, str]
F, N_A = 96485.33212, 6.02214076e23  # SI brochure, 9th ed.


class Bench:
    """A bench that works with ``readings`` as its method leads it, ticks, looks and answers included."""

    def __init__(
        self, slug: str, options: Mapping[str, str], readings: Sequence[Read], tools: Mapping[str, str] | None = None
    ) -> None:
        self.method = method(slug)
        written = [Written(key, text, trial, index) for key, trial, index, text in readings]
        answers = ["An answer."] * len(self.method.questions)
        self.entries = follow(self.method, Sheet(options, tools or {}), written, answers)
        given = tuple(Given(entry.key, entry.text, entry.trial, entry.index) for entry in self.entries)
        self.sheet = Sheet(options, tools or {}, given)

    @property
    def report(self) -> Evaluation:
        return evaluate(self.method, self.sheet)

    def order(self, *keys: str) -> list[str]:
        """``keys`` in the order in which they were first written."""
        in_order = [entry.key for entry in self.entries]
        return sorted(keys, key=in_order.index)

    def value(self, key: str, trial: int | None = None) -> float:
        return next(r.value for r in self.report.results if (r.key, r.trial) == (key, trial))


def from_example(slug: str, options: Mapping[str, str], last: int = 99) -> list[Read]:
    """The worked example's readings under these options, of the trials up to ``last``."""
    given = example_sheet(method(slug), resolve_options(method(slug), options)).given
    return [(row.key, row.trial, row.index, row.text) for row in given if (row.trial or 0) <= last]


class WaysOfWorking(TestCase):
    def finished(self, bench: Bench) -> Evaluation:
        report = bench.report
        self.assertEqual(report.hand.kind, "finished", (report.hand.title, [f.what for f in report.findings]))
        self.assertEqual([f.what for f in report.findings if f.level == "stop"], [])
        self.assertEqual([own_answer.kind for own_answer in report.own if not own_answer.agrees], [])
        return report

    @practice(WAYS[0])
    def test_a_series_of_solutions(self) -> None:
        """6.03 g of sucrose (342.297 g/mol) in 342.6 mL: 0.017616 mol, 0.05142 mol/L; the last is 3.998 times that."""
        bench = Bench("molarity-series", {"m_plan": "6.00; 12.00; 24.00"}, from_example("molarity-series", {}))
        report = self.finished(bench)
        self.assertAlmostEqual(bench.value("c", 1), 6.03 / 342.297 / 0.3426, 4)
        self.assertAlmostEqual(bench.value("ratio"), 24.11 / 6.03, 3)
        own = [own_answer.trial for own_answer in report.own if own_answer.key == "c"]
        self.assertEqual(own, [1, 2, 3], "worked out at each vessel")
        self.assertEqual(next(q.shown.unit for q in report.trials[0].quantities if q.key == "n"), "mol")

    @practice(WAYS[1])
    def test_ice_weighed_first(self) -> None:
        """238.46 g of water from 24.8 to 10.2 °C, 38.85 g of ice, cup 10 J/K: 6053 J/mol by hand."""
        options = {"ice_by": "before", "heats": "J", "trials": "1"}
        read = [
            ("m_w", 1, None, "238.46"),
            ("T_start", 1, None, "24.8"),
            ("m_in", 1, None, "38.85"),
            ("T_end", 1, None, "10.2"),
        ]
        bench = Bench("heat-of-fusion", options, read)
        report = self.finished(bench)
        melt = (238.46 * 4.184 + 10) * 14.6 - 38.85 * 4.184 * 10.2
        self.assertAlmostEqual(bench.value("H"), melt / (38.85 / 18.015), delta=1)
        self.assertEqual((report.results[0].unit, len(report.trials)), ("J/mol", 1))
        self.assertEqual(bench.order("T_end", "m_in"), ["m_in", "T_end"])

    @practice(WAYS[2])
    def test_a_line_that_was_handed_out(self) -> None:
        """0.0500 A for 300 s is 15.0 C, 0.1555 mmol of electrons; A = 0.118 on 748 L/mol · c + 0.002 is 0.1551 mmol/L,
        0.01551 mmol of iodine in 100 mL: 10.0 electrons for each. Read from the 0.5 A terminal.
        """
        options = {"line": "given", "trials": "1", "rest_by": "stand", "I_plan": "0.05"}
        read: list[Read] = [("V", 1, None, "100.00"), ("A_x", 1, 1, "0.118")]
        read += [row for n, t in enumerate(range(0, 301, 60), 1) for row in (("t", 1, n, str(t)), ("I", 1, n, "0.050"))]
        bench = Bench("coulometry-iodine", options, read, {"ammeter": "ammeter-0.5"})
        report = self.finished(bench)
        self.assertAlmostEqual(bench.value("z"), (0.050 * 300 / F) / ((0.118 - 0.002) / 748 * 0.1), 2)
        self.assertNotIn("standards", [step.key for step in report.steps])
        self.assertIn("solid", [entry.key for entry in bench.entries])

    @practice(WAYS[3])
    def test_a_salt_made_washed_and_spun(self) -> None:
        options = {"washing": "salt", "parting": "spin", "reblank": "row"}
        bench = Bench("solubility-product", options, from_example("solubility-product", options))
        self.finished(bench)
        blanks = [entry.key for entry in bench.entries if entry.key in ("zero", "rezero")]
        self.assertEqual(blanks, ["zero"], "the blank is read once for the whole row")
        steps = [step.key for step in bench.report.steps if step.trial in (None, 1)]
        self.assertLess(steps.index("precipitate"), steps.index("wash"))
        worded = bind(method("solubility-product"), Sheet(options)).worded("Wash {solid} with {wash} and {part}")
        self.assertEqual(
            worded,
            "Wash silver chromate with a solution of a salt that shares no ion with it, at last with water, "
            "and spin it",
        )
        self.assertEqual(bench.order("step.precipitate", "T", "T_x"), ["T", "step.precipitate", "T_x"])

    @practice(WAYS[4])
    def test_r_in_litres_and_atmospheres(self) -> None:
        """1009.4 hPa less a column of 86.5 mm and the vapour of 21.4 °C: 0.9627 atm, 37.36 mL, 1.485 mmol, 294.55 K."""
        options = {"question": "R", "levels": "column", "pressures": "atm"}
        bench = Bench("gas-eudometer", options, from_example("gas-eudometer", options))
        report = self.finished(bench)
        first = next(q.value for q in report.trials[0].quantities if q.key == "y")
        self.assertAlmostEqual(first, 0.9627 * 0.03736 / (0.0361 / 24.305 * 294.55), 4)
        self.assertEqual(report.results[0].unit, "L·atm/(mol·K)")
        self.assertEqual(bench.order("bubble", "step.ready"), ["step.ready", "bubble"], "the beaker stands ready first")

    @practice(WAYS[5])
    def test_ribbons_whose_mass_is_found(self) -> None:
        """29.81 inHg are 100.95 kPa (25.4 × 133.322387415 Pa for an inch); two ribbons, one mass of a metre."""
        options = {"question": "m", "levels": "equal"}
        read = [("p_bar", None, None, "29.81")] + [r for r in from_example("gas-eudometer", options) if r[0] != "p_bar"]
        bench = Bench("gas-eudometer", options, read, {"barometer": "barometer-inhg"})
        report = self.finished(bench)
        air = next(q for q in report.quantities if q.key == "p_air")
        self.assertAlmostEqual(air.value, 29.81 * 25.4 * 0.133322387415, 3)
        self.assertEqual(
            [r.trial for r in report.results if r.key == "m_found"], [1, 2], "each ribbon has its own mass"
        )
        self.assertEqual(next(r.unit for r in report.results if r.key == "lambda_mean"), "g/m")

    @practice(WAYS[6])
    def test_the_molar_volume(self) -> None:
        """With the dilution worked out first: 30 mL of 2 mol/L are 10 mL of 6 mol/L and 20 mL of water, water first."""
        options = {"question": "V_m", "levels": "equal", "acid_made": "worked"}
        bench = Bench("gas-eudometer", options, from_example("gas-eudometer", options))
        report = self.finished(bench)
        self.assertEqual(bench.order("m", "first", "step.acid", "step.cage"), ["first", "step.acid", "m", "step.cage"])
        answers = {entry.key: entry.text for entry in bench.entries if entry.key in ("volumes", "first")}
        self.assertEqual(answers, {"volumes": "third", "first": "water"})
        compared = next(r.comparison for r in report.results if r.key == "V_mean")
        assert compared is not None
        self.assertIn("22.414 L/mol", compared.sentence)

    @practice(WAYS[7])
    def test_the_pure_metal_opens_the_way_to_the_alloy(self) -> None:
        bench = Bench("alloy-by-gas", {}, from_example("alloy-by-gas", {}))
        report = self.finished(bench)
        self.assertEqual(bench.order("m", "m_pure", "T"), ["T", "m_pure", "m"])
        self.assertEqual(bench.order("own.w_Al", "hydrogen", "masses"), ["masses", "hydrogen", "own.w_Al"])
        self.assertAlmostEqual(sum(r.value for r in report.results if r.trial is None), 100, 6)

    @practice(WAYS[8])
    def test_the_piece_dissolves_while_the_standards_are_made(self) -> None:
        for order, wanted in (("piece", ["m", "V_std", "A_x"]), ("standards", ["V_std", "m", "A_x"])):
            options = {"order": order}
            bench = Bench("metal-in-alloy", options, from_example("metal-in-alloy", options))
            report = self.finished(bench)
            self.assertEqual(bench.order("m", "V_std", "A_x"), wanted)
            # 25 of 50 mL diluted to 50: twice what the line says, in 50 mL, of 0.9127 g
            line = [(0.04, 0.187), (0.08, 0.369), (0.12, 0.561), (0.16, 0.742)]
            slope = sum((x - 0.1) * (y - 0.46475) for x, y in line) / sum((x - 0.1) ** 2 for x, _ in line)
            c = ((0.413 - 0.46475) / slope + 0.1) * 2
            self.assertAlmostEqual(report.results[0].value, c * 0.050 * 63.546 / 0.9127 * 100, 1)

    @practice(WAYS[9])
    def test_which_product_takes_more(self) -> None:
        """One titre each, by a colour chart; no concentration is asked. 18.4 mL and 12.6 mL: 46 % more."""
        options = {"asks": "volume", "indicator": "universal", "rough_trial": "no", "trials": "1"}
        reports = {}
        for name, end in (("A", "18.40"), ("B", "12.60")):
            read = [("V_s", None, None, "25.0"), ("V_start", 1, None, "0.00"), ("V_end", 1, None, end)]
            bench = Bench("acid-base-titration", options, read, {"pipette": "cylinder-25-b"})
            reports[name] = self.finished(bench)
            self.assertEqual([(r.key, r.unit) for r in reports[name].results], [("V_mean", "mL")])
            self.assertIn("pH_chart", [entry.key for entry in bench.entries])
        [pair] = beside(reports["A"], reports["B"], "B")
        self.assertIn("46 % more than B", pair.sentence)
        self.assertEqual(bind(method("acid-base-titration"), Sheet(options)).options["drops"], "5")

    @practice(WAYS[10])
    def test_a_tablet_with_the_indicator_in_before_it_boils(self) -> None:
        """(48.50 × 0.1000 − 12.73 × 0.1000) mmol of 0.3539 g: 10.107 mmol/g in the first portion."""
        options = {"weigh_by": "added", "fills": "self", "indicator_when": "before"}
        read = [r for r in from_example("back-titration", {"weigh_by": "added"}) if r[0] not in ("V_start", "V_end")]
        read += [("V_end", 1, None, "12.73"), ("V_end", 2, None, "13.82")]
        bench = Bench("back-titration", options, read)
        report = self.finished(bench)
        first = next(q.value for q in report.trials[0].quantities if q.key == "q")
        self.assertAlmostEqual(first, (48.50 - 12.73) * 0.1 / 0.3539, 3)
        self.assertEqual(bench.order("step.boil", "at_once", "m_flask"), ["m_flask", "at_once", "step.boil"])

    @practice(WAYS[10])
    def test_a_portion_that_leaves_hardly_any_acid_is_told_how_much_less(self) -> None:
        """4.600 mmol of 4.700 were used by 0.4900 g; 70 % of the acid is 3.29 mmol: 0.35 g."""
        options = {"weigh_by": "added", "fills": "self"}
        read = [("m_tablet", None, None, "1.3120"), ("m_flask", 1, None, "90.0000"), ("m_full", 1, None, "90.4900"),
                ("V_a_start", 1, None, "0.00"), ("V_a", 1, None, "47.00"), ("V_end", 1, None, "1.00")]  # fmt: skip
        bench = Bench("back-titration", options, read)
        [finding] = [f for f in bench.report.findings if f.code == "V-range"]
        self.assertIn("about 0.35", finding.do)

    @practice(WAYS[11])
    def test_one_piece_against_its_label(self) -> None:
        """60 mL warmed by 27.7 K is 1.662 kcal, of 1.4 g less 0.3 g: 1.51 kcal/g."""
        options = {"trials": "1"}
        read = [("m_several", None, None, "13.6"), ("V_w", 1, None, "60.0"), ("m_food", 1, None, "1.4"),
                ("T_start", 1, None, "21.6"), ("T_end", 1, None, "49.3"), ("m_rest", 1, None, "0.3")]  # fmt: skip
        bench = Bench("food-calorimetry", options, read, {"balance": "balance-0.1"})
        self.finished(bench)
        self.assertAlmostEqual(bench.value("e"), 0.060 * 27.7 / 1.1, 2)
        self.assertAlmostEqual(bench.value("w"), 0.060 * 27.7 / 1.1 * 1.36 / (160 / 24) * 100, 0)

    @practice(WAYS[12])
    def test_two_foods_in_kilojoules(self) -> None:
        """Whole or residue belongs to the food: one burned nearly to its end, the other left 0.31 g."""
        reports = []
        for burned in ("whole", "residue"):
            options = {"energies": "kJ", "burned_by": burned}
            reports.append(self.finished(Bench("food-calorimetry", options, from_example("food-calorimetry", options))))
        self.assertEqual({r.results[0].unit for r in reports}, {"kJ/g"})
        pair = next(line for line in beside(*reports, "Cashew") if line.key == "e")
        self.assertIn("less than Cashew", pair.sentence)

    @practice(WAYS[13])
    def test_cells_in_millivolts_worked_out_afterwards(self) -> None:
        """Copper against zinc 1072 mV of 1104 mV by the standard potentials: 2.9 % less."""
        options = {"own_asked": "later"}
        volts = ("421", "873", "1498", "449", "1072", "620")
        read: list[Read] = [("E", n, None, mv) for n, mv in enumerate(volts, 1)]
        bench = Bench("voltaic-cells", options, read, {"voltmeter": "multimeter-2000mv"})
        report = self.finished(bench)
        keys = [entry.key for entry in bench.entries]
        self.assertEqual(keys.count("E"), 6)
        self.assertFalse([key for key in keys if key.startswith("own")], "nothing interrupts the measuring")
        self.assertAlmostEqual(bench.value("d", 5), (1.072 / 1.1037 - 1) * 100, 0)
        self.assertEqual(report.results[0].unit, "V")

    @practice(WAYS[14])
    def test_wells_and_then_concentrations(self) -> None:
        """First the pairs, then one ion diluted tenfold: RT/zF · ln 10 at 22.4 °C is 29.33 mV for two electrons."""
        wells = Bench("voltaic-cells", {"vessel": "wells"}, from_example("voltaic-cells", {}))
        self.finished(wells)
        series = Bench("nernst", {}, from_example("nernst", {}))
        self.finished(series)
        result_out = next(r for r in series.report.results if r.key == "slope")
        self.assertLess(abs(abs(result_out.value) - 29.33), abs(result_out.expanded) + 0.5)

    @practice(WAYS[15])
    def test_a_pipette_marked_by_hand(self) -> None:
        """Ten deliveries at a mark of 1.00 mL, one gram taken for one millilitre: the mean mass is the volume."""
        options = {"density": "simple", "V_plan": "1.00", "deliveries": "10"}
        masses = ("0.95", "0.98", "0.97", "0.96", "0.99", "0.95", "0.97", "0.96", "0.98", "0.96")
        read: list[Read] = [("V_set", 1, None, "1.00")] + [("m_d", 1, n, m) for n, m in enumerate(masses, 1)]
        bench = Bench("volumetric-calibration", options, read, {"pipette": "hand-marked-3", "balance": "balance-0.01"})
        report = self.finished(bench)
        self.assertNotIn("T_water", [entry.key for entry in bench.entries])
        self.assertAlmostEqual(report.results[0].value, sum(map(float, masses)) / 10, 4)

    @practice(WAYS[16])
    def test_three_of_the_temperatures(self) -> None:
        options = {"T_plan": "22; 40; 60", "bath_is": "thermostat"}
        bench = Bench("rate-temperature", options, from_example("rate-temperature", {}, last=3))
        report = self.finished(bench)
        self.assertEqual(len(report.trials), 3)
        self.assertIn("E_a", [r.key for r in report.results])
        parts = bind(method("rate-temperature"), Sheet(options))
        self.assertEqual(parts.worded("{bath_words}"), "The thermostat at the planned one, tubes in it")

    @practice(WAYS[17])
    def test_equal_steps_to_forty_millilitres(self) -> None:
        """A curve whose jump lies at 28.25 mL: the second derivative finds it within half a step."""
        options = {"until": "volume", "V_to": "40", "trials": "1", "c_t.limit": "0.0001"}
        read: list[Read] = [("m_before", 1, None, "15.3310"), ("m_after", 1, None, "14.5310")]
        for n in range(81):
            v = 0.5 * n
            e = 460 + 25 * (v - 28.25) / 28.25 + (400 if v > 28.25 else 0) - (120 / (1 + 2 * v))
            read += [("V", 1, n + 1, f"{v:.2f}"), ("E", 1, n + 1, f"{e:.1f}")]
        bench = Bench("potentiometric-titration", options, read, {"voltmeter": "voltmeter-0.1mv"})
        report = self.finished(bench)
        self.assertEqual(len([entry for entry in bench.entries if entry.key == "V"]), 81)
        end = next(q.value for q in report.trials[0].quantities if q.key == "V_end")
        self.assertAlmostEqual(end, 28.25, delta=0.25)
        self.assertEqual(bench.order("V", "dissolved"), ["dissolved", "V"])

    @practice(WAYS[18])
    def test_two_salts_heated_until_nothing_changes(self) -> None:
        """3.074 g lost 1.109 g: 61.56 mmol of water to 12.31 mmol of the salt are 5.00, beside another salt."""
        copper = Bench("hydrate", {"M_salt": "CuSO4"}, from_example("hydrate", {}))
        report = self.finished(copper)
        self.assertAlmostEqual(copper.value("x"), (1.109 / 18.015) / (1.965 / 159.60), 2)
        self.assertEqual(len([entry for entry in copper.entries if entry.key == "m_heated"]), 3)
        white = Bench("hydrate", {"M_salt": "MgSO4"}, from_example("hydrate", {}))
        pairs = beside(report, self.finished(white), "white salt")
        self.assertIn("more than white salt", next(p.sentence for p in pairs if p.key == "x"))

    @practice(WAYS[19])
    def test_a_column_and_its_effluent(self) -> None:
        bench = Bench("ion-exchange-titration", {"c_t": "0.0502"}, from_example("ion-exchange-titration", {}))
        report = self.finished(bench)
        self.assertEqual(
            bench.order("V_end", "V_a", "neutral_after", "neutral_before"),
            ["neutral_before", "V_a", "neutral_after", "V_end"],
        )
        # a fifth of 0.7453 g sets three H⁺ for each formula free; 33.16 mL of 0.0502 mol/L in the first aliquot
        first = (
            next(q.value for q in report.trials[0].quantities if q.key == "M_t")
            if any(q.key == "M_t" for q in report.trials[0].quantities)
            else None
        )
        if first is not None:
            self.assertAlmostEqual(first, 0.7453 / 5 / (0.03316 * 0.0502 / 3), delta=0.5)

    @practice(WAYS[20])
    def test_one_absorbance(self) -> None:
        """0.413 on 80.6 L/mol · c + 0.002 is 5.099 mmol/L."""
        bench = Bench("beer-lambert", {"line": "given"}, [("A_x", 1, 1, "0.413")])
        self.finished(bench)
        self.assertAlmostEqual(bench.value("c", 1), (0.413 - 0.002) / 80.6, 6)
        self.assertNotIn("V_std", [entry.key for entry in bench.entries])


class EveryWayIsFollowed(TestCase):
    def test_each_way_has_a_test_and_each_test_a_way(self) -> None:
        self.assertEqual(sorted(FOLLOWED), sorted(WAYS))
