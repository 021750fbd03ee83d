package lexicor.core.examination;

import static lexicor.core.Responses.attempt;
import static lexicor.core.Responses.chosen;
import static lexicor.core.Responses.degrees;
import static lexicor.core.Responses.history;
import static org.assertj.core.api.Assertions.assertThat;

import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;
import org.junit.jupiter.api.Test;

/** A range that is judged without a goniometer: full, as on the other side, or short. */
class RangeByEyeTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final ExaminationTest ROM = CATALOGUE.test(TestId.of("sh-rom"));
    private static final ResponseReader READER = new ResponseReader(ROM, CATALOGUE.usualSchools());

    private static Reading.Result stiff(Attempt... attempts) {
        return READER.read(history(attempts), Side.RIGHT)
                .reading(ConditionId.of("frozen-shoulder"), CriterionId.of("stiff"))
                .result();
    }

    @Test
    void full_reads_as_the_range_of_a_sound_joint() {
        assertThat(stiff(attempt(
                        "sh-rom", Side.RIGHT, chosen("external-rotation", "full"), chosen("flexion-passive", "full"))))
                .isEqualTo(Reading.Result.NEGATIVE);
    }

    @Test
    void as_the_other_side_takes_its_number() {
        Attempt other = attempt("sh-rom", Side.LEFT, degrees("external-rotation", 55), degrees("flexion-passive", 165));
        assertThat(stiff(
                        other,
                        attempt(
                                "sh-rom",
                                Side.RIGHT,
                                chosen("external-rotation", "as-other"),
                                chosen("flexion-passive", "as-other"))))
                .isEqualTo(Reading.Result.NEGATIVE);
        Attempt bothStiff =
                attempt("sh-rom", Side.LEFT, degrees("external-rotation", 40), degrees("flexion-passive", 165));
        assertThat(stiff(
                        bothStiff,
                        attempt(
                                "sh-rom",
                                Side.RIGHT,
                                chosen("external-rotation", "as-other"),
                                chosen("flexion-passive", "as-other"))))
                .as("40° on both sides is neither")
                .isEqualTo(Reading.Result.NOT_INTERPRETABLE);
    }

    @Test
    void short_has_no_number_and_is_never_read_as_sound() {
        assertThat(stiff(attempt(
                        "sh-rom",
                        Side.RIGHT,
                        chosen("external-rotation", "short"),
                        chosen("flexion-passive", "short"))))
                .isEqualTo(Reading.Result.NOT_YET_KNOWN);
        Attempt other = attempt("sh-rom", Side.LEFT, chosen("external-rotation", "short"));
        assertThat(stiff(other, attempt("sh-rom", Side.RIGHT, chosen("external-rotation", "as-other"))))
                .as("as short as the other side")
                .isEqualTo(Reading.Result.NOT_YET_KNOWN);
    }

    @Test
    void a_measured_side_is_compared_with_a_full_one() {
        Attempt other =
                attempt("sh-rom", Side.LEFT, chosen("external-rotation", "full"), chosen("flexion-passive", "full"));
        assertThat(stiff(
                        other,
                        attempt(
                                "sh-rom",
                                Side.RIGHT,
                                degrees("external-rotation", 20),
                                degrees("flexion-passive", 120))))
                .isEqualTo(Reading.Result.POSITIVE);
    }

    @Test
    void one_tap_says_that_all_is_full() {
        assertThat(WholeAnswer.nothing(ROM).parts())
                .contains(chosen("external-rotation", "full"), chosen("pain", "none"))
                .noneMatch(Part.Measured.class::isInstance);
        assertThat(ResponseCheck.faults(
                        ROM,
                        attempt(
                                "sh-rom",
                                Side.RIGHT,
                                WholeAnswer.nothing(ROM).parts().toArray(Part[]::new))))
                .isEmpty();
    }

    @Test
    void what_cannot_be_said_of_a_range_is_refused_with_what_can() {
        assertThat(ResponseCheck.faults(ROM, attempt("sh-rom", Side.RIGHT, chosen("flexion", "good"))))
                .singleElement()
                .satisfies(fault ->
                        assertThat(fault.message()).contains("allowed: 0 to 180 °, or [full, as-other, short]"));
        assertThat(ResponseCheck.faults(
                        ROM, attempt("sh-rom", Side.RIGHT, chosen("flexion", "full"), degrees("flexion", 170))))
                .singleElement()
                .satisfies(fault -> assertThat(fault.message()).contains("answered twice"));
        ExaminationTest arc = CATALOGUE.test(TestId.of("sh-arc"));
        assertThat(ResponseCheck.faults(arc, attempt("sh-arc", Side.RIGHT, chosen("angle-worst", "full"))))
                .as("an angle of pain is measured")
                .isNotEmpty();
    }
}
