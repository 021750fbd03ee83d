package lexicor.core.outcomes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.evidence.Evidence;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.posttest.LogOdds;
import lexicor.core.synthesis.PredictedAccuracy;
import org.junit.jupiter.api.Test;

class ClinicAccuracyTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Evidence EVIDENCE = EvidenceReader.shipped(CATALOGUE);
    private static final PredictedAccuracy PUBLISHED = EVIDENCE.expected(ConditionId.of("cuff-tear-full"));

    private static PartialVerification own(int times) {
        return new PartialVerification(3 * times, 4 * times, 7 * times, 6 * times, 0, 0);
    }

    @Test
    void the_range_holds_nineteen_in_twenty_on_the_logit_and_the_point_is_the_mean_over_it() {
        PredictedAccuracy.Of one = PUBLISHED.at(0);
        ClinicAccuracy expected = ClinicAccuracy.expected(PUBLISHED, 0);
        double deviation = Math.sqrt(one.predictive()[0][0]);
        assertThat(logit(expected.sensitivity().upper()))
                .isCloseTo(one.mean()[0] + 1.959963984540054 * deviation, within(1e-9));
        double sum = 0;
        double weights = 0;
        for (double z = -8; z <= 8; z += 0.001) {
            double weight = Math.exp(-z * z / 2);
            sum += weight * LogOdds.chance(one.mean()[0] + deviation * z);
            weights += weight;
        }
        assertThat(expected.sensitivity().estimate()).isCloseTo(sum / weights, within(1e-6));
    }

    private static double logit(double share) {
        return Math.log(share / (1 - share));
    }

    @Test
    void few_results_of_ones_own_leave_the_published_nearly_as_they_are_and_many_outweigh_them() {
        ClinicAccuracy expected = ClinicAccuracy.expected(PUBLISHED, 0);
        double before = Math.abs(expected.sensitivity().estimate() - 0.3);
        double previous = before;
        double width = expected.sensitivity().upper() - expected.sensitivity().lower();
        for (int times : new int[] {1, 10, 1000}) {
            ClinicAccuracy after = ClinicAccuracy.after(PUBLISHED, 0, own(times));
            double away = Math.abs(after.sensitivity().estimate() - 0.3);
            double narrower = after.sensitivity().upper() - after.sensitivity().lower();
            assertThat(away).isLessThan(previous);
            assertThat(narrower).isLessThan(width);
            previous = away;
            width = narrower;
        }
        assertThat(previous).isLessThan(0.25 * before);
    }
}
