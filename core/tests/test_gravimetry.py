"""Hydrates and precipitates beside what molar masses say, and gravimetric factors beside a handbook."""

from unittest import TestCase

from chromata_core.chemistry.molar_mass import molar_mass
from chromata_core.methods.gravimetric.hydrate import CANDIDATES
from chromata_core.methods.registry import method
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.telling.evaluate import evaluate
from tests.outside import outside

HYDRATE, PRECIPITATE = method("hydrate"), method("precipitate-yield")


class Hydrates(TestCase):
    @outside("hydrate", by="molar masses (CIAAW)")
    def test_the_formula_of_each_common_hydrate_is_found(self) -> None:
        """3 g of a pure hydrate loses exactly its water; x comes back from masses alone."""
        for formula in CANDIDATES:
            salt, waters = formula.split(".")[0], int(formula.split(".")[1].removesuffix("H2O"))
            left = 3.0 * molar_mass(salt).value / molar_mass(formula).value
            texts = (
                ("m_crucible", None, "30.000"),
                ("m_before", None, "33.000"),
                *(("m_heated", n, f"{30 + left:.3f}") for n in (1, 2)),
            )
            outcome = evaluate(HYDRATE, Sheet({"M_salt": salt}, {}, tuple(Given(k, t, 1, i) for k, i, t in texts)))
            x = next(r for r in outcome.results if r.key == "x")
            with self.subTest(formula):
                self.assertAlmostEqual(x.value, waters, delta=max(x.expanded, 0.02))

    def test_a_fixed_number_of_heatings_is_told_apart(self) -> None:
        texts = (
            ("m_crucible", None, "30.000"),
            ("m_before", None, "33.000"),
            ("m_heated", 1, "32.100"),
            ("m_heated", 2, "31.950"),
        )
        given = tuple(Given(k, t, 1, i) for k, i, t in texts)
        fixed = evaluate(HYDRATE, Sheet({"drying": "fixed"}, {}, given))
        finding = next(f for f in fixed.findings if f.code == "constant-mass")
        self.assertEqual(finding.level, "look")
        self.assertIn("not shown to be constant", finding.do)
        self.assertFalse(any(t.key == "m_heated" and not t.done for t in fixed.tasks))
        self.assertTrue(any(t.key == "m_heated" and not t.done for t in evaluate(HYDRATE, Sheet({}, {}, given)).tasks))


class Precipitates(TestCase):
    def beaker(self, *masses: str, options: dict[str, str] | None = None) -> dict[str, float]:
        keys = ("m_a", "m_b", "m_filter", "m_dried", "m_dried")
        given = [
            Given(k, t, n, i) for n in (1, 2) for k, t, i in zip(keys, masses, (None, None, None, 1, 2), strict=True)
        ]
        outcome = evaluate(PRECIPITATE, Sheet(options or {}, {}, tuple(given)))
        values = {q.key: q.value for q in (*outcome.trials[0].quantities, *outcome.quantities)}
        return values | {r.key: r.value for r in outcome.results}

    @outside("precipitate-yield", by="gravimetric factors of a handbook, from memory")
    def test_gravimetric_factors(self) -> None:
        """BaSO₄ → SO₄ 0.4116, AgCl → Cl 0.2474 (handbook values, from memory); CaCO₃ → Ca 0.4004."""
        for system, factor in (("barium-sulfate", 0.4116), ("silver-chloride", 0.2474), ("calcium-carbonate", 0.4004)):
            values = self.beaker("1.000", "2.000", "30.000", "31.000", "31.000", options={"system": system})
            self.assertAlmostEqual(values["factor"], factor, places=4)

    def test_whichever_runs_out_limits(self) -> None:
        """1.000 g Na₂SO₄ (142.04) is 7.040 mmol; 2.000 g BaCl₂·2H₂O (244.26) 8.188 mmol, 1.000 g 4.094 mmol."""
        for reagent, limiting in (("2.000", 7.040), ("1.000", 4.094)):
            values = self.beaker("1.000", reagent, "30.000", "31.000", "31.000")
            self.assertAlmostEqual(values["n_p"], limiting, places=3)
            self.assertAlmostEqual(values["m_theory"], limiting * 0.23339, places=3)

    def test_pure_sodium_sulfate(self) -> None:
        """All of 1.000 g comes down as 1.6432 g BaSO₄: yield 100 %, sulfate 67.63 % = 96.06/142.04."""
        values = self.beaker("1.000", "2.000", "30.000", "31.643", "31.643")
        self.assertAlmostEqual(values["yield_mean"], 100.0, delta=0.02)
        self.assertAlmostEqual(values["w"], 67.63, delta=0.02)

    def test_more_than_all_is_still_wet(self) -> None:
        keys = (
            ("m_a", "1.000", None),
            ("m_b", "2.000", None),
            ("m_filter", "30.000", None),
            ("m_dried", "31.700", 1),
            ("m_dried", "31.698", 2),
        )
        outcome = evaluate(PRECIPITATE, Sheet({}, {}, tuple(Given(k, t, 1, i) for k, t, i in keys)))
        wet = next(f for f in outcome.findings if f.code == "yield_t-range")
        self.assertEqual(wet.level, "repeat")
        self.assertIn("still wet", wet.why)
