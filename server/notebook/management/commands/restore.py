"""Takes a backup into a new database, brings it up to date and verifies every record."""

from pathlib import Path
from typing import Any

from django.core.management import call_command
from django.core.management.base import BaseCommand, CommandError, CommandParser

from notebook.backups import BackupError, take_backup


class Command(BaseCommand):
    """manage.py restore FILE"""

    help = __doc__ or ""

    def add_arguments(self, parser: CommandParser) -> None:
        """Which backup."""
        parser.add_argument("file")

    def handle(self, *args: Any, **options: Any) -> None:
        """Takes it; ends with 1 where it cannot be taken, or where a record does not hold."""
        try:
            take_backup(Path(options["file"]))
        except BackupError as error:
            raise CommandError(str(error)) from error
        call_command("migrate", interactive=False, verbosity=0)
        call_command("verify_records", stdout=self.stdout)
