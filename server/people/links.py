"""One-time links: how instructors and assistants come in without e-mail, and how a lost password is set anew."""

import secrets
from datetime import timedelta
from hashlib import sha256

from django.contrib.auth.password_validation import validate_password
from django.core.exceptions import ValidationError
from django.db import transaction
from django.utils import timezone

from config.errors import Refused
from people.department import set_department
from people.models import Link, Person, Role, Section

DAYS = 7


def make_link(
    role: str, made_by: Person | None, section: Section | None = None, person: Person | None = None,
    keeper: bool = False,
) -> str:  # fmt: skip
    """The secret part of a new link. Former links for the same person's password end."""
    if person is not None:
        person.links.filter(used_at=None).delete()
    secret = secrets.token_urlsafe(24)
    ends = timezone.now() + timedelta(days=DAYS)
    Link.objects.create(
        digest=_digest(secret), role=role, made_by=made_by, section=section, person=person, keeper=keeper, ends_at=ends
    )
    return secret


def first_link() -> str:
    """A link for the very first instructor, who keeps the accounts. Former ones end; Refused once there is somebody."""
    if Person.objects.filter(keeper=True, is_active=True).exists():
        raise Refused("Somebody keeps the accounts already; they can invite others.")
    Link.objects.filter(keeper=True, used_at=None).delete()
    return make_link(Role.INSTRUCTOR, None, keeper=True)


def link_of(secret: str) -> Link:
    """The link that ``secret`` opens; Refused with the reason where it opens nothing any more."""
    link = Link.objects.select_related("person", "section").filter(digest=_digest(secret)).first()
    if link is None:
        raise Refused("This link does not exist, or a newer one has taken its place. Ask for a new one.", 404)
    if link.used_at is not None:
        raise Refused("This link was used already: it opens once. Sign in, or ask for a new one.", 410)
    if link.ends_at < timezone.now():
        raise Refused(f"This link has ended; it was good for {DAYS} days. Ask for a new one.", 410)
    if link.made_by is not None and not link.made_by.is_active:
        raise Refused("Whoever made this link has left. Ask for a new one.", 410)
    return link


@transaction.atomic
def follow(secret: str, username: str, name: str, password: str, department: str, time_zone: str) -> Person:
    """Makes the account that the link promises, or sets the password it is for. Refused leaves the link as it was."""
    Link.objects.select_for_update().filter(digest=_digest(secret)).first()  # two at once: the second finds it used
    link = link_of(secret)
    person = link.person or Person(username=_free(username), name=name.strip(), role=link.role, keeper=link.keeper)
    if not person.name:
        raise Refused("Write your name as others should read it.", 422)
    _must_be_good(password, person)
    if link.keeper and not department.strip():
        raise Refused("Give the department a name.", 422)
    if link.keeper:
        set_department(department, time_zone)
    person.set_password(password)
    person.save()
    if link.section is not None:
        link.section.assistants.add(person)
    link.used_at = timezone.now()
    link.save(update_fields=["used_at"])
    return person


def _free(username: str) -> str:
    username = username.strip()
    try:
        Person.username_validator(username)
    except ValidationError:
        raise Refused("A name to sign in with holds letters, digits and @ . + - _ only, no spaces.", 422) from None
    if Person.objects.filter(username__iexact=username).exists():
        raise Refused(f"Somebody signs in as “{username}” already. Choose another.", 422)
    return username


def _must_be_good(password: str, person: Person) -> None:
    try:
        validate_password(password, person)
    except ValidationError as error:
        raise Refused(" ".join(error.messages), 422) from None


def _digest(secret: str) -> str:
    return sha256(secret.encode()).hexdigest()
