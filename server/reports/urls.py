"""Addresses about reports."""

from django.urls import path, re_path

from reports import views

urlpatterns = [
    path("sections/<int:section_id>/slips", views.Slips.as_view()),
    path("sessions/<int:session_id>/reports.zip", views.ReportArchive.as_view()),
    path("sessions/<int:session_id>/form.pdf", views.Form.as_view()),
    path("sessions/<int:session_id>/reports.pdf", views.BoundReports.as_view()),
    path("benches/<int:bench_id>/report", views.ReportNow.as_view()),
    re_path(
        r"^benches/(?P<bench_id>\d{1,18})/files/(?P<name>report\.pdf|readings\.csv|results\.csv|data\.json|workbook\.xlsx|spectrum\.jdx)$",
        views.ReportFile.as_view(),
    ),
]
