package lexicor.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Looking something up at the desk. */
class LibraryJourneyTest {

    /** Resolves with the milliseconds from typing until the list has been drawn. */
    private static final String TYPE_TO_LIST = """
            (box, words) => new Promise((resolve) => {
              const began = performance.now();
              const write = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
              const done = () => { observer.disconnect(); requestAnimationFrame(() => resolve(performance.now() - began)); };
              const observer = new MutationObserver(done);
              observer.observe(document.querySelector('section[aria-label=Found]'), { subtree: true, childList: true, characterData: true });
              write.call(box, words);
              box.dispatchEvent(new Event('input', { bubbles: true }));
            })""";

    private BrowserContext context;
    private Page page;

    @BeforeEach
    void open() {
        context = Suite.therapist(
                new Browser.NewContextOptions().setViewportSize(1280, 800).setLocale("en-GB"));
        page = context.newPage();
    }

    @AfterEach
    void close() {
        context.close();
    }

    private void go(String path) {
        page.navigate(Suite.server().address() + path);
    }

    private Locator found() {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Found"))
                .getByRole(AriaRole.LISTITEM);
    }

    @Test
    void a_misspelt_name_is_found_with_the_keyboard_alone_and_opened() {
        go("/library");
        assertThat(page.getByRole(AriaRole.SEARCHBOX)).isFocused();
        page.keyboard().type("hawkin kenedy");
        assertThat(found().first()).containsText("Flexed internal-rotation impingement");
        page.keyboard().press("ArrowDown");
        assertThat(found().first().getByRole(AriaRole.LINK)).isFocused();
        page.getByRole(AriaRole.SEARCHBOX).focus();
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .hasText("Flexed internal-rotation impingement");
        page.goBack();
        assertThat(page.getByRole(AriaRole.SEARCHBOX)).hasValue("hawkin kenedy");
    }

    @Test
    void a_name_that_two_tests_go_by_is_asked_about() {
        go("/library");
        assertThat(page.getByRole(AriaRole.SEARCHBOX)).isFocused();
        page.keyboard().type("crank");
        page.keyboard().press("Enter");
        Locator question =
                page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Tests called crank test"));
        assertThat(question).containsText("is the name of 4 tests. Which one?");
        question.getByRole(
                        AriaRole.LINK, new Locator.GetByRoleOptions().setName(Pattern.compile("asks for apprehension")))
                .click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .containsText("Anterior apprehension");
        assertThat(page.getByText("“Crank test” is also the name of another test"))
                .isVisible();
    }

    @Test
    void filters_narrow_the_list_and_an_empty_list_says_what_to_do() {
        go("/library");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Conditions"))
                .click();
        page.getByLabel("Region").selectOption("Neck");
        assertThat(found()).hasCount(2);
        assertThat(page.getByText("2 found")).isVisible();
        page.getByRole(AriaRole.SEARCHBOX).fill("zzzz");
        assertThat(page.getByText("Nothing matches. Try fewer letters, another name, or fewer filters."))
                .isVisible();
        page.getByRole(AriaRole.SEARCHBOX).fill("");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Clear filters"))
                .click();
        assertThat(page.getByRole(
                        AriaRole.HEADING,
                        new Page.GetByRoleOptions().setName("Instability").setExact(true)))
                .isVisible();
    }

    @Test
    void the_slider_shows_what_an_answer_does_and_the_address_keeps_it() {
        go("/library/tests/sh-apprehension?before=30");
        Locator effect = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What an answer does"));
        assertThat(effect).containsText("30 in 100");
        assertThat(effect).containsText(Pattern.compile("If positive: 7\\d in 100"));
        Locator slider = effect.getByRole(AriaRole.SLIDER);
        slider.focus();
        for (int i = 0; i < 15; i++) {
            slider.press("ArrowLeft");
        }
        assertThat(effect).containsText("15 in 100");
        assertThat(effect).containsText(Pattern.compile("If positive: 5\\d in 100"));
        page.reload();
        assertThat(effect).containsText(Pattern.compile("If positive: 5\\d in 100"));
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Try its figures on the slider"))
                .first()
                .click();
        assertThat(page.getByText("On the slider now")).isVisible();
        assertThat(effect).not().containsText(Pattern.compile("If positive: 5\\d in 100"));
    }

    @Test
    void a_test_without_figures_says_so_and_invents_none() {
        go("/library/tests/sh-arc?for=acj");
        assertThat(page.getByText("Not weighed for AC joint pain: no accuracy study in the ledger."))
                .isVisible();
        assertThat(page.getByRole(AriaRole.SLIDER)).hasCount(0);
    }

    @Test
    void from_a_condition_to_what_separates_it_from_its_rival() {
        go("/library/conditions/acj");
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Weights")))
                .containsText("Cross-body adduction");
        assertThat(page.getByText("On top, or deep inside")).isVisible();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Superior labral tear"))
                .click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .hasText("Superior labral tear");
    }

    @Test
    void a_set_never_shows_at_least_as_if_it_were_exact() {
        go("/library/sets/cl-ac-3");
        assertThat(page.getByRole(AriaRole.ROW, new Page.GetByRoleOptions().setName(Pattern.compile("Exactly 2"))))
                .containsText("7.4for 2 or more6.8");
    }

    @Test
    void the_ledger_is_searched_and_a_record_opened() {
        go("/library/ledger");
        assertThat(page.getByText(Pattern.compile("^4\\d\\d found, page 1 of 11")))
                .isVisible();
        page.getByRole(AriaRole.SEARCHBOX).fill("E050");
        assertThat(page.getByText("1 found")).isVisible();
        page.getByText("E050").click();
        assertThat(page.getByText("E052 is preferred: independent of those who described the test"))
                .isVisible();
        page.goBack();
        page.getByRole(AriaRole.SEARCHBOX).fill("");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Kept, not used")))
                .click();
        assertThat(page.getByText(Pattern.compile("^13\\d found"))).isVisible();
    }

    @Test
    void examiners_follow_up_and_a_series_of_visits_are_calculated() {
        go("/library/calculators?both=20&first=5&second=10&neither=15");
        assertThat(page.getByText(Pattern.compile("Kappa 0\\.4"))).isVisible();
        assertThat(page.getByText("They agree on 70 % of the patients")).isVisible();
        page.getByLabel("Positive, had it", new Page.GetByLabelOptions().setExact(true))
                .fill("0");
        page.getByLabel("Positive, had it not").fill("0");
        assertThat(page.getByRole(AriaRole.ALERT))
                .hasText("At least one positive and one negative have to have been followed up.");
        page.getByLabel("Day of each visit").fill("0 14 28");
        assertThat(page.getByRole(AriaRole.ALERT).last()).containsText("3 days and 4 measures");
        page.getByLabel("Measured, such as millimetres").fill("40 47 54");
        assertThat(page.getByText(Pattern.compile("0\\.50 a day"))).isVisible();
    }

    @Test
    void the_calculators_answer_and_name_what_is_wrong() {
        go("/library/calculators?tp=12&fp=10&fn=4&tn=29");
        assertThat(page.getByRole(
                        AriaRole.ROW, new Page.GetByRoleOptions().setName(Pattern.compile("LR of a positive"))))
                .containsText("2.91.6 to 5.4");
        page.getByLabel("With it, negative").fill("four");
        assertThat(page.getByRole(AriaRole.ALERT))
                .hasText("With it, negative: a whole number from 0 to 1000000000 is needed.");
        page.getByLabel("Before, in 100").fill("20");
        assertThat(page.getByText(Pattern.compile("After it: 82 in 100"))).isVisible();
        Assertions.assertThat(page.url()).contains("before=20");
    }

    @Test
    void an_address_that_is_not_in_the_library_says_so() {
        go("/library/tests/sh-nothing");
        assertThat(page.getByText("Not in the library")).isVisible();
    }

    /** Measures, and does not judge, how long two hundred searches take. */
    @Test
    void two_hundred_searches() {
        go("/library");
        Locator box = page.getByRole(AriaRole.SEARCHBOX);
        assertThat(box).isVisible();
        List<String> words = List.of(
                "hawkins",
                "obrien",
                "crank",
                "supraspinatus",
                "labrum",
                "neck",
                "instability",
                "apprehention",
                "kim",
                "spurling",
                "biceps",
                "drop arm",
                "lag",
                "belly",
                "cross body",
                "phalen",
                "tenderness",
                "frozen shoulder",
                "tension",
                "internal rotation");
        List<Double> times = new ArrayList<>();
        for (int i = 0; i < 200; i++) {
            String whole = words.get(i % words.size());
            String typed =
                    whole.substring(0, Math.max(2, whole.length() - i / words.size() % 5)) + (i % 2 == 0 ? "" : " ");
            times.add(((Number) box.evaluate(TYPE_TO_LIST, typed)).doubleValue());
        }
        Collections.sort(times);
        Report.line(String.format(
                Locale.UK,
                "typing to list drawn, %d searches: median %.0f ms, 95th %.0f ms, worst %.0f ms",
                times.size(),
                times.get(100),
                times.get(190),
                times.get(199)));
        Assertions.assertThat(times).hasSize(200);
    }
}
