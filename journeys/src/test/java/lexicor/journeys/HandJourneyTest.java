package lexicor.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Wrist, hand and elbow: the walk over the landmarks, pathways, what comes before provocation, a regrowing nerve. */
class HandJourneyTest extends TabletJourney {

    private Locator walk() {
        return page.getByRole(
                AriaRole.REGION,
                new Page.GetByRoleOptions().setName("Landmarks").setExact(true));
    }

    private Locator pathway() {
        return page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName("Pathway").setExact(true));
    }

    /** Begins a part with the flags asked, hurting in one zone. */
    private Bench begin(String code, String part, String zone) {
        page.navigate(Suite.server().address() + "/new");
        page.getByLabel("Case code").fill(code);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Right " + part))
                .click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Start: right " + part))
                .click();
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Red flags"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("None of these"))
                .click();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(zone).setExact(true))
                .first()
                .click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("To the bench"))
                .click();
        return new Bench(page).settled();
    }

    @Test
    void a_whole_walk_of_the_wrist_with_two_findings() {
        Bench bench = begin("HJ-1", "wrist", "Little-finger side").stand("Landmark walk");
        assertThat(walk()).not().containsText(Pattern.compile("TFCC|arthritis|Counts for|Speaks"));
        int before = bench.taps();
        long began = System.nanoTime();
        bench.tap(walk(), "Ulnar soft spot, not done yet").tap("Ulnar soft spot, right: Familiar");
        bench.tap(walk(), "Pisiform, not done yet")
                .tap("Pisiform, right: Tender only")
                .tap("Thumb side: all quiet")
                .tap("Back: all quiet")
                .tap("Little-finger side: the rest quiet")
                .tap("Palm: all quiet")
                .settled();
        Report.line(String.format(
                Locale.UK,
                "whole walk of the wrist, 20 landmarks on both sides, two findings: %d taps, %.1f s of interface by machine",
                bench.taps() - before,
                (System.nanoTime() - began) / 1e9));
        bench.tap(walk(), "Ulnar soft spot, done");
        assertThat(walk()).containsText("Counts for TFCC or foveal injury");
        bench.tap(walk(), "Pisiform, done, not interpretable");
        assertThat(walk()).containsText("the patient's own pain");
        assertThat(bench.rail()).containsText("Landmark walk, done");
        page.reload();
        assertThat(walk().getByRole(
                                AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Little-finger side, done")))
                .isVisible();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Note"))
                .click();
        assertThat(main()).containsText("Press into the ulnar soft spot (fovea sign), right: tender, familiar");
    }

    @Test
    void landmarks_are_reached_by_keyboard_and_a_tap_is_taken_back() {
        Bench bench = begin("HJ-2", "elbow", "None of these").stand("Landmarks");
        walk().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Lateral epicondyle, not done yet"))
                .first()
                .press("Enter");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Lateral epicondyle, right: Familiar"))
                .press("Enter");
        bench.settled();
        assertThat(walk()).containsText("Counts a little for lateral elbow tendinopathy, not measured");
        bench.tap("Undo").settled();
        assertThat(walk().getByRole(
                                AriaRole.BUTTON,
                                new Locator.GetByRoleOptions().setName("Lateral epicondyle, not done yet"))
                        .first())
                .isVisible();
    }

    @Test
    void only_the_zone_that_hurts_is_in_the_order_and_the_rest_can_be_put_in() {
        Bench bench = begin("HJ-3", "wrist", "Thumb side");
        assertThat(bench.rail()).containsText("Thumb side");
        assertThat(bench.rail()).not().containsText("Little-finger side");
        bench.add("ecu synergy");
        assertThat(bench.title()).hasText("ECU synergy");
        bench.tap("Nothing, both sides").settled();
        assertThat(bench.rail()).containsText("Little-finger side");
    }

    @Test
    void range_grip_and_pinch_are_asked_for_once_before_provocation() {
        Bench bench = begin("HJ-4", "wrist", "Little-finger side").stand("Ulnocarpal stress");
        assertThat(main()).containsText("Wrist range, grip and key pinch first. Provoking spoils them.");
        bench.tap("Go to wrist range");
        assertThat(bench.title()).hasText("Wrist range");
        bench.stand("Ulnocarpal stress").tap("Not now").stand("Ulnar dorsal glide");
        assertThat(main()).not().containsText("Provoking spoils");
    }

    @Test
    void a_pathway_is_walked_step_by_step_left_and_rejoined() {
        Bench bench = begin("HJ-5", "wrist", "Little-finger side");
        bench.tap("Turning the forearm hurts on the little-finger side").settled();
        assertThat(pathway()).containsText("Wrist range, because range comes first");
        bench.tap(pathway(), "Go").tap("Leave out").tap("No time").settled();
        assertThat(pathway()).containsText("Grip, because grip comes before provocation");
        bench.next();
        assertThat(bench.title()).hasText("Grip strength by gauge");
        bench.tap("Leave out").tap("No time").settled();
        for (String answer : List.of("Palm up", "Under load only", "Palm side")) {
            bench.tap(pathway(), answer).settled();
        }
        assertThat(pathway())
                .containsText("Distal radioulnar shift, because the joint comes first on the palm side too");
        bench.tap(pathway(), "Go").tap("Nothing, both sides").settled();
        assertThat(pathway()).containsText("Palmar ligament shift, because the shift was firm");
        assertThat(pathway()).containsText("The weighing would do");
        bench.tap(pathway(), "Leave the pathway").settled();
        assertThat(pathway()).isHidden();
        page.reload();
        bench.tap("Turning the forearm hurts on the little-finger side").settled();
        assertThat(pathway()).containsText("Palmar ligament shift");
        bench.tap(pathway(), "Go").tap("Nothing, both sides").settled();
        bench.tap(pathway(), "Go");
        assertThat(bench.title()).hasText("Ulnar soft spot");
        bench.tap(bench.involved(), "Familiar").settled();
        assertThat(pathway()).containsText("Ulnocarpal stress");
        bench.tap(pathway(), "Go").tap("Nothing, both sides").settled();
        assertThat(pathway()).containsText("Ends here: TFCC or foveal injury");
        pathway()
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Map:")))
                .click();
        Locator map = page.getByRole(AriaRole.DIALOG);
        assertThat(map.locator("[aria-current=step]")).containsText("you are here");
        assertThat(map).containsText("palm side");
        map.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Close"))
                .click();
        bench.tap(pathway(), "Ask again").settled();
        assertThat(pathway()).containsText("On which face of the wrist?");
        bench.tap(pathway(), "Palm side").settled();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Note"))
                .click();
        assertThat(main())
                .containsText(Pattern.compile(
                        "Step by step.*palm up; under load only; palm side; distal radioulnar shift negative; .*ends: TFCC or foveal injury",
                        Pattern.DOTALL));
    }

    @Test
    void where_pathway_and_weighing_differ_both_are_shown() {
        Bench bench = open("SL-0437").stand("Thumb base grind").settled();
        assertThat(pathway()).containsText("the stretch cannot separate the two: the grind can");
        assertThat(pathway()).containsText("The weighing would do");
        bench.tap("Nothing, both sides").settled();
        assertThat(pathway()).containsText("Ends here: first-compartment tendon disease");
        bench.tap("Undo").settled();
        assertThat(pathway()).containsText("the stretch cannot separate the two: the grind can");
    }

    @Test
    void two_pictures_that_fit_are_held_against_each_other() {
        Bench bench = open("SL-0441");
        Locator between = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Between the two"));
        assertThat(between).containsText("Carpal tunnel syndrome or pronator syndrome?");
        assertThat(between).containsText("the ball of the thumb is spared, or feels less");
        between.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("carpal compression"))
                .click();
        assertThat(bench.title()).hasText("Carpal compression");
    }

    @Test
    void the_furthest_tingling_point_is_kept_in_millimetres() {
        Bench bench = begin("HJ-6", "hand", "Fingers or thumb").add("nerve regrowth");
        bench.tap("Median").tap("Wrist crease");
        Locator distance = page.getByLabel("Furthest tingling point, right, in mm");
        distance.fill("46");
        distance.press("Enter");
        bench.settled();
        page.reload();
        assertThat(distance).hasValue("46");
        Locator more = page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Furthest tingling point, right: more"));
        more.hover();
        page.mouse().down();
        assertThat(distance).hasValue(Pattern.compile("(4[9]|[5-9]\\d|1\\d\\d)"));
        page.mouse().up();
        String held = distance.inputValue();
        bench.settled();
        page.reload();
        assertThat(distance).hasValue(held);
        bench.tap("Undo").settled();
        assertThat(distance).hasValue("46");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Note"))
                .click();
        assertThat(main()).containsText(Pattern.compile("Furthest tingling point.*46 mm"));
    }
}
