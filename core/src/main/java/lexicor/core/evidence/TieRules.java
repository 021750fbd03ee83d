package lexicor.core.evidence;

import java.util.Optional;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Cluster;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.ExaminationTest;

/** Whether a record may speak for what it is tied to. */
final class TieRules {

    private final Catalogue catalogue;

    TieRules(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    /** What is wrong with a tie of a record; empty where nothing is. */
    Optional<FieldFault> fault(LedgerEntry entry) {
        AccuracyRecord record = entry.record();
        if (entry.tie() instanceof Tie.ToCluster tie) {
            return cluster(record, tie);
        }
        if (entry.tie() instanceof Tie.ToClue tie) {
            return clue(record, tie);
        }
        return entry.tie() instanceof Tie.ToTest tie ? test(record, tie) : Optional.empty();
    }

    private Optional<FieldFault> cluster(AccuracyRecord record, Tie.ToCluster tie) {
        if (catalogue.clusters().stream().noneMatch(known -> known.id().equals(tie.cluster()))) {
            return fault(
                    "cluster",
                    "cluster '" + tie.cluster() + "' is not known; allowed: "
                            + catalogue.clusters().stream().map(Cluster::id).toList());
        }
        return record.subject().equals(tie.cluster().value())
                ? Optional.empty()
                : fault(
                        "cluster",
                        "record '" + record.id() + "' is about '" + record.subject() + "'; allowed: " + tie.cluster());
    }

    private Optional<FieldFault> clue(AccuracyRecord record, Tie.ToClue tie) {
        if (!catalogue.clues().containsKey(tie.clue())) {
            return fault(
                    "clue",
                    "clue '" + tie.clue() + "' is not known; allowed: "
                            + catalogue.clues().keySet());
        }
        return record.kind() != AccuracyRecord.Kind.CLUSTER
                        && record.condition().equals(tie.condition().value())
                ? Optional.empty()
                : fault(
                        "condition",
                        "record '" + record.id() + "' is about '" + record.subject() + "' and '" + record.condition()
                                + "'; allowed: a clue for that condition");
    }

    private Optional<FieldFault> test(AccuracyRecord record, Tie.ToTest tie) {
        ExaminationTest known = catalogue.tests().get(tie.test());
        if (known == null) {
            return fault(
                    "test",
                    "test '" + tie.test() + "' is not known; allowed: "
                            + catalogue.tests().keySet());
        }
        Optional<ConditionReading> reading = known.readingFor(tie.condition());
        if (reading.isEmpty()) {
            return fault(
                    "condition", "test '" + tie.test() + "' has no reading for condition '" + tie.condition() + "'");
        }
        if (!reading.get().by().contains(tie.criterion())) {
            return fault(
                    "criterion",
                    "test '" + tie.test() + "' does not read '" + tie.condition() + "' by '" + tie.criterion()
                            + "'; allowed: " + reading.get().by());
        }
        return record.subject().equals(tie.test().value())
                        && record.condition().equals(tie.condition().value())
                ? Optional.empty()
                : fault(
                        "test",
                        "record '" + record.id() + "' is about '" + record.subject() + "' and '" + record.condition()
                                + "'; a tie to anything else would use its figures for what they were not measured on");
    }

    private static Optional<FieldFault> fault(String field, String says) {
        return Optional.of(new FieldFault(field, says));
    }
}
