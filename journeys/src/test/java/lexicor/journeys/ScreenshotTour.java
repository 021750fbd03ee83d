package lexicor.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/** Pictures of the main views from demo data. Run by name only, since it writes to the project. */
class ScreenshotTour {

    private final Path folder =
            Path.of(System.getProperty("lexicor.screenshots", System.getProperty("lexicor.reports")));

    @Test
    void the_main_views() {
        try (var context = Suite.therapist(
                new Browser.NewContextOptions().setViewportSize(1280, 800).setLocale("en-GB"))) {
            Page page = context.newPage();
            open(page, "/");
            assertThat(page.getByText("SL-0412")).isVisible();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Put it away"))
                    .click();
            take(page, "list");
            open(page, "/");
            page.getByText("SL-0424").click();
            assertThat(page.getByRole(AriaRole.COMPLEMENTARY)).containsText("Subacromial pain");
            take(page, "bench");
            open(page, "/");
            page.getByText("SL-0424").click();
            new Bench(page).settled();
            page.getByRole(
                            AriaRole.LINK,
                            new Page.GetByRoleOptions().setName("Plan").setExact(true))
                    .click();
            assertThat(page.getByText("What the minutes buy")).isVisible();
            take(page, "plan");
            open(page, "/");
            page.getByText("SL-0443").click();
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Conclude"))
                    .click();
            assertThat(page.getByText("Compared with 29 Oct 2026")).isVisible();
            take(page, "conclusion");
            open(page, "/");
            page.getByText("SL-0444").click();
            page.getByRole(
                            AriaRole.LINK,
                            new Page.GetByRoleOptions().setName("Note").setExact(true))
                    .click();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Report"))
                    .click();
            assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Print")))
                    .isEnabled();
            take(page, "report");
            open(page, "/");
            page.getByText("SL-0418").click();
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Weighing"))
                    .click();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Full cuff tear"))
                    .click();
            assertThat(page.getByText("What would change the answer")).isVisible();
            take(page, "weighing");
            open(page, "/");
            page.getByText("SL-0437").click();
            Bench wrist = new Bench(page).settled();
            take(page, "pathway");
            wrist.stand("Landmark walk").tap("First compartment, done").settled();
            take(page, "landmark-walk");
            open(page, "/");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Case SL-0391"))
                    .click();
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Course"))
                    .click();
            assertThat(page.getByText("Where conditions stood")).isVisible();
            take(page, "course");
            open(page, "/outcomes/accuracy");
            assertThat(page.getByText("Upper line:")).isVisible();
            take(page, "outcomes");
            intake(page);
        }
        try (var context = Suite.therapist(
                new Browser.NewContextOptions().setViewportSize(1280, 800).setLocale("en-GB"))) {
            Page page = context.newPage();
            open(page, "/library?find=crank");
            assertThat(page.getByText("is the name of 4 tests")).isVisible();
            take(page, "library");
            open(page, "/library/tests/sh-active-compression?for=acj&before=12");
            assertThat(page.getByText("If positive").first()).isVisible();
            take(page, "test-sheet");
            open(page, "/library/ledger?find=kim");
            assertThat(page.getByText("found")).isVisible();
            take(page, "ledger");
        }
        try (var context = Suite.therapist(
                new Browser.NewContextOptions().setViewportSize(390, 844).setLocale("en-GB"))) {
            Page page = context.newPage();
            open(page, "/");
            page.getByText("SL-0424").click();
            assertThat(page.getByRole(AriaRole.MAIN)).containsText("Subacromial pain");
            take(page, "bench-phone");
        }
    }

    private void intake(Page page) {
        open(page, "/");
        page.getByText("SL-0412").click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Intake"))
                .click();
        assertThat(page.getByText("Where it starts")).isVisible();
        take(page, "intake");
        open(page, "/?state=SUSPENDED");
        page.getByText("SL-0430").click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Intake"))
                .click();
        assertThat(page.getByText("Testing is suspended").first()).isVisible();
        take(page, "red-flag");
    }

    @Test
    void what_a_student_sees() {
        try (var context = Suite.signedIn(
                "E. Brook, student",
                new Browser.NewContextOptions().setViewportSize(1280, 800).setLocale("en-GB"))) {
            Page page = context.newPage();
            open(page, "/practice");
            page.getByLabel("Open a case file").setInputFiles(PracticeJourneyTest.patient("The baker"));
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Ask: safety"))
                    .click();
            page.getByLabel("What could it be?").selectOption("Subacromial pain");
            page.getByLabel("What else?").selectOption("Frozen shoulder");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Flexed int. rotation"))
                    .first()
                    .click();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Do it, well side first"))
                    .click();
            assertThat(page.getByRole(AriaRole.ARTICLE)).isVisible();
            page.getByRole(AriaRole.SLIDER).first().focus();
            page.keyboard().press("PageUp");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Put down and compare"))
                    .click();
            assertThat(page.getByText("Ring: mine. Tick: the weighing.")).isVisible();
            take(page, "practice");
        }
    }

    @Test
    void what_the_steward_and_the_administrator_see() {
        try (var context = Suite.signedIn(
                "M. Fell, steward",
                new Browser.NewContextOptions().setViewportSize(1280, 800).setLocale("en-GB"))) {
            Page page = context.newPage();
            open(page, "/setup/weighing");
            assertThat(page.getByText("Within groups")).isVisible();
            take(page, "setup-weighing");
        }
        try (var context = Suite.signedIn(
                "J. Gill, administrator",
                new Browser.NewContextOptions().setViewportSize(1280, 800).setLocale("en-GB"))) {
            Page page = context.newPage();
            open(page, "/setup/audit");
            assertThat(page.getByRole(AriaRole.TABLE)).isVisible();
            take(page, "audit");
        }
    }

    private static void open(Page page, String path) {
        page.navigate(Suite.server().address() + path);
    }

    private void take(Page page, String name) {
        page.evaluate("document.fonts.ready");
        page.screenshot(new Page.ScreenshotOptions().setPath(folder.resolve(name + ".png")));
    }
}
