"""A student practises: a scale read wrongly and rightly, a fault found."""

import re

from playwright.sync_api import expect

from chromata_core.practice.fault_hunt import judge_hunt
from e2e.browser import BrowserCase
from practice.models import Skill


class Practising(BrowserCase):
    def test_a_scale_read_the_wrong_way_and_then_rightly(self) -> None:
        page = self.sign_in(self.student, "/practice")
        with page.expect_response(re.compile("/api/practice/scales/burette-50-b")) as asked:
            page.goto(f"{self.live_server_url}/practice?kind=scales&of=burette-50-b")
        at = asked.value.json()["at"]
        reading = page.get_by_label("Reading, mL")
        # half way between two numbers a whole one away is also what counting the wrong way gives
        away = 1 if abs(at % 1 - 0.5) > 0.1 else 10 if at < 25 else -10
        reading.fill(f"{at + away:.2f}")
        reading.press("Enter")
        expect(page.get_by_text("The divisions are right; look again at the number")).to_be_visible()
        reading.fill(f"{at:.2f}")
        reading.press("Enter")
        expect(page.get_by_text("1 of 2 right").first).to_be_visible()
        expect(page.get_by_role("button", name="Next one")).to_be_focused()
        page.keyboard.press("Enter")
        expect(reading).to_have_value("")
        self.assertEqual(Skill.objects.get().right, 1)

    def test_a_fault_is_found_by_what_it_does(self) -> None:
        page = self.sign_in(self.student, "/")
        with page.expect_response(re.compile("/api/practice/hunts/hydrate")) as asked:
            page.goto(f"{self.live_server_url}/practice?kind=hunts&of=hydrate")
        seed = int(asked.value.url.rpartition("=")[2])
        for suspect in asked.value.json()["suspects"]:
            verdict = judge_hunt("hydrate", seed, suspect["key"])
            page.get_by_role("button", name=suspect["label"]).click()
            expect(page.get_by_text(verdict.sentence[-30:])).to_be_visible()
            if verdict.right:
                break
        expect(page.get_by_role("button", name="Next one")).to_be_visible()
