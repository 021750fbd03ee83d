package lexicor.core.story;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.lookup.Keyed;

/**
 * Everything that a story can do to the starting chances, as content.
 *
 * @param revision short fingerprint of the content
 * @param rows by condition
 * @param labels words of every clue, by id
 * @param groups the group of a clue, by clue; a clue without one stands alone
 * @param factors by which a row multiplies the odds, by strength
 * @param most by which all rows of a condition together multiply or divide them at most
 * @param painted clues that follow from the drawings
 * @param repeats what tests show that was told already
 * @param occupations loads that an occupation brings
 */
public record StoryTable(
        String revision,
        Map<ConditionId, List<StoryRow>> rows,
        Map<String, String> labels,
        Map<String, String> groups,
        Map<Integer, Double> factors,
        double most,
        List<Painted> painted,
        List<Repeat> repeats,
        List<Occupation> occupations) {

    /** Of nothing that any story could tell. */
    public static final StoryTable NONE =
            new StoryTable("", Map.of(), Map.of(), Map.of(), Map.of(), 1, List.of(), List.of(), List.of());

    public StoryTable {
        rows = Map.copyOf(rows);
        labels = Map.copyOf(labels);
        groups = Map.copyOf(groups);
        factors = Map.copyOf(factors);
        painted = List.copyOf(painted);
        repeats = List.copyOf(repeats);
        occupations = List.copyOf(occupations);
    }

    /**
     * A clue that holds where areas are painted.
     *
     * @param of {@code pain} or {@code tingling}
     * @param regions where it is read; empty for everywhere
     * @param any areas, those that count as one together
     * @param least how many have to be painted
     * @param none areas that must not be
     */
    public record Painted(
            String clue, String of, Set<String> regions, List<Set<String>> any, int least, Set<String> none) {

        /** Whether it holds for the areas that are painted. */
        public boolean holds(Set<String> areas) {
            return any.stream()
                                    .filter(each -> each.stream().anyMatch(areas::contains))
                                    .count()
                            >= least
                    && none.stream().noneMatch(areas::contains);
        }
    }

    /**
     * That a test shows what was told.
     *
     * @param shows clues that a positive repeats
     * @param clears clues that a negative repeats
     */
    public record Repeat(TestId test, CriterionId criterion, Set<String> shows, Set<String> clears) {}

    /** Loads that go with an occupation that has one of some words in it. */
    public record Occupation(List<String> words, Set<String> loads, Set<String> regions) {}

    /**
     * A step of a condition's start.
     *
     * @param logOdds added to the log-odds
     */
    public record Shift(String clue, String label, String reason, double logOdds) {}

    /**
     * What a story does to one condition.
     *
     * @param shifts steps that count
     * @param out why the condition is left out; empty where it is not
     */
    public record Effect(List<Shift> shifts, String out) {
        static final Effect NOTHING = new Effect(List.of(), "");
    }

    /**
     * The steps of a condition: of each group of clues the strongest counts once, equal ones for and against cancel,
     * and all together move no further than the most.
     *
     * @param counts which clues may move this condition
     */
    public Effect effect(ConditionId condition, HeardStory heard, Predicate<String> counts) {
        List<StoryRow> holding = rows.getOrDefault(condition, List.of()).stream()
                .filter(row -> row.counts(heard) && counts.test(row.clue()))
                .toList();
        for (StoryRow row : holding) {
            if (row.strength() == 0) {
                return new Effect(List.of(), row.reason());
            }
        }
        Map<String, List<StoryRow>> byGroup = new LinkedHashMap<>();
        holding.forEach(row -> byGroup.computeIfAbsent(
                        groups.getOrDefault(row.clue(), row.ofAge() ? StoryRow.AGE : row.clue()),
                        group -> new ArrayList<>())
                .add(row));
        List<Shift> shifts = new ArrayList<>();
        byGroup.values().forEach(group -> strongest(group, shifts));
        double sum = shifts.stream().mapToDouble(Shift::logOdds).sum();
        double furthest = Math.log(most);
        if (Math.abs(sum) > furthest) {
            shifts.add(new Shift(
                    "",
                    "No further than " + Math.round(most) + " times by a story",
                    "",
                    Math.copySign(furthest, sum) - sum));
        }
        return new Effect(shifts, "");
    }

    private void strongest(List<StoryRow> group, List<Shift> shifts) {
        int most = group.stream().mapToInt(StoryRow::strength).max().orElseThrow();
        List<StoryRow> strongest =
                group.stream().filter(row -> row.strength() == most).toList();
        if (strongest.stream().map(StoryRow::up).distinct().count() == 1) {
            StoryRow row = strongest.get(0);
            shifts.add(new Shift(
                    row.clue(), label(row), row.reason(), (row.up() ? 1 : -1) * Math.log(Keyed.at(factors, most))));
        }
    }

    private String label(StoryRow row) {
        if (row.ofAge()) {
            return ages(row);
        }
        String label = labels.getOrDefault(row.clue(), row.clue());
        return row.holds() ? label : "Not: " + inSentence(label);
    }

    /**
     * A row in words.
     *
     * @param when what else has to be so; empty where nothing has
     * @param logOdds of the step; negative infinity where it leaves the condition out
     */
    public record Line(String label, String when, String reason, double logOdds) {}

    /** All rows of a condition, in the order of the content. */
    public List<Line> lines(ConditionId condition) {
        return rows.getOrDefault(condition, List.of()).stream()
                .map(row -> new Line(
                        label(row),
                        row.ofAge() ? others(row, false) : others(row, true),
                        row.reason(),
                        row.strength() == 0
                                ? Double.NEGATIVE_INFINITY
                                : (row.up() ? 1 : -1) * Math.log(Keyed.at(factors, row.strength()))))
                .toList();
    }

    private String others(StoryRow row, boolean withAge) {
        List<String> others = new ArrayList<>();
        if (withAge && row.when().ages().isPresent()) {
            others.add(inSentence(ages(row)));
        }
        row.when()
                .weeks()
                .ifPresent(weeks -> others.add(
                        weeks.from() == 0
                                ? "within " + weeks.to() + " weeks"
                                : "after " + (weeks.from() - 1) + " weeks"));
        row.when().with().forEach(clue -> others.add("with: " + inSentence(Keyed.at(labels, clue))));
        row.when().without().forEach(clue -> others.add("without: " + inSentence(Keyed.at(labels, clue))));
        return String.join(", ", others);
    }

    private static String inSentence(String words) {
        return words.substring(0, 1).toLowerCase(Locale.UK) + words.substring(1);
    }

    private static String ages(StoryRow row) {
        var ages = row.when().ages().orElseThrow();
        if (ages.from() == 0) {
            return "Aged " + ages.to() + " or under";
        }
        return ages.to() >= StoryReader.OLDEST
                ? "Aged " + ages.from() + " or over"
                : "Aged " + ages.from() + " to " + ages.to();
    }

    /** Loads that go with an occupation in a region; none where it has no words that are known. */
    public Set<String> loadsOf(String occupation, String region) {
        String known = occupation.toLowerCase(Locale.UK);
        Set<String> loads = new java.util.LinkedHashSet<>();
        occupations.stream()
                .filter(each ->
                        each.regions().contains(region) && each.words().stream().anyMatch(known::contains))
                .forEach(each -> loads.addAll(each.loads()));
        return loads;
    }

    /** Every clue that some row names, in alphabetical order with the conditions that it moves. */
    public Map<String, List<ConditionId>> moves() {
        Map<String, List<ConditionId>> moves = new TreeMap<>();
        rows.values().stream()
                .flatMap(List::stream)
                .filter(row -> !row.ofAge())
                .forEach(row -> moves.computeIfAbsent(row.clue(), clue -> new ArrayList<>())
                        .add(row.condition()));
        moves.values().forEach(conditions -> conditions.sort(Comparator.comparing(ConditionId::value)));
        return moves;
    }
}
