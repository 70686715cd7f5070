"""An instructor saves a planned session; a colleague brings it in as a section of their own."""

from pathlib import Path

from playwright.sync_api import expect

from e2e.browser import BrowserCase
from labs.tests.room import planned
from people.models import Section


class ToAColleague(BrowserCase):
    def test_saved_looked_into_and_brought_in(self) -> None:
        plan = planned(self.section)
        page = self.sign_in(self.instructor, f"/sessions/{plan.pk}")
        with page.expect_download() as saved:
            page.get_by_role("link", name="save as a file").click()
        file = Path(saved.value.path())
        there = self.sign_in(self.stranger, "/sections")
        there.get_by_role("link", name="Bring in an archive").click()
        there.locator("input[type=file]").set_input_files({"name": "x.zip", "mimeType": "", "buffer": b"no zip"})
        expect(there.get_by_text("This is no archive of sections and sessions")).to_be_visible()
        there.locator("input[type=file]").set_input_files(
            {"name": "saved.zip", "mimeType": "application/zip", "buffer": file.read_bytes()}
        )
        expect(there.get_by_text("It is as this installation sealed it.")).to_be_visible()
        there.get_by_role("button", name="Bring it in").click()
        there.get_by_role("link", name="Group").click()
        expect(there.get_by_role("heading", name="Group")).to_be_visible()
        brought = Section.objects.get(owner=self.stranger)
        self.assertEqual([session.title for session in brought.sessions.all()], ["Bottles"])
        self.assertEqual(brought.sessions.get().benches.count(), 2)
