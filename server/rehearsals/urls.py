"""Addresses of simulated sessions."""

from django.urls import path

from rehearsals import views

urlpatterns = [
    path("sessions/<int:session_id>/rehearsed", views.RehearsedClass.as_view()),
    path("sessions/<int:session_id>/worked", views.WorkedSimulated.as_view()),
    path("sessions/<int:session_id>/simulated", views.SimulatedSession.as_view()),
    path("benches/<int:bench_id>/worked", views.WorkedNow.as_view()),
    path("benches/<int:bench_id>/played", views.PlayedBench.as_view()),
]
