package lexicor.core.tracking;

import static lexicor.core.Responses.attempt;
import static lexicor.core.Responses.chosen;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Attempt;
import lexicor.core.examination.ForceTries;
import lexicor.core.examination.Part;
import lexicor.core.examination.Reading;
import lexicor.core.examination.Side;
import lexicor.core.examination.TestReading;
import lexicor.core.intake.IntakeForm;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CourseTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final NoiseTable NOISE = NoiseTable.shipped(CATALOGUE, IntakeForm.shipped(CATALOGUE));
    private static final List<Course.Scale> PAIN = List.of(new Course.Scale("pain-now", "Pain now", 10));

    private static Part measured(String key, double value, String unit) {
        return new Part.Measured(key, value, unit, Part.Context.PLAIN);
    }

    private static Course.Visit visit(double day, Map<String, List<Part>> involved) {
        return visit(day, involved, Map.of(), List.of(), Map.of(), List.of());
    }

    private static Course.Visit visit(
            double day,
            Map<String, List<Part>> involved,
            Map<String, List<Part>> well,
            List<TestReading> readings,
            Map<String, Integer> scales,
            List<String> markers) {
        return new Course.Visit(
                day,
                test -> of(involved, test, Side.RIGHT),
                test -> of(well, test, Side.LEFT),
                readings,
                question -> scales.containsKey(question) ? OptionalInt.of(scales.get(question)) : OptionalInt.empty(),
                markers.stream().map(TestId::of).toList());
    }

    private static Retest.Visit of(Map<String, List<Part>> parts, TestId test, Side side) {
        Optional<Attempt> attempt = Optional.ofNullable(parts.get(test.value()))
                .map(each -> attempt(test.value(), side, each.toArray(Part[]::new)));
        return new Retest.Visit(attempt, ForceTries.Counts.BEST);
    }

    private static Course course(Course.Visit... visits) {
        return Course.of(List.of(visits), CATALOGUE, PAIN, NOISE);
    }

    /** The only measure of visits a week apart. */
    private static MeasureSeries weekly(String test, String part, String unit, double... values) {
        Course.Visit[] visits = IntStream.range(0, values.length)
                .mapToObj(week -> visit(7 * week, Map.of(test, List.of(measured(part, values[week], unit)))))
                .toArray(Course.Visit[]::new);
        return course(visits).measures().get(0);
    }

    @Test
    void four_visits_of_growth_are_growth_though_no_two_of_them_part_by_more_than_noise() {
        MeasureSeries growth = weekly("wr-tinel-track", "distance", "mm", 40, 44, 48, 52);
        assertThat(growth.summary().verdict()).isEqualTo(Change.Verdict.BETTER);
        MeasureSeries slow = weekly("wr-tinel-track", "distance", "mm", 40, 41, 43, 44);
        assertThat(slow.summary().verdict()).isEqualTo(Change.Verdict.BETTER);
        assertThat(slow.summary().says()).startsWith("Better: 40 mm to 44 mm, by its slope. ");
        assertThat(weekly("wr-tinel-track", "distance", "mm", 40, 41, 43)
                        .summary()
                        .verdict())
                .as("three in a row rise by chance too often")
                .isEqualTo(Change.Verdict.WITHIN_NOISE);
    }

    @Test
    void a_nerve_that_goes_on_says_its_pace_and_one_that_does_not_is_stalled() {
        assertThat(weekly("wr-tinel-track", "distance", "mm", 40, 47, 54, 61).summary())
                .satisfies(summary -> {
                    assertThat(summary.stalled()).isFalse();
                    assertThat(summary.says())
                            .endsWith("Moves on by 1 mm a day (1 to 1); the usual hope is about 1 mm");
                });
        assertThat(weekly("wr-tinel-track", "distance", "mm", 40, 41, 40, 42, 41)
                        .summary())
                .satisfies(summary -> {
                    assertThat(summary.verdict()).isEqualTo(Change.Verdict.WITHIN_NOISE);
                    assertThat(summary.stalled()).isTrue();
                    assertThat(summary.says()).contains("Stalled: ").endsWith("less than half of the usual 1 mm");
                });
        assertThat(weekly("wr-tinel-track", "distance", "mm", 40, 44).summary().says())
                .endsWith("2 more visits before its pace can be told");
    }

    /** Beyond the noise of 15° against the first visit; confirmed where the visit before says the same. */
    @ParameterizedTest
    @CsvSource({
        "100, 110, 120, BETTER, false",
        "100, 118, 120, BETTER, true",
        "100, 80, 120, BETTER, false",
        "120, 100, 100, WORSE, true",
        "100, 130, 110, WITHIN_NOISE, false"
    })
    void the_last_visit_is_set_against_the_first(
            double first, double second, double third, Change.Verdict verdict, boolean confirmed) {
        MeasureSeries series = weekly("sh-rom", "flexion", "°", first, second, third);
        assertThat(series.summary().verdict()).isEqualTo(verdict);
        assertThat(series.summary().confirmed()).isEqualTo(confirmed);
    }

    /** What was held for so long without anything coming on is no less than that. */
    @ParameterizedTest
    @CsvSource({"20,  , 60, BETTER", "20,  , 22, WITHIN_NOISE", "20,  , 15, NOT_COMPARABLE", "20, 50, 50, BETTER"})
    void an_onset_that_stays_away_is_later(double before, Double now, double held, Change.Verdict verdict) {
        List<Part> later = new ArrayList<>(List.of(measured("held-for", held, "s")));
        if (now != null) {
            later.add(measured("onset", now, "s"));
        }
        List<Part> earlier = List.of(measured("onset", before, "s"), measured("held-for", before, "s"));
        assertThat(course(visit(0, Map.of("wr-phalen", earlier)), visit(30, Map.of("wr-phalen", later)))
                        .measures())
                .singleElement()
                .satisfies(series -> assertThat(series.summary().verdict()).isEqualTo(verdict));
        Change.Verdict turned = verdict == Change.Verdict.BETTER ? Change.Verdict.WORSE : verdict;
        assertThat(course(visit(0, Map.of("wr-phalen", later)), visit(30, Map.of("wr-phalen", earlier)))
                        .measures())
                .as("the other way round")
                .singleElement()
                .satisfies(series -> assertThat(series.summary().verdict()).isEqualTo(turned));
    }

    @Test
    void two_holds_without_onset_say_nothing_of_a_change() {
        Map<String, List<Part>> held = Map.of("wr-phalen", List.of(measured("held-for", 60, "s")));
        assertThat(course(visit(0, held), visit(30, held)).measures())
                .singleElement()
                .satisfies(series -> {
                    assertThat(series.summary().verdict()).isEqualTo(Change.Verdict.WITHIN_NOISE);
                    assertThat(series.summary().says()).isEqualTo("Nothing came on at the first or the last visit");
                });
    }

    /** The ulnar nerve is the second of the first visit and the first of the second. */
    @Test
    void a_nerve_is_followed_whichever_place_it_has_in_a_visit() {
        List<Part> first = List.of(
                chosen("tracked-nerve", "median"),
                chosen("from-landmark", "wrist-crease"),
                measured("distance", 30, "mm"),
                chosen("second-nerve", "ulnar"),
                chosen("second-landmark", "pisiform"),
                measured("second-distance", 20, "mm"));
        List<Part> second = List.of(
                chosen("tracked-nerve", "ulnar"),
                chosen("from-landmark", "pisiform"),
                measured("distance", 35, "mm"),
                chosen("second-nerve", "median"),
                chosen("second-landmark", "scar"),
                measured("second-distance", 12, "mm"));
        assertThat(course(visit(0, Map.of("wr-tinel-track", first)), visit(14, Map.of("wr-tinel-track", second)))
                        .measures())
                .as("the median nerve was measured from elsewhere")
                .singleElement()
                .satisfies(series -> {
                    assertThat(series.label()).isEqualTo("Furthest tingling point, ulnar, from pisiform");
                    assertThat(series.points())
                            .extracting(point -> point.value().value())
                            .containsExactly(20.0, 35.0);
                });
    }

    @Test
    void scales_come_first_then_what_was_chosen_then_the_rest_and_the_other_side_stands_beside() {
        Map<String, List<Part>> parts = Map.of(
                "sh-rom", List.of(measured("flexion", 120, "°")),
                "sh-belly-press", List.of(measured("force", 80, "N")));
        Map<String, List<Part>> well = Map.of("sh-belly-press", List.of(measured("force", 160, "N")));
        Course course = course(
                visit(0, parts, well, List.of(), Map.of("pain-now", 6), List.of()),
                visit(30, parts, well, List.of(), Map.of("pain-now", 3), List.of("sh-belly-press")));
        assertThat(course.measures())
                .extracting(MeasureSeries::label, series -> series.summary().verdict())
                .containsExactly(
                        tuple("Pain now", Change.Verdict.BETTER),
                        tuple("Force", Change.Verdict.WITHIN_NOISE),
                        tuple("Flexion", Change.Verdict.WITHIN_NOISE));
        assertThat(course.measures().get(1).points().get(0).percentOfWell()).hasValue(50);
    }

    @Test
    void a_measure_that_was_not_taken_as_it_should_be_is_shown_and_not_compared() {
        assertThat(course(
                                visit(0, Map.of("sh-rom", List.of(measured("flexion", 100, "°")))),
                                visit(
                                        30,
                                        Map.of(
                                                "sh-rom",
                                                List.of(measured("flexion", 150, "°"), chosen("quality", "guarding")))))
                        .measures())
                .singleElement()
                .satisfies(series -> {
                    assertThat(series.points()).hasSize(2);
                    assertThat(series.points().get(1).because()).isNotEmpty();
                    assertThat(series.summary().verdict()).isEqualTo(Change.Verdict.NOT_COMPARABLE);
                });
    }

    private static TestReading reading(String test, Reading.Result... results) {
        Map<String, Reading> readings = new HashMap<>();
        for (Reading.Result result : results) {
            readings.put(
                    result.name(),
                    new Reading(
                            TestId.of(test),
                            ConditionId.of("condition-" + result.ordinal()),
                            CriterionId.of("pain"),
                            result,
                            ""));
        }
        return new TestReading(TestId.of(test), true, List.copyOf(readings.values()));
    }

    @Test
    void a_test_that_has_turned_negative_says_so_whatever_could_not_be_read_between() {
        Course.Visit[] visits = {
            visit(0, Map.of(), Map.of(), List.of(reading("sh-neer", Reading.Result.POSITIVE)), Map.of(), List.of()),
            visit(
                    10,
                    Map.of(),
                    Map.of(),
                    List.of(reading("sh-neer", Reading.Result.NOT_INTERPRETABLE)),
                    Map.of(),
                    List.of()),
            visit(20, Map.of(), Map.of(), List.of(reading("sh-neer", Reading.Result.NEGATIVE)), Map.of(), List.of())
        };
        assertThat(course(visits).responses()).singleElement().satisfies(series -> {
            assertThat(series.turn()).isEqualTo(ResponseSeries.Turn.TURNED_NEGATIVE);
            assertThat(series.results())
                    .containsExactly(
                            ResponseSeries.Result.POSITIVE,
                            ResponseSeries.Result.NOT_INTERPRETABLE,
                            ResponseSeries.Result.NEGATIVE);
        });
        assertThat(ResponseSeries.Result.of(reading("sh-neer", Reading.Result.NEGATIVE, Reading.Result.POSITIVE)))
                .as("positive for one condition")
                .isEqualTo(ResponseSeries.Result.POSITIVE);
    }
}
