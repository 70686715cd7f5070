"""Instruments of one's own: a scale that no catalogue has, read, drawn and trusted as its owner says."""

from dataclasses import asdict, replace
from unittest import TestCase

from chromata_core.errors import ReadingError
from chromata_core.instruments.calibrated import thawed
from chromata_core.instruments.catalogue import CATALOGUE, instrument
from chromata_core.instruments.own import OwnScale, own_instrument, own_scale
from chromata_core.methods.registry import method
from chromata_core.sheet.bound import Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.telling.evaluate import evaluate

_NO_FIELDS: tuple[dict[str, object], ...] = ({"more": "x"}, {"numbers_run": "sideways"}, {"high": 5})
_TUBE = OwnScale("burette-50-b", "Short burette", "0", "10", "0.05", "2", "0.03", "its label")


class OwnInstruments(TestCase):
    def test_what_is_left_empty_is_as_the_nearest_one(self) -> None:
        for slug, base in CATALOGUE.items():
            with self.subTest(slug=slug):
                instrument = own_instrument("own-1", OwnScale(slug, "Ours"))
                same = ("kind", "unit", "low", "high", "graduation", "decimals", "numbers_run", "scales", "digital")
                for field in same:
                    left, right = getattr(instrument, field), getattr(base, field)
                    if field in ("low", "high", "graduation"):
                        left, right = float(left), float(right)
                    self.assertEqual(left, right, field)
                widths = [[float(term.half_width) for term in tool.errors] for tool in (instrument, base)]
                self.assertEqual(*widths)

    def test_a_scale_tolerance_and_readability_of_its_own(self) -> None:
        """0.03 mL of tolerance; marks of 0.05 instead of 0.1 mL are read twice as well."""
        own, base = own_instrument("own-1", _TUBE), instrument("burette-50-b")
        self.assertEqual((own.high, own.graduation, own.short), ("10", "0.05", "Short burette"))
        terms = {
            kind: [next(t for t in tool.errors if t.kind == kind) for tool in (own, base)]
            for kind in ("tolerance", "readability")
        }
        self.assertEqual(terms["tolerance"][0].half_width, "0.03")
        self.assertIn("its label", terms["tolerance"][0].basis)
        ours, theirs = terms["readability"]
        self.assertAlmostEqual(float(ours.half_width), float(theirs.half_width) / 2)
        self.assertEqual(str(own.read("9.85", "mL").value), "9.85")
        with self.assertRaisesRegex(ReadingError, "past the last mark"):
            own.read("10.20", "mL")

    def test_it_changes_the_uncertainty_as_its_tolerance_says(self) -> None:
        """A burette to ± 0.10 mL: with triangular limits its part of u grows in proportion to what it was."""
        declared = method("acid-base-titration")
        sheet = example_sheet(declared)
        rough = own_instrument("own-1", OwnScale("burette-50-b", "Rough", tolerance="0.10"))
        with_it = Sheet(sheet.options, {**sheet.instruments, "burette": "own-1"}, sheet.given, {"own-1": rough})
        shares = []
        for variant in (sheet, with_it):
            line = next(b for b in evaluate(declared, variant).results[0].budget if b.label == "Burette calibration")
            shares.append(line.u)
        before = next(float(t.half_width) for t in instrument("burette-50-b").errors if t.kind == "tolerance")
        self.assertAlmostEqual(shares[1] / shares[0], 0.10 / before, 6)

    def test_a_needle_with_several_scales(self) -> None:
        instrument = own_instrument(
            "own-2", OwnScale("ammeter-0.5", "Old ammeter", high="1", graduation="0.02", scales="0.1; 1; 10")
        )
        self.assertEqual((instrument.scales, instrument.high), (("0.1", "1", "10"), "1"))

    def test_what_no_instrument_can_be_is_refused(self) -> None:
        for change, sentence in (
            ({"name": "  "}, "Give the instrument a name"),
            ({"graduation": "20"}, "does not fit into a scale"),
            ({"graduation": "0"}, "does not fit into a scale"),
            ({"low": "12"}, "runs from a smaller to a larger"),
            ({"high": "-5"}, "runs from a smaller to a larger"),
            ({"high": "many"}, "cannot be its end"),
            ({"high": "5 kg"}, "cannot be turned into"),
            ({"decimals": "2.5"}, "whole number"),
            ({"decimals": "٣"}, "whole number"),
            ({"decimals": "99"}, "whole number"),
            ({"tolerance": "-0.1"}, "not below zero"),
            ({"graduation": "1e-30"}, "far finer"),
            ({"base": "burette-51"}, "burette"),
        ):  # fmt: skip
            with self.subTest(change=change), self.assertRaisesRegex(ReadingError, sentence):
                own_instrument("own-1", replace(_TUBE, **change))
        with self.assertRaisesRegex(ReadingError, "the one in use"):
            own_instrument("own-2", OwnScale("ammeter-0.5", "A", high="1", graduation="0.02", scales="0.1; 10"))

    def test_it_is_kept_as_data_and_comes_back(self) -> None:
        kept = {"own": asdict(_TUBE)}
        self.assertEqual(thawed("own-1", kept), own_instrument("own-1", _TUBE))
        for wrong in (3, {"base": "burette-50-b"}, *({**asdict(_TUBE), **more} for more in _NO_FIELDS)):
            with self.subTest(wrong=wrong), self.assertRaises(ReadingError):
                thawed("own-1", {"own": wrong})
        self.assertEqual(own_scale({"base": "burette-50-b", "name": "A"}).high, "")
