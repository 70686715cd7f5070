"""Readings from stand-ins over the line protocol, and whatever a device may do wrong."""

import asyncio
import json
import socket
from collections.abc import Mapping
from concurrent.futures import ThreadPoolExecutor
from threading import Thread
from time import monotonic, sleep
from typing import Any

from django.core.exceptions import ImproperlyConfigured
from django.http import HttpResponse
from django.test import RequestFactory, SimpleTestCase, override_settings

from chromata_core.errors import UnitError
from config.errors import Refused
from config.in_turn import InTurn
from devices.line import devices, shown_by
from devices.taken import _same_kind
from labs.models import Bench
from labs.tests.room import Room, entry, filled, record, unhurried, write
from notebook.models import Entry
from standins.stand_in import KINDS, StandIn, served


class Standing:
    """Stand-ins on free ports, in a thread of their own."""

    def __init__(self, *kinds: str) -> None:
        self.loop = asyncio.new_event_loop()
        self.loop.set_exception_handler(lambda *_: None)  # what is cut off in the middle at the end of a test
        self.thread = Thread(target=self.loop.run_forever, daemon=True)
        self.thread.start()
        self.ports: dict[str, int] = {}
        self.servers = []
        for kind in kinds:
            server = asyncio.run_coroutine_threadsafe(served(kind, 0), self.loop).result(5)
            self.servers.append(server)
            self.ports[kind] = server.sockets[0].getsockname()[1]

    @property
    def setting(self) -> list[str]:
        return [f"{kind}=127.0.0.1:{port}" for kind, port in self.ports.items()]

    def say(self, kind: str, fields: Mapping[str, Any]) -> dict[str, Any]:
        """One line to a stand-in; what it answers."""
        with socket.create_connection(("127.0.0.1", self.ports[kind]), timeout=3) as line:
            line.sendall(json.dumps(fields).encode() + b"\n")
            answer: dict[str, Any] = json.loads(line.makefile("rb").readline())
            return answer

    def close(self) -> None:
        async def end() -> None:
            for task in asyncio.all_tasks() - {asyncio.current_task()}:
                task.cancel()

        asyncio.run_coroutine_threadsafe(end(), self.loop).result(5)
        self.loop.call_soon_threadsafe(self.loop.stop)
        self.thread.join(5)


class Silent(SimpleTestCase):
    def test_it_keeps_nobody_else_waiting(self) -> None:
        """Four ask a device that takes the call and says nothing; what a fifth wants is answered meanwhile."""
        device = self.enterContext(socket.create_server(("127.0.0.1", 0)))
        pool = self.enterContext(ThreadPoolExecutor(4))
        self.enterContext(override_settings(DEVICES=[f"balance=127.0.0.1:{device.getsockname()[1]}"]))
        request, ask = RequestFactory().get("/api/devices"), InTurn(lambda _: HttpResponse(shown_by("balance").value))
        asking = [pool.submit(ask, request) for _ in range(4)]
        sleep(0.3)
        begun = monotonic()
        InTurn(lambda _: HttpResponse("kept"))(request)
        self.assertLess(monotonic() - begun, 1)
        self.assertEqual([type(thread.exception(10)) for thread in asking], [Refused] * 4)


class Taken(Room):
    def setUp(self) -> None:
        unhurried(self)
        self.standing = Standing("balance", "thermometer")
        self.addCleanup(self.standing.close)
        self.enterContext(override_settings(DEVICES=self.standing.setting))
        self.bench = filled(self.section, "hydrate")
        self.client = self.as_(self.instructor)

    def take(self, key: str) -> Any:
        return self.client.post(f"/api/benches/{self.bench.pk}/device", {"key": key}, "application/json")

    def test_what_the_balance_shows_is_what_would_be_typed(self) -> None:
        self.standing.say("balance", {"put": 18.4402})
        sleep(1.6)
        reading = self.take("m_crucible").json()
        self.assertRegex(reading["text"], r"^18\.4[34]\d\d$")
        self.assertEqual((reading["stable"], reading["simulated"]), (True, True))
        self.assertEqual(self.client.get("/api/devices").json(), ["balance", "thermometer"])

    def test_the_record_says_which_readings_were_taken(self) -> None:
        reading = self.take("m_crucible").json()
        other = filled(self.section, "hydrate")
        for bench, text, slip in (
            (self.bench, reading["text"], reading["slip"]),
            (other, reading["text"], reading["slip"]),
            (self.bench, "17.0000", reading["slip"]),
            (self.bench, reading["text"], reading["slip"] + "x"),
            (self.bench, reading["text"], ""),
        ):
            first = self.standing_at(bench)
            correction = entry("m_crucible", text, 1, supersedes=str(first.pk), reason="Weighed anew", slip=slip)
            self.assertTrue(write(self.client, bench, correction)[0]["kept"])
            taken = (bench, text, slip) == (self.bench, reading["text"], reading["slip"])
            self.assertEqual(self.standing_at(bench).device, "balance (simulated)" if taken else "")
            report = self.client.get(f"/api/benches/{bench.pk}/report").json()
            sentences = ["Taken from the balance (simulated): Crucible and lid, crucible 1."]
            self.assertEqual(report["taken"], sentences if taken else [])
        self.assertTrue(record(self.bench).whole)

    def test_who_writes_a_device_into_the_database_breaks_the_seal(self) -> None:
        Entry.objects.filter(pk=self.standing_at(self.bench).pk).update(device="balance")
        self.assertFalse(record(self.bench).whole)

    def standing_at(self, bench: Bench) -> Entry:
        return Entry.objects.filter(bench=bench, key="m_crucible", trial=1).latest("sequence")

    def test_it_says_that_it_does_not_stand_yet(self) -> None:
        self.standing.say("balance", {"put": 12.0})
        self.assertFalse(self.take("m_crucible").json()["stable"])

    def test_whatever_is_wrong_ends_in_a_sentence_within_two_seconds(self) -> None:
        for fault, sentence in (
            ("slow", "does not answer"), ("garbage", "no reading"), ("long", "no reading"), ("unit", "furlong"),
            ("gone", "not reached"),
        ):  # fmt: skip
            self.mischief(fault)
            begun = monotonic()
            answer = self.take("m_crucible")
            with self.subTest(fault):
                self.assertEqual(answer.status_code, 409, answer.content)
                self.assertIn(sentence, answer.json()["problems"][0])
                self.assertLess(monotonic() - begun, 4)
        self.mischief("")
        self.assertEqual(self.take("m_crucible").status_code, 200)

    def test_a_number_is_never_taken_for_another_quantity(self) -> None:
        """Per cent of light is no absorbance, and a number without a unit is not so many grams."""
        for shown, wanted in (("", "g"), ("%", ""), ("g", ""), ("", "%")):
            with self.subTest(shown=shown, wanted=wanted), self.assertRaises(UnitError):
                _same_kind(shown, wanted)
        _same_kind("mg", "g")
        _same_kind("", "")

    def mischief(self, fault: str) -> None:
        """Lets the balance misbehave from now on; its answer to that is not waited for."""
        with socket.create_connection(("127.0.0.1", self.standing.ports["balance"])) as line:
            line.sendall(json.dumps({"fault": fault}).encode() + b"\n")
        sleep(0.2)

    def test_what_is_not_connected_and_what_is_no_reading(self) -> None:
        with override_settings(DEVICES=[]):
            self.assertIn("No balance is connected", self.take("m_crucible").json()["problems"][0])
        with override_settings(DEVICES=["balance=127.0.0.1:1"]):
            self.assertIn("not reached", self.take("m_crucible").json()["problems"][0])
        self.assertEqual(self.take("nothing").status_code, 422)
        self.assertEqual(self.take("x" * 200).status_code, 400)

    def test_only_who_works_at_the_bench(self) -> None:
        self.bench.team.clear()
        for who, status in ((self.student, 404), (self.stranger, 404)):
            answer = self.as_(who).post(
                f"/api/benches/{self.bench.pk}/device", {"key": "m_crucible"}, "application/json"
            )
            self.assertEqual(answer.status_code, status)


class StandsIn(SimpleTestCase):
    def test_every_kind_shows_what_its_instrument_could(self) -> None:
        for kind in KINDS:
            device = StandIn(kind)
            answer = json.loads(device.answer({"ask": "reading"}))
            tool = device.tool
            with self.subTest(kind):
                self.assertEqual(answer["unit"], tool.unit)
                self.assertEqual(len(answer["value"].partition(".")[2]), tool.decimals)
                self.assertTrue(float(tool.low) <= float(answer["value"]) <= float(tool.high))
                self.assertEqual(json.loads(device.answer({"ask": "who"}))["kind"], kind)

    def test_it_scatters_and_keeps_its_own_error(self) -> None:
        device = StandIn("balance", seed=3)
        shown = {json.loads(device.answer({"ask": "reading"}))["value"] for _ in range(40)}
        self.assertGreater(len(shown), 1)
        self.assertTrue(all(abs(float(value) - device.there) < 0.002 for value in shown))

    def test_a_setting_that_cannot_be_read_is_said(self) -> None:
        for wrong in ("balance", "balance=127.0.0.1", "balance=:7700", "balance=here:port"):
            with override_settings(DEVICES=[wrong]), self.assertRaisesRegex(ImproperlyConfigured, "is not written as"):
                devices()
