"""Addresses of practice."""

from django.urls import path

from practice import views

urlpatterns = [
    path("practice", views.Practice.as_view()),
    path("practice/class", views.ClassPractice.as_view()),
    path("practice/scales/<str:slug>", views.Scales.as_view()),
    path("practice/calculations/<slug:slug>", views.Calculations.as_view()),
    path("practice/hunts/<slug:slug>", views.Hunts.as_view()),
]
