from django.db import migrations, models


class Migration(migrations.Migration):
    """A sample of a hand is a character or a line of several."""

    dependencies = [("rooms", "0008_rehearsals")]

    operations = [
        migrations.RenameField("handsample", "character", "text"),
        migrations.AlterField("handsample", "text", models.CharField(max_length=80)),
    ]
