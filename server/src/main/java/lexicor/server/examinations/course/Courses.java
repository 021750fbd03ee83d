package lexicor.server.examinations.course;

import static lexicor.server.json.OrNull.orNull;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.TestId;
import lexicor.core.conclusion.Conclusion;
import lexicor.core.examination.Side;
import lexicor.core.intake.IntakeAnswers;
import lexicor.core.intake.IntakeForm;
import lexicor.core.tracking.Course;
import lexicor.core.tracking.MeasureSeries;
import lexicor.core.tracking.Noise;
import lexicor.core.tracking.NoiseTable;
import lexicor.core.tracking.ResponseSeries;
import lexicor.server.cases.CaseService;
import lexicor.server.cases.Episode;
import lexicor.server.examinations.assessment.Assessment;
import lexicor.server.examinations.assessment.Assessments;
import lexicor.server.examinations.record.ExaminationRecords;
import lexicor.server.examinations.record.People;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.examinations.signing.Results;
import lexicor.server.examinations.weighing.Retests;
import lexicor.server.problems.NotFound;
import lexicor.server.settings.ClinicSettings;
import org.springframework.stereotype.Service;

/** Sets the visits of a complaint beside each other. */
@Service
class Courses {

    /** Places in the ranking of a visit that are followed over the others. */
    private static final int LEADING = 3;

    /** The unit of what is compared with the other side in percent. */
    private static final String FORCE = "N";

    /** Conditions shown at most. */
    private static final int MOST = 6;

    private final CaseService cases;
    private final ExaminationRecords examinations;
    private final Assessments assessments;
    private final Results results;
    private final People people;
    private final Catalogue catalogue;
    private final IntakeForm form;
    private final NoiseTable noise;
    private final ClinicSettings settings;

    Courses(
            CaseService cases,
            ExaminationRecords examinations,
            Assessments assessments,
            Results results,
            People people,
            Catalogue catalogue,
            IntakeForm form,
            NoiseTable noise,
            ClinicSettings settings) {
        this.cases = cases;
        this.examinations = examinations;
        this.assessments = assessments;
        this.results = results;
        this.people = people;
        this.catalogue = catalogue;
        this.form = form;
        this.noise = noise;
        this.settings = settings;
    }

    /** The course of a complaint, or {@link NotFound}. */
    CourseJson of(UUID caseId, UUID complaint) {
        Episode episode = cases.episodes(caseId).stream()
                .filter(each -> each.getId().equals(complaint))
                .findFirst()
                .orElseThrow(() -> new NotFound("There is no complaint " + complaint + " of this case."));
        List<Recorded> visits = examinations.ofComplaint(caseId, complaint);
        if (visits.isEmpty()) {
            throw new NotFound("No visit of this complaint has begun.");
        }
        Side side = visits.get(visits.size() - 1).row().side();
        NoiseTable table = settings.now().noise(noise);
        List<Course.Visit> read =
                visits.stream().map(visit -> visit(visit, side)).toList();
        Course course = Course.of(read, catalogue, scales(episode.region()), table);
        Set<TestId> chosen =
                read.stream().flatMap(visit -> visit.markers().stream()).collect(Collectors.toSet());
        LocalDate first = day(visits.get(0));
        return new CourseJson(
                caseId,
                visits.get(0).row().caseFile().code(),
                episode.region(),
                side,
                episode.openedAt(),
                visits.stream()
                        .map(visit -> new CourseJson.VisitJson(
                                visit.row().getId(),
                                visit.row().startedAt(),
                                day(visit).toEpochDay() - first.toEpochDay(),
                                people.name(visit.row().author()),
                                visit.versions().closed()))
                        .toList(),
                course.measures().stream()
                        .map(series -> measure(series, chosen))
                        .toList(),
                course.responses().stream().map(this::response).toList(),
                conditions(visits),
                table.entries().equals(noise.entries()));
    }

    private Course.Visit visit(Recorded recorded, Side side) {
        Assessment here = assessments.of(recorded);
        IntakeAnswers told = recorded.told();
        return new Course.Visit(
                day(recorded).toEpochDay(),
                test -> Retests.visit(recorded, test, side, here.schools()),
                test -> Retests.visit(recorded, test, side.other(), here.schools()),
                here.readings(),
                told::whole,
                Conclusion.of(told).markers());
    }

    private static LocalDate day(Recorded recorded) {
        return LocalDate.ofInstant(recorded.row().startedAt(), ZoneId.systemDefault());
    }

    private List<Course.Scale> scales(String region) {
        return form.questionsOf(region).stream()
                .flatMap(question -> question.scale().stream()
                        .map(scale -> new Course.Scale(question.id(), question.ask(), scale.to())))
                .toList();
    }

    private CourseJson.MeasureJson measure(MeasureSeries series, Set<TestId> chosen) {
        List<MeasureSeries.Point> points =
                series.points().stream().filter(MeasureSeries.Point::counts).toList();
        return new CourseJson.MeasureJson(
                series.test().map(TestId::value).orElse(null),
                series.test().map(test -> catalogue.test(test).shortName()).orElse(""),
                series.label(),
                series.unit(),
                series.test().filter(chosen::contains).isPresent(),
                series.noise().map(Noise::better).orElse(null),
                series.points().stream()
                        .map(point -> new CourseJson.PointJson(
                                point.visit(),
                                point.value().value(),
                                point.value().atLeast(),
                                orNull(point.well()),
                                series.unit().equals(FORCE) ? orNull(point.percentOfWell()) : null,
                                point.because()))
                        .toList(),
                points.isEmpty() ? null : band(series, points.get(0)),
                points.isEmpty() ? null : band(series, points.get(points.size() - 1)),
                series.summary().verdict(),
                series.summary().confirmed(),
                series.summary().stalled(),
                series.summary().says());
    }

    private static CourseJson.BandJson band(MeasureSeries series, MeasureSeries.Point point) {
        double value = point.value().value();
        return series.noise()
                .map(known -> known.least(value, value, series.unit()))
                .map(least -> new CourseJson.BandJson(value - least, value + least))
                .orElse(null);
    }

    private CourseJson.ResponseJson response(ResponseSeries series) {
        return new CourseJson.ResponseJson(
                series.test().value(), catalogue.test(series.test()).shortName(), series.results(), series.turn());
    }

    /** A condition at one visit. */
    private record Stand(String condition, String name, double now) {}

    private List<CourseJson.ConditionJson> conditions(List<Recorded> visits) {
        List<List<Stand>> stands = visits.stream().map(this::stands).toList();
        Map<String, String> names = new LinkedHashMap<>();
        stands.forEach(stand ->
                stand.stream().limit(LEADING).forEach(each -> names.putIfAbsent(each.condition(), each.name())));
        return names.entrySet().stream()
                .map(name ->
                        new CourseJson.ConditionJson(name.getKey(), name.getValue(), stands(name.getKey(), stands)))
                .sorted(Comparator.comparingInt(
                                (CourseJson.ConditionJson each) -> -latest(each).visit())
                        .thenComparingDouble(each -> -latest(each).now()))
                .limit(MOST)
                .toList();
    }

    private static CourseJson.StandJson latest(CourseJson.ConditionJson condition) {
        return condition.stands().get(condition.stands().size() - 1);
    }

    private static List<CourseJson.StandJson> stands(String condition, List<List<Stand>> visits) {
        List<CourseJson.StandJson> stands = new ArrayList<>();
        for (int visit = 0; visit < visits.size(); visit++) {
            for (Stand stand : visits.get(visit)) {
                if (stand.condition().equals(condition)) {
                    stands.add(new CourseJson.StandJson(visit, stand.now()));
                }
            }
        }
        return stands;
    }

    /** Conditions of which a finding speaks, the likeliest first: as signed, or as they stand. */
    private List<Stand> stands(Recorded visit) {
        List<Stand> stands = visit.versions().closed()
                ? results.weighing(visit).standings().stream()
                        .filter(standing -> standing.informed())
                        .map(standing -> new Stand(standing.conditionId(), standing.name(), standing.now()))
                        .toList()
                : assessments.of(visit).points().standings().stream()
                        .filter(standing -> standing.informed())
                        .map(standing -> new Stand(
                                standing.condition().id().value(),
                                standing.condition().name(),
                                standing.now()))
                        .toList();
        return stands.stream()
                .sorted(Comparator.comparingDouble(Stand::now).reversed())
                .toList();
    }

    /** How a file of the course is called. */
    static String fileName(CourseJson course) {
        return course.code() + "-" + course.region() + "-course.csv";
    }
}
