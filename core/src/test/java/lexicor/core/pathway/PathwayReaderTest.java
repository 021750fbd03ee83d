package lexicor.core.pathway;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.source.SourceException;
import lexicor.core.source.SourceNode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class PathwayReaderTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Set<String> ZONES = Set.of("wrist-ulnar", "wrist-radial", "wrist-after-fall", "hand-tingling");
    private static final Pathways SHIPPED = PathwayReader.shipped(CATALOGUE, ZONES);
    private static final String SMALL = """
            - pathway: small
              name: A small way
              region: wrist
              zones: [wrist-ulnar]
              steps:
                - step: where
                  ask: On which face?
                  answers:
                    - {is: back, label: Back, go: shift}
                    - {is: palm, label: Palm, go: shift}
                - step: shift
                  do: wr-druj-ballottement
                  because: the joint first
                  branches:
                    - {of: druj-instability, criterion: lax-any, result: positive, go: end-druj}
                  go: ligament
                - step: ligament
                  do: wr-ruj-palmar-shift
                  because: now the ligament
                  go: end-open
                - {step: end-druj, ends: Instability, conditions: [druj-instability]}
                - {step: end-open, ends: Nothing here}
            """;

    static Stream<Pathway> shipped() {
        return SHIPPED.all().stream();
    }

    @Test
    void a_sound_pathway_is_read_as_it_stands() {
        Pathway small = PathwayReader.read(CATALOGUE, ZONES, SMALL).all().get(0);
        assertThat(small.steps())
                .extracting(Step::id)
                .containsExactly("where", "shift", "ligament", "end-druj", "end-open");
        assertThat(small.step("shift").ways()).containsExactly("end-druj", "ligament");
        assertThat(((Step.Ask) small.start()).answers())
                .extracting(Step.Answer::label)
                .containsExactly("Back", "Palm");
    }

    @ParameterizedTest(name = "{1}: {3}")
    @CsvSource(delimiter = '|', textBlock = """
            region: wrist              | region: foot                 | 3  | region 'foot' is not known
            zones: [wrist-ulnar]       | zones: [wrist]               | 4  | zone 'wrist' is not known
            do: wr-ruj-palmar-shift    | do: wr-ruj-shift             | 18 | test 'wr-ruj-shift' is not known
            of: druj-instability       | of: ecu-instability          | 15 | does not read 'ecu-instability'
            criterion: lax-any         | criterion: lax               | 15 | does not read 'druj-instability' by 'lax'
            result: positive           | result: not-yet-known        | 15 | what is not known yet leads nowhere
            go: ligament               | go: ligaments                | 11 | leads to 'ligaments', which is no step
            go: end-open               | go: where                    | 6  | comes back to itself (where, shift, ligament); allowed: ways that end
            go: end-open               | go: end-druj                 | 22 | no way leads to step 'end-open'
            {is: back, label: Back, go: shift} | {is: back, label: Back, go: ligament} | 17 | is locked: 'wr-ruj-palmar-shift' makes sense only after 'wr-druj-ballottement'
            conditions: [druj-instability] | conditions: [acj]        | 21 | condition 'acj' is not ranked for the wrist
            step: end-open             | step: end-druj               | 22 | step 'end-druj' stands here twice
            because: the joint first   | why: the joint first         | 13 | field 'why' is not known here
            """)
    void what_no_patient_could_walk_is_named_with_file_and_line(String sound, String faulty, int line, String message) {
        assertThat(SMALL).contains(sound);
        int at = SMALL.lastIndexOf(sound);
        String text = SMALL.substring(0, at) + faulty + SMALL.substring(at + sound.length());
        assertThatThrownBy(() -> PathwayReader.read(CATALOGUE, ZONES, text))
                .isInstanceOfSatisfying(SourceException.class, fault -> {
                    assertThat(fault.file()).isEqualTo("pathways.yaml");
                    assertThat(fault.line()).as(fault.getMessage()).isEqualTo(line);
                })
                .hasMessageContaining(message);
    }

    @Test
    void a_question_with_one_answer_asks_nothing() {
        String text = SMALL.replace("        - {is: palm, label: Palm, go: shift}\n", "");
        assertThatThrownBy(() -> PathwayReader.read(CATALOGUE, ZONES, text))
                .hasMessageContaining("fewer than two answers");
    }

    @Test
    void the_same_pathway_twice_is_refused() {
        assertThatThrownBy(() -> PathwayReader.read(CATALOGUE, ZONES, SMALL + SMALL))
                .hasMessageContaining("pathway 'small' stands here twice");
    }

    @ParameterizedTest
    @MethodSource("shipped")
    void every_end_that_points_somewhere_says_so_and_every_way_ends(Pathway pathway) {
        assertThat(pathway.steps()).hasSizeGreaterThan(8);
        List<Step> inTurn = PathwayReader.inTurn(pathway);
        assertThat(inTurn).containsExactlyInAnyOrderElementsOf(pathway.steps());
        assertThat(pathway.steps())
                .filteredOn(step -> step.ways().findAny().isEmpty())
                .allMatch(Step.End.class::isInstance);
    }

    @ParameterizedTest
    @MethodSource("shipped")
    void a_test_says_why_it_comes_now(Pathway pathway) {
        assertThat(pathway.steps()).filteredOn(Step.Examine.class::isInstance).allSatisfy(step -> {
            String because = ((Step.Examine) step).because();
            assertThat(because.length()).as(because).isBetween(20, 110);
            assertThat(because).doesNotEndWith(".");
        });
    }

    @Test
    void the_text_is_known_by_its_fingerprint() {
        assertThat(SHIPPED.revision())
                .isEqualTo(PathwayReader.read(
                                CATALOGUE, ZONES, SourceNode.resourceText("/lexicor/catalogue/pathways.yaml"))
                        .revision())
                .isNotBlank();
    }
}
