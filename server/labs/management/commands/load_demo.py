"""Loads the demo into an empty database; does nothing where people exist already."""

from typing import Any

from django.core.management.base import BaseCommand
from django.db import transaction

from labs.demo.people import make_people
from labs.demo.sessions import make_sessions
from people.models import Person


class Command(BaseCommand):
    """manage.py load_demo"""

    help = __doc__ or ""

    @transaction.atomic
    def handle(self, *args: Any, **options: Any) -> None:
        """Loads it once."""
        if Person.objects.exists():
            self.stdout.write("People exist already: the demo was not loaded again.")
            return
        make_sessions(make_people())
        self.stdout.write("Demo loaded.")
