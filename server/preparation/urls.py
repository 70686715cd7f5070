"""Addresses of the prep room."""

from django.urls import path

from preparation import views

urlpatterns = [
    path("sessions/<int:session_id>/preparation", views.PreparationNow.as_view()),
    path("sessions/<int:session_id>/recipe", views.RecipeTried.as_view()),
    path("sessions/<int:session_id>/made", views.SolutionMade.as_view()),
    path("sessions/<int:session_id>/ready", views.LineReady.as_view()),
    path("week", views.WeekNow.as_view()),
]
