package lexicor.core.catalogue;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Tests and conditions that records may name although they are no longer part of the content: each by the words it had,
 * so that what was recorded can be read for ever. Nothing of it is asked, read by rules, or weighed.
 */
public record Retired(Map<TestId, ExaminationTest> tests, Map<ConditionId, Condition> conditions) {

    /** What a name is followed by. */
    public static final String MARK = " (no longer in the library)";

    static final Retired NOTHING = new Retired(Map.of(), Map.of());

    public Retired {
        tests = Map.copyOf(tests);
        conditions = Map.copyOf(conditions);
    }

    /** The same with more; what is here already stays as it is. */
    Retired with(Retired more) {
        Map<TestId, ExaminationTest> allTests = new LinkedHashMap<>(more.tests);
        allTests.putAll(tests);
        Map<ConditionId, Condition> allConditions = new LinkedHashMap<>(more.conditions);
        allConditions.putAll(conditions);
        return new Retired(allTests, allConditions);
    }

    /**
     * A test by its words alone.
     *
     * @param successor what is done in its place; empty where nothing is
     * @param parts what was recorded, as far as its words are known
     */
    public static ExaminationTest test(TestId id, String name, Optional<String> successor, List<PartDefinition> parts) {
        String marked = name
                + successor
                        .map(now -> " (no longer in the library; now: " + now + ")")
                        .orElse(MARK);
        Conduct conduct = new Conduct(
                List.of(),
                List.of(),
                Optional.empty(),
                List.of(),
                List.of(),
                Map.of(),
                List.of(),
                List.of(),
                List.of(),
                Optional.empty());
        return new ExaminationTest(
                id,
                marked,
                marked,
                List.of(),
                Names.NONE,
                "",
                Stage.SPECIAL,
                List.of(""),
                0,
                0,
                "retired",
                "",
                new CueCard("", "", "", "", List.of(), ""),
                conduct,
                parts,
                List.of(),
                Map.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    /** A condition by its words alone. */
    public static Condition condition(ConditionId id, String name, Optional<String> successor) {
        String marked = name
                + successor
                        .map(now -> " (no longer in the library; now: " + now + ")")
                        .orElse(MARK);
        return new Condition(
                id, marked, marked, marked, "", "", Map.of(), List.of(), Optional.empty(), Optional.empty());
    }
}
