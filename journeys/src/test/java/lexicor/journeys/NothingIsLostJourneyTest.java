package lexicor.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
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
            assertThat(page.getByText("No examination yet")).isVisible();
            Bench bench = Bench.startExamination(page, server.address(), "KL-1");
            bench.tap("Nothing, both sides").tap(bench.uninvolved(), "Nothing").tap(bench.involved(), "Familiar pain").settled();
            address = page.url();
            server.kill();

            bench.tap(bench.involved(), "Weak");
            assertThat(page.getByText("No connection.")).isVisible();
            assertThat(page.getByText("1 kept here, nothing is lost.")).isVisible();
            server = RunningServer.start(data, false, server.port());
            bench.settled();
            assertThat(bench.title()).hasText("Resisted external rotation");
            assertThat(bench.reading()).containsText("familiar pain, strength weak");
        }
        try (var context = Suite.browser().newContext()) {
            Page page = context.newPage();
            page.navigate(address);
            Bench bench = new Bench(page);
            assertThat(bench.title()).hasText("Resisted external rotation");
            assertThat(bench.ranking()).containsText("1 of 2 positive so far");
        }
        server.close();
    }

    @Test
    void what_is_tapped_without_a_connection_flows_when_it_is_back_in_order_and_once() {
        try (var context = Suite.browser().newContext()) {
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
    void two_pages_that_record_different_tests_of_one_examination_lose_neither() {
        try (var one = Suite.browser().newContext(); var other = Suite.browser().newContext()) {
            Page first = one.newPage();
            Bench here = Bench.startExamination(first, Suite.server().address(), "TP-1");
            Page second = other.newPage();
            second.navigate(first.url());
            Bench there = new Bench(second);
            assertThat(there.title()).hasText("Painful arc");
            here.tap("Nothing, both sides").settled();
            there.tap("Next").tap("Nothing, both sides").settled();
            for (Page page : new Page[] {first, second}) {
                page.reload();
                assertThat(new Bench(page).ranking()).containsText("0 of 2 positive so far");
            }
        }
    }
}
