"""Pictures on the record: sealed with their entry, made small, without where they were taken; nobody else's."""

import base64
import io
from typing import Any

from PIL import Image

from labs.tests.room import Room, entry, record, write
from notebook.models import Photo


def picture(size: tuple[int, int] = (2400, 1200), kind: str = "JPEG", **saved: Any) -> str:
    """A picture as a device sends it."""
    out = io.BytesIO()
    Image.new("RGB", size, "#2B7566").save(out, kind, **saved)
    return base64.b64encode(out.getvalue()).decode()


def with_place() -> str:
    """One that says where and with what it was taken."""
    exif = Image.Exif()
    exif[0x010F] = "Maker of cameras"
    exif.get_ifd(0x8825)[1] = "N"
    return picture((40, 20), exif=exif)


class Photos(Room):
    def take(self, image: str, text: str = "The set-up") -> dict[str, Any]:
        return write(self.as_(self.student), self.bench, entry("photo", text, image=image))[0]

    def test_it_stands_on_the_bench_and_in_the_report(self) -> None:
        self.assertTrue(self.take(picture())["kept"])
        client = self.as_(self.student)
        photo = client.get(f"/api/benches/{self.bench.pk}").json()["talk"][0]
        self.assertEqual((photo["kind"], photo["text"]), ("photo", "The set-up"))
        shown = client.get(f"/api/benches/{self.bench.pk}/report").json()["photos"][0]
        self.assertEqual((shown["photo"], shown["author"]), (photo["photo"], "Sami"))
        file = client.get(f"/api/benches/{self.bench.pk}/photos/{photo['photo']}")
        with Image.open(io.BytesIO(file.content)) as kept:
            self.assertEqual(kept.size, (1600, 800))
        pdf = client.get(f"/api/benches/{self.bench.pk}/files/report.pdf")
        self.assertGreater(len(pdf.content), 5000)

    def test_place_and_camera_stay_behind(self) -> None:
        self.take(with_place())
        with Image.open(io.BytesIO(bytes(Photo.objects.get().data))) as kept:
            self.assertEqual(dict(kept.getexif()), {})

    def test_the_seal_covers_the_picture(self) -> None:
        self.take(picture((60, 40)))
        self.assertTrue(record(self.bench).whole)
        self.bench.entries.update(photo="0" * 64)
        self.assertIn("Entry 1 is not as it was sealed", record(self.bench).sentence)

    def test_other_bytes_under_the_same_name_are_not_shown(self) -> None:
        self.take(picture((60, 40)))
        photo = Photo.objects.get()
        Photo.objects.update(data=base64.b64decode(picture((60, 41))))
        self.assertIn("photo of entry 1", record(self.bench).sentence)
        address = f"/api/benches/{self.bench.pk}/photos/{photo.hash}"
        self.assertEqual(self.as_(self.student).get(address).status_code, 409)
        report = self.as_(self.student).get(f"/api/benches/{self.bench.pk}/report").json()
        self.assertFalse(report["record"]["whole"])
        pdf = self.as_(self.student).get(f"/api/benches/{self.bench.pk}/files/report.pdf")
        self.assertEqual(pdf.status_code, 200)
        Photo.objects.all().delete()
        self.assertEqual(self.as_(self.student).get(address).status_code, 409)
        self.assertEqual(self.as_(self.student).get(f"/api/benches/{self.bench.pk}/files/report.pdf").status_code, 200)

    def test_an_address_that_is_no_picture_is_not_found(self) -> None:
        for name in ("%00", "x", "0" * 64, "..%2f..", "é" * 64):
            answer = self.as_(self.student).get(f"/api/benches/{self.bench.pk}/photos/{name}")
            self.assertEqual(answer.status_code, 404)

    def test_sent_twice_it_is_kept_once(self) -> None:
        sent = entry("photo", "The set-up", image=picture((60, 40), "PNG"))
        for _ in range(2):
            self.assertTrue(write(self.as_(self.student), self.bench, sent)[0]["kept"])
        self.assertEqual((self.bench.entries.count(), Photo.objects.count()), (1, 1))

    def test_nobody_else_sees_it(self) -> None:
        self.take(picture((60, 40)))
        content = Photo.objects.get().hash
        address = f"/api/benches/{self.bench.pk}/photos/{content}"
        for who, status in ((self.neighbour, 404), (self.stranger, 404), (self.assistant, 200)):
            self.assertEqual(self.as_(who).get(address).status_code, status)
        elsewhere = f"/api/benches/{self.other_bench.pk}/photos/{content}"
        self.assertEqual(self.as_(self.neighbour).get(elsewhere).status_code, 404)

    def test_what_is_no_picture_is_refused_with_a_sentence(self) -> None:
        text = base64.b64encode(b"<svg onload=alert(1)>").decode()
        for image in ("", "abc", text, picture()[:400], picture((9000, 9000), "PNG")):
            kept = self.take(image)
            self.assertFalse(kept["kept"])
            self.assertRegex(kept["problem"], r"picture")
        self.assertFalse(self.take(picture((4, 4)), "  ")["kept"])
        self.assertEqual(self.bench.entries.count(), 0)
