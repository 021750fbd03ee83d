package lexicor.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ClusterId;
import org.junit.jupiter.api.Test;

class ClusterLevelsTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Evidence EVIDENCE = EvidenceReader.shipped(CATALOGUE);

    private static List<ClusterLevels.Shown> levels(String cluster) {
        return ClusterLevels.of(CATALOGUE.cluster(ClusterId.of(cluster)), EVIDENCE);
    }

    @Test
    void at_least_two_of_three_is_not_what_exactly_two_weighs() {
        ClusterLevels.Shown two = levels("cl-ac-3").get(1);
        assertThat(two.published()).hasValue(7.4);
        assertThat(two.exact().orElseThrow())
                .isCloseTo((35 * 0.56 + 0.5) / 36.5 / ((580 * 0.08 + 0.5) / 581.5), within(1e-9));
        assertThat(ClusterLevels.fits(CATALOGUE.cluster(ClusterId.of("cl-ac-3")), EVIDENCE))
                .hasValue(true);
    }

    @Test
    void exact_levels_stand_as_published() {
        assertThat(levels("cl-subacromial-3"))
                .extracting(shown -> shown.exact().orElseThrow())
                .containsExactly(10.56, 5.03, 0.9, 0.17);
        assertThat(levels("cl-radiculopathy-4"))
                .extracting(shown -> shown.exact().orElse(0))
                .containsExactly(30.3, 6.1, 0.88, 0.0);
    }

    @Test
    void half_published_sets_weigh_nothing_and_say_so() {
        assertThat(levels("cl-posterior-2"))
                .allSatisfy(shown -> assertThat(shown.exact()).isEmpty())
                .extracting(ClusterLevels.Shown::how)
                .contains("only one of sensitivity and specificity was published");
        assertThat(levels("cl-apprehension-2"))
                .extracting(ClusterLevels.Shown::how)
                .containsOnly("no figure was published");
    }

    @Test
    void a_pair_of_ratios_gives_both_levels() {
        assertThat(levels("cl-cuff-age-night-er").get(0).exact().orElseThrow()).isCloseTo(9.84, within(1.2));
    }
}
