"""Small joints of sentences."""

from collections.abc import Iterable


def first_upper(text: str) -> str:
    """``text`` as the beginning of a sentence."""
    return text[:1].upper() + text[1:]


def first_lower(text: str) -> str:
    """``text`` within a sentence: a word begins small, a symbol such as H⁺ or Q₁₀ stays as it is."""
    return text[:1].lower() + text[1:] if text[1:2].islower() or text[1:2] == " " else text


def with_article(noun: str) -> str:
    """“a balance”, “an ammeter”."""
    return f"{'an' if noun[:1].lower() in 'aeiou' else 'a'} {noun}"


_WORDS = ("no", "one", "two", "three", "four", "five", "six")


def counted(number: int, noun: str) -> str:
    """“one trial”, “two trials”, “12 trials”."""
    return f"{_WORDS[number] if number < len(_WORDS) else number} {noun}{'' if number == 1 else 's'}"


def joined(words: Iterable[str]) -> str:
    """“1, 2 and 5”."""
    *first, last = words
    return f"{', '.join(first)} and {last}" if first else last
