"""Everything there is to say of a sheet, the gravest first."""

from chromata_core.engine.context import Context
from chromata_core.judging.every_sheet import every_sheet
from chromata_core.judging.finding import SEVERITY, Finding
from chromata_core.judging.shapes import Looks


def find(at: Context) -> list[Finding]:
    """All findings on a sheet, the gravest first."""
    checks = [check for check in at.bound.method.checks if isinstance(check, Looks)]
    findings = [*every_sheet(at), *(finding for check in checks for finding in check.look(at))]
    return sorted(findings, key=lambda finding: -SEVERITY[finding.level])
