"""What presses on a gas over water, written once: the air of the room, the water's vapour, and a column if there is one."""

from chromata_core.declaration import cautions
from chromata_core.declaration.option_kinds import Choice, ChoiceOption, NumberOption, Option
from chromata_core.declaration.vocabulary import Quantity, Reading, Role, Step

SOURCE: tuple[Option, ...] = (
    ChoiceOption(
        "p_source", "Pressure of the air from",
        (
            Choice("room", "A barometer or sensor in the room", words={"p_how": "Read the barometer on the wall."}),
            Choice("report", "A weather report, reduced to sea level",
                   words={"p_how": "Take the nearest station's value; it is brought up to your altitude."}),
        ),
        "room", "A weather report is usually reduced to sea level and needs your altitude.",
    ),
    NumberOption("altitude", "Altitude of the room", "100", "m", "H", "Above sea level, from a map.", "10", "normal95",
                 "Altitude", low="-400", high="4000", when={"p_source": "report"}),
)  # fmt: skip

BAROMETER = Role("barometer", "Barometer", ("barometer", "pressure sensor", "weather report"), "pressure-hpa")
READING = Reading("p_bar", "Barometer", "hPa", "barometer", "p_bar", scope="bench", room=True,
                  hint="Its unit is the instrument's; another one may be typed behind the number.")  # fmt: skip
AIR = (
    Quantity("p_air", "Pressure of the air here", "p_bar", "kPa", "p_air", "bench", when={"p_source": "room"}),
    Quantity("p_air", "Pressure of the air here", "station_pressure(p_bar, altitude)", "kPa", "p_air", "bench",
             when={"p_source": "report"}),
)  # fmt: skip
STEP = Step("barometer", "Read the barometer", "{p_how}", "", "", "setup", ("p_bar",))

HAZARDS = (cautions.GOGGLES, cautions.ACID_6M, cautions.HYDROGEN, cautions.DEFER)
