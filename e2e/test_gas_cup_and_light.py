"""Benches of gas collection, calorimetry and spectrophotometry in the browser, each with one usual mistake mended."""

from playwright.sync_api import Page, expect

from chromata_core.methods.registry import method
from e2e.browser import give_file
from e2e.following import BenchCase, looked_at, offered
from labs.tests.room import entry, signed_in
from labs.tests.room import write as write_entries


class Gas(BenchCase):
    def test_a_ribbon_that_would_overrun_the_tube(self) -> None:
        page, bench = self.bench_of("gas-eudometer")
        self.follow(page, bench, {("m", 1, None): looked_at("0.0500", "The gas would run past the last mark")})
        expect(page.get_by_text("8.339").first).to_be_visible()
        expect(page.get_by_role("img", name="The air holds up everything in the tube").first).to_be_visible()

    def test_the_pure_metal_opens_the_way_to_the_alloy(self) -> None:
        page, bench = self.bench_of("alloy-by-gas")

        def leaking(page: Page) -> None:
            self.keep(page, "180")
            expect(page.get_by_text("The pure metal did not give what it must").first).to_be_visible()
            expect(page.locator("main h1")).to_have_text("Pure zinc, point 2")
            self.keep(page, "0.561")
            self.keep(page, "212")

        self.follow(page, bench, {("V_pure", None, 1): leaking})
        expect(page.get_by_text("9.3").first).to_be_visible()
        expect(page.get_by_role("img", name="Trial 2: 8.96 mmol, inside the").first).to_be_visible()


class Cup(BenchCase):
    def test_ice_that_is_left_voids_the_trial(self) -> None:
        page, bench = self.bench_of("heat-of-fusion")
        texts = {
            (key, index): text for key, trial, index, text in method("heat-of-fusion").example.readings if trial == 1
        }

        def left(page: Page) -> None:
            page.get_by_role("button", name="Ice is left").click()
            expect(page.get_by_text("Do another trial.").first).to_be_visible()

        third = {(key, 3, None): self.typed(texts[key, None]) for key in ("m_w", "T_start", "T_end", "m_all")}
        self.follow(page, bench, {("ice", 2, None): left, **third})
        expect(page.get_by_text("6.05").first).to_be_visible()
        expect(page.get_by_text("it lost heat, so the ice gained").first).to_be_visible()

    def test_a_piece_of_food_weighed_back_heavier(self) -> None:
        page, bench = self.bench_of("food-calorimetry")
        self.follow(page, bench, {("m_rest", 1, None): looked_at("1.58", "It did not get lighter")})
        expect(page.get_by_text("Share of the label").first).to_be_visible()

    def test_a_trace_is_drawn_back_and_a_logger_s_file_taken_over(self) -> None:
        page, bench = self.bench_of("heat-of-reaction")

        def from_a_file(page: Page) -> None:
            rows = [r for r in method("heat-of-reaction").example.readings if r[0] in ("t", "Temp") and r[1] == 2]
            pairs = zip(rows[::2], rows[1::2], strict=True)
            give_file(page, "logger.csv", "\n".join(f"{t[3]};{c[3]}" for t, c in pairs))
            expect(page.get_by_role("button", name="All of it in, nothing spilt")).to_be_visible()

        mistakes = {("T_b", 1, None): looked_at("21.55", "more decimals than a thermometer can tell")}
        self.follow(page, bench, {**mistakes, ("t", 2, 1): from_a_file})
        expect(page.get_by_role("img", name="Trial 2, 9 readings: 21.45 before").first).to_be_visible()
        expect(page.get_by_text("57.3").first).to_be_visible()


class Light(BenchCase):
    def test_an_unknown_too_dark_is_diluted(self) -> None:
        page, bench = self.bench_of("beer-lambert")

        def dilute(page: Page) -> None:
            expect(page.get_by_text("Dilute 1 in 2").first).to_be_visible()
            offered(page, "taken to dilute")
            self.keep(page, "10.00")
            self.keep(page, "50.00")

        self.follow(page, bench, {("A_x", 1, 2): dilute})
        expect(page.get_by_text("0.0255").first).to_be_visible()
        expect(page.get_by_text("The way back to the sample").first).to_be_visible()
        expect(page.get_by_role("img", name="4 standards; they scatter by s =").first).to_be_visible()

    def test_a_spectrum_is_taken_over_from_a_file(self) -> None:
        page, bench = self.bench_of("beer-lambert", {"wavelength_by": "spectrum"})
        write_entries(signed_in(self.student), bench, entry("step.labels", "done"))
        expect(page.locator("main h1")).to_have_text("Wavelength, point 1")
        rows = [r for r in method("beer-lambert").example.readings if r[0] in ("lam", "A_lam")]
        points = [(float(nm[3]), float(a[3])) for nm, a in zip(rows[::2], rows[1::2], strict=True)]
        give_file(page, "band.jdx", self.jdx(points))
        expect(page.get_by_role("img", name="8 points. The peak stands at 520 nm.")).to_be_visible()

    @staticmethod
    def jdx(points: list[tuple[float, float]]) -> str:
        """A file by the JCAMP-DX protocol (5.00, AFFN, XYPOINTS), written by hand."""
        head = (
            "TITLE=band", "JCAMP-DX=5.00", "DATA TYPE=UV/VIS SPECTRUM", "XUNITS=NANOMETERS", "YUNITS=ABSORBANCE",
            "XFACTOR=1", "YFACTOR=1", f"NPOINTS={len(points)}", "XYPOINTS=(XY..XY)",
        )  # fmt: skip
        return "\n".join((*(f"##{line}" for line in head), *(f"{x}, {y}" for x, y in points), "##END="))

    def test_copper_from_the_cuvette_back_to_the_piece(self) -> None:
        page, bench = self.bench_of("metal-in-alloy")

        def dilute(page: Page) -> None:
            offered(page, "taken to dilute")
            self.keep(page, "25.00")
            self.keep(page, "50.00")

        wrong = {("V_std", None, 2): looked_at("4.0", "4.0 on a graduated pipette: 4.00?")}
        self.follow(page, bench, {**wrong, ("A_x", 1, 2): dilute})
        expect(page.get_by_text("61.9").first).to_be_visible()

    def test_transmittances_of_a_saturated_solution(self) -> None:
        page, bench = self.bench_of("solubility-product")
        self.follow(page, bench, {("T_std", None, 1): looked_at("101.5", "more light than through the blank")})
        expect(page.get_by_text("1.08").first).to_be_visible()

    def test_no_current_without_acid_and_the_needle_s_own_scale(self) -> None:
        page, bench = self.bench_of("coulometry-iodine")

        def forgotten(page: Page) -> None:
            page.get_by_role("button", name="Not yet: add it now").click()
            expect(page.get_by_role("button", name="It is in")).to_be_visible()

        other = looked_at("0.41", "On that of the terminal in use the needle stands at 0.102")
        self.follow(page, bench, {("acid", 1, None): forgotten, ("I", 1, 1): other})
        expect(page.get_by_text("10.19").first).to_be_visible()
