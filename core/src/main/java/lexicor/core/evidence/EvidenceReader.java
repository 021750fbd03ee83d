package lexicor.core.evidence;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Cluster;
import lexicor.core.catalogue.ClusterId;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;
import lexicor.core.source.Fingerprint;
import lexicor.core.source.SourceNode;

/** Reads ledger and ties, and checks both against the catalogue. */
public final class EvidenceReader {

    private static final String LEDGER = "/lexicor/evidence/evidence.csv";
    private static final String TIES = "/lexicor/evidence/ties-shoulder.yaml";

    private final Catalogue catalogue;
    private final Map<RecordId, AccuracyRecord> records;
    private final Map<RecordId, Tie> ties = new LinkedHashMap<>();

    private EvidenceReader(Catalogue catalogue, Map<RecordId, AccuracyRecord> records) {
        this.catalogue = catalogue;
        this.records = records;
    }

    /** The evidence that ships with the product. */
    public static Evidence shipped(Catalogue catalogue) {
        return read(catalogue, "evidence.csv", SourceNode.resourceText(LEDGER), "ties-shoulder.yaml", SourceNode.resourceText(TIES));
    }

    /** Evidence from given texts; the file names are used in messages. */
    public static Evidence read(Catalogue catalogue, String ledgerFile, String csv, String tiesFile, String yaml) {
        EvidenceReader reader = new EvidenceReader(catalogue, LedgerReader.read(ledgerFile, csv));
        SourceNode root = SourceNode.parse(tiesFile, yaml);
        root.items().forEach(reader::tie);
        reader.refuseUntied(root);
        reader.refuseLevelsWithoutRecord(root);
        return new Evidence(Fingerprint.of(List.of(csv, yaml)), catalogue, reader.records, reader.ties);
    }

    private void tie(SourceNode node) {
        node.allowing("record", "test", "criterion", "condition", "cluster", "series", "unused");
        RecordId id;
        try {
            id = RecordId.of(node.text("record"));
        } catch (IllegalArgumentException fault) {
            throw node.fault(fault.getMessage());
        }
        AccuracyRecord record = records.get(id);
        if (record == null) {
            throw node.fault("record '" + id + "' is not in the ledger");
        }
        Tie tie;
        if (node.has("unused")) {
            tie = new Tie.Unused(id, node.text("unused"));
        } else if (node.has("cluster")) {
            tie = clusterTie(node, record);
        } else {
            tie = testTie(node, record);
        }
        if (ties.put(id, tie) != null) {
            throw node.fault("record '" + id + "' is tied twice");
        }
    }

    private Tie clusterTie(SourceNode node, AccuracyRecord record) {
        ClusterId cluster = ClusterId.of(node.text("cluster"));
        if (catalogue.clusters().stream().noneMatch(known -> known.id().equals(cluster))) {
            throw node.fault("cluster '" + cluster + "' is not known; allowed: " + catalogue.clusters().stream().map(Cluster::id).toList());
        }
        if (!record.subject().equals(cluster.value())) {
            throw node.fault("record '" + record.id() + "' is about '" + record.subject() + "'; allowed: " + cluster);
        }
        return new Tie.ToCluster(record.id(), cluster, node.oneOf("series", Series.class));
    }

    private Tie testTie(SourceNode node, AccuracyRecord record) {
        TestId test = TestId.of(node.text("test"));
        ExaminationTest known = catalogue.tests().get(test);
        if (known == null) {
            throw node.fault("test '" + test + "' is not known; allowed: " + catalogue.tests().keySet());
        }
        ConditionId condition = ConditionId.of(node.text("condition"));
        ConditionReading reading = known.readingFor(condition)
                .orElseThrow(() -> node.fault("test '" + test + "' has no reading for condition '" + condition + "'"));
        CriterionId criterion = CriterionId.of(node.text("criterion"));
        if (!reading.by().contains(criterion)) {
            throw node.fault("test '" + test + "' does not read '" + condition + "' by '" + criterion + "'; allowed: " + reading.by());
        }
        if (!record.subject().equals(test.value()) || !record.condition().equals(condition.value())) {
            throw node.fault("record '" + record.id() + "' is about '" + record.subject() + "' and '" + record.condition()
                    + "'; a tie to anything else would use its figures for what they were not measured on");
        }
        return new Tie.ToTest(record.id(), test, criterion, condition, node.oneOf("series", Series.class));
    }

    private void refuseUntied(SourceNode root) {
        List<String> subjects = new ArrayList<>();
        catalogue.tests().keySet().forEach(test -> subjects.add(test.value()));
        catalogue.clusters().forEach(cluster -> subjects.add(cluster.id().value()));
        for (AccuracyRecord record : records.values()) {
            if (subjects.contains(record.subject()) && !ties.containsKey(record.id())) {
                throw root.fault("record '" + record.id() + "' about '" + record.subject()
                        + "' is not tied; allowed: test, criterion and condition; a cluster; or unused with a reason");
            }
        }
    }

    private void refuseLevelsWithoutRecord(SourceNode root) {
        for (Cluster cluster : catalogue.clusters()) {
            for (Cluster.Level level : cluster.levels()) {
                if (!(ties.get(RecordId.of(level.record())) instanceof Tie.ToCluster tie) || !tie.cluster().equals(cluster.id())) {
                    throw root.fault("level '" + level.name() + "' of '" + cluster.id() + "' names record '" + level.record() + "', which is not tied to it");
                }
            }
        }
    }
}
