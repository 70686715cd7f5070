"""Addresses about own experiments."""

from django.urls import path

from experiments import views

urlpatterns = [
    path("scenes", views.Scenes.as_view()),
    path("scenes/<slug:key>", views.SceneNow.as_view()),
    path("vocabulary", views.Vocabulary.as_view()),
    path("experiments", views.Experiments.as_view()),
    path("experiments/<slug:slug>", views.ExperimentDetail.as_view()),
    path("experiments/<slug:slug>/try", views.Try.as_view()),
    path("experiments/<slug:slug>/ready", views.Ready.as_view()),
    path("experiments/<slug:slug>/withdrawn", views.Withdrawn.as_view()),
    path("experiments/<slug:slug>/file", views.ExperimentFile.as_view()),
    path("methods/<slug:slug>/file", views.MethodFile.as_view()),
]
