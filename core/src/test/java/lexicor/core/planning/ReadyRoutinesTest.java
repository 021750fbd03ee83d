package lexicor.core.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.TestId;
import lexicor.core.source.SourceException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ReadyRoutinesTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();

    @Test
    void those_that_ship_serve_every_region_and_contain_what_belongs_to_every_examination() {
        List<WorkRoutine> routines = ReadyRoutines.shipped(CATALOGUE).routines();
        assertThat(routines).extracting(WorkRoutine::region).contains("shoulder", "elbow", "wrist", "hand");
        assertThat(routines)
                .allSatisfy(routine -> assertThat(routine.tests())
                        .as(routine.id())
                        .containsAll(CATALOGUE.routine(routine.region()).always()));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            [sh-nothing]                       | test 'sh-nothing' is not known
            [sh-arc, sh-arc]                   | is in twice
            [sh-relocation, sh-arc]            | never reached
            [sh-relocation, sh-apprehension]   | whose finding calls for it
            [sh-apprehension, sh-arc]          | what frightens or hurts goes last
            """)
    void one_that_could_not_be_done_stops_the_start(String tests, String why) {
        String text = "- {routine: a, name: A, region: shoulder, tests: " + tests + "}";
        assertThatThrownBy(() -> ReadyRoutines.read(CATALOGUE, text))
                .isInstanceOf(SourceException.class)
                .hasMessageContaining(why);
    }

    @Test
    void a_clinics_own_is_read_from_its_text_and_written_again() {
        String text = "Ours, short\nsh-look\nsh-arc 45";
        WorkRoutine routine = WorkRoutine.read("ours", "shoulder", text);
        assertThat(routine.text()).isEqualTo(text);
        RoutineCheck check = RoutineCheck.of(CATALOGUE, routine);
        assertThat(check.seconds()).containsEntry(TestId.of("sh-arc"), 45.0);
        assertThat(check.total())
                .as("both are done standing")
                .isEqualTo(45 + RoutineCheck.usual(CATALOGUE.test(TestId.of("sh-look"))));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            'Name only'             | allowed: 1 to 60
            'A name\nsh-arc forty'  | line 2
            'A name\nsh-arc 901'    | allowed: 1 to 900
            'A name\nSh_Arc'        | line 2
            """)
    void a_text_that_is_no_routine_is_refused_with_its_line(String text, String why) {
        assertThatThrownBy(() -> WorkRoutine.read("ours", "shoulder", text.replace("\\n", "\n")))
                .isInstanceOf(WorkRoutine.Unreadable.class)
                .hasMessageContaining(why);
    }

    @Test
    void a_removed_test_is_named_and_the_others_can_be_done() {
        RoutineCheck check = RoutineCheck.of(CATALOGUE, WorkRoutine.read("ours", "shoulder", "Ours\nsh-gone\nsh-arc"));
        assertThat(check.missing()).containsExactly(TestId.of("sh-gone"));
        assertThat(check.order().steps()).extracting(WorkOrder.Step::test).containsExactly(TestId.of("sh-arc"));
        assertThat(check.refusal(CATALOGUE))
                .hasValueSatisfying(why -> assertThat(why).contains("sh-gone"));
    }

    @Test
    void what_would_close_tests_of_it_is_said() {
        RoutineCheck check =
                RoutineCheck.of(CATALOGUE, WorkRoutine.read("ours", "shoulder", "Ours\nsh-arc\nsh-apprehension"));
        assertThat(check.locks())
                .isNotEmpty()
                .allSatisfy((lock, tests) -> assertThat(lock.tests()).containsAll(tests));
    }
}
