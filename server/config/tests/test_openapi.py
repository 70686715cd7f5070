"""The API's description and the front end's types are in step with the server."""

import shutil
import subprocess
import tempfile
from io import StringIO
from pathlib import Path

from django.conf import settings
from django.core.management import call_command
from django.test import SimpleTestCase

MEND = "The API changed: run bin/schema and commit what it writes."


class InStep(SimpleTestCase):
    def test_the_description_is_what_the_server_says(self) -> None:
        out = StringIO()
        call_command("spectacular", "--fail-on-warn", stdout=out)
        self.assertEqual(out.getvalue().strip(), (settings.ROOT / "docs/openapi.yaml").read_text().strip(), MEND)

    def test_the_front_end_s_types_follow_from_the_description(self) -> None:
        tool = settings.ROOT / "web/node_modules/.bin/openapi-typescript"
        with tempfile.TemporaryDirectory() as folder:
            types = Path(folder) / "schema.d.ts"
            command = [str(tool), str(settings.ROOT / "docs/openapi.yaml"), "-o", str(types)]
            subprocess.run(command, check=True, capture_output=True, cwd=settings.ROOT / "web")
            self.assertEqual(types.read_text(), (settings.ROOT / "web/src/api/schema.d.ts").read_text(), MEND)
        self.assertTrue(shutil.which("node"))
