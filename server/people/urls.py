"""Addresses about people."""

from django.urls import path

from people import section_views, staff_views, views

urlpatterns = [
    path("me", views.Me.as_view()),
    path("sign-in", views.SignIn.as_view()),
    path("sign-out", views.SignOut.as_view()),
    path("join", views.Join.as_view()),
    path("join/<str:code>", views.Roster.as_view()),
    path("demo-accounts", views.DemoAccounts.as_view()),
    path("people/<int:person_id>/unlock", views.Unlock.as_view()),
    path("people/<int:person_id>", section_views.Student.as_view()),
    path("people/<int:person_id>/pin", section_views.Pin.as_view()),
    path("sections", section_views.Sections.as_view()),
    path("sections/<int:section_id>", section_views.SectionDetail.as_view()),
    path("sections/<int:section_id>/code", section_views.Code.as_view()),
    path("sections/<int:section_id>/roster", section_views.RosterPeople.as_view()),
    path("sections/<int:section_id>/roster/preview", section_views.RosterPreview.as_view()),
    path("department", staff_views.DepartmentView.as_view()),
    path("links/<str:secret>", staff_views.LinkView.as_view()),
    path("tokens", staff_views.Tokens.as_view()),
    path("tokens/<int:token_id>", staff_views.TokenEnd.as_view()),
    path("staff", staff_views.Staff.as_view()),
    path("staff/links", staff_views.Invite.as_view()),
    path("staff/<int:person_id>/reset", staff_views.Reset.as_view()),
    path("staff/<int:person_id>/account", staff_views.Account.as_view()),
]
