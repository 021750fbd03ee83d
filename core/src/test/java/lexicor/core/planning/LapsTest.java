package lexicor.core.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Attempt;
import lexicor.core.examination.Command;
import lexicor.core.examination.Part;
import lexicor.core.examination.Side;
import org.junit.jupiter.api.Test;

class LapsTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Instant START = Instant.parse("2026-11-26T09:00:00Z");
    private static final UUID TABLET = UUID.randomUUID();
    private static final UUID LAPTOP = UUID.randomUUID();

    private final List<Command> commands = new ArrayList<>();

    private void at(double seconds, UUID device, Command.Action action) {
        commands.add(new Command(
                UUID.randomUUID(),
                device,
                commands.size() + 1L,
                "ada",
                START.plusMillis(Math.round(1000 * seconds)),
                TestId.of("sh-arc"),
                action));
    }

    private static Command.Recorded record(String... tests) {
        return new Command.Recorded(
                Stream.of(tests).map(test -> attempt(test, "done")).toList());
    }

    private static Attempt attempt(String test, String quality) {
        return new Attempt(
                UUID.randomUUID(),
                TestId.of(test),
                "usual",
                Side.LEFT,
                1,
                Set.of(),
                List.of(new Part.Chosen("quality", quality, Part.Context.PLAIN)));
    }

    private Map<TestId, Double> laps() {
        return Laps.of(CATALOGUE, commands);
    }

    @Test
    void a_test_takes_from_the_entry_before_it_to_its_own_last_one() {
        at(0, TABLET, new Command.Moved());
        at(20, TABLET, record("sh-arc"));
        at(45, TABLET, record("sh-arc"));
        at(60, TABLET, record("sh-er-resist"));
        assertThat(laps())
                .containsOnly(Map.entry(TestId.of("sh-arc"), 45.0), Map.entry(TestId.of("sh-er-resist"), 15.0));
    }

    @Test
    void a_change_of_position_is_not_the_tests_own_time_and_a_sheet_is_shared() {
        at(0, TABLET, new Command.Moved());
        at(30, TABLET, record("sh-arc"));
        at(90, TABLET, record("sh-er-lag-0", "nk-screen"));
        assertThat(laps())
                .containsEntry(
                        TestId.of("sh-er-lag-0"), (60 - CATALOGUE.effort().changePosition()) / 2);
    }

    @Test
    void what_comes_first_is_left_out_interrupted_or_too_fast_is_not_timed() {
        at(0, TABLET, record("sh-arc"));
        at(30, TABLET, new Command.Recorded(List.of(attempt("sh-er-resist", "skipped"))));
        at(1000, TABLET, record("sh-empty-can"));
        at(1001, TABLET, record("sh-drop-arm"));
        assertThat(laps()).isEmpty();
    }

    @Test
    void a_correction_takes_no_time_and_each_device_has_its_own_clock() {
        at(0, TABLET, new Command.Moved());
        at(20, TABLET, record("sh-arc"));
        at(25, LAPTOP, new Command.Moved());
        at(40, TABLET, record("sh-er-resist"));
        at(45, LAPTOP, record("sh-empty-can"));
        at(100, TABLET, record("sh-arc"));
        assertThat(laps())
                .containsOnly(
                        Map.entry(TestId.of("sh-arc"), 20.0),
                        Map.entry(TestId.of("sh-er-resist"), 20.0),
                        Map.entry(TestId.of("sh-empty-can"), 20.0));
    }
}
