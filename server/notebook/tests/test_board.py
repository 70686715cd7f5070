"""The board: read once for the room, signed at every bench, overruled by a bench with a reason."""

from chromata_core.methods.registry import method
from chromata_core.sheet.sheet_file import read_sheet
from chromata_core.telling.evaluate import evaluate
from labs import actions
from labs.models import Bench, Deed, Session
from labs.tests.room import WHEN, Room, entry, record, titrate, write
from people.models import Person


class Board(Room):
    def setUp(self) -> None:
        self.gas = actions.plan_session(self.section, "gas-eudometer", "Gas", "Room 1", WHEN, 90, {}, {}, 3, [])
        actions.open_session(self.gas)
        self.benches = list(self.gas.benches.order_by("number"))

    def post(self, text: str, key: str = "p_bar", who: Person | None = None, session: Session | None = None) -> int:
        address = f"/api/sessions/{(session or self.gas).pk}/board"
        body = {"key": key, "text": text}
        return self.as_(who or self.assistant).post(address, body, "application/json").status_code

    def told(self, bench: Bench) -> list[tuple[str, str]]:
        view = self.as_(self.instructor).get(f"/api/benches/{bench.pk}").json()
        return [(entry["text"], entry["of_room"]) for entry in view["entries"] if entry["key"] == "p_bar"]

    def test_written_once_it_stands_everywhere_signed(self) -> None:
        self.assertEqual(self.post("1009.4"), 204)
        self.assertEqual([self.told(bench) for bench in self.benches], [[("1009.4", "Aldo")]] * 3)
        self.assertTrue(all(record(bench).whole for bench in self.benches))
        [line] = self.as_(self.instructor).get(f"/api/sessions/{self.gas.pk}/floor").json()["board"]
        self.assertEqual((line["text"], line["author"], line["own"]), ("1009.4", "Aldo", []))
        self.assertEqual(Deed.objects.latest("pk").what, "wrote on the board: Barometer 1009.4")
        self.post("1009.4")
        self.assertEqual(self.benches[0].entries.count(), 1, "the same again is nothing new")

    def test_a_bench_overrules_it_and_keeps_its_own(self) -> None:
        self.post("1009.4")
        mine, posted = self.benches[0], self.benches[0].entries.get()
        student = self.as_(self.student)
        [bare] = write(student, mine, entry("p_bar", "1011.0"))
        self.assertFalse(bare["kept"], "not without a reason")
        [kept] = write(student, mine, entry("p_bar", "1011.0", supersedes=str(posted.pk), reason="Read it myself"))
        self.assertTrue(kept["kept"], kept)
        self.post("1008.9")
        self.assertEqual([self.told(bench) for bench in self.benches], [[("1011.0", "")], *[[("1008.9", "Aldo")]] * 2])
        [line] = self.as_(self.instructor).get(f"/api/sessions/{self.gas.pk}/floor").json()["board"]
        self.assertEqual((line["text"], line["own"]), ("1008.9", [1]))
        self.assertTrue(all(record(bench).whole for bench in self.benches))

    def test_refused_it_is_written_nowhere(self) -> None:
        wrong = (("1009.4 kg", "p_bar"), ("much", "p_bar"), ("21.78", "V"), ("2", "nothing"), ("done", "step.acid"))
        for text, key in wrong:
            self.assertEqual(self.post(text, key), 422, (text, key))
        self.assertEqual(sum(bench.entries.count() for bench in self.benches), 0)
        self.assertEqual(self.post("20.00", "V_s", session=self.session), 422, "a bench's own sample is not the room's")
        for who, status in ((self.student, 403), (self.stranger, 404)):
            self.assertEqual(self.post("1009.4", who=who), status)
        actions.close_session(self.gas)
        self.assertEqual(self.post("1009.4"), 422)

    def test_the_label_of_a_bottle_counts_at_every_bench_from_then_on(self) -> None:
        def seen() -> dict[str, str]:
            view = self.as_(self.student).get(f"/api/benches/{self.bench.pk}").json()
            return {quantity["label"]: quantity["shown"]["text"] for quantity in view["evaluation"]["bench"]}

        titrate(self.as_(self.student), self.bench, ("0.24", "21.78"), ("0.10", "21.62"))
        before = self.as_(self.instructor).get(f"/api/benches/{self.bench.pk}").json()["evaluation"]["results"][0]
        [line] = self.as_(self.instructor).get(f"/api/sessions/{self.session.pk}/floor").json()["board"]
        self.assertEqual(
            (line["label"], line["planned"], line["text"]), ("Titrant concentration", "0.1026 ± 0.0005", "")
        )
        [own] = write(self.as_(self.student), self.bench, entry("c_t", "0.2"))
        self.assertIn("written by your instructor", own["problem"])
        self.assertEqual(self.post("0.1052 kg", "c_t", session=self.session), 422)
        self.assertNotIn("Titrant concentration", seen())
        self.assertEqual(self.post("0.1052 ± 0.0002", "c_t", session=self.session), 204)
        self.assertEqual(seen()["Titrant concentration"], "0.1052 ± 0.0002")
        after = self.as_(self.instructor).get(f"/api/benches/{self.bench.pk}").json()["evaluation"]["results"][0]
        self.assertAlmostEqual(after["value"] / before["value"], 0.1052 / 0.1026, places=12)
        self.assertEqual(Deed.objects.latest("pk").what, "wrote on the board: Titrant concentration 0.1052 ± 0.0002")
        posted = self.bench.entries.get(key="c_t")
        mine = entry("c_t", "0.0998", supersedes=str(posted.pk), reason="My bottle says so")
        [kept] = write(self.as_(self.student), self.bench, mine)
        self.assertTrue(kept["kept"], kept)
        self.assertEqual(seen()["Titrant concentration"], "0.0998 ± 0.0005", "without a ± that of the plan")
        [line] = self.as_(self.instructor).get(f"/api/sessions/{self.session.pk}/floor").json()["board"]
        self.assertEqual((line["text"], line["own"]), ("0.1052 ± 0.0002", [1]))
        report = self.as_(self.student).get(f"/api/benches/{self.bench.pk}/report").json()
        self.assertIn("0.0998", str(report["known"]))
        self.assertEqual(report["corrections"][0]["label"], "Titrant concentration")
        self.assertTrue(record(self.bench).whole)

    def test_a_file_brings_the_label_back(self) -> None:
        titrate(self.as_(self.student), self.bench, ("0.24", "21.78"), ("0.10", "21.62"))
        self.post("0.1052 ± 0.0002", "c_t", session=self.session)
        sheets = [read_sheet(self.as_(self.student).get(f"/api/benches/{self.bench.pk}/files/{name}").content.decode())
                  for name in ("data.json", "readings.csv")]  # fmt: skip
        shown = [evaluate(method(sheet.method), sheet.sheet).results[0].line for sheet in sheets]
        view = self.as_(self.student).get(f"/api/benches/{self.bench.pk}").json()
        self.assertEqual(shown, [view["evaluation"]["results"][0]["line"]] * 2)
