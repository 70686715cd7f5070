"""Every address there is, in every state of a session, as everybody: nothing hidden is told, nothing of others reached.

The addresses are read off the application's own list, so that a new one is walked without being named here.
"""

from collections.abc import Iterator

from django.urls import URLPattern, URLResolver, get_resolver

from labs import actions
from labs.models import Bench, Session
from labs.tests.described import Described
from labs.tests.room import TRUE, Room, planned, titrate, unhurried
from labs.tests.test_permissions import said
from people.models import Person

PUBLIC = ("me", "sign-in", "join", "demo-accounts", "sign-out", "department", "links", "calendar")


def routes(resolver: URLResolver, before: str = "") -> Iterator[str]:
    """Every address under /api/ as it is declared."""
    for pattern in resolver.url_patterns:
        here = before + str(pattern.pattern)
        if isinstance(pattern, URLResolver):
            yield from routes(pattern, here)
        elif isinstance(pattern, URLPattern) and here.startswith("api/"):
            yield here


FILES = {
    "benches/": ("report.pdf", "readings.csv", "results.csv", "data.json", "workbook.xlsx"),
    "sessions/": (
        "prep-sheet.pdf",
        "labels.pdf",
        "bench-sheets.pdf",
        "crib.pdf",
        "shopping.csv",
        "shopping.xlsx",
        "session.ics",
    ),
    "week/": ("shopping.csv", "shopping.xlsx"),
}


class Walk(Room):
    def setUp(self) -> None:
        unhurried(self)

    def addresses(self, session: Session, bench: Bench) -> list[str]:
        """Every address, filled with what is there."""
        put = {
            "<int:bench_id>": str(bench.pk), "(?P<bench_id>\\d{1,18})": str(bench.pk), "<slug:slug>": "hydrate",
            "<int:session_id>": str(session.pk), "<int:person_id>": str(self.student.pk), "<str:code>": "GREEN4",
            "<int:section_id>": str(self.section.pk), "<str:secret>": "x" * 32, "<int:remark_id>": "1",
            "(?P<content>[0-9a-f]{64})": "0" * 64, "(?P<kind>calibrations|solutions|instruments)": "solutions",
            "(?P<item>\\d{1,18})": "1", "(?P<session_id>\\d{1,18})": str(session.pk), "<int:token_id>": "1",
            "<slug:key>": "burette-read", "<str:key>": "units", "<int:bottle>": "1", "<str:slug>": "ruler-300",
        }  # fmt: skip
        addresses = []
        for route in routes(get_resolver()):
            for hole, filling in put.items():
                route = route.replace(hole, filling)
            route = route.replace("^", "").replace("$", "")
            if "(?P<name>" in route:
                start = route.partition("(?P<name>")[0]
                names = next(names for part, names in FILES.items() if f"/{part}" in f"/{start}")
                addresses += [f"/{start}{name}" for name in names]
            elif ".*" not in route:
                addresses.append(f"/{route}")
        self.assertFalse(
            [address for address in addresses if set(address) & set("<>()?\\")], "an address that is not filled"
        )
        self.assertGreater(len(addresses), 40)
        return addresses

    def told(self, who: Person, session: Session, bench: Bench) -> Iterator[str]:
        """The addresses that tell it to them; what does not hang on the bench is asked at the first one alone."""
        client, first = self.as_(who), bench.number == 1
        for address in self.addresses(session, bench):
            if first or "/benches/" in address:
                answer = client.get(address)
                self.assertLess(answer.status_code, 500, address)
                yield from [address] if TRUE in said(answer) else []

    def test_a_hidden_value_is_told_to_its_owner_alone_until_it_is_released(self) -> None:
        self.section.assistants.add(self.stranger)  # an instructor who assists here
        titrate(self.as_(self.student), self.bench, ("0.24", "21.78"), ("0.10", "21.64"))
        waiting = planned(self.section)
        others = (self.student, self.neighbour, self.assistant, self.stranger)
        for state, session in (("planned", waiting), ("open", self.session), ("closed", self.session)):
            if state == "closed":
                actions.close_session(session)
            for bench in session.benches.all():
                for who in others:
                    with self.subTest(state, who=who.name, bench=bench.number):
                        self.assertEqual(list(self.told(who, session, bench)), [])
            self.assertTrue(any(self.told(self.instructor, session, session.benches.all()[0])), "so that it can fail")
        actions.release_session(self.session)
        self.assertTrue(any(self.told(self.student, self.session, self.bench)))
        actions.take_back_release(self.session)
        self.assertEqual(list(self.told(self.student, self.session, self.bench)), [])

    def test_nobody_signed_in_reaches_anything_by_any_verb(self) -> None:
        for address in self.addresses(self.session, self.bench):
            if address.removeprefix("/api/").split("/")[0] in PUBLIC:
                continue
            for verb in ("GET", "POST", "PUT", "DELETE", "PATCH"):
                answer = Described().generic(verb, address, "{}", "application/json")
                self.assertIn(answer.status_code, (403, 405), (verb, address))

    def test_another_s_section_is_not_there_by_any_verb(self) -> None:
        for who in (self.neighbour, self.stranger):
            client = self.as_(who)
            for address in self.addresses(self.session, self.bench):
                if not any(part in address for part in ("/benches/", "/sessions/", "/people/", "/sections/")):
                    continue
                for verb in ("GET", "POST", "PUT", "DELETE"):
                    answer = client.generic(verb, address, "{}", "application/json")
                    self.assertIn(answer.status_code, (403, 404, 405), (verb, address, who.name))
        self.assertEqual(self.bench.entries.count(), 0)
