package lexicor.bench;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Visit;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.outcomes.Calibration;
import lexicor.core.simulation.Departure;
import lexicor.core.simulation.SimulatedClinic;
import lexicor.core.simulation.SimulatedPatient;
import lexicor.core.weighing.Weighing;

/**
 * How well stated chances hold on simulated patients, drawn as the weighing assumes them and otherwise: the joint
 * differential beside every condition weighed by itself.
 */
public final class CalibrationTrial {

    private static final int TESTS = 8;
    private static final int CLINICS = 10;
    private static final Map<String, Departure> DEPARTURES = departures();

    private final int patients;
    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Weighing weighing =
            new Weighing(catalogue, EvidenceReader.shipped(catalogue), WeighingSettings.USUAL).withoutRanges();

    private CalibrationTrial(int patients) {
        this.patients = patients;
    }

    /** Claims of one method, of all conditions and of those that lie within another. */
    private record Claims(List<Calibration.Claim> all, List<Calibration.Claim> narrow) {

        Claims() {
            this(new ArrayList<>(), new ArrayList<>());
        }

        void add(boolean isNarrow, Calibration.Claim claim) {
            all.add(claim);
            if (isNarrow) {
                narrow.add(claim);
            }
        }

        void add(Claims others) {
            all.addAll(others.all);
            narrow.addAll(others.narrow);
        }
    }

    /** What came out of the patients of one clinic. */
    private record Result(Claims joint, Claims alone, int incoherentJoint, int incoherentAlone, int patients) {}

    private static Map<String, Departure> departures() {
        Map<String, Departure> all = new LinkedHashMap<>();
        all.put("as assumed", Departure.NONE);
        all.put("families associated (0.3)", new Departure(0.3, 0, 0, 0));
        all.put("tests more alike (+0.2)", new Departure(0, 0.2, 0, 0));
        all.put("tests less alike (-0.2)", new Departure(0, -0.2, 0, 0));
        all.put("accuracy shifted (SD 0.5)", new Departure(0, 0, 0.5, 0));
        all.put("accuracy blunted by 30 in 100", new Departure(0, 0, 0, 0.3));
        all.put("all of it", new Departure(0.3, 0.2, 0.5, 0.15));
        return all;
    }

    /** @param arguments patients for each region and departure; 2,000 if absent */
    public static void main(String[] arguments) {
        new CalibrationTrial(arguments.length > 0 ? Integer.parseInt(arguments[0]) : 2000).run();
    }

    private void run() {
        System.out.printf(
                Locale.UK,
                "%d patients for each departure, %d tests each%n%-31s%21s%21s%27s%27s%18s%n%-31s%21s%21s%27s%27s%18s%n",
                4 * patients,
                TESTS,
                "",
                "slope, all",
                "slope, narrow",
                "Brier x 1000",
                "log score x 1000",
                "incoherent in 100",
                "",
                "alone  joint",
                "alone  joint",
                "start  alone  joint",
                "start  alone  joint",
                "alone  joint");
        DEPARTURES.forEach((name, departure) -> {
            List<Result> results = Stream.of("shoulder", "elbow", "wrist", "hand")
                    .flatMap(region -> IntStream.range(0, CLINICS)
                            .parallel()
                            .mapToObj(clinic -> clinic(region, departure, clinic)))
                    .toList();
            row(name, results);
        });
    }

    private Result clinic(String region, Departure departure, int number) {
        Visit visit =
                Visit.usual(catalogue, region, number % 2 == 0 ? CareSetting.FIRST_CONTACT : CareSetting.SPECIALIST);
        SimulatedClinic clinic =
                new SimulatedClinic(weighing, visit, catalogue.routine(region).order(), departure, number);
        List<Condition> ranked = weighing.ranked(visit).stream()
                .filter(condition -> weighing.measured(condition.id()))
                .toList();
        Map<ConditionId, Double> starts = weighing.chances(visit, List.of());
        List<TestId> tests = new ArrayList<>(clinic.tests().stream()
                .sorted((a, b) -> a.value().compareTo(b.value()))
                .toList());
        Claims joint = new Claims();
        Claims alone = new Claims();
        int incoherentJoint = 0;
        int incoherentAlone = 0;
        int each = patients / CLINICS;
        Random random = new Random(number);
        for (int p = 0; p < each; p++) {
            SimulatedPatient patient = clinic.patient(1_000_003L * number + p);
            Collections.shuffle(tests, random);
            List<TestReading> done =
                    tests.stream().limit(TESTS).map(patient::answer).toList();
            Map<ConditionId, Double> together = weighing.chances(visit, done);
            Map<ConditionId, Double> apart = new LinkedHashMap<>();
            weighing.models(visit, done)
                    .forEach(model -> apart.put(model.condition().id(), model.now()));
            for (Condition condition : ranked) {
                boolean narrow = catalogue.widerThan(condition.id()).stream().anyMatch(starts::containsKey);
                boolean present = patient.present().contains(condition.id());
                double start = starts.get(condition.id());
                joint.add(narrow, new Calibration.Claim(start, together.get(condition.id()), present));
                alone.add(narrow, new Calibration.Claim(start, apart.get(condition.id()), present));
            }
            incoherentJoint += incoherent(together) ? 1 : 0;
            incoherentAlone += incoherent(apart) ? 1 : 0;
        }
        return new Result(joint, alone, incoherentJoint, incoherentAlone, each);
    }

    private boolean incoherent(Map<ConditionId, Double> chances) {
        return chances.entrySet().stream()
                .anyMatch(each -> catalogue.widerThan(each.getKey()).stream()
                        .anyMatch(wider -> chances.getOrDefault(wider, 1.0) < each.getValue() - 1e-9));
    }

    private static void row(String name, List<Result> results) {
        Claims joint = new Claims();
        Claims alone = new Claims();
        results.forEach(each -> joint.add(each.joint()));
        results.forEach(each -> alone.add(each.alone()));
        int patients = results.stream().mapToInt(Result::patients).sum();
        Calibration together = new Calibration(joint.all());
        Calibration apart = new Calibration(alone.all());
        System.out.printf(
                Locale.UK,
                "%-31s%14s%7s%14s%7s%13.1f%7.1f%7.1f%13.1f%7.1f%7.1f%11.1f%7.1f%n",
                name,
                slope(alone.all()),
                slope(joint.all()),
                slope(alone.narrow()),
                slope(joint.narrow()),
                1000 * together.brierOfStart(),
                1000 * apart.brier(),
                1000 * together.brier(),
                1000 * together.logLossOfStart(),
                1000 * apart.logLoss(),
                1000 * together.logLoss(),
                100.0 * results.stream().mapToInt(Result::incoherentAlone).sum() / patients,
                100.0 * results.stream().mapToInt(Result::incoherentJoint).sum() / patients);
    }

    private static String slope(List<Calibration.Claim> claims) {
        return new Calibration(claims)
                .line()
                .map(line -> String.format(Locale.UK, "%.2f", line.slope().estimate()))
                .orElse("-");
    }
}
