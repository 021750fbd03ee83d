package lexicor.core.examination;

import static lexicor.core.Responses.history;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.Schools;
import lexicor.core.catalogue.TestId;
import org.junit.jupiter.api.Test;

class OffersTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final TestId RELOCATION = TestId.of("sh-relocation");
    private static final TestId RELEASE = TestId.of("sh-release");
    private static final Schools RELEASING = CATALOGUE.usualSchools().with("release-after-relocation", "done");

    private static Attempt attempt(String test, String... answers) {
        List<Part> parts = Stream.of(answers)
                .<Part>map(answer -> new Part.Chosen(answer.split(":")[0], answer.split(":")[1], Part.Context.PLAIN))
                .toList();
        return new Attempt(UUID.randomUUID(), TestId.of(test), "usual", Side.RIGHT, 1, Set.of(), parts);
    }

    private static Offers offers(Schools schools, Attempt... attempts) {
        History history = history(attempts);
        return Offers.of(
                CATALOGUE,
                schools,
                history.tests().stream()
                        .map(test -> new ResponseReader(CATALOGUE.test(test), schools).read(history, Side.RIGHT))
                        .toList());
    }

    @Test
    void a_relocation_without_prior_apprehension_is_not_offered() {
        Offers offers = offers(CATALOGUE.usualSchools());
        assertThat(offers.whyNot(RELOCATION))
                .hasValue("after anterior apprehension: there must be something to relieve");
        assertThat(offers.offered(TestId.of("sh-apprehension"))).isTrue();
    }

    @Test
    void a_relocation_is_offered_after_apprehension_and_after_pain() {
        assertThat(offers(CATALOGUE.usualSchools(), attempt("sh-apprehension", "apprehension:yes", "pain:none"))
                        .offered(RELOCATION))
                .isTrue();
        assertThat(offers(CATALOGUE.usualSchools(), attempt("sh-apprehension", "apprehension:none", "pain:familiar"))
                        .offered(RELOCATION))
                .isTrue();
        assertThat(offers(CATALOGUE.usualSchools(), attempt("sh-apprehension", "apprehension:none", "pain:none"))
                        .offered(RELOCATION))
                .isFalse();
    }

    @Test
    void a_release_is_done_only_by_the_school_that_does_it_and_only_once_the_push_helped() {
        Attempt[] relieved = {
            attempt("sh-apprehension", "apprehension:yes", "pain:none"), attempt("sh-relocation", "relief:apprehension")
        };
        assertThat(offers(CATALOGUE.usualSchools(), relieved).whyNot(RELEASE))
                .hasValue("not done by the school in force");
        assertThat(offers(RELEASING, relieved).offered(RELEASE)).isTrue();
        assertThat(offers(RELEASING, relieved[0]).offered(RELEASE)).isFalse();
    }
}
