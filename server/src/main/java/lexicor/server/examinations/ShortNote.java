package lexicor.server.examinations;

import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.examination.Reading;
import lexicor.core.examination.TestReading;
import org.springframework.stereotype.Component;

/** Names the tests that were positive, those that were not, and those that could not be read; empty where there are none. */
@Component
class ShortNote {

    private final Catalogue catalogue;

    ShortNote(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    String positive(List<TestReading> readings) {
        return named(readings, reading -> any(reading, Reading.Result.POSITIVE));
    }

    String negative(List<TestReading> readings) {
        return named(readings, reading -> any(reading, Reading.Result.NEGATIVE) && !any(reading, Reading.Result.POSITIVE));
    }

    /** Tests of which nothing could be interpreted. */
    String unread(List<TestReading> readings) {
        return named(readings, reading -> !reading.readings().isEmpty() && reading.readings().stream().allMatch(each -> each.result() == Reading.Result.NOT_INTERPRETABLE));
    }

    private String named(List<TestReading> readings, Predicate<TestReading> wanted) {
        return readings.stream().filter(TestReading::answered).filter(wanted).map(reading -> FindingsNote.inSentence(catalogue.test(reading.test()).shortName())).collect(Collectors.joining(", "));
    }

    private static boolean any(TestReading reading, Reading.Result result) {
        return reading.readings().stream().anyMatch(each -> each.result() == result);
    }
}
