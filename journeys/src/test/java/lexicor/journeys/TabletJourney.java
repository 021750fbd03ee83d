package lexicor.journeys;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;

/** A therapist at a tablet of one's own in each journey. */
abstract class TabletJourney {

    BrowserContext context;
    Page page;

    @BeforeEach
    void open() {
        context = Suite.therapist(Suite.tablet());
        page = context.newPage();
    }

    @AfterEach
    void close() {
        context.close();
    }

    Locator main() {
        return page.getByRole(AriaRole.MAIN);
    }

    /** Goes to the bench of a case of the demo clinic. */
    Bench open(String demoCase) {
        page.navigate(Suite.server().address() + "/");
        page.getByLabel("Find").fill(demoCase);
        page.getByText(demoCase).click();
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Bench").setExact(true))
                .click();
        return new Bench(page).settled();
    }
}
