"""What an archive would bring, before anything is brought in."""

from collections import Counter
from collections.abc import Mapping
from typing import Any

from archives.read import Archive, no_archive
from archives.shapes import ArchiveInside, SectionInside, SessionInside
from archives.unpack import must_be_new
from config.errors import Refused
from experiments.declared import methods_for
from people.models import Person, Role


def look_into(archive: Archive, person: Person) -> ArchiveInside:
    """What is in ``archive``, and whether ``person`` could bring it in."""
    try:
        must_be_new(archive, person)
        problem = ""
    except Refused as error:
        problem = str(error.detail)
    try:
        return ArchiveInside(
            archive.department, archive.made_at, archive.ours,
            _photos(archive.rows), _sections(archive.rows, person), problem,
        )  # fmt: skip
    except (KeyError, TypeError, AttributeError, ValueError):
        no_archive()


def _photos(rows: Mapping[str, Any]) -> int:
    return len({row["photo"] for row in (*rows["entry"], *rows["remark"])} - {""})


def _sections(rows: Mapping[str, Any], person: Person) -> list[SectionInside]:
    written = Counter(row["bench"] for row in rows["entry"])
    titles = {method.slug: method.title for method in methods_for(person)}
    titles |= {data["slug"]: data["title"] for data in rows["declarations"].values()}
    entries, benches = Counter[object](), Counter[object]()
    for bench in rows["bench"]:
        benches[bench["session"]] += 1
        entries[bench["session"]] += written[int(bench["id"])]
    sessions: dict[object, list[SessionInside]] = {}
    for row in sorted(rows["session"], key=lambda row: str(row["starts_at"])):
        key, named = int(row["id"]), str(titles.get(row["method"], row["method"]))
        inside = SessionInside(str(row["title"]), named, str(row["starts_at"]), benches[key], entries[key])
        sessions.setdefault(str(row["section"]), []).append(inside)
    students = Counter(person["section"] for person in rows["people"] if person["role"] == Role.STUDENT)
    return [
        SectionInside(
            str(section["name"]), str(section["term"]), students[section["id"]], sessions.get(section["id"], [])
        )
        for section in rows["sections"]
    ]
