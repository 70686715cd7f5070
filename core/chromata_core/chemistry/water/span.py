"""The range of temperatures in which these formulas hold."""

from chromata_core.errors import ChromataError


class OutOfRangeError(ChromataError):
    """A temperature outside a formula's range."""

    code = "out-of-range"


def celsius(value: float, low: float = 0.0, high: float = 100.0) -> float:
    """``value`` if it lies in the range, °C; OutOfRangeError with a sentence if not."""
    if not low <= value <= high:
        raise OutOfRangeError(
            f"{value:g} °C is outside {low:g} to {high:g} °C, where water’s properties are known here. "
            "Was the thermometer read in another unit?",
            value=value,
        )
    return value
