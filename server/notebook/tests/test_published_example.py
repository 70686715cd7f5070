"""EURACHEM/CITAC CG4, example A2, written at a bench of the application: 0.10214 mol/L, u 0.00010 (from memory).

The same readings as in core/tests/test_eurachem_a2.py; here they go through session, entries, report and file.
"""

from labs import actions
from labs.tests.room import WHEN, Room, entry, write


class PublishedExample(Room):
    def test_a2_through_the_application(self) -> None:
        options = {"rough_trial": "no", "repeatability": "0.05"}
        tools = {"burette": "piston-burette-25", "balance": "balance-0.0001"}
        session = actions.plan_session(self.section, "standardisation", "A2", "1", WHEN, 90, options, tools, 1, [])
        actions.open_session(session)
        bench, client = session.benches.get(), self.as_(self.student)
        readings = (
            ("m_before", "60.5450"),
            ("m_after", "60.1562"),
            ("V_start", "0.00"),
            ("end_point", "held"),
            ("V_end", "18.64"),
        )
        kept = write(client, bench, *(entry(key, text, 1) for key, text in readings))
        self.assertTrue(all(one["kept"] for one in kept))
        result = client.get(f"/api/benches/{bench.pk}/report").json()["evaluation"]["results"][0]
        self.assertEqual((f"{result['value']:.5f}", f"{result['u']:.5f}"), ("0.10214", "0.00010"))
        self.assertEqual(result["line"], "0.10214 ± 0.00020 mol/L")
