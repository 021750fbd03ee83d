package lexicor.core.weighing;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.Pattern;
import lexicor.core.catalogue.TestId;

/**
 * The two conditions whose typical pictures fit best, and what separates them.
 *
 * @param how what separates them, in words; empty where nobody wrote it down
 * @param separate open tests that speak about one of the two and are not provoked in the other, those written down
 *     first
 * @param both tests that are provoked in both and so cannot separate them
 */
public record LeadingPair(Condition one, Condition other, String how, List<TestId> separate, List<TestId> both) {

    public LeadingPair {
        separate = List.copyOf(separate);
        both = List.copyOf(both);
    }

    /**
     * @param open whether a test is still to be done and may be done now
     * @return empty where fewer than two pictures have begun to fit
     */
    public static Optional<LeadingPair> of(Ranking ranking, Catalogue catalogue, Predicate<TestId> open) {
        List<Standing> fitting = ranking.standings().stream()
                .filter(standing -> !standing.pattern().present().isEmpty()
                        && !standing.pattern().unlikely())
                .sorted(Comparator.comparingInt(
                                (Standing standing) -> -standing.pattern().balance())
                        .thenComparing(Comparator.comparingDouble(Standing::now).reversed()))
                .toList();
        if (fitting.isEmpty()) {
            return Optional.empty();
        }
        Condition one = fitting.get(0).condition();
        return fitting.stream()
                .skip(1)
                .map(Standing::condition)
                .filter(other -> !catalogue.related(one.id(), other.id()))
                .findFirst()
                .map(other -> between(one, other, catalogue, open));
    }

    private static LeadingPair between(Condition one, Condition other, Catalogue catalogue, Predicate<TestId> open) {
        Optional<Pattern.Rival> written = written(one, other, catalogue).or(() -> written(other, one, catalogue));
        List<TestId> named = written.map(Pattern.Rival::tests).orElse(List.of());
        List<TestId> separate = Stream.concat(
                        named.stream(),
                        expected(one, other, catalogue).filter(test -> separates(catalogue.test(test), one, other)))
                .distinct()
                .filter(open)
                .toList();
        return new LeadingPair(
                one, other, written.map(Pattern.Rival::how).orElse(""), separate, inBoth(one, other, catalogue));
    }

    /**
     * Tests that are provoked in both of two conditions; not those that are written down as telling them apart by where
     * it hurts.
     */
    public static List<TestId> inBoth(Condition one, Condition other, Catalogue catalogue) {
        List<TestId> named = Stream.of(written(one, other, catalogue), written(other, one, catalogue))
                .flatMap(Optional::stream)
                .flatMap(rival -> rival.tests().stream())
                .toList();
        return catalogue.tests().values().stream()
                .filter(test -> provokedIn(test, one) && provokedIn(test, other) && !named.contains(test.id()))
                .map(ExaminationTest::id)
                .toList();
    }

    private static Optional<Pattern.Rival> written(Condition one, Condition other, Catalogue catalogue) {
        return Optional.ofNullable(catalogue.patterns().get(one.id()))
                .flatMap(pattern -> pattern.rivals().stream()
                        .filter(rival -> rival.condition().equals(other.id()))
                        .findFirst());
    }

    private static Stream<TestId> expected(Condition one, Condition other, Catalogue catalogue) {
        return Stream.of(one, other)
                .map(condition -> catalogue.patterns().get(condition.id()))
                .filter(pattern -> pattern != null)
                .flatMap(pattern -> pattern.expects().stream())
                .map(Pattern.Expected::test);
    }

    private static boolean separates(ExaminationTest test, Condition one, Condition other) {
        return provokedIn(test, one) != provokedIn(test, other);
    }

    private static boolean provokedIn(ExaminationTest test, Condition condition) {
        return test.readingFor(condition.id()).isPresent()
                || test.alsoIn().stream().anyMatch(also -> also.condition().equals(condition.id()));
    }
}
