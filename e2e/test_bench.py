"""At the bench: corrections, rejected trials, network and sleep, two devices, three sizes."""

import re

from playwright.sync_api import Page, Route, expect

from e2e.browser import LAPTOP, PHONE, TABLET, BrowserCase, done, reading, trial


class Correcting(BrowserCase):
    def test_a_correction_asks_why_and_leaves_the_old_value_struck_through(self) -> None:
        page = self.at_bench()
        done(page, 2)
        reading(page, "20.00", "Sample volume")
        trial(page, 1, "0.24", "21.87")
        page.get_by_role("button", name="21.87").click()
        page.keyboard.type("21.78")
        expect(page.get_by_text("Keep.", exact=True)).to_be_visible()
        expect(page.get_by_role("button", name="Keep correction")).to_be_disabled()
        page.get_by_role("button", name="Mistyped").click()
        page.get_by_role("button", name="Keep correction").click()
        expect(page.locator("s", has_text="21.87")).to_be_visible()
        expect(page.get_by_role("cell", name="21.54")).to_be_visible()

    def test_keys_alone_reject_a_trial_and_show_the_keys(self) -> None:
        page = self.at_bench()
        done(page, 2)
        reading(page, "20.00", "Sample volume")
        done(page)
        page.keyboard.type("?")
        expect(page.get_by_role("dialog")).to_contain_text("reject this trial")
        page.keyboard.press("Escape")
        expect(page.get_by_role("dialog")).to_have_count(0)
        reading(page, "0.24", "Burette, start, trial 1")
        expect(page.locator("main h1")).to_have_text("Run in the titrant, trial 1")
        page.keyboard.type("r")
        page.get_by_label("What went wrong?").fill("Flask knocked over")
        page.get_by_role("button", name="Reject trial").click()
        expect(page.locator("main h1")).to_have_text("Sample and indicator, trial 2")
        expect(page.get_by_text("Trial 1 (void)")).to_be_visible()

    def test_upside_down_is_said_first_and_mended(self) -> None:
        page = self.at_bench()
        done(page, 2)
        reading(page, "20.00", "Sample volume")
        trial(page, 1, "0.10", "22.40")
        done(page)
        reading(page, "0.20", "Burette, start, trial 2")
        page.get_by_role("button", name="The colour held for 30 s").click()
        expect(page.locator("main h1")).to_have_text("Burette, end, trial 2")
        page.keyboard.type("23.56")
        expect(page.get_by_text("23.56 may be read upside down: 22.44?").first).to_be_visible()
        page.get_by_role("button", name="Write 22.44").click()
        page.get_by_role("button", name="Keep reading").click()
        expect(page.get_by_text("Two agree within 0.06 mL.")).to_be_visible()


class KeysAlone(BrowserCase):
    def test_a_whole_titration_of_three_trials_goes_with_digits_and_enter(self) -> None:
        page = self.at_bench()
        heading, kept = page.locator("main h1"), page.get_by_role("status", name="Kept last")

        def step(title: str, typed: str = "", shown: str = "Keep.") -> None:
            expect(heading).to_have_text(title)
            if typed:
                page.keyboard.type(typed)
                expect(page.get_by_text(shown, exact=True)).to_be_visible()
            page.keyboard.press("Enter")
            if typed:
                expect(kept).to_contain_text(f"{title} {typed}")

        step("Goggles, labels, glassware")
        step("Rinse and fill the burette")
        step("Sample volume", "20.00")
        for number, (start, end) in enumerate((("0.24", "21.78"), ("0.10", "21.62"), ("1.05", "22.60")), 1):
            step(f"Sample and indicator, trial {number}")
            step(f"Burette, start, trial {number}", start)
            expect(heading).to_have_text(f"Run in the titrant, trial {number}")
            if number == 3:  # the second choice, and back to the first; a digit alone writes nothing
                page.keyboard.press("2")
                expect(page.get_by_role("button", name="Overshot: too much colour")).to_be_focused()
                page.keyboard.press("1")
            expect(page.get_by_role("button", name="The colour held for 30 s")).to_be_focused()
            page.keyboard.press("Enter")
            expect(kept).to_contain_text("The colour held for 30 s")
            step(f"Burette, end, trial {number}", end)
            if number == 2:  # two agree: this one asks for a third all the same
                expect(heading).to_have_text("Own calculation")
                page.get_by_role("button", name="One more trial").click()
        expect(heading).to_have_text("Own calculation")
        expect(page.get_by_text("Three agree")).to_be_visible()
        self.assertEqual(self.bench.entries.filter(key="V_end").count(), 3)
        self.assertEqual(set(self.bench.entries.filter(key="end_point").values_list("text", flat=True)), {"held"})


class FastHands(BrowserCase):
    def test_digits_typed_while_nothing_has_the_focus_are_not_lost(self) -> None:
        page = self.at_bench()
        done(page, 2)
        expect(page.locator("main h1")).to_have_text("Sample volume")
        page.evaluate("document.activeElement.blur()")
        page.keyboard.type("20.00")
        expect(page.get_by_role("textbox")).to_have_value("20.00")


class NetworkAndSleep(BrowserCase):
    def test_what_is_written_without_network_is_kept_and_sent_once(self) -> None:
        page = self.at_bench()
        done(page, 2)
        expect(page.locator("main h1")).to_have_text("Sample volume")
        expect(page.get_by_text("All saved")).to_be_visible()
        page.context.set_offline(True)
        page.keyboard.type("20.00")
        page.keyboard.press("Enter")
        expect(page.get_by_text("No network: 1 kept here")).to_be_visible()
        page.get_by_role("button", name="Done, go on").click()
        expect(page.get_by_text("No network: 2 kept here")).to_be_visible()
        expect(page.get_by_text("20.00")).to_be_visible()
        page.keyboard.type("0.24")
        page.keyboard.press("Enter")
        expect(page.get_by_role("cell", name="0.24")).to_be_visible()  # what waits stands in the ledger already
        page.context.set_offline(False)
        expect(page.get_by_text("All saved")).to_be_visible(timeout=12_000)
        self.assertEqual(
            [e.key for e in self.bench.entries.all()], ["step.labels", "step.fill", "V_s", "step.portion", "V_start"]
        )

    def test_what_was_sent_while_something_else_was_on_the_way_is_not_asked_again(self) -> None:
        page = self.at_bench()
        held: list[Route] = []
        page.route(f"**/benches/{self.bench.pk}/entries", lambda route: held.append(route))
        done(page, 2)
        expect(page.locator("main h1")).to_have_text("Sample volume")
        lost: list[None] = []
        page.route(re.compile(rf"/api/benches/{self.bench.pk}$"), lambda route: lost.append(route.abort()))
        page.unroute(f"**/benches/{self.bench.pk}/entries")
        held[0].continue_()  # the second goes with it; then the network ends before the bench was read again
        while len(lost) < 5:  # one reading of the bench is tried three times
            page.wait_for_timeout(200)
        self.assertEqual(self.bench.entries.count(), 2)
        expect(page.locator("main h1")).to_have_text("Sample volume")

    def test_a_running_timer_goes_on_over_a_reload(self) -> None:
        page = self.at_bench()
        done(page, 2)
        reading(page, "20.00", "Sample volume")
        done(page)
        reading(page, "0.24", "Burette, start, trial 1")
        page.get_by_role("button", name="Start the timer").click()
        expect(page.get_by_role("button", name="Start again")).to_contain_text("0:2")
        page.reload()
        expect(page.get_by_role("button", name="Start again")).to_contain_text("0:2")

    def test_two_devices_at_one_bench_see_each_other_s_entries(self) -> None:
        laptop, other = self.at_bench(), self.at_bench(PHONE)
        done(laptop, 2)
        reading(laptop, "20.00", "Sample volume")
        expect(other.locator("main h1")).to_have_text("Sample and indicator, trial 1")


class Sizes(BrowserCase):
    def fits(self, page: Page, size: tuple[int, int]) -> None:
        self.assertLessEqual(page.evaluate("document.documentElement.scrollWidth"), size[0])
        for name in ("Keep reading", "7", "0"):
            box = page.get_by_role("button", name=name, exact=True).bounding_box()
            assert box
            self.assertGreaterEqual(min(box["width"], box["height"]), 44, name)
            self.assertLessEqual(box["y"] + box["height"], size[1], f"{name} is below the fold at {size}")
        field = page.get_by_role("textbox").bounding_box()
        assert field and field["y"] > 0

    def test_the_reading_in_hand_fits_laptop_tablet_and_phone(self) -> None:
        for size in (LAPTOP, TABLET, PHONE):
            with self.subTest(size):
                page = self.at_bench(size)
                if size == LAPTOP:
                    done(page, 2)
                expect(page.locator("main h1")).to_have_text("Sample volume")
                self.fits(page, size)

    def test_a_phone_enters_a_reading_by_the_keypad_and_finds_it_in_the_ledger(self) -> None:
        page = self.at_bench(PHONE, has_touch=True)
        done(page, 2)
        for key in "20.00":
            page.get_by_role("button", name=key, exact=True).tap()
        page.get_by_role("button", name="Keep reading").tap()
        page.get_by_role("button", name="Ledger").tap()
        expect(page.get_by_role("button", name="20.00")).to_be_visible()
