package lexicor.core.tracking;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.intake.IntakeForm;
import lexicor.core.source.SourceException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NoiseTableTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final IntakeForm FORM = IntakeForm.shipped(CATALOGUE);

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            - {noise: a, label: A, better: more, of: [{tests: [sh-rom], parts: [flexion]}]}                              | noise.yaml:1: noise 'a' has no figure
            - {noise: a, label: A, amount: 5, better: up, of: []}                                                        | noise.yaml:1
            - {noise: a, label: A, amount: 5, better: more, of: [{tests: [sh-nobody], parts: [flexion]}]}                | test 'sh-nobody' is not in the catalogue
            - {noise: a, label: A, amount: 5, better: more, of: [{tests: [sh-rom], parts: [pain]}]}                      | 'pain' is not measured there
            - {noise: a, label: A, amount: 5, better: more, of: [{tests: [sh-rom, sh-arc], parts: [flexion]}]}           | 'flexion' is not measured there
            - {noise: a, label: A, amount: 5, better: more, of: [{questions: [night]}]}                                  | 'night' is no scale of the intake
            - {noise: a, label: A, amount: 5, better: more, off: []}                                                     | noise.yaml:1
            """)
    void a_faulty_table_is_named_with_file_and_line(String text, String message) {
        assertThatThrownBy(() -> NoiseTable.read(CATALOGUE, FORM, text))
                .isInstanceOf(SourceException.class)
                .hasMessageContaining(message);
    }

    @Test
    void no_measure_has_two_noises() {
        String twice =
                "- {noise: a, label: A, amount: 5, better: more, of: [{tests: [sh-rom], parts: [flexion]}]}\n- {noise: b, label: B, amount: 5, better: more, of: [{parts: [flexion]}]}\n";
        assertThatThrownBy(() -> NoiseTable.read(CATALOGUE, FORM, twice))
                .hasMessageContaining("'flexion' of sh-rom has the noise 'a' already")
                .hasMessageContaining("noise.yaml:2");
    }

    @Test
    void every_measured_hold_has_a_noise() {
        NoiseTable table = NoiseTable.shipped(CATALOGUE, FORM);
        assertThat(CATALOGUE.tests().values())
                .filteredOn(test ->
                        test.parts().stream().anyMatch(part -> part.key().equals("onset")))
                .isNotEmpty()
                .allSatisfy(test -> assertThat(table.of(test.id(), "onset")).isPresent());
    }
}
