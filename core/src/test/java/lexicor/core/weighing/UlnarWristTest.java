package lexicor.core.weighing;

import static lexicor.core.Responses.attempt;
import static lexicor.core.Responses.chosen;
import static lexicor.core.Responses.history;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.examination.Attempt;
import lexicor.core.examination.History;
import lexicor.core.examination.Part;
import lexicor.core.examination.ResponseReader;
import lexicor.core.examination.Side;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.intake.IntakeForm;
import lexicor.core.nexttest.SecondOpinion;
import lexicor.core.pathway.Pathway;
import lexicor.core.pathway.PathwayReader;
import lexicor.core.pathway.PathwayWalk;
import lexicor.core.pathway.Step;
import org.junit.jupiter.api.Test;

/**
 * Five ulnar-sided wrists as a hand therapist meets them: what the pictures, the contest and the pathway make of each.
 */
class UlnarWristTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Thresholds THRESHOLDS = new Thresholds(0.05, 0.25, 0.75, 0.1);
    private static final Weighing WEIGHING =
            new Weighing(CATALOGUE, EvidenceReader.shipped(CATALOGUE), new WeighingSettings(0, 0.8, 0.5, 0.1));
    private static final Pathway PATHWAY = PathwayReader.shipped(
                    CATALOGUE, IntakeForm.shipped(CATALOGUE).zoneNames())
            .find("ulnar-rotation")
            .orElseThrow();

    private final List<Attempt> attempts = new ArrayList<>(List.of(
            attempt("wr-rom", Side.RIGHT, chosen("passive", "full"), chosen("pain", "familiar")),
            attempt("ha-grip", Side.RIGHT, chosen("pain", "familiar"))));

    @Test
    void a_loose_joint_after_a_fall_ends_at_the_joint() {
        attempts.addAll(List.of(
                druj(Side.LEFT, "firm", 3),
                druj(Side.RIGHT, "soft", 7),
                attempt("wr-piano-key", Side.LEFT, chosen("spring", "firm")),
                attempt("wr-piano-key", Side.RIGHT, chosen("spring", "springs"))));
        assertThat(fit("druj-instability")).containsExactly(2, 0, 0);
        assertThat(says(walk("back"))).isEqualTo("Distal radioulnar instability");
    }

    @Test
    void a_firm_joint_that_hurts_and_a_tender_soft_spot_point_to_the_cartilage_and_load_brings_in_the_ulna() {
        attempts.addAll(List.of(
                druj(Side.LEFT, "firm", 3),
                druj(Side.RIGHT, "firm", 3, chosen("pain", "familiar")),
                palmarShift("firm", "none"),
                attempt("wr-fovea", Side.RIGHT, chosen("tender", "familiar"))));
        assertThat(walk("palm").here().id()).isEqualTo("stress");
        assertThat(ranking().of(ConditionId.of("tfcc")).now())
                .as("the soft spot has figures")
                .isGreaterThan(ranking().of(ConditionId.of("tfcc")).before());
        assertThat(fit("druj-instability")).as("the shift was firm").containsExactly(0, 2, 0);
        attempts.add(
                attempt("wr-ulnocarpal-stress", Side.RIGHT, chosen("pain", "familiar"), chosen("site", "ulnar-wrist")));
        assertThat(says(walk("palm"))).contains("TFCC").contains("ulna");
        LeadingPair contest = contest().orElseThrow();
        assertThat(List.of(contest.one().id().value(), contest.other().id().value()))
                .containsExactlyInAnyOrder("tfcc", "ulnocarpal-impaction");
        assertThat(contest.both()).as("load hurts in both").contains(TestId.of("wr-ulnocarpal-stress"));
        assertThat(contest.separate()).contains(TestId.of("wr-palp-ulnar-head")).doesNotContain(TestId.of("wr-fovea"));
    }

    @Test
    void a_tendon_that_hurts_on_load_without_the_joint_is_the_tendon() {
        attempts.addAll(List.of(
                druj(Side.LEFT, "firm", 3),
                druj(Side.RIGHT, "firm", 3, chosen("pain", "none")),
                attempt("wr-palp-ecu", Side.RIGHT, chosen("tender", "familiar"), chosen("crepitus", "none")),
                attempt("wr-ecu-synergy", Side.RIGHT, chosen("pain", "familiar"), chosen("site", "ulnar-wrist"))));
        assertThat(walk("back").here().id()).isEqualTo("slips");
        attempts.addAll(List.of(
                attempt("wr-ecu-sublux", Side.LEFT, chosen("slip", "none")),
                attempt("wr-ecu-sublux", Side.RIGHT, chosen("slip", "none")),
                attempt("wr-fovea", Side.RIGHT, chosen("tender", "none"))));
        assertThat(says(walk("back"))).isEqualTo("ECU tendinopathy");
        assertThat(fit("ecu-tendinopathy")).containsExactly(2, 0, 0);
        assertThat(fit("ecu-instability")).containsExactly(0, 1, 0);
        assertThat(SecondOpinion.on(walk("back").here(), List.of(), ranking(), THRESHOLDS)
                        .kind())
                .isEqualTo(SecondOpinion.Kind.END_NOT_MEASURED);
    }

    @Test
    void a_pisiform_that_hurts_when_rocked_is_left_when_the_soft_spot_is_quiet() {
        attempts.addAll(List.of(
                druj(Side.LEFT, "firm", 3),
                druj(Side.RIGHT, "firm", 3, chosen("pain", "none")),
                palmarShift("firm", "none"),
                attempt("wr-fovea", Side.RIGHT, chosen("tender", "none")),
                attempt("wr-palp-pisiform", Side.RIGHT, chosen("tender", "familiar")),
                attempt("wr-pisotriquetral", Side.RIGHT, chosen("pain", "familiar"), chosen("crepitus", "present"))));
        assertThat(says(walk("palm"))).isEqualTo("Pisotriquetral arthritis");
        assertThat(fit("pisotriquetral-oa")).containsExactly(2, 0, 0);
        assertThat(ranking().of(ConditionId.of("tfcc")).now())
                .isLessThan(ranking().of(ConditionId.of("tfcc")).before());
    }

    @Test
    void shear_between_lunate_and_triquetrum_is_found_when_joint_tendon_and_soft_spot_are_quiet() {
        attempts.addAll(List.of(
                druj(Side.LEFT, "firm", 3),
                druj(Side.RIGHT, "firm", 3, chosen("pain", "none")),
                attempt("wr-ecu-synergy", Side.RIGHT, chosen("pain", "none")),
                attempt("wr-fovea", Side.RIGHT, chosen("tender", "none")),
                attempt("wr-lt-shear", Side.LEFT, chosen("end", "firm")),
                attempt("wr-lt-shear", Side.RIGHT, chosen("pain", "familiar"), chosen("end", "soft")),
                attempt("wr-palp-lt", Side.RIGHT, chosen("tender", "familiar"))));
        assertThat(says(walk("back"))).isEqualTo("Lunotriquetral ligament injury");
        assertThat(fit("lunotriquetral")).containsExactly(2, 0, 0);
        assertThat(contest()).as("only one picture has begun to fit").isEmpty();
    }

    @Test
    void before_any_test_there_is_nothing_to_separate() {
        assertThat(contest()).isEmpty();
    }

    private static Attempt druj(Side side, String end, double shift, Part... more) {
        List<Part> parts = new ArrayList<>(Arrays.asList(more));
        for (String position : List.of("neutral", "pronation", "supination")) {
            parts.add(new Part.Chosen("end", end, new Part.Context(position, 1, "")));
            parts.add(new Part.Measured("shift", shift, "mm", new Part.Context(position, 1, "")));
        }
        return attempt("wr-druj-ballottement", side, parts.toArray(Part[]::new));
    }

    private static Attempt palmarShift(String end, String pain) {
        return attempt("wr-ruj-palmar-shift", Side.RIGHT, chosen("end", end), chosen("pain", pain));
    }

    /** Findings of a picture: present, missing, against. */
    private List<Integer> fit(String condition) {
        PatternReading pattern = ranking().of(ConditionId.of(condition)).pattern();
        return List.of(
                pattern.present().size(),
                pattern.missing().size(),
                pattern.against().size());
    }

    private static String says(PathwayWalk walk) {
        return ((Step.End) walk.here()).says();
    }

    private PathwayWalk walk(String face) {
        return PathwayWalk.of(
                PATHWAY, Map.of("which", "both", "load", "loaded", "where", face), readings(), test -> true);
    }

    private Optional<LeadingPair> contest() {
        List<TestId> done = readings().stream()
                .filter(TestReading::answered)
                .map(TestReading::test)
                .toList();
        return LeadingPair.of(ranking(), CATALOGUE, test -> !done.contains(test));
    }

    private Ranking ranking() {
        return WEIGHING.weigh("wrist", CareSetting.FIRST_CONTACT, readings(), 1);
    }

    private List<TestReading> readings() {
        History history = history(attempts.toArray(Attempt[]::new));
        return CATALOGUE.routine("wrist").order().stream()
                .map(test ->
                        new ResponseReader(CATALOGUE.test(test), CATALOGUE.usualSchools()).read(history, Side.RIGHT))
                .toList();
    }
}
