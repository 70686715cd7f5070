"""What a department serves: no secret, no start; Django's own deployment checks are clean; headers everywhere."""

import os
import secrets
import subprocess
import sys
from unittest import TestCase as PlainTestCase

from django.conf import settings
from django.test import Client, TestCase, override_settings

PRODUCTION = {
    "CHROMATA_SECRET": secrets.token_urlsafe(60), "CHROMATA_HOSTS": "lab.example", "CHROMATA_HTTPS": "1",
    "CHROMATA_ORIGINS": "https://lab.example", "CHROMATA_PROXY": "127.0.0.1",
}  # fmt: skip


def manage(*words: str, **environment: str) -> "subprocess.CompletedProcess[str]":
    """manage.py in an environment that holds nothing of this checkout's own."""
    bare = {key: value for key, value in os.environ.items() if not key.startswith(("CHROMATA", "PG", "DJANGO"))}
    command = [sys.executable, str(settings.ROOT / "server/manage.py"), *words]
    return subprocess.run(command, env={**bare, **environment}, capture_output=True, text=True)


class Deployment(PlainTestCase):
    def test_django_s_own_checks_are_clean(self) -> None:
        done = manage("check", "--deploy", "--fail-level", "WARNING", CHROMATA_VAR="/nonexistent", **PRODUCTION)
        self.assertEqual(done.returncode, 0, done.stderr)
        self.assertIn("no issues", done.stdout)

    def test_without_a_secret_nothing_starts(self) -> None:
        done = manage("check", CHROMATA_VAR="/nonexistent")
        self.assertNotEqual(done.returncode, 0)
        self.assertIn("Set CHROMATA_SECRET to 50 random characters", done.stderr)


class Headers(TestCase):
    """After OWASP's page on secure headers (from memory)."""

    def test_every_answer_carries_them(self) -> None:
        for path in ("/", "/api/me", "/api/methods", "/static/index.html", "/nowhere", "/api/nowhere"):
            with self.subTest(path):
                headers = Client().get(path).headers
                for part in ("default-src 'self'", "base-uri 'none'", "form-action 'self'", "frame-ancestors 'none'"):
                    self.assertIn(part, headers["Content-Security-Policy"])
                self.assertEqual(headers["X-Content-Type-Options"], "nosniff")
                self.assertEqual(headers["Referrer-Policy"], "same-origin")

    def test_a_form_from_elsewhere_is_refused_in_words_that_a_screen_can_show(self) -> None:
        client = Client(enforce_csrf_checks=True)
        for path in ("/api/sign-in", "/api/join"):
            answer = client.post(path, {}, "application/json")
            self.assertEqual((answer.status_code, answer.headers["Content-Type"]), (403, "application/json"))
            self.assertIn("Load it again", answer.json()["problems"][0])

    @override_settings(SECURE_SSL_REDIRECT=True, SECURE_PROXY_SSL_HEADER=("HTTP_X_FORWARDED_PROTO", "https"),
                       SECURE_HSTS_SECONDS=60)  # fmt: skip
    def test_behind_a_proxy_that_speaks_https(self) -> None:
        self.assertEqual(Client().get("/api/me").status_code, 301)
        forwarded = Client().get("/api/me", headers={"X-Forwarded-Proto": "https"})
        self.assertEqual(forwarded.status_code, 204)
        self.assertIn("max-age=60", forwarded.headers["Strict-Transport-Security"])
