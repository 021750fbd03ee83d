package lexicor.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Locale;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/**
 * Minutes without a connection, with forty entries and a reload among them. Run by name only, since it takes that long.
 */
class LongOfflineTrial {

    private static final int ENTRIES = 40;

    private static final String COUNT = """
            async () => {
              const id = location.pathname.split('/')[2];
              const commands = (await (await fetch('/api/examinations/' + id)).json()).commands;
              return [commands.length, new Set(commands.map((each) => each.id)).size, commands.map((each) => each.order).join()];
            }""";

    @Test
    void forty_entries_without_a_connection_arrive_once_and_in_order() {
        double minutes = Double.parseDouble(System.getProperty("lexicor.offline.minutes", "10"));
        try (var context = Suite.therapist(Suite.tablet())) {
            Page page = context.newPage();
            Bench bench = Bench.startExamination(page, Suite.server().address(), "LO-1");
            page.waitForFunction(
                    "() => navigator.serviceWorker.controller !== null && caches.open('lexicor-shell').then(shell => shell.keys()).then(keys => keys.length > 3)");
            bench.settled();
            int before = ((Number) ((List<?>) page.evaluate(COUNT)).get(0)).intValue();
            context.setOffline(true);
            List<String> answers = List.of("No pain", "Familiar pain", "Other pain");
            for (int entry = 0; entry < ENTRIES; entry++) {
                page.waitForTimeout(minutes * 60_000 / ENTRIES);
                page.mouse().move(200 + entry, 400);
                bench.tap(bench.involved(), answers.get(entry % 3));
                if (entry == ENTRIES / 2) {
                    page.reload();
                    assertThat(bench.title()).hasText("Painful arc");
                }
            }
            assertThat(page.getByText(ENTRIES + " kept here, nothing is lost.")).isVisible();
            context.setOffline(false);
            bench.settled();
            List<?> after = (List<?>) page.evaluate(COUNT);
            int arrived = ((Number) after.get(0)).intValue() - before;
            int doubled = ((Number) after.get(0)).intValue() - ((Number) after.get(1)).intValue();
            assertThat(bench.involved()
                            .getByRole(
                                    AriaRole.BUTTON,
                                    new com.microsoft.playwright.Locator.GetByRoleOptions()
                                            .setName(answers.get((ENTRIES - 1) % 3))
                                            .setExact(true)
                                            .setPressed(true)))
                    .isVisible();
            System.out.printf(
                    Locale.UK,
                    "%.1f minutes offline, %d entries, one reload: arrived %d, lost %d, doubled %d%n",
                    minutes,
                    ENTRIES,
                    arrived,
                    ENTRIES - arrived,
                    doubled);
            Assertions.assertThat(arrived).isEqualTo(ENTRIES);
            Assertions.assertThat(doubled).isZero();
        }
    }
}
