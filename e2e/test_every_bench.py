"""Each method's bench in the browser, from first to last reading, with one usual mistake made and mended."""

from playwright.sync_api import Page, expect

from chromata_core.methods.registry import method
from e2e.browser import BrowserCase, give_file
from e2e.following import BenchCase, looked_at
from labs.tests.room import entry, filled, signed_in
from labs.tests.room import write as write_entries


class EveryBench(BenchCase):
    def test_molarity_series_with_the_balance_not_tared(self) -> None:
        page, bench = self.bench_of("molarity-series")
        self.follow(page, bench, {("m", 1, None): looked_at("14.43", "Perhaps the balance was not tared")})
        expect(page.get_by_text("0.2056").first).to_be_visible()
        expect(page.get_by_role("img", name="3 vessels: concentration against the plan.")).to_be_visible()
        self.assertEqual([e.text for e in bench.entries.filter(key="V_out")], ["100.0", "100.0", "100.0", "42.6"])

    def test_a_pipette_set_to_another_volume_than_planned(self) -> None:
        page, bench = self.bench_of("volumetric-calibration", {"V_plan": "0.50; 1.00", "deliveries": "4"})
        self.follow(page, bench, {("V_set", 1, None): looked_at("1.00", "Set to 1.00, planned is 0.50.")})
        expect(page.get_by_role("img", name="All within what is permitted.")).to_be_visible()
        self.assertEqual(bench.entries.filter(key="m_d").count(), 8)

    def test_back_titration_pink_at_once_begins_again_with_less(self) -> None:
        page, bench = self.bench_of("back-titration")

        def pink(page: Page) -> None:
            page.get_by_role("button", name="Pink at once").click()
            expect(page.get_by_text("This trial is void. Start again with less sample.").first).to_be_visible()

        def cooling(page: Page) -> None:
            page.get_by_role("button", name="Start the timer: Cooling").click()
            expect(page.get_by_role("button", name="Meanwhile: vial before, trial 3")).to_be_visible()
            page.get_by_role("button", name="Done, go on").click()
            expect(page.locator("main h1")).not_to_have_text("Cool, trial 2")  # the timer's entry is not the tick's

        readings = {("at_once", 1, None): pink, ("step.cool", 2, None): cooling}
        texts = [
            (key, 3, index, text) for key, trial, index, text in method("back-titration").example.readings if trial == 1
        ]
        with_third = {(key, trial, index): self.typed(text) for key, trial, index, text in texts if key not in _SEEN}
        self.follow(page, bench, {**readings, **with_third})
        expect(page.get_by_text("Two agree").first).to_be_visible()
        expect(page.get_by_text("10.379").first).to_be_visible()

    def test_a_curve_grows_and_a_volume_that_does_not_is_stopped(self) -> None:
        page, bench = self.bench_of("potentiometric-titration")
        self.follow(page, bench, {("V", 1, 3): looked_at("1.10", "A burette only gives")})
        expect(page.get_by_role("img", name="25 points; end point at 28.85 mL.")).to_be_visible()
        expect(page.get_by_text("98.2").first).to_be_visible()

    def test_a_logged_curve_is_taken_over(self) -> None:
        page, bench = self.bench_of("potentiometric-titration")
        readings = method("potentiometric-titration").example.readings
        curve = {(key, index): text for key, trial, index, text in readings if trial == 1 and index}
        entries = [entry("step.labels", "done", None), entry("m_before", "15.3310", 1)]
        entries += [entry("m_after", "14.5173", 1), entry("dissolved", "all", 1)]
        write_entries(signed_in(self.student), bench, *entries)
        expect(page.locator("main h1")).to_have_text("Burette, point 1, portion 1")
        text = "\n".join(("V;E", *(f"{curve['V', n]};{curve['E', n]}" for n in range(1, 27))))
        give_file(page, "run.csv", text)
        expect(page.get_by_role("img", name="26 points; end point at 28.85 mL.")).to_be_visible()

    def test_the_column_is_rinsed_until_it_is_neutral(self) -> None:
        page, bench = self.bench_of("ion-exchange-titration")

        def acid(page: Page) -> None:
            page.get_by_role("button", name="Still acid: rinse on").click()
            expect(page.get_by_text("Rinse with more water, then test again.").first).to_be_visible()

        self.follow(page, bench, {("neutral_before", 1, None): acid})
        expect(page.get_by_text("268.4").first).to_be_visible()
        looks = bench.entries.filter(key="neutral_before", trial=1).order_by("sequence")
        self.assertEqual([(e.text, e.reason) for e in looks], [("acid", ""), ("neutral", "Looked again")])

    def test_a_standard_weighed_with_the_readings_swapped(self) -> None:
        page, bench = self.bench_of("standardisation")
        self.follow(page, bench, {("m_after", 1, None): looked_at("18.2598", "The bottle did not get lighter")})
        expect(page.get_by_text("0.0997").first).to_be_visible()

    def test_a_precipitate_is_dried_to_constant_mass(self) -> None:
        page, bench = self.bench_of("precipitate-yield")
        self.follow(page, bench, {("m_dried", 1, 2): looked_at("34.840", "The mass went up by 0.719 g.")})
        expect(page.get_by_text("97.16").first).to_be_visible()
        expect(page.get_by_role("img", name="3 readings; the last changed by").first).to_be_visible()


_SEEN = ("at_once", "end_point")


class FromOneSessionToTheNext(BrowserCase):
    def test_a_titrant_is_stored_and_taken_over_by_a_plan(self) -> None:
        bench = filled(self.section, "standardisation")
        page = self.sign_in(self.instructor, f"/benches/{bench.pk}/report")
        page.get_by_label("What is written on the bottle").fill("Acid, jug 2")
        page.get_by_role("button", name="Store for later sessions").click()
        expect(page.get_by_text("Plans can choose it now.")).to_be_visible()
        page.get_by_role("link", name="Open the stockroom").click()
        expect(page.get_by_text("Acid, jug 2")).to_be_visible()
        page.goto(f"{self.live_server_url}/plan?method=acid-base-titration")
        page.get_by_label("Take from the stockroom or the desk").first.click()
        page.get_by_role("option", name="Acid, jug 2").click()
        expect(page.get_by_label("Titrant concentration, mol/L")).to_have_value("0.09973")

    def test_a_calibrated_pipette_is_chosen_in_a_plan(self) -> None:
        bench = filled(self.section, "volumetric-calibration")
        page = self.sign_in(self.instructor, f"/benches/{bench.pk}/report")
        page.get_by_label("What is written on the instrument").fill("Pipette 7")
        page.get_by_role("button", name="Store for later sessions").click()
        expect(page.get_by_text("Plans can choose it now.")).to_be_visible()
        page.goto(f"{self.live_server_url}/plan?method=volumetric-calibration")
        page.get_by_label("Pipette under test").click()
        page.get_by_role("option", name="Pipette 7").click()
        expect(page.get_by_text("Pipette 7").first).to_be_visible()

    def test_another_product_opens_when_the_trials_agree(self) -> None:
        page = self.sign_in(self.instructor, f"/sessions/{self.session.pk}")
        page.get_by_label("What the benches will see it called").fill("Bottle Q")
        trial = (("V_start", "0.00"), ("end_point", "held"))
        rows = [("V_s", "", "20.00")]
        rows += [(k, n, t) for n, end in (("1", "17.31"), ("2", "17.28")) for k, t in (*trial, ("V_end", end))]
        give_file(page, "q.csv", "\n".join(("key,trial,text", *(",".join(row) for row in rows))))
        expect(page.get_by_text("Bottle Q is ready.")).to_be_visible()
        bench = self.at_bench()
        expect(bench.get_by_text("Bottle Q opens for you once your trials agree.")).to_be_visible()
        entries = [entry("V_s", "20.00")]
        for number, end in ((1, "22.60"), (2, "22.64")):
            entries += [
                entry("V_start", "0.00", number),
                entry("end_point", "held", number),
                entry("V_end", end, number),
            ]
        write_entries(signed_in(self.student), self.bench, *entries)
        expect(bench.get_by_text("Open to compare")).to_be_visible()
        expect(bench.get_by_text("31 % more than Bottle Q: further apart than both are known to.")).to_be_visible()
