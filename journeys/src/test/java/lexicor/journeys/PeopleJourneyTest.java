package lexicor.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.zip.ZipFile;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** Who may do what, as each of them meets it. */
class PeopleJourneyTest {

    @Test
    void a_student_reads_the_library_and_sees_no_case() {
        try (BrowserContext context = Suite.signedIn("E. Brook, student", Suite.tablet())) {
            Page page = context.newPage();
            page.navigate(Suite.server().address());
            assertThat(page).hasURL(Pattern.compile("/library$"));
            assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Cases")))
                    .isHidden();
            page.navigate(Suite.server().address() + "/new");
            assertThat(page.getByText("There is no such page")).isVisible();
        }
    }

    @Test
    void a_steward_changes_an_estimate_and_everybody_sees_who_did() {
        try (BrowserContext context = Suite.signedIn("M. Fell, steward", Suite.tablet())) {
            Page page = context.newPage();
            page.navigate(Suite.server().address() + "/setup/estimates");
            page.getByLabel("Find a condition").fill("trigger");
            Locator field = page.getByLabel("Trigger finger, first contact");
            field.fill("200");
            field.press("Enter");
            assertThat(page.getByText("From 0.1 to 99.9.")).isVisible();
            assertThat(field).hasValue("200");
            field.fill("14");
            field.press("Enter");
            assertThat(page.getByText("ships as 10")).isVisible();
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Who changed what"))
                    .click();
            assertThat(page.getByRole(AriaRole.ROW)
                            .filter(new Locator.FilterOptions().setHasText("Start of Trigger finger, first contact"))
                            .first())
                    .containsText("fell");
        }
        try (BrowserContext context = Suite.therapist(Suite.tablet())) {
            Page page = context.newPage();
            page.navigate(Suite.server().address() + "/setup/estimates");
            assertThat(page.getByText("A steward can change this.")).isVisible();
            assertThat(page.getByLabel("Trigger finger, first contact")).isDisabled();
        }
    }

    @Test
    void a_clinics_own_estimate_counts_only_where_no_study_does_and_is_called_one() {
        try (BrowserContext context = Suite.signedIn("M. Fell, steward", Suite.tablet())) {
            Page page = context.newPage();
            page.navigate(Suite.server().address() + "/setup/weighing");
            page.getByLabel("Correlation between groups").fill("0.9");
            page.getByLabel("Correlation between groups").press("Enter");
            assertThat(page.getByText("From 0 to 0.5.")).isVisible();
            page.getByLabel("Test", new Page.GetByLabelOptions().setExact(true)).selectOption("sh-palp-acromion");
            page.getByLabel("For", new Page.GetByLabelOptions().setExact(true)).selectOption("subacromial-pain");
            page.getByLabel("Odds × if positive").fill("3");
            page.getByLabel("Odds × if negative").fill("none");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Add the estimate"))
                    .click();
            assertThat(page.getByText("allowed: two likelihood ratios")).isVisible();
            assertThat(page.getByLabel("Odds × if positive")).hasValue("3");
            page.getByLabel("Odds × if negative").fill("0.7");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Add the estimate"))
                    .click();
            assertThat(page.getByText("positive 3, negative 0.7")).isVisible();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Remove"))
                    .click();
            assertThat(page.getByText("positive 3, negative 0.7")).isHidden();
        }
    }

    @Test
    void an_administrator_copies_the_record_changes_the_plan_and_finds_both_in_the_audit() {
        try (BrowserContext context = Suite.signedIn("J. Gill, administrator", Suite.tablet())) {
            Page page = context.newPage();
            page.navigate(Suite.server().address() + "/setup/backups");
            Locator last = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("The last copy"));
            assertThat(last).containsText("Not copied yet");
            last.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Copy now"))
                    .click();
            assertThat(last).containsText(Pattern.compile("Last copied .*(kB|MB): \\d+ cases, .*found whole"));
            assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("So far"))
                            .getByRole(AriaRole.LISTITEM))
                    .hasText(Pattern.compile("lexicor-\\d{8}-\\d{6}\\.zip$"));
            Locator plan = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Taken by itself"));
            Locator keep = plan.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Keep this plan"));
            assertThat(keep).isDisabled();
            page.getByLabel("Kept: the last").fill("0");
            assertThat(plan).containsText("a whole number from 1 to 100");
            assertThat(keep).isDisabled();
            page.getByLabel("Kept: the last").fill("14");
            page.getByLabel("A copy").selectOption("every 12 hours");
            keep.click();
            assertThat(keep).isDisabled();
            page.reload();
            assertThat(page.getByLabel("Kept: the last")).hasValue("14");
            assertThat(page.getByLabel("A copy")).hasValue("12");
            page.navigate(Suite.server().address() + "/setup/audit");
            assertThat(page.getByRole(AriaRole.ROW)
                            .filter(new Locator.FilterOptions().setHasText("copy of the record"))
                            .first())
                    .containsText("took out");
            assertThat(page.getByRole(AriaRole.ROW)
                            .filter(new Locator.FilterOptions().setHasText("plan of copies"))
                            .first())
                    .containsText("changed");
            page.getByLabel("Person").fill("gill");
            page.getByRole(AriaRole.COMBOBOX).selectOption("was refused");
            assertThat(page.getByText("Nothing of this kind.")).isVisible();
        }
    }

    @Test
    void a_case_is_taken_away_whole_and_an_administrator_brings_it_in() throws IOException {
        String document;
        try (BrowserContext context = Suite.therapist(Suite.tablet())) {
            Page page = context.newPage();
            page.navigate(Suite.server().address() + "/");
            page.getByLabel("Find").fill("SL-0391");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Case SL-0391"))
                    .click();
            Download file = page.waitForDownload(
                    () -> page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("The whole case"))
                            .click());
            document = Files.readString(file.path());
        }
        try (BrowserContext context = Suite.signedIn("J. Gill, administrator", Suite.tablet())) {
            Page page = context.newPage();
            page.navigate(Suite.server().address() + "/setup/backups");
            Download everything = page.waitForDownload(() -> page.getByRole(
                            AriaRole.LINK, new Page.GetByRoleOptions().setName("Everything, as an archive"))
                    .click());
            try (ZipFile archive = new ZipFile(everything.path().toFile())) {
                Assertions.assertThat(archive.getEntry("contents.json")).isNotNull();
            }
            Locator arrival = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Bring a case in"));
            Locator file = arrival.getByLabel("File");
            file.setInputFiles(json(document));
            assertThat(arrival).containsText("It is on record here already and says the same");
            file.setInputFiles(json("{}"));
            assertThat(arrival.getByRole(AriaRole.ALERT)).containsText("format: this is no case of Lexicor");
            file.setInputFiles(json(ofAnother(document)));
            assertThat(arrival)
                    .containsText(Pattern.compile("SL-0391B\\d complaints?, \\d visits, \\d of them signed"));
            arrival.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Keep SL-0391B"))
                    .click();
            assertThat(arrival).containsText("SL-0391B is on record with");
        }
        try (BrowserContext context = Suite.therapist(Suite.tablet())) {
            Page page = context.newPage();
            page.navigate(Suite.server().address() + "/");
            page.getByLabel("Find").fill("SL-0391B");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Case SL-0391B"))
                    .click();
            assertThat(page.getByText("Complaints and visits")).isVisible();
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Course"))
                    .click();
            assertThat(page.getByText("Where conditions stood")).isVisible();
        }
    }

    private static FilePayload json(String text) {
        return new FilePayload("case.json", "application/json", text.getBytes(StandardCharsets.UTF_8));
    }

    /** The same of somebody else: every id is another one, and so is the code. */
    private static String ofAnother(String document) {
        Map<String, String> ids = new HashMap<>();
        return Pattern.compile("[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}")
                .matcher(document)
                .replaceAll(id -> ids.computeIfAbsent(
                        id.group(), known -> UUID.randomUUID().toString()))
                .replace("\"SL-0391\"", "\"SL-0391B\"");
    }

    @Test
    void an_administrator_makes_an_account_and_its_owner_signs_in_works_and_signs_out() {
        try (BrowserContext context = Suite.signedIn("J. Gill, administrator", Suite.tablet());
                BrowserContext other = Suite.browser().newContext(Suite.tablet())) {
            Page page = context.newPage();
            page.navigate(Suite.server().address() + "/setup/accounts");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("New account"))
                    .click();
            page.getByLabel("Sign-in name").fill("gill");
            page.getByLabel("Name as others see it").fill("P. Marsh");
            page.getByLabel("First password").fill("short");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Make the account"))
                    .click();
            assertThat(page.getByText("Allowed: 15 to 256 characters")).isVisible();
            page.getByLabel("First password").fill("nine slow barges");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Make the account"))
                    .click();
            assertThat(page.getByText("'gill' is in use")).isVisible();
            page.getByLabel("Sign-in name").fill("marsh");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Make the account"))
                    .click();
            assertThat(page.getByText("P. Marsh")).isVisible();

            Page own = other.newPage();
            own.navigate(Suite.server().address());
            own.getByLabel("Sign-in name").fill("marsh");
            own.getByLabel("Password").fill("nine slow barges");
            own.getByRole(
                            AriaRole.BUTTON,
                            new Page.GetByRoleOptions().setName("Sign in").setExact(true))
                    .click();
            assertThat(own.getByText("The administrator has set your password, P. Marsh."))
                    .isVisible();
            own.getByLabel("Present password").fill("nine slow barges");
            own.getByLabel("New password").fill("ten slower barges");
            own.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Change password"))
                    .click();
            assertThat(own.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Cases")))
                    .isVisible();
            own.getByText("P. Marsh").click();
            own.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("My sign-in"))
                    .click();
            own.getByLabel("Present password").fill("ten slower barges");
            own.getByLabel("New password").fill("eleven slower barges");
            own.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Change password"))
                    .click();
            assertThat(own.getByText("Changed")).isVisible();
            own.getByText("P. Marsh").click();
            own.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign out"))
                    .click();
            assertThat(own.getByLabel("Sign-in name")).isVisible();

            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Audit"))
                    .click();
            page.getByLabel("Person").fill("marsh");
            assertThat(page.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("case list")))
                    .isVisible();
            assertThat(page.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("signed out")))
                    .isVisible();
        }
    }

    @Test
    void each_person_decides_which_name_of_a_test_comes_first() {
        try (BrowserContext context = Suite.therapist(Suite.tablet())) {
            Page page = context.newPage();
            Bench bench = Bench.startExamination(page, Suite.server().address(), "JP-31");
            bench.stand("Flexed int. rotation");
            assertThat(bench.title()).containsText("Flexed int");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("R. Tarn"))
                    .click();
            Locator names = page.getByRole(
                    AriaRole.GROUP, new Page.GetByRoleOptions().setName("Tests are called first by, for me"));
            names.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("The usual name"))
                    .click();
            assertThat(bench.title()).containsText("Hawkins");
            names.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("What is done"))
                    .click();
            assertThat(bench.title()).containsText("Flexed int");
        }
    }

    @Test
    void a_screen_left_alone_is_covered_and_is_as_it_was_after_signing_in() {
        try (BrowserContext context = Suite.browser().newContext(Suite.tablet())) {
            Page page = context.newPage();
            page.clock().install();
            page.navigate(Suite.server().address());
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("R. Tarn, therapist"))
                    .click();
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("New patient"))
                    .click();
            page.getByLabel("Occupation or sport").fill("Lock keeper");
            page.clock().fastForward("09:00");
            assertThat(page.getByLabel("Occupation or sport")).isVisible();
            page.clock().fastForward("10:30");
            assertThat(page.getByText("Everything is as you left it, R. Tarn.")).isVisible();
            assertThat(page.getByLabel("Occupation or sport")).isHidden();
            page.getByLabel("Password").fill("demo-clinic-only");
            page.getByRole(
                            AriaRole.BUTTON,
                            new Page.GetByRoleOptions().setName("Sign in").setExact(true))
                    .click();
            assertThat(page.getByLabel("Occupation or sport")).hasValue("Lock keeper");
        }
    }

    @Test
    void no_answer_of_the_server_can_be_framed_sniffed_or_scripted_into() {
        try (BrowserContext context = Suite.browser().newContext()) {
            var headers = context.newPage().navigate(Suite.server().address()).headers();
            Assertions.assertThat(headers.get("content-security-policy"))
                    .startsWith("default-src 'self'")
                    .doesNotContain("unsafe");
            Assertions.assertThat(headers)
                    .containsEntry("x-content-type-options", "nosniff")
                    .containsEntry("x-frame-options", "DENY")
                    .containsEntry("referrer-policy", "no-referrer")
                    .containsEntry("cross-origin-opener-policy", "same-origin");
        }
    }
}
