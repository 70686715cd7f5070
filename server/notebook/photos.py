"""Pictures on the record: made small, stripped of place and camera, kept under the hash of what is left."""

import base64
import binascii
import hashlib
import io

from PIL import Image, ImageOps

from notebook.models import Photo

_LONGEST_SIDE = 1600
_MOST_PIXELS = 40_000_000
_QUALITY = 82
_UNREADABLE = "This is no picture that can be read. Take a JPEG or PNG."


def picture_problem(image: str) -> str:
    """The sentence that refuses a picture (base64 of a JPEG or PNG), empty if it can be kept."""
    if not image:
        return "There is no picture in it. Take it again."
    try:
        return picture_data_problem(base64.b64decode(image, validate=True))
    except binascii.Error:
        return _UNREADABLE


def picture_data_problem(data: bytes) -> str:
    """The sentence that refuses the bytes of a picture, empty if it can be kept."""
    try:
        with Image.open(io.BytesIO(data), formats=("JPEG", "PNG")) as picture:
            if picture.width * picture.height > _MOST_PIXELS:
                return "The picture is too large. Take it with fewer pixels."
            picture.load()
    except (OSError, ValueError, SyntaxError, Image.DecompressionBombError):
        return _UNREADABLE
    return ""


def keep_picture(image: str) -> str:
    """Keeps a picture that has no problem; the hash under which it is kept."""
    with Image.open(io.BytesIO(base64.b64decode(image)), formats=("JPEG", "PNG")) as picture:
        upright = ImageOps.exif_transpose(picture).convert("RGB")
    upright.thumbnail((_LONGEST_SIDE, _LONGEST_SIDE))
    out = io.BytesIO()
    upright.save(out, "JPEG", quality=_QUALITY)  # a new file: where and with what it was taken stays behind
    data = out.getvalue()
    content = hashlib.sha256(data).hexdigest()
    Photo.objects.get_or_create(hash=content, defaults={"data": data})
    return content
