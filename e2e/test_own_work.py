"""A worksheet from the planner to the result, by keyboard alone where it is written."""

from playwright.sync_api import expect

from e2e.browser import BrowserCase, save_plan, unfold
from labs import actions
from labs.models import Session
from labs.tests.room import WHEN, signed_in, titrate

TITRES = (("0.22", "18.47"), ("1.05", "19.36"))  # 18.25 and 18.31 mL: 0.1026 · 18.28 / 20.00 = 0.09378 mol/L


class OwnWorkFirst(BrowserCase):
    def test_the_instructor_chooses_what_shows_when(self) -> None:
        page = self.sign_in(self.instructor, "/plan?method=acid-base-titration")
        unfold(page, "Own work")
        page.get_by_label("The computed lines show").click()
        page.get_by_role("option", name="all after the own result").click()
        page.get_by_label("A hint tells").click()
        page.get_by_role("option", name="right or not yet").click()
        page.get_by_role("checkbox", name="Delivered").uncheck()
        save_plan(page)
        expect(page.get_by_role("heading", name="Acid–base titration")).to_be_visible()
        planned = Session.objects.latest("pk").own_work
        self.assertEqual((planned["shows"], planned["hints"], planned["tries"]), ("after_own", "verdict", 3))
        self.assertEqual(planned["lines"][:2], ["V_mean", "c_s"])

    def test_line_by_line_by_keyboard_and_then_the_result_shows(self) -> None:
        asked = {"shows": "after_own", "hints": "slip", "lines": ["V_mean", "c_s"]}
        options = {"c_t": "0.1026", "rough_trial": "no", "dilution": "1", "z_s": "1"}
        session = actions.plan_session(
            self.section, "acid-base-titration", "Own", "1", WHEN, 90, options, {}, 1, [], own_work=asked
        )
        actions.open_session(session)
        bench = session.benches.get()
        titrate(signed_in(self.student), bench, *TITRES)
        page = self.sign_in(self.student, f"/benches/{bench.pk}")
        page.get_by_role("button", name="Work it out").click()
        waiting = page.get_by_text("The computed lines and the result show when all of your own stand.")
        expect(waiting).to_be_visible()

        expect(page.get_by_role("textbox", name="Mean titre, in mL")).to_be_focused()
        page.keyboard.type("18.92")  # (18.47 + 19.36) / 2: the start is not taken off
        page.keyboard.press("Enter")
        expect(page.get_by_text("the burette's final reading is used instead of the difference")).to_be_visible()
        page.get_by_role("button", name="Work it out").click()
        page.keyboard.press("ArrowDown")
        expect(page.get_by_role("textbox", name="Concentration of the sample, in mol/L")).to_be_focused()
        page.keyboard.type("9.71e-2 mol/L")  # 0.1026 · 18.92 / 20.00
        page.keyboard.press("Enter")
        page.get_by_role("button", name="Work it out").click()
        expect(page.get_by_text("Right from your own “mean titre”")).to_be_visible()
        expect(waiting).to_be_visible()

        page.keyboard.type("0.01828 L")
        page.keyboard.press("Enter")
        page.get_by_role("button", name="Work it out").click()
        page.keyboard.press("ArrowDown")
        page.keyboard.type("93.8 mmol/L")
        page.keyboard.press("Enter")
        expect(waiting).to_be_hidden()
        expect(page.get_by_role("heading", name="What limits the result")).to_be_visible()
        self.assertEqual(bench.entries.filter(key__startswith="own.").count(), 4)
