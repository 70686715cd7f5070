"""Clears what is over: sign-ins that ended, old wrong tries, links that were used or ended. Run it once a day."""

from datetime import timedelta
from typing import Any

from axes.models import AccessAttempt
from django.core.management import call_command
from django.core.management.base import BaseCommand
from django.db.models import Q
from django.utils import timezone

from people.models import Link


class Command(BaseCommand):
    """manage.py tidy"""

    help = __doc__ or ""

    def handle(self, *args: Any, **options: Any) -> None:
        """Clears it, and says how much."""
        now = timezone.now()
        call_command("clearsessions")
        tries, _ = AccessAttempt.objects.filter(attempt_time__lt=now - timedelta(days=1)).delete()
        links, _ = Link.objects.filter(Q(ends_at__lt=now) | Q(used_at__isnull=False)).delete()
        self.stdout.write(f"Ended sign-ins, {tries} old tries and {links} links were cleared.")
