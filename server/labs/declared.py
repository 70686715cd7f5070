"""The method of a session: the declaration it was opened with; before that, what its name means today."""

from chromata_core.declaration.questions import asking
from chromata_core.declaration.vocabulary import Method
from experiments.declared import kept_method, method_named
from labs.models import Session


def method_of(session: Session) -> Method:
    """What the session works by."""
    if session.declaration_id:
        return kept_method(session.declaration_id)
    return asking(method_named(session.method, [session.section.owner]), session.questions)
