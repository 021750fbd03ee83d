package lexicor.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** What comes before the hands, as a therapist does it. */
class IntakeJourneyTest extends TabletJourney {

    private int taps;

    @Test
    void a_usual_shoulder_takes_a_dozen_taps() {
        long began = System.nanoTime();
        page.navigate(Suite.server().address());
        tap("New patient", AriaRole.LINK);
        tap("Right shoulder");
        page.getByLabel("Year of birth").fill("1969");
        page.getByLabel("Occupation or sport").fill("Thatcher");
        tap("Start: right shoulder");
        for (String answer : new String[] {
            "Slowly", "Works above shoulder height, swims", "Over 12 weeks", "5 to 30 minutes", "Wakes when lying on it"
        }) {
            tap(answer);
        }
        tap(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Pain now")), "3 of 10");
        tap(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Worst this week")), "6 of 10");
        taps++;
        page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("Outer upper arm"))
                .click();
        tap(redFlags(), "None of these");
        tap(locks(), "None of these");
        assertThat(page.getByText("Red flags asked.")).isVisible();
        tap("To the bench", AriaRole.LINK);
        assertThat(new Bench(page).title()).hasText("Look");
        double seconds = (System.nanoTime() - began) / 1e9;
        Report.line(String.format(
                Locale.UK,
                "usual intake of a shoulder: %d taps and two fields typed, %.1f s by machine",
                taps,
                seconds));
        Assertions.assertThat(taps).isLessThanOrEqualTo(15);
    }

    @Test
    void a_case_begun_before_a_code_is_proposed_waits_for_it() {
        List<Route> held = new ArrayList<>();
        page.route("**/api/cases/next-code", held::add);
        page.navigate(Suite.server().address() + "/new");
        tap("Right shoulder");
        tap("Start: right shoulder");
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Starting …")))
                .isVisible();
        page.unroute("**/api/cases/next-code");
        held.forEach(Route::resume);
        assertThat(page.getByText("What is told")).isVisible();
    }

    @Test
    void a_red_flag_suspends_testing_until_it_is_released_with_a_reason() {
        begin("IJ-FLAG", "Left shoulder");
        redFlags()
                .getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("Chest tightness"))
                .getByRole(AriaRole.BUTTON)
                .click();
        assertThat(page.getByText("Testing is suspended").first()).isVisible();
        assertThat(page.getByText("Stop. Emergency, per local pathway.")).isVisible();
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Bench").setExact(true))
                .click();
        Bench bench = new Bench(page);
        assertThat(page.getByText("Conclude what is to be done")).isVisible();
        bench.stand("Painful arc");
        assertThat(bench.title()).hasCount(0);
        assertThat(bench.involved()).isHidden();
        page.keyboard().press("0");
        page.reload();
        assertThat(page.getByText("Conclude what is to be done")).isVisible();
        assertThat(bench.rail()).containsText("0 of ");
        tap("Looked into: release …");
        page.getByLabel("Why may testing go on?").fill("Seen by cardiology this morning, clear");
        tap("Release, with my name");
        bench.stand("Painful arc");
        assertThat(bench.involved()).isVisible();
        assertThat(page.getByText("By tarn")).isVisible();
        page.reload();
        assertThat(page.getByText("Seen by cardiology this morning, clear")).isVisible();
        assertThat(page.getByText("Red flags are not all asked.")).isVisible();
    }

    @Test
    void a_lock_says_why_wherever_the_test_appears_and_opens_for_a_written_reason_that_is_printed() {
        begin("IJ-LOCK", "Right shoulder");
        redFlags()
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("None of these"))
                .click();
        tap(locks(), "Shoulder repair or stabilisation");
        page.getByLabel("Shoulder repair or stabilisation: when?")
                .fill(LocalDate.now().minusWeeks(3).toString());
        assertThat(page.getByText("Locked today")).isVisible();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("To the bench"))
                .click();
        Bench bench = new Bench(page);
        bench.stand("Empty can");
        assertThat(page.getByText("the repair could fail under resistance or stress")
                        .first())
                .containsText("locked until "
                        + LocalDate.now().plusWeeks(9).format(DateTimeFormatter.ofPattern("d MMM yyyy", Locale.UK)));
        assertThat(bench.involved()).isHidden();
        page.getByLabel("To do it all the same, why?").fill("Surgeon agrees, isometric only");
        tap("Unlock this test");
        assertThat(bench.involved()).isVisible();
        bench.tap(bench.involved(), "No pain").tap(bench.involved(), "Full").settled();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Note"))
                .click();
        assertThat(page.getByText("Done against a lock: Empty can, by R. Tarn")).isVisible();
        assertThat(page.getByText("Surgeon agrees, isometric only")).isVisible();
        assertThat(page.getByText(Pattern.compile("Not done: .*resisted ext. rotation \\(.*the repair could fail")))
                .isVisible();
    }

    @Test
    void what_cannot_be_is_named_at_its_question_and_nothing_is_cleared() {
        begin("IJ-CLASH", "Right shoulder");
        tap("One injury");
        tap("Fall on the outstretched hand");
        tap("Slowly");
        assertThat(group("What happened?").getByRole(AriaRole.ALERT))
                .containsText("does not go with “How did it begin: slowly”");
        assertThat(group("What happened?")
                        .getByRole(
                                AriaRole.BUTTON,
                                new Locator.GetByRoleOptions()
                                        .setName("Fall on the outstretched hand")
                                        .setPressed(true)))
                .isVisible();
        tap("One injury");
        assertThat(group("What happened?").getByRole(AriaRole.ALERT)).isHidden();
        tap(locks(), "Shoulder dislocation");
        String ahead = LocalDate.now().plusDays(5).toString();
        page.getByLabel("Shoulder dislocation: when?").fill(ahead);
        assertThat(page.getByText("This day lies ahead. Allowed: up to today")).isVisible();
        assertThat(page.getByLabel("Shoulder dislocation: when?")).hasValue(ahead);
    }

    @Test
    void a_code_in_use_and_an_impossible_year_are_named_and_what_was_typed_stays() {
        page.navigate(Suite.server().address() + "/new");
        page.getByLabel("Case code").fill("SL-0412");
        page.getByLabel("Occupation or sport").fill("Glass cutter");
        tap("Left wrist");
        tap("Start: left wrist");
        assertThat(page.getByText("'SL-0412' is in use; allowed: another code")).isVisible();
        page.getByLabel("Case code").fill("IJ-YEAR");
        page.getByLabel("Year of birth").fill("2099");
        tap("Start: left wrist");
        assertThat(page.getByText(Pattern.compile("Allowed: \\d{4} to \\d{4}"))).isVisible();
        page.reload();
        assertThat(page.getByLabel("Occupation or sport")).hasValue("Glass cutter");
        assertThat(page.getByLabel("Year of birth")).hasValue("2099");
        page.getByLabel("Case code").fill("Mrs Example");
        page.getByLabel("Year of birth").fill("1999");
        tap("Start: left wrist");
        assertThat(page.getByText("no names")).isVisible();
    }

    @Test
    void a_sign_in_that_ends_in_the_middle_loses_nothing() {
        begin("IJ-SESSION", "Right hand");
        tap("Tingling or numbness");
        tap("Slowly");
        assertThat(page.getByText("Saved", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        context.clearCookies();
        tap("Over 12 weeks");
        assertThat(page.getByText("Everything is as you left it, R. Tarn.")).isVisible();
        page.getByLabel("Password").fill("not the password");
        tap("Sign in");
        assertThat(page.getByText("Name and password do not go together.")).isVisible();
        page.getByLabel("Password").fill("demo-clinic-only");
        tap("Sign in");
        assertThat(page.getByText("Saved", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        page.reload();
        for (String answer : new String[] {"Tingling or numbness", "Slowly", "Over 12 weeks"}) {
            assertThat(page.getByRole(
                            AriaRole.BUTTON,
                            new Page.GetByRoleOptions().setName(answer).setPressed(true)))
                    .isVisible();
        }
    }

    @Test
    void answers_given_without_a_connection_flow_when_it_is_back() {
        begin("IJ-OFFLINE", "Left hand");
        assertThat(page.getByText("Where it starts")).isVisible();
        context.setOffline(true);
        tap("Slowly");
        tap("2 to 6 weeks");
        assertThat(page.getByText("2 kept here, nothing is lost.")).isVisible();
        context.setOffline(false);
        assertThat(page.getByText("Saved", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        page.reload();
        assertThat(page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("2 to 6 weeks").setPressed(true)))
                .isVisible();
    }

    @Test
    void clues_move_the_start_and_the_therapists_own_hand_stands_until_it_is_put_back() {
        begin("IJ-CLUES", "Right hand");
        tap("Tingling or numbness");
        Locator row = page.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("Carpal tunnel syndrome"));
        assertThat(row).containsText("35");
        tap("Tingling at night");
        assertThat(row).containsText("Tingling at night: more");
        assertThat(row).not().containsText("35");
        Locator slider =
                page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Start of Carpal tunnel syndrome"));
        slider.press("ArrowLeft");
        slider.press("ArrowLeft");
        assertThat(row).containsText("put back");
        page.reload();
        assertThat(row).containsText("put back");
        slider.press("Delete");
        assertThat(row).not().containsText("put back");
        tap("Undo last answer");
        assertThat(row).containsText("put back");
        assertThat(page.getByText("Show 8 outside the zone or waiting for a story"))
                .isVisible();
    }

    @Test
    void a_re_examination_begins_with_what_was_told_and_asks_the_rest_anew() {
        page.navigate(Suite.server().address() + "/");
        page.getByLabel("Find").fill("SL-0415");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Case SL-0415"))
                .click();
        tap("Examine again");
        assertThat(page.getByText("Red flags are not all asked")).isVisible();
        assertThat(page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions()
                                .setName("Suddenly, no injury")
                                .setPressed(true)))
                .isVisible();
        assertThat(group("Pain now").getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setPressed(true)))
                .hasCount(0);
        page.navigate(Suite.server().address() + "/");
        page.getByLabel("Find").fill("SL-0415");
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Case SL-0415: all 2 visits")))
                .isVisible();
    }

    private void begin(String code, String where) {
        page.navigate(Suite.server().address() + "/new");
        page.getByLabel("Case code").fill(code);
        tap(where);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Start: " + where.toLowerCase(Locale.ROOT)))
                .click();
        assertThat(page.getByText("What is told")).isVisible();
    }

    private Locator redFlags() {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Red flags"));
    }

    private Locator locks() {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What locks tests"));
    }

    private Locator group(String name) {
        return page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName(name));
    }

    private void tap(String name) {
        tap(name, AriaRole.BUTTON);
    }

    private void tap(String name, AriaRole role) {
        taps++;
        page.getByRole(role, new Page.GetByRoleOptions().setName(name).setExact(true))
                .click();
    }

    private void tap(Locator within, String name) {
        taps++;
        within.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(name).setExact(true))
                .click();
    }
}
