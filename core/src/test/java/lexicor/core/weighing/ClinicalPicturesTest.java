package lexicor.core.weighing;

import static lexicor.core.Responses.attempt;
import static lexicor.core.Responses.chosen;
import static lexicor.core.Responses.degrees;
import static lexicor.core.Responses.history;
import static lexicor.core.weighing.RankingAssert.assertThat;

import java.util.List;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.examination.Attempt;
import lexicor.core.examination.History;
import lexicor.core.examination.ResponseReader;
import lexicor.core.examination.Side;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Visit;
import lexicor.core.findings.WeighingSettings;
import org.junit.jupiter.api.Test;

/** Shoulders as a therapist meets them, and what the ranking should make of each. */
class ClinicalPicturesTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Weighing WEIGHING =
            new Weighing(CATALOGUE, EvidenceReader.shipped(CATALOGUE), new WeighingSettings(0, 0.8, 0.5, 0.1));

    @Test
    void a_painful_but_strong_cuff_raises_subacromial_pain_and_not_a_full_tear() {
        assertThat(ranking(
                        arc(90),
                        strength("sh-er-resist", "none", "full"),
                        strength("sh-empty-can", "familiar", "full"),
                        pain("sh-neer", "familiar"),
                        pain("sh-hawkins", "familiar")))
                .hasRaised("subacromial-pain")
                .hasRaised("supraspinatus-tendinopathy")
                .leavesAlone("frozen-shoulder");
    }

    @Test
    void painless_weakness_raises_the_tears() {
        assertThat(ranking(strength("sh-er-resist", "none", "weak"), strength("sh-empty-can", "none", "weak")))
                .hasRaised("cuff-tear-full")
                .hasRaised("supraspinatus-tear")
                .leavesAlone("acj");
    }

    @Test
    void an_arm_that_gives_way_with_pain_says_nothing_of_strength_by_the_empty_can() {
        assertThat(ranking(strength("sh-empty-can", "familiar", "pain-limited")))
                .weighsNothingFor("cuff-tear-full")
                .weighsNothingFor("subacromial-pain")
                .hasRaised("supraspinatus-tendinopathy")
                .leavesAlone("acj");
    }

    @Test
    void pain_near_the_top_of_the_arc_is_noted_for_the_ac_joint_without_a_figure() {
        Attempt top = attempt(
                "sh-arc",
                Side.RIGHT,
                chosen("pain", "familiar"),
                chosen("site", "top"),
                degrees("angle-start", 150),
                degrees("angle-worst", 170),
                degrees("angle-end", 180));
        assertThat(ranking(top)).leavesAlone("acj").leavesAlone("subacromial-pain");
    }

    @Test
    void a_quiet_shoulder_lowers_what_the_tests_speak_about_and_nothing_else() {
        assertThat(ranking(
                        pain("sh-arc", "none"),
                        strength("sh-er-resist", "none", "full"),
                        strength("sh-empty-can", "none", "full"),
                        pain("sh-neer", "none"),
                        pain("sh-hawkins", "none")))
                .hasLowered("subacromial-pain")
                .hasLowered("cuff-tear-full")
                .hasLowered("supraspinatus-tear")
                .hasLowered("supraspinatus-tendinopathy")
                .leavesAlone("acj")
                .leavesAlone("long-biceps")
                .leavesAlone("cervical-radiculopathy");
    }

    private static Attempt arc(double worst) {
        return attempt("sh-arc", Side.RIGHT, chosen("pain", "familiar"), degrees("angle-worst", worst));
    }

    private static Attempt pain(String test, String pain) {
        return attempt(test, Side.RIGHT, chosen("pain", pain));
    }

    private static Attempt strength(String test, String pain, String strength) {
        return attempt(test, Side.RIGHT, chosen("pain", pain), chosen("strength", strength));
    }

    private static Ranking ranking(Attempt... attempts) {
        History history = history(attempts);
        List<TestReading> readings = CATALOGUE.routine("shoulder").order().stream()
                .map(test ->
                        new ResponseReader(CATALOGUE.test(test), CATALOGUE.usualSchools()).read(history, Side.RIGHT))
                .toList();
        Visit visit = Visit.usual(CATALOGUE, "shoulder", CareSetting.FIRST_CONTACT);
        return WEIGHING.weigh(visit.with(visit.assumptions().borrowing(false)), readings, 1);
    }
}
