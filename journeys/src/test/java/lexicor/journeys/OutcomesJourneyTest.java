package lexicor.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.LocalDate;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What turned out, from the complaint that waits for it to the figures that it changes. */
class OutcomesJourneyTest extends TabletJourney {

    private void outcomes(String part) {
        page.navigate(Suite.server().address() + "/outcomes/" + part);
    }

    private Locator waiting(String code) {
        return page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText(code));
    }

    private void choose(String answer) {
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(answer).setExact(true))
                .click();
    }

    @Test
    void a_complaint_that_waits_gets_its_answer_and_one_entered_wrongly_is_withdrawn() {
        outcomes("waiting");
        assertThat(waiting("SL-0365")).containsText("Asked for: Full-thickness cuff tear");
        assertThat(waiting("SL-0365")).containsText("Next visit was 6 Jun 2026");
        waiting("SL-0365").getByRole(AriaRole.LINK).click();
        Locator form = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("A result"));
        assertThat(form.getByLabel("Of what")).hasValue("subacromial-pain");
        choose("Keep the result");
        assertThat(form).containsText("Choose what it says.");
        assertThat(form).containsText("Enter the day of the result.");
        form.getByLabel("Of what").selectOption("cuff-tear-full");
        choose("It was not");
        choose("Imaging");
        form.getByLabel("Day").fill(LocalDate.now().plusDays(3).toString());
        choose("Keep the result");
        assertThat(form).containsText("is to come; allowed: 30 April 2026 to");
        form.getByLabel("Day").fill("2026-06-02");
        form.getByLabel("Read by").fill("the radiologist");
        choose("Keep the result");
        Locator turned = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What turned out"));
        assertThat(turned.getByRole(AriaRole.LISTITEM))
                .containsText(Pattern.compile(
                        "Full-thickness cuff tear was not there.*2 Jun 2026, imaging, read by the radiologist"));
        outcomes("waiting");
        assertThat(page.getByText("signed complaints have a result")).isVisible();
        assertThat(waiting("SL-0365")).hasCount(0);

        page.goBack();
        turned.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Withdraw"))
                .click();
        turned.getByLabel("Why is it withdrawn?").fill("The picture was of the other shoulder");
        choose("Withdraw");
        assertThat(turned.getByRole(AriaRole.LISTITEM))
                .containsText(Pattern.compile("Withdrawn by .*: The picture was of the other shoulder"));
        outcomes("waiting");
        assertThat(waiting("SL-0365")).isVisible();
    }

    @Test
    void own_figures_stand_beside_the_published_and_say_when_they_are_too_few() {
        outcomes("accuracy");
        page.getByLabel("For which condition").selectOption("cuff-tear-full");
        assertThat(page).hasURL(Pattern.compile("/outcomes/accuracy/cuff-tear-full$"));
        assertThat(page.getByText("Figures are corrected for those without one"))
                .isVisible();
        Locator can = page.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("Empty can"))
                .first();
        assertThat(can).containsText(Pattern.compile("Positive: there in \\d+, not in \\d+"));
        assertThat(can.getByRole(AriaRole.IMG).first())
                .hasAttribute(
                        "aria-label", Pattern.compile("^Sensitivity in 100: published .*, our own .*, together .*"));
    }

    @Test
    void stated_chances_stand_against_what_came_true_the_weighings_and_ones_own() {
        outcomes("calibration");
        Locator weighing = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("The weighing"));
        assertThat(weighing).containsText(Pattern.compile("of \\d+ came true"));
        assertThat(weighing).containsText("Mean squared distance (Brier)");
        assertThat(weighing.getByRole(AriaRole.IMG))
                .hasAttribute("aria-label", Pattern.compile("^Stated against what came true"));
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("My own conclusions")))
                .containsText("Nobody else sees this.");
    }

    @Test
    void a_second_examiner_begins_blind_and_the_two_are_compared() {
        Bench.startExamination(page, Suite.server().address(), "OJ-1").quietFive();
        try (BrowserContext other = Suite.signedIn("S. Wold, therapist", Suite.tablet())) {
            Page second = other.newPage();
            second.navigate(Suite.server().address() + "/");
            second.getByLabel("Find").fill("OJ-1");
            second.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Case OJ-1"))
                    .click();
            second.getByText("Examine as second examiner").click();
            assertThat(second).hasURL(Pattern.compile("/examinations/[^/]+/intake$"));
            second.navigate(Suite.server().address() + "/");
            second.getByLabel("Find").fill("OJ-1");
            second.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Case OJ-1"))
                    .click();
            assertThat(second.getByText("Hidden until you have signed yours")).isVisible();
            assertThat(second.getByText("Examine as second examiner")).hasCount(0);
        }
        outcomes("agreement");
        assertThat(page.getByText("were examined by two people on one day")).isVisible();
        assertThat(page.getByRole(AriaRole.ROW)
                        .filter(new Locator.FilterOptions().setHasText("Empty can"))
                        .first())
                .containsText(Pattern.compile("-?\\d\\.\\d\\d, -?\\d\\.\\d\\d to -?\\d\\.\\d\\d"));
    }
}
