package lexicor.core.practice;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.random.RandomGenerator;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Lock;
import lexicor.core.catalogue.Pattern;
import lexicor.core.catalogue.RedFlag;
import lexicor.core.catalogue.TestId;
import lexicor.core.draws.Draws;
import lexicor.core.examination.Answer;
import lexicor.core.examination.Side;
import lexicor.core.intake.IntakeFolder;
import lexicor.core.intake.IntakeForm;
import lexicor.core.intake.IntakeState;
import lexicor.core.intake.LockCheck;
import lexicor.core.intake.LockFinding;
import lexicor.core.intake.Person;
import lexicor.core.lookup.Keyed;
import lexicor.core.lookup.Phrase;
import lexicor.core.simulation.SimulatedClinic;
import lexicor.core.story.HeardStory;

/** Draws practice cases. The same seed, content and figures give the same case. */
public final class CaseMaker {

    private static final int MOST_TRIES = 4000;
    private static final int MOST_STORIES = 12;

    /** From this age on people are said to have retired. */
    private static final int RETIRED = 67;

    /** Weeks since what locks tests. */
    private static final int WEEKS_SINCE = 3;

    private final PracticeGround ground;
    private final Catalogue catalogue;
    private final IntakeForm form;
    private final PatientContent content;
    private final LockCheck locks;

    public CaseMaker(PracticeGround ground) {
        this.ground = ground;
        this.catalogue = ground.catalogue();
        this.form = ground.form();
        this.content = ground.content();
        this.locks = new LockCheck(catalogue);
    }

    /**
     * A case of a region.
     *
     * @param wanted kind of the case; empty to draw one
     * @param day of the visit
     * @throws IllegalArgumentException where the region is not known
     */
    public PracticeCase make(String region, Optional<PracticeKind> wanted, long seed, LocalDate day) {
        catalogue.routine(region);
        SplittableRandom random = new SplittableRandom(Draws.seed(seed, "case " + wanted));
        PracticeKind kind = wanted.orElseGet(() -> kind(random));
        CareSetting setting = random.nextInt(2) == 0 ? CareSetting.FIRST_CONTACT : CareSetting.SPECIALIST;
        Side side = random.nextInt(2) == 0 ? Side.LEFT : Side.RIGHT;
        SimulatedClinic clinic = ground.clinic(region, setting);
        for (int attempt = 0; attempt < MOST_TRIES; attempt++) {
            Set<ConditionId> present =
                    clinic.patient(Draws.seed(seed, kind + " truth " + attempt)).present();
            if (fits(kind, present, clinic)) {
                for (int story = 0; story < MOST_STORIES; story++) {
                    Optional<PracticeCase> made = tell(
                            kind,
                            region,
                            setting,
                            side,
                            seed,
                            day,
                            present,
                            new SplittableRandom(Draws.seed(seed, kind + " story " + attempt + " " + story)));
                    if (made.isPresent()) {
                        return made.get();
                    }
                }
            }
        }
        throw new IllegalStateException("no patient of kind " + kind + " came up in region " + region);
    }

    private PracticeKind kind(RandomGenerator random) {
        int sum = content.kinds().values().stream().mapToInt(each -> each).sum();
        int at = random.nextInt(sum);
        for (PracticeKind kind : PracticeKind.values()) {
            at -= Keyed.at(content.kinds(), kind);
            if (at < 0) {
                return kind;
            }
        }
        throw new IllegalStateException("no kind");
    }

    /** One thing is one condition with all that it lies within, two things are two of different families. */
    private boolean fits(PracticeKind kind, Set<ConditionId> present, SimulatedClinic clinic) {
        int things = catalogue.narrowest(present).size();
        long families = present.stream()
                .filter(condition -> catalogue.widerThan(condition).stream().noneMatch(present::contains))
                .count();
        boolean measured = present.stream().anyMatch(ground.weighing()::measured);
        return switch (kind) {
            case NOTHING -> things == 0;
            case TWO -> things == 2 && families == 2 && measured;
            case RIVAL -> things == 1 && present.stream().anyMatch(condition -> rivals(condition, present, clinic));
            case PLAIN, FLAG, LOCK -> things == 1 && measured;
        };
    }

    /** Whether some condition that is not there is mistaken for this one, by tests that figures are known of. */
    private boolean rivals(ConditionId condition, Set<ConditionId> present, SimulatedClinic clinic) {
        Pattern pattern = catalogue.patterns().get(condition);
        return pattern != null
                && pattern.rivals().stream()
                        .anyMatch(rival -> !present.contains(rival.condition())
                                && rival.tests().stream()
                                        .anyMatch(test -> clinic.tests().contains(test)));
    }

    private Optional<PracticeCase> tell(
            PracticeKind kind,
            String region,
            CareSetting setting,
            Side side,
            long seed,
            LocalDate day,
            Set<ConditionId> present,
            RandomGenerator random) {
        Person.Sex sex = random.nextInt(2) == 0 ? Person.Sex.WOMAN : Person.Sex.MAN;
        int age = age(present, sex, random);
        boolean leading = random.nextInt(10) < 6;
        String work =
                content.occupations().get(random.nextInt(content.occupations().size()));
        String occupation = age < RETIRED ? work : "Retired " + work.toLowerCase(Locale.UK);
        List<Answer> tells =
                new ArrayList<>(new StoryDraw(ground, region, present, sex, age, leading, random).answers());
        Optional<List<Answer>> safety = safety(kind, region, sex, age, day, random);
        if (safety.isEmpty()) {
            return Optional.empty();
        }
        tells.addAll(safety.get());
        PracticeCase made = new PracticeCase(
                "",
                region,
                setting,
                side,
                seed,
                day,
                age,
                sex,
                leading,
                occupation,
                opening(region, side, tells),
                present,
                tells,
                Map.of());
        return fault(made).isEmpty() ? Optional.of(made) : Optional.empty();
    }

    /** Ages come as readily as the story makes the conditions likelier at that age. */
    private int age(Set<ConditionId> present, Person.Sex sex, RandomGenerator random) {
        double[] weights = new double[content.oldest() - content.youngest() + 1];
        Map<String, Boolean> known = Map.of(sex == Person.Sex.WOMAN ? "person:woman" : "person:man", true);
        for (int year = 0; year < weights.length; year++) {
            int age = content.youngest() + year;
            weights[year] = StoryDraw.weight(
                    form.story(),
                    present,
                    new HeardStory(known, Optional.of(new Pattern.Ages(age - 1, age)), Optional.empty()));
        }
        return content.youngest() + StoryDraw.pick(weights, random);
    }

    /** Red flags and what locks tests; empty where nothing of the kind wanted can be said of this patient. */
    private Optional<List<Answer>> safety(
            PracticeKind kind, String region, Person.Sex sex, int age, LocalDate day, RandomGenerator random) {
        List<Answer> answers = new ArrayList<>();
        List<RedFlag> flags = catalogue.redFlagsOf(region);
        answers.add(Answer.of(
                IntakeFolder.RED_FLAGS,
                kind == PracticeKind.FLAG
                        ? flags.get(random.nextInt(flags.size())).id()
                        : IntakeForm.NONE));
        if (kind != PracticeKind.LOCK) {
            answers.add(Answer.of(IntakeFolder.FACTS, IntakeForm.NONE));
            return Optional.of(answers);
        }
        List<Lock.Fact> facts = catalogue.locksAsked(region).stream()
                .flatMap(lock -> lock.facts().stream())
                .filter(fact ->
                        content.canTell(IntakeFolder.FACTS + ":" + fact.id(), sex, age) && locksSome(region, fact, day))
                .toList();
        if (facts.isEmpty()) {
            return Optional.empty();
        }
        Lock.Fact fact = facts.get(random.nextInt(facts.size()));
        answers.add(Answer.of(IntakeFolder.FACTS, fact.id()));
        if (fact.weeks().isPresent()) {
            answers.add(Answer.on(IntakeFolder.FACT_DATE + fact.id(), day.minusWeeks(WEEKS_SINCE)));
        }
        return Optional.of(answers);
    }

    private boolean locksSome(String region, Lock.Fact fact, LocalDate day) {
        Set<TestId> locked = locks.locked(
                        List.of(new LockFinding(fact.id(), Optional.of(day.minusWeeks(WEEKS_SINCE)))), day)
                .keySet();
        return catalogue.routine(region).order().stream().anyMatch(locked::contains);
    }

    /** Where it hurts, and since when: what a patient says unasked. */
    private String opening(String region, Side side, List<Answer> tells) {
        String zone = tells.stream()
                .filter(answer -> answer.question().equals("zone"))
                .flatMap(answer -> answer.values().stream())
                .flatMap(value ->
                        form.zonesOf(region).stream().filter(each -> each.id().equals(value)))
                .map(IntakeForm.Zone::label)
                .findFirst()
                .orElse(region);
        String where = side.name().toLowerCase(Locale.ROOT) + " " + region;
        String since = tells.stream()
                .filter(answer -> answer.question().equals("duration"))
                .flatMap(answer -> answer.values().stream())
                .map(value -> content.says().getOrDefault("duration:" + value, ""))
                .findFirst()
                .orElse("");
        String place = zone.equalsIgnoreCase(region) ? "" : ", " + Phrase.within(zone);
        return ("It is my " + where + place + ". " + since).strip();
    }

    /**
     * What is wrong with a case as a whole; empty where everything in it can be so. A condition that needs a story has
     * it, and no two answers contradict each other.
     */
    Optional<CaseFault> fault(PracticeCase made) {
        IntakeState told = ground.told(made);
        if (!told.faults().isEmpty()) {
            IntakeState.Fault first = told.faults().get(0);
            return Optional.of(new CaseFault(first.question(), first.message()));
        }
        Set<ConditionId> wider = new LinkedHashSet<>();
        made.present().forEach(condition -> wider.addAll(catalogue.widerThan(condition)));
        for (ConditionId condition : made.present()) {
            List<Pattern.Clue> onlyIf = catalogue.condition(condition).onlyIf();
            if (!onlyIf.isEmpty()
                    && onlyIf.stream().noneMatch(clue -> told.cluesThatHold().contains(clue.id()))) {
                return Optional.of(new CaseFault(
                        "truth",
                        catalogue.condition(condition).name() + " needs a story; allowed: "
                                + String.join(
                                        ", or ",
                                        onlyIf.stream().map(Pattern.Clue::label).toList())));
            }
            String out =
                    form.story().effect(condition, told.story(), clue -> true).out();
            if (!out.isEmpty() && !wider.contains(condition)) {
                return Optional.of(
                        new CaseFault("truth", catalogue.condition(condition).name() + " cannot be: " + out));
            }
        }
        return Optional.empty();
    }

    /** A part of a case that does not go with the others. */
    record CaseFault(String field, String message) {}
}
