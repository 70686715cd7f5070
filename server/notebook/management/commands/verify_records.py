"""Verifies every record of the database against its seals; ends with 1 where one does not hold."""

from typing import Any

from django.core.management.base import BaseCommand, CommandError

from labs.models import Bench
from notebook.seals import check_record


class Command(BaseCommand):
    """manage.py verify_records"""

    help = __doc__ or ""

    def handle(self, *args: Any, **options: Any) -> None:
        """Says what was verified, and names every bench whose record does not hold."""
        begun = Bench.objects.filter(session__opened_at__isnull=False).select_related("session")
        checks = [
            (bench, check_record(bench, list(bench.entries.order_by("sequence")))) for bench in begun.order_by("pk")
        ]
        for bench, check in checks:
            if not check.whole:
                self.stdout.write(f"{bench.session.title}, {bench} (id {bench.pk}): {check.sentence}")
        broken = sum(not check.whole for _, check in checks)
        entries, photos = (sum(getattr(check, name) for _, check in checks) for name in ("entries", "photos"))
        sentence = (
            f"{len(checks)} records with {entries} entries and {photos} photos were verified; {broken} do not hold."
        )
        if broken:
            raise CommandError(sentence)
        self.stdout.write(sentence)
