"""A number as it is to be set."""

from dataclasses import dataclass


@dataclass(frozen=True)
class Shown:
    """A number as it is to be set: ``doubtful`` counts its last digits that are estimated or uncertain."""

    text: str
    doubtful: int
    unit: str

    @property
    def parts(self) -> tuple[str, str, str]:
        """The digits that are sure, their doubtful end, and a power of ten, which is neither."""
        number, times, power = self.text.partition(" ×")
        digits = [place for place, character in enumerate(number) if character.isdigit()]
        start = digits[-min(self.doubtful, len(digits))] if self.doubtful > 0 and digits else len(number)
        return number[:start], number[start:], times + power
