package lexicor.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.weighing.Weighing;
import org.junit.jupiter.api.Test;

class ClinicLedgerTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Evidence SHIPPED = EvidenceReader.shipped(CATALOGUE);
    private static final RecordId OWN = RecordId.of("C001");

    /** A record of a test that weighs, and the pair it weighs. */
    private static final LedgerEntry ANY = SHIPPED.records().stream()
            .map(record -> SHIPPED.entry(record.id()).orElseThrow())
            .filter(entry -> entry.tie() instanceof Tie.ToTest
                    && Weighable.of(entry.record()) instanceof Weighable.Yes
                    && !entry.record().review())
            .findFirst()
            .orElseThrow();

    private static final Tie.ToTest TIE = (Tie.ToTest) ANY.tie();

    static LedgerEntry own(double sensitivity, double specificity, int with, int without) {
        AccuracyRecord record = new AccuracyRecord(
                OWN,
                AccuracyRecord.Kind.TEST,
                TIE.test().value(),
                "the test",
                "as usual",
                TIE.condition().value(),
                "the condition",
                OptionalDouble.of(sensitivity),
                OptionalDouble.of(specificity),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalInt.of(with),
                OptionalInt.of(without),
                OptionalInt.of(with + without),
                "single study",
                false,
                "arthroscopy",
                "consecutive patients",
                "Nobody AB, Invented J, 2026",
                "entered here",
                "unreviewed",
                "",
                100_001);
        return new LedgerEntry(
                record, new Tie.ToTest(OWN, TIE.test(), TIE.criterion(), TIE.condition(), TIE.series(), false, ""));
    }

    private static ClinicLedger after(LedgerChange... changes) {
        return ClinicLedger.of(SHIPPED, CATALOGUE, List.of(changes));
    }

    private static double ratio(Evidence evidence) {
        return evidence.expected(TIE.test(), TIE.criterion(), TIE.condition()).likelihoodRatioPositive();
    }

    @Test
    void without_a_change_it_is_the_shipped_ledger() {
        Evidence same = after().evidence();
        assertThat(same.revision()).isEqualTo(SHIPPED.revision());
        assertThat(same.records()).isEqualTo(SHIPPED.records());
        assertThat(after().conflicts()).isEmpty();
    }

    @Test
    void a_large_weak_study_of_ones_own_pulls_the_figures_towards_it() {
        Evidence with =
                after(new LedgerChange.Entered(own(0.5, 0.5, 400, 400), "")).evidence();
        assertThat(with.size()).isEqualTo(SHIPPED.size() + 1);
        assertThat(with.revision()).isNotEqualTo(SHIPPED.revision());
        assertThat(ratio(with)).isLessThan(ratio(SHIPPED));
        assertThat(EvidenceEffect.between(SHIPPED, with, CATALOGUE).moves()).anySatisfy(move -> {
            assertThat(move.test()).isEqualTo(TIE.test());
            assertThat(move.condition()).isEqualTo(TIE.condition());
        });
    }

    @Test
    void the_same_study_entered_another_time_gives_the_same_revision_and_the_same_figures() {
        Evidence one =
                after(new LedgerChange.Entered(own(0.6, 0.7, 40, 50), "")).evidence();
        Evidence other = after(
                        new LedgerChange.Entered(own(0.9, 0.9, 40, 50), ""),
                        new LedgerChange.Entered(own(0.6, 0.7, 40, 50), ""))
                .evidence();
        assertThat(other.revision()).isEqualTo(one.revision());
        assertThat(ratio(other)).isEqualTo(ratio(one));
    }

    @Test
    void other_words_for_the_same_figures_weigh_the_same() {
        LedgerEntry study = own(0.6, 0.7, 40, 50);
        Tie.ToTest tie = (Tie.ToTest) study.tie();
        LedgerEntry noted = new LedgerEntry(
                study.record(),
                new Tie.ToTest(
                        OWN, tie.test(), tie.criterion(), tie.condition(), tie.series(), false, "pain alone counted"));
        Evidence one = after(new LedgerChange.Entered(study, "")).evidence();
        Evidence other = after(new LedgerChange.Entered(noted, "")).evidence();
        assertThat(one.revision()).isNotEqualTo(other.revision());
        assertThat(one.weighsAs(other)).isTrue();
        assertThat(one.weighsAs(SHIPPED)).isFalse();
        assertThat(one.weighsAs(after(new LedgerChange.Entered(own(0.6, 0.72, 40, 50), ""))
                        .evidence()))
                .isFalse();
        assertThat(after(new LedgerChange.Entered(study, ""), new LedgerChange.Withdrawn(OWN, "no more"))
                        .evidence()
                        .weighsAs(SHIPPED))
                .isTrue();
    }

    @Test
    void a_withdrawn_study_is_kept_says_why_and_weighs_nothing() {
        LedgerChange.Entered entered = new LedgerChange.Entered(own(0.5, 0.5, 400, 400), "");
        Evidence withdrawn = after(entered, new LedgerChange.Withdrawn(OWN, "retracted by its journal"))
                .evidence();
        assertThat(withdrawn.tie(OWN)).isEqualTo(new Tie.Unused(OWN, "withdrawn here: retracted by its journal"));
        assertThat(ratio(withdrawn)).isEqualTo(ratio(SHIPPED));
        Evidence restored = after(
                        entered,
                        new LedgerChange.Withdrawn(OWN, "retracted by its journal"),
                        new LedgerChange.Restored(OWN))
                .evidence();
        assertThat(restored.revision()).isEqualTo(after(entered).evidence().revision());
    }

    @Test
    void a_correction_of_a_shipped_record_can_be_taken_back() {
        AccuracyRecord record = ANY.record();
        LedgerEntry corrected =
                new LedgerEntry(record.withReviewState("unreviewed"), new Tie.Unused(ANY.id(), "healthy controls"));
        LedgerChange.Entered change = new LedgerChange.Entered(corrected, after().shippedFingerprint(ANY.id()));
        Evidence without = after(change).evidence();
        assertThat(without.studies()).hasSize(SHIPPED.studies().size() - 1);
        Evidence back = after(change, new LedgerChange.AsShipped(ANY.id())).evidence();
        assertThat(back.revision()).isEqualTo(SHIPPED.revision());
        assertThat(back.studies()).isEqualTo(SHIPPED.studies());
        assertThat(after(change).enteredHere()).containsExactly(ANY.id());
        assertThat(after(change, new LedgerChange.AsShipped(ANY.id())).enteredHere())
                .isEmpty();
    }

    @Test
    void a_review_shows_and_changes_no_figure_until_it_finds_a_record_wrong() {
        String content = after().fingerprint(ANY.id());
        Evidence checked = after(reviewed(Review.Verdict.CHECKED, content)).evidence();
        assertThat(checked.record(ANY.id()).reviewState()).isEqualTo("checked");
        assertThat(checked.revision()).isEqualTo(SHIPPED.revision());
        assertThat(after(reviewed(Review.Verdict.DISPUTED, content)).evidence().revision())
                .isEqualTo(SHIPPED.revision());
        Evidence wrong = after(reviewed(Review.Verdict.WRONG, content)).evidence();
        assertThat(wrong.revision()).isNotEqualTo(SHIPPED.revision());
        assertThat(wrong.tie(ANY.id())).isInstanceOf(Tie.Unused.class);
    }

    @Test
    void a_record_corrected_after_it_was_found_wrong_weighs_again_and_wants_a_new_review() {
        String content = after().fingerprint(ANY.id());
        AccuracyRecord record = ANY.record();
        LedgerEntry corrected = new LedgerEntry(
                record,
                new Tie.ToTest(
                        ANY.id(),
                        TIE.test(),
                        TIE.criterion(),
                        TIE.condition(),
                        TIE.series(),
                        true,
                        "by the inventors"));
        Evidence evidence = after(reviewed(Review.Verdict.WRONG, content), new LedgerChange.Entered(corrected, content))
                .evidence();
        assertThat(evidence.tie(ANY.id())).isEqualTo(corrected.tie());
        assertThat(evidence.record(ANY.id()).reviewState()).isEqualTo("changed since it was found wrong");
    }

    @Test
    void a_correction_of_what_has_since_been_shipped_anew_is_a_conflict() {
        LedgerEntry corrected = new LedgerEntry(ANY.record(), new Tie.Unused(ANY.id(), "healthy controls"));
        String now = after().shippedFingerprint(ANY.id());
        assertThat(after(new LedgerChange.Entered(corrected, now)).conflicts()).isEmpty();
        assertThat(after(new LedgerChange.Entered(corrected, "0123456789ab")).conflicts())
                .containsExactly(ANY.id());
    }

    @Test
    void a_study_of_a_reading_that_the_product_has_given_up_is_kept_and_not_used() {
        LedgerEntry gone = new LedgerEntry(
                own(0.6, 0.7, 40, 50).record(),
                new Tie.ToTest(
                        OWN,
                        TestId.of("a-test-of-old"),
                        CriterionId.of("pain"),
                        ConditionId.of("a-condition-of-old"),
                        TIE.series(),
                        false,
                        ""));
        Evidence evidence = after(new LedgerChange.Entered(gone, "")).evidence();
        assertThat(evidence.tie(OWN))
                .isInstanceOfSatisfying(
                        Tie.Unused.class,
                        unused -> assertThat(unused.because())
                                .startsWith(
                                        "no longer fits what the product reads: test 'a-test-of-old' is not known"));
    }

    @Test
    void the_study_behind_a_set_can_be_withdrawn_and_its_level_is_then_not_weighed() {
        LedgerEntry level = SHIPPED.records().stream()
                .map(record -> SHIPPED.entry(record.id()).orElseThrow())
                .filter(entry -> entry.tie() instanceof Tie.ToCluster tie
                        && CATALOGUE.cluster(tie.cluster()).levels().stream()
                                .anyMatch(
                                        each -> each.record().equals(entry.id().value())
                                                && SHIPPED.inUse(each).isPresent()))
                .findFirst()
                .orElseThrow();
        Evidence without =
                after(new LedgerChange.Withdrawn(level.id(), "never repeated")).evidence();
        var cluster = CATALOGUE.cluster(((Tie.ToCluster) level.tie()).cluster());
        assertThat(cluster.levels().stream()
                        .filter(each -> each.record().equals(level.id().value()))
                        .map(without::inUse))
                .containsOnly(Optional.empty());
        assertThat(ClusterLevels.of(cluster, without)).hasSameSizeAs(ClusterLevels.of(cluster, SHIPPED));
    }

    /** The prior of the synthesis: logit sensitivity 0.4, specificity 1.15, with all its spreads. */
    @Test
    void a_ledger_of_which_everything_is_withdrawn_weighs_nothing_and_expects_the_start_of_the_synthesis() {
        LedgerChange[] all = SHIPPED.records().stream()
                .map(record -> new LedgerChange.Withdrawn(record.id(), "all of them"))
                .toArray(LedgerChange[]::new);
        Evidence none = after(all).evidence();
        assertThat(none.studies()).isEmpty();
        assertThat(none.inUse(TIE.test(), TIE.condition())).isEmpty();
        assertThat(none.whyNotWeighed(TIE.test(), TIE.condition())).contains("withdrawn here: all of them");
        assertThat(none.synthesis().beta()).containsExactly(0.4, 1.15, 1.65, 0.7);
        assertThat(ratio(none)).isBetween(1.0, 3.0);
        assertThat(new Weighing(CATALOGUE, none, WeighingSettings.USUAL)
                        .weigh("shoulder", CareSetting.FIRST_CONTACT, List.of(), 1)
                        .standings())
                .isNotEmpty();
        LedgerChange[] butOne = SHIPPED.records().stream()
                .filter(record -> !record.id().equals(ANY.id()))
                .map(record -> new LedgerChange.Withdrawn(record.id(), "all of them"))
                .toArray(LedgerChange[]::new);
        assertThat(after(butOne).evidence().studies()).hasSize(1);
        assertThat(ratio(after(butOne).evidence())).isFinite();
    }

    private static LedgerChange.Reviewed reviewed(Review.Verdict verdict, String of) {
        return new LedgerChange.Reviewed(ANY.id(), new Review(verdict, of, "", Map.of()));
    }
}
