"""Whatever is sent to whatever address, by anybody: never a 5xx, never a status that the API's description lacks.

schemathesis makes the requests from the description, well formed and malformed, against the live server. A longer run:
bin/bench any_request.
"""

import os
import subprocess
import sys
from pathlib import Path
from tempfile import TemporaryDirectory
from typing import Any

import yaml
from django.conf import settings
from django.test import LiveServerTestCase

from labs.tests.room import Furnished, furnish, signed_in, unhurried
from people.models import Person

SECONDS = os.environ.get("ANY_REQUEST_SECONDS", "10")
EXAMPLES = "200" if int(SECONDS) > 60 else "15"
CHECKS = "not_a_server_error,status_code_conformance,content_type_conformance,response_schema_conformance"


def described(known: dict[str, list[Any]]) -> dict[str, Any]:
    """The API's description with ids that exist among those to try, so that requests get past the first 404."""
    described: dict[str, Any] = yaml.safe_load((settings.ROOT / "docs/openapi.yaml").read_text())
    for operations in described["paths"].values():
        for operation in operations.values():
            for parameter in operation.get("parameters", []):
                if parameter["name"] in known:
                    parameter["schema"] = {"enum": known[parameter["name"]]}
    return described


class AnyRequest(Furnished, LiveServerTestCase):
    def setUp(self) -> None:
        furnish(self)
        unhurried(self)

    def run_as(self, who: Person | None) -> None:
        known: dict[str, list[Any]] = {
            "bench_id": [self.bench.pk, self.other_bench.pk, 10**6], "session_id": [self.session.pk, 10**6],
            "slug": ["acid-base-titration", "voltaic-cells", "nothing"], "code": ["GREEN4", "NO"],
            "person_id": [self.student.pk, 10**6], "name": ["readings.csv", "results.csv", "data.json", "report.pdf"],
        }  # fmt: skip
        headers = ["-H", f"Referer: {self.live_server_url}/"]
        if who:
            client = signed_in(who)
            client.get("/")
            cookies = "; ".join(f"{name}={morsel.value}" for name, morsel in client.cookies.items())
            headers += ["-H", f"Cookie: {cookies}", "-H", f"X-CSRFToken: {client.cookies['csrftoken'].value}"]
        # One worker: CPython 3.11 counts the depth of ast.parse for the whole interpreter, and two threads that parse
        # at once now and then end in a SystemError of the tool itself.
        with TemporaryDirectory() as folder:
            file = Path(folder) / "openapi.yaml"
            file.write_text(yaml.safe_dump(described(known)))
            # on a starved machine the first requests are not even made up in that time
            for seconds in (SECONDS, str(6 * int(SECONDS))):
                done = self.requested(file, seconds, headers)
                if "No test cases were generated" not in done.stdout:
                    break
        self.assertEqual(done.returncode, 0, done.stdout[-6000:] + done.stderr[-2000:])
        self.assertRegex(done.stdout, r"\d+ passed|No issues found")

    def requested(self, file: Path, seconds: str, headers: list[str]) -> "subprocess.CompletedProcess[str]":
        return subprocess.run(
                [Path(sys.executable).with_name("schemathesis"), "run", file, "--url", self.live_server_url,
                 "--checks", CHECKS, "--max-time", seconds, "--max-examples", EXAMPLES, "--seed", "7", "--no-color",
                 "--exclude-path", "/api/sign-out", "--suppress-health-check", "all", "--continue-on-failure",
                 "--request-timeout", "30", "--workers", "1", "--warnings", "off", *headers],
                capture_output=True, text=True, cwd=file.parent,
            )  # fmt: skip

    def test_nobody(self) -> None:
        self.run_as(None)

    def test_a_student(self) -> None:
        self.run_as(self.student)

    def test_the_instructor(self) -> None:
        self.run_as(self.instructor)
