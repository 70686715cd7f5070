"""The front end's own unit tests, run with everything else."""

import subprocess

from django.conf import settings
from django.test import SimpleTestCase


class FrontEnd(SimpleTestCase):
    def test_vitest(self) -> None:
        tool = settings.ROOT / "web/node_modules/.bin/vitest"
        done = subprocess.run([str(tool), "run"], cwd=settings.ROOT / "web", capture_output=True, text=True)
        self.assertEqual(done.returncode, 0, done.stdout[-3000:] + done.stderr[-1000:])
        self.assertIn("passed", done.stdout)
