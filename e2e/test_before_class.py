"""Before class: asked by the plan, answered at home, waited for at the bench, let in by the instructor."""

from playwright.sync_api import expect

from e2e.browser import BrowserCase, save_plan, unfold
from labs import actions
from labs.models import Session


class BeforeClass(BrowserCase):
    def test_from_the_plan_to_the_first_reading(self) -> None:
        actions.close_session(self.session)
        page = self.sign_in(self.instructor, "/plan?method=gas-eudometer")
        unfold(page, "Before class")
        page.get_by_role("button", name="Ask what is usual").click()
        for box in page.get_by_role("checkbox", name="What becomes of").all():
            box.uncheck()
        page.get_by_label("Questions of your own, one a line").fill("Why over water?")
        page.get_by_label("A bench reads nothing before its team is ready").check()
        save_plan(page)
        expect(page.get_by_text("0 of 2 are ready")).to_be_visible()
        planned = Session.objects.latest("pk")
        self.assertEqual(planned.prelab["tasks"], ["plan_line_1"])

        student = self.sign_in(self.student, "/")  # the bench of the closed session is not what comes next
        student.get_by_role("link", name="Get ready").click()
        student.get_by_label("Your number").fill("3.81e-2")  # 38 mL at 22 °C: 38.13 mg of magnesium
        student.keyboard.press("Enter")
        expect(student.get_by_text("Right.")).to_be_visible()
        expect(student.get_by_text("One is left.")).to_be_visible()

        actions.open_session(planned)
        bench = planned.benches.get(team=self.student)
        student.goto(f"{self.live_server_url}/benches/{bench.pk}")
        expect(student.get_by_text("Sami has work left from before class.")).to_be_visible()
        expect(student.get_by_text("Ribbon for the wanted volume")).to_have_count(0)
        student.get_by_role("link", name="Do it now").click()
        student.get_by_label("Your answer").fill("The gas can be measured there, and hardly dissolves.")
        student.get_by_role("button", name="Keep it").click()
        expect(student.get_by_text("You are ready.")).to_be_visible()
        student.goto(f"{self.live_server_url}/benches/{bench.pk}")
        expect(student.get_by_text("Ribbon for the wanted volume")).to_be_visible()  # what the plan aims at
        expect(student.get_by_text("work left from before class")).to_have_count(0)

        page.reload()
        expect(page.get_by_text("1 of 2 are ready")).to_be_visible()
        page.get_by_role("button", name="Let in").click()
        expect(page.get_by_role("button", name="Let in: take back")).to_be_visible()
        page.get_by_text("What they wrote: Why over water?").click()
        expect(page.get_by_text("hardly dissolves")).to_be_visible()
