"""The department's staff: who they are, and what who keeps the accounts may do with them."""

from django.db import transaction

from config.errors import Refused
from people.links import make_link
from people.models import Person, Role


def must_not_be_the_last(person: Person) -> None:
    """Somebody has to keep the accounts. All who do are locked, so that of two who let each other go one stays."""
    keepers = list(Person.objects.select_for_update().filter(keeper=True, is_active=True).order_by("pk"))
    if [keeper.pk for keeper in keepers] == [person.pk]:
        raise Refused("Nobody else keeps the accounts. Let somebody else keep them first.")


def reset(person: Person, by: Person) -> str:
    """The secret of a link with which ``person`` sets a new password. The old one holds until then."""
    if not person.is_active:
        raise Refused(f"The account of {person.name} has ended. Take that back first.")
    return make_link(person.role, by, person=person)


@transaction.atomic
def end(person: Person) -> None:
    """Ends an account: signed out at once, no way in; sections and records stay, and pass to who keeps the accounts."""
    must_not_be_the_last(person)
    person.is_active = False
    person.save(update_fields=["is_active"])
    person.links.filter(used_at=None).delete()


def take_back_end(person: Person) -> None:
    """Lets somebody in again who had left."""
    person.is_active = True
    person.save(update_fields=["is_active"])


def let_keep(person: Person) -> None:
    """``person`` keeps the accounts too."""
    if person.role != Role.INSTRUCTOR or not person.is_active:
        raise Refused("Only instructors keep the accounts.", 422)
    person.keeper = True
    person.save(update_fields=["keeper"])


@transaction.atomic
def no_longer_keep(person: Person) -> None:
    """``person`` keeps the accounts no longer."""
    must_not_be_the_last(person)
    person.keeper = False
    person.save(update_fields=["keeper"])
