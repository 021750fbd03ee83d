package lexicor.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The therapist's own word, beside the ranking. */
class ConcludeJourneyTest extends TabletJourney {

    private void conclude() {
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Conclude"))
                .click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .hasText("Conclusion");
    }

    private void tap(String group, String name) {
        page.getByRole(
                        AriaRole.GROUP,
                        new Page.GetByRoleOptions().setName(group).setExact(true))
                .getByRole(
                        AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^(\\d\\. )?" + name)))
                .first()
                .click();
    }

    @Test
    void a_conclusion_is_told_in_few_taps_and_stands_in_the_note() {
        open("SL-0440");
        conclude();
        tap("Working diagnosis", "Lateral elbow");
        tap("It could also be", "Cubital tunnel");
        tap("How sure are you?", "Very likely");
        tap("Test again", "Grip, bent and straight");
        page.getByLabel("Advice given").fill("Load it a little every day; the fence can wait a week.");
        page.getByLabel("Advice given").press("Tab");
        assertThat(new Bench(page).saved()).isVisible();
        assertThat(main()).containsText("very likely: 85 in 100");
        page.reload();
        assertThat(page.getByLabel("Advice given")).hasValue("Load it a little every day; the fence can wait a week.");
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Note").setExact(true))
                .click();
        assertThat(main())
                .containsText(Pattern.compile(
                        "Conclusion of the therapist.*Working diagnosis: Lateral elbow tendinopathy, very likely \\(85 in 100 by the therapist\\).*It could also be: Ulnar neuropathy at the elbow.*"
                                + "Advice: Load it a little every day; the fence can wait a week\\..*Test again: grip, bent and straight",
                        Pattern.DOTALL));
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Form"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Short"))
                .click();
        assertThat(main()).containsText("Positive: ");
        assertThat(main()).not().containsText("Findings");
        page.reload();
        assertThat(main()).containsText("Positive: ");
    }

    @Test
    void where_the_ranking_says_otherwise_why_is_asked_and_never_required() {
        open("SL-0412");
        conclude();
        page.getByLabel("Another condition").selectOption("frozen-shoulder");
        assertThat(main()).containsText(Pattern.compile("The ranking puts subacromial pain first, \\d+ in 100"));
        page.getByLabel("Why do you see it otherwise?").fill("Passive rotation is short as well");
        page.getByLabel("Why do you see it otherwise?").press("Tab");
        assertThat(new Bench(page).saved()).isVisible();
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Note").setExact(true))
                .click();
        assertThat(main()).containsText("why otherwise: Passive rotation is short as well");
        conclude();
        tap("Working diagnosis", "Frozen shoulder");
        assertThat(main()).not().containsText("The ranking puts");
    }
}
