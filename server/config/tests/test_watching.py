"""Whoever watches the server: alive, ready, numbers with a token, a line of log for each request without secrets."""

import json
from unittest.mock import patch

from django.core.cache import cache
from django.db import OperationalError
from django.test import Client, override_settings

from labs.tests.room import Room


class Watching(Room):
    def test_alive_and_ready(self) -> None:
        self.assertEqual((Client().get("/health").status_code, Client().get("/ready").json()), (200, {"ready": True}))
        cache.clear()
        with patch("config.health.MigrationExecutor", side_effect=OperationalError):
            answer = Client().get("/ready")
        self.assertEqual((answer.status_code, answer.json()["problems"]), (503, ["The database does not answer."]))
        with patch("config.health.connection.ensure_connection", side_effect=OperationalError):
            self.assertEqual(
                Client().get("/ready").status_code, 503, "asked each time, whatever is known of migrations"
            )
        cache.clear()
        with patch("config.health.MigrationExecutor.migration_plan", return_value=["one"]):
            self.assertIn("run migrate", Client().get("/ready").json()["problems"][0])

    def test_numbers_are_for_who_brings_the_token(self) -> None:
        self.as_(self.instructor).get(f"/api/sessions/{self.session.pk}")
        self.assertEqual(Client().get("/metrics").status_code, 404)
        with override_settings(METRICS_TOKEN="for the watcher"):
            self.assertEqual(Client().get("/metrics", headers={"Authorization": "Bearer guess"}).status_code, 404)
            told = Client().get("/metrics", headers={"Authorization": "Bearer for the watcher"}).content.decode()
        self.assertIn('address="api/sessions/<int:session_id>",method="GET",status="200"', told)

    def test_a_line_for_each_request_names_no_secret(self) -> None:
        with self.assertLogs("chromata.requests", "INFO") as told:
            answer = self.as_(self.instructor).get(
                f"/api/sessions/{self.session.pk}", headers={"X-Request-Id": "from-the-proxy-1"}
            )
            Client().get("/api/links/very-secret-part")
            Client().get("/api/join/GREEN4", headers={"X-Request-Id": "bad id\nforged: line"})
        lines = [json.loads(record.getMessage()) for record in told.records]
        self.assertEqual(answer.headers["X-Request-Id"], "from-the-proxy-1")
        self.assertEqual((lines[0]["id"], lines[0]["person"]), ("from-the-proxy-1", self.instructor.pk))
        self.assertEqual(lines[0]["session_id"], self.session.pk)
        for secret in ("very-secret", "GREEN4", "forged"):
            self.assertNotIn(secret, str(lines))
