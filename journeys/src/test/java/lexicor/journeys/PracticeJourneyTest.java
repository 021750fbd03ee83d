package lexicor.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A student practises on invented patients, drills, and joins a class. */
class PracticeJourneyTest {

    private BrowserContext context;
    private Page page;

    @BeforeEach
    void open() {
        context = Suite.signedIn("E. Brook, student", Suite.tablet());
        page = context.newPage();
    }

    @AfterEach
    void close() {
        context.close();
    }

    /** A patient whose answers are written, so that nothing is left to chance. */
    static FilePayload patient(String title) {
        return new FilePayload(
                "patient.yaml", "application/yaml", """
                lexicor-practice: 1
                title: %s
                region: shoulder
                setting: specialist
                side: right
                age: 50
                sex: man
                occupation: Baker
                opening: It is my right shoulder.
                truth: [subacromial-pain]
                story: {zone: shoulder, onset: slowly, pain-now: 2, pain-areas: [upper-arm-outer]}
                answers:
                  sh-hawkins: {pain: familiar, site: outer-arm}
                  sh-arc: {pain: familiar, angle-worst: 90, site: outer-arm}
                """.formatted(title).getBytes(StandardCharsets.UTF_8));
    }

    private static void press(Page where, String name) {
        where.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(name).setExact(true))
                .click();
    }

    private void call(String title) {
        page.navigate(Suite.server().address() + "/practice");
        page.getByLabel("Open a case file").setInputFiles(patient(title));
        assertThat(page.getByText("“It is my right shoulder.”")).isVisible();
    }

    private void follow(String label, String condition) {
        page.getByLabel(label).selectOption(condition);
    }

    private Locator rail(String condition) {
        return page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("My chance of " + condition));
    }

    private Locator answer(String test) {
        return page.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName("Answer to " + test));
    }

    private void choose(String test) {
        page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Tests in the usual order"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^" + test)))
                .first()
                .click();
    }

    private Locator notes(String test) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Write down " + test));
    }

    @Test
    void an_answer_is_written_down_with_the_controls_of_the_bench_and_judged() {
        call("The baker who is written down");
        press(page, "Ask: safety");
        choose("Painful arc");
        press(page, "Do it, well side first");
        press(page, "Write it down");
        Locator pain = notes("Painful arc")
                .getByRole(
                        AriaRole.GROUP,
                        new Locator.GetByRoleOptions().setName("Pain").setExact(true));
        pain.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("No pain"))
                .click();
        page.reload();
        assertThat(notes("Painful arc")
                        .getByRole(
                                AriaRole.BUTTON,
                                new Locator.GetByRoleOptions()
                                        .setName("No pain")
                                        .setPressed(true)))
                .isVisible();
        press(page, "End");
        press(page, "I have finished");
        assertThat(page.getByText("Pain: it was Familiar pain, you wrote No pain."))
                .isVisible();
        assertThat(page.getByText("So it would have been read otherwise for")).containsText("subacromial pain");
    }

    @Test
    void a_patient_is_asked_examined_and_judged_and_the_truth_comes_at_the_end() {
        call("The baker");
        assertThat(page.getByText("Practice: nobody here is real")).isVisible();
        press(page, "Ask: safety");
        assertThat(page.getByText("“No, nothing like that.”").first()).isVisible();
        press(page, "Ask: where");
        assertThat(page.getByRole(
                        AriaRole.IMG, new Page.GetByRoleOptions().setName("Front, right side, painted by the patient")))
                .isVisible();
        follow("What could it be?", "Subacromial pain");
        follow("What else?", "Frozen shoulder");
        press(page, "Put down and compare");
        assertThat(page.getByText("Ring: mine. Tick: the weighing.")).isVisible();
        choose("Painful arc");
        press(page, "Do it, well side first");
        assertThat(page.getByText("In 100. Drag the ring, or use the arrow keys."))
                .isVisible();
        assertThat(answer("Painful arc")).isVisible();
        rail("Subacromial pain").focus();
        for (int step = 0; step < 40; step++) {
            page.keyboard().press("ArrowRight");
        }
        press(page, "Put down and compare");
        assertThat(page.getByText("Ring: mine. Tick: the weighing.")).isVisible();
        press(page, "End");
        press(page, "I have finished");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Subacromial pain")))
                .isVisible();
        assertThat(page.getByText("Safe, and nothing left out.")
                        .or(page.getByText("Guarded, and not tried again after a pause: Painful arc.")))
                .isVisible();
        assertThat(page.getByText("Subacromial pain, was there")).isVisible();
        assertThat(page.getByText("Frozen shoulder, was not")).isVisible();
        assertThat(page.getByText("1. Painful arc")).isVisible();
        page.navigate(Suite.server().address() + "/practice/progress");
        assertThat(page.getByText("times as far as they weigh")).isVisible();
    }

    @Test
    void chances_that_were_dragged_survive_a_reload_and_a_test_a_lost_connection() {
        call("The lost line");
        follow("What could it be?", "Subacromial pain");
        rail("Subacromial pain").focus();
        page.keyboard().press("End");
        assertThat(rail("Subacromial pain")).hasAttribute("aria-valuetext", "99 in 100");
        page.reload();
        assertThat(rail("Subacromial pain")).hasAttribute("aria-valuetext", "99 in 100");
        choose("Slow lowering");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Slow lowering")))
                .isVisible();
        context.setOffline(true);
        press(page, "Do it, well side first");
        assertThat(page.getByText("No connection: it will be sent again")).isVisible();
        context.setOffline(false);
        page.reload();
        choose("Slow lowering");
        assertThat(answer("Slow lowering")).hasCount(1);
        page.reload();
        choose("Slow lowering");
        assertThat(answer("Slow lowering")).hasCount(1);
    }

    @Test
    void a_patient_with_a_red_flag_says_so_to_whoever_goes_on() {
        page.navigate(Suite.server().address() + "/practice");
        press(page, "A red flag");
        press(page, "Call the patient in");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("The patient")))
                .isVisible();
        choose("Empty can");
        press(page, "Do it, this side only");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Should you be doing this?");
        press(page, "End");
        press(page, "Stop, send this patient on now");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("A red flag")))
                .isVisible();
        assertThat(page.getByText("Hands on before the red flags were asked about."))
                .isVisible();
        assertThat(page.getByText("Hurt for nothing: Empty can.")).isVisible();
    }

    @Test
    void a_faulty_file_is_refused_with_its_line_and_nothing_is_begun() {
        page.navigate(Suite.server().address() + "/practice");
        page.getByLabel("Open a case file")
                .setInputFiles(new FilePayload(
                        "broken.yaml",
                        "application/yaml",
                        "lexicor-practice: 1\nregion: knee\n".getBytes(StandardCharsets.UTF_8)));
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Line 2: region 'knee' is not known");
    }

    @Test
    void a_drill_is_marked_and_says_why() {
        page.navigate(Suite.server().address() + "/practice/drills");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Read it")))
                .click();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Not interpretable").setExact(true))
                .click();
        Locator said = page.getByText(Pattern.compile("^(Right|Not quite)\\.$"));
        assertThat(said).isVisible();
        assertThat(page.getByText("this one")).isVisible();
        assertThat(page.getByText(Pattern.compile("[01] of 1 right"))).isVisible();
        press(page, "Next");
        assertThat(said).isHidden();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Move the chance")))
                .click();
        page.getByRole(AriaRole.SLIDER).focus();
        page.keyboard().press("ArrowRight");
        press(page, "There");
        assertThat(page.getByText("by the figures")).isVisible();
    }

    @Test
    void a_teacher_sets_a_patient_and_sees_what_came_of_it() {
        try (BrowserContext teaching = Suite.therapist(Suite.tablet())) {
            Page teacher = teaching.newPage();
            teacher.navigate(Suite.server().address() + "/practice/classes");
            teacher.getByLabel("Teach a class").fill("Evening hour");
            press(teacher, "Make the class");
            Locator taught = teacher.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Evening hour"));
            String code = taught.locator("strong").first().textContent();
            press(teacher, "Set patients");
            teacher.getByLabel("Name of the series").fill("First evening");
            teacher.getByLabel("Add from a file").setInputFiles(patient("The baker of the evening"));
            press(teacher, "Write one");
            teacher.getByLabel("Title").fill("Written here");
            teacher.getByLabel("What is wrong").selectOption("Frozen shoulder");
            press(teacher, "Add this patient");
            press(teacher, "Set them");
            assertThat(taught).containsText("The baker of the evening (shoulder), Written here (shoulder)");

            page.navigate(Suite.server().address() + "/practice/classes");
            page.getByLabel("Join by code").fill(code);
            press(page, "Join");
            assertThat(page.getByRole(AriaRole.ALERT)).containsText("the teacher sees your results");
            page.getByLabel("The teacher may see what I end from now on").check();
            press(page, "Join");
            assertThat(page.getByText("Taught by R. Tarn.")).isVisible();
            page.navigate(Suite.server().address() + "/practice");
            page.getByRole(
                            AriaRole.BUTTON,
                            new Page.GetByRoleOptions().setName(Pattern.compile("^The baker of the evening")))
                    .click();
            follow("What could it be?", "Subacromial pain");
            press(page, "End");
            press(page, "I have finished");
            assertThat(page.getByText("Subacromial pain, was there")).isVisible();

            teacher.reload();
            assertThat(taught.getByRole(
                            AriaRole.ROW, new Locator.GetByRoleOptions().setName(Pattern.compile("^E. Brook"))))
                    .containsText("1");
            page.navigate(Suite.server().address() + "/practice/classes");
            page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Evening hour"))
                    .getByRole(
                            AriaRole.BUTTON,
                            new Locator.GetByRoleOptions().setName("Leave: the teacher no longer sees what I did"))
                    .click();
            assertThat(page.getByText("Taught by R. Tarn.")).isHidden();
            teacher.reload();
            assertThat(taught).containsText("Nobody has joined yet.");
        }
    }
}
