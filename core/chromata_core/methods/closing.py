"""The end of every session, written once."""

from chromata_core.method.vocabulary import Step


def conclusion(questions: int) -> Step:
    """The method's closing questions, one after the other."""
    answers = tuple(f"answer.{number}" for number in range(1, questions + 1))
    return Step("conclusion", "Conclusion", "Answer the closing questions.", "", "", "closing", answers)
