"""Addresses about people."""

from django.urls import path

from people import views

urlpatterns = [
    path("me", views.Me.as_view()),
    path("sign-in", views.SignIn.as_view()),
    path("sign-out", views.SignOut.as_view()),
    path("join", views.Join.as_view()),
    path("join/<str:code>", views.Roster.as_view()),
    path("demo-accounts", views.DemoAccounts.as_view()),
    path("people/<int:person_id>/unlock", views.Unlock.as_view()),
    path("sections", views.Sections.as_view()),
]
