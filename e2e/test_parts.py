"""Two parts of one piece of work, from the planner to the second result."""

from playwright.sync_api import expect

from e2e.browser import BrowserCase, save_plan, unfold
from labs import actions
from labs.models import Session
from labs.tests.room import WHEN, signed_in, titrate

TITRES = (("0.22", "18.47"), ("1.05", "19.36"))  # 18.25 and 18.31 mL: 0.1026 · 18.28 / 20.00 = 0.09378 mol/L
OPTIONS = {"c_t": "0.1026", "rough_trial": "no", "dilution": "1", "z_s": "1", "z_t": "1"}


class Parts(BrowserCase):
    def test_what_the_first_part_finds_the_second_works_with(self) -> None:
        first = actions.plan_session(
            self.section, "acid-base-titration", "Standardise", "1", WHEN, 90, OPTIONS, {}, 2, []
        )
        page = self.sign_in(self.instructor, "/plan?method=acid-base-titration")
        page.get_by_label("Title, as the class will see it").fill("Use it")
        page.get_by_role("spinbutton", name="Benches").fill("2")
        unfold(page, "Parts of one piece of work")
        page.get_by_label("Goes on with").click()
        page.get_by_role("option", name="Standardise").click()
        page.get_by_role("combobox", name="Titrant concentration").click()
        page.get_by_role("option", name="Concentration of the sample, each bench’s own").click()
        save_plan(page)
        unfold(page, "Chosen")
        expect(page.get_by_text("as “Standardise” finds it, each bench’s own")).to_be_visible()
        expect(page.get_by_role("navigation", name="Parts")).to_contain_text("1 · Standardise")
        second = Session.objects.latest("pk")
        self.assertEqual(second.takes, {"c_t": {"key": "c_s", "trial": None, "of": "bench"}})
        for session in (first, second):
            actions.open_session(session)

        there, here = (session.benches.get(team=self.student) for session in (first, second))
        page = self.sign_in(self.student, f"/benches/{here.pk}")
        found_before = page.get_by_role("region", name="Found before")
        expect(found_before).to_contain_text(
            "planned; “Standardise”, bench 1: “Concentration of the sample” is not found"
        )
        page.get_by_role("link", name="1 · Standardise").click()
        expect(page).to_have_url(f"{self.live_server_url}/benches/{there.pk}")
        titrate(signed_in(self.student), there, *TITRES)
        page.get_by_role("link", name="2 · Use it").click()
        expect(found_before).to_contain_text("0.09378 ±")
