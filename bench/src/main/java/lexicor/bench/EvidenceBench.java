package lexicor.bench;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.synthesis.Alone;
import lexicor.core.synthesis.PredictedAccuracy;
import lexicor.core.synthesis.StudyRecord;
import lexicor.core.synthesis.Synthesis;

/**
 * How well each way of using the ledger predicts what an independent study found: every independent study in turn is
 * left out, and its records are predicted from all others. Log score of both proportions, how often the ranges hold the
 * logarithm of the positive likelihood ratio, and by how much its middle is off.
 */
public final class EvidenceBench {

    private static final int DRAWS = 4_000;

    private EvidenceBench() {}

    /** A prediction: logits of sensitivity and specificity with their covariance. */
    private record Prediction(double[] mean, double[][] covariance) {}

    /** What a way of predicting came to, record by record. */
    private static final class Score {
        private int records;
        private double log;
        private double error;
        private int within50;
        private int within80;
        private int within95;

        void add(Prediction prediction, StudyRecord record, SplittableRandom random) {
            records++;
            log += logScore(prediction, record);
            double seen = logRatio(
                    record.counts().tp(),
                    record.counts().fn(),
                    record.counts().tn(),
                    record.counts().fp());
            double[] draws = draws(prediction, record, random);
            error += draws[DRAWS / 2] - seen;
            within50 += inside(draws, seen, 0.25) ? 1 : 0;
            within80 += inside(draws, seen, 0.1) ? 1 : 0;
            within95 += inside(draws, seen, 0.025) ? 1 : 0;
        }

        private static boolean inside(double[] draws, double seen, double tail) {
            return draws[(int) (tail * DRAWS)] <= seen && seen <= draws[(int) ((1 - tail) * DRAWS) - 1];
        }

        void print(String name) {
            System.out.printf(
                    Locale.UK,
                    "%-26s %4d records  log score %7.2f a record  ranges of 50/80/95 hold %2.0f/%2.0f/%2.0f  mean error of log LR+ %+.2f%n",
                    name,
                    records,
                    log / records,
                    100.0 * within50 / records,
                    100.0 * within80 / records,
                    100.0 * within95 / records,
                    error / records);
        }
    }

    /** Prints the table. */
    public static void main(String[] arguments) {
        Catalogue catalogue = CatalogueReader.shipped();
        List<StudyRecord> all = EvidenceReader.shipped(catalogue).studies();
        Map<String, List<StudyRecord>> studies = all.stream()
                .filter(each -> !each.originator())
                .collect(Collectors.groupingBy(StudyRecord::study, LinkedHashMap::new, Collectors.toList()));
        Map<String, Score> scores = new LinkedHashMap<>();
        List.of(
                        "synthesis",
                        "without optimism",
                        "population alone",
                        "best study",
                        "pooled",
                        "synthesis, the same",
                        "inventors: best study",
                        "inventors: pooled",
                        "inventors: synthesis")
                .forEach(each -> scores.put(each, new Score()));
        SplittableRandom random = new SplittableRandom(11);
        studies.forEach((study, left) -> {
            List<StudyRecord> others =
                    all.stream().filter(each -> !each.study().equals(study)).toList();
            Synthesis synthesis = Synthesis.of(others);
            Synthesis credulous = Synthesis.of(others.stream()
                    .map(each -> new StudyRecord(each.id(), each.criterion(), each.study(), false, each.counts()))
                    .toList());
            for (StudyRecord record : left) {
                scores.get("synthesis").add(of(synthesis, record.criterion()), record, random);
                scores.get("without optimism").add(of(credulous, record.criterion()), record, random);
                scores.get("population alone")
                        .add(
                                of(synthesis, new StudyRecord.Criterion("left out", "left out", "left out")),
                                record,
                                random);
                List<StudyRecord> same = others.stream()
                        .filter(each -> each.criterion().equals(record.criterion()))
                        .toList();
                if (!same.isEmpty()) {
                    Map<String, Prediction> ways = Map.of(
                            "best study", of(Alone.best(same)),
                            "pooled", of(Alone.pooled(same)),
                            "synthesis, the same", of(synthesis, record.criterion()));
                    ways.forEach((way, prediction) -> scores.get(way).add(prediction, record, random));
                    if (same.stream().allMatch(StudyRecord::originator)) {
                        ways.forEach((way, prediction) -> scores.get("inventors: " + way.replace(", the same", ""))
                                .add(prediction, record, random));
                    }
                }
            }
        });
        scores.forEach((name, score) -> score.print(name));
    }

    private static Prediction of(Synthesis synthesis, StudyRecord.Criterion criterion) {
        PredictedAccuracy all = synthesis.predict(criterion.condition(), List.of(criterion));
        PredictedAccuracy.Of one = all.at(all.criteria().indexOf(criterion));
        return new Prediction(one.mean(), one.predictive());
    }

    private static Prediction of(Alone alone) {
        double[][] all = new double[2][2];
        for (int i = 0; i < 2; i++) {
            for (int j = 0; j < 2; j++) {
                all[i][j] = alone.posterior()[i][j] + alone.between()[i][j];
            }
        }
        return new Prediction(alone.mean(), all);
    }

    private static double logRatio(double tp, double fn, double tn, double fp) {
        return Math.log((tp + 0.5) / (tp + fn + 1)) - Math.log((fp + 0.5) / (tn + fp + 1));
    }

    private static double logScore(Prediction prediction, StudyRecord record) {
        return side(
                        prediction.mean()[0],
                        prediction.covariance()[0][0],
                        record.counts().tp(),
                        record.counts().fn())
                + side(
                        prediction.mean()[1],
                        prediction.covariance()[1][1],
                        record.counts().tn(),
                        record.counts().fp());
    }

    /** log of the mean binomial chance over the predicted logit. */
    private static double side(double mean, double variance, double yes, double no) {
        double sum = 0;
        double weights = 0;
        double n = yes + no;
        double choose = org.hipparchus.special.Gamma.logGamma(n + 1)
                - org.hipparchus.special.Gamma.logGamma(yes + 1)
                - org.hipparchus.special.Gamma.logGamma(no + 1);
        for (double z = -6; z <= 6; z += 0.02) {
            double p = 1 / (1 + Math.exp(-mean - Math.sqrt(variance) * z));
            double weight = Math.exp(-z * z / 2);
            sum += weight * Math.exp(choose + (yes == 0 ? 0 : yes * Math.log(p)) + (no == 0 ? 0 : no * Math.log1p(-p)));
            weights += weight;
        }
        return Math.log(Math.max(sum / weights, 1e-300));
    }

    /** Sorted log ratios that a study of this size might have seen. */
    private static double[] draws(Prediction prediction, StudyRecord record, SplittableRandom random) {
        double first = Math.sqrt(prediction.covariance()[0][0]);
        double along = prediction.covariance()[0][1] / first;
        double rest = Math.sqrt(Math.max(0, prediction.covariance()[1][1] - along * along));
        double[] draws = new double[DRAWS];
        for (int i = 0; i < DRAWS; i++) {
            double z = random.nextGaussian();
            double sensitivity = 1 / (1 + Math.exp(-prediction.mean()[0] - first * z));
            double specificity = 1 / (1 + Math.exp(-prediction.mean()[1] - along * z - rest * random.nextGaussian()));
            double tp = binomial(record.counts().tp() + record.counts().fn(), sensitivity, random);
            double tn = binomial(record.counts().tn() + record.counts().fp(), specificity, random);
            draws[i] = logRatio(
                    tp,
                    record.counts().tp() + record.counts().fn() - tp,
                    tn,
                    record.counts().tn() + record.counts().fp() - tn);
        }
        Arrays.sort(draws);
        return draws;
    }

    private static double binomial(double size, double chance, SplittableRandom random) {
        int yes = 0;
        for (int i = 0; i < size; i++) {
            yes += random.nextDouble() < chance ? 1 : 0;
        }
        return yes;
    }
}
