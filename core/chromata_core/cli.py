"""The command line: what is there, what a sheet gives, files of one's own. No database.

A METHOD is the slug of one that ships, or the file of one's own. Prints people's text, or JSON with --json. Exit
status 0: it worked; 1: the input is wrong; 2: the command is.
"""

import argparse
import json
import os
import sys
from collections.abc import Callable, Sequence

from chromata_core.commands import computing, looking, writing
from chromata_core.commands.files import Said
from chromata_core.errors import ChromataError, SheetError

_COMMANDS: dict[str, tuple[Callable[[argparse.Namespace], Said], str]] = {
    "methods": (looking.list_methods, "list the experiments"),
    "describe": (looking.describe, "one experiment: readings, choices, instruments, formulas, JSON Schema"),
    "instruments": (looking.list_instruments, "list the instruments by the slugs that files name"),
    "compute": (computing.compute, "readings in (JSON or CSV), results with uncertainty out"),
    "compare": (computing.compare, "several sheets of one experiment: means, suspects, Welch’s test"),
    "plan": (computing.plan, "before any reading: what to aim for, what it takes, what to expect"),
    "simulate": (writing.simulate, "readings as a bench would leave them that works like the example"),
    "export": (writing.export, "one experiment as a file (JSON), to be changed and checked"),
    "check": (writing.check, "does an experiment of one's own hold, and is it complete?"),
    "vocabulary": (looking.list_vocabulary, "the records in which an experiment of one's own is written"),
    "scenes": (looking.list_scenes, "drawings of how hands do something, and the steps without one"),
    "choices": (looking.list_choices, "choices that change a last digit, and what others would give"),
}
_OF_A_METHOD = ("describe", "compute", "compare", "plan", "simulate", "export", "check")


def main(arguments: Sequence[str] | None = None) -> int:
    """Runs one command; the exit status."""
    options = _parser().parse_args(arguments)
    try:
        text, data = _COMMANDS[options.command][0](options)
    except ChromataError as error:
        problems = error.problems if isinstance(error, SheetError) else [error.message]
        if options.json:
            print(json.dumps({"error": error.code, "problems": problems}, ensure_ascii=False, indent=2))
        print("\n".join(problems), file=sys.stderr)
        return 1
    print(json.dumps(data, ensure_ascii=False, indent=2) if options.json else text)
    return 0


def _parser() -> argparse.ArgumentParser:
    parser = argparse.ArgumentParser(prog="chromata", description="The computation of Chromata, on the command line.")
    commands = parser.add_subparsers(dest="command", required=True, metavar=" | ".join(_COMMANDS))
    parsers = {name: commands.add_parser(name, help=what) for name, (_, what) in _COMMANDS.items()}
    for name in _OF_A_METHOD:
        parsers[name].add_argument("method", metavar="METHOD", help="a slug, or a file of one's own (.json)")
    parsers["compute"].add_argument("file", metavar="FILE", help="JSON or CSV; - reads standard input")
    parsers["compare"].add_argument("files", metavar="FILE", nargs="+", help="JSON or CSV, one for each bench")
    parsers["compare"].add_argument("--result", default="", metavar="KEY", help="another result than the first")
    parsers["compare"].add_argument("--products", default="", metavar="A,B,…", help="which product each file is of")
    for name in ("compute", "plan"):
        for flag, what in (("option", "a choice"), ("instrument", "an instrument by its role")):
            _repeated(parsers[name], flag, what)
    _repeated(parsers["compute"], "accepted", "an accepted value of a result")
    parsers["plan"].add_argument("--benches", type=_number(1, 48), default=8, metavar="N", help="how many benches (8)")
    parsers["compute"].add_argument("--draws", type=int, metavar="N", help="check by N random draws (Monte Carlo)")
    for name, what in (("compute", "of the random draws (1)"), ("simulate", "another bench for every number (1)")):
        parsers[name].add_argument("--seed", type=_number(0, 2**32), default=1, metavar="N", help=what)
    parsers["simulate"].add_argument("--fault", default="", metavar="KEY", help="with this fault of the method")
    for command in parsers.values():
        command.add_argument("--json", action="store_true", help="JSON instead of text")
    return parser


def _repeated(command: argparse.ArgumentParser, flag: str, what: str) -> None:
    command.add_argument(f"--{flag}", action="append", default=[], metavar="KEY=TEXT", help=f"{what}; may be repeated")


def _number(low: int, high: int) -> Callable[[str], int]:
    """A whole number of that reach, or the sentence that argparse shows."""

    def read(text: str) -> int:
        if not text.isascii() or not text.isdigit() or len(text) > 12 or not low <= int(text) <= high:
            raise argparse.ArgumentTypeError(f"“{text:.20}” must be a whole number from {low} to {high}")
        return int(text)

    return read


def run() -> int:
    """The program: a reader that has seen enough (head, less) ends it without a word."""
    try:
        status = main()
        sys.stdout.flush()
    except BrokenPipeError:
        os.dup2(os.open(os.devnull, os.O_WRONLY), sys.stdout.fileno())
        return 0
    return status


if __name__ == "__main__":
    sys.exit(run())
