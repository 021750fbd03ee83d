package lexicor.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/**
 * Every view at every width: nothing for axe to find, nothing that makes the page scroll sideways, nothing loaded from
 * outside, and a browser with no complaint.
 */
class AccessibilityJourneyTest {

    /** A tablet, and the size in which every view is opened. */
    private static final int[] TABLET = {1280, 800};

    private static final int[] PHONE = {390, 844};

    /** A tablet at 200 % zoom, where the question is what fits; names are those of the other widths. */
    private static final int[] ZOOMED = {640, 400};

    /** The contrasts that were looked at. */
    private static final Set<String> CONTRASTS = new HashSet<>();

    private static final String NEW_CONTRASTS = """
            async seen => {
              const known = new Set(seen), fresh = [], texts = [];
              for (const element of document.querySelectorAll('body *')) {
                if (![...element.childNodes].some(node => node.nodeType === 3 && node.data.trim())) continue;
                const own = getComputedStyle(element), behind = [];
                for (let at = element; at; at = at.parentElement) {
                  const style = getComputedStyle(at);
                  behind.push(style.opacity, style.backgroundImage, style.backgroundColor);
                  if (style.backgroundColor.startsWith('rgb(')) break;
                }
                const contrast = [own.color, own.fill, own.fontSize, own.fontWeight, ...behind]
                  .filter(part => part !== 'none' && part !== '1' && part !== 'rgba(0, 0, 0, 0)').join('; ');
                if (known.has(contrast) || !element.checkVisibility()) continue;
                known.add(contrast);
                fresh.push(contrast);
                texts.push(element);
              }
              const result = texts.length === 0 ? {violations: []} : await axe.run({include: texts},
                {resultTypes: ['violations'], runOnly: {type: 'rule', values: ['color-contrast']}});
              return {fresh, found: result.violations.flatMap(rule => rule.nodes.map(node => `${node.html} ${node.failureSummary}`))};
            }
            """;

    @Test
    void the_practice_room_is_clean() {
        try (BrowserContext context = Suite.signedIn(
                "E. Brook, student", new Browser.NewContextOptions().setViewportSize(TABLET[0], TABLET[1]))) {
            Page page = context.newPage();
            page.navigate(Suite.server().address() + "/practice/drills?drill=NAME");
            clean(page, "drill", page.getByText(Pattern.compile("Which test is this|Which figure shows it")));
            page.navigate(Suite.server().address() + "/practice/classes");
            clean(page, "classes", page.getByText("Join by code"));
            page.navigate(Suite.server().address() + "/practice");
            clean(page, "practice room", page.getByText("A patient, please"));
            page.getByLabel("Open a case file").setInputFiles(PracticeJourneyTest.patient("Looked at"));
            page.getByLabel("What could it be?").selectOption("Subacromial pain");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Put down and compare"))
                    .click();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Painful arc"))
                    .first()
                    .click();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Do it, well side first"))
                    .click();
            assertThat(page.getByRole(AriaRole.ARTICLE)).isVisible();
            clean(page, "invented patient", page.getByText("Practice: nobody here is real"));
            page.getByRole(
                            AriaRole.BUTTON,
                            new Page.GetByRoleOptions().setName("End").setExact(true))
                    .click();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("I have finished"))
                    .click();
            clean(page, "looking back", page.getByText("Where you ended"));
            page.navigate(Suite.server().address() + "/practice/progress");
            clean(page, "progress", page.getByText("How far answers move you"));
        }
    }

    @Test
    void every_view_is_clean() {
        try (BrowserContext context =
                Suite.therapist(new Browser.NewContextOptions().setViewportSize(TABLET[0], TABLET[1]))) {
            Page page = context.newPage();
            List<String> complaints = new ArrayList<>();
            page.onConsoleMessage(message -> {
                if (message.type().equals("error") || message.type().equals("warning")) {
                    complaints.add(message.text());
                }
            });
            page.onRequest(request -> {
                if (!request.url().startsWith(Suite.server().address())) {
                    complaints.add("loaded from outside: " + request.url());
                }
            });
            page.navigate(Suite.server().address() + "/");
            page.getByLabel("Find").fill("SL-0412");
            clean(page, "list", page.getByText("SL-0412"));
            page.getByText("SL-0412").click();
            String examination = page.url();
            clean(page, "bench", page.locator("h1#test-name")); // the list has a heading of that level too
            Bench bench = new Bench(page).stand("Painful arc");
            clean(page, "bench with dial", page.getByRole(AriaRole.SLIDER).first());
            bench.stand("Look");
            clean(
                    page,
                    "bench with a sheet",
                    page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Sheet")));
            bench.stand("Landmarks");
            clean(
                    page,
                    "bench with shoulder landmarks",
                    page.getByRole(
                            AriaRole.REGION,
                            new Page.GetByRoleOptions().setName("Landmarks").setExact(true)));
            bench.stand("Range of motion");
            clean(
                    page,
                    "bench with a table",
                    page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Left and right")));
            bench.stand("Belly press").tap("Gauge");
            clean(page, "bench with a gauge", page.getByText("Force gauge, stand-in"));
            page.evaluate("document.documentElement.dataset.theme = 'dark'");
            clean(page, "bench at night", page.getByText("Force gauge, stand-in"));
            bench.stand("Reach behind the back");
            clean(
                    page,
                    "bench at night with a spine",
                    page.getByText("Level below C7").first());
            page.evaluate("document.documentElement.dataset.theme = 'light'");
            page.keyboard().press("?");
            clean(page, "keys", page.getByRole(AriaRole.DIALOG));
            page.navigate(examination + "/weighing");
            clean(page, "weighing", page.getByText("What would change the answer"));
            page.locator("li summary").first().click();
            clean(
                    page,
                    "weighing with a source open",
                    page.getByText("of 1000 such people").first());
            page.getByLabel("What the beam shows").click();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Show it large"))
                    .click();
            clean(page, "weighing shown large", page.getByText("Of 1000 people who come like this"));
            page.navigate(examination + "/two-stories");
            clean(page, "another patient", page.getByText("Another patient with a shoulder"));
            page.getByText("SL-0421").click();
            clean(page, "two stories", page.getByText("in both plans"));
            page.navigate(Suite.server().address() + "/help");
            clean(page, "help", page.getByText("Well side first"));
            page.navigate(examination + "/conclude");
            clean(page, "conclusion", page.getByText("Yours. Nothing is concluded for you."));
            page.navigate(examination + "/note");
            clean(page, "note", page.getByText("Where it stands"));
            page.navigate(examination + "/plan");
            clean(page, "plan", page.getByText("A proposal by published figures"));
            page.getByRole(AriaRole.COMBOBOX).selectOption("Shoulder, quick");
            clean(
                    page,
                    "plan of one's own",
                    page.getByText("Changes of position").first());
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Back to the proposal"))
                    .click();
            page.navigate(examination + "/intake");
            clean(page, "intake", page.getByText("Where it starts"));
            page.navigate(Suite.server().address() + "/?state=SUSPENDED");
            page.getByText("SL-0430").click();
            clean(page, "suspended", page.getByText("Stop. Refer, per local pathway."));
            page.navigate(Suite.server().address() + "/");
            page.getByLabel("Find").fill("SL-0432");
            page.getByText("SL-0432").click();
            bench.stand("Wrist flexion held");
            clean(page, "bench with a hold", page.getByRole(AriaRole.TIMER));
            bench.reach("Hand refill");
            clean(page, "bench with a refill", page.getByText("Let go now").first());
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Intake"))
                    .click();
            clean(page, "intake of a hand", page.getByText("Tingling or numbness"));
            page.navigate(Suite.server().address() + "/");
            page.getByLabel("Find").fill("SL-0437");
            page.getByText("SL-0437").click();
            clean(page, "bench on a pathway", page.getByText("the stretch cannot separate the two"));
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Map:")))
                    .click();
            clean(page, "map of a pathway", page.getByText("you are here"));
            page.getByRole(AriaRole.DIALOG)
                    .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Close"))
                    .click();
            bench.stand("Landmark walk");
            clean(page, "landmark walk", page.getByText("Scaphoid tubercle").first());
            page.navigate(Suite.server().address() + "/library/tests/wr-cmc-grind");
            clean(page, "sheet with a hand", page.getByText("thumb pushed along its length"));
            page.navigate(Suite.server().address() + "/");
            page.getByLabel("Find").fill("SL-0431");
            page.getByText("SL-0431").click();
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Intake"))
                    .click();
            page.locator("summary").last().click();
            clean(page, "locks", page.getByText("Locked today"));
            page.navigate(Suite.server().address() + "/new");
            page.getByLabel("Year of birth").fill("19");
            page.getByRole(
                            AriaRole.BUTTON,
                            new Page.GetByRoleOptions().setName("Start").setExact(true))
                    .click();
            clean(page, "start with faults", page.getByText("Tap the joint that hurts."));
            page.navigate(Suite.server().address() + "/");
            page.getByLabel("Find").fill("SL-0412");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Case SL-0412"))
                    .click();
            clean(page, "case", page.getByText("Complaints and visits"));
            page.navigate(Suite.server().address() + "/");
            page.getByLabel("Find").fill("SL-0391");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Case SL-0391"))
                    .click();
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Course"))
                    .click();
            clean(page, "course", page.getByText("Where conditions stood"));
            page.navigate(Suite.server().address() + "/outcomes/waiting");
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("SL-0373"))
                    .click();
            page.getByText("Keep the result").click();
            clean(page, "a result with faults", page.getByText("Choose what it says."));
            page.navigate(Suite.server().address() + "/outcomes/waiting");
            clean(page, "waiting", page.getByText("signed complaints have a result"));
            page.navigate(Suite.server().address() + "/outcomes/accuracy");
            clean(page, "own accuracy", page.getByText("Upper line:"));
            page.navigate(Suite.server().address() + "/outcomes/calibration");
            clean(
                    page,
                    "calibration",
                    page.getByText("Mean surprise (log score)").first());
            page.navigate(Suite.server().address() + "/outcomes/agreement");
            clean(page, "two examiners", page.getByText("Beyond chance (kappa)"));
            page.navigate(Suite.server().address() + "/setup/schools");
            clean(page, "schools", page.getByText("What counts as a positive apprehension?"));
            page.navigate(Suite.server().address() + "/setup/estimates");
            clean(page, "estimates", page.getByText("Subacromial pain"));
            page.navigate(Suite.server().address() + "/setup/weighing");
            clean(page, "assumptions", page.getByText("Between studies").first());
            page.navigate(Suite.server().address() + "/setup/routines");
            clean(page, "routines", page.getByText("Some patients may not have all of it"));
            page.navigate(Suite.server().address() + "/setup/notes");
            clean(page, "layouts of notes", page.getByLabel("Layout"));
            page.navigate(Suite.server().address() + "/setup/noise");
            clean(page, "measurement noise", page.getByText("Furthest tingling point of a nerve"));
            page.navigate(Suite.server().address() + "/");
            page.getByLabel("Find").fill("SL-0443");
            page.getByText("SL-0443").click();
            clean(
                    page,
                    "bench of a next visit",
                    page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("To do again")));
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Conclude"))
                    .click();
            clean(page, "conclusion of a next visit", page.getByText("Compared with 29 Oct 2026"));
            page.navigate(Suite.server().address() + "/");
            page.getByLabel("Find").fill("SL-0444");
            page.getByText("SL-0444").click();
            clean(page, "signed bench", page.getByText("Signed: nothing can be added."));
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Conclude"))
                    .click();
            clean(page, "signed conclusion", page.getByText("Signed versions"));
            page.getByRole(
                            AriaRole.BUTTON,
                            new Page.GetByRoleOptions().setName("Amend").setExact(true))
                    .click();
            clean(page, "amending", page.getByLabel("Why is it amended?"));
            page.getByRole(
                            AriaRole.LINK,
                            new Page.GetByRoleOptions().setName("Note").setExact(true))
                    .click();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Report"))
                    .click();
            clean(page, "report", page.frameLocator("iframe[title=Report]").getByText("Where it stands"));
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Full"))
                    .click();
            page.navigate(Suite.server().address() + "/setup/password");
            clean(page, "password", page.getByLabel("Present password"));
            page.navigate(Suite.server().address() + "/library");
            clean(page, "library", page.getByText("Painful arc", new Page.GetByTextOptions().setExact(true)));
            page.navigate(Suite.server().address() + "/library?find=kim");
            clean(page, "a shared name", page.getByText("is the name of 4 tests"));
            page.navigate(Suite.server().address() + "/library/tests/sh-active-compression");
            clean(page, "test sheet", page.getByText("If positive").first());
            page.navigate(Suite.server().address() + "/library/conditions/slap");
            clean(page, "condition sheet", page.getByText("Rivals, and what separates them"));
            page.navigate(Suite.server().address() + "/library/sets/cl-slap-3");
            clean(page, "set sheet", page.getByText("What each count weighs"));
            page.navigate(Suite.server().address() + "/library/ledger");
            clean(page, "ledger", page.getByText("E001").first());
            page.navigate(Suite.server().address() + "/library/ledger/E353");
            clean(page, "record", page.getByText("Transcription").first());
            page.navigate(Suite.server().address() + "/library/ledger/review");
            clean(page, "left to review", page.getByText("records that weigh"));
            page.navigate(Suite.server().address() + "/library/calculators?tp=a");
            clean(page, "calculators", page.getByRole(AriaRole.ALERT));
            page.navigate(Suite.server().address() + "/nowhere");
            clean(page, "no such page", page.getByText("There is no such page"));
            Assertions.assertThat(complaints)
                    .as("what the browser complained of, and what came from outside")
                    .isEmpty();
        }
    }

    @Test
    void what_the_steward_does_to_the_ledger_is_clean() {
        try (BrowserContext context = Suite.signedIn(
                "M. Fell, steward", new Browser.NewContextOptions().setViewportSize(TABLET[0], TABLET[1]))) {
            Page page = context.newPage();
            page.navigate(Suite.server().address() + "/library/ledger/new?test=sh-neer&condition=subacromial-pain");
            page.getByText("Show what it would change").click();
            clean(page, "study with faults", page.getByText("Enter where the study was published."));
            page.navigate(Suite.server().address() + "/library/ledger/E353");
            page.getByText("Compare with the original").click();
            page.getByText("How far can it be trusted?").click();
            clean(page, "review", page.getByText("Who got which"));
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Cancel"))
                    .click();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Withdraw"))
                    .click();
            clean(page, "withdrawal", page.getByText(Pattern.compile("weights? moves?")));
            page.navigate(Suite.server().address() + "/library/ledger/policy");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("The best study of each test"))
                    .click();
            clean(page, "policy", page.getByText(Pattern.compile("weights move")));
            page.navigate(Suite.server().address() + "/library/ledger/waiting");
            clean(page, "waiting for a second person", page.getByText("Nothing waits."));
            page.navigate(Suite.server().address() + "/library/ledger");
            page.getByText("All studies drawn").click();
            clean(page, "all studies drawn", page.getByText("diagnostic odds ratio"));
            page.navigate(Suite.server().address() + "/library/ledger/import");
            clean(page, "import", page.getByText("looked through before anything is kept"));
        }
    }

    @Test
    void what_the_administrator_sees_and_the_door_are_clean() {
        try (BrowserContext context = Suite.signedIn(
                "J. Gill, administrator", new Browser.NewContextOptions().setViewportSize(TABLET[0], TABLET[1]))) {
            Page page = context.newPage();
            page.navigate(Suite.server().address() + "/setup/accounts");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("New account"))
                    .click();
            clean(page, "accounts", page.getByText("First password"));
            page.navigate(Suite.server().address() + "/setup/audit");
            clean(
                    page,
                    "audit",
                    page.getByRole(AriaRole.CELL, new Page.GetByRoleOptions().setName("signed in"))
                            .first());
            page.navigate(Suite.server().address() + "/setup/backups");
            clean(page, "backups", page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Copy now")));
            page.navigate(Suite.server().address() + "/setup/sending");
            clean(page, "sending", page.getByText("Nobody receives anything."));
            page.navigate(Suite.server().address() + "/setup/changes");
            clean(
                    page,
                    "changes",
                    page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Who changed what")));
        }
        try (BrowserContext context =
                Suite.browser().newContext(new Browser.NewContextOptions().setViewportSize(TABLET[0], TABLET[1]))) {
            Page page = context.newPage();
            page.navigate(Suite.server().address());
            clean(page, "sign-in", page.getByText("Demo clinic: go in as"));
        }
    }

    /**
     * What axe finds in the page and its frames; only that is sent back, since what is in order is many times as much.
     * Contrasts, which take nine tenths of the time, are looked at apart.
     */
    private static Object found(Page page) {
        for (Frame frame : page.frames()) {
            if (!(Boolean) frame.evaluate("'axe' in window")) {
                frame.evaluate(AxeBuilder.getAxeScript());
            }
        }
        return page.evaluate(
                "async () => (await axe.run(document, {resultTypes: ['violations'], rules: {'color-contrast': {enabled: false}}})).violations.map(rule => `${rule.id}: ${rule.nodes[0].html} ${rule.nodes[0].failureSummary}`)");
    }

    /**
     * What axe says of contrasts that no view before had: of every text whose colour, size and weight stand on what
     * lies behind it for the first time.
     */
    private static Object paleTexts(Page page, Set<String> seen) {
        Map<?, ?> looked = (Map<?, ?>) page.evaluate(NEW_CONTRASTS, List.copyOf(seen));
        ((List<?>) looked.get("fresh")).forEach(contrast -> seen.add((String) contrast));
        return looked.get("found");
    }

    /** Looks at the view as it stands in every size, and leaves it in the first; contrasts are the same in all. */
    private static void clean(Page page, String view, Locator there) {
        assertThat(there).isVisible();
        Assertions.assertThat(found(page)).as(view).isEqualTo(List.of());
        Assertions.assertThat(paleTexts(page, CONTRASTS)).as(view).isEqualTo(List.of());
        fits(page, view);
        size(page, PHONE);
        assertThat(there).isVisible();
        Assertions.assertThat(found(page)).as(view + " on a phone").isEqualTo(List.of());
        fits(page, view + " on a phone");
        size(page, ZOOMED);
        fits(page, view + " at 200 %");
        size(page, TABLET);
    }

    @Test
    void a_text_that_is_too_pale_is_found_once_and_one_that_is_not_passes() {
        try (BrowserContext context = Suite.browser().newContext()) {
            Page page = context.newPage();
            page.setContent(
                    "<main><p style='color:#bbb'>pale</p><p>dark</p><div style='background:#222'><p>dark on dark</p></div></main>");
            found(page);
            Set<String> seen = new HashSet<>();
            Assertions.assertThat((List<?>) paleTexts(page, seen)).hasSize(2);
            Assertions.assertThat(seen).hasSize(3);
            Assertions.assertThat((List<?>) paleTexts(page, seen)).isEmpty();
        }
    }

    private static void size(Page page, int[] size) {
        page.setViewportSize(size[0], size[1]);
    }

    private static void fits(Page page, String view) {
        Assertions.assertThat((Boolean)
                        page.evaluate("document.documentElement.scrollWidth <= document.documentElement.clientWidth"))
                .as(view + " fits its width")
                .isTrue();
    }
}
