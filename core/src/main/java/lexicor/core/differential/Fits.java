package lexicor.core.differential;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import lexicor.core.dependence.FactorQuadrature;
import lexicor.core.differential.Target.Figures;

/**
 * Fitted shares of findings, and the numbers behind groups of their answers. They do not depend on a patient, so they
 * are kept from one differential to the next. Safe for use by several at once.
 */
public final class Fits {

    private static final int MOST_KEPT = 2_000;

    /** Columns and profiles of a few hundred bytes each. */
    private static final int MOST_NUMBERS = 20_000;

    private final Forest forest;
    private final double[] references;
    private final double transport;
    private final Map<List<Figures>, ShareFit.Result> kept = new ConcurrentHashMap<>();
    private final Map<Answer, double[]> columns = new ConcurrentHashMap<>();
    private final Map<List<Answer>, double[]> profiles = new ConcurrentHashMap<>();

    /** One answer of a group: its share of positives, and how the group and its family hang together. */
    record Answer(double rho, double link, FactorQuadrature.Rule rule, boolean positive, double share) {

        FactorQuadrature kernel() {
            return FactorQuadrature.of(rho, link, rule);
        }
    }

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

    /** The chance of a group's answers at each value of the family's factor. The array must not be changed. */
    double[] profile(List<Answer> answers) {
        if (profiles.size() > MOST_NUMBERS) {
            profiles.clear();
        }
        return profiles.computeIfAbsent(answers, key -> {
            FactorQuadrature kernel = key.get(0).kernel();
            double[] product = new double[kernel.inner()];
            Arrays.fill(product, 1);
            for (Answer answer : key) {
                double[] column = column(answer);
                for (int w = 0; w < product.length; w++) {
                    product[w] *= column[w];
                }
            }
            return kernel.at(product);
        });
    }

    private double[] column(Answer answer) {
        if (columns.size() > MOST_NUMBERS) {
            columns.clear();
        }
        return columns.computeIfAbsent(answer, one -> one.kernel().answer(one.share(), one.positive()));
    }

    ShareFit.Result of(List<Figures> records) {
        if (kept.size() > MOST_KEPT) {
            kept.clear();
        }
        return kept.computeIfAbsent(
                List.copyOf(records), known -> new ShareFit(forest, known, references, transport).fit());
    }
}
