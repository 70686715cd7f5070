"""What would make a plan better, and how its solutions would be made from what stands on the shelf."""

from django.utils import timezone

from chromata_core.declaration.vocabulary import Method
from chromata_core.planning.foresight import foresee
from chromata_core.planning.recipe import recipe
from chromata_core.planning.solutions import solutions
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Sheet
from labs.shapes import Foreseen, PlannedSolution
from people.models import Person
from stock.shelf import shelf_on


def foreseen(person: Person, method: Method, plan: Sheet, records: int) -> Foreseen:
    """For so many ``records``, one of each bench and sample; SheetError lists what is wrong with the plan."""
    foresight = foresee(method, plan)
    recipes = _recipes(method, plan, records) if person.teaches else []
    return Foreseen(foresight.alternatives, foresight.improvement, foresight.before_class, recipes)


def _recipes(method: Method, plan: Sheet, records: int) -> list[PlannedSolution]:
    shelf = shelf_on(timezone.localdate())
    ways = [recipe(solution, shelf) for solution in solutions([(bind(method, plan), records)])]
    return [PlannedSolution(how.title, how.amount, how.lead, how.lacks) for how in ways]
