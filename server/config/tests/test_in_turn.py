"""Two requests are worked on at a time; who waits for something else lets the next one in."""

from concurrent.futures import ThreadPoolExecutor
from threading import Barrier, BrokenBarrierError, Event, Lock
from unittest import TestCase

from django.http import HttpRequest, HttpResponse
from django.test import RequestFactory

from config.in_turn import InTurn, aside

ASKED = 12


class Work:
    """Counts who is at work; each waits for ``go`` there, aside or not."""

    def __init__(self, waits_aside: bool) -> None:
        self.waits_aside, self.go, self.lock, self.now, self.most = waits_aside, Event(), Lock(), 0, 0
        self.all_here = Barrier(ASKED + 1)

    def __call__(self, request: HttpRequest) -> HttpResponse:
        with self.lock:
            self.now += 1
            self.most = max(self.most, self.now)
        if self.waits_aside:
            with aside():
                self.all_here.wait(10)
        else:
            self.go.wait(0.02)
        with self.lock:
            self.now -= 1
        return HttpResponse("done")


def asked(work: Work, pool: ThreadPoolExecutor, path: str) -> list[HttpResponse]:
    """All answers of ``ASKED`` requests that come at once."""
    request, turns = RequestFactory().get(path), InTurn(work)
    coming = [pool.submit(turns, request) for _ in range(ASKED)]
    if work.waits_aside:
        work.all_here.wait(10)
    return [thread.result(20) for thread in coming]


class TakingTurns(TestCase):
    def setUp(self) -> None:
        self.pool = self.enterContext(ThreadPoolExecutor(ASKED))

    def test_two_are_worked_on_at_a_time_and_all_are_answered(self) -> None:
        work = Work(waits_aside=False)
        self.assertEqual(len(asked(work, self.pool, "/api/benches/1")), ASKED)
        self.assertEqual(work.most, 2)

    def test_who_waits_for_the_printer_keeps_nobody_waiting(self) -> None:
        """None of them goes on before all are there, so one that held its turn would hold up the others for ever."""
        work = Work(waits_aside=True)
        try:
            self.assertEqual(len(asked(work, self.pool, "/api/benches/1/files/report.pdf")), ASKED)
        except BrokenBarrierError:
            self.fail("who waited held a turn")

    def test_what_is_no_work_has_no_turn(self) -> None:
        work = Work(waits_aside=False)
        asked(work, self.pool, "/static/app.js")
        self.assertGreater(work.most, 2)
