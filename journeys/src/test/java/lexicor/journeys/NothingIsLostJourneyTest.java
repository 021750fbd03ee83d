package lexicor.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/** Killed server, lost connection, closed browser. */
class NothingIsLostJourneyTest {

    @Test
    void a_killed_server_finds_the_examination_at_the_same_test_and_takes_what_was_tapped_meanwhile() {
        Path data = RunningServer.freshData();
        RunningServer server = RunningServer.start(data, false, 0);
        String address;
        try (var context = Suite.browser().newContext()) {
            Page page = context.newPage();
            page.navigate(server.address());
            assertThat(page.getByText("Nobody can sign in yet")).isVisible();
            page.getByLabel("Sign-in name").fill("becket");
            page.getByLabel("Name as others see it").fill("L. Becket");
            page.getByLabel("Password").fill("seven quiet herons");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Make the account")).click();
            assertThat(page.getByText("No case yet")).isVisible();
            Bench bench = Bench.startExamination(page, server.address(), "KL-1");
            bench.tap("Nothing, both sides").tap(bench.uninvolved(), "Nothing").tap(bench.involved(), "Familiar pain").settled();
            address = page.url();
            server.kill();

            bench.tap(bench.involved(), "Weak");
            assertThat(page.getByText("No connection.")).isVisible();
            assertThat(page.getByText("1 kept here, nothing is lost.")).isVisible();
            server = RunningServer.start(data, false, server.port());
            assertThat(page.getByText("Everything is as you left it, L. Becket.")).isVisible();
            page.getByLabel("Password").fill("seven quiet herons");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign in")).click();
            bench.settled();
            assertThat(bench.title()).hasText("Resisted external rotation");
            assertThat(bench.reading()).containsText("familiar pain, strength weak");
        }
        try (var context = Suite.browser().newContext()) {
            Page page = context.newPage();
            page.navigate(address);
            page.getByLabel("Sign-in name").fill("becket");
            page.getByLabel("Password").fill("seven quiet herons");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign in")).click();
            Bench bench = new Bench(page);
            assertThat(bench.title()).hasText("Resisted external rotation");
            assertThat(bench.ranking()).containsText("1 of 2 positive so far");
        }
        server.close();
    }

    @Test
    void what_is_tapped_without_a_connection_flows_when_it_is_back_in_order_and_once() {
        try (var context = Suite.therapist(Suite.tablet())) {
            Page page = context.newPage();
            Bench bench = Bench.startExamination(page, Suite.server().address(), "OF-1");
            bench.settled();
            context.setOffline(true);
            bench.tap("Nothing, both sides").tap("Nothing, both sides").tap(bench.involved(), "Familiar pain").tap(bench.involved(), "Weak");
            assertThat(page.getByText("4 kept here, nothing is lost.")).isVisible();
            assertThat(bench.title()).hasText("Empty can");
            assertThat(bench.reading()).containsText("once the server is reached");
            context.setOffline(false);
            bench.settled();
            assertThat(bench.ranking()).containsText("1 of 3 positive so far");
            page.reload();
            assertThat(bench.ranking()).containsText("1 of 3 positive so far");
            assertThat(bench.title()).hasText("Empty can");
        }
    }

    @Test
    void the_same_test_recorded_differently_on_two_devices_is_put_to_a_choice() {
        try (var one = Suite.therapist(Suite.tablet()); var other = Suite.therapist(Suite.tablet())) {
            Page first = one.newPage();
            Bench here = Bench.startExamination(first, Suite.server().address(), "TD-1");
            Page second = other.newPage();
            second.navigate(first.url());
            Bench there = new Bench(second);
            assertThat(there.title()).hasText("Painful arc");
            other.setOffline(true);
            there.tap(there.involved(), "Familiar pain");
            here.tap(here.involved(), "No pain").settled();
            other.setOffline(false);
            there.settled();
            first.reload();
            assertThat(first.getByText("Recorded differently on two devices: which one holds?")).isVisible();
            first.getByRole(AriaRole.ALERT).filter(new Locator.FilterOptions().setHasText("two devices")).getByRole(AriaRole.LISTITEM)
                    .filter(new Locator.FilterOptions().setHasText("familiar pain")).getByRole(AriaRole.BUTTON).click();
            here.settled();
            assertThat(first.getByText("Recorded differently")).isHidden();
            assertThat(here.involved().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Familiar pain").setPressed(true))).isVisible();
        }
    }

    @Test
    void two_pages_that_record_different_tests_of_one_examination_lose_neither() {
        try (var one = Suite.therapist(Suite.tablet()); var other = Suite.therapist(Suite.tablet())) {
            Page first = one.newPage();
            Bench here = Bench.startExamination(first, Suite.server().address(), "TP-1");
            Page second = other.newPage();
            second.navigate(first.url());
            Bench there = new Bench(second);
            assertThat(there.title()).hasText("Painful arc");
            here.tap("Nothing, both sides").settled();
            there.next().tap("Nothing, both sides").settled();
            for (Page page : new Page[] {first, second}) {
                page.reload();
                assertThat(new Bench(page).ranking()).containsText("0 of 2 positive so far");
            }
        }
    }
}
