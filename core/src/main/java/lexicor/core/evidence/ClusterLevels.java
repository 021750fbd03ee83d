package lexicor.core.evidence;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import lexicor.core.catalogue.Cluster;

/** What the count levels of a cluster weigh: as published, and for exactly that count. */
public final class ClusterLevels {

    /**
     * A level with its likelihood ratios.
     *
     * @param published as the record says
     * @param exact of exactly this band of counts; empty where none can be given
     * @param how how the exact figure came about, in words
     */
    public record Shown(Cluster.Level level, OptionalDouble published, OptionalDouble exact, String how) {}

    private ClusterLevels() {}

    /** The levels in the order of the cluster. */
    public static List<Shown> of(Cluster cluster, Evidence evidence) {
        List<CountLevels.Exact> converted = converted(cluster, evidence);
        return cluster.levels().stream()
                .map(level -> shown(level, evidence, converted))
                .toList();
    }

    /**
     * What weighs one level, by the best that was published: shares of exactly this count, else a ratio of exactly this
     * count. Empty where only "at least" is known and cannot be taken apart: such a figure never stands for an exact
     * count.
     */
    public static Optional<LevelFigure> figure(Cluster cluster, Cluster.Level level, Evidence evidence) {
        if (level.direction() == Cluster.Direction.NONE) {
            return Optional.empty();
        }
        AccuracyRecord record = evidence.record(RecordId.of(level.record()));
        if (!(evidence.tie(record.id()) instanceof Tie.ToCluster tie)) {
            return Optional.empty();
        }
        Optional<CountLevels.Exact> exact = converted(cluster, evidence).stream()
                .filter(band -> band.from() == level.from() && band.to() == level.to())
                .findFirst();
        if (exact.isPresent()) {
            return Optional.of(
                    new LevelFigure.Shares(record, tie.series(), exact.get().belief(), true));
        }
        if (level.direction() == Cluster.Direction.AT_LEAST) {
            return Optional.empty();
        }
        if (level.direction() != Cluster.Direction.LEVEL) {
            boolean positive = level.direction() == Cluster.Direction.POSITIVE;
            return evidence.inUse(level)
                    .map(use -> new LevelFigure.Shares(record, tie.series(), use.belief(), positive));
        }
        if (record.sizesKnown()
                && record.sensitivity().isPresent()
                && record.specificity().isPresent()
                && Weighable.of(record) instanceof Weighable.Yes yes) {
            return Optional.of(new LevelFigure.Shares(record, tie.series(), yes.belief(), true));
        }
        return record.lrPositive().isPresent()
                ? Optional.of(new LevelFigure.RatioOnly(
                        record, tie.series(), record.lrPositive().getAsDouble()))
                : Optional.empty();
    }

    private static Shown shown(Cluster.Level level, Evidence evidence, List<CountLevels.Exact> converted) {
        if (level.direction() == Cluster.Direction.NONE) {
            return new Shown(level, OptionalDouble.empty(), OptionalDouble.empty(), "no figure was published");
        }
        AccuracyRecord record = evidence.record(RecordId.of(level.record()));
        OptionalDouble published =
                level.direction() == Cluster.Direction.NEGATIVE ? record.lrNegative() : record.lrPositive();
        Optional<CountLevels.Exact> exact = converted.stream()
                .filter(band -> band.from() == level.from() && band.to() == level.to())
                .findFirst();
        if (exact.isPresent()) {
            return new Shown(
                    level,
                    published,
                    OptionalDouble.of(exact.get().likelihoodRatio()),
                    "computed from “at least” by counts");
        }
        if (level.direction() == Cluster.Direction.LEVEL) {
            return new Shown(level, published, published, "published for exactly this count");
        }
        Optional<EvidenceInUse> inUse =
                level.direction() == Cluster.Direction.AT_LEAST ? Optional.empty() : evidence.inUse(level);
        boolean positive = level.direction() == Cluster.Direction.POSITIVE;
        return inUse.map(use -> new Shown(
                        level,
                        published,
                        OptionalDouble.of(use.belief().likelihoodRatio(positive)),
                        "from the study's proportions"))
                .orElseGet(() -> new Shown(level, published, OptionalDouble.empty(), whyNot(record, level)));
    }

    private static String whyNot(AccuracyRecord record, Cluster.Level level) {
        return level.direction() == Cluster.Direction.AT_LEAST
                ? "published for this count or more, sizes unknown"
                : Weighable.of(record) instanceof Weighable.No no ? no.because() : "not tied";
    }

    private static List<CountLevels.Exact> converted(Cluster cluster, Evidence evidence) {
        List<AccuracyRecord> records = atLeast(cluster, evidence);
        if (records.isEmpty()
                || records.stream().anyMatch(record -> !record.sizesKnown())
                || fits(cluster, evidence).filter(fits -> !fits).isPresent()) {
            return List.of();
        }
        return CountLevels.exact(
                cluster.components().size(),
                published(cluster, evidence),
                records.get(0).with().getAsInt(),
                records.get(0).without().getAsInt());
    }

    private static List<AccuracyRecord> atLeast(Cluster cluster, Evidence evidence) {
        return cluster.levels().stream()
                .filter(level -> level.direction() == Cluster.Direction.AT_LEAST)
                .map(level -> evidence.record(RecordId.of(level.record())))
                .toList();
    }

    private static List<CountLevels.AtLeast> published(Cluster cluster, Evidence evidence) {
        return cluster.levels().stream()
                .filter(level -> level.direction() == Cluster.Direction.AT_LEAST)
                .map(level -> {
                    AccuracyRecord record = evidence.record(RecordId.of(level.record()));
                    return new CountLevels.AtLeast(
                            level.from(),
                            record.sensitivity().orElseThrow(),
                            1 - record.specificity().orElseThrow());
                })
                .sorted((a, b) -> a.count() - b.count())
                .toList();
    }

    /**
     * Whether "at least" levels can be true together with the proportions in use for their components; empty where a
     * component has none, or no such level was published.
     */
    public static Optional<Boolean> fits(Cluster cluster, Evidence evidence) {
        List<CountLevels.AtLeast> published = published(cluster, evidence);
        List<Double> present = new ArrayList<>();
        List<Double> absent = new ArrayList<>();
        for (Cluster.Component component : cluster.components()) {
            if (!component.single()) {
                return Optional.empty();
            }
            evidence.inUse(component.test(), cluster.condition())
                    .filter(use -> use.criterion().equals(component.criterion()))
                    .ifPresent(use -> {
                        present.add(use.record()
                                .sensitivity()
                                .orElse(use.figures().belief().sensitivity()));
                        absent.add(1
                                - use.record()
                                        .specificity()
                                        .orElse(use.figures().belief().specificity()));
                    });
        }
        if (published.isEmpty() || present.size() < cluster.components().size()) {
            return Optional.empty();
        }
        int most = cluster.components().size();
        return Optional.of(
                CountLevels.fits(present, published, true, most) && CountLevels.fits(absent, published, false, most));
    }
}
