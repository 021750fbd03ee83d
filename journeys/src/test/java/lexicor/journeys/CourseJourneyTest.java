package lexicor.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** One complaint over all its visits. */
class CourseJourneyTest extends TabletJourney {

    private void openCase(String code) {
        page.navigate(Suite.server().address() + "/");
        page.getByLabel("Find").fill(code);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Case " + code))
                .click();
    }

    private Locator section(String name) {
        return page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Locator row(Locator section, String text) {
        return section.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText(text));
    }

    @Test
    void measures_tests_and_conditions_stand_on_one_line_of_time_and_go_out_as_a_table() throws IOException {
        openCase("SL-0387");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Course"))
                .click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .hasText("Course of the right shoulder");
        assertThat(main()).containsText("5 visits in 119 days");
        Locator measures = section("Measures");
        assertThat(row(measures, "Flexion, °"))
                .containsText(Pattern.compile("Better\\s*120° to 166°, confirmed by the visit before"));
        assertThat(row(measures, "Pain now").getByRole(AriaRole.IMG))
                .hasAttribute("aria-label", "Pain now: 6 of 10, 5 of 10, 4 of 10, 2 of 10, 1 of 10");
        assertThat(measures).containsText("These spans are working estimates.");
        assertThat(row(section("Tests"), "Flexed int. rotation")).containsText("Turned negative");
        assertThat(row(section("Tests"), "Flexed int. rotation").getByRole(AriaRole.IMG))
                .hasAttribute(
                        "aria-label",
                        "Flexed int. rotation: positive, not interpretable, positive, positive, negative");
        assertThat(row(section("Where conditions stood"), "Subacromial pain")).isVisible();
        Download table = page.waitForDownload(
                () -> page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("As a table"))
                        .click());
        Assertions.assertThat(table.suggestedFilename()).isEqualTo("SL-0387-shoulder-course.csv");
        Assertions.assertThat(Files.readString(table.path()))
                .startsWith("day,date,kind,test,what,value")
                .contains("0,2026-07-06,measure,Range of motion,Flexion,120.0,,°,175.0,");
        measures.getByRole(AriaRole.LINK).first().click();
        assertThat(page).hasURL(Pattern.compile("/examinations/[^/]+/weighing$"));
    }

    @Test
    void a_nerve_that_regrows_says_its_pace_and_one_that_does_not_is_stalled() {
        openCase("SL-0391");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Course"))
                .click();
        assertThat(row(section("Measures"), "median, from wrist crease"))
                .containsText(Pattern.compile("Better.*Moves on by 0\\.9\\d mm a day", Pattern.DOTALL));
        assertThat(row(section("Measures"), "ulnar, from wrist crease")).containsText("Stalled");
        assertThat(row(section("Measures"), "Grip")).containsText("% of the other side now");
    }

    @Test
    void with_one_visit_there_is_no_course_yet() {
        openCase("SL-0412");
        assertThat(page.getByText("Complaints and visits")).isVisible();
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Course")))
                .hasCount(0);
    }

    @Test
    void a_positive_of_the_visit_before_is_recorded_again_with_one_tap() {
        Bench first = Bench.startExamination(page, Suite.server().address(), "CJ-1");
        first.stand("Forward flexion")
                .tap(first.involved(), "Familiar pain")
                .tap(first.involved(), "Outer arm")
                .settled();
        openCase("CJ-1");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Examine again"))
                .click();
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Bench").setExact(true))
                .click();
        Bench again = new Bench(page);
        Locator list = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("To do again"));
        assertThat(list).containsText(Pattern.compile("Forward flexion\\s*was positive"));
        list.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Forward flexion"))
                .click();
        again.tap("As before").settled();
        assertThat(again.title()).not().hasText("Forward flexion");
        assertThat(list).containsText("still positive");
        list.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Forward flexion"))
                .click();
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("As before")))
                .hasCount(0);
        again.tap(again.involved(), "No pain").settled();
        assertThat(list).containsText("negative now");
    }
}
