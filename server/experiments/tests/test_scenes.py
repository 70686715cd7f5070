"""Drawings as they are sent: to everybody who is signed in, and nothing of anybody."""

from chromata_core.apparatus.scene_book import SCENES
from labs.tests.described import Described
from labs.tests.room import Room


class Scenes(Room):
    def test_every_drawing_is_sent_whole(self) -> None:
        client = self.as_(self.student)
        cards = client.get("/api/scenes").json()
        self.assertEqual([card["key"] for card in cards], list(SCENES))
        for card in cards[:6]:
            scene = client.get(f"/api/scenes/{card['key']}").json()
            self.assertEqual(len(scene["moves"]), card["moves"])
            self.assertTrue(all(move["shapes"] and move["text"] for move in scene["moves"]))

    def test_others_are_not_found_and_nobody_else_asks(self) -> None:
        self.assertEqual(self.as_(self.student).get("/api/scenes/nothing").status_code, 404)
        self.assertEqual(Described().get("/api/scenes").status_code, 403)

    def test_a_bench_says_which_drawing_belongs_to_a_step(self) -> None:
        steps = self.as_(self.instructor).get(f"/api/benches/{self.bench.pk}").json()["evaluation"]["steps"]
        self.assertEqual({step["key"]: step["scene"] for step in steps}["fill"], "burette-fill")
