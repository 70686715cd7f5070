"""A room's own arrangement: written once, kept for every session in it."""

from labs.tests.room import Room, planned


class Arrangement(Room):
    def put(self, text: str, session_id: int | None = None) -> tuple[int, str]:
        address = f"/api/sessions/{session_id or self.session.pk}/room"
        answer = self.as_(self.assistant).put(address, {"text": text}, "application/json")
        return answer.status_code, str(answer.json())

    def test_kept_by_the_room(self) -> None:
        self.assertEqual(self.put("2 . 1\n\n. 3 .")[0], 200)
        later = planned(self.section)
        arrangement = self.as_(self.instructor).get(f"/api/sessions/{later.pk}/floor").json()["arrangement"]
        self.assertEqual((arrangement["text"], arrangement["columns"]), ("2 . 1\n. 3 .", 3))
        self.assertEqual(
            [(p["bench"], p["row"], p["column"]) for p in arrangement["places"]], [(2, 1, 1), (1, 1, 3), (3, 2, 2)]
        )
        self.put("")
        self.assertEqual(
            self.as_(self.instructor).get(f"/api/sessions/{later.pk}/floor").json()["arrangement"]["columns"], 0
        )

    def test_the_floor_is_told_anew(self) -> None:
        client, address = self.as_(self.instructor), f"/api/sessions/{self.session.pk}/floor"
        stamp = client.get(address).headers["ETag"]
        self.put("1 2")
        self.assertEqual(client.get(address, headers={"If-None-Match": stamp}).status_code, 200)

    def test_refused_with_a_sentence(self) -> None:
        for text, sentence in (
            ("1 1", "two places"), ("1 x", "no place"), ("49", "no place"), ("²", "no place"), ("0", "no place"),
            (" ".join("." * 17), "at most"), ("1" * 1900, "no place"),
        ):  # fmt: skip
            status, told = self.put(text)
            self.assertEqual(status, 422, text[:20])
            self.assertIn(sentence, told)
        self.session.room = ""
        self.session.save()
        self.assertIn("room first", self.put("1 2")[1])
