package lexicor.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.Locale;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** The bench in each of the ways in which a response is taken. */
class BenchJourneyTest extends TabletJourney {

    private Locator button(String name) {
        return page.getByRole(AriaRole.MAIN)
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(name).setExact(true));
    }

    @Test
    void a_whole_shoulder_of_more_than_twenty_tests_with_three_findings() {
        Bench bench = Bench.startExamination(page, Suite.server().address(), "BJ-1");
        int before = bench.taps();
        bench.stand("Look");
        long began = System.nanoTime();
        bench.tap("All else normal, both sides");
        bench.tap(bench.uninvolved(), "Nothing")
                .tap(bench.involved(), "Familiar pain, outer arm")
                .tapDial(70)
                .tapDial(90)
                .tapDial(110)
                .next();
        bench.tap(bench.uninvolved(), "Nothing")
                .tap(bench.involved(), "Familiar pain, pain stops it, outer arm")
                .next();
        bench.tap("Nothing, both sides").tap("Nothing, both sides").tap("Nothing, both sides");
        assertThat(bench.title()).hasText("Reach behind the back");
        bench.tap("Leave out").tap("No time");
        assertThat(bench.title()).hasText("Sitting");
        assertThat(main()).containsText("At hand: goniometer");
        bench.tap("Ready").tap("Nothing, both sides");
        assertThat(bench.title()).hasText("Landmarks");
        bench.tap("Greater tuberosity, not done yet")
                .tap("Greater tuberosity tenderness, right: Familiar")
                .tap("All else normal, both sides");
        for (String next : new String[] {
            "Belly press",
            "Forward flexion",
            "Flexed int. rotation",
            "Cross-body adduction",
            "Active compression",
            "Sulcus"
        }) {
            bench.tap("Nothing, both sides");
            assertThat(bench.title()).hasText(next);
        }
        bench.tap("Nothing, both sides");
        assertThat(bench.title()).hasText("Supine");
        bench.tap("Ready")
                .tap("Leave out")
                .tap("No time")
                .tap("Nothing, both sides")
                .settled();
        double seconds = (System.nanoTime() - began) / 1e9;
        Report.line(String.format(
                Locale.UK,
                "whole shoulder, 27 tests, three findings, two left out: %d taps, %.1f s of interface by machine",
                bench.taps() - before,
                seconds));
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Note"))
                .click();
        assertThat(main()).containsText("Look: nothing found");
        assertThat(main())
                .containsText(
                        "Greater tuberosity tenderness (GT tenderness), right: tender, familiar; left: not tender");
        assertThat(main()).containsText("Reach behind the back (hand behind back), right: left out, no time");
    }

    @Test
    void apprehension_closes_further_provocation_and_opens_relocation_and_undo_takes_both_back() {
        Bench bench = Bench.startExamination(page, Suite.server().address(), "BJ-2");
        bench.stand("Anterior apprehension");
        assertThat(bench.rail()).not().containsText("Relocation");
        bench.tap(bench.uninvolved(), "Nothing")
                .tap(bench.involved(), "Apprehension, no pain")
                .settled();
        assertThat(main()).containsText("Stop here. Apprehension is the answer");
        assertThat(bench.rail()).containsText("Relocation");
        page.getByLabel("Another test").fill("fulcrum");
        page.getByLabel("Another test").press("Enter");
        assertThat(main()).containsText("Closed by anterior apprehension: apprehension is the answer");
        assertThat(bench.involved()).isHidden();
        bench.stand("Anterior apprehension")
                .next()
                .tap(bench.involved(), "Of apprehension")
                .settled();
        assertThat(bench.reading()).containsText("apprehension relieved by the backward push");
        assertThat(bench.rail()).not().containsText("Release");
        bench.tap("Undo").tap("Undo").settled();
        assertThat(bench.rail()).not().containsText("Relocation");
        bench.tap("Redo").settled();
        assertThat(bench.rail()).containsText("Relocation");
    }

    @Test
    void without_a_connection_the_page_itself_keeps_a_joint_in_peace() {
        Bench bench = Bench.startExamination(page, Suite.server().address(), "BJ-3");
        bench.stand("Anterior apprehension").settled();
        context.setOffline(true);
        bench.tap(bench.involved(), "Apprehension, no pain");
        assertThat(page.getByText("No connection.")).isVisible();
        page.getByLabel("Another test").fill("fulcrum");
        page.getByLabel("Another test").press("Enter");
        assertThat(main()).containsText("Closed by anterior apprehension");
        assertThat(bench.rail()).not().containsText("Relocation");
        context.setOffline(false);
        bench.settled();
        assertThat(bench.rail()).containsText("Relocation");
    }

    @Test
    void the_page_loads_without_a_connection_and_goes_on_where_it_was() {
        Bench bench = Bench.startExamination(page, Suite.server().address(), "BJ-4");
        bench.tap("Nothing, both sides").settled();
        page.waitForFunction(
                "() => navigator.serviceWorker.controller !== null && caches.open('lexicor-shell').then(shell => shell.keys()).then(keys => keys.length > 3)");
        context.setOffline(true);
        bench.tap(bench.involved(), "No pain, weak");
        assertThat(page.getByText("1 kept here, nothing is lost.")).isVisible();
        page.reload();
        assertThat(bench.title()).hasText("Resisted external rotation");
        assertThat(page.getByText("1 kept here, nothing is lost.")).isVisible();
        assertThat(bench.involved()
                        .getByRole(
                                AriaRole.BUTTON,
                                new Locator.GetByRoleOptions()
                                        .setName("No pain, weak")
                                        .setPressed(true)))
                .isVisible();
        bench.next().tap("Nothing, both sides");
        assertThat(page.getByText("3 kept here, nothing is lost.")).isVisible();
        context.setOffline(false);
        bench.settled();
        assertThat(bench.ranking()).containsText("1 of 3 positive so far");
    }

    @Test
    void a_hold_is_timed_through_a_reload_and_its_onset_is_one_tap() {
        page.clock().install();
        Bench bench = open("SL-0432");
        bench.stand("Wrist flexion held");
        bench.tap("Time it again");
        page.clock().runFor(8_000);
        page.reload();
        page.clock().runFor(14_000);
        assertThat(page.getByRole(AriaRole.TIMER))
                .containsText(Pattern.compile("^(2[2-9]|3\\d) s")); // the page's own time goes on meanwhile
        bench.tap("It begins");
        page.clock().runFor(2_000);
        assertThat(page.getByRole(AriaRole.TIMER)).containsText("to onset");
        assertThat(bench.involved()
                        .getByRole(
                                AriaRole.BUTTON,
                                new Locator.GetByRoleOptions()
                                        .setName("Tingling")
                                        .setPressed(true)))
                .isVisible();
        assertThat(main()).containsText("Stop here. The symptom has come; its seconds are noted.");
    }

    @Test
    void saying_that_it_tingles_stops_the_clock_and_records_the_onset() {
        page.clock().install();
        Bench bench = Bench.startExamination(page, Suite.server().address(), "BJ-21");
        bench.add("phalen");
        assertThat(bench.title()).hasText("Wrist flexion held");
        bench.tap("Start the time");
        page.clock().runFor(12_000);
        bench.tap(bench.involved(), "Tingling");
        page.clock().runFor(2_000);
        assertThat(page.getByRole(AriaRole.TIMER)).containsText("to onset");
        assertThat(bench.involved()
                        .getByRole(
                                AriaRole.BUTTON,
                                new Locator.GetByRoleOptions()
                                        .setName("Tingling")
                                        .setPressed(true)))
                .isVisible();
        assertThat(main()).containsText("Stop here. The symptom has come; its seconds are noted.");
    }

    @Test
    void how_a_test_was_done_is_one_tap_before_or_after_the_answer() {
        Bench bench = Bench.startExamination(page, Suite.server().address(), "BJ-22");
        bench.stand("Slow lowering").tap("Done", "Small lift and let go");
        page.reload();
        assertThat(main()).containsText("Noted, not weighed: loosely described, never measured.");
        bench.tap(bench.involved(), "Drops").tap(bench.involved(), "No pain").settled();
        assertThat(bench.reading()).containsText("Not read for");
        assertThat(bench.reading()).containsText("done another way (small lift and let go)");
        bench.tap("Done", "Slow lowering").settled();
        assertThat(bench.reading()).containsText("Counts for");
        bench.tap("Undo").settled();
        assertThat(bench.reading()).containsText("Not read for");
    }

    @Test
    void a_test_of_another_region_is_found_in_any_spelling_and_its_condition_joins_the_ranking() {
        Bench bench = Bench.startExamination(page, Suite.server().address(), "BJ-23");
        bench.add("falens");
        assertThat(bench.title()).hasText("Wrist flexion held");
        bench.tap(bench.involved(), "Tingling").tap(bench.involved(), "Index").settled();
        assertThat(bench.reading()).containsText("carpal tunnel syndrome");
        page.getByLabel("Another test").fill("jobe");
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Tests called Jobe"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Empty can"))
                .click();
        assertThat(bench.title()).hasText("Empty can");
    }

    @Test
    void a_range_is_full_on_both_sides_with_one_tap_or_by_eye_line_by_line() {
        Bench bench = Bench.startExamination(page, Suite.server().address(), "BJ-24");
        bench.stand("Range of motion").tap("Nothing, both sides").settled();
        bench.stand("Range of motion");
        assertThat(page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions()
                                .setName("External rotation, passive, right: Full")
                                .setPressed(true)))
                .isVisible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("External rotation, passive, right: Short"))
                .click();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions()
                                .setName("External rotation, passive, right: Full")
                                .setPressed(false))
                .waitFor();
        bench.settled();
        assertThat(bench.reading()).not().containsText("Counts against frozen shoulder");
    }

    @Test
    void a_hold_ends_by_itself_at_the_studied_time_and_is_not_taken_for_a_finding() {
        page.clock().install();
        Bench bench = open("SL-0434");
        bench.reach("Elbow flexion held");
        page.keyboard().press("Space");
        page.clock().runFor(45_000);
        assertThat(page.getByRole(AriaRole.TIMER)).containsText(Pattern.compile("^(4[5-9]|5\\d) s"));
        page.clock().runFor(16_000);
        assertThat(button("Time it again")).isVisible();
        assertThat(page.getByRole(AriaRole.TIMER)).containsText("60 s");
        assertThat(bench.reading()).containsText("More of the response is needed");
        bench.tap(bench.involved(), "None");
        page.clock().runFor(3_000);
        assertThat(bench.reading()).containsText("no tingling");
    }

    @Test
    void three_positions_of_both_sides_are_read_as_one_and_normal_is_one_tap() {
        Bench bench = open("SL-0433");
        bench.stand("Distal radioulnar shift");
        assertThat(bench.reading()).containsText("more shift than the other side, without a firm end");
        bench.tap("Pronation, right", "Firm").settled();
        assertThat(bench.reading()).not().containsText("without a firm end");
        bench.tap("Nothing, both sides").settled();
        assertThat(bench.title()).not().hasText("Distal radioulnar shift");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Note"))
                .click();
        assertThat(main()).containsText("end point firm, no pain");
    }

    @Test
    void a_gauge_fills_the_tries_in_turn_and_a_lost_one_leaves_typing_in_reach() {
        Bench bench = Bench.startExamination(page, Suite.server().address(), "BJ-5");
        bench.stand("Belly press").tap("Gauge").tap("Join").tap("Strong");
        Locator gauge = page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName("Gauge").setExact(true));
        assertThat(gauge.getByLabel("Force, try 1, left, in N")).not().hasValue("");
        bench.tap("Gives way");
        assertThat(gauge.getByLabel("Force, try 1, right, in N")).not().hasValue("");
        assertThat(page.getByLabel("Gave way after, right, in s")).hasValue("1");
        bench.tap("Lose it");
        assertThat(gauge).containsText("lost. Type the readings");
        gauge.getByLabel("Force, try 2, left, in N").fill("100");
        gauge.getByLabel("Force, try 2, left, in N").press("Enter");
        gauge.getByLabel("Force, try 1, right, in N").fill("70");
        gauge.getByLabel("Force, try 1, right, in N").press("Enter");
        bench.settled();
        assertThat(gauge).containsText(Pattern.compile("\\d+% of the left side"));
        page.reload();
        bench.tap("Gauge");
        assertThat(gauge.getByLabel("Force, try 1, right, in N")).hasValue("70");
    }

    @Test
    void guarding_offers_a_second_try_beside_the_first() {
        Bench bench = Bench.startExamination(page, Suite.server().address(), "BJ-6");
        bench.stand("Forward flexion")
                .tap(bench.uninvolved(), "Nothing")
                .tap(bench.involved(), "No pain")
                .tap("Guarded")
                .settled();
        assertThat(bench.reading()).containsText("the patient guarded");
        bench.tap("Second try")
                .tap(bench.involved(), "Familiar pain, outer arm")
                .settled();
        assertThat(bench.reading()).containsText("Counts for");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Note"))
                .click();
        assertThat(main()).containsText("no pain, guarded; repeated: familiar pain, outer arm");
    }

    @Test
    void the_order_is_changed_by_hand_and_put_back() {
        Bench bench = Bench.startExamination(page, Suite.server().address(), "BJ-7");
        page.keyboard().press("Control+ArrowDown");
        bench.settled();
        Locator rows = bench.rail().getByRole(AriaRole.LISTITEM);
        assertThat(rows.nth(1)).containsText("Resisted ext. rotation");
        assertThat(rows.nth(2)).containsText("Painful arc");
        page.reload();
        assertThat(rows.nth(2)).containsText("Painful arc");
        bench.tap(bench.rail(), "Reorder").tap(bench.rail(), "Usual order").settled();
        assertThat(rows.nth(1)).containsText("Painful arc");
    }

    @Test
    void a_refill_is_timed_by_two_taps_for_each_artery() {
        page.clock().install();
        Bench bench = open("SL-0432");
        bench.reach("Hand refill");
        page.keyboard().press("Space");
        page.clock().runFor(7_200);
        page.keyboard().press("Space");
        page.clock().runFor(3_000);
        Locator seconds = page.getByLabel("Seconds to refill, right, ulnar, in s");
        assertThat(seconds).hasValue(Pattern.compile("^[789]$")); // the page's own time goes on meanwhile
        assertThat(bench.reading()).containsText(seconds.inputValue() + " s through the ulnar artery");
    }

    @Test
    void taps_for_twenty_named_tests() {
        Bench bench = Bench.startExamination(page, Suite.server().address(), "BJ-8");
        String[][] tests = {
            {"Resisted ext. rotation", "Familiar pain, pain stops it, outer arm"},
            {"Empty can", "Familiar pain, pain stops it, outer arm"},
            {"Slow lowering", "Drops"},
            {"Lift-off", "Cannot, weak, no pain"},
            {"Neck screen", "Familiar arm symptoms"},
            {"+full can", "No pain, weak"},
            {"+bear hug", "Weak, falls back, no pain"},
            {"+speed", "Familiar pain, biceps groove"},
            {"+yergason", "Familiar pain, biceps groove"},
            {"+hornblower", "Weak, falls back, no pain"},
            {"+labral crank", "Familiar pain, deep"},
            {"+biceps load at", "Makes it worse"},
            {"+jerk", "Familiar pain, back"},
            {"+diagonal posterior", "Familiar pain, back"},
            {"Belly press", "Elbow falls back or wrist bends, weak"},
            {"Forward flexion", "Familiar pain, outer arm"},
            {"Flexed int. rotation", "Familiar pain, outer arm"},
            {"Cross-body adduction", "Familiar pain, on top"},
            {"Active compression", "Familiar pain, on top, less"},
            {"Anterior apprehension", "Apprehension, no pain"}
        };
        int normals = 0;
        int positives = 0;
        for (String[] test : tests) {
            if (test[0].startsWith("+")) {
                bench.add(test[0].substring(1));
            } else {
                bench.stand(test[0]);
            }
            Assertions.assertThat(button("Nothing, both sides").isEnabled())
                    .as(test[0])
                    .isTrue();
            normals++;
            int before = bench.taps();
            bench.tap(bench.involved(), test[1]);
            positives += bench.taps() - before;
            assertThat(bench.reading()).containsText(Pattern.compile("Counts( a little)? for|Speaks for"));
        }
        Report.line(String.format(
                Locale.UK,
                "normal on both sides is one tap in %d of %d named tests; the usual positive takes %.1f taps, and one for the other side",
                normals,
                tests.length,
                positives / (double) tests.length));
    }

    @Test
    void what_is_rarely_wanted_is_folded_until_it_is_asked_for_and_stands_in_the_note() {
        Bench bench = Bench.startExamination(page, Suite.server().address(), "JB-31");
        bench.stand("Anterior apprehension");
        assertThat(bench.involved().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Uneasy")))
                .isVisible();
        bench.stand("Range of motion");
        Locator table = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Left and right"));
        assertThat(table.getByLabel("Extension, right, in °")).hasCount(0);
        table.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("4 more").setExact(true))
                .click();
        assertThat(table.getByLabel("Extension, right, in °")).isVisible();
        Locator more = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("More to record"));
        Locator unfold = more.getByRole(AriaRole.BUTTON).first();
        assertThat(unfold).hasAttribute("aria-expanded", "false");
        unfold.click();
        more.getByRole(
                        AriaRole.GROUP,
                        new Locator.GetByRoleOptions().setName("End feel").setExact(true))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Springy"))
                .first()
                .click();
        bench.settled();
        page.reload();
        assertThat(more.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Springy").setPressed(true)))
                .hasCount(1);
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Note").setExact(true))
                .click();
        assertThat(page.getByRole(AriaRole.MAIN)).containsText("end feel springy");
    }
}
