"""Two products one after the other at one bench: planned, and worked with a tab for each."""

from playwright.sync_api import expect

from e2e.browser import BrowserCase, save_plan
from labs.models import Session


class TwoSamples(BrowserCase):
    def test_two_products_one_after_the_other(self) -> None:
        page = self.sign_in(self.instructor, "/plan?method=acid-base-titration")
        page.get_by_label("Title, as the class will see it").fill("Which takes more?")
        for number, name in enumerate(("Kettle A", "Kettle B"), 1):
            page.get_by_role("button", name="Add a sample" if number == 1 else "Another sample").click()
            page.get_by_label(f"Sample {number}, as its label says").fill(name)
        page.get_by_role("combobox", name="At each bench").click()
        page.get_by_role("option", name="All of them, one after the other").click()
        save_plan(page)
        page.get_by_role("button", name="Open the session").click()
        expect(page.get_by_text("Front of the room")).to_be_visible()

        session = Session.objects.get(title="Which takes more?")
        first, second = session.benches.filter(team=self.student).order_by("turn")
        student = self.sign_in(self.student, "/")
        expect(student).to_have_url(f"{self.live_server_url}/benches/{first.pk}")
        tabs = student.get_by_role("navigation", name="Samples")
        expect(tabs.get_by_role("link", name="Kettle A")).to_have_attribute("aria-current", "page")
        tabs.get_by_role("link", name="Kettle B").click()
        expect(student).to_have_url(f"{self.live_server_url}/benches/{second.pk}")
        expect(tabs.get_by_role("link", name="Kettle B")).to_have_attribute("aria-current", "page")

        # what is written at one of them is that sample's alone
        with student.expect_response(lambda answer: answer.url.endswith(f"/benches/{second.pk}/entries")):
            student.get_by_role("button", name="Done, go on").click()
        expect(student.get_by_role("status", name="Kept last")).to_contain_text("Goggles")
        tabs.get_by_role("link", name="Kettle A").click()
        expect(student.get_by_role("status", name="Kept last")).not_to_contain_text("Goggles")
        expect(student.locator("main h1")).to_have_text("Goggles, labels, glassware")
        self.assertEqual([first.entries.count(), second.entries.count()], [0, 1])
