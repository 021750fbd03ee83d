package lexicor.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;

/** The bench as a therapist uses it, counting taps. */
final class Bench {

    /** How long the server may need to catch up with a machine that taps thirty times in six seconds. */
    private static final double CAUGHT_UP_MS = 20_000;

    private final Page page;
    private int taps;

    Bench(Page page) {
        this.page = page;
    }

    /** Begins a right shoulder seen at first contact, with the red flags asked, and goes to the bench. */
    static Bench startExamination(Page page, String server, String caseCode) {
        page.navigate(server + "/new");
        page.getByLabel("Case code").fill(caseCode);
        page.getByLabel("Year of birth").fill("1986");
        page.getByLabel("Occupation or sport").fill("Ferry deckhand");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Right shoulder"))
                .click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Start: right shoulder"))
                .click();
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Red flags"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("None of these"))
                .click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("To the bench"))
                .click();
        Bench bench = new Bench(page);
        assertThat(bench.title()).hasText("Look");
        return bench.settled().stand("Painful arc");
    }

    /** The order of the tests. */
    Locator rail() {
        return page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Order of the tests"));
    }

    /** Goes to a row of the order, opening the section that it is in. */
    Bench stand(String row) {
        assertThat(rail().locator("h2").first()).isVisible();
        Locator wanted = rail().getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(Pattern.compile("^(Locked )?" + literal(row) + " ?,")));
        for (int section = 0;
                wanted.count() == 0 && section < rail().locator("h2 button").count();
                section++) {
            rail().locator("h2 button").nth(section).click();
        }
        wanted.first().click();
        assertThat(rail().locator("[aria-current=step]")).containsText(row);
        return this;
    }

    /** Puts in a test that is not in the order, by letters of its name. */
    Bench add(String letters) {
        page.getByLabel("Another test").fill(letters);
        page.getByLabel("Another test").press("Enter");
        return settled();
    }

    /** Goes to a test by its name, in the order where somebody did it before, else put in. */
    Bench reach(String shortName) {
        Locator field = page.getByLabel("Another test");
        field.fill(shortName);
        Locator found = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Tests found"));
        assertThat(found).isVisible();
        if (found.getByRole(AriaRole.BUTTON).count() > 0) {
            field.press("Enter");
            return settled();
        }
        field.fill("");
        return stand(shortName).settled();
    }

    /** Says nothing on both sides to the five tests of the subacromial set. */
    Bench quietFive() {
        for (String test : List.of(
                "Painful arc", "Resisted ext. rotation", "Empty can", "Forward flexion", "Flexed int. rotation")) {
            stand(test).tap("Nothing, both sides");
        }
        return settled();
    }

    Locator title() {
        return page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1));
    }

    Locator involved() {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(Pattern.compile(", involved side")));
    }

    Locator uninvolved() {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(Pattern.compile("uninvolved side")));
    }

    Locator reading() {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Reading"));
    }

    Locator ranking() {
        return page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Where it stands"));
    }

    Locator saved() {
        return page.getByText("Saved", new Page.GetByTextOptions().setExact(true));
    }

    Bench tap(Locator within, String name) {
        taps++;
        within.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(Pattern.compile("^" + literal(name) + "($|:)")))
                .first()
                .click();
        return this;
    }

    Bench tap(String name) {
        return tap(page.getByRole(AriaRole.MAIN), name);
    }

    /** Goes on to the next test, and waits until it stands there. */
    Bench next() {
        String before = title().innerText();
        tap("Next");
        assertThat(title()).not().hasText(before);
        return this;
    }

    /** Taps an answer within a named group. */
    Bench tap(String group, String name) {
        return tap(
                page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName(group))
                        .first(),
                name);
    }

    /** Taps the dial of the painful arc at an angle, right arm, as it is drawn. */
    Bench tapDial(double angle) {
        taps++;
        Locator dial = involved().locator("svg.cursor-crosshair");
        double radians = Math.toRadians(angle);
        dial.click(new Locator.ClickOptions().setPosition(98 - 75 * Math.sin(radians), 94 + 75 * Math.cos(radians)));
        return this;
    }

    /** Waits until the ranking includes everything recorded. */
    Bench settled() {
        assertThat(saved()).isVisible();
        assertThat(page.locator("aside[aria-busy=false]"))
                .isAttached(new LocatorAssertions.IsAttachedOptions().setTimeout(CAUGHT_UP_MS));
        return this;
    }

    /** At the bench's usual size nothing has to be scrolled for. */
    Bench fitsWithoutScrolling() {
        Object hidden = page.evaluate(
                "[...document.querySelectorAll('main > *')].map((column) => column.scrollHeight - column.clientHeight)");
        Assertions.assertThat((List<?>) hidden)
                .as("pixels hidden below rail, card and ranking")
                .allMatch(pixels -> ((Number) pixels).intValue() <= 1);
        return this;
    }

    /** Waits until everything recorded is on the server, wherever one looks. */
    Bench settledRecord() {
        assertThat(saved()).isVisible();
        return this;
    }

    int taps() {
        return taps;
    }

    /** A name as a pattern that browsers read too. */
    private static String literal(String name) {
        return name.replaceAll("[.*+?^${}()|\\[\\]\\\\]", "\\\\$0");
    }
}
