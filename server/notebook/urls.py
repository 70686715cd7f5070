"""Addresses about entries."""

from django.urls import path, re_path

from notebook import views

urlpatterns = [
    path("sessions/<int:session_id>/remarks", views.Remarks.as_view()),
    path("sessions/<int:session_id>/board", views.Board.as_view()),
    path("sessions/<int:session_id>/message", views.ToAll.as_view()),
    path("benches/<int:bench_id>/readings", views.Readings.as_view()),
    path("benches/<int:bench_id>/curve", views.Curve.as_view()),
    re_path(r"^benches/(?P<bench_id>\d{1,18})/photos/(?P<content>[0-9a-f]{64})$", views.PhotoFile.as_view()),
    path("benches/<int:bench_id>/try", views.Try.as_view()),
]
