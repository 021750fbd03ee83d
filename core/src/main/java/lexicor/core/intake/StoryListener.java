package lexicor.core.intake;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lexicor.core.catalogue.Pattern;
import lexicor.core.lookup.Keyed;
import lexicor.core.story.HeardStory;
import lexicor.core.story.Weeks;

/** Takes from the answers of an intake, from the drawings and from the case what the story is read for. */
final class StoryListener {

    private static final String DURATION = "duration";
    private final IntakeForm form;

    StoryListener(IntakeForm form) {
        this.form = form;
    }

    /**
     * @param facts facts that hold, with their days
     * @param assumed clues taken from the occupation
     */
    HeardStory listen(
            String region,
            IntakeAnswers told,
            Person person,
            List<LockFinding> facts,
            Collection<String> assumed,
            LocalDate today) {
        Map<String, Boolean> clues = new LinkedHashMap<>();
        Optional<Weeks> weeks = answered(region, told, clues);
        painted(region, told, clues);
        facts.forEach(fact -> clues.put(IntakeFolder.FACTS + ":" + fact.fact(), true));
        assumed.forEach(clue -> clues.putIfAbsent(clue, true));
        person(person, clues);
        Optional<Weeks> dated = facts.stream()
                .flatMap(fact -> fact.on().stream())
                .filter(day -> !day.isAfter(today))
                .max(LocalDate::compareTo)
                .map(day -> (int) ChronoUnit.WEEKS.between(day, today))
                .map(since -> new Weeks(since, since));
        dated.ifPresent(since -> durations(since, clues));
        return new HeardStory(clues, ages(person, today), dated.or(() -> weeks));
    }

    private Optional<Weeks> answered(String region, IntakeAnswers told, Map<String, Boolean> clues) {
        Optional<Weeks> weeks = Optional.empty();
        for (IntakeForm.Question question : form.questionsOf(region)) {
            List<String> values = told.values(question.id());
            if (values.isEmpty()) {
                continue;
            }
            boolean allAsked = !question.many() || values.contains(IntakeForm.NONE);
            for (IntakeForm.Option option : question.options(region)) {
                boolean holds = values.contains(option.value());
                if (holds || allAsked) {
                    clues.put(question.id() + ":" + option.value(), holds);
                }
                if (holds) {
                    option.implies().forEach(clue -> clues.put(clue, true));
                    weeks = option.weeks().isPresent() ? option.weeks() : weeks;
                }
            }
        }
        return weeks;
    }

    private void painted(String region, IntakeAnswers told, Map<String, Boolean> clues) {
        Map<String, Set<String>> areas = Map.of(
                "pain", Set.copyOf(told.values("pain-areas")), "tingling", Set.copyOf(told.values("tingling-areas")));
        form.story().painted().stream()
                .filter(each -> each.regions().isEmpty() || each.regions().contains(region))
                .filter(each -> each.holds(Keyed.at(areas, each.of())))
                .forEach(each -> clues.put(each.clue(), true));
        if (Keyed.at(areas, "tingling").contains(IntakeForm.NONE)) {
            clues.put(IntakeFolder.NO_TINGLING, true);
        }
    }

    /** A day that is known tells better how long ago it was than the answer to the question does. */
    private void durations(Weeks since, Map<String, Boolean> clues) {
        form.question(DURATION)
                .ifPresent(question -> question.options()
                        .forEach(option -> clues.put(
                                DURATION + ":" + option.value(),
                                option.weeks()
                                        .filter(within -> within.contains(since))
                                        .isPresent())));
    }

    private static void person(Person person, Map<String, Boolean> clues) {
        person.sex().ifPresent(sex -> clues.put(sex == Person.Sex.WOMAN ? "person:woman" : "person:man", true));
        if (person.bothSides()) {
            clues.put("person:both-sides", true);
        } else {
            person.leading()
                    .ifPresent(leading -> clues.put(leading ? "person:leading-side" : "person:non-leading-side", true));
        }
    }

    private static Optional<Pattern.Ages> ages(Person person, LocalDate today) {
        if (person.birthYear().isEmpty()) {
            return Optional.empty();
        }
        int older = today.getYear() - person.birthYear().getAsInt();
        return Optional.of(new Pattern.Ages(Math.max(0, older - 1), Math.max(0, older)));
    }
}
