package lexicor.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.List;
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
            page.getByLabel("Code").fill(server.firstCode());
            page.getByLabel("Sign-in name").fill("becket");
            page.getByLabel("Name as others see it").fill("L. Becket");
            page.getByLabel("Password").fill("seven quiet herons");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Make the account"))
                    .click();
            assertThat(page.getByText("No case yet")).isVisible();
            Bench bench = Bench.startExamination(page, server.address(), "KL-1");
            bench.tap("Nothing, both sides")
                    .tap(bench.uninvolved(), "Nothing")
                    .tap(bench.involved(), "Familiar pain")
                    .settled();
            address = page.url();
            server.kill();

            bench.tap(bench.involved(), "Weak");
            assertThat(page.getByText("No connection.")).isVisible();
            assertThat(page.getByText("1 kept here, nothing is lost.")).isVisible();
            server = RunningServer.start(data, false, server.port());
            assertThat(page.getByText("Everything is as you left it, L. Becket."))
                    .isVisible();
            page.getByLabel("Password").fill("seven quiet herons");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign in"))
                    .click();
            bench.settled();
            assertThat(bench.title()).hasText("Resisted external rotation");
            assertThat(bench.reading()).containsText("familiar pain, strength weak");
        }
        try (var context = Suite.browser().newContext()) {
            Page page = context.newPage();
            page.navigate(address);
            page.getByLabel("Sign-in name").fill("becket");
            page.getByLabel("Password").fill("seven quiet herons");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign in"))
                    .click();
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
            bench.tap("Nothing, both sides")
                    .tap("Nothing, both sides")
                    .tap(bench.involved(), "Familiar pain")
                    .tap(bench.involved(), "Weak");
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
        try (var one = Suite.therapist(Suite.tablet());
                var other = Suite.therapist(Suite.tablet())) {
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
            assertThat(first.getByText("Recorded differently on two devices: which one holds?"))
                    .isVisible();
            first.getByRole(AriaRole.ALERT)
                    .filter(new Locator.FilterOptions().setHasText("two devices"))
                    .getByRole(AriaRole.LISTITEM)
                    .filter(new Locator.FilterOptions().setHasText("familiar pain"))
                    .getByRole(AriaRole.BUTTON)
                    .click();
            here.settled();
            assertThat(first.getByText("Recorded differently")).isHidden();
            assertThat(here.involved()
                            .getByRole(
                                    AriaRole.BUTTON,
                                    new Locator.GetByRoleOptions()
                                            .setName("Familiar pain")
                                            .setPressed(true)))
                    .isVisible();
        }
    }

    @Test
    void leaving_an_examination_without_a_connection_and_coming_back_loses_nothing() {
        try (var context = Suite.therapist(Suite.tablet())) {
            Page page = context.newPage();
            Bench bench = Bench.startExamination(page, Suite.server().address(), "LV-1");
            bench.settled();
            String address = page.url();
            page.getByRole(
                            AriaRole.LINK,
                            new Page.GetByRoleOptions().setName("Lexicor").setExact(true))
                    .click();
            assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Cases")))
                    .isVisible();
            page.goBack();
            bench.settled();
            context.setOffline(true);
            bench.tap("Nothing, both sides");
            assertThat(page.getByText("1 kept here, nothing is lost.")).isVisible();
            page.getByRole(
                            AriaRole.LINK,
                            new Page.GetByRoleOptions().setName("Lexicor").setExact(true))
                    .click();
            assertThat(page.getByText("1 entry is kept in this browser")).isVisible();
            page.goBack();
            bench.tap("Nothing, both sides");
            assertThat(page.getByText("2 kept here, nothing is lost.")).isVisible();
            page.reload();
            assertThat(page.getByText("2 kept here, nothing is lost.")).isVisible();
            page.getByRole(
                            AriaRole.LINK,
                            new Page.GetByRoleOptions().setName("Lexicor").setExact(true))
                    .click();
            context.setOffline(false);
            assertThat(page.getByText("kept in this browser")).isHidden();
            page.navigate(address);
            bench.settled();
            assertThat(bench.ranking()).containsText("0 of 2 positive so far");
        }
    }

    @Test
    void two_tabs_without_a_connection_keep_what_each_records_and_show_it_to_each_other() {
        try (var context = Suite.therapist(Suite.tablet())) {
            Page first = context.newPage();
            Bench here = Bench.startExamination(first, Suite.server().address(), "TT-1");
            here.settled();
            Page second = context.newPage();
            second.navigate(first.url());
            Bench there = new Bench(second).settled();
            context.setOffline(true);
            here.tap("Nothing, both sides");
            assertThat(first.getByText("1 kept here, nothing is lost.")).isVisible();
            assertThat(second.getByText("1 kept here, nothing is lost.")).isVisible();
            there.stand("Empty can");
            assertThat(first.getByText("2 kept here, nothing is lost.")).isVisible();
            there.tap(there.involved(), "Familiar pain");
            assertThat(first.getByText("3 kept here, nothing is lost.")).isVisible();
            second.close();
            first.reload();
            assertThat(first.getByText("kept here, nothing is lost.")).isVisible();
            context.setOffline(false);
            here.settled();
            first.reload();
            here.settled().stand("Empty can");
            assertThat(here.involved()
                            .getByRole(
                                    AriaRole.BUTTON,
                                    new Locator.GetByRoleOptions()
                                            .setName("Familiar pain")
                                            .setPressed(true)))
                    .isVisible();
            here.stand("Painful arc");
            assertThat(here.involved()
                            .getByRole(
                                    AriaRole.BUTTON,
                                    new Locator.GetByRoleOptions()
                                            .setName("No pain")
                                            .setPressed(true)))
                    .isVisible();
        }
    }

    @Test
    void a_reload_right_after_each_tap_loses_no_tap() {
        try (var context = Suite.therapist(Suite.tablet())) {
            Page page = context.newPage();
            Bench bench = Bench.startExamination(page, Suite.server().address(), "RL-1");
            bench.settled();
            for (String test : List.of("Painful arc", "Resisted ext. rotation")) {
                bench.stand(test).tap("Nothing, both sides");
                page.reload();
                assertThat(bench.title()).isVisible();
            }
            bench.settled().stand("Empty can").settled();
            context.setOffline(true);
            for (String answer : List.of("Familiar pain", "Weak")) {
                bench.tap(bench.involved(), answer);
                page.reload();
                assertThat(bench.title()).isVisible();
            }
            assertThat(page.getByText("2 kept here, nothing is lost.")).isVisible();
            context.setOffline(false);
            bench.settled();
            page.reload();
            assertThat(bench.settled().title()).hasText("Empty can");
            assertThat(bench.reading()).containsText("familiar pain, strength weak");
            assertThat(bench.ranking()).containsText("1 of 3 positive so far");
        }
    }

    @Test
    void after_signing_out_the_browser_holds_nothing_that_can_be_read_and_what_waits_flows_at_the_next_sign_in() {
        try (var context = Suite.therapist(Suite.tablet())) {
            Page page = context.newPage();
            Bench bench = Bench.startExamination(page, Suite.server().address(), "SO-1");
            bench.settled();
            String address = page.url();
            context.setOffline(true);
            bench.tap("Nothing, both sides");
            assertThat(page.getByText("1 kept here, nothing is lost.")).isVisible();
            String script =
                    "async () => { const db = await new Promise((ok, no) => { const open = indexedDB.open('lexicor'); open.onsuccess = () => ok(open.result); open.onerror = no; });"
                            + " const all = name => new Promise(ok => { db.transaction(name).objectStore(name).getAll().onsuccess = event => ok(event.target.result); });"
                            + " return JSON.stringify([await all('entries'), await all('copies'), {...localStorage}, {...sessionStorage}]); }";
            page.getByText("R. Tarn").first().click();
            assertThat(page.getByText("1 entry is not on the server yet.")).isVisible();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign out"))
                    .click();
            assertThat(page.getByText("The server is not answering")).isVisible();
            String left = (String) page.evaluate(script);
            org.assertj.core.api.Assertions.assertThat(left)
                    .contains("sealed")
                    .doesNotContain("SO-1", "sh-arc", "Sail mender", "page-key");
            context.setOffline(false);
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Try again"))
                    .click();
            if (page.getByLabel("Sign-in name").isVisible()) {
                page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("R. Tarn, therapist"))
                        .click();
            }
            assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Cases")))
                    .isVisible();
            assertThat(page.getByText("kept in this browser")).isHidden();
            page.navigate(address);
            bench.settled();
            bench.stand("Painful arc");
            assertThat(bench.involved()
                            .getByRole(
                                    AriaRole.BUTTON,
                                    new Locator.GetByRoleOptions()
                                            .setName("No pain")
                                            .setPressed(true)))
                    .isVisible();
        }
    }

    @Test
    void a_colleague_takes_an_examination_over_to_change_what_was_found() {
        try (var one = Suite.therapist(Suite.tablet());
                var other = Suite.signedIn("S. Wold, therapist", Suite.tablet())) {
            Page first = one.newPage();
            Bench here = Bench.startExamination(first, Suite.server().address(), "TO-1");
            here.tap("Nothing, both sides").settled();
            Page second = other.newPage();
            second.navigate(first.url());
            Bench there = new Bench(second).settled();
            assertThat(second.getByText("R. Tarn examines.")).isVisible();
            there.stand("Painful arc").tap(there.involved(), "Familiar pain");
            assertThat(second.getByText("This replaces what tarn entered.").first())
                    .isVisible();
            second.getByRole(AriaRole.ALERT)
                    .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Take over from R. Tarn"))
                    .click();
            there.settled();
            assertThat(second.getByText("Taken over from R. Tarn by you.")).isVisible();
            assertThat(first.getByText("S. Wold examines.")).isVisible();
            here.stand("Painful arc");
            assertThat(here.involved()
                            .getByRole(
                                    AriaRole.BUTTON,
                                    new Locator.GetByRoleOptions()
                                            .setName("Familiar pain")
                                            .setPressed(true)))
                    .isVisible();
        }
    }

    @Test
    void two_pages_that_record_different_tests_of_one_examination_lose_neither() {
        try (var one = Suite.therapist(Suite.tablet());
                var other = Suite.therapist(Suite.tablet())) {
            Page first = one.newPage();
            Bench here = Bench.startExamination(first, Suite.server().address(), "TP-1");
            Page second = other.newPage();
            second.navigate(first.url());
            Bench there = new Bench(second);
            assertThat(there.title()).hasText("Painful arc");
            here.tap("Nothing, both sides").settled();
            there.next().tap("Nothing, both sides").settled();
            for (Page page : new Page[] {first, second}) {
                assertThat(new Bench(page).ranking()).containsText("0 of 2 positive so far");
            }
        }
    }
}
