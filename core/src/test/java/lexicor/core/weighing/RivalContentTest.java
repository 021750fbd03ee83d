package lexicor.core.weighing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Pattern;
import lexicor.core.catalogue.TestId;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Rivals that light up on the same test, and what tells them apart. */
class RivalContentTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();

    @ParameterizedTest(name = "{0} and {1}: {2} separates, {3} does not")
    @CsvSource({
        "de-quervain, thumb-cmc-oa, wr-cmc-grind, wr-finkelstein",
        "de-quervain, thumb-cmc-oa, wr-palp-cmc, wr-eichhoff",
        "carpal-tunnel, pronator-syndrome, el-palm-sensation, wr-reverse-phalen",
        "carpal-tunnel, cervical-radiculopathy, nk-spurling-a, wr-tinel",
        "cubital-tunnel, thoracic-outlet, to-elevated-arm, el-flexion",
        "tfcc, ulnocarpal-impaction, wr-fovea, wr-ulnocarpal-stress",
        "tfcc, ecu-tendinopathy, wr-ecu-synergy, wr-palp-ecu",
        "lateral-elbow, radial-tunnel, el-palp-lateral, el-resist-wrist-ext",
        "tfcc, lunotriquetral, wr-lt-shear, wr-ulnocarpal-stress"
    })
    void a_test_separates_two_rivals_and_another_lights_up_in_both(
            String one, String other, String separates, String both) {
        Condition first = CATALOGUE.condition(ConditionId.of(one));
        Condition second = CATALOGUE.condition(ConditionId.of(other));
        Pattern.Rival written = CATALOGUE.patterns().get(first.id()).rivals().stream()
                .filter(rival -> rival.condition().equals(second.id()))
                .findFirst()
                .orElseThrow();
        assertThat(written.tests()).contains(TestId.of(separates));
        List<TestId> inBoth = LeadingPair.inBoth(first, second, CATALOGUE);
        assertThat(inBoth).contains(TestId.of(both)).doesNotContain(TestId.of(separates));
        assertThat(LeadingPair.inBoth(second, first, CATALOGUE))
                .as("the same the other way round")
                .containsExactlyInAnyOrderElementsOf(inBoth);
    }
}
