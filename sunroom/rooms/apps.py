from django.apps import AppConfig


class RoomsConfig(AppConfig):
    name = "sunroom.rooms"
