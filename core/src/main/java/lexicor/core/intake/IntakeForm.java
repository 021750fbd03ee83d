package lexicor.core.intake;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.examination.Answer;
import lexicor.core.story.StoryTable;
import lexicor.core.story.Weeks;

/**
 * What is asked before the hands, as content.
 *
 * @param revision short fingerprint of the content
 * @param zones where it may hurt, by region
 * @param drawings where pain and tingling can be painted
 * @param follows facts that follow from answers
 * @param story what the answers do to the starting chances
 */
public record IntakeForm(
        String revision,
        List<Zone> zones,
        List<Drawing> drawings,
        List<Question> questions,
        List<Follows> follows,
        StoryTable story) {

    /** The answer that says none of the options holds. */
    public static final String NONE = "none";

    private static final Set<String> KEPT = Set.of("zone", IntakeFolder.FACTS, "fact-date", "school");

    public IntakeForm {
        zones = List.copyOf(zones);
        drawings = List.copyOf(drawings);
        questions = List.copyOf(questions);
        follows = List.copyOf(follows);
    }

    /** The form that ships with the product. */
    public static IntakeForm shipped(Catalogue catalogue) {
        return IntakeReader.shipped(catalogue);
    }

    /**
     * A zone of a region.
     *
     * @param clue opens the zone by itself once it holds; empty where the zone is chosen
     * @param conditions that start at their full estimate there
     */
    public record Zone(String id, String region, String label, Optional<String> clue, Set<ConditionId> conditions) {}

    /** A drawing with the names of its areas by id. */
    public record Drawing(String view, List<String> regions, Map<String, String> areas) {}

    /**
     * A question.
     *
     * @param options empty for a scale
     * @param many whether several options may hold
     * @param none words of the answer that none holds; empty where there is no such answer
     * @param scale whole numbers allowed; empty for options
     * @param again whether a re-examination asks it anew
     * @param words whether it is answered in free words
     * @param where answers to other questions of which one has to hold for it to make sense; empty where it always does
     */
    public record Question(
            String id,
            String ask,
            List<Option> options,
            boolean many,
            Optional<String> none,
            Optional<Scale> scale,
            boolean again,
            boolean words,
            Map<String, List<String>> where) {

        /** The options that are offered for a region. */
        public List<Option> options(String region) {
            return options.stream()
                    .filter(option ->
                            option.regions().isEmpty() || option.regions().contains(region))
                    .toList();
        }
    }

    /** A scale of whole numbers, both ends included. */
    public record Scale(int from, int to) {}

    /**
     * A possible answer.
     *
     * @param regions where it is offered; empty for everywhere
     * @param clues that hold with it
     * @param notWith answers to other questions that contradict it, by question
     * @param implies clues of the story that hold with it beside its own
     * @param weeks how long ago it says that something began; empty where it does not
     * @param where answers to other questions of which one has to hold for it to make sense; empty where it always does
     */
    public record Option(
            String value,
            String label,
            List<String> regions,
            List<String> clues,
            Map<String, List<String>> notWith,
            List<String> implies,
            Optional<Weeks> weeks,
            Map<String, List<String>> where) {}

    /** A fact that holds when a scale reaches a value and all given options hold. */
    public record Follows(String fact, String scale, int from, Map<String, List<String>> and) {

        boolean holds(IntakeAnswers told) {
            OptionalInt value = told.whole(scale);
            return value.isPresent()
                    && value.getAsInt() >= from
                    && and.entrySet().stream()
                            .allMatch(entry ->
                                    told.values(entry.getKey()).stream().anyMatch(entry.getValue()::contains));
        }
    }

    /** Ids of everything that a story can tell. */
    public Set<String> clues() {
        return story.labels().keySet();
    }

    /** The names of all zones. */
    public Set<String> zoneNames() {
        return zones.stream().map(Zone::id).collect(Collectors.toUnmodifiableSet());
    }

    /** The zones of a region. */
    public List<Zone> zonesOf(String region) {
        return zones.stream().filter(zone -> zone.region().equals(region)).toList();
    }

    /** The drawings for a region. */
    public List<Drawing> drawingsOf(String region) {
        return drawings.stream()
                .filter(drawing -> drawing.regions().contains(region))
                .toList();
    }

    /** The questions that have something to answer for a region. */
    public List<Question> questionsOf(String region) {
        return questions.stream()
                .filter(question -> question.scale().isPresent()
                        || question.words()
                        || !question.options(region).isEmpty())
                .toList();
    }

    /**
     * Whether a re-examination begins with this answer: not what is asked anew, nor what was decided about one visit.
     */
    public boolean keeps(Answer answer) {
        return question(answer.question()).map(question -> !question.again()).orElse(KEPT.contains(answer.kind()));
    }

    /** The question of an id; empty where there is none. */
    public Optional<Question> question(String id) {
        return questions.stream().filter(question -> question.id().equals(id)).findFirst();
    }
}
