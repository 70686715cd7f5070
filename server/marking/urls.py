"""Addresses of rubrics and marks."""

from django.urls import path

from marking import views

urlpatterns = [
    path("rubrics", views.Rubrics.as_view()),
    path("sessions/<int:session_id>/marks", views.SessionMarks.as_view()),
    path("sessions/<int:session_id>/marks/released", views.MarksReleased.as_view()),
    path("sessions/<int:session_id>/marks.csv", views.MarksFile.as_view()),
    path("benches/<int:bench_id>/marks", views.MarksOfBench.as_view()),
]
