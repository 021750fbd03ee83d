package lexicor.core.drills;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.random.RandomGenerator;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Cluster;
import lexicor.core.catalogue.ClusterId;
import lexicor.core.examination.Reading;
import lexicor.core.findings.ClusterCount;
import lexicor.core.lookup.Keyed;
import lexicor.core.practice.PracticeGround;

/** Say whether the level of a set is decided. */
final class SetDrill implements DrillType {

    private static final String OPEN = "open";

    private final Catalogue catalogue;

    SetDrill(PracticeGround ground) {
        this.catalogue = ground.catalogue();
    }

    @Override
    public List<String> about(String region) {
        return catalogue.routine(region).clusters().stream()
                .map(ClusterId::value)
                .toList();
    }

    @Override
    public Made made(Drill.Item item, long seed, RandomGenerator random) {
        Cluster cluster = catalogue.cluster(ClusterId.of(item.about()));
        Map<Cluster.Component, Reading.Result> results = new LinkedHashMap<>();
        for (Cluster.Component component : cluster.components()) {
            int kind = random.nextInt(10);
            results.put(
                    component,
                    kind < 4
                            ? Reading.Result.POSITIVE
                            : kind < 7 ? Reading.Result.NEGATIVE : Reading.Result.NOT_YET_KNOWN);
        }
        ClusterCount count = ClusterCount.of(cluster, component -> Keyed.at(results, component));
        List<String> given = new ArrayList<>(List.of(cluster.name()));
        results.forEach((component, result) -> given.add(name(component) + ": " + words(result)));
        List<Drill.Option> options = new ArrayList<>();
        cluster.levels()
                .forEach(level -> options.add(new Drill.Option(level.name(), "Decided: " + level.name(), false)));
        options.add(new Drill.Option(OPEN, "Not decided yet", false));
        String should = count.level().map(Cluster.Level::name).orElse(OPEN);
        return new Made(
                new Drill(
                        item,
                        seed,
                        "Is the level of the set decided?",
                        given,
                        Optional.empty(),
                        options,
                        OptionalDouble.empty()),
                answer -> new Drill.Marked(
                        answer.values().equals(List.of(should)),
                        List.of(should),
                        OptionalDouble.empty(),
                        List.of(because(count))));
    }

    private static String because(ClusterCount count) {
        String levels = count.cluster().levels().stream()
                .map(level -> level.name() + " from " + level.from() + " to " + level.to())
                .collect(Collectors.joining(", "));
        int open = count.open().size();
        String soFar = count.count() + " count as positive, " + (open == 0 ? "none is open" : open + " still open")
                + ". Levels: " + levels + ".";
        if (open == 0) {
            return soFar;
        }
        return count.level().isPresent()
                ? soFar + " Whatever is open answers, the level stays."
                : soFar + " What is open can still change the level.";
    }

    private String name(Cluster.Component component) {
        return component
                .clue()
                .map(clue -> clue.label())
                .orElseGet(() -> component.anyOf().stream()
                        .map(finding -> catalogue.test(finding.test()).shortName())
                        .collect(Collectors.joining(" or ")));
    }

    private static String words(Reading.Result result) {
        return switch (result) {
            case POSITIVE -> "positive";
            case NEGATIVE -> "negative";
            default -> "not done";
        };
    }
}
