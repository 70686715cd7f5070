"""Addresses of the prep room."""

from django.urls import path, re_path

from preparation import desk, views

urlpatterns = [
    path("sessions/<int:session_id>/preparation", views.PreparationNow.as_view()),
    path("sessions/<int:session_id>/recipe", views.RecipeTried.as_view()),
    path("sessions/<int:session_id>/made", views.SolutionMade.as_view()),
    path("sessions/<int:session_id>/ready", views.LineReady.as_view()),
    re_path(
        r"^sessions/(?P<session_id>\d{1,18})/(?P<name>(?:prep-sheet|labels|bench-sheets|crib)\.pdf|shopping\.(?:csv|xlsx)"
        r"|session\.ics)$",
        views.PreparationPaper.as_view(),
    ),
    path("desk", desk.DeskNow.as_view()),
    path("desk/<str:key>", desk.CalculatorWorked.as_view()),
    path("week", views.WeekNow.as_view()),
    re_path(r"^week/(?P<name>shopping\.(?:csv|xlsx))$", views.WeekPaper.as_view()),
    path("calendar/<str:secret>.ics", views.CalendarFeed.as_view()),
]
