package lexicor.core.evidence;

import static lexicor.core.evidence.ClinicLedgerTest.own;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.CriterionId;
import org.junit.jupiter.api.Test;

class StudyCheckTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Evidence SHIPPED = EvidenceReader.shipped(CATALOGUE);

    /** What to change of a sound entry. */
    private record Figures(
            OptionalDouble sensitivity,
            OptionalDouble specificity,
            OptionalDouble lrPositive,
            OptionalDouble lrNegative,
            OptionalInt with,
            OptionalInt without,
            OptionalInt total) {}

    private static LedgerEntry with(Figures figures) {
        LedgerEntry sound = own(0.6, 0.7, 40, 50);
        AccuracyRecord record = sound.record();
        return new LedgerEntry(
                new AccuracyRecord(
                        record.id(),
                        record.kind(),
                        record.subject(),
                        record.subjectText(),
                        record.criterion(),
                        record.condition(),
                        record.conditionText(),
                        figures.sensitivity(),
                        figures.specificity(),
                        figures.lrPositive(),
                        figures.lrNegative(),
                        figures.with(),
                        figures.without(),
                        figures.total(),
                        record.design(),
                        record.originator(),
                        record.referenceStandard(),
                        record.population(),
                        record.citation(),
                        record.transcription(),
                        record.reviewState(),
                        record.note(),
                        record.line()),
                sound.tie());
    }

    private static LedgerEntry proportions(double sensitivity, double specificity, int with, int without) {
        return with(new Figures(
                OptionalDouble.of(sensitivity),
                OptionalDouble.of(specificity),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalInt.of(with),
                OptionalInt.of(without),
                OptionalInt.of(with + without)));
    }

    private static StudyCheck check(LedgerEntry entry) {
        return StudyCheck.of(entry, SHIPPED, CATALOGUE);
    }

    private static List<String> faulty(LedgerEntry entry) {
        return check(entry).faults().stream().map(FieldFault::field).toList();
    }

    @Test
    void a_sound_study_has_no_fault_and_nothing_to_note() {
        assertThat(check(proportions(0.6, 0.7, 40, 50)).faults()).isEmpty();
        assertThat(check(proportions(0.6, 0.7, 40, 50)).notes())
                .noneMatch(note -> note.contains("not weighed") || note.contains("follow"));
    }

    @Test
    void a_percentage_is_told_from_a_share() {
        assertThat(check(proportions(84, 0.7, 40, 50)).faults())
                .containsExactly(
                        new FieldFault("sensitivity", "is 84.0; allowed: 0 to 1, so a percentage is divided by 100"));
        assertThat(faulty(proportions(-0.1, 200, 40, 50))).containsExactly("sensitivity", "specificity");
        assertThat(faulty(proportions(Double.NaN, 0.7, 40, 50))).containsExactly("sensitivity");
    }

    @Test
    void sizes_that_do_not_add_up_are_named() {
        LedgerEntry entry = with(new Figures(
                OptionalDouble.of(0.5),
                OptionalDouble.of(0.5),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalInt.of(20),
                OptionalInt.of(30),
                OptionalInt.of(60)));
        assertThat(check(entry).faults())
                .containsExactly(new FieldFault("total", "is 60; allowed: with and without together, 50"));
    }

    @Test
    void no_figure_at_all_is_a_fault() {
        LedgerEntry entry = with(new Figures(
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalInt.empty(),
                OptionalInt.empty(),
                OptionalInt.empty()));
        assertThat(faulty(entry)).containsExactly("sensitivity");
    }

    @Test
    void a_criterion_that_the_test_is_not_read_by_is_named_with_those_it_is() {
        LedgerEntry sound = own(0.6, 0.7, 40, 50);
        Tie.ToTest tie = (Tie.ToTest) sound.tie();
        LedgerEntry entry = new LedgerEntry(
                sound.record(),
                new Tie.ToTest(
                        tie.record(), tie.test(), CriterionId.of("smell"), tie.condition(), tie.series(), false, ""));
        assertThat(check(entry).faults()).singleElement().satisfies(fault -> {
            assertThat(fault.field()).isEqualTo("criterion");
            assertThat(fault.says()).contains("'smell'", "allowed: [");
        });
    }

    @Test
    void a_study_that_is_there_already_is_refused_by_the_name_of_its_record() {
        AccuracyRecord known = SHIPPED.records().stream()
                .filter(record -> SHIPPED.tie(record.id()) instanceof Tie.ToTest)
                .findFirst()
                .orElseThrow();
        Tie.ToTest tie = (Tie.ToTest) SHIPPED.tie(known.id());
        AccuracyRecord own = own(0.5, 0.5, 10, 10).record();
        LedgerEntry twin = new LedgerEntry(
                new AccuracyRecord(
                        own.id(),
                        known.kind(),
                        known.subject(),
                        known.subjectText(),
                        known.criterion(),
                        known.condition(),
                        known.conditionText(),
                        own.sensitivity(),
                        own.specificity(),
                        own.lrPositive(),
                        own.lrNegative(),
                        own.with(),
                        own.without(),
                        own.total(),
                        known.design(),
                        known.originator(),
                        known.referenceStandard(),
                        known.population(),
                        " " + known.citation().toUpperCase().replace(",", " ,"),
                        own.transcription(),
                        own.reviewState(),
                        own.note(),
                        own.line()),
                new Tie.ToTest(own.id(), tie.test(), tie.criterion(), tie.condition(), tie.series(), false, ""));
        assertThat(check(twin).faults())
                .singleElement()
                .satisfies(fault -> assertThat(fault.says()).contains(known.id().value()));
    }

    /** Wilson's lower limit of 12 in 12 is 0.757, as worked by hand: 12 / (12 + 1.959964 squared). */
    @Test
    void a_perfect_figure_says_what_else_it_fits() {
        assertThat(check(proportions(0.6, 1, 40, 12)).notes())
                .contains("A specificity of 100 in 100 in so many patients fits anything from 75 in 100 on.");
    }

    @Test
    void figures_that_read_the_wrong_way_round_are_pointed_out() {
        assertThat(check(proportions(0.3, 0.4, 40, 50)).notes())
                .anyMatch(note -> note.contains("check that the two were not exchanged"));
    }

    @Test
    void a_published_ratio_that_does_not_follow_is_pointed_out() {
        LedgerEntry entry = with(new Figures(
                OptionalDouble.of(0.6),
                OptionalDouble.of(0.7),
                OptionalDouble.of(6),
                OptionalDouble.of(0.57),
                OptionalInt.of(40),
                OptionalInt.of(50),
                OptionalInt.of(90)));
        assertThat(check(entry).notes())
                .containsOnlyOnce(
                        "The published LR+ of 6.0 does not follow from these figures, which give 2.00; they are what is weighed.")
                .noneMatch(note -> note.contains("LR-"));
    }

    @Test
    void what_cannot_be_weighed_is_said_to_be_shown() {
        LedgerEntry entry = with(new Figures(
                OptionalDouble.of(0.6),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalInt.of(40),
                OptionalInt.empty(),
                OptionalInt.empty()));
        assertThat(check(entry).notes())
                .contains("It is shown and not weighed: only one of sensitivity and specificity was published.");
    }
}
