"""Workers, master and database are killed or frozen in the real processes: nothing acknowledged is lost or doubled,
what cannot be done is told in a sentence, and it goes on without a restart. Slow connections hold up nobody. With the
real service worker a bench opens without any server, is written on, and sends it once when all is back.
"""

import os
import signal
import socket
import subprocess
import threading
import time
from collections import Counter
from pathlib import Path

import requests
from playwright.sync_api import Page, expect

from e2e.browser import LAPTOP, chromium
from e2e.served import Served, Visitor, until


class Dying(Served):
    def setUp(self) -> None:
        self.student = Visitor(type(self), "student")
        self.bench = int(self.student.get("/api/benches").json()[0]["id"])

    def kept(self) -> Counter[str]:
        return Counter(entry["id"] for entry in self.student.get(f"/api/benches/{self.bench}/entries").json())

    def whole(self) -> bool:
        return bool(self.student.get(f"/api/benches/{self.bench}/report").json()["record"]["whole"])

    def test_slow_connections_hold_up_nobody(self) -> None:
        begun = [
            b"GET / HTTP/1.1\r\nHost: x\r\nX: ",
            b"POST /api/sign-in HTTP/1.1\r\nHost: x\r\nContent-Length: 900\r\n\r\n{",
        ]
        slow = []
        for number in range(300):
            connection = socket.create_connection(("127.0.0.1", self.port), timeout=10)
            connection.sendall(begun[number % 2])
            slow.append(connection)
        time.sleep(0.5)
        began = time.monotonic()
        for _ in range(5):
            self.assertEqual(self.student.get(f"/api/benches/{self.bench}").status_code, 200)
        self.assertLess(time.monotonic() - began, 10)  # one of 300 threads would have waited for ever
        for connection in slow:
            connection.close()

    def test_killed_workers_lose_and_double_nothing(self) -> None:
        acknowledged: list[str] = []
        stop = threading.Event()

        def write() -> None:
            number = 0
            while not stop.is_set() and len(acknowledged) < 60:
                number += 1
                try:
                    entry, answer = self.student.note(self.bench, f"under fire {number}")
                except requests.RequestException:
                    continue
                if answer.status_code == 200 and answer.json()["kept"][0]["kept"]:
                    acknowledged.append(entry)

        writer = threading.Thread(target=write)
        writer.start()
        master = self.gunicorn()[0]
        for _ in range(4):
            time.sleep(0.6)
            for worker in self.gunicorn()[1:2]:
                os.kill(worker, signal.SIGKILL)
        until(lambda: len(acknowledged) > 5, 20)  # a busy machine answers few between two kills
        stop.set()
        writer.join()
        self.assertEqual(self.gunicorn()[0], master)
        self.assertTrue(until(self.answers, 20))
        kept = self.kept()
        self.assertGreater(len(acknowledged), 5)
        self.assertEqual([entry for entry in acknowledged if kept[entry] != 1], [])
        self.assertTrue(self.whole())

    def test_a_killed_database_is_told_and_comes_back_without_a_restart(self) -> None:
        entry, answer = self.student.note(self.bench, "before")
        self.assertTrue(answer.json()["kept"][0]["kept"])
        logged, master = len(self.log()), self.postmaster()
        served = [pid for pid in self.pids("postgres:") if self.parent(pid) == master]
        self.addCleanup(self.pg, "start")
        os.kill(master, signal.SIGKILL)
        # a backend that is busy answers once more before it sees that its master is dead
        self.assertTrue(until(lambda: not any(Path(f"/proc/{pid}").exists() for pid in served), 20))
        for path in (f"/api/benches/{self.bench}", "/api/benches", "/api/join/AMBER7"):
            away = self.student.get(path)
            self.assertEqual(away.status_code, 503, path)
            self.assertIn("Retry-After", away.headers)
            self.assertIn("The database does not answer. Nothing was changed", away.json()["problems"][0])
        signing_in = self.student.post("/api/sign-in", {"username": "student", "password": "demo-bench"})
        self.assertEqual(signing_in.status_code, 503)
        self.assertEqual(self.student.get("/").status_code, 200)  # the page itself still loads
        log = self.log()[logged:]
        self.assertNotIn("Traceback", log)
        self.assertEqual(len([line for line in log.splitlines() if line.startswith("database: ")]), 4, log)
        self.pg("start")
        self.assertTrue(until(lambda: self.student.get("/api/benches").status_code == 200, 20))
        self.assertEqual(self.kept()[entry], 1)
        self.assertTrue(self.whole())

    def test_a_frozen_database_is_given_up_and_comes_back(self) -> None:
        backends = [*self.pids("postgres:"), self.postmaster()]
        ours = [pid for pid in backends if self.parent(pid) == self.postmaster() or pid == self.postmaster()]
        for pid in ours:
            os.kill(pid, signal.SIGSTOP)
        try:
            began = time.monotonic()
            self.assertEqual(self.student.get(f"/api/benches/{self.bench}", timeout=60).status_code, 503)
            self.assertLess(time.monotonic() - began, 40)
        finally:
            for pid in ours:
                os.kill(pid, signal.SIGCONT)
        self.assertTrue(until(lambda: self.student.get("/api/benches").status_code == 200, 30))

    @staticmethod
    def parent(pid: int) -> int:
        """Its number; 0 of one that has ended since it was seen."""
        try:
            return int(Path(f"/proc/{pid}/stat").read_text().rpartition(")")[2].split()[1])
        except OSError:
            return 0

    def test_a_killed_master_leaves_the_port_free_and_a_restart_finds_everything(self) -> None:
        entry, answer = self.student.note(self.bench, "before the end")
        self.assertTrue(answer.json()["kept"][0]["kept"])
        os.kill(self.gunicorn()[0], signal.SIGKILL)
        self.assertTrue(until(lambda: not self.gunicorn(), 15), "workers were left on the port")
        self.process.wait(60)
        self.start()
        self.assertEqual(self.kept()[entry], 1)
        self.assertTrue(self.whole())

    def test_the_application_is_no_superuser(self) -> None:
        env = {
            **self.environment(),
            **dict(line.split("=", 1) for line in (self.folder / "var/pg.env").read_text().split()),
        }
        asked = "select rolsuper or rolcreatedb or rolcreaterole from pg_roles where rolname = current_user"
        done = subprocess.run(["psql", "-XAtqc", asked], env=env, capture_output=True, text=True, check=True)
        self.assertEqual(done.stdout.strip(), "f")

    def at_the_bench(self) -> Page:
        context = chromium().new_context(viewport={"width": LAPTOP[0], "height": LAPTOP[1]})
        self.addCleanup(context.close)
        page = context.new_page()
        page.goto(self.url("/"))
        page.get_by_role("button", name="Noor Amadi").click()
        expect(page.get_by_text("All saved")).to_be_visible()
        page.evaluate("navigator.serviceWorker.ready.then(() => true)")
        page.reload()  # now the worker has the page
        expect(page.get_by_text("All saved")).to_be_visible()
        page.wait_for_timeout(1500)  # what was seen is written down half a second after it was
        return page

    def noted(self, page: Page, text: str) -> None:
        page.keyboard.press("o")
        page.get_by_role("dialog").get_by_role("textbox").fill(text)
        page.get_by_role("dialog").get_by_role("button", name="Keep").click()

    def test_the_bench_opens_is_written_on_and_sends_once(self) -> None:
        page = self.at_the_bench()
        heading = page.locator("main h1").inner_text()
        address = page.url
        self.stop()
        self.noted(page, "The server is gone")
        expect(page.get_by_text("No network: 1 kept here")).to_be_visible()
        page.close()  # the tab is killed
        again = page.context.new_page()
        again.goto(address)
        expect(again.locator("main h1")).to_have_text(heading)
        expect(again.get_by_text("No network: 1 kept here")).to_be_visible()
        self.noted(again, "Still gone")
        expect(again.get_by_text("No network: 2 kept here")).to_be_visible()
        self.start()
        expect(again.get_by_text("All saved")).to_be_visible(timeout=30_000)
        answer = again.evaluate("fetch('/api' + location.pathname + '/entries').then((r) => r.json())")
        texts = [entry["text"] for entry in answer if entry["key"] == "note"]
        self.assertEqual(texts[-2:], ["The server is gone", "Still gone"])
        self.assertEqual(len([text for text in texts if "gone" in text]), 2)

    def texts(self, page: Page) -> list[str]:
        answer = page.evaluate("fetch('/api' + location.pathname + '/entries').then((r) => r.json())")
        return [entry["text"] for entry in answer if entry["key"] == "note"]

    def test_with_the_database_killed_what_is_written_waits_and_is_sent_once(self) -> None:
        page = self.at_the_bench()
        os.kill(self.postmaster(), signal.SIGKILL)
        self.noted(page, "No database")
        expect(page.get_by_text("1 kept here")).to_be_visible()
        page.reload()
        expect(page.get_by_text("1 kept here")).to_be_visible()
        self.noted(page, "Still none")
        expect(page.get_by_text("2 kept here")).to_be_visible()
        self.pg("start")
        expect(page.get_by_text("All saved")).to_be_visible(timeout=60_000)
        self.assertEqual(self.texts(page)[-2:], ["No database", "Still none"])

    def test_an_hour_asleep_without_network(self) -> None:
        page = self.at_the_bench()
        page.clock.install()
        page.reload()
        expect(page.get_by_text("All saved")).to_be_visible()
        page.context.set_offline(True)
        self.noted(page, "Before sleep")
        expect(page.get_by_text("1 kept here")).to_be_visible()
        lid = page.context.new_cdp_session(page)
        lid.send("Page.setWebLifecycleState", {"state": "frozen"})
        time.sleep(1)
        lid.send("Page.setWebLifecycleState", {"state": "active"})
        page.clock.fast_forward("01:00:00")
        self.noted(page, "After sleep")
        expect(page.get_by_text("2 kept here")).to_be_visible()
        page.context.set_offline(False)
        page.clock.fast_forward("00:30")
        expect(page.get_by_text("All saved")).to_be_visible(timeout=30_000)
        self.assertEqual(self.texts(page)[-2:], ["Before sleep", "After sleep"])

    def test_who_signs_out_leaves_nothing_to_be_seen(self) -> None:
        page = self.at_the_bench()
        page.goto(self.url("/methods"))
        page.get_by_role("button", name="Sign out").click()
        expect(page.get_by_role("heading", name="Join your section")).to_be_visible()
        page.wait_for_timeout(1000)
        self.stop()
        page.reload()
        expect(page.get_by_text("Noor Amadi")).to_have_count(0)
        self.start()
