"""What the prep room prints and hands to other programs, read back by other libraries."""

import io
from datetime import timedelta

from ics import Calendar as OtherCalendar
from openpyxl import load_workbook
from pypdf import PdfReader

from labs.models import Session
from labs.tests.room import TRUE, WHEN, planned
from people.models import Person
from people.tokens import make_token
from preparation.tests.test_preparation import PELLETS, PrepRoom
from stock.models import Bottle


class Papers(PrepRoom):
    def file(self, who: Person, name: str, session: Session | None = None) -> tuple[int, bytes]:
        response = self.as_(who).get(f"/api/sessions/{(session or self.planned).pk}/{name}")
        return response.status_code, response.content

    def text(self, who: Person, name: str, session: Session | None = None) -> str:
        status, body = self.file(who, name, session)
        self.assertEqual(status, 200, body[:300])
        return "\n".join(page.extract_text() for page in PdfReader(io.BytesIO(body)).pages)

    def test_the_prep_sheet_says_what_is_made_in_which_order(self) -> None:
        Bottle.objects.create(**PELLETS)
        text = self.text(self.assistant, "prep-sheet.pdf")
        for words in (
            "Sodium hydroxide, 0.1026 mol/L",
            "Fill the 100 mL flask",
            "Danger: burns skin and eyes",
            "Burette 50 mL",
        ):
            self.assertIn(words, text.replace("\n", " "))

    def test_labels_with_their_hazard_for_the_stock_and_for_every_bench(self) -> None:
        stock, all_ = self.text(self.assistant, "labels.pdf"), self.text(self.assistant, "labels.pdf?each=1")
        self.assertEqual((stock.count("Sodium hydroxide"), all_.count("Sodium hydroxide")), (1, 3))
        self.assertIn("Danger: burns skin and eyes", stock)
        self.assertIn("bench 2", all_)

    def test_a_sheet_for_each_bench_with_blanks(self) -> None:
        text = self.text(self.assistant, "bench-sheets.pdf")
        for bench in self.planned.benches.all():
            self.assertIn(f"/benches/{bench.pk}", text)
        self.assertIn("Burette, end", text)

    def test_the_crib_is_for_who_may_see_accepted_values(self) -> None:
        """20.00 mL of 0.3519 mol/L of a monoprotic acid, diluted as the plan says, take so much 0.1026 mol/L base."""
        text = self.text(self.instructor, "crib.pdf")
        self.assertIn(TRUE, text)
        self.assertIn("Not for students", text)
        for who in (self.assistant, self.student):
            self.assertEqual(self.file(who, "crib.pdf")[0], 403)
        self.assertEqual(self.file(self.stranger, "crib.pdf")[0], 404)

    def test_no_other_paper_tells_an_accepted_value(self) -> None:
        for name in ("prep-sheet.pdf", "labels.pdf", "bench-sheets.pdf"):
            self.assertNotIn(TRUE, self.text(self.assistant, name))

    def test_the_shopping_list_holds_what_no_bottle_holds(self) -> None:
        status, body = self.file(self.assistant, "shopping.csv")
        self.assertEqual((status, "Sodium hydroxide,NaOH,0.423 g,none" in body.decode("utf-8-sig")), (200, True))
        Bottle.objects.create(**PELLETS)
        self.assertNotIn("Sodium hydroxide", self.file(self.assistant, "shopping.csv")[1].decode())
        Session.objects.filter(pk=self.planned.pk).update(title="=1+1")
        _, body = self.file(self.assistant, "shopping.xlsx")
        sheet = load_workbook(io.BytesIO(body)).active
        assert sheet is not None
        self.assertEqual(sheet["A1"].value, "What")
        self.assertNotIn("f", {cell.data_type for row in sheet.iter_rows() for cell in row})
        week = self.as_(self.assistant).get(f"/api/week/shopping.csv?day={WHEN:%Y-%m-%d}")
        self.assertEqual(week.status_code, 200)

    def test_the_calendar_is_read_by_another_parser(self) -> None:
        Session.objects.filter(pk=self.planned.pk).update(title="Acid; base, and\nsalt", room="Room 2")
        status, body = self.file(self.assistant, "session.ics")
        self.assertEqual(status, 200)
        events = {event.name: event for event in OtherCalendar(body.decode()).events}
        held = events["Acid; base, and\nsalt"]
        self.assertEqual((held.begin.datetime, held.location), (WHEN, "Room 2"))
        before = next(event for name, event in events.items() if name.startswith("Prepare"))
        self.assertEqual(before.end.datetime, WHEN)
        self.assertIn("Sodium hydroxide", before.description)

    def test_a_calendar_feed_by_a_token_in_its_address(self) -> None:
        secret = make_token(self.assistant, "calendar").secret
        Session.objects.filter(pk=self.planned.pk).update(starts_at=WHEN + timedelta(weeks=400))
        client = self.client
        response = client.get(f"/api/calendar/{secret}.ics")
        self.assertEqual((response.status_code, response["Content-Type"]), (200, "text/calendar; charset=utf-8"))
        self.assertEqual(len(OtherCalendar(response.content.decode()).events), 2)
        self.assertEqual(client.get("/api/calendar/nothing.ics").status_code, 404)
        self.assertNotIn(TRUE.encode(), response.content)
        self.assistant.is_active = False
        self.assistant.save()
        self.assertEqual(client.get(f"/api/calendar/{secret}.ics").status_code, 404)

    def test_wrong_names_and_sessions(self) -> None:
        for name in ("prep-sheet.exe", "../crib.pdf", "crib.pdf/"):
            self.assertEqual(self.file(self.instructor, name)[0], 404)
        other = planned(self.section)
        other.benches.all().delete()
        for name in ("prep-sheet.pdf", "labels.pdf", "crib.pdf", "shopping.xlsx", "session.ics"):
            self.assertEqual(self.file(self.instructor, name, other)[0], 200, name)
