"""A logged curve becomes entries like any other, all of them or none."""

import io
import math
from typing import Any

import jcamp

from chromata_core.methods.registry import method
from labs import actions
from labs.models import Bench
from labs.tests.room import WHEN, Room, entry, evaluated, write

POTENTIOMETRIC = method("potentiometric-titration")


class LoggedCurve(Room):
    def setUp(self) -> None:
        options = dict(POTENTIOMETRIC.example.options)
        session = actions.plan_session(self.section, POTENTIOMETRIC.slug, "Iron", "1", WHEN, 90, options, {}, 1, [])
        actions.open_session(session)
        self.iron = session.benches.get()

    def points(self) -> list[tuple[str, str]]:
        points = {(key, index): text for key, trial, index, text in POTENTIOMETRIC.example.readings if trial == 1}
        return [(points["V", n], points["E", n]) for n in range(1, 27)]

    def send(self, text: str, bench: Bench | None = None, who: Any = None) -> Any:
        path = f"/api/benches/{(bench or self.iron).pk}/curve"
        return self.as_(who or self.student).post(path, {"key": "V", "trial": 1, "file": text}, "application/json")

    def test_a_whole_curve_gives_its_end_point(self) -> None:
        write(self.as_(self.student), self.iron, entry("m_before", "15.3310", 1), entry("m_after", "14.5173", 1))
        self.assertEqual(self.send("\n".join(map(",".join, self.points()))).status_code, 200)
        self.iron.refresh_from_db()
        purity = next(r for r in evaluated(self.iron).results if r.key == "w")
        self.assertAlmostEqual(purity.value, 98.2, delta=0.1)
        self.assertEqual(self.iron.entries.filter(key__in=("V", "E")).count(), 52)

    def test_it_goes_on_behind_what_was_read_by_hand(self) -> None:
        write(self.as_(self.student), self.iron, entry("V", "0.10", 1, index=1), entry("E", "275", 1, index=1))
        self.send("2.10,368\n")
        self.assertEqual(self.iron.entries.get(key="E", index=2).text, "368")

    def test_one_bad_value_and_nothing_is_kept(self) -> None:
        answer = self.send("0.10,275\n99.00,300\n")
        self.assertEqual(answer.status_code, 422)
        self.assertIn("past the last mark", str(answer.json()))
        self.assertFalse(self.iron.entries.exists())

    def test_only_where_there_is_a_curve_and_only_at_one_s_own_bench(self) -> None:
        self.assertIn("no curve", str(self.send("1,2\n", self.bench).json()))
        self.assertEqual(self.send("1,2\n", who=self.stranger).status_code, 404)

    def test_a_spectrum_is_thinned_and_keeps_its_peak(self) -> None:
        """Five hundred points of a band at 523 nm, in per cent transmittance and reciprocal centimetres."""
        session = actions.plan_session(
            self.section, "beer-lambert", "Peak", "1", WHEN, 90, {"wavelength_by": "spectrum"}, {}, 1, []
        )
        actions.open_session(session)
        bench = session.benches.get()
        rows = []
        for nm in range(400, 900):
            absorbance = 0.7 * math.exp(-(((nm - 523) / 40) ** 2))
            rows.append(f"{1e7 / nm:.4f}, {100 * 10**-absorbance:.4f}")
        head = (
            "TITLE=band", "JCAMP-DX=5.00", "DATA TYPE=UV/VIS SPECTRUM", "XUNITS=1/CM", "YUNITS=%T",
            f"NPOINTS={len(rows)}", "XYPOINTS=(XY..XY)",
        )  # fmt: skip
        text = "\n".join((*(f"##{line}" for line in head), *rows, "##END="))
        path = f"/api/benches/{bench.pk}/curve"
        body = {"key": "lam", "trial": None, "file": text}
        self.assertEqual(self.as_(self.student).post(path, body, "application/json").status_code, 200)
        self.assertLessEqual(bench.entries.filter(key="lam").count(), 60)
        bench.refresh_from_db()
        state = evaluated(bench)
        peak = next(q.value for q in state.quantities if q.key == "lam_max")
        self.assertEqual(peak, 523)
        height = max(float(e.text) for e in bench.entries.filter(key="A_lam"))
        self.assertAlmostEqual(height, 0.7, places=3)
        file = self.as_(self.student).get(f"/api/benches/{bench.pk}/files/spectrum.jdx").content.decode()
        back = jcamp.read(io.StringIO(file))
        self.assertEqual(float(back["x"][back["y"].argmax()]), 523)

    def test_no_spectrum_no_file(self) -> None:
        answer = self.as_(self.student).get(f"/api/benches/{self.bench.pk}/files/spectrum.jdx")
        self.assertEqual(answer.status_code, 404)
        self.assertIn("No spectrum", str(answer.json()))

    def test_a_damaged_spectrum_is_refused_with_a_sentence(self) -> None:
        session = actions.plan_session(
            self.section, "beer-lambert", "Peak", "1", WHEN, 90, {"wavelength_by": "spectrum"}, {}, 1, []
        )
        actions.open_session(session)
        path = f"/api/benches/{session.benches.get().pk}/curve"
        for text in ("##TITLE=x\n##XYDATA=(X++(Y..Y))\nrubbish\n##END=", "##TITLE=nothing\n", "500;0.1\n"):
            answer = self.as_(self.student).post(path, {"key": "lam", "trial": None, "file": text}, "application/json")
            with self.subTest(text):
                self.assertEqual(answer.status_code, 422)
                self.assertRegex(str(answer.json()), r"JCAMP-DX|three wavelengths")
