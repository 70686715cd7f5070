"""End points recovered from curves whose equivalence is known, solved apart by the charge balance."""

from collections.abc import Callable, Sequence
from unittest import TestCase

import numpy as np
from scipy.optimize import brentq

from chromata_core.curves.end_point import (
    NERNST_SLOPE,
    Points,
    Read,
    by_first_derivative,
    by_second_derivative,
    derivatives,
    gran,
    gran_from_start,
    gran_redox,
    gran_strong,
    steepest,
    step_at_jump,
    value_at,
)
from chromata_core.curves.line import CurveError

KW = 1e-14


def ph(base: float, pka: float = 4.756) -> float:
    """pH of 25.00 mL of 0.1000 mol/L acetic acid with ``base`` mL of 0.1000 mol/L NaOH, activities left aside."""
    volume, ka = 25.0 + base, 10**-pka

    def balance(p: float) -> float:
        h = 10**-p
        return h + 0.1 * base / volume - KW / h - 0.1 * 25 / volume * ka / (ka + h)

    return float(brentq(balance, 0, 14, xtol=1e-13))


def strong(base: float) -> float:
    """The same for a strong acid."""
    excess = 0.1 * (25.0 - base) / (25.0 + base)
    h = (excess + np.sqrt(excess**2 + 4 * KW)) / 2
    return float(-np.log10(h))


_FINE = [*np.arange(0, 24, 1.0), *np.arange(24, 24.8, 0.2), *np.arange(24.8, 25.3, 0.05), *np.arange(25.4, 32, 0.5)]
FINE: list[float] = sorted({round(float(v), 2) for v in _FINE})
COARSE: list[float] = [float(v) for v in np.arange(0.25, 40, 0.5)]


def _gran(volumes: Read, values: Read) -> Points:
    return gran(volumes, values, 25.0)


class KnownEquivalence(TestCase):
    def test_the_solver_itself_gives_the_tabulated_curve(self) -> None:
        """Computed apart with the package ``pHcalc``: 2.8809 at 0, 8.7275 at 25.0, 10.3005 at 25.1 mL."""
        for base, value in ((0, 2.88088), (25.0, 8.72754), (25.1, 10.30047)):
            self.assertAlmostEqual(ph(base), value, places=4)

    def test_second_derivative_within_two_hundredths_on_uneven_points(self) -> None:
        for curve in (ph, strong):
            values = [curve(v) for v in FINE]
            self.assertAlmostEqual(by_second_derivative(FINE, values).item(), 25.0, delta=0.02)
            self.assertAlmostEqual(by_first_derivative(FINE, values).item(), 25.0, delta=0.03)
            self.assertAlmostEqual(steepest(FINE, values).item(), 25.0, delta=0.03)

    def test_coarse_steps_are_right_within_their_own_uncertainty(self) -> None:
        values = [strong(v) for v in COARSE]
        self.assertAlmostEqual(step_at_jump(COARSE, values).item(), 0.5)
        for find in (steepest, by_first_derivative, by_second_derivative):
            with self.subTest(find.__name__):
                self.assertLessEqual(abs(find(COARSE, values).item() - 25.0), 0.25)

    def test_a_falling_curve_is_as_good_as_a_rising_one(self) -> None:
        falling = [14 - ph(v) for v in FINE]
        self.assertAlmostEqual(by_second_derivative(FINE, falling).item(), 25.0, delta=0.02)

    def test_noise_of_a_class_meter(self) -> None:
        """± 0.02 pH on every reading: smoothed over five points the end point stays within half a step."""
        random = np.random.default_rng(11)
        steps = list(np.arange(20, 30, 0.2))
        for _ in range(20):
            noisy = [ph(v) + random.normal(0, 0.02) for v in steps]
            self.assertAlmostEqual(by_second_derivative(steps, noisy, reach=2).item(), 25.0, delta=0.15)

    def test_gran_finds_it_without_the_jump_being_fine(self) -> None:
        volume = gran(COARSE, [strong(v) for v in COARSE], 25.0)
        self.assertAlmostEqual(volume.item(), 25.0, delta=0.02)
        weak = gran(FINE, [ph(v) for v in FINE], 25.0, weak=True)
        self.assertAlmostEqual(weak.item(), 25.0, delta=0.05)

    def test_pka_at_half_equivalence(self) -> None:
        """4.75646 at 12.5 mL, not exactly the pKₐ of 4.756."""
        self.assertAlmostEqual(value_at(FINE, [ph(v) for v in FINE], 12.5).item(), 4.7565, delta=0.003)

    def test_a_jump_not_yet_passed_says_to_go_on(self) -> None:
        volumes: Sequence[float] = [v for v in FINE if v <= 24.6]
        with self.assertRaisesRegex(CurveError, "not passed"):
            by_second_derivative(volumes, [ph(v) for v in volumes])

    def test_volumes_that_do_not_grow(self) -> None:
        with self.assertRaisesRegex(CurveError, "must grow"):
            steepest([0, 1, 1, 2], [1, 2, 3, 4])

    def test_derivatives_of_a_parabola_are_exact_on_uneven_points(self) -> None:
        volumes = [0.0, 0.3, 1.0, 1.1, 2.5]
        derived = derivatives(volumes, [3 * v * v - v for v in volumes])
        rows = np.hstack([derived.volumes, derived.first, derived.second]).tolist()
        for v, first, second in rows:
            self.assertAlmostEqual(first, 6 * v - 1, places=9)
            self.assertAlmostEqual(second, 6, places=9)

    def test_sensitivities_are_those_of_finite_differences(self) -> None:
        """A complex step through all four methods, beside shifting each reading by hand."""
        values = [ph(v) for v in FINE]
        ways: list[Callable[[Read, Read], Points]] = [by_second_derivative, by_first_derivative, steepest, _gran]
        for find in ways:
            for shifted in (FINE.index(24.8), len(FINE) // 2 + 6):
                v = np.array(FINE, dtype=complex)
                v[shifted] += 1e-100j
                exact = find(v, values).imag.item() / 1e-100
                plain = []
                for step in (1e-6, -1e-6):
                    moved = list(FINE)
                    moved[shifted] += step
                    plain.append(find(moved, values).item())
                self.assertAlmostEqual(exact, (plain[0] - plain[1]) / 2e-6, places=4)


class Cubic(TestCase):
    """e = 4v − (v − a)³/3 has its steepest point at a exactly; on even steps its differences are exact."""

    AT = tuple(20.0 + 0.1 * n for n in range(12))

    def curve(self, steepest_at: float, volumes: Sequence[float]) -> list[float]:
        return [4 * v - (v - steepest_at) ** 3 / 3 for v in volumes]

    def test_the_end_point_lies_between_the_points_where_it_is(self) -> None:
        for a in (20.42, 20.47, 20.55, 20.61):
            values = self.curve(a, self.AT)
            for find in (by_first_derivative, by_second_derivative):
                with self.subTest(find.__name__, a=a):
                    self.assertAlmostEqual(find(self.AT, values).item(), a, places=9)

    def test_one_point_past_the_end_point_is_enough(self) -> None:
        past = self.AT[:7]  # to 20.6
        self.assertAlmostEqual(by_second_derivative(past, self.curve(20.47, past)).item(), 20.47, places=9)
        self.assertAlmostEqual(step_at_jump(past, self.curve(20.47, past)).item(), 0.1)
        with self.assertRaisesRegex(CurveError, "not passed"):
            by_second_derivative(past[:6], self.curve(20.47, past[:6]))

    def test_a_smoothing_parabola_is_exact_on_a_parabola_however_far_apart_its_points(self) -> None:
        for scale in (1.0, 7.0, 1e-6):
            volumes = [scale * v for v in (0.0, 0.3, 1.0, 1.1, 2.5, 2.9)]
            derived = derivatives(volumes, [(v / scale) ** 2 * 3 - v / scale for v in volumes], reach=2)
            for v, first, second in np.hstack([derived.volumes, derived.first, derived.second]).tolist():
                self.assertAlmostEqual(first * scale, 6 * v / scale - 1, places=8)
                self.assertAlmostEqual(second * scale**2, 6, places=8)


class Redox(TestCase):
    def test_an_oxidant_that_takes_one_electron(self) -> None:
        """Iron(II) by cerium(IV), equivalence after 20.00 mL on a burette that began at 0.50: before it
        E = 0.77 V + k·log(V/(20 − V)), after it 1.70 V + k·log((V − 20)/20), k = 0.05916 V (25 °C, handbooks).
        """
        added = np.array([0.01, *np.arange(1.0, 20.0, 1.0), 19.9, 20.1, 21.0, 22.0])
        before = 0.77 + 0.05916 * np.log10(added / np.where(added < 20, 20 - added, 1))
        after = 1.70 + 0.05916 * np.log10(np.where(added > 20, added - 20, 1) / 20)
        potentials = np.where(added < 20, before, after)
        volumes = 0.5 + np.where(added == 0.01, 0.0, added)
        self.assertAlmostEqual(gran_redox(volumes[:, None], potentials[:, None]).item(), 20.5, places=3)
        self.assertAlmostEqual(NERNST_SLOPE, 0.05916, places=5)


class StrongAcid(TestCase):
    def test_gran_s_line_of_a_strong_acid_is_another_than_of_a_weak_one(self) -> None:
        """By charge balance (any analytical text): [H⁺] = (n − c·V)/(V₀ + V) before the end point, here at 20.26 mL."""
        volumes = np.array([*np.arange(0.0, 20.2, 0.4), 20.2, 20.3, 20.5, 21.0, 22.0])
        left = (2.026 - 0.1 * volumes) / (100 + volumes)
        root = np.sqrt(left**2 + 4 * KW)
        hydrogen = np.where(left > 0, (left + root) / 2, 2 * KW / (root - left))
        ph = -np.log10(hydrogen)
        strong = gran_strong(volumes[:, None], ph[:, None], np.array([100.0]))
        self.assertAlmostEqual(float(strong[0]), 20.26, places=3)
        weak = gran_from_start(volumes[:, None], ph[:, None])
        self.assertGreater(abs(float(weak[0]) - 20.26), 0.3)  # what every acid got before
