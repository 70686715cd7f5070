"""A department from nothing, by its screens alone: first link, staff, section, roster, plan, slips, bench, release."""

import re

from playwright.sync_api import Page, expect
from pypdf import PdfReader

from e2e.browser import PHONE, BrowserCase, save_plan
from labs.models import Session
from labs.tests.room import planned
from people.links import first_link
from people.models import Person, Section

NAMES = "Okafor, Ada\nPelé\nNguyễn Thị Hương\nÅsa Lindström\nO’Brien-Núñez, María José\n李小龍\n" + "\n".join(
    f"Student {chr(65 + n)}elby" for n in range(24)
)
GOOD = "copper and brine 7"


class FromNothing(BrowserCase):
    def setUp(self) -> None:
        super().setUp()
        Person.objects.filter(pk=self.stranger.pk).update(is_active=False)  # whoever was there before does not matter

    def fill(self, page: Page, **texts: str) -> None:
        for label, text in texts.items():
            page.get_by_label(label.replace("_", " ")).first.fill(text)

    def test_first_link_to_released_results(self) -> None:
        page = self.context().new_page()
        page.goto(f"{self.live_server_url}/welcome/{first_link()}")
        page.get_by_label("Department").fill("Chemistry, north building")
        page.get_by_label("Time zone").fill("Helsinki")
        page.get_by_role("option", name="Europe/Helsinki").click()
        self.fill(page, Your_name="First One", Name_to_sign_in_with="first", Password=GOOD)
        page.get_by_role("button", name="Set up the department").click()
        expect(page.get_by_role("heading", name="Chemistry, north building")).to_be_visible()
        self.colleague(page)
        section = self.section_of_thirty(page)
        pins = self.slips(page, section)
        session = self.planned(page)
        student = self.joined(section, "Ada Okafor", pins["AdaOkafor"])
        expect(student.get_by_text("No session is open for you yet.")).to_be_visible()
        page.get_by_role("button", name="Open the session").click()
        expect(page.get_by_role("button", name="Close session")).to_be_visible()
        student.reload()
        expect(student.get_by_text("Bench 1", exact=False).first).to_be_visible()
        student.get_by_role("button", name="Done, go on").click()
        expect(student.get_by_text("All saved")).to_be_visible()
        page.get_by_role("button", name="+15 min").click()
        expect(page.get_by_text(re.compile("planned for"))).to_be_visible()
        page.get_by_role("button", name="Close session").click()
        page.get_by_role("button", name="Close: no more readings").click()
        page.get_by_role("button", name="Release results").click()
        expect(page.get_by_text("closed, results released")).to_be_visible()
        session.refresh_from_db()
        self.assertEqual((session.minutes, session.released), (135, True))
        self.assertEqual(session.starts_at.isoformat(), "2026-12-07T07:15:00+00:00")  # 9:15 in Helsinki

    def colleague(self, page: Page) -> None:
        page.get_by_role("button", name="Invite an assistant").click()
        link = page.get_by_text("/welcome/").inner_text()
        other = self.context().new_page()
        other.goto(link)
        self.fill(other, Your_name="Helping Hand", Name_to_sign_in_with="hand", Password=GOOD)
        other.get_by_role("button", name="Sign in").click()
        expect(other.get_by_role("heading", name="Nothing is running")).to_be_visible()
        again = self.context().new_page()
        again.goto(link)
        expect(again.get_by_text("This link was used already")).to_be_visible()

    def section_of_thirty(self, page: Page) -> Section:
        page.get_by_role("link", name="Sections").click()
        self.fill(page, Name="Group A", Term="Winter")
        page.get_by_role("button", name="Make the section").click()
        page.get_by_label("Paste names, one a line").fill(NAMES + "\nPelé\n=cmd()")
        page.get_by_role("button", name="Look at the list").click()
        expect(page.get_by_text("The same as line 2.")).to_be_visible()
        expect(page.get_by_text("This looks like a formula")).to_be_visible()
        page.get_by_role("button", name="Add 30 people").click()
        expect(page.get_by_text("30 students")).to_be_visible()
        page.get_by_role("checkbox", name="Helping Hand assists").check()
        page.get_by_role("button", name="Keep", exact=True).click()
        section = Section.objects.get(name="Group A")
        expect(page.get_by_role("button", name="Print 30 slips with PINs")).to_be_visible()
        return section

    def slips(self, page: Page, section: Section) -> dict[str, str]:
        page.get_by_role("button", name="Print 30 slips with PINs").click()
        with page.expect_download() as saved:
            page.get_by_role("link", name="Save the slips").click()
        text = "\n".join(sheet.extract_text() for sheet in PdfReader(saved.value.path()).pages)
        slips = text.split(f"/join/{section.code}")[:-1]
        pins = {}
        for slip in slips:
            name, pin = slip.partition("Group A")[0], re.search(r"\b(\d{4})\b", slip.partition("PIN")[2])
            assert pin is not None
            pins["".join(name.replace("\x00", " ").split())] = pin.group(1)  # letters stand apart in the PDF
        self.assertEqual(len(pins), 30)
        self.assertIn("AdaOkafor", pins)
        return pins

    def planned(self, page: Page) -> Session:
        page.get_by_role("link", name="Plan a session").click()
        page.get_by_label("Title, as the class will see it").fill("Bottles of acid")
        page.get_by_label("Starts").fill("2026-12-07T09:00")
        save_plan(page)
        expect(page.get_by_role("heading", name="Bottles of acid")).to_be_visible()
        expect(page.get_by_text("Mon 7 Dec, 09:00")).to_be_visible()
        page.get_by_role("link", name="Change the plan").click()
        page.get_by_label("Starts").fill("2026-12-07T09:15")
        page.get_by_role("button", name="Keep the changes").click()
        expect(page.get_by_text("Mon 7 Dec, 09:15")).to_be_visible()
        page.get_by_text("Who did what").click()
        page.get_by_role("button", name="Draw lots").click()
        expect(page.get_by_text("First One spread the teams by lot")).to_be_visible()
        page.get_by_role("button", name="In order of names").click()
        expect(page.get_by_text("First One spread the teams in order of names")).to_be_visible()
        first = page.get_by_role("group", name="Bench 1")
        expect(first.get_by_role("button", name="Move Ada Okafor")).to_be_visible()
        return Session.objects.get(title="Bottles of acid")

    def joined(self, section: Section, name: str, pin: str) -> Page:
        page = self.context(PHONE).new_page()
        page.goto(f"{self.live_server_url}/join/{section.code.lower()}")
        page.get_by_role("button", name="Find my section").click()
        page.get_by_label("Your name").click()
        page.get_by_role("option", name=name).click()
        page.get_by_label("PIN").fill(pin)
        page.get_by_role("button", name="Go to my bench").click()
        return page


class TwoAtOnePlan(BrowserCase):
    def test_the_second_is_told_and_keeps_what_was_written(self) -> None:
        pages = [self.sign_in(self.instructor) for _ in range(2)]
        session = planned(self.section)
        for page in pages:
            page.goto(f"{self.live_server_url}/sessions/{session.pk}/plan")
            expect(page.get_by_label("Title, as the class will see it")).to_have_value("Bottles")
        for page, title in zip(pages, ("First", "Second"), strict=True):
            page.get_by_label("Title, as the class will see it").fill(title)
            page.get_by_role("button", name="Keep the changes").click()
        expect(pages[1].get_by_text("Somebody changed this plan in the meantime")).to_be_visible()
        expect(pages[1].get_by_label("Title, as the class will see it")).to_have_value("Second")
        session.refresh_from_db()
        self.assertEqual(session.title, "First")
