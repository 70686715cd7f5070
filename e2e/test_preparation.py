"""From the plan to the bottle: what is made, weighed, written back, ticked; turns moved; the week and the desk."""

import re

from playwright.sync_api import expect

from e2e.browser import BrowserCase
from labs import actions
from labs.models import Session
from labs.tests.room import WHEN, planned
from stock.models import Bottle


class Preparation(BrowserCase):
    def test_what_was_weighed_becomes_the_plans_number(self) -> None:
        session = planned(self.section)
        page = self.sign_in(self.instructor, "/stock")
        page.get_by_role("button", name="A bottle more").click()
        page.get_by_label("What is in it, as a formula").fill("NaOH")
        page.get_by_label("How much is in it").fill("500 g")
        page.get_by_label("How strong, or how pure").fill("97 %")
        page.get_by_role("button", name="Put it on the shelf").click()
        expect(page.get_by_text("Sodium hydroxide, 97 %")).to_be_visible()

        page.goto(f"{self.live_server_url}/sessions/{session.pk}")
        expect(page.get_by_text("0.4231 g of NaOH, 100 mL flask")).to_be_visible(timeout=20_000)
        page.get_by_role("button", name="Write what was weighed").click()
        page.get_by_label("Mass, g").fill("0,4")
        expect(page.get_by_text(re.compile("It is 0.097"))).to_be_visible()
        page.get_by_label("Mass, g").fill("4.231")  # ten times too much: said, and not made the plan's
        page.get_by_role("button", name="It is made").click()
        expect(page.get_by_text("the plan asks for 0.1026 mol/L")).to_be_visible()
        page.get_by_label("Mass, g").fill("0.4188")
        page.get_by_role("button", name="It is made").click()
        expect(page.get_by_text("measured 0.4188 g")).to_be_visible()
        session.refresh_from_db()
        self.assertAlmostEqual(float(session.options["c_t"]), 0.4188 * 0.97 / 39.997 * 10, delta=0.0002)
        self.assertEqual(Bottle.objects.get().amount, "499.6 g")
        with page.expect_response(re.compile(r"/ready$")):  # by the key: the plan's new number still moves the page
            page.get_by_role("checkbox", name="Burette 50 mL, class B").press("Space")
        page.reload()
        expect(page.get_by_role("checkbox", name="Burette 50 mL, class B")).to_be_checked()

        page.goto(f"{self.live_server_url}/week?day={WHEN:%Y-%m-%d}")
        expect(page.get_by_text("its preparation").first).to_be_visible()
        expect(page.get_by_role("checkbox", name="Sodium hydroxide, ").last).to_be_checked()

    def test_a_turn_is_moved_by_keys_and_stays(self) -> None:
        session = actions.plan_session(
            self.section, "rate-temperature", "Warm", "1", WHEN, 120, {"bath_places": "1", "baths": "2"}, {}, 3, []
        )
        page = self.sign_in(self.instructor, f"/sessions/{session.pk}")
        turn = page.get_by_role("button", name=re.compile(r"^40\s°C")).first
        turn.focus()
        for _ in range(3):
            page.keyboard.press("ArrowRight")
        page.keyboard.press("Enter")
        expect(page.get_by_text("pinned").first).to_be_visible()
        expect(page.get_by_role("button", name="Take all pins out")).to_be_visible()
        kept = Session.objects.get(pk=session.pk).turns
        [pin] = kept["pins"]
        self.assertIn({**pin, "end": pin["start"] + 12}, kept["placed"])
        page.get_by_role("button", name="Take all pins out").click()
        expect(page.get_by_role("button", name="Take all pins out")).to_be_hidden()
        page.get_by_role("button", name="Open the session").click()
        expect(page.get_by_text("Front of the room")).to_be_visible()
        orders = {bench.own_options["T_plan"] for bench in session.benches.all()}
        self.assertGreater(len(orders), 1)

    def test_a_result_of_the_desk_is_taken_into_a_plan(self) -> None:
        page = self.sign_in(self.instructor, "/desk?at=uncertainty")
        page.get_by_label("Inputs, one on each line").fill(
            "m = 0.4231 ± 0.0004 g\nM = 39.997 g/mol\nV = 100.0 ± 0.1 mL"
        )
        expect(page.get_by_text("From V")).to_be_visible()
        page.get_by_role("button", name="Keep it for a plan").click()
        page.get_by_role("button", name="Molar mass").click()
        expect(page.get_by_role("heading", name="Molar mass")).to_be_visible()  # the one before has a formula, too
        page.get_by_label("Formula").fill("H2SO4")
        expect(page.get_by_text("H₂SO₄: 98.0")).to_be_visible()
        page.goto(f"{self.live_server_url}/plan?method=acid-base-titration")
        page.get_by_label("Take from the stockroom or the desk").first.click()
        page.get_by_role("option", name="Desk: combine uncertainties").click()
        expect(page.get_by_label("Titrant concentration, mol/L")).to_have_value("0.10578")
