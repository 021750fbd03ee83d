package lexicor.server.settings;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.evidence.Evidence;
import lexicor.core.findings.OwnEstimate;

/** The clinic's own estimates among its settings: named own.TEST.CONDITION, written as positive/negative. */
final class OwnEstimates {

    private static final double LEAST = 0.01;
    private static final double MOST = 100;

    /** What an estimate is about. */
    record Subject(ExaminationTest test, Condition condition) {}

    /** Likelihood ratios of a positive and of a negative. */
    record Pair(double positive, double negative) {}

    private OwnEstimates() {}

    /** What a setting's name is about; empty where the test does not speak about the condition or a study does. */
    static Optional<Subject> subject(String name, Catalogue catalogue, Evidence evidence) {
        return named(name, catalogue)
                .filter(subject -> evidence.inUse(
                                subject.test().id(), subject.condition().id())
                        .isEmpty());
    }

    private static Optional<Subject> named(String name, Catalogue catalogue) {
        String[] parts = name.split("\\.", -1);
        if (!name.startsWith(SettingNames.OWN) || parts.length != 3) {
            return Optional.empty();
        }
        return catalogue.tests().values().stream()
                .filter(test -> test.id().value().equals(parts[1]))
                .findFirst()
                .flatMap(test -> test.reads().stream()
                        .filter(reads -> reads.condition().value().equals(parts[2]))
                        .findFirst()
                        .map(reads -> new Subject(test, catalogue.condition(reads.condition()))));
    }

    static Optional<Pair> pair(String value) {
        String[] parts = value.split("/", -1);
        if (parts.length != 2) {
            return Optional.empty();
        }
        Pair pair = new Pair(PlainNumber.of(parts[0]), PlainNumber.of(parts[1]));
        return within(pair.positive()) && within(pair.negative()) ? Optional.of(pair) : Optional.empty();
    }

    private static boolean within(double ratio) {
        return ratio >= LEAST && ratio <= MOST;
    }

    /** Every estimate that was entered. */
    static List<OwnEstimate> of(Map<String, String> chosen, Catalogue catalogue) {
        List<OwnEstimate> estimates = new ArrayList<>();
        chosen.forEach((name, value) -> named(name, catalogue)
                .ifPresent(subject -> pair(value)
                        .ifPresent(pair -> estimates.add(new OwnEstimate(
                                subject.test().id(), subject.condition().id(), pair.positive(), pair.negative())))));
        return estimates;
    }
}
