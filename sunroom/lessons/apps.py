from django.apps import AppConfig


class LessonsConfig(AppConfig):
    name = "sunroom.lessons"
