"""The whole database in one file, and back: by PostgreSQL's own pg_dump and pg_restore.

Photos are in the database, so they are in the file; the secrets that seal the records are not, and must not be: who
has both can change a record unseen.
"""

import os
import shutil
import subprocess
from collections.abc import Mapping
from pathlib import Path

from django.db import connection

_DEBIAN = Path("/usr/lib/postgresql")


class BackupError(Exception):
    """Something that keeps a backup from being made or taken, as a sentence."""


def make_backup(file: Path) -> None:
    """Writes everything into ``file``, whole or not at all; BackupError if it exists or PostgreSQL says no."""
    if file.exists():
        raise BackupError(f"{file} is there already. Nothing was overwritten; choose another name.")
    unfinished = file.with_name(f"{file.name}.unfinished")
    try:
        _run("pg_dump", "--format=custom", "--no-owner", "--no-privileges", f"--file={unfinished}")
        unfinished.replace(file)
    finally:
        unfinished.unlink(missing_ok=True)


def take_backup(file: Path) -> None:
    """Puts ``file`` into the database, which must be empty or hold nobody; BackupError otherwise."""
    if not file.is_file():
        raise BackupError(f"There is no file {file}.")
    if "people_person" in connection.introspection.table_names():
        with connection.cursor() as cursor:
            cursor.execute("select count(*) from people_person")
            if cursor.fetchone()[0]:
                raise BackupError(
                    "This database has people in it. A backup is taken into a new one: name it by PGDATABASE."
                )
    _run("pg_restore", "--list", str(file), database=False)  # is it one at all, before anything is emptied?
    with connection.cursor() as cursor:
        cursor.execute("drop schema public cascade")
        cursor.execute("create schema public")
    connection.close()
    _run("pg_restore", "--no-owner", "--no-privileges", "--exit-on-error", "--single-transaction", str(file))


def _run(program: str, *args: str, database: bool = True) -> None:
    known = connection.settings_dict
    arguments = [f"--dbname={known['NAME']}"] if database else []
    done = subprocess.run([_found(program), *arguments, *args], env=_environment(known), capture_output=True, text=True)
    if done.returncode:
        raise BackupError(f"{program}: {' '.join(done.stderr.split())[:500] or 'failed without a word'}")


def _environment(known: Mapping[str, object]) -> dict[str, str]:
    parts = {"PGHOST": "HOST", "PGPORT": "PORT", "PGUSER": "USER", "PGPASSWORD": "PASSWORD"}
    return {**os.environ, **{name: str(known[part]) for name, part in parts.items()}}


def _found(program: str) -> str:
    """The newest of its kind: an older one cannot read a newer server."""
    installed = sorted(_DEBIAN.glob(f"*/bin/{program}"), key=lambda path: float(path.parts[-3]))
    path = str(installed[-1]) if installed else shutil.which(program)
    if path is None:
        raise BackupError(f"{program} is not installed. Install PostgreSQL's client programs.")
    return path
