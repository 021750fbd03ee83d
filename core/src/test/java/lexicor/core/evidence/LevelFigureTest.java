package lexicor.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.Cluster;
import lexicor.core.catalogue.ClusterId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What each kind of published level weighs; expected figures from the counts by hand. */
class LevelFigureTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Evidence EVIDENCE = EvidenceReader.shipped(CATALOGUE);

    @ParameterizedTest(name = "{0}, {1}")
    @CsvSource({"cl-subacromial-3, all 3, 10.56", "cl-subacromial-3, none, 0.17", "cl-cuff-tear-3, exactly 1, 0.79"})
    void a_level_known_by_a_ratio_alone_weighs_as_published(String set, String level, double ratio) {
        assertThat(figure(set, level))
                .containsInstanceOf(LevelFigure.RatioOnly.class)
                .map(each -> ((LevelFigure.RatioOnly) each).likelihoodRatio())
                .contains(ratio);
    }

    @Test
    void a_pair_of_levels_weighs_by_the_counts_of_its_study() {
        LevelFigure.Shares met =
                (LevelFigure.Shares) figure("cl-subacromial-5", "3 or more").orElseThrow();
        assertThat(met.positive()).isTrue();
        assertThat(met.belief().likelihoodRatioPositive()).isCloseTo(12.5 / 17 / (10.5 / 40), within(1e-12));
        LevelFigure.Shares notMet =
                (LevelFigure.Shares) figure("cl-subacromial-5", "fewer than 3").orElseThrow();
        assertThat(notMet.positive()).isFalse();
        assertThat(notMet.belief()).isEqualTo(met.belief());
    }

    /**
     * Of exactly 4 of 4 in 19 and 63 patients: 0.24 and 0.01, by counts 5 and 1; the published 30.3 rests on less than
     * a patient.
     */
    @Test
    void an_exact_level_with_proportions_and_sizes_uses_counts() {
        LevelFigure.Shares all =
                (LevelFigure.Shares) figure("cl-radiculopathy-4", "all 4").orElseThrow();
        assertThat(all.belief().likelihoodRatioPositive()).isCloseTo(5.5 / 20 / (1.5 / 64), within(1e-9));
    }

    @Test
    void at_least_is_taken_apart_where_sizes_are_known_and_components_agree() {
        LevelFigure.Shares two =
                (LevelFigure.Shares) figure("cl-ac-3", "exactly 2").orElseThrow();
        assertThat(two.belief().sensitivity()).isCloseTo((35 * 0.56 + 0.5) / 36.5, within(1e-12));
        assertThat(1 - two.belief().specificity()).isCloseTo((580 * 0.08 + 0.5) / 581.5, within(1e-9));
    }

    /** What is used for a level never speaks for another count than the one found. */
    @Test
    void no_figure_of_at_least_stands_for_an_exact_count_as_it_was_published() {
        for (Cluster cluster : CATALOGUE.clusters()) {
            for (Cluster.Level level : cluster.levels()) {
                if (level.direction() == Cluster.Direction.AT_LEAST) {
                    ClusterLevels.figure(cluster, level, EVIDENCE)
                            .ifPresent(figure -> assertThat(figure)
                                    .as(cluster.id() + " " + level.name())
                                    .isInstanceOf(LevelFigure.Shares.class));
                }
                if (level.direction() == Cluster.Direction.NONE) {
                    assertThat(ClusterLevels.figure(cluster, level, EVIDENCE)).isEmpty();
                }
            }
        }
    }

    private static Optional<LevelFigure> figure(String set, String level) {
        Cluster cluster = CATALOGUE.cluster(ClusterId.of(set));
        return ClusterLevels.figure(
                cluster,
                cluster.levels().stream()
                        .filter(each -> each.name().equals(level))
                        .findFirst()
                        .orElseThrow(),
                EVIDENCE);
    }
}
