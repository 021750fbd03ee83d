package lexicor.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** Concluding, signing, amending; the note and the report; the same measures at the next visit. */
class SigningJourneyTest extends TabletJourney {

    private void view(String name) {
        view(page, name);
    }

    private static void view(Page page, String name) {
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true))
                .click();
    }

    private Locator button(String name) {
        return main().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^" + name)));
    }

    private static Locator signing(Page page) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Signing"));
    }

    private static void press(Locator within, String name) {
        within.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(name).setExact(true))
                .click();
    }

    /** A screened shoulder with one finding, and a conclusion where one is wished. */
    private Bench examined(String code, boolean concluded) {
        Bench bench = Bench.startExamination(page, Suite.server().address(), code);
        bench.stand("Empty can").tap("Nothing, both sides").settled();
        view("Conclude");
        if (concluded) {
            press(
                    page.getByRole(
                            AriaRole.GROUP,
                            new Page.GetByRoleOptions()
                                    .setName("Working diagnosis")
                                    .setExact(true)),
                    "Still open");
            bench.settledRecord();
        }
        return bench;
    }

    @Test
    void from_the_last_test_to_a_signed_and_copied_note_in_few_taps() {
        context.grantPermissions(List.of("clipboard-read", "clipboard-write"));
        Bench bench =
                Bench.startExamination(page, Suite.server().address(), "SG-1").quietFive();
        long began = System.nanoTime();
        view("Note");
        button("Copy the note").click();
        assertThat(page.getByText("Copied")).isVisible();
        Report.line(String.format(
                Locale.UK,
                "last test to a copied draft: 2 taps (note, copy), %.1f s of interface by machine",
                (System.nanoTime() - began) / 1e9));
        Assertions.assertThat(String.valueOf(page.evaluate("navigator.clipboard.readText()")))
                .contains("Draft, not signed.");
        began = System.nanoTime();
        view("Conclude");
        press(
                page.getByRole(
                        AriaRole.GROUP,
                        new Page.GetByRoleOptions().setName("Working diagnosis").setExact(true)),
                "Frozen shoulder");
        press(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("How sure are you?")), "Likely");
        bench.settledRecord();
        press(signing(page), "Sign");
        assertThat(page.getByText(Pattern.compile("Signed by R\\. Tarn on .* version 1\\. Read only\\.")))
                .isVisible();
        view("Note");
        button("Copy the note").click();
        assertThat(page.getByText("Copied")).isVisible();
        Report.line(String.format(
                Locale.UK,
                "last test to signed and copied note: 6 taps (conclude, diagnosis, how sure, sign, note, copy), %.1f s of interface by machine",
                (System.nanoTime() - began) / 1e9));
        Assertions.assertThat(String.valueOf(page.evaluate("navigator.clipboard.readText()")))
                .contains("Working diagnosis: Frozen shoulder", "Signed by R. Tarn on ");
        view("Bench");
        assertThat(button("Nothing, both sides")).isDisabled();
        assertThat(page.getByText("Signed: nothing can be added.")).isVisible();
        bench.stand("Forward flexion");
        assertThat(bench.title()).hasText("Forward flexion");
        view("Intake");
        assertThat(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Since when?"))
                        .getByRole(AriaRole.BUTTON)
                        .first())
                .isDisabled();
        page.navigate(Suite.server().address() + "/?state=SIGNED");
        assertThat(page.getByText("SG-1", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
    }

    @Test
    void what_stands_in_the_way_is_named_with_the_way_to_it() {
        page.navigate(Suite.server().address() + "/new");
        page.getByLabel("Case code").fill("SG-2");
        button("Left shoulder").click();
        button("Start: left shoulder").click();
        view("Conclude");
        Locator hindrances =
                page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("In the way of signing"));
        assertThat(hindrances).containsText("Red flags not all asked.");
        assertThat(hindrances).containsText("No working diagnosis.");
        assertThat(signing(page)
                        .getByRole(
                                AriaRole.BUTTON,
                                new Locator.GetByRoleOptions().setName("Sign").setExact(true)))
                .isDisabled();
        hindrances
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("To the red flags"))
                .click();
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Red flags"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("None of these"))
                .click();
        view("Conclude");
        assertThat(hindrances).not().containsText("Red flags");
    }

    @Test
    void of_two_devices_the_one_that_did_not_sign_follows_the_other_by_itself() {
        examined("SG-3", true);
        try (BrowserContext other = Suite.therapist(Suite.tablet())) {
            Page second = other.newPage();
            second.navigate(page.url());
            assertThat(signing(second)
                            .getByRole(
                                    AriaRole.BUTTON,
                                    new Locator.GetByRoleOptions()
                                            .setName("Sign")
                                            .setExact(true)))
                    .isEnabled();
            press(signing(page), "Sign");
            assertThat(page.getByText("Read only.")).isVisible();
            assertThat(second.getByText(Pattern.compile("Signed by R\\. Tarn .*Read only")))
                    .isVisible();
            assertThat(signing(second)).containsText("Version 1");
            assertThat(signing(second)).not().containsText("Version 2");
        }
    }

    @Test
    void entries_that_meet_a_signature_are_kept_and_flow_once_it_is_amended() throws IOException {
        Bench bench = examined("SG-4", true);
        String conclude = page.url();
        view("Bench");
        bench.stand("Belly press").settled();
        context.setOffline(true);
        bench.tap("Nothing, both sides");
        assertThat(page.getByText("1 kept here, nothing is lost.")).isVisible();
        try (BrowserContext other = Suite.therapist(Suite.tablet())) {
            Page second = other.newPage();
            second.navigate(conclude);
            press(signing(second), "Sign");
            assertThat(second.getByText("Read only.")).isVisible();
        }
        context.setOffline(false);
        assertThat(
                        page.getByText(
                                Pattern.compile(
                                        "1 kept here, nothing is lost\\. Signed by R\\. Tarn on .*Amend it, with a reason, to add to it\\.")))
                .isVisible();
        page.reload();
        assertThat(page.getByText("1 kept here, nothing is lost.")).isVisible();
        view("Conclude");
        press(signing(page), "Amend");
        page.getByLabel("Why is it amended?").fill("The belly press was done before it was signed");
        press(signing(page), "Open for amending");
        assertThat(bench.saved()).isVisible();
        assertThat(page.getByText("Being amended after version 1: The belly press was done before it was signed"))
                .isVisible();
        press(signing(page), "Sign");
        assertThat(signing(page))
                .containsText(Pattern.compile(
                        "Version 2.*Amended by R\\. Tarn: The belly press was done before it was signed.*Version 1",
                        Pattern.DOTALL));
        signing(page)
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Compute it anew"))
                .first()
                .click();
        assertThat(signing(page)).containsText("Same. Computed anew, everything comes out as it was signed.");
        view("Note");
        press(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Form")), "Full");
        assertThat(main())
                .containsText(Pattern.compile("Belly press, right: .*version 2\\. Amended: ", Pattern.DOTALL));
        view("Conclude");
        signing(page)
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Read it"))
                .last()
                .click();
        assertThat(main()).containsText("This is version 1, as it was signed.");
        assertThat(main()).not().containsText("Belly press, right");
        view("Conclude");
        view("Note");
        press(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Form")), "Report");
        Download document = page.waitForDownload(() -> otherSystem().click());
        Assertions.assertThat(document.suggestedFilename()).endsWith(".fhir.json");
        Assertions.assertThat(Files.readString(document.path()))
                .contains("\"type\": \"document\"")
                .contains("\"status\": \"amended\"")
                .contains("Belly press");
        press(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Form")), "Full");
    }

    private Locator otherSystem() {
        return page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("For another system (FHIR)"));
    }

    @Test
    void the_report_is_shown_as_it_prints_and_saved_as_a_pdf() throws IOException {
        open("SL-0443");
        view("Note");
        press(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Form")), "Report");
        FrameLocator report = page.frameLocator("iframe[title=Report]");
        assertThat(report.getByRole(AriaRole.HEADING, new FrameLocator.GetByRoleOptions().setLevel(1)))
                .hasText("Examination of the right shoulder, 24 November 2026");
        assertThat(report.locator("body")).containsText("Draft, not signed.");
        assertThat(report.locator("body")).containsText("Compared with the visit before");
        assertThat(button("Print")).isEnabled();
        assertThat(otherSystem()).isHidden();
        Download download = page.waitForDownload(
                () -> page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Save as PDF"))
                        .click());
        Assertions.assertThat(download.suggestedFilename()).isEqualTo("SL-0443 shoulder 2026-11-24.pdf");
        Assertions.assertThat(new String(Files.readAllBytes(download.path()), 0, 5, StandardCharsets.US_ASCII))
                .isEqualTo("%PDF-");
        press(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Form")), "Full");
    }

    @Test
    void at_the_next_visit_the_chosen_measures_stand_beside_the_last() {
        Bench bench = open("SL-0443");
        Locator again = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("To do again"));
        assertThat(again).containsText(Pattern.compile("Resisted ext\\. rotation\\s*better"));
        assertThat(again).containsText(Pattern.compile("Reach behind the back\\s*within noise"));
        again.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Range of motion"))
                .click();
        assertThat(bench.title()).hasText("Range of motion");
        Locator flexion = page.getByLabel(Pattern.compile("^Flexion, right, in"));
        flexion.fill("160");
        flexion.press("Enter");
        assertThat(again).containsText(Pattern.compile("Range of motion\\s*better"));
        view("Conclude");
        assertThat(main().getByRole(
                                AriaRole.ROW,
                                new Locator.GetByRoleOptions().setName(Pattern.compile("^Range of motion: flexion "))))
                .containsText("better · counts beyond 15°");
        assertThat(main()).containsText("What counts as a change is a working estimate of measurement noise.");
        view("Bench");
        bench.tap("Undo").settled();
        assertThat(again).containsText(Pattern.compile("Range of motion\\s*not done yet"));
    }

    @Test
    void a_steward_lays_a_note_out_with_a_preview_and_puts_it_back() {
        try (BrowserContext steward = Suite.signedIn("M. Fell, steward", Suite.tablet())) {
            Page setup = steward.newPage();
            setup.navigate(Suite.server().address() + "/setup/notes");
            Locator layout = setup.getByLabel("Layout");
            layout.fill("Seen on {{dy}}. {{caution}}");
            assertThat(setup.getByText("Line 1: 'dy' is no name; allowed: side, region, day"))
                    .isVisible();
            assertThat(setup.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Keep this layout")))
                    .isDisabled();
            layout.fill("Seen on {{day}}, {{side}} {{region}}.\n{{conclusion}}\n{{caution}}");
            assertThat(setup.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Preview")))
                    .containsText("Seen on 4 May 2026, right shoulder.");
            setup.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Keep this layout"))
                    .click();
            assertThat(setup.getByRole(
                            AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Back to the one that ships")))
                    .isVisible();
            open("SL-0442");
            view("Note");
            press(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Form")), "Short");
            assertThat(main()).containsText("Seen on 24 November 2026, left hand.");
            setup.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Back to the one that ships"))
                    .click();
            assertThat(layout).hasValue(Pattern.compile("^Examination of the"));
        }
    }
}
