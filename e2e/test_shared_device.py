"""A device that several people use: what one wrote waits for that one, and nobody else sends it."""

from playwright.sync_api import BrowserContext, expect

from e2e.browser import BrowserCase
from labs.tests.room import signed_in
from people.models import Person


class SharedDevice(BrowserCase):
    def be(self, context: BrowserContext, who: Person) -> None:
        cookie = signed_in(who).cookies["sessionid"].value
        context.add_cookies([{"name": "sessionid", "value": cookie, "url": self.live_server_url}])

    def test_entries_wait_for_the_person_who_wrote_them(self) -> None:
        self.bench.team.add(self.neighbour)
        page = self.at_bench()
        context = page.context
        # Somebody else signs in on another tab of this device; this tab still is Sami's.
        self.be(context, self.neighbour)
        page.keyboard.press("o")
        expect(page.get_by_label("Colour, gas, solid")).to_be_focused()
        page.keyboard.type("Turned pale")
        page.get_by_role("button", name="Keep note").click()
        expect(page.get_by_text("Kept here, not sent yet.")).to_be_visible()
        expect(page.get_by_text("Somebody else is signed in on this device now.")).to_be_visible()
        self.assertEqual(self.bench.entries.count(), 0)
        # The other one's own view says so, and sends only what is its own.
        page.reload()
        expect(page.get_by_text("One entry of Sami was not sent yet.")).to_be_visible()
        page.keyboard.press("o")
        page.get_by_label("Colour, gas, solid").fill("Pale indeed")
        page.get_by_role("button", name="Keep note").click()
        expect(page.get_by_text("Pale indeed")).to_be_visible()
        expect(page.get_by_text("All saved")).to_be_visible()
        self.assertEqual([(e.text, e.author.name) for e in self.bench.entries.all()], [("Pale indeed", "Tova")])
        # Back again, it goes out by itself.
        self.be(context, self.student)
        page.reload()
        expect(page.get_by_text("Turned pale")).to_be_visible()
        expect(page.get_by_text("oTurned pale")).to_have_count(0)  # the letter that opened the dialog is none of it
        expect(page.get_by_text("All saved")).to_be_visible()
        entries = [(e.text, e.author.name) for e in self.bench.entries.order_by("sequence")]
        self.assertEqual(entries, [("Pale indeed", "Tova"), ("Turned pale", "Sami")])
