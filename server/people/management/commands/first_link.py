"""Prints the one-time link for the first instructor, or one that sets the password of somebody who is locked out."""

from typing import Any

from django.core.management.base import BaseCommand, CommandError, CommandParser

from config.errors import Refused
from people.links import DAYS, first_link
from people.models import Person, Role
from people.staff import reset


class Command(BaseCommand):
    """manage.py first_link [--address URL] [--for USERNAME]"""

    help = __doc__ or ""

    def add_arguments(self, parser: CommandParser) -> None:
        """Where the server is reached, and for whom."""
        parser.add_argument("--address", default="http://127.0.0.1:8000")
        parser.add_argument("--for", dest="username", default="", help="set the password of this member of the staff")
        parser.add_argument("--if-needed", action="store_true", help="say nothing where somebody keeps the accounts")

    def handle(self, *args: Any, **options: Any) -> None:
        """Prints it."""
        try:
            secret = _password_link(options["username"]) if options["username"] else first_link()
        except Refused as refused:
            if options["if_needed"]:
                return
            raise CommandError(str(refused.detail)) from refused
        self.stdout.write(f"Open once, within {DAYS} days:  {options['address'].rstrip('/')}/welcome/{secret}")


def _password_link(username: str) -> str:
    person = Person.objects.exclude(role=Role.STUDENT).filter(username__iexact=username).first()
    if person is None:
        raise Refused(f"Nobody of the staff signs in as “{username}”.")
    return reset(person, person)
