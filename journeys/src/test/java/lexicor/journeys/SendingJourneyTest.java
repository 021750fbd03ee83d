package lexicor.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** An administrator names who receives signed examinations, and a therapist sends one. */
class SendingJourneyTest extends TabletJourney {

    private static void press(Page where, String name) {
        where.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(name).setExact(true))
                .click();
    }

    private static void name(String address) {
        try (BrowserContext context = Suite.signedIn("J. Gill, administrator", Suite.tablet())) {
            Page page = context.newPage();
            page.navigate(Suite.server().address() + "/setup/sending");
            assertThat(page.getByText("Nobody receives anything.")).isVisible();
            page.getByLabel("Name, as therapists know it").fill("Hill hospital");
            page.getByLabel("Address").fill("http://records.example/fhir");
            press(page, "Keep");
            assertThat(page.getByText("allowed: an address that begins with https://"))
                    .isVisible();
            page.getByLabel("Address").fill(address);
            press(page, "Keep");
            assertThat(page.getByText("Therapists can send to Hill hospital.")).isVisible();
        }
    }

    private static void nobodyAnyMore() {
        try (BrowserContext context = Suite.signedIn("J. Gill, administrator", Suite.tablet())) {
            Page page = context.newPage();
            page.navigate(Suite.server().address() + "/setup/sending");
            press(page, "Send to nobody any more");
            assertThat(page.getByText("Nobody receives anything.")).isVisible();
        }
    }

    @Test
    void a_signed_examination_is_looked_through_sent_and_its_receipt_shown() {
        try (RunningServer receiver = RunningServer.receiver()) {
            name(receiver.address());
            open("SL-0444");
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Note"))
                    .click();
            press(page, "Report");
            press(page, "Send to Hill hospital");
            Locator sending = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Sending"));
            assertThat(sending).containsText("Case SL-0444, born 1990");
            assertThat(sending).containsText("It cannot be called back.");
            press(page, "Send it");
            assertThat(sending)
                    .containsText(Pattern.compile("Version 2 arrived at Hill hospital .*, kept there as Bundle/1\\."));
            press(page, "Full");
            nobodyAnyMore();
        }
    }
}
