"""Small joints of sentences."""


def first_upper(text: str) -> str:
    """``text`` as the beginning of a sentence."""
    return text[:1].upper() + text[1:]


def with_article(noun: str) -> str:
    """“a balance”, “an ammeter”."""
    return f"{'an' if noun[:1].lower() in 'aeiou' else 'a'} {noun}"
