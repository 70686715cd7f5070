"""Readings that stand in a table elsewhere: pasted, looked at, kept, and computed at the bench."""

from playwright.sync_api import expect

from e2e.browser import BrowserCase, give_file

# 18.25 and 18.31 mL of 0.1026 mol/L on 20.00 mL: 0.1026 · 18.28 / 20.00 = 0.09378 mol/L.
LINES = ("1\t20.00\t0.22\t18.47\theld", "2\t\t1.05\t19.36\theld", "3\t\t\tabout 19\t")
TABLE = "\n".join(("Run\tV_s\tBurette, start\tV_end (mL)\tEnd point", *LINES))


class FromATable(BrowserCase):
    def test_pasted_looked_at_and_kept(self) -> None:
        page = self.at_bench()
        page.get_by_role("link", name="Readings from a table or a file").click()
        page.get_by_label("A table with its heads").fill(TABLE)
        page.get_by_role("button", name="Look at the table").click()
        expect(page.get_by_text("a trial on each line")).to_be_visible()
        expect(page.get_by_text("is not one number")).to_be_visible()
        self.assertEqual(self.bench.entries.count(), 0)
        page.get_by_role("button", name="Keep 7 readings, leave 1").click()
        expect(page.get_by_text("7 readings are on the record.")).to_be_visible()
        give_file(page, "again.csv", TABLE.replace("\t", ";"))
        expect(page.get_by_text("stands at the bench")).to_have_count(7)
        page.get_by_role("link", name="Back to the bench").click()
        expect(page.locator("main")).to_contain_text("0.09378")
