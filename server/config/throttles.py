"""How often one person may ask: far more than work needs, far less than would make others wait.

Counted in each worker, which is near enough. Put a narrower one on a view that works hard.
"""

from rest_framework.throttling import UserRateThrottle


class PerPerson(UserRateThrottle):
    """All requests of one person together."""

    scope, rate = "all", "1200/min"


class Writing(PerPerson):
    """Batches of entries."""

    scope, rate = "writing", "300/min"


class Trying(PerPerson):
    """What a reading being typed would be worth."""

    scope, rate = "trying", "600/min"


class Working(PerPerson):
    """Reports, previews and trial runs, which compute."""

    scope, rate = "working", "60/min"


class Practising(PerPerson):
    """Tasks of practice and their answers: each may take a tenth of a second."""

    scope, rate = "practising", "120/min"
