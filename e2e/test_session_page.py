"""A session's plan changed before it opens: what the benches are given, and who stands where."""

from playwright.sync_api import Locator, expect

from e2e.browser import BrowserCase, done, save_plan, unfold
from labs.models import Session
from labs.tests.room import planned
from people.models import Section


def drag(what: Locator, to: Locator) -> None:
    """Moves the mouse as a hand does: in more than one jump."""
    to.scroll_into_view_if_needed()
    what.hover()
    mouse, target = what.page.mouse, to.bounding_box()
    assert target is not None
    mouse.down()
    mouse.move(target["x"] + target["width"] / 2, target["y"] + target["height"] / 2, steps=8)
    mouse.up()


class SessionPage(BrowserCase):
    def test_a_sample_is_added_and_a_student_moved(self) -> None:
        session = planned(self.section)
        page = self.sign_in(self.instructor, f"/sessions/{session.pk}")
        page.get_by_role("button", name="Another sample").click()
        page.get_by_label("Sample 2, as its label says").fill("Jar")
        page.get_by_label("Accepted concentration of the sample, mol/L").nth(1).fill("0.2210")
        page.get_by_role("button", name="Keep the samples").click()
        expect(page.get_by_text("Who did what")).to_be_visible()  # kept, and in the log
        self.assertEqual([s.label for s in session.samples.order_by("pk")], ["Bottle", "Jar"])
        tova, first = page.get_by_role("button", name="Move Tova"), page.get_by_role("group", name="Bench 1")
        tova.press("Enter")
        page.get_by_role("menuitem", name="Bench 1").press("Enter")
        expect(first.get_by_role("button", name="Move Tova")).to_be_visible()
        self.assertEqual({p.name for p in session.benches.get(number=1).team.all()}, {"Sami", "Tova"})
        expect(page.get_by_text("1 bench has no team.")).to_be_visible()
        drag(tova, page.get_by_role("group", name="Bench 2"))
        expect(page.get_by_text("1 bench has no team.")).to_be_hidden()
        self.assertEqual({p.name for p in session.benches.get(number=2).team.all()}, {"Tova"})
        drag(page.get_by_role("button", name="Move Sami"), page.get_by_role("group", name="Absent"))
        expect(page.get_by_text("1 of 1 placed")).to_be_visible()
        self.assertEqual({p.name for p in session.absent.all()}, {"Sami"})

    def test_two_sections_together_with_questions_of_their_own(self) -> None:
        session = planned(self.section)
        Section.objects.create(name="Night", term="T", code="NIGHT2", owner=self.instructor)
        page = self.sign_in(self.instructor, f"/sessions/{session.pk}/plan")
        page.get_by_label("Together with").click()
        page.get_by_role("option", name="Night").click()
        page.keyboard.press("Escape")
        unfold(page, "Closing questions")
        page.get_by_label("One on each line").fill("Why?\n\n What next? ")
        page.get_by_role("button", name="Keep the changes").click()
        expect(page.get_by_text("Group and Night")).to_be_visible()
        session.refresh_from_db()
        self.assertEqual(session.questions, ["Why?", "What next?"])

    def test_an_accepted_value_that_is_no_number_is_refused_with_a_sentence(self) -> None:
        session = planned(self.section)
        page = self.sign_in(self.instructor, f"/sessions/{session.pk}")
        page.get_by_label("Accepted concentration of the sample, mol/L").fill("about a tenth")
        page.get_by_role("button", name="Keep the samples").click()
        expect(page.get_by_text("is not one number")).to_be_visible()
        self.assertEqual(session.samples.get().hidden.get().text, "0.3519")

    def test_a_remark_is_read_at_its_step(self) -> None:
        page = self.sign_in(self.instructor, f"/sessions/{self.session.pk}")
        page.get_by_label("Step", exact=True).click()
        page.get_by_role("option", name="Rinse and fill the burette").click()
        page.get_by_label("Remark, as students will read it").fill("The narrow tap fills better.")
        page.get_by_label("In this method from now on").check()
        page.get_by_role("button", name="Add the remark").click()
        expect(page.get_by_text("Rinse and fill the burette: from now on")).to_be_visible()
        bench = self.at_bench()
        expect(bench.get_by_text("The narrow tap fills better.")).to_have_count(0)
        done(bench)
        expect(bench.get_by_text("The narrow tap fills better.")).to_be_visible()
        page.get_by_role("button", name="End it").click()
        expect(page.get_by_text("None yet.")).to_be_visible()

    def test_planned_again_cancelled_and_planned_after_all(self) -> None:
        page = self.sign_in(self.instructor, f"/sessions/{self.session.pk}")
        page.get_by_role("link", name="Plan it again").click()
        expect(page.get_by_label("Title, as the class will see it")).to_have_value("Bottles")
        expect(page.get_by_label("Sample 1, as its label says")).to_have_value("Bottle")
        page.get_by_label("Title, as the class will see it").fill("Bottles, group B")
        save_plan(page)
        expect(page.get_by_role("heading", name="Bottles, group B")).to_be_visible()
        again = Session.objects.get(title="Bottles, group B")
        self.assertEqual((again.options["c_t"], again.options["rough_trial"], again.state), ("0.1026", "no", "planned"))
        page.get_by_role("button", name="Cancel the session, keep the plan").click()
        page.get_by_role("button", name="Plan it after all").click()
        expect(page.get_by_role("button", name="Open the session")).to_be_visible()
        page.get_by_role("button", name="Delete the plan").click()
        page.get_by_role("button", name="Yes, delete it for good").click()
        expect(page.get_by_role("heading", name="Running now")).to_be_visible()
        self.assertFalse(Session.objects.filter(pk=again.pk).exists())

    def test_the_planner_counts_for_the_class(self) -> None:
        page = self.sign_in(self.instructor, "/plan?method=hydrate")
        expect(page.get_by_text("What to weigh and prepare")).to_be_visible()
        expect(page.get_by_role("cell", name="30.0 g")).to_be_visible()
        page.get_by_label("Benches").fill("16")
        expect(page.get_by_role("cell", name="60.0 g")).to_be_visible()
        unfold(page, "What is prepared")
        page.get_by_label("Portion of salt, g").fill("1.5")
        expect(page.get_by_role("cell", name="30.0 g")).to_be_visible()
