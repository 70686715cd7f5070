"""Starts a stand-in for each kind of device: ``bin/devices [FIRST_PORT]``. Ctrl-C stops them."""

import asyncio
import sys
from contextlib import suppress

from standins.stand_in import KINDS, served


async def main(first: int) -> None:
    """Each kind on a port of its own, on loopback alone, until somebody stops them."""
    servers = [await served(kind, first + n, seed=n) for n, kind in enumerate(KINDS)]
    print(f"CHROMATA_DEVICES={','.join(f'{kind}=127.0.0.1:{first + n}' for n, kind in enumerate(KINDS))}", flush=True)
    await asyncio.gather(*(server.serve_forever() for server in servers))


if __name__ == "__main__":
    with suppress(KeyboardInterrupt):
        asyncio.run(main(int(sys.argv[1]) if len(sys.argv) > 1 else 7700))
