"""Benches of kinetics and electrochemistry in the browser, each with one usual mistake mended."""

import base64

from playwright.sync_api import FilePayload, Page, expect

from e2e.browser import unfold
from e2e.following import BenchCase, looked_at, touch
from notebook.tests.test_photos import picture


class Rates(BenchCase):
    def test_a_carried_over_drop_and_a_run_that_differs(self) -> None:
        page, bench = self.bench_of("rate-temperature")

        def cloudy(page: Page) -> None:
            page.get_by_role("button", name="One is cloudy already").click()
            expect(page.get_by_role("button", name="Clear", exact=True)).to_be_visible()

        apart = looked_at("99.0", "Two runs of the same kind must lie within 10 %")
        self.follow(page, bench, {("clear", 1, None): cloudy, ("t", 1, 2): apart})
        expect(page.get_by_text("43.4").first).to_be_visible()
        expect(page.get_by_role("img", name="4 points. They scatter by s =").first).to_be_visible()

    def test_the_stopwatch_of_the_bench_runs_through_a_reload(self) -> None:
        page, bench = self.bench_of("rate-concentration")
        page.get_by_role("button", name="Done, go on").click()
        self.keep(page, "10.00")
        touch(page, bench, "Clear")
        for celsius in ("21.8", "21.9"):
            self.keep(page, celsius)
        page.get_by_role("button", name="Start the stopwatch").click()
        expect(page.get_by_role("timer")).to_be_visible()
        page.wait_for_timeout(1200)
        page.reload()
        expect(page.get_by_role("timer")).to_be_visible()
        page.locator("main input").first.focus()
        page.keyboard.press("Space")
        shown = page.locator("main input").first.input_value()
        self.assertRegex(shown, r"^\d+\.\d$")
        self.assertGreater(float(shown), 1.1)
        expect(page.get_by_role("button", name="Keep reading")).to_be_enabled()

    def test_the_order_of_a_reaction(self) -> None:
        page, bench = self.bench_of("rate-concentration")
        self.follow(page, bench, {("V_thio", 2, None): looked_at("8.0", "8.0 on a graduated pipette: 8.00?")})
        expect(page.get_by_text("1.03").first).to_be_visible()


class Plan(BenchCase):
    def test_shared_baths_are_drawn_and_too_short_a_session_is_told(self) -> None:
        page = self.sign_in(self.instructor, "/plan?method=rate-temperature")
        lanes = page.get_by_role("figure").filter(has_text="Bath 1")
        expect(lanes).to_contain_text("At room temperature")
        expect(lanes).to_contain_text("8 benches are through after 58 minutes")
        unfold(page, "What is prepared")
        page.get_by_label("Water baths").fill("4")
        expect(lanes).to_contain_text("Bath 3")  # a fourth would stand idle
        page.get_by_label("Benches at a bath").fill("1")
        page.get_by_label("Minutes").fill("60")
        expect(page.get_by_text("The turns alone take")).to_be_visible()


class Cells(BenchCase):
    def test_every_pair_of_metals_and_a_meter_over_its_range(self) -> None:
        page, bench = self.bench_of("voltaic-cells")

        def swapped(page: Page) -> None:
            page.get_by_role("button", name="Two were swapped").click()
            expect(page.get_by_role("button", name="Looked at each: yes")).to_be_visible()

        over = looked_at("1", "A 1 alone means over range.")
        self.follow(page, bench, {("metals", None, None): swapped, ("E", 3, None): over})
        expect(page.get_by_role("img", name="From above: Ag").first).to_be_visible()
        expect(page.get_by_role("img", name="Cathode over anode: silver over copper").first).to_be_visible()
        # the square of pairs: a touch takes a pair in hand again
        page.get_by_role("button", name="Red at Cu, black at Zn").click()
        expect(page.locator("main h1")).to_have_text("Cell potential, with its sign, pair 5")

    def test_a_photo_of_the_set_up_waits_without_network_and_is_on_the_record_after(self) -> None:
        page, bench = self.bench_of("voltaic-cells")
        for button in ("Done, go on", "Looked at each: yes", "Shows zero"):
            page.get_by_role("button", name=button).click()
        expect(page.locator("main h1")).to_have_text("Salt bridge")
        page.context.set_offline(True)
        page.locator("input[type=file]").first.set_input_files(
            FilePayload(name="bench.png", mimeType="image/png", buffer=base64.b64decode(picture((90, 60), "PNG")))
        )
        expect(page.get_by_text("A picture is kept here and on the way.")).to_be_visible()
        page.context.set_offline(False)
        expect(page.get_by_role("img", name="The set-up: half-cells, bridges, leads")).to_be_visible()
        page.goto(f"{self.live_server_url}/benches/{bench.pk}/report")
        shown = page.get_by_role("img", name="The set-up: half-cells, bridges, leads")
        expect(shown).to_be_visible()
        expect(shown).to_have_js_property("naturalWidth", 90)  # it is there before it is loaded

    def test_reversed_leads(self) -> None:
        page, bench = self.bench_of("nernst")
        self.follow(page, bench, {("E", 1, None): looked_at("-1.098", "Negative means that the leads are reversed")})
        expect(page.get_by_text("29.1").first).to_be_visible()
