"""One change of a session at a time."""

from labs.models import Session


def lock(session: Session) -> None:
    """``session`` as it is now, nobody else's until the transaction ends."""
    session.refresh_from_db(from_queryset=Session.objects.select_for_update())
