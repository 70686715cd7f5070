"""How well wrong answers are traced: what a teacher expects, every declared slip on random data, and random numbers.

bin/bench diagnosis        share of slips named (goal 97 %), share of random numbers wrongly explained (goal 1 %),
                           and of a teacher's own set of wrong answers (goal 90 %)
"""

from time import perf_counter

from tests.slip_trials import everything
from tests.teacher.judged import as_wanted
from tests.teacher.judged import everything as expected

from chromata_core.methods.registry import methods

ROUNDS = 150


def main() -> None:
    """Prints a line a method, and what was missed."""
    begun, count = perf_counter(), 0
    for slug, tally in everything(ROUNDS, seed=20, methods=methods()):
        count += tally.injected + tally.random
        print(
            f"{slug:<24} slips named {tally.share_named:7.2%} of {tally.injected:5}   "
            f"random explained {tally.share_explained:6.2%} of {tally.random}"
        )
        for key, example in tally.missed.items():
            print(f"    missed {key}: {example}")
    print(f"{(perf_counter() - begun) / count * 1000:.1f} ms an answer, data and slip included")
    _of_a_teacher()


def _of_a_teacher() -> None:
    for kind, right in (("wrong ones named", False), ("right ones accepted", True)):
        rows = [(answer, answers) for answer, answers in expected() if answer.wants.startswith("= ") == right]
        good = sum(as_wanted(answer, row) for answer, row in rows)
        print(f"of a teacher's answers, {kind}: {good} of {len(rows)} ({good / len(rows):.1%})")


if __name__ == "__main__":
    main()
