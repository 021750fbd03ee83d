package lexicor.core.simulation;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Part;
import lexicor.core.examination.Reading;
import org.junit.jupiter.api.Test;

class ResponseBookTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();

    /** Every test of the library can be answered so that it is read positive, and so that it is read negative. */
    @Test
    void every_reading_of_the_library_can_be_had_either_way() {
        List<String> not = new ArrayList<>();
        for (ExaminationTest test : CATALOGUE.tests().values()) {
            ResponseBook book = book(test.id().value());
            for (ConditionReading reads : test.reads()) {
                for (boolean positive : new boolean[] {true, false}) {
                    ResponseBook.Response response =
                            book.responses(Set.of(wanted(reads, positive))).get(0);
                    Reading reading = book.reading(
                            response,
                            reads.condition(),
                            reads.by(CATALOGUE.usualSchools()).get(0));
                    Reading.Result wanted = positive ? Reading.Result.POSITIVE : Reading.Result.NEGATIVE;
                    if (reading.result() != wanted || response.missed() != 0) {
                        not.add(test.id() + " " + reads.condition() + " " + wanted + ": " + reading);
                    }
                }
            }
        }
        assertThat(not).isEmpty();
    }

    @Test
    void a_response_is_kept_to_what_was_wanted_of_it() {
        ResponseBook book = book("sh-hawkins");
        Set<ResponseBook.Wanted> wanted = new HashSet<>();
        CATALOGUE.test(TestId.of("sh-hawkins")).reads().forEach(reads -> wanted.add(wanted(reads, true)));
        List<ResponseBook.Response> responses = book.responses(wanted);
        assertThat(responses).allMatch(response -> response.missed() == 0);
        assertThat(responses)
                .as("a place where it may hurt, never on top, which would void it")
                .allSatisfy(response ->
                        assertThat(choice(response.here(), "site")).isNotEmpty().isNotEqualTo("top"));
        assertThat(book.missed(List.of(), List.of(), wanted)).isEqualTo(wanted.size());
    }

    @Test
    void nothing_wanted_is_nothing_found_and_no_place_where_nothing_hurts() {
        ResponseBook.Response response =
                book("sh-er-resist").responses(Set.of()).get(0);
        assertThat(choice(response.here(), "pain")).isEqualTo("none");
        assertThat(choice(response.here(), "site")).isEmpty();
        assertThat(choice(response.well(), "pain")).isEqualTo("none");
    }

    /** Relief of apprehension and relief of pain alone exclude each other: the nearest is given, and it says so. */
    @Test
    void what_cannot_be_answered_at_once_comes_as_near_as_it_can() {
        ResponseBook book = book("sh-relocation");
        Set<ResponseBook.Wanted> all = new HashSet<>();
        CATALOGUE.test(TestId.of("sh-relocation")).reads().forEach(reads -> all.add(wanted(reads, true)));
        assertThat(all).hasSizeGreaterThan(1);
        assertThat(book.responses(all).get(0).missed()).isBetween(1, all.size() - 1);
    }

    @Test
    void a_share_of_another_measure_is_read_either_way() {
        ResponseBook book = book("wr-square-ratio");
        ConditionReading reads = CATALOGUE
                .test(TestId.of("wr-square-ratio"))
                .readingFor(ConditionId.of("carpal-tunnel"))
                .orElseThrow();
        for (boolean positive : new boolean[] {true, false}) {
            List<Part> here =
                    book.responses(Set.of(wanted(reads, positive))).get(0).here();
            double ratio = measure(here, "depth") / measure(here, "width");
            assertThat(ratio >= 0.7).isEqualTo(positive);
        }
    }

    private static ResponseBook book(String test) {
        return new ResponseBook(CATALOGUE.test(TestId.of(test)), CATALOGUE.usualSchools());
    }

    private static ResponseBook.Wanted wanted(ConditionReading reads, boolean positive) {
        return new ResponseBook.Wanted(
                reads.condition(), reads.by(CATALOGUE.usualSchools()).get(0), positive);
    }

    private static String choice(List<Part> parts, String key) {
        return parts.stream()
                .filter(part -> part.key().equals(key) && part instanceof Part.Chosen)
                .map(part -> ((Part.Chosen) part).choice())
                .findFirst()
                .orElse("");
    }

    private static double measure(List<Part> parts, String key) {
        return parts.stream()
                .filter(part -> part.key().equals(key))
                .mapToDouble(part -> ((Part.Measured) part).value())
                .findFirst()
                .orElseThrow();
    }
}
