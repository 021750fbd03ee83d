package lexicor.server.examinations.weighing;

import java.util.List;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.TestId;
import lexicor.core.weighing.LeadingPair;

/**
 * The two conditions whose typical pictures fit best, and what separates them.
 *
 * @param how in words; may be empty
 * @param separate open tests that tell the two apart, with their short names
 * @param both short names of tests that are provoked in both
 */
public record ContestJson(String one, String other, String how, List<TellsApartJson> separate, List<String> both) {

    /** More would not fit beside the bench. */
    private static final int MOST = 3;

    /** A test that tells the two apart. */
    public record TellsApartJson(String testId, String name) {}

    static ContestJson of(LeadingPair contest, Catalogue catalogue) {
        return new ContestJson(
                contest.one().shortName(),
                contest.other().shortName(),
                contest.how(),
                contest.separate().stream()
                        .limit(MOST)
                        .map(test -> new TellsApartJson(test.value(), name(test, catalogue)))
                        .toList(),
                contest.both().stream()
                        .limit(MOST)
                        .map(test -> name(test, catalogue))
                        .toList());
    }

    private static String name(TestId test, Catalogue catalogue) {
        return catalogue.test(test).shortName();
    }
}
