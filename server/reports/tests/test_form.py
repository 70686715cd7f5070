"""A session's empty form: read by a PDF library, with a place for everything that the bench would ask."""

import io

from pypdf import PdfReader

from chromata_core.methods.registry import method, methods
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Sheet
from chromata_core.telling.blank_form import blank_form
from labs.tests.room import TRUE, Room


class Form(Room):
    def test_it_holds_what_the_bench_asks_and_nothing_hidden(self) -> None:
        self.session.own_work = {"lines": ["V_mean", "c_s"]}
        self.session.save()
        address = f"/api/sessions/{self.session.pk}/form.pdf"
        answer = self.as_(self.assistant).get(address)
        self.assertEqual(answer["Content-Type"], "application/pdf")
        text = " ".join(" ".join(page.extract_text() for page in PdfReader(io.BytesIO(answer.content)).pages).split())
        for phrase in (
            "Burette, start, mL to 0.01 mL",
            "Trial 2",
            "The colour held for 30 s",
            "Mean titre",
            "Goggles on",
            "Rinse and fill a burette",
            "lowest point",
        ):
            self.assertIn(phrase, text)
        self.assertIn(method("acid-base-titration").questions[0][:30], text)
        self.assertNotIn(TRUE, text)
        self.assertEqual(self.as_(self.student).get(address).status_code, 403)
        self.assertEqual(self.as_(self.stranger).get(address).status_code, 404)

    def test_every_reading_of_every_method_has_its_blank(self) -> None:
        for slug, declared in methods().items():
            bound = bind(declared, Sheet(declared.example.options, declared.example.instruments))
            form = blank_form(bound)
            blanks = [*form.once, *form.each, *(column for series in form.series for column in series.columns)]
            with self.subTest(slug):
                self.assertEqual({blank.label for blank in blanks}, {bound.worded(part.label) for part in bound.parts})
                self.assertNotIn("{", str(form))
