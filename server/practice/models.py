"""How far each person is in what they practise. Single answers are not kept."""

from django.db import models

from people.models import Person


class Skill(models.Model):
    """How often a person ``tried`` one kind of task, how often that was ``right``, how many ``in_a_row`` just now."""

    person = models.ForeignKey(Person, on_delete=models.CASCADE, related_name="skills")
    name = models.CharField(max_length=90)
    tried = models.PositiveIntegerField(default=0)
    right = models.PositiveIntegerField(default=0)
    in_a_row = models.PositiveIntegerField(default=0)
    at = models.DateTimeField(auto_now=True)

    class Meta:
        ordering = ("name",)
        constraints = (models.UniqueConstraint(fields=("person", "name"), name="one_skill_a_person"),)

    def __str__(self) -> str:
        return self.name
