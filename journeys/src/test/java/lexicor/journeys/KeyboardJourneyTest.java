package lexicor.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** A whole examination without a mouse. */
class KeyboardJourneyTest {

    @Test
    void five_tests_by_keyboard_alone() {
        try (var context = Suite.therapist(new Browser.NewContextOptions().setViewportSize(1280, 800))) {
            Page page = context.newPage();
            page.navigate(Suite.server().address() + "/new");
            tabTo(page, "shoulder");
            press(page, "Space");
            tabTo(page, "Case code");
            press(page, "Control+a");
            type(page, "KB-1");
            press(page, "Tab");
            type(page, "1987");
            press(page, "Tab");
            type(page, "Signal technician");
            tabTo(page, "Start: right shoulder");
            press(page, "Enter");
            assertThat(page.getByText("What is told")).isVisible();
            tabTo(page, "Slowly");
            press(page, "Space");
            tabTo(page, "Nothing of these");
            press(page, "Space");
            tabTo(page, "None of these");
            press(page, "Space");
            tabTo(page, "None of these");
            press(page, "Space");
            tabTo(page, "To the bench");
            press(page, "Enter");
            Bench bench = new Bench(page);
            assertThat(bench.title()).hasText("Look");
            press(page, "0");
            assertThat(bench.title()).hasText("Painful arc");

            press(
                    page,
                    "1",
                    "5",
                    "j",
                    "ArrowUp",
                    "ArrowDown",
                    "ArrowDown",
                    "k",
                    "ArrowUp",
                    "ArrowUp",
                    "l",
                    "ArrowUp",
                    "ArrowUp",
                    "ArrowUp");
            bench.settled();
            assertThat(bench.reading()).containsText("familiar pain, worst at 80°");
            press(page, "PageDown", "1", "4", "9");
            bench.settled();
            assertThat(bench.reading()).containsText("no pain, strength weak");
            press(page, "PageDown", ",");
            bench.settled();
            assertThat(bench.reading()).containsText("Counts for");
            assertThat(bench.ranking()).containsText("3 of 3 positive, already decided: 3 or more");

            press(page, "Backspace");
            bench.settled();
            assertThat(bench.ranking()).containsText("2 of 2 positive so far");
            press(page, "Control+y");
            bench.settled();
            assertThat(bench.ranking()).containsText("3 of 3 positive");
            press(page, "Control+z", "4", "7", "x");
            bench.settled();
            assertThat(bench.reading()).containsText("Not read for");
            press(page, "PageUp");
            assertThat(bench.title()).hasText("Resisted external rotation");
            press(page, "i");
            assertThat(page.getByRole(AriaRole.MAIN)).containsText("Does it hurt? Is that your pain?");
            press(page, "Shift+L", "1");
            bench.settled();
            assertThat(bench.title()).hasText("Slow lowering");
            assertThat(page.getByText("Resisted external rotation. Left out.")).isVisible();

            press(page, "?");
            assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Lowering: hurts or shakes");
            press(page, "Escape");
            assertThat(page.getByRole(AriaRole.DIALOG)).isHidden();
        }
    }

    @Test
    void single_keys_can_be_switched_off() {
        try (var context = Suite.therapist(new Browser.NewContextOptions())) {
            Page page = context.newPage();
            Bench bench = Bench.startExamination(page, Suite.server().address(), "KB-2");
            press(page, "?");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Single keys are on"))
                    .click();
            press(page, "Escape", "0");
            assertThat(bench.title()).hasText("Painful arc");
            press(page, "PageDown");
            assertThat(bench.title()).hasText("Resisted external rotation");
        }
    }

    private static void press(Page page, String... keys) {
        for (String key : keys) {
            page.keyboard().press(key);
        }
    }

    private static void type(Page page, String text) {
        page.keyboard().type(text);
    }

    /** Tabs until the focus is on the thing of this name. */
    private static void tabTo(Page page, String name) {
        for (int i = 0; i < 90; i++) {
            page.keyboard().press("Tab");
            Object focused = page.evaluate(
                    "() => { const e = document.activeElement; return e.labels?.[0]?.textContent ?? e.textContent.trim(); }");
            if (name.equals(focused)) {
                return;
            }
        }
        throw new AssertionError("the focus never came to '" + name + "'");
    }
}
