"""Addresses of the stockroom."""

from django.urls import path, re_path

from stock import views

urlpatterns = [
    path("stock", views.StockNow.as_view()),
    path("stock/instruments", views.OwnInstruments.as_view()),
    path("stock/instruments/try", views.OwnInstrumentTried.as_view()),
    path("stock/shelf", views.ShelfNow.as_view()),
    path("stock/bottles", views.Bottles.as_view()),
    path("stock/bottles/<int:bottle>", views.BottleOnShelf.as_view()),
    path("stock/pieces/<str:slug>", views.PieceCount.as_view()),
    re_path(r"^stock/(?P<kind>calibrations|solutions|instruments)/(?P<item>\d{1,18})$", views.StockItem.as_view()),
]
