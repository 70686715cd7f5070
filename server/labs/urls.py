"""Addresses about methods, sessions and benches."""

from django.urls import path

from labs import views

urlpatterns = [
    path("methods", views.Methods.as_view()),
    path("methods/<slug:slug>", views.MethodDetail.as_view()),
    path("choices", views.Choices.as_view()),
    path("instruments", views.Instruments.as_view()),
    path("foresee", views.PlanForeseen.as_view()),
    path("predict", views.PlanPreview.as_view()),
    path("sessions", views.Sessions.as_view()),
    path("sessions/<int:session_id>", views.SessionDetail.as_view()),
    path("sessions/<int:session_id>/state", views.SessionState.as_view()),
    path("sessions/<int:session_id>/takings", views.Takings.as_view()),
    path("sessions/<int:session_id>/remarks/<int:remark_id>", views.RemarkEnd.as_view()),
    path("sessions/<int:session_id>/room", views.RoomView.as_view()),
    path("sessions/<int:session_id>/minutes", views.Minutes.as_view()),
    path("sessions/<int:session_id>/turns", views.Turns.as_view()),
    path("sessions/<int:session_id>/teams/deal", views.Deal.as_view()),
    path("sessions/<int:session_id>/teams", views.Teams.as_view()),
    path("sessions/<int:session_id>/samples", views.Samples.as_view()),
    path("sessions/<int:session_id>/comparison", views.Comparison.as_view()),
    path("benches", views.MyBenches.as_view()),
]
