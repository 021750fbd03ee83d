package lexicor.core.planning;

import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.Pattern;
import lexicor.core.catalogue.TestId;
import lexicor.core.lookup.Keyed;
import lexicor.core.nexttest.JointInformation;
import lexicor.core.weighing.Standing;

/** What open tests are for in a situation, by rules of their own beside what tells most together. */
final class Purposes {

    /** Provocation that would spoil a measure taken afterwards. */
    static final int PROVOKES = 2;

    /** Of how many of the likeliest conditions a plan speaks, whatever tells most. */
    private static final int LIKELIEST = 3;

    /** Of how many conditions it speaks at most for their own sake. */
    private static final int MOST_SPREAD = 6;

    /** How many times its odds a condition is up for the story to point at it. */
    private static final double RAISED = 2;

    private final Catalogue catalogue;
    private final Situation situation;
    private final JointInformation nothing;
    private final ToDoubleFunction<TestId> seconds;

    /** The likeliest condition of each family that a test can tell anything about, the likeliest family first. */
    private final List<Standing> families;

    private final Set<TestId> waiting;

    private final List<TestId> proposable;

    Purposes(Catalogue catalogue, Situation situation, JointInformation nothing, ToDoubleFunction<TestId> seconds) {
        this.catalogue = catalogue;
        this.situation = situation;
        this.nothing = nothing;
        this.seconds = seconds;
        this.proposable = situation.proposable();
        this.families = families();
        this.waiting = waiting();
    }

    /** What belongs to every examination of the region, whatever the therapist does otherwise. */
    List<Reason> always() {
        return catalogue.routine(situation.visit().region()).always().stream()
                .filter(situation.doable()::contains)
                .map(test -> Reason.of(test, Why.SAFETY))
                .toList();
    }

    /**
     * Whether a test is about conditions of other regions alone that a screen asks for first, and that are not likely:
     * until the screen is answered, further tests about them are not worth the time.
     */
    boolean waitsForScreen(TestId test) {
        return waiting.contains(test);
    }

    private Set<TestId> waiting() {
        Set<TestId> screens = always().stream().map(Reason::test).collect(Collectors.toSet());
        Set<ConditionId> screened = screens.stream()
                .flatMap(screen -> catalogue.test(screen).reads().stream())
                .map(ConditionReading::condition)
                .filter(condition -> !catalogue
                        .condition(condition)
                        .region()
                        .equals(situation.visit().region()))
                .collect(Collectors.toSet());
        double likely = situation.visit().assumptions().thresholds().test();
        List<Standing> ready = inPlay(
                standing -> !screened.contains(standing.condition().id())
                        || standing.now() >= likely
                        || raisedByStory(standing),
                least());
        return proposable.stream()
                .filter(test -> !screens.contains(test))
                .filter(test -> catalogue.test(test).reads().stream()
                        .anyMatch(reading -> screened.contains(reading.condition())))
                .filter(test -> ready.stream().noneMatch(standing -> reads(test, standing)))
                .collect(Collectors.toUnmodifiableSet());
    }

    /** Measures that provoking would spoil; none where nothing provokes. */
    List<Reason> measures() {
        boolean provokes =
                proposable.stream().anyMatch(test -> catalogue.test(test).provocation() >= PROVOKES);
        return provokes
                ? open(catalogue.routine(situation.visit().region()).first().stream()
                        .map(test -> Reason.of(test, Why.MEASURE))
                        .toList())
                : List.of();
    }

    /** Of those, the ones that a condition in play is read from. */
    List<Reason> neededMeasures() {
        return measures().stream()
                .filter(reason -> !inPlay(standing -> reads(reason.test(), standing), least())
                        .isEmpty())
                .toList();
    }

    private boolean reads(TestId test, Standing standing) {
        return catalogue.test(test).readingFor(standing.condition().id()).isPresent();
    }

    /** Tests that the story or a finding asks for. */
    List<Reason> lookedFor() {
        return open(situation.looking().first().entrySet().stream()
                .map(each -> Reason.of(each.getKey(), Why.SERIOUS, each.getValue()))
                .toList());
    }

    /**
     * For each serious condition that is looked for the test that tells most about it for its time, the most telling
     * first.
     */
    List<Reason> serious() {
        return bestFor(
                        inPlay(
                                standing -> standing.condition().serious().isPresent()
                                        && standing.now()
                                                >= situation
                                                        .looking()
                                                        .from()
                                                        .applyAsDouble(standing.condition()
                                                                .id()),
                                0),
                        Why.SERIOUS,
                        seconds)
                .stream()
                .sorted(Comparator.comparingDouble((Reason reason) ->
                                nothing.gain(reason.test(), reason.about().orElseThrow())
                                        / seconds.applyAsDouble(reason.test()))
                        .reversed())
                .toList();
    }

    /** The same for the likeliest conditions and for those that the story has raised, one of each family. */
    List<Reason> spread() {
        return bestFor(
                Stream.concat(
                                families.stream().limit(LIKELIEST),
                                families.stream().skip(LIKELIEST).filter(this::raisedByStory))
                        .limit(MOST_SPREAD)
                        .toList(),
                Why.SPREAD,
                seconds);
    }

    /** The test that tells most about each of the likeliest conditions, whatever its time. */
    List<Reason> telling() {
        return bestFor(families.stream().limit(LIKELIEST).toList(), Why.SPREAD, test -> 1);
    }

    private List<Standing> families() {
        Map<ConditionId, Standing> families = new LinkedHashMap<>();
        inPlay(standing -> true, least()).stream()
                .filter(standing -> proposable.stream()
                        .anyMatch(
                                test -> nothing.gain(test, standing.condition().id()) > 0))
                .forEach(standing ->
                        families.putIfAbsent(nothing.family(standing.condition().id()), standing));
        return List.copyOf(families.values());
    }

    /** Whether what was told, or found since, has at least doubled the odds with which a condition starts. */
    private boolean raisedByStory(Standing standing) {
        double start = Keyed.at(standing.condition().start(), situation.visit().setting());
        return odds(standing.now()) >= RAISED * odds(start);
    }

    private static double odds(double chance) {
        return chance / (1 - chance);
    }

    /** Whether some tests already tell something worth having about what a further one is in for. */
    boolean served(Reason reason, Collection<TestId> tests) {
        return reason.about().stream()
                .anyMatch(condition -> tests.stream()
                        .anyMatch(test -> nothing.gain(test, condition)
                                >= catalogue.effort().leastBits()));
    }

    /** Open tests by which a condition in play is defined, the likeliest condition first. */
    List<Reason> defining() {
        return open(inPlay(standing -> true, least()).stream()
                .flatMap(standing -> pattern(standing).stream()
                        .flatMap(pattern -> pattern.defining().stream())
                        .map(expected -> Reason.of(
                                expected.test(),
                                Why.DEFINITION,
                                standing.condition().id())))
                .toList());
    }

    /**
     * Open tests of the pictures of conditions in play that no figures speak of, what serves most of them for its time
     * first.
     */
    List<Reason> pictured() {
        Map<TestId, Double> serves = new LinkedHashMap<>();
        Map<TestId, ConditionId> about = new LinkedHashMap<>();
        inPlay(standing -> !standing.informed() && !standing.measured(), least())
                .forEach(standing -> standing.pattern().notExamined().forEach(expected -> {
                    serves.merge(expected.test(), standing.before(), Double::sum);
                    about.putIfAbsent(expected.test(), standing.condition().id());
                }));
        return open(serves.keySet().stream()
                .sorted(Comparator.comparingDouble(
                                (TestId test) -> Keyed.at(serves, test) / seconds.applyAsDouble(test))
                        .reversed())
                .map(test -> Reason.of(test, Why.PICTURE, Keyed.at(about, test)))
                .toList());
    }

    private double least() {
        return situation.visit().assumptions().thresholds().setAside();
    }

    /** For each condition the test that tells most about it for what it costs; none where no test tells enough. */
    private List<Reason> bestFor(List<Standing> standings, Why why, ToDoubleFunction<TestId> cost) {
        return standings.stream()
                .map(standing -> standing.condition().id())
                .flatMap(condition -> proposable.stream()
                        .filter(test -> nothing.gain(test, condition)
                                >= catalogue.effort().leastBits())
                        .max(Comparator.comparingDouble(
                                test -> nothing.gain(test, condition) / cost.applyAsDouble(test)))
                        .map(test -> Reason.of(test, why, condition))
                        .stream())
                .toList();
    }

    private List<Standing> inPlay(Predicate<Standing> wanted, double least) {
        return situation.ranking().standings().stream()
                .filter(standing -> standing.inPlay(least))
                .filter(wanted)
                .sorted(Comparator.comparingDouble(Standing::now).reversed())
                .toList();
    }

    private Optional<Pattern> pattern(Standing standing) {
        return Optional.ofNullable(catalogue.patterns().get(standing.condition().id()));
    }

    /** Those that may be done, each once. */
    private List<Reason> open(List<Reason> reasons) {
        Map<TestId, Reason> first = new LinkedHashMap<>();
        reasons.stream()
                .filter(reason -> proposable.contains(reason.test()))
                .forEach(reason -> first.putIfAbsent(reason.test(), reason));
        return List.copyOf(first.values());
    }

    /** What every open test that is for something is for. */
    Map<TestId, Reason> all() {
        Stream<Reason> informing = proposable.stream()
                .filter(test -> nothing.gain(test) >= catalogue.effort().leastBits())
                .map(test -> Reason.of(test, Why.INFORMATION));
        Map<TestId, Reason> all = new LinkedHashMap<>();
        Stream.of(
                        always().stream(),
                        lookedFor().stream(),
                        measures().stream(),
                        serious().stream(),
                        spread().stream(),
                        defining().stream(),
                        informing,
                        pictured().stream())
                .flatMap(reasons -> reasons)
                .forEach(reason -> all.putIfAbsent(reason.test(), reason));
        return all;
    }
}
