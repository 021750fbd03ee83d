package lexicor.server.library;

import java.util.List;
import lexicor.core.evidence.Funnel;

/**
 * Every study that weighs by what it found and how surely.
 *
 * @param others log odds ratio of the average test as others find it
 * @param inventors the same as inventors find it
 */
public record FunnelJson(List<PointJson> points, double others, double inventors) {

    /**
     * A study.
     *
     * @param logRatio log of its diagnostic odds ratio
     * @param error standard error of it
     */
    public record PointJson(String record, double logRatio, double error, boolean inventors) {}

    static FunnelJson of(Funnel funnel) {
        return new FunnelJson(
                funnel.points().stream()
                        .map(point -> new PointJson(
                                point.record().value(), point.logRatio(), point.error(), point.inventors()))
                        .toList(),
                funnel.others(),
                funnel.inventors());
    }
}
