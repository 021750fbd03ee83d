package lexicor.core.weighing;

import static lexicor.core.Responses.attempt;
import static lexicor.core.Responses.chosen;
import static lexicor.core.Responses.degrees;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lexicor.core.Responses;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.draws.Draws;
import lexicor.core.evidence.Belief;
import lexicor.core.evidence.Evidence;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.evidence.TwoByTwo;
import lexicor.core.examination.Attempt;
import lexicor.core.examination.Part;
import lexicor.core.examination.Reading;
import lexicor.core.examination.ResponseReader;
import lexicor.core.examination.Side;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Visit;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.nexttest.ExpectedInformation;
import lexicor.core.nexttest.TestValue;
import lexicor.core.posttest.Range;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;

/** What must hold for every examination, whatever was answered. Each number of a script is one answer to one test. */
class WeighingPropertiesTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Evidence EVIDENCE = EvidenceReader.shipped(CATALOGUE);
    private static final Weighing WEIGHING = new Weighing(CATALOGUE, EVIDENCE, new WeighingSettings(0, 0.8, 0.5, 0.1));
    private static final List<String> TESTS =
            List.of("sh-arc", "sh-er-resist", "sh-empty-can", "sh-neer", "sh-hawkins");

    @Property(tries = 300)
    void every_chance_stays_within_0_and_1_and_the_sum_of_its_weights(
            @ForAll @Size(5) List<@IntRange(max = 5) Integer> script) {
        for (Standing standing : weigh(script).standings()) {
            double odds = standing.before() / (1 - standing.before()) * standing.likelihoodRatio();
            assertThat(standing.now()).isBetween(0.0, 1.0);
            assertThat(standing.loads().isEmpty() ? standing.now() : odds / (1 + odds))
                    .isCloseTo(standing.now(), within(1e-9));
            assertThat(standing.loads()).as("what is summed is what was found").hasSize((int)
                    standing.loads().stream().distinct().count());
        }
    }

    @Property(tries = 300)
    void no_finding_is_counted_twice_for_a_condition(@ForAll @Size(5) List<@IntRange(max = 5) Integer> script) {
        for (Standing standing : weigh(script).standings()) {
            List<String> counted = standing.loads().stream()
                    .flatMap(load -> load.tests().stream())
                    .map(Object::toString)
                    .toList();
            assertThat(counted).as(standing.condition().name()).doesNotHaveDuplicates();
        }
        for (String school : List.of("set", "strongest")) {
            Visit visit = Visit.usual(CATALOGUE, "shoulder", CareSetting.FIRST_CONTACT);
            for (Standing standing : WEIGHING.weigh(
                            visit.with(visit.schools().with(Lens.QUESTION, school)), readings(script), 1)
                    .standings()) {
                List<String> counted = standing.loads().stream()
                        .flatMap(load -> load.tests().stream())
                        .map(Object::toString)
                        .toList();
                assertThat(counted)
                        .as(standing.condition().name() + " by " + school)
                        .doesNotHaveDuplicates();
                assertThat(standing.held()).noneMatch(standing.loads()::contains);
            }
        }
    }

    @Property(tries = 200)
    void what_is_not_weighed_changes_nothing(@ForAll @Size(4) List<@IntRange(max = 5) Integer> script) {
        List<Integer> guarded = new ArrayList<>(script);
        guarded.add(5);
        Ranking without = weigh(script);
        for (Standing standing : weigh(guarded).standings()) {
            assertThat(standing.now())
                    .isEqualTo(without.of(standing.condition().id()).now());
        }
    }

    @Property(tries = 200)
    void a_higher_start_never_ends_lower(@ForAll @Size(5) List<@IntRange(max = 5) Integer> script) {
        List<TestReading> readings = readings(script);
        Visit usual = Visit.usual(CATALOGUE, "shoulder", CareSetting.FIRST_CONTACT);
        ConditionId raised = ConditionId.of("subacromial-pain");
        Map<ConditionId, Visit.Start> starts = new HashMap<>(usual.starts());
        starts.put(raised, new Visit.Start(0.8, 0.5));
        Visit higher =
                new Visit(usual.region(), usual.setting(), starts, usual.clues(), usual.schools(), usual.assumptions());
        assertThat(WEIGHING.weigh(higher, readings, 1).of(raised).now())
                .isGreaterThanOrEqualTo(
                        WEIGHING.weigh(usual, readings, 1).of(raised).now() - 1e-9);
    }

    /**
     * Whatever was found before: the chances after either answer average to the chance now, and information is never
     * negative.
     */
    @Property(tries = 150)
    void the_chances_after_either_answer_average_to_the_chance_now(
            @ForAll @Size(4) List<@IntRange(max = 5) Integer> script) {
        Visit visit = Visit.usual(CATALOGUE, "shoulder", CareSetting.FIRST_CONTACT);
        List<TestReading> found = readings(script);
        Ranking now = WEIGHING.weigh(visit, found, 1);
        TestValue value =
                ExpectedInformation.of(WEIGHING, visit, found).value(TestId.of("sh-hawkins"), Optional.empty());
        for (TestValue.Change change : value.changes()) {
            double positive = change.positive();
            assertThat(change.now()).isCloseTo(now.of(change.condition().id()).now(), within(1e-12));
            assertThat(positive * change.ifPositive() + (1 - positive) * change.ifNegative())
                    .isCloseTo(change.now(), within(1e-10));
            assertThat(change.bits()).isGreaterThanOrEqualTo(0);
        }
    }

    /** What is foreseen of an answer is what the ranking says once it was given. */
    @Property(tries = 60)
    void an_answer_brings_what_was_foreseen(
            @ForAll @Size(4) List<@IntRange(max = 4) Integer> script, @ForAll boolean positive) {
        Visit visit = Visit.usual(CATALOGUE, "shoulder", CareSetting.FIRST_CONTACT);
        TestValue value = ExpectedInformation.of(WEIGHING, visit, readings(script))
                .value(TestId.of("sh-hawkins"), Optional.empty());
        List<Integer> more = new ArrayList<>(script);
        more.add(positive ? 2 : 1);
        Ranking after = weigh(more);
        value.changes()
                .forEach(change -> assertThat(positive ? change.ifPositive() : change.ifNegative())
                        .isCloseTo(after.of(change.condition().id()).now(), within(1e-9)));
    }

    @Property(tries = 40)
    void ranges_widen_when_counts_shrink(@ForAll @IntRange(min = 8, max = 40) int scale) {
        Belief many = Belief.of(new TwoByTwo(8L * scale, 3L * scale, 2L * scale, 7L * scale));
        Belief few = Belief.of(new TwoByTwo(8, 3, 2, 7));
        WeighingSettings sampling = new WeighingSettings(4000, 0, 0, 0.1);
        assertThat(width(few, sampling)).isGreaterThan(width(many, sampling));
    }

    private static double width(Belief belief, WeighingSettings settings) {
        Range range = Range.ofLogOdds(Draws.logLikelihoodRatios(belief, true, settings, 3));
        return range.upper() - range.lower();
    }

    private static Ranking weigh(List<Integer> script) {
        return WEIGHING.weigh("shoulder", CareSetting.FIRST_CONTACT, readings(script), 1);
    }

    private static List<TestReading> readings(List<Integer> script) {
        List<Attempt> attempts = new ArrayList<>();
        for (int i = 0; i < script.size(); i++) {
            answer(TESTS.get(i), script.get(i)).ifPresent(attempts::add);
        }
        var history = Responses.history(attempts.toArray(Attempt[]::new));
        return TESTS.stream()
                .map(TestId::of)
                .map(test ->
                        new ResponseReader(CATALOGUE.test(test), CATALOGUE.usualSchools()).read(history, Side.RIGHT))
                .toList();
    }

    /** 0 not done, 1 nothing, 2 familiar pain, 3 familiar pain and weakness, 4 other pain, 5 guarded. */
    private static Optional<Attempt> answer(String test, int kind) {
        boolean strength = test.equals("sh-er-resist") || test.equals("sh-empty-can");
        List<Part> parts = new ArrayList<>();
        parts.add(chosen(
                "pain",
                List.of("none", "none", "familiar", "familiar", "other", "familiar")
                        .get(kind)));
        if (strength) {
            parts.add(chosen("strength", kind == 3 ? "weak" : "full"));
        }
        if (test.equals("sh-arc") && kind >= 2) {
            Arrays.asList("angle-start", "angle-worst", "angle-end").forEach(part -> parts.add(degrees(part, 90)));
        }
        if (kind == 5) {
            parts.add(chosen("quality", "guarded"));
        }
        return kind == 0 ? Optional.empty() : Optional.of(attempt(test, Side.RIGHT, parts.toArray(Part[]::new)));
    }

    @Property(tries = 100)
    void every_condition_stands_in_one_sentence_at_most(@ForAll @Size(5) List<@IntRange(max = 5) Integer> script) {
        Interpreter interpreter = new Interpreter(CATALOGUE, EVIDENCE);
        for (TestReading reading : readings(script)) {
            List<ConditionId> named = interpreter.say("shoulder", CATALOGUE.usualSchools(), reading).stream()
                    .flatMap(statement -> statement.conditions().stream())
                    .map(condition -> condition.id())
                    .toList();
            assertThat(named).doesNotHaveDuplicates();
            boolean known = reading.readings().stream().anyMatch(each -> each.result() != Reading.Result.NOT_YET_KNOWN);
            assertThat(!named.isEmpty() && !known).isFalse();
        }
    }
}
