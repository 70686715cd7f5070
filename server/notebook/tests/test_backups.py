"""A backup, taken into a new database: every seal holds, every result is the same, and nothing is overwritten."""

import io
import json
import os
import subprocess
import sys
import tempfile
from pathlib import Path

from django.conf import settings
from django.core.management import CommandError, call_command
from django.db import connection
from django.test import TransactionTestCase

from labs.tests.room import Furnished, entry, furnish, signed_in, titrate, write
from notebook.tests.test_photos import picture
from results.bench import bench_view

RESULTS = """
import json
from results.bench import bench_view
from labs.models import Bench
from people.models import Person
views = [bench_view(b, b.session.section.owner).evaluation.results for b in Bench.objects.order_by("pk")]
print(json.dumps([[r.line for r in view] for view in views]))
"""


class Backups(Furnished, TransactionTestCase):
    def setUp(self) -> None:
        furnish(self)
        student = signed_in(self.student)
        titrate(student, self.bench, ("0.24", "21.78"), ("0.10", "21.64"))
        write(student, self.bench, entry("photo", "The flask", image=picture((40, 30), "JPEG")))
        self.folder = Path(tempfile.mkdtemp())
        self.name = f"{connection.settings_dict['NAME']}_restored"
        self.sql(f'drop database if exists "{self.name}"')
        self.sql(f'create database "{self.name}"')
        self.addCleanup(self.sql, f'drop database if exists "{self.name}"')

    def sql(self, statement: str) -> None:
        with connection.cursor() as cursor:
            cursor.execute(statement)

    def there(self, *args: str) -> "subprocess.CompletedProcess[str]":
        """manage.py on the other database."""
        known = connection.settings_dict
        database = {"PGDATABASE": self.name, "PGUSER": known["USER"]}
        environment = {**os.environ, **database, "PYTHONPATH": f"{settings.ROOT}/core"}
        command = [sys.executable, "-W", "ignore", f"{settings.ROOT}/server/manage.py", *args]
        return subprocess.run(command, env=environment, capture_output=True, text=True)

    def test_taken_into_a_new_database(self) -> None:
        file = self.folder / "night.dump"
        call_command("backup", str(file), stdout=io.StringIO())
        with self.assertRaisesRegex(CommandError, "there already"):
            call_command("backup", str(file))
        taken = self.there("restore", str(file))
        self.assertEqual(taken.returncode, 0, taken.stderr)
        self.assertRegex(taken.stdout, r"2 records with \d+ entries and 1 photos were verified; 0 do not hold")
        told = json.loads(self.there("shell", "-v0", "-c", RESULTS).stdout)
        views = [bench_view(bench, self.instructor) for bench in (self.bench, self.other_bench)]
        here = [[result.line for result in view.evaluation.results] for view in views]
        self.assertEqual(told, here)
        self.assertTrue(here[0], "so that the test can fail")
        again = self.there("restore", str(file))
        self.assertIn("has people in it", again.stderr)

    def test_a_database_from_before_the_seals_keeps_everything(self) -> None:
        """The demo as commit b463583 had made it: 78 benches, 1,814 entries, none of them sealed with a key."""
        taken = self.there("restore", str(Path(__file__).parent / "data/before-seals.dump"))
        self.assertEqual(taken.returncode, 0, taken.stderr)
        self.assertRegex(taken.stdout, r"records with 1814 entries and \d+ photos were verified; 0 do not hold")
        results = json.loads(self.there("shell", "-v0", "-c", RESULTS).stdout)
        self.assertEqual(len(results), 78)
        self.assertGreater(sum(map(bool, results)), 50, "every bench is evaluated, and most have a result")

    def test_what_is_no_backup_empties_nothing(self) -> None:
        file = self.folder / "no.dump"
        file.write_bytes(b"not a dump")
        self.there("migrate", "-v0")
        refused = self.there("restore", str(file))
        self.assertNotEqual(refused.returncode, 0)
        self.assertNotIn("Traceback", refused.stderr)
        tables = "from django.db import connection; print(connection.introspection.table_names())"
        self.assertIn("people_person", self.there("shell", "-v0", "-c", tables).stdout)
