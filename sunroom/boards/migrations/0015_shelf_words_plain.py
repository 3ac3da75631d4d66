from typing import Any

from django.db import migrations

from sunroom.core.board.words import plain


def fold(apps: Any, schema_editor: Any) -> None:
    """Words that stood on a shelf with capitals and accents, as they are looked for now."""
    things = apps.get_model("boards", "ShelfThing").objects.exclude(words="")
    for pk in list(things.values_list("pk", flat=True)):
        thing = things.filter(pk=pk)
        thing.update(words=plain(thing.values_list("words", flat=True).get()))


class Migration(migrations.Migration):
    dependencies = [("boards", "0014_recordings")]

    operations = [migrations.RunPython(fold, migrations.RunPython.noop)]
