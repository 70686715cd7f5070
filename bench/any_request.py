"""A long run of any request: thousands of well formed and malformed ones against every address, as everybody.

bin/bench any_request        SECONDS=600 for each of nobody, a student and the instructor; the tests run 15 s each
"""

import os
import subprocess
import sys
from pathlib import Path

ROOT = Path(__file__).resolve().parents[1]


def main() -> None:
    """Runs the test of the same name with more time."""
    seconds = os.environ.get("SECONDS", "600")
    env = {**os.environ, "ANY_REQUEST_SECONDS": seconds}
    done = subprocess.run([ROOT / "bin/test", "e2e.test_any_request"], env=env)
    sys.exit(done.returncode)


if __name__ == "__main__":
    main()
