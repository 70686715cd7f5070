"""What is said at the bench, while it can still be acted on. Rules are common practice, no published source."""

from dataclasses import replace
from unittest import TestCase

from chromata_core.engine.judgements import judgements
from chromata_core.instruments.catalogue import instrument
from chromata_core.judging.finding import Finding
from chromata_core.methods.registry import method
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.judge import judge
from chromata_core.telling.outcome import Evaluation, Verdict
from tests.sheets import crucible, titration

TITRATION = method("acid-base-titration")
HYDRATE = method("hydrate")


def titrated(sheet: Sheet) -> Evaluation:
    return evaluate(TITRATION, sheet)


def found(outcome: Evaluation, code: str) -> Finding:
    """The finding with this code; fails the test with what there is instead."""
    for finding in outcome.findings:
        if finding.code == code:
            return finding
    raise AssertionError(f"no {code} among {[f.code for f in outcome.findings]}")


def states(outcome: Evaluation) -> dict[str, str]:
    return {trial.name: trial.state for trial in outcome.trials}


class FilledAnew(TestCase):
    def scatter(self, half_width: str, relative: bool) -> list[str]:
        """How the pipette of the sample scatters at each filling, as a share of its volume."""
        pipette = instrument("pipette-20-a")
        terms = [replace(error, half_width=half_width, relative=relative) for error in pipette.errors if error.scatters]
        own = replace(pipette, slug="own", errors=tuple(terms))
        sheet = Sheet({}, {"pipette": "own"}, (Given("V_s", "20.00"),), {"own": own})
        bound = bind(TITRATION, sheet)
        [anew] = [reading.anew for reading in bound.readings if reading.key == "V_s"]
        quantity = next(quantity for quantity in bound.quantities if quantity.key == anew)
        return sorted({error.limit for error in judgements(bound, quantity) if error.limit[0].isdigit()})

    def test_a_share_is_a_share_and_a_limit_is_divided_by_the_volume(self) -> None:
        self.assertEqual(self.scatter("0.01", relative=True), ["0.01"])
        self.assertEqual(self.scatter("0.01", relative=False), ["0.0005"])  # 0.01 mL of 20 mL


class WhileTyping(TestCase):
    sheet = titration(("0.24", "21.78"))

    def judged(self, key: str, text: str, trial: int | None = 2) -> Verdict:
        return judge(TITRATION, self.sheet, Given(key, text, trial))

    def test_a_missing_last_digit_is_asked_for(self) -> None:
        verdict = self.judged("V_start", "24.5")
        self.assertEqual((verdict.level, verdict.suggest), ("look", "24.50"))
        self.assertIn("24.5 on a burette: 24.50?", verdict.text)

    def test_a_digit_too_many_is_not_believed(self) -> None:
        verdict = self.judged("V_start", "0.245")
        self.assertEqual(verdict.level, "look")
        self.assertIn("more decimals", verdict.text)

    def test_a_good_reading_is_kept_with_what_it_delivers(self) -> None:
        sheet = Sheet(self.sheet.options, self.sheet.instruments, (*self.sheet.given, Given("V_start", "0.10", 2)))
        verdict = judge(TITRATION, sheet, Given("V_end", "21.65", 2))
        self.assertEqual((verdict.level, verdict.lead), ("keep", "Keep."))
        self.assertIn("21.55 mL", verdict.text)

    def test_past_the_burette_is_refused_and_changes_nothing(self) -> None:
        verdict = self.judged("V_end", "51.20")
        self.assertTrue(verdict.refused)
        self.assertIn("past the last mark", verdict.text)

    def test_nonsense_is_refused_with_one_sentence(self) -> None:
        for text in ("abc", "", "12 13", "−3.00", "22.6 kg"):
            with self.subTest(text):
                self.assertTrue(self.judged("V_end", text).refused)
        self.assertTrue(judge(TITRATION, self.sheet, Given("nowhere", "1.00", 1)).refused)
        self.assertTrue(judge(TITRATION, self.sheet, Given("V_end", "1.00", None)).refused)


class OnTheSheet(TestCase):
    def test_final_below_initial_stops_and_is_not_averaged(self) -> None:
        outcome = titrated(titration(("21.78", "0.24"), ("0.10", "21.64"), ("0.20", "21.76")))
        self.assertEqual(found(outcome, "V-impossible").level, "stop")
        self.assertEqual(states(outcome)["1"], "void")
        self.assertEqual(outcome.trials[2].quantities[0].shown.text, "21.54")

    def test_small_titre_says_what_to_change(self) -> None:
        finding = found(titrated(titration(("0.10", "6.32"))), "V-range")
        self.assertEqual(finding.level, "look")
        self.assertIn("more sample or a weaker titrant", finding.do)

    def test_trials_apart_ask_for_a_further_trial(self) -> None:
        outcome = titrated(titration(("0.24", "21.78"), ("0.10", "21.87")))
        finding = found(outcome, "disagree")
        self.assertEqual((finding.level, finding.do), ("repeat", "Do trial 3."))
        self.assertIn("0.23 mL", finding.what)
        self.assertEqual((outcome.hand.trial, outcome.hand.key), (3, "step.portion"))

    def test_the_third_trial_decides_and_the_odd_one_is_set_aside(self) -> None:
        outcome = titrated(titration(("0.24", "21.78"), ("0.10", "21.87"), ("0.30", "21.86")))
        self.assertEqual(states(outcome), {"rough": "rough", "1": "counted", "2": "set aside", "3": "counted"})
        self.assertEqual(outcome.agreement.code if outcome.agreement else "", "agree")

    def test_a_tenth_apart_agrees_though_binary_floats_say_a_hair_more(self) -> None:
        outcome = titrated(titration(("0.00", "21.61"), ("0.00", "21.51")))
        self.assertEqual(outcome.agreement.code if outcome.agreement else "", "agree")

    def test_overshoot_voids_the_trial_but_keeps_it_on_the_record(self) -> None:
        outcome = titrated(titration(("0.24", "21.78"), ("0.10", "21.99"), ("0.30", "21.86"), seen={2: "overshot"}))
        self.assertEqual(states(outcome)["2"], "void")
        self.assertEqual(len(outcome.trials[2].readings), 3)
        self.assertEqual(outcome.findings, [], "two others agree: nothing is left to repeat")
        before = titrated(titration(("0.24", "21.78"), ("0.10", "21.99"), seen={2: "overshot"}))
        self.assertEqual(found(before, "spoiled").level, "repeat")
        self.assertAlmostEqual(outcome.results[0].value, 0.1 * 21.55 / 20, places=12)

    def test_a_rough_trial_may_overshoot(self) -> None:
        outcome = titrated(titration(("0.24", "21.78"), seen={0: "overshot"}))
        self.assertEqual(states(outcome)["rough"], "rough")
        self.assertEqual([f.code for f in outcome.findings], [])

    def test_the_rough_trial_is_never_averaged_and_may_have_one_decimal(self) -> None:
        outcome = titrated(titration(("0.24", "21.78"), ("0.10", "21.64"), rough=("0.5", "25.0")))
        without = titrated(titration(("0.24", "21.78"), ("0.10", "21.64"), rough=None))
        self.assertEqual(outcome.results[0].value, without.results[0].value)
        self.assertEqual(outcome.findings, [])

    def test_same_start_twice_is_looked_at(self) -> None:
        finding = found(titrated(titration(("0.24", "21.78"), ("0.24", "21.80"))), "same-start")
        self.assertEqual((finding.trial, finding.key), (2, "V_start"))

    def test_a_burette_read_upside_down_is_named_with_the_likely_reading(self) -> None:
        """22.36 read upward from the 23 is 23.64; on a scale numbered downward it mirrors about the whole number."""
        finding = found(titrated(titration(("0.10", "22.40"), ("0.10", "23.64"))), "upside-down")
        self.assertEqual((finding.trial, finding.key, finding.suggest, finding.level), (2, "V_end", "22.36", "stop"))

    def test_no_upside_down_where_an_overshoot_explains_it_as_well(self) -> None:
        """18.08 mirrors to 17.92, but a quarter of a millilitre too much is more likely."""
        codes = [f.code for f in titrated(titration(("0.00", "17.90"), ("0.00", "18.08"))).findings]
        self.assertEqual(codes, ["disagree"])

    def test_a_refill_adds_both_parts(self) -> None:
        sheet = titration(("30.00", "12.10"), rough=None)
        refill = (Given("V_stop", "49.50", 1), Given("V_refilled", "0.20", 1))
        outcome = titrated(Sheet(sheet.options, sheet.instruments, (*sheet.given, *refill)))
        self.assertEqual(outcome.trials[0].quantities[0].shown.text, "31.40")
        self.assertEqual(outcome.findings, [])

    def test_a_refill_half_written_waits_for_its_other_half(self) -> None:
        sheet = titration(("30.00", "12.10"), rough=None)
        outcome = titrated(Sheet(sheet.options, sheet.instruments, (*sheet.given, Given("V_stop", "49.50", 1))))
        self.assertEqual(outcome.results, [])
        self.assertEqual(outcome.hand.key, "V_refilled")

    def test_a_rejected_trial_can_be_taken_back(self) -> None:
        sheet = titration(("0.24", "21.78"), ("0.10", "21.64"))
        void = (*sheet.given, Given("void", "Flask knocked over", 1))
        self.assertEqual(states(titrated(Sheet(sheet.options, sheet.instruments, void)))["1"], "void")
        back = (*sheet.given, Given("void", "no", 1))
        self.assertEqual(states(titrated(Sheet(sheet.options, sheet.instruments, back)))["1"], "counted")

    def test_relative_rules_are_the_session_s_choice(self) -> None:
        """21.54 and 21.77: relative average deviation 0.53 %, so 1 % agrees where 0.10 mL does not."""
        trials = (("0.24", "21.78"), ("0.10", "21.87"))
        outcome = titrated(titration(*trials, options={"agreement": "rad", "agreement_relative": "1"}))
        self.assertEqual(outcome.agreement.code if outcome.agreement else "", "agree")


class OwnAnswers(TestCase):
    def own(self, text: str) -> bool:
        sheet = titration(("0.24", "21.78"), ("0.10", "21.64"))
        outcome = titrated(Sheet(sheet.options, sheet.instruments, (*sheet.given, Given("own.c_s", text))))
        return outcome.own[0].agrees

    def test_the_same_number_in_its_own_rounding_agrees(self) -> None:
        for text in ("0.1077", "0.108", "0.10770"):
            with self.subTest(text):
                self.assertTrue(self.own(text))

    def test_another_number_does_not(self) -> None:
        for text in ("0.1082", "1.077", "0.11", "0.1"):
            with self.subTest(text):
                self.assertEqual(self.own(text), text == "0.11")


class HeatedSeries(TestCase):
    """Constant mass: the last two within the rule; 0.005 g on a 0.001 g balance."""

    def test_one_weighing_shows_nothing(self) -> None:
        outcome = evaluate(HYDRATE, crucible("33.501"))
        self.assertEqual(found(outcome, "constant-mass").level, "repeat")
        self.assertEqual((outcome.hand.step, outcome.hand.turn), ("heat", 2))

    def test_still_falling_means_heat_again(self) -> None:
        finding = found(evaluate(HYDRATE, crucible("33.501", "33.449")), "constant-mass")
        self.assertIn("−0.052 g", finding.what)

    def test_constant_goes_on(self) -> None:
        outcome = evaluate(HYDRATE, crucible("33.501", "33.449", "33.447"))
        self.assertEqual([f.code for f in outcome.findings], [])
        self.assertEqual(outcome.hand.key, "lid")
        verdict = judge(HYDRATE, crucible("33.501", "33.449"), Given("m_heated", "33.447", 1, 3))
        self.assertEqual(verdict.level, "keep")
        self.assertIn("Constant", verdict.text)

    def test_a_missing_digit_is_asked_for_before_constancy_is_judged(self) -> None:
        verdict = judge(HYDRATE, crucible("33.501"), Given("m_heated", "33.45", 1, 2))
        self.assertEqual((verdict.level, verdict.suggest), ("look", "33.450"))

    def test_mass_going_up_stops(self) -> None:
        self.assertEqual(found(evaluate(HYDRATE, crucible("33.447", "33.470")), "mass-rises").level, "stop")

    def test_coloured_flame_voids(self) -> None:
        outcome = evaluate(HYDRATE, crucible("33.447", "33.446", flame="coloured"))
        self.assertEqual(outcome.trials[0].state, "void")

    def test_formula_of_blue_vitriol_from_its_molar_masses(self) -> None:
        """CuSO4·5H2O is 36.08 % water (molar masses 90.075 / 249.677, CIAAW 2021): the balance finds x = 5."""
        dry = 31.482 + 3.074 * (1 - 0.36077)
        outcome = evaluate(HYDRATE, crucible(f"{dry:.3f}", f"{dry:.3f}"))
        water, x = outcome.results
        self.assertAlmostEqual(water.value, 36.08, delta=0.05)
        self.assertAlmostEqual(x.value, 5.0, delta=0.02)
        self.assertLess(abs(x.value - 5), x.expanded)

    def test_unknown_salt_is_identified_within_its_uncertainty(self) -> None:
        """BaCl2·2H2O: 14.75 % water."""
        dry = 31.482 + 3.074 * (1 - 0.14751)
        outcome = evaluate(HYDRATE, crucible(f"{dry:.3f}", f"{dry:.3f}", options={"task": "identify"}))
        self.assertEqual([f.code for f in outcome.findings], [])
        self.assertEqual([r.key for r in outcome.results], ["w"])
        [finding] = outcome.settled  # the answer of the whole work: said, not dropped because nothing is wrong with it
        self.assertIn("The water content fits BaCl₂·2H₂O", finding.what)
        self.assertEqual(finding.do, "Name it with this reason.")
