package lexicor.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.Media;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** The plan for the time there is, taken to the bench and put back. */
class PlanJourneyTest extends TabletJourney {

    private void press(Locator within, String name) {
        within.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(name).setExact(true))
                .click();
    }

    private Locator time() {
        return page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Time there is"));
    }

    private void goToPlan() {
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Plan").setExact(true))
                .click();
        assertThat(page.getByText("What the minutes buy")).isVisible();
    }

    /** The tests in the order in which they stand. */
    private Locator rows() {
        return main().locator("ol li");
    }

    private Locator summary() {
        return main().locator("p[role=status]");
    }

    private Locator comparison() {
        return page.getByRole(AriaRole.TABLE);
    }

    @Test
    void a_plan_is_made_for_ten_minutes_taken_with_one_tap_and_put_back() {
        Bench bench = Bench.startExamination(page, Suite.server().address(), "PJ-1");
        goToPlan();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .hasText("Plan");
        long began = System.nanoTime();
        press(time(), "10 min");
        assertThat(main())
                .containsText(
                        Pattern.compile(
                                "\\d+ tests, (9|10) min, \\d changes? of position\\. By figures, \\d+ in 100 of what all tests could tell\\."));
        Report.line(String.format(
                Locale.UK, "plan for ten minutes of a shoulder: %.1f s", (System.nanoTime() - began) / 1e9));
        assertThat(main()).containsText("Neck screen");
        assertThat(main()).containsText("if positive");
        main().getByText(Pattern.compile("^Only if the screen finds something, \\d+"))
                .click();
        press(main(), "Do it in this order");
        assertThat(bench.rail()
                        .getByRole(AriaRole.LISTITEM)
                        .first()
                        .getByRole(AriaRole.BUTTON)
                        .first())
                .hasAttribute("aria-current", "step");
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
        assertThat(main()).containsText("Only the most valuable tests, up to");
        press(time(), "5 min");
        assertThat(main()).containsText(Pattern.compile("\\d+ tests?, [3-5] min"));
    }

    @Test
    void a_plan_is_changed_with_the_keyboard_weighed_at_once_kept_over_a_reload_and_put_back() {
        Bench.startExamination(page, Suite.server().address(), "PJ-2");
        goToPlan();
        press(time(), "10 min");
        assertThat(summary()).containsText(Pattern.compile("\\d+ tests, (9|10) min"));
        assertThat(rows().nth(1)).containsText("Neck screen");
        rows().nth(1)
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Move Neck screen"))
                .focus();
        page.keyboard().press("Space");
        assertThat(page.getByText("Neck screen is at place 2 of")).isAttached();
        page.keyboard().press("ArrowDown");
        assertThat(page.getByText("Neck screen is at place 3 of")).isAttached();
        page.keyboard().press("Space");
        assertThat(summary()).containsText("Mine, from the proposal");
        assertThat(rows().nth(2)).containsText("Neck screen");
        assertThat(rows().nth(2)).containsText("yours;");
        assertThat(comparison()).containsText("Changes of position");
        int before = rows().count();
        press(main(), "Leave out Inspection");
        assertThat(rows()).hasCount(before - 1);
        page.reload();
        assertThat(summary()).containsText("Mine, from the proposal");
        assertThat(rows()).hasCount(before - 1);
        assertThat(rows().nth(1)).containsText("Neck screen");
        main().getByText(Pattern.compile("^Would tell something too, \\d+")).click();
        press(main(), "Put in Inspection");
        assertThat(rows()).hasCount(before);
        press(main(), "Undo");
        assertThat(rows()).hasCount(before - 1);
        press(main(), "Back to the proposal");
        assertThat(rows().nth(1)).containsText("Neck screen");
        assertThat(comparison()).hasCount(0);
    }

    @Test
    void an_order_that_goes_against_the_rules_says_so_and_goes_to_the_bench_as_it_is() {
        Bench bench = Bench.startExamination(page, Suite.server().address(), "PJ-3");
        goToPlan();
        page.getByLabel("Start from a routine").selectOption("Shoulder, quick");
        assertThat(summary()).containsText("Mine, from “Shoulder, quick”: 10 tests");
        main().locator("details")
                .filter(new Locator.FilterOptions().setHasText("Anterior apprehension"))
                .locator("summary")
                .click();
        press(main(), "Put in Anterior apprehension");
        rows().filter(new Locator.FilterOptions().setHasText("Anterior apprehension"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Move"))
                .focus();
        page.keyboard().press("Space");
        assertThat(page.getByText("Anterior apprehension is at place 11")).isAttached();
        page.keyboard().press("ArrowUp");
        assertThat(page.getByText("Anterior apprehension is at place 10")).isAttached();
        page.keyboard().press("Space");
        assertThat(page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("What speaks against this order")))
                .containsText("what frightens or hurts goes last");
        press(main(), "Do it in this order");
        assertThat(bench.rail()).containsText("Sitting");
        assertThat(bench.saved()).hasText("Saved");
        goToPlan();
        assertThat(summary()).not().containsText("Mine");
    }

    @Test
    void results_settle_tests_and_one_that_was_moved_by_hand_is_asked_about() {
        Bench bench = Bench.startExamination(page, Suite.server().address(), "PJ-4");
        goToPlan();
        press(time(), "20 min");
        assertThat(rows().filter(new Locator.FilterOptions().setHasText("Deltoid badge sensation")))
                .hasCount(1);
        Locator moved = rows().filter(new Locator.FilterOptions().setHasText("Cross-body adduction"));
        moved.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Move"))
                .focus();
        page.keyboard().press("Space");
        Locator said = page.getByText(Pattern.compile("^Cross-body adduction is at place"));
        assertThat(said).isAttached();
        String before = said.innerText();
        page.keyboard().press("ArrowDown");
        assertThat(said).not().hasText(before);
        page.keyboard().press("Space");
        assertThat(moved).containsText("yours;");
        press(main(), "Do it in this order");
        Locator since = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("The plan since"));
        bench.reach("Resisted horiz. abduction");
        bench.tap("Nothing, both sides").settled();
        assertThat(since).containsText("Cross-body adduction would settle nothing more. You put it in: leave it out?");
        press(since, "Leave out Cross-body adduction");
        assertThat(since).hasCount(0);
        for (String quiet : List.of("Coracoid pressure", "Painful arc", "Anterior drawer")) {
            bench.reach(quiet);
            bench.tap("Nothing, both sides").settled();
        }
        assertThat(since).containsText("Settled, out of the plan: Range of motion");
        page.reload();
        assertThat(since).containsText("Settled, out of the plan: Range of motion");
        for (int undone = 0; undone < 3; undone++) {
            bench.tap("Undo").settled();
        }
        assertThat(since).hasCount(0);
    }

    @Test
    void the_pocket_card_is_on_paper_alone_and_fits_it() {
        Bench.startExamination(page, Suite.server().address(), "PJ-5");
        goToPlan();
        press(time(), "10 min");
        assertThat(summary()).containsText(Pattern.compile("tests, (9|10) min"));
        Locator card = page.locator(".pocket");
        assertThat(card).isHidden();
        page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.PRINT));
        assertThat(card).isVisible();
        assertThat(card).containsText("Neck screen");
        assertThat(page.getByText("What the minutes buy")).isHidden();
        byte[] paper = page.pdf(new Page.PdfOptions().setPreferCSSPageSize(true));
        Assertions.assertThat(new String(paper, StandardCharsets.ISO_8859_1))
                .as("one leaf of A6")
                .containsPattern("/Count 1\\b")
                .containsPattern("/MediaBox \\[0 0 29[78]");
    }

    @Test
    void a_steward_makes_a_routine_the_clinics_own_and_a_therapist_starts_from_it() {
        try (BrowserContext context = Suite.signedIn("M. Fell, steward", Suite.tablet())) {
            Page setup = context.newPage();
            setup.navigate(Suite.server().address() + "/setup/routines");
            setup.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Elbow"))
                    .click();
            Locator view = setup.getByRole(AriaRole.MAIN);
            assertThat(setup.getByLabel("Name")).hasValue("Elbow, three sides");
            setup.getByLabel("Name").fill("");
            setup.getByLabel("Name").pressSequentially("Elbow after work");
            press(view, "Leave out Radial head");
            setup.getByLabel("Seconds for Biceps hook").fill("90");
            assertThat(view.getByRole(AriaRole.COMPLEMENTARY)).containsText("20 tests");
            setup.reload();
            setup.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Elbow"))
                    .click();
            assertThat(setup.getByLabel("Name")).hasValue("Elbow after work");
            press(view, "Keep as ours");
            assertThat(view.getByRole(AriaRole.LIST, new Locator.GetByRoleOptions().setName("Routines")))
                    .containsText("Elbow after work ours");
            press(view, "Leave out Look at the elbow");
            press(view, "Undo changes");
            page.navigate(Suite.server().address() + "/");
            open("SL-0434");
            goToPlan();
            page.getByLabel("Start from a routine").selectOption("Elbow after work (ours)");
            assertThat(summary()).containsText("Mine, from “Elbow after work”");
            assertThat(rows().filter(new Locator.FilterOptions().setHasText("Radial head")))
                    .hasCount(0);
            press(main(), "Back to the proposal");
            press(view, "Remove");
            press(view, "Yes, remove it");
            assertThat(view.getByRole(AriaRole.LIST, new Locator.GetByRoleOptions().setName("Routines")))
                    .not()
                    .containsText("Elbow after work");
        }
    }

    @Test
    void a_plan_says_what_it_leaves_open_and_what_is_not_in_ones_hands_is_not_proposed() {
        Bench.startExamination(page, Suite.server().address(), "PJ-9");
        goToPlan();
        press(time(), "10 min");
        Locator open = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("May stay open"));
        assertThat(open).containsText(Pattern.compile("\\d+ in 100.*Now \\d+", Pattern.DOTALL));
        assertThat(open).containsText("To consider instead:");
        main().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Leave out Painful arc"))
                .click();
        assertThat(main()).containsText("Only proposed: Painful arc");
        main().locator("details")
                .filter(new Locator.FilterOptions().setHasText("Painful arc"))
                .locator("summary")
                .click();
        main().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Not in my hands: Painful arc"))
                .click();
        press(main(), "Back to the proposal");
        assertThat(summary()).containsText("Without painful arc, which you do not do");
        main().getByText("Not in my hands, 1").click();
        main().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("I do it: Painful arc"))
                .click();
        assertThat(rows().filter(new Locator.FilterOptions().setHasText("Painful arc")))
                .hasCount(1);
    }
}
