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

/** A steward keeps the ledger: a study is added, doubted, corrected, withdrawn, and a therapist follows or does not. */
class LedgerJourneyTest {

    private BrowserContext context;
    private Page page;

    @BeforeEach
    void open() {
        context = Suite.signedIn("M. Fell, steward", Suite.tablet());
        page = context.newPage();
    }

    @AfterEach
    void close() {
        context.close();
    }

    private void go(String address) {
        page.navigate(Suite.server().address() + address);
    }

    private static void press(Page where, String name) {
        where.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(name).setExact(true))
                .click();
    }

    private void fill(String label, String text) {
        page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)).fill(text);
    }

    /** Adds an invented study of forward flexion, which nothing else here uses as a test. */
    private void add(String citation) {
        go("/library/tests/sh-neer?for=subacromial-pain");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Add a study of it"))
                .click();
        press(page, "Familiar pain at the end of elevation");
        fill("In the study’s own words", "pain in forward flexion");
        fill("With it, positive", "1900");
        fill("Without it, positive", "100");
        fill("With it, negative", "100");
        fill("Without it, negative", "1900");
        fill("Source", citation);
        press(page, "Show what it would change");
        assertThat(page.getByText("The study by itself")).containsText("Sensitivity 95 (");
        press(page, "Add it to the ledger");
        assertThat(page).hasURL(Pattern.compile("/library/ledger/C\\d+$"));
        assertThat(page.getByRole(AriaRole.HEADING).first()).containsText("Passive forward-flexion impingement");
    }

    private void withdraw(String why) {
        press(page, "Withdraw");
        Locator form = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Withdraw it"));
        form.getByLabel("Why?").fill(why);
        form.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Withdraw it"))
                .click();
        assertThat(page.getByText("Kept, not used: withdrawn here: " + why)).isVisible();
    }

    @Test
    void a_form_keeps_what_is_typed_names_what_is_wrong_and_shows_what_would_move() {
        go("/library/ledger/new");
        press(page, "Show what it would change");
        assertThat(page.getByText("Choose the test.")).isVisible();
        assertThat(page.getByText("Enter where the study was published.")).isVisible();
        assertThat(page.locator("#study-test")).isFocused();
        page.getByLabel("Test", new Page.GetByLabelOptions().setExact(true)).selectOption("sh-neer");
        page.getByLabel("Condition", new Page.GetByLabelOptions().setExact(true))
                .selectOption("subacromial-pain");
        press(page, "Proportions");
        fill("Sensitivity, 0 to 1", "84");
        fill("Specificity, 0 to 1", "0,7");
        fill("Patients with it", "40");
        fill("Without it", "50");
        fill("In all", "91");
        fill("In the study’s own words", "pain");
        fill("Source", "Nobody AB, Invented J, 2026");
        page.reload();
        assertThat(page.getByText("What you had typed is here again.")).isVisible();
        press(page, "Show what it would change");
        assertThat(page.getByText("a percentage is divided by 100")).isVisible();
        assertThat(page.getByText("with and without together, 90")).isVisible();
        fill("Sensitivity, 0 to 1", "0.84");
        fill("In all", "");
        press(page, "Show what it would change");
        Locator change = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What it would change"));
        assertThat(change).containsText("Sensitivity 84 (");
        assertThat(change).containsText("open examination");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Cancel"))
                .last()
                .click();
        assertThat(page).hasURL(Pattern.compile("/library/ledger$"));
        assertThat(page.getByText("Nobody AB")).hasCount(0);
    }

    @Test
    void a_study_is_added_reviewed_corrected_and_withdrawn_and_every_step_is_seen() {
        add("Stepwise AB, Invented J, 2026");
        press(page, "Compare with the original");
        press(page, "Keep the review");
        assertThat(page.getByText("Choose how it compares.")).isVisible();
        press(page, "Doubtful");
        press(page, "Keep the review");
        assertThat(page.getByText("what is doubtful or wrong, in 3 to 600 letters"))
                .isVisible();
        fill("What is doubtful or wrong?", "table 2 and text differ");
        page.getByText("How far can it be trusted?").click();
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Patients"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("High"))
                .first()
                .click();
        press(page, "Keep the review");
        assertThat(page.getByText("Disputed, by M. Fell")).isVisible();
        assertThat(page.getByRole(AriaRole.ROW, new Page.GetByRoleOptions().setName(Pattern.compile("^Patients High"))))
                .isVisible();

        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Correct"))
                .click();
        fill("Specificity, 0 to 1", "0.9");
        press(page, "Show what it would change");
        press(page, "Keep the correction");
        assertThat(page.getByText("a reason of 3 to 600 letters")).isVisible();
        fill("Why is it corrected?", "the text is right");
        press(page, "Keep the correction");
        assertThat(page.getByText("Changed since it was disputed.").first()).isVisible();
        Locator history = page.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("the text is right"))
                .first();
        assertThat(history).containsText("Specificity: 0.95 0.9");
        withdraw("end of the journey");
        press(page, "Take back into use");
        page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Take it back into use"))
                .getByLabel("Why?")
                .fill("only a trial");
        press(page, "Take it back");
        assertThat(page.getByText("In use: ")).isVisible();
        withdraw("end of the journey, again");
    }

    @Test
    void a_therapist_is_shown_what_todays_ledger_would_move_and_takes_it() {
        try (BrowserContext other = Suite.therapist(Suite.tablet())) {
            Page bench = other.newPage();
            Bench.startExamination(bench, Suite.server().address(), "LJ-1").quietFive();
            bench.getByRole(
                            AriaRole.LINK,
                            new Page.GetByRoleOptions().setName("Weighing").setExact(true))
                    .click();
            assertThat(bench.getByText("could be").first()).isVisible();
            add("Offered AB, Invented J, 2026");
            bench.reload();
            Locator offer = bench.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Newer figures"));
            offer.getByRole(AriaRole.BUTTON).click();
            assertThat(offer).containsText("entered, by M. Fell");
            assertThat(offer).containsText(Pattern.compile("Subacromial pain: .* in 100"));
            press(bench, "Weigh it by today’s ledger");
            assertThat(offer).hasCount(0);
            withdraw("end of the journey");
            bench.reload();
            assertThat(offer).isVisible();
        }
    }

    @Test
    void a_table_with_a_fault_brings_nothing_and_says_where() {
        go("/library/ledger/import");
        String csv = (String) page.evaluate("async () => await (await fetch('/api/ledger/ledger.csv')).text()");
        String row =
                csv.lines().filter(line -> line.startsWith("E353,")).findFirst().orElseThrow();
        String header = csv.lines().findFirst().orElseThrow() + "\n";
        String sound = row.replaceFirst("E353", "").replace("Park HB", "Tabled AB") + "\n";
        Locator file = page.getByLabel("File");
        file.setInputFiles(table(header + sound + row.replaceFirst("E353", "").replace("0.687", "68.7") + "\n"));
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("1 line cannot be taken, so nothing is kept.");
        assertThat(page.getByText("Line 3: specificity is '68.7'; allowed")).isVisible();
        file.setInputFiles(table("some,other\n1,2\n"));
        assertThat(page.getByText("Line 1: the columns are [some, other]; allowed"))
                .isVisible();
        file.setInputFiles(table(header + sound));
        assertThat(page.getByText("1 new, 0 that say something else, 0 the same as here."))
                .isVisible();
        press(page, "Keep it");
        assertThat(page.getByText("1 new and 0 corrected records")).isVisible();
        go("/library/ledger?find=Tabled");
        page.getByText("Tabled AB").click();
        assertThat(page.getByText("from the table “studies.csv”")).isVisible();
        withdraw("end of the journey");
    }

    private static FilePayload table(String text) {
        return new FilePayload("studies.csv", "text/csv", text.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void a_paper_is_kept_with_its_record_and_taken_away() {
        go("/library/ledger/E345");
        Locator papers = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Papers"));
        Locator file = papers.getByLabel("Keep a PDF of the original here");
        file.setInputFiles(
                new FilePayload("notes.pdf", "application/pdf", "only words".getBytes(StandardCharsets.UTF_8)));
        assertThat(papers.getByRole(AriaRole.ALERT)).containsText("Is no PDF; allowed: a whole PDF of at most 10 MB.");
        file.setInputFiles(new FilePayload(
                "original.pdf", "application/pdf", "%PDF-1.7\n%%EOF\n".getBytes(StandardCharsets.UTF_8)));
        assertThat(papers.getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("original.pdf")))
                .isVisible();
        papers.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Take away original.pdf"))
                .click();
        assertThat(papers).containsText("taken away by M. Fell");
        assertThat(papers.getByRole(AriaRole.LINK)).hasCount(0);
    }

    @Test
    void what_is_left_to_review_begins_with_what_is_found_most_here() {
        go("/library/ledger");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("not yet compared")))
                .click();
        assertThat(page.getByRole(AriaRole.LISTITEM).first()).containsText("signed examinations");
        assertThat(page.getByText(Pattern.compile("Of \\d+ records that weigh")))
                .isVisible();
        page.getByRole(AriaRole.LISTITEM).first().getByRole(AriaRole.LINK).click();
        assertThat(page.getByText("Compare with the original").first()).isVisible();
    }

    @Test
    void another_way_of_putting_studies_together_is_looked_at_first_and_taken_back() {
        go("/library/ledger");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("How studies are put together"))
                .click();
        assertThat(page.getByText("This is how it is now.")).isVisible();
        press(page, "The best study of each test");
        assertThat(page.getByText(Pattern.compile("\\d+ weights move"))).isVisible();
        press(page, "Weigh so from now on");
        assertThat(page.getByText("allowed: a reason of 3")).isVisible();
        fill("Why?", "to compare with what we had");
        press(page, "Weigh so from now on");
        assertThat(page.getByText("by the best study of each test")).isVisible();
        go("/library/tests/sh-neer?for=subacromial-pain");
        assertThat(page.getByText("Weighed: its best study, as it may differ elsewhere"))
                .isVisible();

        go("/library/ledger/policy");
        press(page, "All studies together");
        fill("Why?", "end of the comparison");
        press(page, "Weigh so from now on");
        assertThat(page.getByText("This is how it is now.")).isVisible();
        go("/library/tests/sh-neer?for=subacromial-pain");
        assertThat(page.getByText("Weighed: what an independent clinic would find"))
                .isVisible();
    }

    @Test
    void where_two_people_are_needed_a_correction_waits_and_its_author_cannot_agree() {
        second("yes");
        try {
            go("/library/ledger/E353/correct");
            fill("Note", "a second look");
            press(page, "Show what it would change");
            fill("Why is it corrected?", "as the paper says");
            press(page, "Keep the correction");
            assertThat(page.getByText("A change waits for a second person")).isVisible();
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("what waits"))
                    .click();
            assertThat(page.getByText("Yours: another person has to agree")).isVisible();
            go("/library/ledger/E353");
            press(page, "Do not agree");
            fill("Why?", "it said so already");
            press(page, "Do not agree");
            assertThat(page.getByText("not agreed to")).isVisible();
        } finally {
            second("no");
        }
    }

    private void second(String choice) {
        go("/setup/screen");
        page.getByRole(
                        AriaRole.GROUP,
                        new Page.GetByRoleOptions().setName("A changed figure of the ledger needs a second person"))
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions()
                                .setName(Pattern.compile("^" + choice + "$", Pattern.CASE_INSENSITIVE)))
                .click();
        go("/library/ledger/waiting");
        assertThat(page.getByText(choice.equals("yes") ? "stands here until another steward agrees" : "Nothing waits."))
                .isVisible();
    }

    @Test
    void a_review_that_was_begun_outlives_a_reload() {
        go("/library/ledger/E340");
        press(page, "Compare with the original");
        press(page, "Doubtful");
        fill("What is doubtful or wrong?", "the table and the text differ");
        page.reload();
        assertThat(page.getByLabel("What is doubtful or wrong?")).hasValue("the table and the text differ");
        press(page, "Cancel");
        page.reload();
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Compare with the original")))
                .isVisible();
    }

    @Test
    void a_source_is_taken_from_a_file_of_references() {
        go("/library/ledger/new?test=sh-neer&condition=subacromial-pain");
        page.getByText("Take the source from a file of references").click();
        page.getByLabel(Pattern.compile("A file in BibTeX or RIS"))
                .setInputFiles(new FilePayload("two.ris", "text/plain", """
                                TY  - JOUR
                                AU  - Invented, Ann
                                JO  - J Nowhere
                                PY  - 2025
                                ER  -
                                TY  - JOUR
                                AU  - Other, Bo
                                TI  - The second of them
                                PY  - 2026
                                ER  -
                                """.getBytes(StandardCharsets.UTF_8)));
        page.getByText("The second of them").click();
        assertThat(page.getByLabel("Source", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("Other B, 2026");
    }

    @Test
    void everybody_else_reads_the_ledger_and_changes_nothing() {
        try (BrowserContext other = Suite.therapist(Suite.tablet())) {
            Page reader = other.newPage();
            reader.navigate(Suite.server().address() + "/library/ledger/E353");
            assertThat(reader.getByText("Park HB et al., J Bone Joint Surg Am, 2005"))
                    .isVisible();
            assertThat(reader.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Withdraw")))
                    .hasCount(0);
            reader.navigate(Suite.server().address() + "/library/ledger/new");
            assertThat(reader.getByText("Only a steward changes the ledger")).isVisible();
            reader.navigate(Suite.server().address() + "/library/ledger/E9999");
            assertThat(reader.getByText("Not in the ledger")).isVisible();
        }
    }
}
