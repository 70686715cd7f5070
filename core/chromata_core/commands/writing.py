"""Files that commands write, and whether those of one's own hold."""

import argparse
import csv
import io
import json

from chromata_core.authoring.as_json import to_json
from chromata_core.authoring.complete import lacks, wishes
from chromata_core.commands.files import Said, method_of
from chromata_core.errors import SheetError
from chromata_core.sheet.sheet_file import write_csv
from chromata_core.simulation.rehearse import rehearse


def simulate(options: argparse.Namespace) -> Said:
    """Readings of a simulated bench as CSV; a fault that was named bends them. SheetError if there is no such fault."""
    chosen = method_of(options.method)
    sheet = rehearse(chosen, options.seed, None, options.fault)
    readings = [{"key": g.key, "trial": g.trial, "index": g.index, "text": g.text} for g in sheet.given]
    out = io.StringIO()
    csv.writer(out, lineterminator="\n").writerows(write_csv(chosen.slug, sheet))
    data = {
        "method": chosen.slug,
        "options": dict(sheet.options),
        "instruments": dict(sheet.instruments),
        "readings": readings,
    }
    return out.getvalue().rstrip("\n"), data


def export(options: argparse.Namespace) -> Said:
    """A method as JSON, to be changed."""
    data = to_json(method_of(options.method))
    return json.dumps(data, ensure_ascii=False, indent=2), data


def check(options: argparse.Namespace) -> Said:
    """Whether a method holds, with what may still wait; SheetError lists what it lacks."""
    chosen = method_of(options.method)
    missing = lacks(chosen)
    if missing:
        raise SheetError(missing)
    more = wishes(chosen)
    sentence = f"“{chosen.title}” holds and is complete."
    sentence += "".join(f"\nMay wait: {wish}" for wish in more)
    return sentence, {"slug": chosen.slug, "complete": True, "wishes": more}
