package lexicor.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.Schools;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StudyFiguresTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Evidence EVIDENCE = EvidenceReader.shipped(CATALOGUE);

    private static AccuracyRecord record(String id) {
        return EVIDENCE.record(RecordId.of(id));
    }

    @Test
    void known_sizes_give_intervals() {
        StudyFigures figures = StudyFigures.of(record("E046"));
        StudyFigures.Figure positive = figures.lrPositive().orElseThrow();
        assertThat(positive.value()).isCloseTo((33.0 / 46) / (13.0 / 317), within(1e-9));
        assertThat(positive.lower().orElseThrow()).isLessThan(positive.value());
        assertThat(figures.sensitivity().orElseThrow().upper().orElseThrow()).isBetween(0.72, 0.9);
    }

    @Test
    void unknown_sizes_give_bare_points() {
        StudyFigures figures = StudyFigures.of(record("E236"));
        assertThat(figures.lrPositive().orElseThrow().value()).isCloseTo(0.54 / 0.19, within(1e-9));
        assertThat(figures.lrPositive().orElseThrow().lower()).isEmpty();
    }

    @Test
    void a_ratio_that_would_be_infinite_is_left_out() {
        assertThat(StudyFigures.of(record("E365")).lrPositive()).isEmpty();
        assertThat(StudyFigures.of(record("E365")).lrNegative()).isPresent();
    }

    @Test
    void a_published_level_shows_its_ratio_alone() {
        StudyFigures figures = StudyFigures.of(record("E029"));
        assertThat(figures.sensitivity()).isEmpty();
        assertThat(figures.lrPositive().orElseThrow().value()).isEqualTo(10.56);
    }

    @ParameterizedTest(name = "{0} is {1}: {2}")
    @CsvSource(delimiter = '|', textBlock = """
            E328 | IN_USE  | largest independent
            E327 | SHOWN   | E328 is preferred: larger
            E285 | IN_USE  | largest independent
            E283 | SHOWN   | E285 is preferred: independent of those who described the test
            E050 | SHOWN   | E052 is preferred: independent
            E284 | SHOWN   | a review
            E047 | SHOWN   | the school in force counts another criterion
            E295 | SHOWN   | only one of sensitivity and specificity
            E282 | IN_USE  | by those who described the test: expect optimism
            E212 | UNUSED  | a question of its own
            E025 | IN_USE  | weighs the level of its set
            E029 | IN_USE  | weighs the level of its set
            E036 | IN_USE  | weighs what was told
            E090 | UNUSED  | healthy people only
            E099 | IN_USE  | largest independent
            E016 | UNUSED  | not for diagnosis
            E153 | IN_USE  | independent
            E248 | IN_USE  | independent
            """)
    void every_record_says_whether_it_weighs_and_why(String id, RecordUse.Use use, String because) {
        RecordUse said = RecordUse.of(record(id), EVIDENCE, CATALOGUE, CATALOGUE.usualSchools());
        assertThat(said.use()).as(said.because()).isEqualTo(use);
        assertThat(said.because()).contains(because);
    }

    @Test
    void another_school_brings_another_record_into_use() {
        Schools pain = CATALOGUE.usualSchools().with("positive-apprehension", "apprehension-or-pain");
        assertThat(RecordUse.of(record("E046"), EVIDENCE, CATALOGUE, pain).because())
                .isEqualTo("the school in force counts another criterion");
        assertThat(RecordUse.of(record("E057"), EVIDENCE, CATALOGUE, pain).use())
                .isEqualTo(RecordUse.Use.IN_USE);
    }

    @Test
    void one_record_at_most_is_in_use_for_a_test_and_condition() {
        CATALOGUE
                .tests()
                .values()
                .forEach(test -> test.reads()
                        .forEach(reads -> assertThat(EVIDENCE.records().stream()
                                        .filter(record -> record.subject()
                                                        .equals(test.id().value())
                                                && record.condition()
                                                        .equals(reads.condition()
                                                                .value()))
                                        .filter(record ->
                                                RecordUse.of(record, EVIDENCE, CATALOGUE, CATALOGUE.usualSchools())
                                                                .use()
                                                        == RecordUse.Use.IN_USE))
                                .as("%s for %s", test.id(), reads.condition())
                                .hasSizeLessThanOrEqualTo(1)));
    }
}
