"""The database's end of a connection: gone ones are noticed before a request works with them, without a question."""

import tempfile

from django.db import connections
from django.test import SimpleTestCase, TransactionTestCase

from config.files import Files


class HungUp(TransactionTestCase):
    def test_a_connection_the_server_ended_is_made_anew_and_a_living_one_kept(self) -> None:
        other = connections.create_connection("default")
        self.addCleanup(other.close)
        with other.cursor() as cursor:
            cursor.execute("select pg_backend_pid()")
            [number] = cursor.fetchone()
        other.health_check_enabled, other.health_check_done = True, False
        other.close_if_health_check_failed()
        self.assertIsNotNone(other.connection, "one that stands is kept")
        with connections["default"].cursor() as cursor:
            cursor.execute("select pg_terminate_backend(%s, 5000)", [number])
        other.health_check_done = False
        with other.cursor() as cursor:  # as a request begins
            cursor.execute("select pg_backend_pid()")
            self.assertNotEqual(cursor.fetchone(), (number,))


class CacheInFiles(SimpleTestCase):
    def test_files_do_not_pile_up(self) -> None:
        with tempfile.TemporaryDirectory() as folder:
            files = Files(folder, {"OPTIONS": {"MAX_ENTRIES": 20}})
            for number in range(400):
                files.set(str(number), number)
            self.assertEqual(files.get("399"), 399)
            self.assertLess(len(files._list_cache_files()), 300)
