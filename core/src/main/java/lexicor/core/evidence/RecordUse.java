package lexicor.core.evidence;

import java.util.Optional;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Cluster;
import lexicor.core.catalogue.Schools;

/** Whether a record weighs, and why or why not, in plain words. */
public record RecordUse(Use use, String because) {

    /** What becomes of a record. */
    public enum Use {
        /** It weighs. */
        IN_USE,
        /** It is shown beside the one in use. */
        SHOWN,
        /** It is kept and weighs nothing. */
        UNUSED
    }

    /** Never null. */
    public static RecordUse of(AccuracyRecord record, Evidence evidence, Catalogue catalogue, Schools schools) {
        Tie tie = evidence.tie(record.id());
        if (tie instanceof Tie.Unused unused) {
            return new RecordUse(Use.UNUSED, unused.because());
        }
        if (tie instanceof Tie.ToClue clue) {
            return ofClue(record, clue, evidence);
        }
        if (tie instanceof Tie.ToCluster cluster) {
            return ofCluster(record, cluster, evidence, catalogue);
        }
        return ofTest(record, (Tie.ToTest) tie, evidence, catalogue, schools);
    }

    private static RecordUse ofCluster(
            AccuracyRecord record, Tie.ToCluster tie, Evidence evidence, Catalogue catalogue) {
        boolean counted = catalogue.routines().values().stream()
                .anyMatch(routine -> routine.clusters().contains(tie.cluster()));
        Optional<Cluster.Level> level = catalogue.cluster(tie.cluster()).levels().stream()
                .filter(each -> each.record().equals(record.id().value()))
                .findFirst();
        if (level.isEmpty()) {
            return new RecordUse(Use.SHOWN, "no count level rests on it");
        }
        if (ClusterLevels.figure(catalogue.cluster(tie.cluster()), level.get(), evidence)
                .isEmpty()) {
            return new RecordUse(
                    Use.SHOWN,
                    Weighable.of(record) instanceof Weighable.No no
                                    && level.get().direction() != Cluster.Direction.AT_LEAST
                            ? no.because()
                            : "published for this count or more, which cannot be taken apart");
        }
        return counted
                ? new RecordUse(Use.IN_USE, "it weighs the level of its set")
                : new RecordUse(Use.SHOWN, "its set is not counted by the routine in force");
    }

    private static RecordUse ofClue(AccuracyRecord record, Tie.ToClue tie, Evidence evidence) {
        Optional<EvidenceInUse> inUse = evidence.inUse(tie.clue(), tie.condition());
        if (inUse.isPresent() && inUse.get().record().id().equals(record.id())) {
            return new RecordUse(Use.IN_USE, "it weighs what was told, which then does not move the start");
        }
        if (Weighable.of(record) instanceof Weighable.No no) {
            return new RecordUse(Use.SHOWN, no.because());
        }
        return new RecordUse(
                Use.SHOWN,
                record.review()
                        ? "a review: shown and never pooled with single studies"
                        : preferred(record, inUse.orElseThrow(), evidence));
    }

    private static RecordUse ofTest(
            AccuracyRecord record, Tie.ToTest tie, Evidence evidence, Catalogue catalogue, Schools schools) {
        if (Weighable.of(record) instanceof Weighable.No no) {
            return new RecordUse(Use.SHOWN, no.because());
        }
        if (record.review()) {
            return new RecordUse(Use.SHOWN, "a review: shown and never pooled with single studies");
        }
        boolean counts = catalogue.test(tie.test()).readingFor(tie.condition()).stream()
                .anyMatch(reading -> reading.by(schools).contains(tie.criterion()));
        if (!counts) {
            return new RecordUse(Use.SHOWN, "the school in force counts another criterion");
        }
        EvidenceInUse inUse =
                evidence.inUse(tie.test(), tie.condition(), schools).orElseThrow();
        if (inUse.record().id().equals(record.id())) {
            return new RecordUse(Use.IN_USE, chosenFor(record, evidence));
        }
        return new RecordUse(Use.SHOWN, preferred(record, inUse, evidence));
    }

    private static String chosenFor(AccuracyRecord record, Evidence evidence) {
        if (evidence.byInventors(record.id())) {
            return "the only usable study, by those who described the test: expect optimism";
        }
        return record.patients() == 0 ? "independent; its size was not published" : "the largest independent study";
    }

    private static String preferred(AccuracyRecord record, EvidenceInUse inUse, Evidence evidence) {
        String other = inUse.record().id() + " is preferred: ";
        if (evidence.byInventors(record.id())
                && !evidence.byInventors(inUse.record().id())) {
            return other + "independent of those who described the test";
        }
        return other + (inUse.record().patients() > record.patients() ? "larger" : "the usual criterion");
    }
}
