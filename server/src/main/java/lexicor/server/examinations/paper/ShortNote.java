package lexicor.server.examinations.paper;

import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Reading;
import lexicor.core.examination.TestReading;
import lexicor.server.words.Words;
import org.springframework.stereotype.Component;

/**
 * Names the tests that were positive, those that were not, and those that could not be read; empty where there are
 * none.
 */
@Component
class ShortNote {

    private final Catalogue catalogue;

    ShortNote(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    String positive(List<TestReading> readings) {
        return named(readings, reading -> any(reading, Reading.Result.POSITIVE));
    }

    /** @param telling negatives that are worth a name; the others are counted */
    String negative(List<TestReading> readings, Set<TestId> telling) {
        List<TestReading> negative = readings.stream()
                .filter(TestReading::answered)
                .filter(reading -> any(reading, Reading.Result.NEGATIVE) && !any(reading, Reading.Result.POSITIVE))
                .toList();
        String named = named(negative, reading -> telling.contains(reading.test()));
        long others = negative.stream()
                .filter(reading -> !telling.contains(reading.test()))
                .count();
        return others == 0
                ? named
                : (named.isEmpty() ? "" : named + "; and ") + others + (others == 1 ? " other" : " others");
    }

    /** Tests of which nothing could be interpreted. */
    String unread(List<TestReading> readings) {
        return named(
                readings,
                reading -> !reading.readings().isEmpty()
                        && reading.readings().stream()
                                .allMatch(each -> each.result() == Reading.Result.NOT_INTERPRETABLE));
    }

    private String named(List<TestReading> readings, Predicate<TestReading> wanted) {
        return readings.stream()
                .filter(TestReading::answered)
                .filter(wanted)
                .map(reading -> Words.inSentence(catalogue.test(reading.test()).shortName()))
                .collect(Collectors.joining("; "));
    }

    private static boolean any(TestReading reading, Reading.Result result) {
        return reading.readings().stream().anyMatch(each -> each.result() == result);
    }
}
