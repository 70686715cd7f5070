"""How far somebody is, and where a class is weak."""

from collections import defaultdict
from collections.abc import Mapping

from django.db import transaction
from django.db.models import Sum

from people.models import Person, Section
from people.policy import sections_for
from practice.drills import DRILLS
from practice.models import Skill
from practice.shapes import ClassSkills, SkillOfClass, SkillShown


def count(person: Person, kind: str, slug: str, right: bool) -> SkillShown:
    """One more try of ``person``; how far that brings them."""
    with transaction.atomic():
        Skill.objects.get_or_create(person=person, name=f"{kind}/{slug}")
        skill = Skill.objects.select_for_update().get(person=person, name=f"{kind}/{slug}")
        skill.tried += 1
        skill.right += right
        skill.in_a_row = skill.in_a_row + 1 if right else 0
        skill.save()
    return _shown(skill)


def skills_of(person: Person) -> list[SkillShown]:
    """All that a person has practised."""
    return [_shown(skill) for skill in person.skills.all()]


def _shown(skill: Skill) -> SkillShown:
    kind, _, slug = skill.name.partition("/")
    return SkillShown(kind, slug, _label(kind, slug), skill.tried, skill.right, skill.in_a_row)


def _label(kind: str, slug: str) -> str:
    return DRILLS[kind].named().get(slug, slug) if kind in DRILLS else slug


def class_skills(person: Person) -> list[ClassSkills]:
    """Of every section one teaches or assists: what was practised, the weakest first."""
    sections = {section.pk: section for section in sections_for(person).filter(archived=False).order_by("name")}
    rows = (
        Skill.objects.filter(person__section__in=sections, person__is_active=True)
        .values("person__section", "name")
        .annotate(tried=Sum("tried"), right=Sum("right"))
    )
    people: Mapping[tuple[int, str], int] = _people(sections)
    skills: dict[int, list[SkillOfClass]] = defaultdict(list)
    for row in rows:
        kind, _, slug = row["name"].partition("/")
        who = people[row["person__section"], row["name"]]
        skill = SkillOfClass(kind, _label(kind, slug), who, row["tried"], row["right"])
        skills[row["person__section"]].append(skill)
    return [
        ClassSkills(sections[pk].name, sorted(skills, key=lambda skill: skill.right / skill.tried))
        for pk, skills in skills.items()
    ]


def _people(sections: Mapping[int, Section]) -> Mapping[tuple[int, str], int]:
    people: dict[tuple[int, str], int] = defaultdict(int)
    for section, name in Skill.objects.filter(person__section__in=sections).values_list("person__section", "name"):
        people[section, name] += 1
    return people
