import cProfile
import pstats
import time

from labs.tests.room import *


class P(Room):
    def test_it(self):
        c = self.as_(self.student)
        b = self.bench

        def one(i):
            key, text, trial = (
                [("V_start", f"0.{i:02d}", i), ("end_point", "held", i), ("V_end", f"21.{(37 * i) % 100:02d}", i)][0:3][
                    i % 3
                ]
                if False
                else None
            )

        seq = [entry("V_s", "20.00")]
        for t in range(1, 14):
            seq += [
                entry("V_start", f"0.{t:02d}", t),
                entry("end_point", "held", t),
                entry("V_end", f"21.{(37 * t) % 100:02d}", t),
            ]

        def run(entries, label):
            tw = tv = tt = 0
            for e in entries:
                a = time.perf_counter()
                r = write(c, b, e)
                tw += time.perf_counter() - a
                a = time.perf_counter()
                c.post(
                    f"/api/benches/{b.pk}/try",
                    {"key": e["key"], "trial": e["trial"], "index": None, "text": e["text"]},
                    "application/json",
                )
                tt += time.perf_counter() - a
                a = time.perf_counter()
                v = c.get(f"/api/benches/{b.pk}")
                tv += time.perf_counter() - a
            n = len(entries)
            print(
                label, f"write {tw / n * 1e3:.1f} try {tt / n * 1e3:.1f} view {tv / n * 1e3:.1f} bytes {len(v.content)}"
            )

        run(seq[:20], "cold")
        pr = cProfile.Profile()
        pr.enable()
        run(seq[20:], "prof")
        pr.disable()
        st = pstats.Stats(pr)
        st.sort_stats("cumulative").print_stats(70)
        st.sort_stats("tottime").print_stats(35)
