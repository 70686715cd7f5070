"""Addresses of archives."""

from django.urls import path

from archives import views

urlpatterns = [
    path("sections/<int:section_id>/archive.zip", views.SectionArchive.as_view()),
    path("sessions/<int:session_id>/archive.zip", views.SessionArchive.as_view()),
    path("methods/<slug:slug>/archive.zip", views.MethodArchive.as_view()),
    path("archive", views.ArchivePiece.as_view()),
]
