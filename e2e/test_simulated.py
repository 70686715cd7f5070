"""A session without the room: tried alone at drawn instruments, worked by who missed it, played by a made-up class."""

import re
from datetime import timedelta

from playwright.sync_api import Page, expect

from e2e.browser import PHONE, BrowserCase
from e2e.served import until
from labs.models import Session
from notebook.models import Entry
from rehearsals.models import Act


class WithoutTheRoom(BrowserCase):
    def press(self, page: Page, name: str, times: int = 1) -> None:
        for _ in range(times):
            page.get_by_role("button", name=name, exact=True).click()

    def test_a_dry_run_from_the_first_step_to_a_reading(self) -> None:
        page = self.sign_in(self.instructor, f"/sessions/{self.session.pk}")
        self.press(page, "Dry run")
        page.wait_for_url(re.compile("/benches/"))
        expect(page.get_by_text("Simulated", exact=True)).to_be_visible()
        self.press(page, "Done, go on")
        status = page.get_by_role("status", name="What happened")
        self.press(page, "Fill it above zero")
        expect(status).to_contain_text("Air sits under the tap")
        self.press(page, "Let 1 mL run to waste")
        expect(status).to_contain_text("The tip is full")
        self.press(page, "Some drops to waste", 4)  # faster than the answers come: each is done once
        self.assertTrue(until(lambda: Act.objects.count() == 6, 10))
        session = Session.objects.exclude(simulated="").get()
        bench = session.benches.get()
        self.press(page, "Done, go on")
        expect(page.get_by_role("region", name=re.compile("pipette"))).to_be_visible()
        self.press(page, "Draw up past the mark")
        expect(status).to_contain_text("above the mark")
        page.keyboard.type("20.00")
        page.keyboard.press("Enter")
        self.assertTrue(until(lambda: bench.entries.filter(key="V_s", text="20.00").exists(), 10))

    def test_who_missed_it_gets_a_bench_and_finds_it(self) -> None:
        page = self.sign_in(self.instructor, f"/sessions/{self.session.pk}")
        page.get_by_role("group", name="Who missed it").get_by_label("Tova").check()
        self.press(page, "Give this student a bench each")
        expect(page.get_by_role("heading", name="Bottles, simulated")).to_be_visible()
        theirs = self.sign_in(self.neighbour, "/", PHONE)
        theirs.get_by_role("link", name="Bottles, simulated, bench 1").click()
        self.press(theirs, "Done, go on")
        self.press(theirs, "Fill it above zero")
        expect(theirs.get_by_role("status", name="What happened")).to_contain_text("Air sits under the tap")

    def test_a_made_up_class_fills_the_floor_and_is_thrown_away(self) -> None:
        page = self.sign_in(self.instructor, f"/sessions/{self.session.pk}")
        page.get_by_role("textbox", name="Benches", exact=True).fill("3")
        page.get_by_role("combobox", name="At work for").click()
        page.get_by_role("option", name="23 min").click()
        self.press(page, "Rehearse")
        page.wait_for_url(re.compile("/floor"))
        expect(page.get_by_text("Simulated: a made-up class")).to_be_visible()
        session = Session.objects.exclude(simulated="").get()
        self.assertTrue(all(bench.length > 0 for bench in session.benches.all()))
        written = Entry.objects.filter(bench__session=session)
        before = written.count()
        assert session.opened_at is not None
        Session.objects.filter(pk=session.pk).update(opened_at=session.opened_at - timedelta(hours=1))  # an hour later
        self.assertTrue(until(lambda: written.count() > before + 10, 30))  # the class goes on while one looks
        page.goto(f"{self.live_server_url}/sessions/{session.pk}")
        self.press(page, "Throw it away")
        self.press(page, "Yes, delete it for good")
        page.wait_for_url(re.compile("/$"))
        self.assertEqual(list(Session.objects.values_list("pk", flat=True)), [self.session.pk])
