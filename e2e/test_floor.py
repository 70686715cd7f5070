"""The floor: the room live, needs in order, words that reach the bench."""

from playwright.sync_api import expect

from e2e.browser import PHONE, BrowserCase, done
from labs import actions
from labs.tests.room import WHEN, entry, signed_in, titrate, write


class Floor(BrowserCase):
    def test_a_reading_shows_without_a_touch(self) -> None:
        floor = self.sign_in(self.instructor, f"/sessions/{self.session.pk}/floor")
        expect(floor.get_by_text("Front of the room")).to_be_visible()
        titrate(signed_in(self.student), self.bench, ("0.24", "21.78"))
        expect(floor.get_by_text("21.54")).to_be_visible()

    def test_a_room_that_nothing_comes_from_does_not_look_quiet(self) -> None:
        floor = self.sign_in(self.instructor, f"/sessions/{self.session.pk}/floor")
        expect(floor.get_by_text("Front of the room")).to_be_visible()
        silent = "The room as it was at"
        expect(floor.get_by_text(silent)).to_have_count(0)
        floor.route("**/floor?*", lambda route: route.abort())
        floor.clock.install()
        floor.clock.fast_forward("00:13")
        expect(floor.get_by_text(silent)).to_be_visible()
        floor.unroute_all()
        expect(floor.get_by_text(silent)).to_have_count(0)

    def test_a_call_is_answered_and_the_answer_stands_at_the_bench(self) -> None:
        bench = self.at_bench()
        bench.get_by_role("button", name="Help").click()
        bench.get_by_label("What is the matter?").fill("Pink went away, keep going?")
        bench.get_by_role("button", name="Call", exact=True).click()
        floor = self.sign_in(self.instructor, f"/sessions/{self.session.pk}/floor")
        expect(floor.get_by_text("Bench 1 calls", exact=True)).to_be_visible()
        floor.get_by_role("button", name="Answer").click()
        floor.get_by_label("Message to the bench").fill("Yes, drop by drop.")
        floor.get_by_role("button", name="Send", exact=True).click()
        expect(floor.get_by_text("Bench 1 calls", exact=True)).to_have_count(0)
        expect(bench.get_by_text("Yes, drop by drop.")).to_be_visible()

    def test_an_impossible_trial_is_voided_from_the_floor(self) -> None:
        titrate(signed_in(self.student), self.bench, ("0.24", "21.78"), ("0.10", "23.50"))
        last = self.bench.entries.get(key="V_start", trial=2)
        write(
            signed_in(self.student), self.bench, entry("V_start", "23.90", 2, supersedes=str(last.pk), reason="Misread")
        )
        floor = self.sign_in(self.instructor, f"/sessions/{self.session.pk}/floor")
        floor.get_by_role("button", name="Void trial 2").click()
        expect(floor.get_by_text("Nobody. Walk round and look.")).to_be_visible()
        self.assertEqual(self.bench.entries.filter(key="void", trial=2).count(), 1)

    def test_the_projector_shows_no_names(self) -> None:
        floor = self.sign_in(self.instructor, f"/sessions/{self.session.pk}/floor")
        expect(floor.get_by_text("Sami")).to_be_visible()
        floor.get_by_role("button", name="Projector").click()
        expect(floor.get_by_text("Sami")).to_have_count(0)
        expect(floor.get_by_text("Needs you now")).to_have_count(0)


class Board(BrowserCase):
    def test_the_barometer_is_read_once_for_the_room(self) -> None:
        session = actions.plan_session(self.section, "gas-eudometer", "Gas", "", WHEN, 90, {}, {}, 2, [])
        actions.open_session(session)
        floor = self.sign_in(self.instructor, f"/sessions/{session.pk}/floor")
        floor.get_by_label("Barometer, hPa, for the room").fill("much")
        floor.get_by_role("button", name="Write", exact=True).click()
        expect(floor.get_by_text("Not written.")).to_be_visible()
        floor.get_by_label("Barometer, hPa, for the room").fill("1009.4")
        floor.get_by_role("button", name="Write", exact=True).click()
        expect(floor.get_by_text("1009.4 hPa")).to_be_visible()
        floor.get_by_label("Message to every bench").fill("Goggles stay on")
        floor.get_by_role("button", name="To all").click()
        expect(floor.get_by_text("At every bench:")).to_be_visible()
        bench = self.sign_in(self.student, f"/benches/{session.benches.get(number=1).pk}")
        expect(bench.get_by_text("Goggles stay on")).to_be_visible()
        expect(bench.get_by_text("written for the room by Ines")).to_be_visible()
        done(bench)
        expect(bench.locator("main h1")).not_to_have_text("Barometer")
        bench.get_by_role("button", name="1009.4").click()
        bench.keyboard.type("1011.0")
        bench.get_by_role("button", name="Misread").click()
        bench.get_by_role("button", name="Keep correction").click()
        expect(floor.get_by_text("Own reading at bench 1.")).to_be_visible()

    def test_what_a_bottle_says_is_written_for_the_room(self) -> None:
        floor = self.sign_in(self.instructor, f"/sessions/{self.session.pk}/floor")
        expect(floor.get_by_text("As planned: 0.1026 ± 0.0005 mol/L")).to_be_visible()
        floor.get_by_label("Titrant concentration, mol/L, for the room").fill("0.1052 ± 0.0002")
        floor.get_by_role("button", name="Write", exact=True).click()
        expect(floor.get_by_text("0.1052 ± 0.0002 mol/L")).to_be_visible()
        bench = self.sign_in(self.student, f"/benches/{self.bench.pk}")
        bench.get_by_role("button", name="0.1052 ± 0.0002").click()
        expect(bench.get_by_text("From its standardisation or its label.")).to_be_visible()
        bench.keyboard.type("0.0998 ")
        bench.get_by_role("button", name="plus or minus").click()
        bench.keyboard.type("0.0003")
        bench.get_by_role("button", name="Other…").click()
        bench.get_by_role("textbox", name="Why is it corrected?").fill("My bottle says so")
        bench.get_by_role("button", name="Keep correction").click()
        expect(bench.get_by_role("button", name="0.0998 ± 0.0003")).to_be_visible()
        expect(floor.get_by_text("Own reading at bench 1.")).to_be_visible()


class Phone(BrowserCase):
    def test_walking_about(self) -> None:
        titrate(signed_in(self.student), self.bench, ("0.24", "21.78"), ("0.10", "22.64"))
        write(signed_in(self.neighbour), self.other_bench, entry("call", "Which flask?"))
        floor = self.sign_in(self.instructor, f"/sessions/{self.session.pk}/floor", PHONE)
        expect(floor.get_by_text("Bench 2 calls")).to_be_visible()
        expect(floor.get_by_role("link", name="Bench 1")).to_have_count(0)
        floor.get_by_role("button", name="Room", exact=True).click()
        expect(floor.get_by_role("link", name="Bench 1")).to_contain_text("Sami")
        self.assertLessEqual(floor.evaluate("document.documentElement.scrollWidth"), PHONE[0])
        floor.get_by_role("button", name="To all").click()
        floor.get_by_label("Message to every bench").fill("Ten minutes left")
        floor.get_by_role("main").get_by_role("button", name="To all").click()
        expect(floor.get_by_text("At every bench:")).to_be_visible()
        floor.get_by_role("button", name="Go to").click()
        floor.get_by_role("menuitem", name="Sections").click()
        expect(floor.get_by_role("heading", name="Sections")).to_be_visible()


class Queue(BrowserCase):
    def test_only_calls_are_shown_when_that_is_wanted(self) -> None:
        titrate(signed_in(self.student), self.bench, ("0.24", "21.78"), ("0.10", "22.64"))
        write(signed_in(self.neighbour), self.other_bench, entry("call", "Which flask?"))
        floor = self.sign_in(self.instructor, f"/sessions/{self.session.pk}/floor")
        needs = floor.get_by_role("region", name="Needs you now")
        expect(needs.get_by_role("listitem")).to_have_count(2)
        needs.get_by_role("button", name="Calls").click()
        expect(needs.get_by_role("listitem")).to_have_count(1)
        expect(needs.get_by_text("Which flask?")).to_be_visible()
        needs.get_by_role("button", name="Calls").click()
        expect(needs.get_by_role("listitem")).to_have_count(2)


class Arranged(BrowserCase):
    def test_the_benches_stand_as_in_the_room(self) -> None:
        floor = self.sign_in(self.instructor, f"/sessions/{self.session.pk}/floor")
        first, second = (floor.get_by_role("link", name=f"Bench {number} ") for number in (1, 2))
        expect(first).to_be_visible()
        floor.get_by_role("button", name="Arrange").click()
        field = floor.get_by_label("The benches of Room 1, from the front")
        field.fill("2 2")
        floor.get_by_role("button", name="Keep").click()
        expect(floor.get_by_text("Bench 2 stands at two places.")).to_be_visible()
        field.fill("2 .\n. 1")
        floor.get_by_role("button", name="Keep").click()
        expect(field).to_have_count(0)
        box, two = first.bounding_box(), second.bounding_box()
        assert box and two
        self.assertGreater(box["x"], two["x"])
        self.assertGreater(box["y"], two["y"])
