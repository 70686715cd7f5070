"""Addresses about entries."""

from django.urls import path

from notebook import views

urlpatterns = [
    path("benches/<int:bench_id>/entries", views.Entries.as_view()),
    path("benches/<int:bench_id>/curve", views.Curve.as_view()),
    path("benches/<int:bench_id>/photos/<str:content>", views.PhotoFile.as_view()),
    path("benches/<int:bench_id>/try", views.Try.as_view()),
]
