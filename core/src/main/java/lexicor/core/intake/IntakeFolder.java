package lexicor.core.intake;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.RedFlag;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Answer;
import lexicor.core.examination.History;

/** Draws together what follows from the answers of an intake. Nothing here asks the clock. */
public final class IntakeFolder {

    /** The question about red flags. */
    public static final String RED_FLAGS = "red-flags";

    /** The question about what locks tests. */
    public static final String FACTS = "facts";

    /** Before the fact whose day is asked. */
    public static final String FACT_DATE = "fact-date:";

    static final String LOAD = "load";
    static final String NO_TINGLING = "tingling-areas:" + IntakeForm.NONE;

    private final Catalogue catalogue;
    private final IntakeForm form;
    private final LockCheck lockCheck;

    public IntakeFolder(Catalogue catalogue, IntakeForm form) {
        this.catalogue = catalogue;
        this.form = form;
        this.lockCheck = new LockCheck(catalogue);
    }

    /**
     * @param region of the examination
     * @param told the answers so far
     * @param birthYear of the patient; empty where nobody knows
     * @param today the day of the examination
     */
    public IntakeState fold(String region, IntakeAnswers told, OptionalInt birthYear, LocalDate today) {
        return fold(region, told, Person.born(birthYear), today);
    }

    /** The same of somebody of whom the case says more. */
    public IntakeState fold(String region, IntakeAnswers told, Person person, LocalDate today) {
        List<IntakeState.Fault> faults = new ArrayList<>();
        Map<String, Boolean> clues = clues(region, told, person.birthYear(), today);
        contradictions(region, told, faults);
        Set<String> zones = new LinkedHashSet<>(told.values("zone"));
        form.zonesOf(region).stream()
                .filter(zone -> zone.clue().isPresent()
                        && clues.getOrDefault(zone.clue().get(), false))
                .forEach(zone -> zones.add(zone.id()));
        List<LockFinding> facts = facts(region, told, today, faults);
        Set<String> assumed =
                told.values(LOAD).isEmpty() ? form.story().loadsOf(person.occupation(), region) : Set.of();
        return new IntakeState(
                clues,
                zones,
                inZone(region, zones),
                screen(region, told),
                facts,
                lockCheck.locked(facts, today),
                overrides(told),
                own(told),
                width(told),
                schools(told),
                new StoryListener(form).listen(region, told, person, facts, assumed, today),
                assumed,
                faults);
    }

    private Map<String, Boolean> clues(String region, IntakeAnswers told, OptionalInt birthYear, LocalDate today) {
        Map<String, Boolean> clues = new LinkedHashMap<>();
        for (IntakeForm.Question question : form.questionsOf(region)) {
            List<String> values = told.values(question.id());
            if (values.isEmpty()) {
                continue;
            }
            boolean allAsked = !question.many() || values.contains(IntakeForm.NONE);
            for (IntakeForm.Option option : question.options(region)) {
                boolean holds = values.contains(option.value());
                if (holds || allAsked) {
                    option.clues().forEach(clue -> clues.merge(clue, holds, Boolean::logicalOr));
                }
            }
        }
        birthYear.ifPresent(year -> ages(clues, year, today));
        return clues;
    }

    /** The year of birth leaves two possible ages; a clue of age is known only where both say the same. */
    private void ages(Map<String, Boolean> clues, int birthYear, LocalDate today) {
        int older = today.getYear() - birthYear;
        int younger = Math.max(0, older - 1);
        catalogue.clues().values().stream()
                .filter(clue -> clue.age().isPresent())
                .sorted((a, b) -> a.id().compareTo(b.id()))
                .forEach(clue -> {
                    boolean ifOlder = clue.age().get().contains(older);
                    if (ifOlder == clue.age().get().contains(younger)) {
                        clues.put(clue.id(), ifOlder);
                    }
                });
    }

    private void contradictions(String region, IntakeAnswers told, List<IntakeState.Fault> faults) {
        for (IntakeForm.Question question : form.questionsOf(region)) {
            for (IntakeForm.Option option : question.options(region)) {
                if (told.values(question.id()).contains(option.value())) {
                    option.notWith()
                            .forEach((other, values) -> told.values(other).stream()
                                    .filter(values::contains)
                                    .findFirst()
                                    .ifPresent(value -> faults.add(new IntakeState.Fault(
                                            question.id(), contradiction(option, other, value)))));
                }
            }
        }
    }

    private String contradiction(IntakeForm.Option option, String other, String value) {
        IntakeForm.Question question = form.question(other).orElseThrow();
        String label = question.options().stream()
                .filter(each -> each.value().equals(value))
                .findFirst()
                .orElseThrow()
                .label();
        return "“" + option.label() + "” does not go with “" + question.ask().replace("?", "") + ": "
                + label.toLowerCase(Locale.UK) + "”. Change one of the two.";
    }

    private List<LockFinding> facts(
            String region, IntakeAnswers told, LocalDate today, List<IntakeState.Fault> faults) {
        List<LockFinding> findings = new ArrayList<>();
        Set<String> asked = new LinkedHashSet<>();
        catalogue.locksAsked(region).forEach(lock -> lock.facts().forEach(fact -> asked.add(fact.id())));
        Set<String> holding = new LinkedHashSet<>(told.values(FACTS));
        form.follows().stream().filter(follows -> follows.holds(told)).forEach(follows -> holding.add(follows.fact()));
        for (String fact : holding) {
            if (asked.contains(fact)) {
                Optional<LocalDate> day = told.answer(FACT_DATE + fact)
                        .flatMap(heard -> heard.answer().on());
                if (day.isPresent() && day.get().isAfter(today)) {
                    faults.add(new IntakeState.Fault(
                            FACT_DATE + fact,
                            "This day lies ahead. Allowed: up to today, " + today
                                    + ". Until it is put right, the tests stay locked."));
                    day = Optional.empty();
                }
                findings.add(new LockFinding(fact, day));
            }
        }
        return findings;
    }

    /** Replays the answers in order: a flag that is found again after its release suspends anew. */
    private SafetyScreen screen(String region, IntakeAnswers told) {
        SafetyScreen screen = SafetyScreen.of(catalogue, region);
        List<String> asked = screen.asked().stream().map(RedFlag::id).toList();
        List<String> before = List.of();
        for (History.Heard heard : told.inOrder()) {
            Answer answer = heard.answer();
            if (answer.question().equals(RED_FLAGS)) {
                for (String flag : asked) {
                    boolean present = answer.values().contains(flag);
                    if (present != before.contains(flag)) {
                        screen = screen.answered(flag, present);
                    }
                }
                screen =
                        answer.values().contains(IntakeForm.NONE) ? screen.noneOfThese() : screen.onlyPresentAnswered();
                before = answer.values();
            } else if (answer.kind().equals("release")
                    && before.contains(answer.about())
                    && asked.contains(answer.about())) {
                screen = screen.released(
                        answer.about(), new SafetyScreen.Release(heard.author(), heard.at(), answer.words()));
            }
        }
        return screen;
    }

    private Set<ConditionId> inZone(String region, Set<String> open) {
        Set<ConditionId> conditions = new LinkedHashSet<>();
        for (IntakeForm.Zone zone : form.zonesOf(region)) {
            if (open.isEmpty() || open.contains(zone.id()) || onlyStoryZones(region, open)) {
                conditions.addAll(zone.conditions());
            }
        }
        return conditions;
    }

    /** A zone that opened by itself says nothing about where it hurts. */
    private boolean onlyStoryZones(String region, Set<String> open) {
        return form.zonesOf(region).stream()
                .filter(zone -> open.contains(zone.id()))
                .allMatch(zone -> zone.clue().isPresent());
    }

    private Map<TestId, IntakeState.Override> overrides(IntakeAnswers told) {
        Map<TestId, IntakeState.Override> overrides = new LinkedHashMap<>();
        told.about("override").forEach((test, heard) -> {
            if (!heard.answer().words().isBlank()) {
                overrides.put(
                        TestId.of(test),
                        new IntakeState.Override(
                                heard.author(), heard.at(), heard.answer().words()));
            }
        });
        return overrides;
    }

    private static Map<ConditionId, Double> own(IntakeAnswers told) {
        Map<ConditionId, Double> own = new LinkedHashMap<>();
        told.about("start")
                .forEach((condition, heard) ->
                        heard.answer().number().ifPresent(chance -> own.put(ConditionId.of(condition), chance)));
        return own;
    }

    private static StartingOdds.Width width(IntakeAnswers told) {
        return told.values("width").stream()
                .findFirst()
                .map(value -> StartingOdds.Width.valueOf(value.toUpperCase(Locale.ROOT)))
                .orElse(StartingOdds.Width.USUAL);
    }

    private Map<String, String> schools(IntakeAnswers told) {
        Map<String, String> schools = new LinkedHashMap<>();
        told.about("school")
                .forEach((question, heard) -> heard.answer().values().stream()
                        .filter(choice -> catalogue.hasSchool(question, choice))
                        .findFirst()
                        .ifPresent(choice -> schools.put(question, choice)));
        return schools;
    }
}
