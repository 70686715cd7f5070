"""Addresses of work before class."""

from django.urls import path

from prelab import views

urlpatterns = [
    path("prelabs", views.MyPrelabs.as_view()),
    path("sessions/<int:session_id>/prelab", views.SessionPrelab.as_view()),
    path("sessions/<int:session_id>/prelab/room", views.RoomPrelab.as_view()),
]
