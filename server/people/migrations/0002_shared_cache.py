from django.core.management import call_command
from django.db import migrations


def make_table(apps, schema_editor):
    """The table of the cache that all workers share; nothing happens where it is there."""
    call_command("createcachetable", verbosity=0)


class Migration(migrations.Migration):
    dependencies = [("people", "0001_initial")]

    operations = [migrations.RunPython(make_table, migrations.RunPython.noop)]
