package lexicor.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.synthesis.PredictedAccuracy;
import org.junit.jupiter.api.Test;

class OneMoreStudyTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Evidence EVIDENCE = EvidenceReader.shipped(CATALOGUE);

    private static OneMoreStudy of(int patients) {
        return OneMoreStudy.of(
                EVIDENCE,
                TestId.of("sh-neer"),
                CriterionId.of("pain"),
                ConditionId.of("cuff-tear-full"),
                patients,
                patients);
    }

    private static double width(PredictedAccuracy.Of one) {
        return one.predictive()[0][0] + one.predictive()[1][1];
    }

    private static double unknown(PredictedAccuracy.Of one) {
        return one.posterior()[0][0] + one.posterior()[1][1];
    }

    @Test
    void the_larger_the_study_the_less_is_unknown_of_the_test() {
        assertThat(unknown(of(20).after())).isLessThan(unknown(of(20).before()));
        assertThat(unknown(of(2000).after())).isLessThan(unknown(of(20).after()));
    }

    /** However large one study is, clinics go on differing: more than half of the width stays. */
    @Test
    void no_single_study_makes_clinics_alike() {
        OneMoreStudy huge = of(100_000);
        assertThat(width(huge.after())).isLessThan(width(huge.before())).isGreaterThan(width(huge.before()) / 2);
    }
}
