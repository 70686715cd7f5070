"""Whatever is sent, the answer is a sentence and never a 500."""

import json
import random
from typing import Any

from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st
from hypothesis.extra.django import TestCase as Examples

from labs.tests.room import Room

ODD: list[Any] = [
    None, "", "\x00", "🙂" * 30, -1, 0, 2**63, 2**70, 1.5, True, [], {}, [None], {"a": {}}, "9" * 5000, "../..", "NaN",
    "2026-13-45T99:00", "00000000-0000-0000-0000-000000000000", "=1+1", "<script>", "1e999",
]  # fmt: skip
GOOD: dict[str, dict[str, Any]] = {
    "/api/sign-in": {"username": "ines", "password": "x"},
    "/api/join": {"code": "GREEN4", "person": 1, "pin": "1"},
    "/api/predict": {"method": "hydrate", "options": {}, "instruments": {}},
    "/api/sessions": {
        "method": "hydrate", "section": 1, "title": "t", "room": "r", "starts_at": "2026-03-02T09:00:00Z",
        "minutes": 60, "benches": 2, "options": {"constant": "0.005"}, "instruments": {},
        "samples": [{"name": "A", "accepted": {"x": "5"}}],
    },
    "/api/sessions/{session}/state": {"action": "open"},
    "/api/benches/{bench}/try": {"key": "V_s", "text": "20.00", "trial": None, "index": None},
    "/api/benches/{bench}/entries": {
        "entries": [{
            "id": "7d444840-9dc0-11d1-b245-5ffdce74fad2", "key": "V_start", "text": "1.00", "trial": 1, "index": None,
            "written_at": "2026-03-02T09:00:00Z", "supersedes": None, "reason": "",
        }],
    },
}  # fmt: skip


def spoiled(body: Any, random_: random.Random) -> Any:
    """``body`` with one place, at any depth, put to something odd or left out."""
    if isinstance(body, dict) and body and random_.random() < 0.85:
        key = random_.choice(list(body))
        if random_.random() < 0.15:
            return {k: v for k, v in body.items() if k != key}
        return {**body, key: spoiled(body[key], random_)}
    if isinstance(body, list) and body and random_.random() < 0.85:
        return [spoiled(body[0], random_), *body[1:]]
    return random_.choice(ODD)


class NeverA500(Room, Examples):
    @settings(max_examples=120, deadline=None, suppress_health_check=list(HealthCheck))
    @given(st.sampled_from(sorted(GOOD)), st.integers(0, 2**32))
    def test_spoiled_bodies(self, address: str, seed: int) -> None:
        client = self.as_(self.instructor)
        client.raise_request_exception = False
        body = spoiled(GOOD[address], random.Random(seed))
        path = address.format(session=self.session.pk, bench=self.bench.pk)
        answer = client.post(path, json.dumps(body), "application/json")
        self.assertLess(answer.status_code, 500, (path, body))
        if answer.status_code >= 400:
            problems = answer.json()["problems"]
            self.assertTrue(problems and all(isinstance(problem, str) and problem for problem in problems))

    def test_bodies_that_are_no_json(self) -> None:
        client = self.as_(self.instructor)
        client.raise_request_exception = False
        for body in (b"", b"{", b"\xff\xfe", b"[" * 3000, b'"' + b"x" * 3_000_000 + b'"'):
            for address in GOOD:
                path = address.format(session=self.session.pk, bench=self.bench.pk)
                self.assertLess(client.post(path, body, "application/json").status_code, 500, path)

    def test_addresses_that_do_not_exist(self) -> None:
        client = self.as_(self.instructor)
        for path in (
            "/api/nothing", "/api/benches/999999", "/api/benches/99999999999999999999", "/api/sessions/0/floor",
            "/api/methods/nothing", "/api/benches/1/files/other.exe", "/api/join/%00%ff",
        ):  # fmt: skip
            with self.subTest(path):
                answer = client.get(path)
                self.assertIn(answer.status_code, (404, 422))
                self.assertTrue(answer.json()["problems"])

    def test_a_wrong_verb_is_answered_with_a_sentence(self) -> None:
        answer = self.as_(self.instructor).delete("/api/methods")
        self.assertEqual(answer.status_code, 405)
        self.assertTrue(answer.json()["problems"])
