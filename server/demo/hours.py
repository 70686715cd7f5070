"""When the demo's sessions stand: on working days, at hours when people work, in the department's time zone."""

from datetime import datetime, timedelta

from django.utils import timezone

_SATURDAY = 5


def at_work(now: datetime, days: int, hour: int) -> datetime:
    """``hour`` o'clock, ``days`` from ``now`` (negative: before), moved back to a Friday if it is a weekend; a session
    still to come is moved on to the Monday instead.
    """
    day = timezone.localtime(now) + timedelta(days=days)
    over = day.weekday() - _SATURDAY
    if over >= 0:
        day += timedelta(days=2 - over if days > 0 else -1 - over)
    return day.replace(hour=hour, minute=0, second=0, microsecond=0)
