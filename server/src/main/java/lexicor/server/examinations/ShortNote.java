package lexicor.server.examinations;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.examination.Reading;
import lexicor.core.examination.TestReading;
import org.springframework.stereotype.Component;

/** Says in few lines what was positive, what was not, and what could not be read. */
@Component
class ShortNote {

    private final Catalogue catalogue;

    ShortNote(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    /** Nothing of it where nothing was read. */
    List<String> lines(List<TestReading> readings) {
        List<String> lines = new ArrayList<>();
        add(lines, "Positive", readings, reading -> any(reading, Reading.Result.POSITIVE));
        add(lines, "Negative", readings, reading -> any(reading, Reading.Result.NEGATIVE) && !any(reading, Reading.Result.POSITIVE));
        add(lines, "Not interpretable", readings, reading -> !reading.readings().isEmpty() && reading.readings().stream().allMatch(each -> each.result() == Reading.Result.NOT_INTERPRETABLE));
        return lines;
    }

    private void add(List<String> lines, String lead, List<TestReading> readings, Predicate<TestReading> wanted) {
        String named = readings.stream().filter(TestReading::answered).filter(wanted).map(reading -> FindingsNote.inSentence(catalogue.test(reading.test()).shortName())).collect(Collectors.joining(", "));
        if (!named.isEmpty()) {
            lines.add(lead + ": " + named + ".");
        }
    }

    private static boolean any(TestReading reading, Reading.Result result) {
        return reading.readings().stream().anyMatch(each -> each.result() == result);
    }
}
