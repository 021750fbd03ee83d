package lexicor.journeys;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** Measures, and does not judge, how long a tap takes to reach the ranking. */
class TapSpeedTrial {

    private static final int TAPS = 50;

    /** Resolves with the milliseconds from the click until the ranking includes it. */
    private static final String TAP_TO_RANKING = """
            (button) => new Promise((resolve) => {
              const began = performance.now();
              let busy = false;
              const look = () => {
                const state = document.querySelector('aside[aria-busy]').getAttribute('aria-busy');
                busy ||= state === 'true';
                if (busy && state === 'false') { observer.disconnect(); requestAnimationFrame(() => resolve(performance.now() - began)); }
              };
              const observer = new MutationObserver(look);
              observer.observe(document.body, { subtree: true, childList: true, attributes: true });
              button.click();
            })""";

    /** Resolves with the milliseconds from the click until the server has it. */
    private static final String TAP_TO_SAVED = """
            (button) => new Promise((resolve) => {
              const began = performance.now();
              let busy = false;
              const look = () => {
                const state = document.querySelector('header [role=status]').textContent;
                busy ||= state === 'Saving';
                if (busy && state === 'Saved') { observer.disconnect(); resolve(performance.now() - began); }
              };
              const observer = new MutationObserver(look);
              observer.observe(document.body, { subtree: true, childList: true, characterData: true });
              button.click();
            })""";

    @Test
    void fifty_taps_each_reach_the_record_and_the_ranking() {
        try (var context = Suite.therapist(new Browser.NewContextOptions().setViewportSize(1280, 800))) {
            Page page = context.newPage();
            Bench bench = Bench.startExamination(page, Suite.server().address(), "SP-1");
            bench.tap("Nothing, both sides").tap("Nothing, both sides").settled();
            for (String[] measure : new String[][] {{"saved", TAP_TO_SAVED}, {"updated ranking", TAP_TO_RANKING}}) {
                List<Double> times = new ArrayList<>();
                for (int i = 0; i < TAPS; i++) {
                    String answer =
                            List.of("Familiar pain", "Weak", "No pain", "Full").get(i % 4);
                    var button = bench.involved()
                            .getByRole(
                                    AriaRole.BUTTON,
                                    new Locator.GetByRoleOptions().setName(Pattern.compile("^" + answer + "$")));
                    times.add(((Number) button.evaluate(measure[1])).doubleValue());
                    bench.settled();
                }
                Collections.sort(times);
                Report.line(String.format(
                        Locale.UK,
                        "tap to %s, %d taps: median %.0f ms, 95th %.0f ms, worst %.0f ms",
                        measure[0],
                        TAPS,
                        times.get(TAPS / 2),
                        times.get((int) (TAPS * 0.95)),
                        times.get(TAPS - 1)));
                Assertions.assertThat(times).hasSize(TAPS);
            }
        }
    }
}
