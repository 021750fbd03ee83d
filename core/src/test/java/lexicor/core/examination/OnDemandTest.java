package lexicor.core.examination;

import static org.assertj.core.api.Assertions.assertThat;

import lexicor.core.Responses;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;
import org.junit.jupiter.api.Test;

/** Parts that are recorded only when somebody wants to. */
class OnDemandTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final ExaminationTest LOOK = CATALOGUE.test(TestId.of("sh-look"));

    @Test
    void a_test_is_complete_without_what_is_recorded_on_demand() {
        assertThat(read(Responses.chosen("hollow", "none"), Responses.chosen("contour", "even"))
                        .complete())
                .isTrue();
        assertThat(read(Responses.chosen("hollow", "none")).complete()).isFalse();
    }

    @Test
    void nothing_out_of_the_ordinary_says_nothing_of_what_is_recorded_on_demand() {
        assertThat(CATALOGUE.tests().values())
                .allSatisfy(test -> assertThat(test.nothing().keySet())
                        .as(test.id().value())
                        .noneMatch(key -> test.part(key).orElseThrow().taken().onDemand()));
    }

    private static TestReading read(Part... parts) {
        return new ResponseReader(LOOK, CATALOGUE.usualSchools())
                .read(Responses.history(Responses.attempt("sh-look", Side.RIGHT, parts)), Side.RIGHT);
    }
}
