package lexicor.core.evidence;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Cluster;
import lexicor.core.catalogue.ClusterId;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;
import lexicor.core.source.Fingerprint;
import lexicor.core.source.SourceException;
import lexicor.core.source.SourceNode;
import org.jspecify.annotations.Nullable;

/** Reads ledger and ties, and checks both against the catalogue: every record is tied, and every reading is of use. */
public final class EvidenceReader {

    /** The file of the ledger that ships. */
    public static final String LEDGER = "evidence.csv";

    private static final String HOME = "/lexicor/evidence/";
    private static final List<String> TIES = List.of(
            "ties-shoulder.yaml", "ties-neck.yaml", "ties-hand.yaml", "ties-wrist-hand.yaml", "ties-elbow.yaml");

    private static @Nullable Shipped shipped;

    private final Catalogue catalogue;
    private final String ledgerFile;
    private final Map<RecordId, AccuracyRecord> records;
    private final Map<RecordId, Tie> ties = new LinkedHashMap<>();

    private record Shipped(Catalogue catalogue, Evidence evidence) {}

    private EvidenceReader(Catalogue catalogue, String ledgerFile, Map<RecordId, AccuracyRecord> records) {
        this.catalogue = catalogue;
        this.ledgerFile = ledgerFile;
        this.records = records;
    }

    /** The ties that ship with the product, by file. */
    public static Map<String, String> shippedTies() {
        Map<String, String> texts = new LinkedHashMap<>();
        TIES.forEach(file -> texts.put(file, SourceNode.resourceText(HOME + file)));
        return texts;
    }

    /** The evidence that ships with the product; what was read last is kept, since it cannot change in a process. */
    public static synchronized Evidence shipped(Catalogue catalogue) {
        Shipped known = shipped;
        if (known == null || known.catalogue() != catalogue) {
            known = new Shipped(
                    catalogue, read(catalogue, LEDGER, SourceNode.resourceText(HOME + LEDGER), shippedTies()));
            shipped = known;
        }
        return known.evidence();
    }

    /** Evidence from given texts; the file names are used in messages. {@code ties} has the texts by file. */
    public static Evidence read(Catalogue catalogue, String ledgerFile, String csv, Map<String, String> ties) {
        EvidenceReader reader = new EvidenceReader(catalogue, ledgerFile, LedgerReader.read(ledgerFile, csv));
        List<String> texts = new ArrayList<>(List.of(csv));
        ties.forEach((file, yaml) -> {
            texts.add(yaml);
            SourceNode.parse(file, yaml).items().forEach(reader::tie);
        });
        reader.refuseUntied();
        reader.refuseLevelsWithoutRecord();
        reader.refuseIdleReadings();
        reader.refuseWaysWithoutRecord();
        return new Evidence(Fingerprint.of(texts), catalogue, reader.records, reader.ties);
    }

    private void refuseWaysWithoutRecord() {
        catalogue
                .tests()
                .values()
                .forEach(test -> test.conduct()
                        .ways()
                        .forEach(way -> way.covered().stream()
                                .filter(id -> !records.containsKey(RecordId.of(id)))
                                .findFirst()
                                .ifPresent(id -> {
                                    throw way.place()
                                            .fault("record '" + id + "' covers way '" + way.value() + "' of '"
                                                    + test.id()
                                                    + "' and is not in the ledger; allowed: the id of a record");
                                })));
    }

    private void tie(SourceNode node) {
        node.allowing(
                "record", "test", "criterion", "condition", "cluster", "clue", "series", "inventors", "note", "unused");
        AccuracyRecord record = records.get(key(node));
        if (record == null) {
            throw node.fault("record '" + node.text("record") + "' is not in the ledger");
        }
        Tie tie;
        if (node.has("unused")) {
            tie = new Tie.Unused(record.id(), node.text("unused"));
        } else if (node.has("cluster")) {
            tie = clusterTie(node, record);
        } else if (node.has("clue")) {
            tie = clueTie(node, record);
        } else {
            tie = testTie(node, record);
        }
        new TieRules(catalogue).fault(new LedgerEntry(record, tie)).ifPresent(fault -> {
            throw node.fault(fault.says());
        });
        if (ties.put(record.id(), tie) != null) {
            throw node.fault("record '" + record.id() + "' is tied twice");
        }
    }

    private static Tie clusterTie(SourceNode node, AccuracyRecord record) {
        return new Tie.ToCluster(record.id(), ClusterId.of(node.text("cluster")), node.oneOf("series", Series.class));
    }

    private static Tie clueTie(SourceNode node, AccuracyRecord record) {
        return new Tie.ToClue(
                record.id(),
                node.text("clue"),
                ConditionId.of(node.text("condition")),
                node.oneOf("series", Series.class));
    }

    private static Tie testTie(SourceNode node, AccuracyRecord record) {
        return new Tie.ToTest(
                record.id(),
                TestId.of(node.text("test")),
                CriterionId.of(node.text("criterion")),
                ConditionId.of(node.text("condition")),
                node.oneOf("series", Series.class),
                node.text("inventors", "no").equals("yes"),
                node.text("note", ""));
    }

    private void refuseUntied() {
        for (AccuracyRecord record : records.values()) {
            if (!ties.containsKey(record.id())) {
                throw new SourceException(
                        ledgerFile,
                        record.line(),
                        "record '" + record.id() + "' about '" + record.subject()
                                + "' is not tied; allowed: test, criterion and condition; a cluster; a clue; or unused with a reason");
            }
        }
    }

    private void refuseLevelsWithoutRecord() {
        for (Cluster cluster : catalogue.clusters()) {
            for (Cluster.Level level : cluster.levels()) {
                if (level.direction() != Cluster.Direction.NONE
                        && !(ties.get(RecordId.of(level.record())) instanceof Tie.ToCluster tie
                                && tie.cluster().equals(cluster.id()))) {
                    throw level.place()
                            .fault(
                                    "level '" + level.name() + "' of '" + cluster.id() + "' names record '"
                                            + level.record()
                                            + "', which is not tied to it; allowed: a record tied to this cluster, or direction 'none'");
                }
            }
        }
    }

    /** A reading has to be of use to somebody: a record, a pattern, a cluster, a school or a test that waits for it. */
    private void refuseIdleReadings() {
        Set<String> used = new UsedReadings(catalogue, ties.values()).names();
        for (ExaminationTest test : catalogue.tests().values()) {
            for (ConditionReading reading : test.reads()) {
                for (CriterionId criterion : reading.by()) {
                    if (!used.contains(UsedReadings.name(test.id(), reading.condition(), criterion))) {
                        throw reading.place()
                                .fault(
                                        "test '" + test.id() + "' reads '" + reading.condition() + "' by '" + criterion
                                                + "', which no record, pattern, cluster or school uses; allowed: a tie, or a finding in the condition's pattern");
                    }
                }
            }
        }
    }

    private static RecordId key(SourceNode node) {
        try {
            return RecordId.of(node.text("record"));
        } catch (IllegalArgumentException fault) {
            throw node.fault(fault.getMessage());
        }
    }
}
