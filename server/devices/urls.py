"""Addresses of devices."""

from django.urls import path

from devices import views

urlpatterns = [
    path("devices", views.Devices.as_view()),
    path("benches/<int:bench_id>/device", views.TakeReading.as_view()),
]
