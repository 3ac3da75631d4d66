"""What ink was read as is kept with its writers and places: what was kept without them is read again."""

from typing import Any

from django.db import migrations


def forget(apps: Any, _: Any) -> None:
    apps.get_model("boards", "PageReading").objects.all().delete()


class Migration(migrations.Migration):
    dependencies = (("boards", "0005_places_and_away"),)
    operations = (migrations.RunPython(forget, migrations.RunPython.noop),)
