"""One word to the whole room, written at every bench and every sample of it."""

from uuid import uuid4

from django.db import transaction
from django.utils import timezone

from config.errors import Refused
from labs.models import Session
from notebook.actions import Draft, write
from people.models import Person


@transaction.atomic
def say_to_all(session: Session, author: Person, text: str) -> None:
    """An entry of each record, under ``author``'s name. Refused as a whole, where one of them could not take it."""
    for bench in session.benches.select_for_update().order_by("pk"):
        [kept] = write(
            bench,
            author,
            [
                Draft(
                    uuid4(),
                    "message",
                    text,
                    trial=None,
                    index=None,
                    written_at=timezone.now(),
                    supersedes=None,
                    reason="",
                )
            ],
        )
        if not kept.kept:
            raise Refused(kept.problem, 422)
