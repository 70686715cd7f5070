"""What only has to be looked at: a barometer on the wall, a ruler laid beside, a wavelength that was set."""

from dataclasses import dataclass

from chromata_core.apparatus.things import Display, Thing
from chromata_core.workbench.station import Control, Station


@dataclass
class Wall(Station):
    """It stands where it stands."""

    high = 84.0

    def controls(self) -> list[Control]:
        return []

    def do(self, act: str) -> None:
        """Nothing is to be done with it."""

    def seen(self) -> str:
        value = self.true + self.off
        return self.on_display(value) if self.tool.digital else self.on_scale(value)

    def things(self) -> tuple[Thing, ...]:
        return (Display((30, 16), (140, 52), self.shows()),) if self.tool.digital else ()
