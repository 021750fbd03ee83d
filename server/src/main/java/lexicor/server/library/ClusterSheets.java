package lexicor.server.library;

import static lexicor.server.json.OrNull.orNull;

import java.util.ArrayList;
import java.util.List;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Cluster;
import lexicor.core.evidence.ClusterLevels;
import lexicor.server.evidence.LivingEvidence;
import org.springframework.stereotype.Component;

/** Puts together what the sheet of a cluster shows. */
@Component
class ClusterSheets {

    private final Catalogue catalogue;
    private final LivingEvidence living;
    private final LedgerRows ledger;
    private final TestSheets names;

    ClusterSheets(Catalogue catalogue, LivingEvidence living, LedgerRows ledger, TestSheets names) {
        this.names = names;
        this.catalogue = catalogue;
        this.living = living;
        this.ledger = ledger;
    }

    ClusterSheetJson sheet(Cluster cluster) {
        List<RecordJson> records = ledger.findBySubjectOrderByLine(cluster.id().value()).stream()
                .map(LedgerRow::json)
                .toList();
        boolean counted = catalogue.routines().values().stream()
                .anyMatch(routine -> routine.clusters().contains(cluster.id()));
        List<ClusterSheetJson.LevelJson> levels = ClusterLevels.of(cluster, living.evidence()).stream()
                .map(ClusterSheets::level)
                .toList();
        return new ClusterSheetJson(
                cluster.id().value(),
                cluster.name(),
                cluster.condition().value(),
                catalogue.condition(cluster.condition()).name(),
                cluster.note(),
                cluster.components().stream()
                        .map(component -> component(cluster, component))
                        .toList(),
                levels,
                records,
                ClusterLevels.fits(cluster, living.evidence()).orElse(null),
                !records.isEmpty() && records.stream().allMatch(RecordJson::originator),
                counted);
    }

    private static ClusterSheetJson.LevelJson level(ClusterLevels.Shown shown) {
        return new ClusterSheetJson.LevelJson(
                shown.level().name(),
                shown.level().from(),
                shown.level().to(),
                shown.level().record(),
                shown.level().direction() == Cluster.Direction.AT_LEAST,
                orNull(shown.published()),
                orNull(shown.exact()),
                shown.how());
    }

    private ClusterSheetJson.ComponentJson component(Cluster cluster, Cluster.Component component) {
        List<String> counts = new ArrayList<>();
        component
                .anyOf()
                .forEach(finding -> counts.add(catalogue
                        .test(finding.test())
                        .criterion(finding.criterion())
                        .map(names.words(catalogue.test(finding.test()))::counts)
                        .orElseThrow()));
        return new ClusterSheetJson.ComponentJson(
                component.name(),
                String.join(", or ", counts),
                component.anyOf().stream()
                        .map(finding -> finding.test().value())
                        .toList(),
                component.block(),
                cluster.atMost().getOrDefault(component.block(), 0));
    }
}
