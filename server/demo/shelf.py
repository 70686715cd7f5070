"""The demo's shelf: bottles and counted pieces, one bottle past its date, one nearly empty. All invented."""

from datetime import timedelta

from django.utils import timezone

from stock.shelf import count, put_on_shelf

_BOTTLES = (
    ("Hydrochloric acid", "HCl", "2.5 L", "37 %", "1 %", "1.18 g/mL", 400, "acid cupboard"),
    ("Sodium hydroxide, pellets", "NaOH", "480 g", "97 %", "2 %", "", 900, "cupboard 3"),
    ("Sodium carbonate, dried", "Na2CO3", "210 g", "99.9 %", "0.1 %", "", 600, "desiccator"),
    ("Sodium thiosulfate", "Na2S2O3.5H2O", "24 g", "99.5 %", "0.5 %", "", 700, "cupboard 3"),
    ("Thiosulfate, last term", "Na2S2O3", "420 mL", "0.15 mol/L", "0.002 mol/L", "", -12, "dark shelf"),
    ("Copper(II) sulfate", "CuSO4.5H2O", "750 g", "99 %", "0.5 %", "", 1200, "cupboard 5"),
    ("Silver nitrate", "AgNO3", "18 g", "99.8 %", "0.2 %", "", 800, "locked drawer"),
)
_PIECES = {
    "burette-50-a": 6, "burette-50-b": 14, "pipette-20-a": 16, "balance-0.0001": 2, "balance-0.01": 3,
    "flask-250-a": 12, "thermometer-0.1": 12, "stopwatch-0.1s": 10,
}  # fmt: skip


def make_shelf() -> None:
    """Puts all of it there."""
    today = timezone.localdate()
    for name, formula, amount, strength, limit, density, days, place in _BOTTLES:
        put_on_shelf(
            {
                "name": name, "formula": formula, "amount": amount, "strength": strength, "limit": limit,
                "density": density, "until": (today + timedelta(days=days)).isoformat(), "place": place,
            }
        )  # fmt: skip
    for slug, pieces in _PIECES.items():
        count(slug, pieces, "prep room")
