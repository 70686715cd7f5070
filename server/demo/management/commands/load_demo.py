"""Loads the demo into an empty database; does nothing where people exist already."""

from typing import Any

from django.core.management import call_command
from django.core.management.base import BaseCommand, CommandParser
from django.db import transaction

from demo.own import make_own
from demo.people import make_people
from demo.sessions import make_sessions
from demo.shelf import make_shelf
from people.models import Person


class Command(BaseCommand):
    """manage.py load_demo"""

    help = __doc__ or ""

    def add_arguments(self, parser: CommandParser) -> None:
        """--migrate brings the database up to date first: one process instead of two at every start."""
        parser.add_argument("--migrate", action="store_true")

    @transaction.atomic
    def handle(self, *args: Any, **options: Any) -> None:
        """Loads it once."""
        if options["migrate"]:
            call_command("migrate", interactive=False, verbosity=0)
        if Person.objects.exists():
            self.stdout.write("People exist already: the demo was not loaded again.")
            return
        section = make_people()
        make_sessions(section)
        make_own(section.owner)
        make_shelf()
        self.stdout.write("Demo loaded.")
