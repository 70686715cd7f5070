"""The kinds of practice: what there is of each, a task for a seed, and what comes of an answer."""

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from functools import lru_cache
from typing import Any

from chromata_core.instruments.catalogue import CATALOGUE
from chromata_core.methods.registry import methods
from chromata_core.practice.calculation_drill import calculation_task, can_be_drilled, judge_calculation
from chromata_core.practice.fault_hunt import can_be_hunted, hunt, judge_hunt
from chromata_core.practice.scale_drill import DRILLED, judge_scale, scale_task


@dataclass(frozen=True, slots=True)
class Drill:
    """One kind: its tasks by slug with what people call them, a task for a seed, and the verdict on an answer."""

    named: Callable[[], Mapping[str, str]]
    task: Callable[[str, int], Any]
    judge: Callable[[str, int, str], Any]


@lru_cache(maxsize=1)
def _scales() -> Mapping[str, str]:
    return {slug: CATALOGUE[slug].short for slug in DRILLED}


@lru_cache(maxsize=1)
def _calculations() -> Mapping[str, str]:
    return {slug: method.title for slug, method in methods().items() if can_be_drilled(slug)}


@lru_cache(maxsize=1)
def _hunts() -> Mapping[str, str]:
    return {slug: method.title for slug, method in methods().items() if can_be_hunted(slug)}


DRILLS = {
    "scales": Drill(_scales, scale_task, lambda slug, seed, text: judge_scale(scale_task(slug, seed), text)),
    "calculations": Drill(_calculations, calculation_task, judge_calculation),
    "hunts": Drill(_hunts, hunt, judge_hunt),
}
