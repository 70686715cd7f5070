"""Drawn apparatus: its geometry beside figures worked by hand, every scene whole, every silent step with a scene."""

import re
from dataclasses import replace
from math import pi
from unittest import TestCase

from chromata_core.apparatus.drawn import Words, drawn, filled, inside
from chromata_core.apparatus.outline import area, band, heights, mirrored, placed
from chromata_core.apparatus.profiles import PROFILES
from chromata_core.apparatus.scene import HEIGHT, WIDTH
from chromata_core.apparatus.scene_book import SCENES, drawing
from chromata_core.apparatus.things import Display, Vessel
from chromata_core.authoring.form import vocabulary
from chromata_core.loading.load import problems_of
from chromata_core.methods.registry import methods

_LONGEST = 34  # characters of a line of words in a drawing
_LETTER = 6.2  # width of a letter of 13, about


class Geometry(TestCase):
    def test_a_square_cut_by_two_heights(self) -> None:
        square = ((0.0, 0.0), (10.0, 0.0), (10.0, 10.0), (0.0, 10.0))
        self.assertAlmostEqual(area(band(square, 2, 5)), 30)
        self.assertEqual(band(square, 11, 12), ())
        self.assertAlmostEqual(area(band(square, -5, 50)), 100)

    def test_a_turned_square_cut_in_half(self) -> None:
        """A square of 10 on its corner is cut through its middle into two triangles of 50."""
        turned = placed(((0, 0), (10, 0), (10, 10), (0, 10)), (0, 0), 45, (5, 5))
        top, bottom = heights(turned)
        self.assertAlmostEqual(bottom - top, 10 * 2**0.5)
        self.assertAlmostEqual(area(band(turned, (top + bottom) / 2, bottom)), 50)

    def test_a_round_end_is_half_a_circle(self) -> None:
        """Of radius 10, drawn by 16 chords: 1.3 % less than the circle's area."""
        tube = mirrored(PROFILES["test tube"].half)
        self.assertAlmostEqual(area(band(tube, 74, 84)) / (pi * 100 / 2), 0.987, delta=0.01)

    def test_a_vessel_stands_where_it_is_put(self) -> None:
        top, bottom = heights(inside(Vessel("beaker", (50, 100))))
        self.assertEqual((top, bottom), (100, 162))
        self.assertEqual(heights(inside(Vessel("gas tube", (50, 10), turned=180))), (10, 162))


class Liquids(TestCase):
    def test_what_is_in_a_vessel_stays_in_it_and_lies_level(self) -> None:
        for scene in SCENES.values():
            for vessel in (t for move in scene.moves for t in move.things if isinstance(t, Vessel)):
                with self.subTest(scene=scene.key, vessel=vessel.kind):
                    shares = [share for share, _ in vessel.layers]
                    self.assertEqual(shares, sorted(shares))
                    self.assertTrue(all(0 < share <= 1 for share in shares))
                    whole = area(inside(vessel))
                    self.assertLessEqual(sum(area(part) for part, _ in filled(vessel)), whole * 1.001)
                    top, bottom = heights(inside(vessel))
                    for part, _ in filled(vessel):
                        self.assertTrue(all(top - 0.01 <= y <= bottom + 0.01 for _, y in part))

    def test_more_is_higher_in_every_vessel_and_turned(self) -> None:
        for kind in PROFILES:
            for turned in (0.0, 30.0, 90.0, 180.0):
                areas = [
                    sum(area(part) for part, _ in filled(Vessel(kind, (0, 0), ((share, "water"),), turned)))
                    for share in (0.2, 0.5, 0.8, 1.0)
                ]
                self.assertEqual(areas, sorted(areas), kind)
                self.assertAlmostEqual(areas[-1], area(inside(Vessel(kind, (0, 0), turned=turned))), places=6)


class Scenes(TestCase):
    def test_two_to_four_moves_with_a_sentence_each(self) -> None:
        for key, scene in SCENES.items():
            with self.subTest(scene=key):
                self.assertIn(len(scene.moves), (2, 3, 4))
                for move in scene.moves:
                    for sentence in filter(None, (move.text, move.mind)):
                        self.assertRegex(sentence, r"^\S.*[.?]$")
                        self.assertLess(len(sentence), 150)
                    self.assertTrue(move.things)

    def test_something_is_drawn_and_words_stay_on_the_page(self) -> None:
        for key in SCENES:
            for number, move in enumerate(drawing(key).moves, 1):
                with self.subTest(scene=key, move=number):
                    self.assertTrue(move.shapes)
                    for line in move.words:
                        self.assertLess(len(line.text), _LONGEST)
                        wide = len(line.text) * _LETTER
                        left = line.x - {"start": 0, "middle": wide / 2, "end": wide}[line.anchor]
                        self.assertGreaterEqual(left, -2, line.text)
                        self.assertLessEqual(left + wide, WIDTH + 6, line.text)
                        self.assertTrue(0 < line.y < HEIGHT, line.text)

    def test_what_a_display_shows_fits_its_box_and_is_as_large_as_it_can_be(self) -> None:
        """A figure of the shipped face is 0.632 of its size wide (read from the font file)."""
        for text, size in (("0.000", 20.4), ("−1999.9 mV", 11.7), ("7", 20.4), ("a word that is far too long", 9)):
            [words] = [words for words in drawn([Display((10, 10), (84, 34), text)]) if isinstance(words, Words)]
            self.assertAlmostEqual(words.size, size, delta=0.05)
            self.assertTrue(words.size == 9 or 0.632 * words.size * len(text) <= 84, text)

    def test_every_path_can_be_read(self) -> None:
        number = r"-?\d+\.\d"
        path = re.compile(rf"(M{number} {number}(L{number} {number})*Z?)+")
        for key in SCENES:
            for move in drawing(key).moves:
                for shape in move.shapes:
                    self.assertRegex(shape.path, rf"^{path.pattern}$", key)


class AtTheSteps(TestCase):
    def test_every_step_that_reads_nothing_has_a_scene(self) -> None:
        """Closing questions and own lines aside; cooling or drying shows where it belongs."""
        silent = [
            (method.slug, step.key) for method in methods().values() for step in method.steps
            if not step.reads and step.key not in ("conclusion", "own") and not step.scene
        ]  # fmt: skip
        self.assertEqual(silent, [])

    def test_every_scene_is_shown_somewhere(self) -> None:
        shown = {step.scene for method in methods().values() for step in method.steps}
        self.assertEqual(SCENES.keys() - shown, set())

    def test_a_drawing_that_does_not_exist_is_refused_with_a_near_one(self) -> None:
        method = methods()["hydrate"]
        wrong = replace(method, steps=(replace(method.steps[0], scene="crucibel"), *method.steps[1:]))
        self.assertTrue(any("crucible" in problem for problem in problems_of(wrong)), problems_of(wrong))

    def test_the_form_offers_them_by_their_titles(self) -> None:
        step = next(record for record in vocabulary() if record.name == "step")
        field = next(field for field in step.fields if field.name == "scene")
        self.assertEqual((field.kind, field.of[0], field.words[0]), ("choice", "", "No"))
        self.assertIn("Read a burette", field.words)
