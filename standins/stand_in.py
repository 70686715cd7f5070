"""A stand-in for a device: something lies on it or flows through it, and it shows that as the real one would: with its
own error, its scatter, its decimals, and a moment until it stands.
"""

import asyncio
import json
from collections.abc import Mapping
from dataclasses import dataclass, field
from time import monotonic
from typing import Any

import numpy as np

from chromata_core.instruments.catalogue import CATALOGUE
from chromata_core.simulation.readings import calibration_of, read

# By the kind of instrument that a bench asks for: which one stands in, and what it shows at first.
KINDS: Mapping[str, tuple[str, float]] = {
    "balance": ("balance-0.0001", 0.4127), "voltmeter": ("voltmeter-1mv", 412.0), "pH meter": ("ph-meter-0.01", 6.98),
    "spectrophotometer": ("photometer-a", 0.342), "thermometer": ("thermometer-0.1", 21.6),
    "pressure sensor": ("pressure-hpa", 1009.4), "piston burette": ("piston-burette-25", 18.32),
}  # fmt: skip
_SETTLES = 1.5  # seconds until it stands
LONGEST = 500  # characters of a line


@dataclass
class StandIn:
    """One device with something on it; ``fault`` lets it misbehave: slow, garbage, long, unit or gone."""

    kind: str
    seed: int = 0
    fault: str = ""
    changed: float = field(default_factory=lambda: monotonic() - _SETTLES)

    def __post_init__(self) -> None:
        slug, self.there = KINDS[self.kind]
        self.tool = CATALOGUE[slug]
        self.random = np.random.default_rng(self.seed)
        self.off = calibration_of(self.tool, self.random)

    def answer(self, asked: Mapping[str, Any]) -> str:
        """A line for a line."""
        if "put" in asked:
            self.there, self.changed = float(asked["put"]), monotonic()
        if "fault" in asked:
            self.fault = str(asked["fault"])
        if asked.get("ask") == "who":
            return json.dumps({"kind": self.kind, "device": self.tool.short, "unit": self.tool.unit})
        return json.dumps(self._reading(), ensure_ascii=False)

    def _reading(self) -> dict[str, Any]:
        left = max(0.0, _SETTLES - (monotonic() - self.changed))
        wanders = 4 * float(self.tool.graduation) * left / _SETTLES
        shown = read(self.tool, self.there + self.off + float(self.random.normal(0, wanders or 1e-12)), self.random)
        unit = "furlong" if self.fault == "unit" else self.tool.unit
        return {"value": shown, "unit": unit, "stable": left == 0.0, "simulated": True}


async def served(kind: str, port: int, seed: int = 0) -> asyncio.Server:
    """A stand-in that listens on loopback; port 0 chooses a free one."""
    device = StandIn(kind, seed)

    async def talk(reader: asyncio.StreamReader, writer: asyncio.StreamWriter) -> None:
        try:
            while line := await reader.readline():
                await _said(device, line, writer)
        except (ValueError, ConnectionError):
            pass  # a line without an end, or somebody who left
        finally:
            writer.close()

    return await asyncio.start_server(talk, "127.0.0.1", port, limit=LONGEST)


async def _said(device: StandIn, line: bytes, writer: asyncio.StreamWriter) -> None:
    try:
        asked = json.loads(line)
        told = device.answer(asked if isinstance(asked, dict) else {})
    except (ValueError, TypeError):
        told = json.dumps({"error": "Send one JSON object a line."})
    if device.fault == "slow":
        await asyncio.sleep(30)
    if device.fault == "gone":
        writer.close()
        return
    body = {"garbage": "\x00\xff{]", "long": "9" * 10_000_000}.get(device.fault, told)
    writer.write(body.encode() + (b"" if device.fault == "long" else b"\n"))
    await writer.drain()
