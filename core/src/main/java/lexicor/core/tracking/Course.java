package lexicor.core.tracking;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Part;
import lexicor.core.examination.TestReading;
import lexicor.core.lookup.Keyed;

/**
 * One complaint over its visits: what was measured more than once, and how tests came out.
 *
 * @param measures scales of the intake first, then measures of the tests chosen to be done again, then the others
 * @param responses tests done at two visits at least, in the order of the catalogue
 */
public record Course(List<MeasureSeries> measures, List<ResponseSeries> responses) {

    public Course {
        measures = List.copyOf(measures);
        responses = List.copyOf(responses);
    }

    /**
     * What one visit has.
     *
     * @param day days since any fixed day
     * @param involved of a test, on the side in question
     * @param well of a test, on the other side
     * @param scale of a question of the intake
     * @param markers tests chosen to be done again
     */
    public record Visit(
            double day,
            Function<TestId, Retest.Visit> involved,
            Function<TestId, Retest.Visit> well,
            List<TestReading> readings,
            Function<String, OptionalInt> scale,
            List<TestId> markers) {}

    /**
     * A scale that the intake asks.
     *
     * @param most its upper end
     */
    public record Scale(String question, String label, int most) {}

    /** What makes two measures one: with another nerve or another landmark it is another measure. */
    private record Key(TestId test, String part, Part.Context at, List<Set<String>> from) {}

    /** @param visits the first first */
    public static Course of(List<Visit> visits, Catalogue catalogue, List<Scale> scales, NoiseTable noise) {
        double[] days = visits.stream().mapToDouble(Visit::day).toArray();
        Set<TestId> chosen =
                visits.stream().flatMap(visit -> visit.markers().stream()).collect(Collectors.toSet());
        List<MeasureSeries> measures = new ArrayList<>();
        for (Scale scale : scales) {
            measures.add(scale(scale, visits, noise, days));
        }
        catalogue.tests().values().stream()
                .flatMap(test -> ofTest(test, visits, noise, days).stream())
                .sorted(Comparator.comparing(
                        (MeasureSeries series) -> !chosen.contains(series.test().orElseThrow())))
                .forEach(measures::add);
        return new Course(
                measures.stream()
                        .filter(series -> series.points().size() > 1
                                || series.test().filter(chosen::contains).isPresent()
                                        && !series.points().isEmpty())
                        .toList(),
                responses(visits, catalogue));
    }

    private static MeasureSeries scale(Scale scale, List<Visit> visits, NoiseTable noise, double[] days) {
        List<MeasureSeries.Point> points = new ArrayList<>();
        for (int visit = 0; visit < visits.size(); visit++) {
            OptionalInt told = visits.get(visit).scale().apply(scale.question());
            if (told.isPresent()) {
                points.add(new MeasureSeries.Point(
                        visit, MeasuredValue.exactly(told.getAsInt()), OptionalDouble.empty(), ""));
            }
        }
        return MeasureSeries.of(
                Optional.empty(), scale.label(), "of " + scale.most(), noise.of(scale.question()), points, days);
    }

    private static List<MeasureSeries> ofTest(
            ExaminationTest test, List<Visit> visits, NoiseTable noise, double[] days) {
        Map<Key, List<MeasureSeries.Point>> points = new LinkedHashMap<>();
        Map<Key, PartDefinition.Measure> measured = new LinkedHashMap<>();
        for (int number = 0; number < visits.size(); number++) {
            Retest.Visit involved = visits.get(number).involved().apply(test.id());
            Retest.Visit well = visits.get(number).well().apply(test.id());
            String because = involved.quality().isEmpty() ? "" : Retest.quality(test, involved.quality());
            for (PartDefinition part : test.parts()) {
                if (part instanceof PartDefinition.Measure measure && !Retest.NOT_FOUND.contains(part.key())) {
                    for (Part.Context at : involved.contexts(measure)) {
                        MeasuredValue value = involved.measured(measure, at).orElseThrow();
                        Key key = key(test, measure, at, involved);
                        int visit = number;
                        List<MeasureSeries.Point> known = points.computeIfAbsent(key, fresh -> new ArrayList<>());
                        if (known.stream().noneMatch(point -> point.visit() == visit)) {
                            measured.putIfAbsent(key, measure);
                            known.add(new MeasureSeries.Point(visit, value, well.value(measure.key(), at), because));
                        }
                    }
                }
            }
        }
        return points.entrySet().stream()
                .map(entry -> {
                    PartDefinition.Measure measure = first(test, Keyed.at(measured, entry.getKey()));
                    return MeasureSeries.of(
                            Optional.of(test.id()),
                            label(test, measure, entry.getKey()),
                            measure.unit(),
                            noise.of(test.id(), measure.key()),
                            entry.getValue(),
                            days);
                })
                .toList();
    }

    private static Key key(ExaminationTest test, PartDefinition.Measure measure, Part.Context at, Retest.Visit visit) {
        return new Key(
                test.id(),
                first(test, measure).key(),
                at,
                measure.from().stream().map(visit::chosen).toList());
    }

    /** Several measures of one kind, such as of a second nerve, go by the first of them. */
    private static PartDefinition.Measure first(ExaminationTest test, PartDefinition.Measure measure) {
        return measure.from().isEmpty()
                ? measure
                : test.parts().stream()
                        .filter(PartDefinition.Measure.class::isInstance)
                        .map(PartDefinition.Measure.class::cast)
                        .filter(other -> !other.from().isEmpty() && other.unit().equals(measure.unit()))
                        .findFirst()
                        .orElse(measure);
    }

    private static String label(ExaminationTest test, PartDefinition.Measure measure, Key key) {
        List<PartDefinition.Choice> from = measure.from().stream()
                .flatMap(name -> test.part(name).stream())
                .filter(PartDefinition.Choice.class::isInstance)
                .map(PartDefinition.Choice.class::cast)
                .toList();
        String said = IntStream.range(0, Math.min(from.size(), key.from().size()))
                .filter(place -> !key.from().get(place).isEmpty())
                .mapToObj(place -> ", "
                        + (place == 0 ? "" : "from ")
                        + Retest.words(from.get(place), key.from().get(place)))
                .collect(Collectors.joining());
        return Retest.label(measure, key.at()) + said;
    }

    private static List<ResponseSeries> responses(List<Visit> visits, Catalogue catalogue) {
        Set<TestId> read = new LinkedHashSet<>();
        visits.forEach(visit -> visit.readings().forEach(reading -> read.add(reading.test())));
        return catalogue.tests().keySet().stream()
                .filter(read::contains)
                .map(test -> new ResponseSeries(
                        test,
                        visits.stream()
                                .map(visit -> visit.readings().stream()
                                        .filter(reading -> reading.test().equals(test))
                                        .findFirst()
                                        .map(ResponseSeries.Result::of)
                                        .orElse(ResponseSeries.Result.NOT_DONE))
                                .toList()))
                .filter(series -> series.done() > 1)
                .toList();
    }
}
