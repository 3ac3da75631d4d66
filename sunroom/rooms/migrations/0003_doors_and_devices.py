import django.db.models.deletion
from django.db import migrations, models


def doors_by_roles(apps, schema_editor):
    """Until now the role told the door; helpers came in as students."""
    seats = apps.get_model("rooms", "Seat").objects
    seats.filter(role__in=("tutor", "onlooker")).update(door=models.F("role"))
    seats.filter(role__in=("student", "helper")).update(door="student")


class Migration(migrations.Migration):
    dependencies = [("rooms", "0002_sent_away")]

    operations = [
        migrations.AddField("room", "language", models.CharField(default="en", max_length=2)),
        migrations.AddField("seat", "admitted", models.BooleanField(null=True)),
        migrations.AddField("seat", "door", models.CharField(default="student", max_length=10), False),
        migrations.RunPython(doors_by_roles, migrations.RunPython.noop),
        migrations.CreateModel(
            name="Pairing",
            fields=[
                ("id", models.BigAutoField(primary_key=True, serialize=False, auto_created=True, verbose_name="ID")),
                ("code", models.CharField(max_length=8, unique=True)),
                ("invited_at", models.DateTimeField(auto_now_add=True)),
                ("used", models.BooleanField(default=False)),
                (
                    "seat",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE, related_name="pairings", to="rooms.seat"
                    ),
                ),
            ],
        ),
    ]
