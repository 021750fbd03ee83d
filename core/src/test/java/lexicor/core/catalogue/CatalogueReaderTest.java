package lexicor.core.catalogue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.util.function.UnaryOperator;
import lexicor.core.source.SourceException;
import lexicor.core.source.SourceNode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CatalogueReaderTest {

    private static final UnaryOperator<String> SHIPPED = file -> SourceNode.resourceText("/lexicor/catalogue/" + file);

    @Test
    void the_shipped_catalogue_is_sound_and_keeps_its_order() {
        Catalogue catalogue = CatalogueReader.shipped();
        assertThat(catalogue.routine("shoulder").order()).extracting(TestId::value)
                .containsExactly("sh-arc", "sh-er-resist", "sh-empty-can", "sh-neer", "sh-hawkins");
        assertThat(catalogue.conditionsOf("shoulder")).hasSize(9);
        assertThat(catalogue.revision()).isEqualTo(CatalogueReader.shipped().revision()).hasSize(12);
    }

    @Test
    void the_windows_that_make_a_painful_arc_positive_are_known_to_whoever_draws_it() {
        assertThat(CatalogueReader.shipped().test(TestId.of("sh-arc")).positiveWindows("angle-worst"))
                .extracting(Rule.Window::from, Rule.Window::to).containsExactly(tuple(60.0, 120.0), tuple(150.0, 180.0));
        assertThat(CatalogueReader.shipped().test(TestId.of("sh-neer")).positiveWindows("pain")).isEmpty();
    }

    @ParameterizedTest(name = "{0}: {1} -> {2}")
    @CsvSource(delimiter = '|', textBlock = """
            tests/sh-neer.yaml    | value: familiar}     | value: familar}           | 'familar' is not an answer for 'pain'; allowed: none, familiar, other
            tests/sh-neer.yaml    | is: {part: pain      | is: {part: ache           | part 'ache' is not recorded by this test; allowed: pain, site, quality
            tests/sh-neer.yaml    | provocation: 2       | provocation: 4            | field 'provocation' is 4.0; allowed: 0.0 to 3.0
            tests/sh-neer.yaml    | provocation: 2       | provocaton: 2             | field 'provocaton' is not known here
            tests/sh-neer.yaml    | seconds: 15          | seconds: quick            | field 'seconds' is 'quick'; allowed: a number
            tests/sh-neer.yaml    | id: sh-neer          | id: Sh Neer               | is not a name; allowed: lower-case letters, digits and hyphens
            tests/sh-neer.yaml    | condition: cuff-tear-full | condition: cuff-ter  | condition 'cuff-ter' is not known; allowed: acj
            tests/sh-neer.yaml    | by: [pain]           | by: [ache]                | criterion 'ache' is not known; allowed: pain
            tests/sh-neer.yaml    | voids: negatives     | voids: some               | 'some' is not known here; allowed: negatives, everything
            tests/sh-neer.yaml    | counts: familiar     | counts: strength {strength}      | part 'strength' is not recorded by this test
            tests/sh-arc.yaml     | from: 60             | form: 60                  | field 'form' is not known here; allowed: from, part, side, to
            tests/sh-arc.yaml     | part: angle-worst, from | part: pain, from       | part 'pain' is not measured; allowed: a part with a unit
            tests/sh-hawkins.yaml | id: sh-hawkins       | id: sh-neer               | test 'sh-neer' stands in the catalogue twice
            clusters.yaml         | criterion: weakness  | criterion: weak           | criterion 'weak' is not known; allowed: pain
            clusters.yaml         | from: 3              | from: 2                   | a count of 2 falls into two levels
            clusters.yaml         | to: 2                | to: 1                     | the levels leave out a count
            routines.yaml         | sh-neer              | sh-near                   | test 'sh-near' is not known
            conditions-shoulder.yaml | first-contact: 0.65 | first-contact: 65       | field 'first-contact' is 65.0; allowed: 0.001 to 0.999
            conditions-shoulder.yaml | within: cuff-tear-full | within: cuff         | condition 'cuff' is not known
            """)
    void a_fault_is_named_with_file_line_and_what_is_allowed(String file, String sound, String faulty, String message) {
        String text = SHIPPED.apply(file);
        assertThat(text).contains(sound);
        int line = (int) text.substring(0, text.indexOf(sound)).lines().count();
        assertThatThrownBy(() -> CatalogueReader.read(name -> name.equals(file) ? text.replaceFirst(java.util.regex.Pattern.quote(sound), faulty) : SHIPPED.apply(name)))
                .isInstanceOf(SourceException.class).hasMessageContaining(message)
                .satisfies(fault -> assertThat(((SourceException) fault).file()).isEqualTo(file))
                .satisfies(fault -> assertThat(((SourceException) fault).line()).as("near line %d", line).isBetween(Math.max(1, line - 15), line + 5));
    }

    @Test
    void text_that_is_not_yaml_is_named_with_its_line() {
        assertThatThrownBy(() -> SourceNode.parse("broken.yaml", "a: 1\nb: [1, 2\n")).isInstanceOf(SourceException.class)
                .hasMessageStartingWith("broken.yaml:").hasMessageContaining("not readable as YAML");
    }

    @Test
    void unknown_is_neither_yes_nor_no() {
        assertThat(Truth.UNKNOWN.and(Truth.NO)).isEqualTo(Truth.NO);
        assertThat(Truth.UNKNOWN.and(Truth.YES)).isEqualTo(Truth.UNKNOWN);
        assertThat(Truth.UNKNOWN.or(Truth.YES)).isEqualTo(Truth.YES);
        assertThat(Truth.UNKNOWN.or(Truth.NO)).isEqualTo(Truth.UNKNOWN);
        assertThat(Truth.UNKNOWN.not()).isEqualTo(Truth.UNKNOWN);
    }
}
