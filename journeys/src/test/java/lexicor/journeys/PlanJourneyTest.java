package lexicor.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.Locale;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The plan for the time there is, taken to the bench and put back. */
class PlanJourneyTest extends TabletJourney {

    private void press(Locator within, String name) {
        within.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true)).click();
    }

    private Locator time() {
        return page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Time there is"));
    }

    @Test
    void a_plan_is_made_for_ten_minutes_taken_with_one_tap_and_put_back() {
        Bench bench = Bench.startExamination(page, Suite.server().address(), "PJ-1");
        bench.rail().getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Plan")).click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1))).hasText("Plan");
        long began = System.nanoTime();
        press(time(), "10 min");
        assertThat(main()).containsText(Pattern.compile("\\d+ tests, (9|10) min, \\d changes? of position\\. By figures, \\d+ in 100 of what all tests could tell\\."));
        Report.line(String.format(Locale.UK, "plan for ten minutes of a shoulder: %.1f s", (System.nanoTime() - began) / 1e9));
        assertThat(main()).containsText("Neck screen");
        assertThat(main()).containsText("if positive");
        main().getByText(Pattern.compile("^No time for, though they would tell something, \\d+")).click();
        String first = main().locator("ol li span").first().innerText();
        press(main(), "Do it in this order");
        assertThat(bench.rail().locator("[aria-current=step]")).containsText(first);
        assertThat(bench.rail()).containsText("Not in the plan");
        page.reload();
        assertThat(bench.rail()).containsText("Not in the plan");
        press(bench.rail(), "Reorder");
        press(bench.rail(), "Usual order");
        assertThat(bench.rail()).not().containsText("Not in the plan");
    }

    @Test
    void what_is_locked_is_named_with_the_reason_and_every_plan_may_be_left() {
        open("SL-0431");
        page.navigate(page.url().replaceAll("/$", "") + "/plan");
        assertThat(main()).containsText(Pattern.compile("Locked, \\d+"));
        press(time(), "5 min");
        assertThat(main()).containsText(Pattern.compile("\\d+ tests?, [3-5] min"));
    }
}
