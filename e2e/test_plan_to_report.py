"""One session, from plan to report, through the screens of the instructor and a student."""

import io
import re

from playwright.sync_api import Page, expect
from pypdf import PdfReader

from e2e.browser import BrowserCase, done, reading, save_plan, trial, unfold
from labs.models import Session


class PlanToReport(BrowserCase):
    def test_the_whole_way(self) -> None:
        instructor = self.sign_in(self.instructor)
        instructor.get_by_role("link", name="Plan a session").first.click()
        self.plan(instructor)
        instructor.get_by_role("button", name="Open the session").click()
        expect(instructor.get_by_text("Front of the room")).to_be_visible()

        student = self.join()
        self.work(student)

        expect(instructor.get_by_text("21.54")).to_have_count(2)  # the floor follows by itself
        expect(instructor.get_by_text("Empty, rinse, waste")).to_be_visible()
        self.read_report(student)
        instructor.get_by_role("link", name="Bench 1").click()
        instructor.get_by_role("link", name="Report").click()
        expect(instructor.get_by_text(re.compile("from 0.1100 mol/L"))).not_to_have_count(0)

    def plan(self, page: Page) -> None:
        page.get_by_label("Experiment").click()
        page.get_by_role("option", name="Acid–base titration").click()
        page.get_by_label("Title, as the class will see it").fill("Vinegar of the canteen")
        page.get_by_label("Benches").fill("2")
        unfold(page, "When trials agree")
        page.get_by_label("Rough trial first").click()
        page.get_by_role("option", name="No", exact=True).click()
        expected = page.get_by_text(re.compile(r"^± .* %$")).first
        before = expected.inner_text()
        page.get_by_label("Burette", exact=True).click()
        page.get_by_role("option", name="Burette 50 mL, class A").click()
        expect(expected).not_to_have_text(before)  # a better burette: less uncertainty, at once
        page.get_by_role("button", name="Add a sample").click()
        page.get_by_label("Sample 1").fill("Bottle")
        page.get_by_label("Accepted concentration").fill("0.1100")
        save_plan(page)
        expect(page.get_by_role("heading", name="Vinegar of the canteen")).to_be_visible()

    def join(self) -> Page:
        page = self.context().new_page()
        page.goto(self.live_server_url)
        page.get_by_label("Section code").fill("green4")
        page.get_by_role("button", name="Find my section").click()
        page.get_by_label("Your name").click()
        page.get_by_role("option", name="Sami").click()
        page.get_by_label("PIN").fill("secret-word")
        page.get_by_role("button", name="Go to my bench").click()
        bench = Session.objects.get(title="Vinegar of the canteen").benches.get(number=1)
        page.wait_for_url(f"**/benches/{bench.pk}")
        return page

    def work(self, page: Page) -> None:
        done(page, 2)
        reading(page, "20.00", "Sample volume")
        done(page)
        # a typical mistake: the last digit forgotten, asked for, mended
        expect(page.locator("main h1")).to_have_text("Burette, start, trial 1")
        page.keyboard.type("0.2")
        expect(page.get_by_text("0.2 on a burette: 0.20?")).to_be_visible()
        page.keyboard.type("4")
        expect(page.get_by_text("Does your burette look like the drawing?")).to_be_visible()
        page.keyboard.press("Enter")
        page.get_by_role("button", name="The colour held for 30 s").click()
        reading(page, "21.78", "Burette, end, trial 1")
        trial(page, 2, "0.10", "21.64")
        expect(page.get_by_text("Two agree within 0.00 mL.")).to_be_visible()
        reading_own(page, "0.1077")
        for answer in ("The burette.", "It does not change the amount.", "Too high."):
            page.get_by_label("Your answer").fill(answer)
            page.get_by_role("button", name="Keep answer").click()
            expect(page.get_by_text(answer, exact=True)).to_have_count(0)

    def read_report(self, page: Page) -> None:
        page.get_by_role("link", name="Report").click()
        expect(page.get_by_role("heading", name="Uncertainty budget")).to_be_visible()
        expect(page.get_by_text("Your readings give the same.")).to_be_visible()
        expect(page.get_by_text(re.compile("from 0.1100"))).to_have_count(0)  # hidden until released
        with page.expect_download() as download:
            page.get_by_role("link", name="PDF").click()
        text = PdfReader(io.BytesIO(download.value.path().read_bytes())).pages[0].extract_text()
        self.assertIn("Vinegar of the canteen", text)
        self.assertIn("0.10770", text)


def reading_own(page: Page, text: str) -> None:
    """The student's own result has no drawn instrument and no verdict before it is kept."""
    expect(page.locator("main h1")).to_have_text("Own calculation")
    page.keyboard.type(text)
    page.keyboard.press("Enter")
