package lexicor.core.draws;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lexicor.core.Responses;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.TestId;
import lexicor.core.dependence.Correlations;
import lexicor.core.dependence.Normal;
import lexicor.core.evidence.Belief;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.findings.Visit;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.findings.Weight;
import lexicor.core.findings.WeightedFinding;
import lexicor.core.posttest.LogOdds;
import lexicor.core.weighing.Ranking;
import lexicor.core.weighing.Weighing;
import org.hipparchus.distribution.continuous.BetaDistribution;
import org.junit.jupiter.api.Test;

class SamplerTest {

    private static final int DRAWS = 40_000;
    private static final Belief BELIEF = new Belief.OfCounts(20.5, 10.5, 31.5, 9.5);
    private static final WeightedFinding POSITIVE = load("sh-arc", true);

    @Test
    void without_a_spread_the_drawn_shares_follow_their_beta() {
        Sampler sampler = sampler(0, 5);
        BetaDistribution sensitivity = new BetaDistribution(20.5, 10.5);
        BetaDistribution falseAlarms = new BetaDistribution(9.5, 31.5);
        for (double share : new double[] {0.025, 0.5, 0.975}) {
            assertThat(Normal.below(quantile(sampler.quantiles(POSITIVE, true), share)))
                    .isCloseTo(sensitivity.inverseCumulativeProbability(share), within(0.006));
            assertThat(Normal.below(quantile(sampler.quantiles(POSITIVE, false), share)))
                    .isCloseTo(falseAlarms.inverseCumulativeProbability(share), within(0.006));
        }
    }

    /** A share known without doubt moves by the spread alone: its logit is normal about it. */
    @Test
    void the_spread_between_studies_moves_the_logit() {
        WeightedFinding certain = new WeightedFinding(
                List.of(TestId.of("sh-neer")),
                true,
                "",
                new Weight.Proportions(new Belief.OfCounts(7e6, 3e6, 5e6, 5e6), true),
                Optional.empty(),
                Optional.empty(),
                "",
                false,
                false);
        double[] drawn = sampler(0.8, 5).quantiles(certain, true);
        double logit = Math.log(0.7 / 0.3);
        assertThat(Normal.below(quantile(drawn, 0.5))).isCloseTo(0.7, within(0.006));
        assertThat(Normal.below(quantile(drawn, 0.975))).isCloseTo(LogOdds.chance(logit + 1.96 * 0.8), within(0.006));
        assertThat(Normal.below(quantile(drawn, 0.025))).isCloseTo(LogOdds.chance(logit - 1.96 * 0.8), within(0.01));
    }

    @Test
    void the_same_examination_and_record_give_the_same_draws_and_another_examination_others() {
        assertThat(sampler(0.8, 5).quantiles(POSITIVE, true))
                .isEqualTo(sampler(0.8, 5).quantiles(POSITIVE, true));
        assertThat(sampler(0.8, 6).quantiles(POSITIVE, true))
                .isNotEqualTo(sampler(0.8, 5).quantiles(POSITIVE, true));
        assertThat(sampler(0.8, 5).quantiles(load("sh-arc", false), true))
                .as("what was answered does not stir what is believed")
                .isEqualTo(sampler(0.8, 5).quantiles(POSITIVE, true));
    }

    @Test
    void a_ratio_alone_is_drawn_about_its_logarithm() {
        WeightedFinding ratio = new WeightedFinding(
                List.of(), true, "", new Weight.Ratio(4, 1), Optional.empty(), Optional.empty(), "", false, false);
        double[] drawn = sampler(0.8, 5).logLikelihoodRatios(ratio);
        assertThat(quantile(drawn, 0.5)).isCloseTo(Math.log(4), within(0.03));
        assertThat(quantile(drawn, 0.975) - quantile(drawn, 0.025)).isCloseTo(2 * 1.96, within(0.08));
    }

    @Test
    void correlations_are_drawn_from_what_is_believed_of_them() {
        Catalogue catalogue = CatalogueReader.shipped();
        Correlations correlations = Correlations.of(catalogue, EvidenceReader.shipped(catalogue));
        double[] assumed = sampler(0.8, 5).rhos(correlations.all().get("labral-load"), true);
        double mean = 0;
        for (double rho : assumed) {
            mean += rho / assumed.length;
        }
        assertThat(mean).as("of Beta(2, 3)").isCloseTo(0.4, within(0.01));
        double[] chosen = sampler(0.8, 5)
                .rhos(correlations.with(Map.of("labral-load", 0.6)).all().get("labral-load"), true);
        for (double rho : chosen) {
            assertThat(rho).isCloseTo(0.6, within(1e-12));
        }
    }

    @Test
    void starts_are_drawn_about_the_estimate_by_their_width() {
        double[] drawn = sampler(0.8, 5).starts("acj", LogOdds.ofChance(0.12), 0.5);
        assertThat(LogOdds.chance(quantile(drawn, 0.5))).isCloseTo(0.12, within(0.003));
        assertThat(LogOdds.chance(quantile(drawn, 0.975)))
                .isCloseTo(LogOdds.chance(LogOdds.ofChance(0.12).value() + 0.98), within(0.006));
    }

    /** A weighing that drew before and one that draws now agree, whatever was kept in between. */
    @Test
    void what_is_kept_changes_no_result() {
        Catalogue catalogue = CatalogueReader.shipped();
        var evidence = EvidenceReader.shipped(catalogue);
        Visit visit = Visit.usual(catalogue, "shoulder", lexicor.core.catalogue.CareSetting.FIRST_CONTACT);
        Weighing kept = new Weighing(catalogue, evidence, new WeighingSettings(500, 0.8, 0.5, 0.1));
        var first = List.of(Responses.answered("sh-arc", true));
        var second = List.of(
                Responses.answered("sh-arc", true),
                Responses.answered("sh-hawkins", false),
                Responses.answered("sh-neer", true));
        kept.weigh(visit, first, 3);
        kept.weigh(visit, second, 4);
        Ranking warm = kept.weigh(visit, second, 3);
        Ranking cold =
                new Weighing(catalogue, evidence, new WeighingSettings(500, 0.8, 0.5, 0.1)).weigh(visit, second, 3);
        assertThat(warm.standings()).isEqualTo(cold.standings());
    }

    private static Sampler sampler(double betweenStudies, long seed) {
        return new Sampler(new DrawStore(), DRAWS, betweenStudies, seed);
    }

    private static WeightedFinding load(String test, boolean positive) {
        return new WeightedFinding(
                List.of(TestId.of(test)),
                positive,
                "",
                new Weight.Proportions(BELIEF, positive),
                Optional.empty(),
                Optional.empty(),
                "",
                false,
                false);
    }

    private static double quantile(double[] values, double share) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return sorted[(int) Math.round(share * (sorted.length - 1))];
    }
}
