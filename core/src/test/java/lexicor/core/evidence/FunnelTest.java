package lexicor.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.synthesis.StudyRecord;
import org.junit.jupiter.api.Test;

class FunnelTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();

    @Test
    void a_study_stands_by_its_odds_ratio_and_by_how_surely_it_found_it() {
        Funnel.Point point = Funnel.Point.of(new StudyRecord(
                "E001",
                new StudyRecord.Criterion("c", "t", "k"),
                "Nobody",
                true,
                new StudyRecord.Counts(19.5, 9.5, 39.5, 4.5)));

        assertThat(point.logRatio()).isCloseTo(Math.log(20.0 * 40 / (5.0 * 10)), within(1e-12));
        assertThat(point.error()).isCloseTo(Math.sqrt(1 / 20.0 + 1 / 40.0 + 1 / 5.0 + 1 / 10.0), within(1e-12));
        assertThat(point.inventors()).isTrue();
    }

    @Test
    void in_the_shipped_ledger_inventors_find_more_than_others() {
        Evidence evidence = EvidenceReader.shipped(CATALOGUE);
        Funnel funnel = Funnel.of(evidence);

        assertThat(funnel.points()).hasSameSizeAs(evidence.studies());
        assertThat(mean(funnel, true)).isGreaterThan(mean(funnel, false) + 1);
        assertThat(funnel.inventors()).isGreaterThan(funnel.others() + 1);
    }

    private static double mean(Funnel funnel, boolean inventors) {
        return funnel.points().stream()
                .filter(point -> point.inventors() == inventors)
                .mapToDouble(Funnel.Point::logRatio)
                .average()
                .orElseThrow();
    }
}
