package lexicor.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** What stands first where somebody looks, and what is behind it. */
class FirstSightJourneyTest extends TabletJourney {

    private void press(String name) {
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name))
                .first()
                .click();
    }

    @Test
    void the_tour_is_shown_once_and_stays_in_the_help() {
        page.navigate(Suite.server().address() + "/");
        Locator tour = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("How an examination goes"));
        assertThat(tour.getByRole(AriaRole.LISTITEM)).hasCount(4);
        press("Put it away");
        assertThat(tour).isHidden();
        page.reload();
        assertThat(page.getByText("Find")).isVisible();
        assertThat(tour).isHidden();
        press("R. Tarn");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Help"))
                .click();
        assertThat(main().getByText("4. Weigh.")).isVisible();
        assertThat(main()).containsText("Well side first, then the involved side");
        assertThat(main()).containsText("It is never taken for “none”.");
    }

    @Test
    void the_list_says_what_a_case_waits_for_and_no_chance_before_hands_were_on_the_patient() {
        Bench.startExamination(page, Suite.server().address(), "FS-1");
        page.navigate(Suite.server().address() + "/");
        Locator today = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Today"));
        assertThat(today.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("FS-1")))
                .containsText("To be examined");
        page.getByLabel("Find").fill("SL-0430");
        assertThat(page.getByText("1 case found")).isVisible();
        Locator suspended =
                main().getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("SL-0430"));
        assertThat(suspended).containsText("Red flag to look into");
        assertThat(suspended).not().containsText("in 100");
    }

    @Test
    void what_is_suspended_shows_the_stop_and_no_way_to_the_tests() {
        page.navigate(Suite.server().address() + "/");
        page.getByLabel("Find").fill("SL-0430");
        page.getByText("SL-0430").click();
        assertThat(page.getByText("Testing is suspended").first()).isVisible();
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("To the bench")))
                .hasCount(0);
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Bench").setExact(true))
                .click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Testing is suspended")))
                .isVisible();
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Nothing, both sides")))
                .hasCount(0);
        main().getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Conclude what is to be done"))
                .click();
        assertThat(main()).containsText("Yours. Nothing is concluded for you.");
    }

    @Test
    void a_weighing_is_shown_large_with_three_sentences_and_put_away_by_escape() {
        open("SL-0421");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Weighing"))
                .click();
        press("Show it large");
        Locator shown = page.getByRole(AriaRole.DIALOG);
        assertThat(shown).containsText(Pattern.compile("[A-Z][a-z ]+ \\d+ in 100"));
        assertThat(shown).containsText(Pattern.compile("Of 1000 people who come like this, about \\d+ have"));
        assertThat(shown).containsText(Pattern.compile("about \\d+ have it; by what is known of these tests"));
        assertThat(shown).not().containsText("SL-0421");
        page.keyboard().press("Escape");
        assertThat(shown).isHidden();
        page.getByLabel("What the beam shows").click();
        assertThat(main()).containsText("Each weight is one finding");
    }

    @Test
    void the_figure_of_a_card_is_enlarged_by_a_tap() {
        Bench bench = open("SL-0421");
        bench.stand("Empty can");
        page.getByTitle("Enlarge").click();
        Locator large = page.getByRole(AriaRole.DIALOG);
        assertThat(large.getByRole(AriaRole.IMG)).isVisible();
        assertThat(large).containsText("You push downwards at the wrist.");
        large.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Close"))
                .click();
        assertThat(large).isHidden();
        bench.tap(bench.uninvolved(), "Nothing").settled();
    }

    @Test
    void two_stories_are_set_side_by_side_as_if_nothing_had_been_tested() {
        open("SL-0435");
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Plan").setExact(true))
                .click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Beside another patient’s plan"))
                .click();
        page.getByLabel("Another patient with a shoulder").fill("SL-0421");
        Locator others = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Another patient"));
        assertThat(others.getByRole(AriaRole.LISTITEM)).hasCount(1);
        others.getByRole(AriaRole.BUTTON).click();
        assertThat(main())
                .containsText(Pattern.compile("\\d+ tests? (is|are) in both plans; [1-9]\\d* and [1-9]\\d* differ\\."));
        Locator loose = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("SL-0435"));
        assertThat(loose).containsText("Instability: Feels loose or slips");
        assertThat(loose).containsText("Anterior instability");
        Locator painful = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("SL-0421"));
        assertThat(painful).containsText("How did it begin: Slowly");
        String long15 = main().innerText();
        press("5 min");
        assertThat(loose).containsText(Pattern.compile("In all \\d+ tests?, [1-5] min"));
        Assertions.assertThat(main().innerText()).isNotEqualTo(long15);
        page.reload();
        assertThat(painful).isVisible();
        press("Another patient");
        assertThat(others).isVisible();
    }

    @Test
    void on_a_phone_the_leading_conditions_are_a_line_that_opens_to_the_ranking() {
        try (BrowserContext phone = Suite.therapist(
                new Browser.NewContextOptions().setViewportSize(390, 844).setLocale("en-GB"))) {
            page = phone.newPage();
            Bench bench = open("SL-0421");
            assertThat(bench.ranking()).isHidden();
            Assertions.assertThat(page.getByRole(AriaRole.BANNER).boundingBox().height)
                    .as("the head of a phone")
                    .isLessThan(110);
            Locator line =
                    main().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Subacromial pain"));
            line.click();
            assertThat(bench.ranking()).containsText("in 100, could be");
            bench.ranking()
                    .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Close"))
                    .click();
            assertThat(bench.ranking()).isHidden();
        }
    }
}
