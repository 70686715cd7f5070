"""The class after its session: from the picture to a bench that does not count, and marks that a student sees."""

from playwright.sync_api import expect

from e2e.browser import BrowserCase
from labs import actions
from labs.tests.room import entry, signed_in, titrate, write

TITRES = (("0.22", "18.47"), ("1.05", "19.36")), (("0.22", "18.57"), ("1.05", "19.46"))


class TheClass(BrowserCase):
    def setUp(self) -> None:
        super().setUp()
        for bench, titres in zip((self.bench, self.other_bench), TITRES, strict=True):
            titrate(signed_in(self.instructor), bench, *titres)
        write(signed_in(self.instructor), self.bench, entry("own.V_mean", "18.92"))
        actions.close_session(self.session)

    def test_a_bench_is_left_out_from_the_picture(self) -> None:
        page = self.sign_in(self.instructor, f"/sessions/{self.session.pk}/class")
        expect(page.get_by_text("Mean of 2 benches:").first).to_be_visible()
        expect(page.get_by_text("final reading is used instead of the difference")).to_be_visible()
        page.get_by_role("button", name="Bench 2").first.click()
        page.get_by_label("Why it should not count").fill("Their burette leaked.")
        page.get_by_role("button", name="Leave it out").click()
        expect(page.get_by_text("Mean of 1 bench:").first).to_be_visible()
        expect(page.get_by_text("Their burette leaked.")).to_be_visible()
        page.get_by_role("button", name="Without names").click()
        expect(page.get_by_role("heading", name="Bench by bench")).to_be_hidden()
        page.get_by_role("button", name="Without names").click()
        page.get_by_role("button", name="Let it count again").click()
        expect(page.get_by_text("Mean of 2 benches:").first).to_be_visible()

    def test_marks_from_the_rubric_to_the_student(self) -> None:
        page = self.sign_in(self.instructor, f"/sessions/{self.session.pk}/class")
        page.get_by_role("button", name="Change it").click()
        page.get_by_role("textbox", name="Name").fill("Short")
        page.get_by_role("textbox", name="Own work").fill("5")
        expect(page.get_by_text("The lines add up to 22.")).to_be_visible()
        page.get_by_role("button", name="Keep the rubric").click()
        expect(page.get_by_text("add up to 22, and the whole is 20")).to_be_visible()
        page.get_by_role("textbox", name="The whole").fill("22")
        page.get_by_role("button", name="Keep the rubric").click()
        page.get_by_role("button", name="Mark by it").last.click()
        page.get_by_role("button", name="1 ", expanded=False).first.click()
        page.get_by_role("textbox", name="Own work").fill("2.5")
        page.get_by_role("textbox", name="Note, which the students see").nth(5).fill("The idea is right.")
        page.keyboard.press("Enter")
        expect(page.get_by_text("Decided; proposed 0.")).to_be_visible()
        page.get_by_role("button", name="Release the marks").press("Enter")  # what was decided still moves it
        expect(page.get_by_role("button", name="Hide the marks again")).to_be_visible()
        page = self.sign_in(self.student, f"/benches/{self.bench.pk}/report")
        expect(page.get_by_role("heading", name="Marks")).to_be_visible()
        expect(page.get_by_text("The idea is right.")).to_be_visible()
        expect(page.get_by_text("Told when the results are released.")).to_be_visible()
