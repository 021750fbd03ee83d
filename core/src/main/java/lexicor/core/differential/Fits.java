package lexicor.core.differential;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import lexicor.core.differential.Target.Figures;

/** Fitted shares of findings. They depend on the conditions and the reference mix alone, so they are kept from one differential to the next. */
public final class Fits {

    private static final int MOST_KEPT = 2_000;

    private final Forest forest;
    private final double[] references;
    private final double transport;
    private final Map<List<Figures>, ShareFit.Result> kept = new ConcurrentHashMap<>();

    /**
     * @param references the mix of patients at which figures were measured
     * @param transport what a study's figures may differ elsewhere, on the logit
     */
    public Fits(Forest forest, double[] references, double transport) {
        this.forest = forest;
        this.references = references.clone();
        this.transport = transport;
    }

    Forest forest() {
        return forest;
    }

    ShareFit.Result of(List<Figures> records) {
        if (kept.size() > MOST_KEPT) {
            kept.clear();
        }
        return kept.computeIfAbsent(List.copyOf(records), known -> new ShareFit(forest, known, references, transport).fit());
    }
}
