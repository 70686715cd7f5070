"""Addresses of benches and rooms as they stand."""

from django.urls import path

from results import views

urlpatterns = [
    path("methods/<slug:slug>/history", views.History.as_view()),
    path("benches/<int:bench_id>", views.BenchNow.as_view()),
    path("benches/<int:bench_id>/entries", views.Entries.as_view()),
    path("benches/<int:bench_id>/store", views.StoreResult.as_view()),
    path("sessions/<int:session_id>/floor", views.FloorNow.as_view()),
    path("benches/<int:bench_id>/left-out", views.LeavingOut.as_view()),
    path("sessions/<int:session_id>/class", views.ClassNow.as_view()),
    path("sessions/<int:session_id>/last", views.Last.as_view()),
]
