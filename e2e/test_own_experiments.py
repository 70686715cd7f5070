"""An instructor's way through the screen: a method copied, changed, wrong, mended, tried, made ready, planned."""

import json

from playwright.sync_api import Page, expect

from e2e.browser import BrowserCase, give_file, save_plan
from experiments.models import Experiment
from labs.models import Session


class OwnExperiments(BrowserCase):
    def chapter(self, page: Page, name: str) -> None:
        page.get_by_role("navigation", name="Chapters").get_by_role("button", name=name).click()

    def says(self, page: Page, text: str) -> None:
        expect(page.get_by_text(text).first).to_be_visible()

    def test_from_a_copy_to_a_session(self) -> None:
        page = self.sign_in(self.instructor, "/methods/hydrate")
        page.get_by_role("button", name="Copy and change").click()
        self.says(page, "Holds, and is complete.")
        page.get_by_label("Title").fill("Crystals from our own kettle")
        expect(page.get_by_role("heading", level=1)).to_have_text("Crystals from our own kettle")

        # a unit that does not fit is told at once, with the formula; mended, it holds again
        self.chapter(page, "Computation")
        page.get_by_role("button", name="Water driven off").click()
        formula = page.get_by_label("Formula", exact=True)
        formula.fill("m_before * last(m_heated)")
        self.says(page, "gives mass^2, but g is mass")
        formula.fill("m_before - last(m_heated)")
        self.says(page, "Holds, and is complete.")

        # a check of its own, from the list of what can be checked
        self.chapter(page, "Checks")
        page.get_by_role("button", name="Add …").click()
        page.get_by_role("menuitem", name="Within A quantity").click()
        self.says(page, "there is no quantity “”")
        self.pick(page, "Quantity", "Water driven off")
        page.get_by_label("At least").fill("0.2")
        page.get_by_label("Why").fill("Less than that tells nothing.")
        page.get_by_label("What to do").fill("Take a larger portion.")
        self.says(page, "Holds, and is complete.")

        page.get_by_role("button", name="Try it out").click()
        page.get_by_role("button", name="Simulate a bench").click()
        self.says(page, "Every result came out, and nothing stops the bench.")
        expect(page.get_by_label("Crucible and lid, trial 1")).not_to_have_value("")
        page.get_by_label("What is new, in a few words").fill("Own kettle")
        page.get_by_role("button", name="Make it ready for sessions").click()
        self.says(page, "Version 1 is ready.")
        page.get_by_role("link", name="Plan a session with it").click()
        self.says(page, "Plan a session")
        page.get_by_label("Title, as the class will see it").fill("Kettle crystals")
        save_plan(page)
        self.says(page, "Kettle crystals")
        self.assertEqual(Session.objects.get(title="Kettle crystals").method, Experiment.objects.get().slug)

        # the class works by it
        page.get_by_role("button", name="Open the session").click()
        self.says(page, "Front of the room")
        bench = Session.objects.get(title="Kettle crystals").benches.get(team=self.student)
        student = self.sign_in(self.student, f"/benches/{bench.pk}")
        student.get_by_role("button", name="Done, go on").click()
        student.keyboard.type("31.482")
        self.says(student, "Keep.")
        student.keyboard.press("Enter")
        expect(student.locator("main h1")).to_have_text("Crucible, lid and hydrate, crucible 1")

    def pick(self, page: Page, label: str, option: str) -> None:
        page.get_by_role("combobox", name=label).click()
        page.get_by_role("option", name=option).click()

    def test_a_new_one_tells_what_it_lacks_and_its_run_becomes_its_example(self) -> None:
        page = self.sign_in(self.instructor, "/methods")
        page.get_by_role("button", name="Write a new one").click()
        self.says(page, "It has no question that it answers.")
        self.chapter(page, "Trial run")
        page.get_by_role("button", name="Lay out what is read").click()
        page.get_by_label("Mass, trial 1").fill("10.53")
        page.get_by_role("button", name="Work these readings").click()
        self.says(page, "Every result came out")
        page.get_by_role("button", name="Keep them as the worked example").click()
        expect(page.get_by_text("It has no worked example.")).to_have_count(0)
        page.reload()
        self.chapter(page, "Worked example")
        expect(page.get_by_label("Mass, trial 1")).to_have_value("10.53")

    def test_out_as_a_file_and_in_again_and_an_old_version_taken_up(self) -> None:
        page = self.sign_in(self.instructor, "/methods/nernst")
        with page.expect_download() as download:
            page.get_by_role("link", name="Save as a file").click()
        text = download.value.path().read_text(encoding="utf-8")
        page.goto(self.live_server_url + "/methods")
        give_file(page, "nernst.json", json.dumps(json.loads(text) | {"title": "Nernst, taken over"}))
        expect(page.get_by_role("heading", level=1)).to_have_text("Nernst, taken over")
        page.get_by_role("button", name="Try it out").click()
        page.get_by_role("button", name="Simulate a bench").click()
        page.get_by_role("button", name="Make it ready for sessions").click()
        self.says(page, "Version 1 is ready.")
        self.chapter(page, "What it is")
        page.get_by_label("Title").fill("Worse")
        self.says(page, "Version 2, draft.")
        self.chapter(page, "Versions")
        page.get_by_role("button", name="Take it up again").click()
        expect(page.get_by_role("heading", level=1)).to_have_text("Nernst, taken over")

    def test_a_file_that_is_no_method_is_answered_with_a_sentence(self) -> None:
        page = self.sign_in(self.instructor, "/methods")
        give_file(page, "shopping.json", '{"milk": 2}')
        self.says(page, "This is not a method")
        self.assertFalse(Experiment.objects.exists())
