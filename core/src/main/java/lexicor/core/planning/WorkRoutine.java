package lexicor.core.planning;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import lexicor.core.catalogue.TestId;

/**
 * An order of work with a name, ready-made or a clinic's own. As text it is its name in the first line, then a test a
 * line, with its seconds where the clinic set them.
 */
public record WorkRoutine(String id, String name, String region, List<Entry> entries) {

    /** Longest name. */
    public static final int LONGEST_NAME = 60;

    /** More tests than anybody does at one visit. */
    public static final int MOST_TESTS = 60;

    /** Longest time that can be set for a test, in seconds. */
    public static final int MOST_SECONDS = 900;

    private static final Pattern LINE = Pattern.compile("([a-z][a-z0-9-]{1,59})(?: ([1-9][0-9]{0,3}))?");

    /**
     * A test in its place.
     *
     * @param seconds set by the clinic, both sides together; empty where they are the usual ones
     */
    public record Entry(TestId test, OptionalInt seconds) {}

    /** A text that is no routine. */
    public static final class Unreadable extends RuntimeException {

        private static final long serialVersionUID = 1L;

        Unreadable(String message) {
            super(message);
        }
    }

    public WorkRoutine {
        entries = List.copyOf(entries);
    }

    /** The tests in order. */
    public List<TestId> tests() {
        return entries.stream().map(Entry::test).toList();
    }

    /** Reads a routine from its text, or {@link Unreadable} with the line at fault. Tests need not be known. */
    public static WorkRoutine read(String id, String region, String text) {
        List<String> lines = text.strip()
                .lines()
                .map(String::strip)
                .filter(line -> !line.isEmpty())
                .toList();
        if (lines.isEmpty() || lines.get(0).length() > LONGEST_NAME) {
            throw new Unreadable("line 1 is the name; allowed: 1 to " + LONGEST_NAME + " characters");
        }
        if (lines.size() < 2 || lines.size() > MOST_TESTS + 1) {
            throw new Unreadable(lines.size() - 1 + " tests; allowed: 1 to " + MOST_TESTS);
        }
        List<Entry> entries = new ArrayList<>();
        for (int at = 1; at < lines.size(); at++) {
            entries.add(entry(at + 1, lines.get(at)));
        }
        return new WorkRoutine(id, lines.get(0), region, entries);
    }

    private static Entry entry(int number, String line) {
        Matcher matcher = LINE.matcher(line);
        if (!matcher.matches()) {
            throw new Unreadable(
                    "line " + number + ", '" + line
                            + "', is no test; allowed: the id of a test, and its seconds if they are your own, such as sh-arc 40");
        }
        OptionalInt seconds =
                matcher.group(2) == null ? OptionalInt.empty() : OptionalInt.of(Integer.parseInt(matcher.group(2)));
        if (seconds.orElse(1) > MOST_SECONDS) {
            throw new Unreadable("line " + number + ": " + seconds.getAsInt() + " s; allowed: 1 to " + MOST_SECONDS);
        }
        return new Entry(TestId.of(matcher.group(1)), seconds);
    }

    /** The routine as text. */
    public String text() {
        return name + "\n"
                + entries.stream()
                        .map(entry -> entry.test().value()
                                + (entry.seconds().isPresent()
                                        ? " " + entry.seconds().getAsInt()
                                        : ""))
                        .collect(Collectors.joining("\n"));
    }
}
