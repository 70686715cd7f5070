"""What stands in the prep room beside what benches use: large flasks and cylinders, small and large pipettes; baths."""

from chromata_core.instruments.catalogue import CATALOGUE
from chromata_core.instruments.glassware import cylinder, flask, pipette
from chromata_core.instruments.instrument import Instrument

PREP_ROOM: dict[str, Instrument] = {
    piece.slug: piece
    for piece in (
        pipette("1", "A", "0.006"),
        pipette("2", "A", "0.006"),
        pipette("100", "A", "0.08"),
        flask("500", "0.20"),
        flask("1000", "0.30"),
        flask("2000", "0.50"),
        cylinder("10", "0.2", 1, "B", "0.2", "0.04"),
        cylinder("500", "5", 0, "B", "5.0", "1"),
        cylinder("1000", "10", 0, "B", "10", "2"),
    )
}
# What benches share and nothing is read on, by its kind.
EQUIPMENT = {"bath": "Water bath", "centrifuge": "Centrifuge", "hood": "Hood"}
# All instruments that can be counted in the stockroom.
PIECES: dict[str, Instrument] = {**CATALOGUE, **PREP_ROOM}
