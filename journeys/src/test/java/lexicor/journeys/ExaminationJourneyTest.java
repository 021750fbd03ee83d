package lexicor.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Whole examinations by mouse. */
class ExaminationJourneyTest {

    private BrowserContext context;
    private Page page;

    @BeforeEach
    void open() {
        context = Suite.therapist(new Browser.NewContextOptions()
                .setViewportSize(1280, 800)
                .setPermissions(List.of("clipboard-read", "clipboard-write")));
        page = context.newPage();
    }

    @AfterEach
    void close() {
        context.close();
    }

    @Test
    void five_positive_tests_with_a_reload_in_the_middle_end_in_a_decided_set_and_a_note() {
        Bench bench = Bench.startExamination(page, Suite.server().address(), "JM-1");
        bench.tap(bench.uninvolved(), "Nothing")
                .tap(bench.involved(), "Familiar pain")
                .tapDial(70)
                .tapDial(90)
                .tapDial(110)
                .settled()
                .fitsWithoutScrolling();
        assertThat(bench.reading())
                .containsText("Counts for subacromial pain and full-thickness cuff tear: familiar pain, worst at 90°.");
        assertThat(bench.ranking()).containsText("Subacromial pain84");
        bench.next()
                .tap(bench.uninvolved(), "Nothing")
                .tap(bench.involved(), "Familiar pain")
                .tap(bench.involved(), "Weak")
                .settled()
                .fitsWithoutScrolling();
        assertThat(bench.reading()).containsText("familiar pain, strength weak");
        assertThat(bench.ranking()).containsText("2 of 2 positive so far");

        page.reload();
        assertThat(bench.title()).hasText("Resisted external rotation");
        assertThat(bench.involved().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setPressed(true)))
                .hasCount(2);

        bench.next()
                .tap(bench.uninvolved(), "Nothing")
                .tap(bench.involved(), "Familiar pain")
                .tap(bench.involved(), "Weak")
                .settled()
                .fitsWithoutScrolling();
        assertThat(bench.ranking()).containsText("3 of 3 positive, already decided: 3 or more");
        bench.stand("Forward flexion")
                .tap(bench.uninvolved(), "Nothing")
                .tap(bench.involved(), "Familiar pain, outer arm")
                .settled()
                .fitsWithoutScrolling();
        bench.next()
                .tap(bench.uninvolved(), "Nothing")
                .tap(bench.involved(), "Familiar pain, outer arm")
                .settled()
                .fitsWithoutScrolling();
        assertThat(bench.ranking()).containsText("5 of 5 positive, decided: 3 or more");
        assertThat(bench.ranking()).containsText("Next best");
        Report.line("taps, five tests all positive: " + bench.taps());

        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Weighing"))
                .click();
        assertThat(page.getByRole(AriaRole.MAIN))
                .containsText("share ground, correlation 0.37 (learnt from published sets)");
        assertThat(page.getByRole(AriaRole.MAIN)).containsText(Pattern.compile("together odds × \\d"));
        assertThat(page.getByRole(AriaRole.COMPLEMENTARY)).containsText("5 of 5 positive, decided: 3 or more");
        assertThat(page.getByRole(AriaRole.COMPLEMENTARY)).containsText("Validated set");
        page.locator("summary")
                .filter(new Locator.FilterOptions().setHasText("Painful arc"))
                .click();
        assertThat(page.getByRole(AriaRole.MAIN)).containsText("of 1000 such people 650 have it");
        assertThat(page.getByRole(AriaRole.MAIN)).containsText("unreviewed");
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Conditions"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^AC joint")))
                .click();
        assertThat(page.getByRole(AriaRole.MAIN)).containsText("each weighs like an average test");

        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Note"))
                .click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Copy the note"))
                .click();
        assertThat(page.getByText("Copied")).isVisible();
        Assertions.assertThat(String.valueOf(page.evaluate("navigator.clipboard.readText()")))
                .contains(
                        "Case JM-1, born 1986, Ferry deckhand",
                        "Subacromial set of five: 5 of 5 positive, decided: 3 or more");
    }

    @Test
    void nothing_on_both_sides_is_one_tap_a_test() {
        Bench bench = Bench.startExamination(page, Suite.server().address(), "JM-2");
        for (String next : List.of("Resisted external rotation", "Empty can", "Slow lowering")) {
            bench.tap("Nothing, both sides");
            assertThat(bench.title()).hasText(next);
        }
        bench.stand("Forward flexion").tap("Nothing, both sides");
        assertThat(bench.title()).hasText("Flexed int. rotation");
        bench.tap("Nothing, both sides").settled();
        assertThat(bench.ranking()).containsText("0 of 5 positive, decided: fewer than 3");
        assertThat(bench.ranking()).containsText("Subacromial pain14");
        Report.line("taps, five tests all negative: " + bench.taps());
        Assertions.assertThat(bench.taps()).isEqualTo(5);
    }

    @Test
    void the_weighing_says_what_is_shared_what_is_assumed_and_what_hangs_on_one_answer() {
        Bench bench = Bench.startExamination(page, Suite.server().address(), "JM-5");
        bench.quietFive();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Weighing"))
                .click();
        Locator main = page.getByRole(AriaRole.MAIN);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Subacromial pain")))
                .click();
        assertThat(main).containsText("now 14 in 100");
        assertThat(page.getByRole(AriaRole.COMPLEMENTARY)).containsText("They disagree about what to do.");
        Locator dial = page.getByLabel("Provocation and loading of the cuff");
        dial.fill("0.8");
        assertThat(main).containsText("Supposed: a correlation was set by hand for this look.");
        assertThat(main).not().containsText("now 14 in 100");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Put back 0.37"))
                .click();
        assertThat(main).containsText("now 14 in 100");
        assertThat(main).containsText("What would change the answer");
        assertThat(main).containsText("Against its rivals");
        assertThat(main).containsText("Looked for, not found (3)");
        page.getByText("Subacromial set of three teaches").click();
        assertThat(main).containsText("its levels contradict its tests");
    }

    @Test
    void another_school_of_adding_up_changes_the_chance_and_the_clinics_stays() {
        Bench bench = Bench.startExamination(page, Suite.server().address(), "JM-8");
        bench.quietFive();
        assertThat(bench.ranking()).containsText("Subacromial pain14");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Intake"))
                .click();
        page.getByText("Schools of this examination").click();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("A validated set, else the strongest finding"))
                .click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Weighing"))
                .click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Subacromial pain")))
                .click();
        Locator main = page.getByRole(AriaRole.MAIN);
        assertThat(main).containsText(Pattern.compile("now \\d+ in 100"));
        assertThat(main).not().containsText("now 14 in 100");
        assertThat(main).containsText("The set or the strongest finding stands for these, not added again");
        assertThat(page.getByRole(AriaRole.COMPLEMENTARY)).containsText("Validated set · used here");
        page.reload();
        assertThat(page.getByRole(AriaRole.COMPLEMENTARY)).containsText("Validated set · used here");
    }

    @Test
    void the_best_next_test_is_one_tap_away_and_joins_the_order() {
        Bench bench = Bench.startExamination(page, Suite.server().address(), "JM-6");
        bench.tap(bench.uninvolved(), "Nothing")
                .tap(bench.involved(), "Familiar pain")
                .tapDial(70)
                .tapDial(90)
                .tapDial(110)
                .settled();
        Locator next = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Next best"));
        String proposed = next.locator("strong").first().innerText().replace("Next best: ", "");
        next.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Go to ")))
                .click();
        assertThat(page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Order of the tests"))
                        .locator("[aria-current=step]"))
                .containsText(Pattern.compile(Pattern.quote(proposed) + "|Landmarks"));
        page.getByRole(AriaRole.MAIN)
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions()
                                .setName(Pattern.compile("^(Nothing|All else normal), both sides")))
                .first()
                .click();
        bench.settled();
        page.reload();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Note"))
                .click();
        assertThat(page.getByRole(AriaRole.MAIN))
                .containsText(Pattern.compile(
                        "Painful arc, right: .*(, right: |Landmarks.*: nothing found)", Pattern.DOTALL));
    }

    @Test
    void any_test_is_found_by_its_letters_and_a_measure_is_typed_stepped_or_dragged() {
        Bench bench = Bench.startExamination(page, Suite.server().address(), "JM-7");
        page.getByLabel("Another test").fill("shift");
        page.getByLabel("Another test").press("Enter");
        assertThat(bench.title()).hasText("Load and shift");
        bench.stand("Range of motion");
        Locator table = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Left and right"));
        Locator turn = table.getByLabel("External rotation, passive, right, in °");
        turn.fill("300");
        turn.press("Enter");
        assertThat(table.getByRole(AriaRole.ALERT)).hasText("0 to 120°");
        turn.fill("15");
        turn.press("Enter");
        table.getByLabel("External rotation, passive, left, in °").fill("60");
        table.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("External rotation, passive, left: more"))
                .click();
        bench.settled();
        assertThat(table.getByLabel("External rotation, passive, left, in °")).hasValue("65");
        assertThat(table.getByRole(AriaRole.ROW, new Locator.GetByRoleOptions().setName("External rotation, passive")))
                .containsText("-50°");
        var box = table.getByLabel("Flexion, passive, right, in °").boundingBox();
        page.mouse().move(box.x + 40, box.y + 20);
        page.mouse().down();
        page.mouse()
                .move(box.x + 40 - 9 * 14, box.y + 20, new com.microsoft.playwright.Mouse.MoveOptions().setSteps(20));
        page.mouse().up();
        bench.settled();
        assertThat(table.getByLabel("Flexion, passive, right, in °")).hasValue("100");
        page.reload();
        assertThat(turn).hasValue("15");
        assertThat(bench.ranking()).containsText("in 100");
    }

    @Test
    void the_last_reading_stands_in_the_next_cards_head_and_undo_takes_it_back() {
        Bench bench = Bench.startExamination(page, Suite.server().address(), "JM-3");
        bench.tap("Nothing, both sides").settled();
        assertThat(page.getByText("Painful arc. Counts against subacromial pain"))
                .isVisible();
        bench.tap("Undo").settled();
        assertThat(bench.title()).hasText("Painful arc");
        assertThat(bench.ranking()).containsText("Before any test");
        assertThat(bench.involved()
                        .getByRole(AriaRole.GROUP, new Locator.GetByRoleOptions().setName("Pain"))
                        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setPressed(true)))
                .hasCount(0);
    }

    @Test
    void pain_on_top_and_compensation_are_not_read_and_say_why() {
        Bench bench = Bench.startExamination(page, Suite.server().address(), "JM-4");
        bench.stand("Empty can")
                .tap(bench.involved(), "No pain")
                .tap(bench.involved(), "Full")
                .tap("Shrugs")
                .settled();
        assertThat(bench.reading()).containsText("Not read for subacromial pain");
        assertThat(bench.reading()).containsText("shrugging took up the push");
        bench.tap("Shrugs").settled();
        assertThat(bench.reading()).containsText("Counts against");
        bench.tap(bench.involved(), "Pain stops it")
                .tap(bench.involved(), "Familiar pain")
                .settled();
        assertThat(bench.reading()).containsText("it gave way with pain, so strength itself was not tested");
    }

    @Test
    void the_list_finds_a_case_and_goes_on_where_it_stood() {
        page.navigate(Suite.server().address() + "/");
        page.getByLabel("Find").fill("orchard");
        assertThat(page.getByText("1 case found")).isVisible();
        page.getByText("SL-0424").click();
        assertThat(new Bench(page).title()).hasText("Empty can");
        page.navigate(Suite.server().address() + "/");
        page.getByLabel("Find").fill("nobody");
        assertThat(page.getByText("No case matches")).isVisible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Show all cases"))
                .click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Suspended"))
                .click();
        assertThat(page.getByText("SL-0430")).isVisible();
        assertThat(page.getByText("SL-0424")).isHidden();
        page.getByText("SL-0430").click();
        assertThat(page.getByText("Testing is suspended").first()).isVisible();
    }
}
