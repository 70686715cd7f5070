"""Django's test runner over everything: the core, the command line, the server, the screens."""

from collections.abc import Sequence
from typing import Any
from unittest import TestSuite

from django.conf import settings
from django.test.runner import DiscoverRunner, ParallelTestSuite

EVERYTHING = ("core/tests", "server", "e2e")


def _place(label: str) -> str:
    """A folder of the checkout, or of the server, by its path; anything else (a module, a test) as it is."""
    for folder in (settings.ROOT / label, settings.ROOT / "server" / label):
        if folder.is_dir():
            return str(folder)
    return label


class LongestFirst(ParallelTestSuite):
    """Classes that drive a browser or whole processes take minutes: no process is left alone with one at the end."""

    def __init__(self, subsuites: list[TestSuite], *args: Any, **kwargs: Any) -> None:
        super().__init__(sorted(subsuites, key=_short), *args, **kwargs)


def _short(suite: TestSuite) -> bool:
    """Whether the class of these tests is of another kind."""
    return not type(next(iter(suite))).__module__.startswith("e2e.")


class Runner(DiscoverRunner):
    """Looks in core/tests, server and e2e when no label is given."""

    parallel_test_suite = LongestFirst

    def build_suite(self, test_labels: Sequence[str] | None = None, **kwargs: object) -> TestSuite:
        return super().build_suite([_place(label) for label in test_labels or EVERYTHING], **kwargs)

    def setup_test_environment(self, **kwargs: object) -> None:
        """Passwords of tests need not resist guessing, and signing in should not take a second."""
        super().setup_test_environment(**kwargs)
        settings.PASSWORD_HASHERS = ["django.contrib.auth.hashers.MD5PasswordHasher"]
