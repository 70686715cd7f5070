"""Writes the whole database, photos and all, into one file. Secrets are kept apart from it (docs/operations.md)."""

from pathlib import Path
from typing import Any

from django.core.management.base import BaseCommand, CommandError, CommandParser
from django.utils import timezone

from notebook.backups import BackupError, make_backup


class Command(BaseCommand):
    """manage.py backup [FILE or FOLDER]"""

    help = __doc__ or ""

    def add_arguments(self, parser: CommandParser) -> None:
        """Where to; into a folder it goes under the time of day."""
        parser.add_argument("target", nargs="?", default=".")

    def handle(self, *args: Any, **options: Any) -> None:
        """Makes it."""
        target = Path(options["target"])
        if target.is_dir():
            target /= f"chromata-{timezone.localtime():%Y-%m-%dT%H%M%S}.dump"
        try:
            make_backup(target)
        except (BackupError, OSError) as error:
            raise CommandError(str(error)) from error
        self.stdout.write(f"{target}, {target.stat().st_size:,} bytes. Keep the secret of the seals apart from it.")
