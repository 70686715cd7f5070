"""Django's test runner over everything: the core, the command line, the server, the screens."""

from collections.abc import Sequence
from unittest import TestSuite

from django.conf import settings
from django.test.runner import DiscoverRunner


class Runner(DiscoverRunner):
    """Looks in core/tests, server and e2e when no label is given."""

    def build_suite(self, test_labels: Sequence[str] | None = None, **kwargs: object) -> TestSuite:
        labels = test_labels or [str(settings.ROOT / name) for name in ("core/tests", "server", "e2e")]
        return super().build_suite(labels, **kwargs)

    def setup_test_environment(self, **kwargs: object) -> None:
        """Passwords of tests need not resist guessing, and signing in should not take a second."""
        super().setup_test_environment(**kwargs)
        settings.PASSWORD_HASHERS = ["django.contrib.auth.hashers.MD5PasswordHasher"]
