package lexicor.core.drills;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.random.RandomGenerator;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Pattern;
import lexicor.core.lookup.Phrase;
import lexicor.core.nexttest.ExpectedInformation;
import lexicor.core.nexttest.Separation;
import lexicor.core.practice.PracticeGround;

/** Choose the test that tells two conditions apart better. */
final class SeparateDrill implements DrillType {

    /** How many times as far the better test tells them apart, at least. */
    private static final double CLEARLY = 1.6;

    private final PracticeGround ground;
    private final Catalogue catalogue;
    private final Map<String, ExpectedInformation> informations = new ConcurrentHashMap<>();
    private final Map<String, List<Separation>> known = new ConcurrentHashMap<>();

    SeparateDrill(PracticeGround ground) {
        this.ground = ground;
        this.catalogue = ground.catalogue();
    }

    @Override
    public List<String> about(String region) {
        List<String> pairs = new ArrayList<>();
        Set<ConditionId> ranked = ground.everything(region).starts().keySet();
        for (Condition condition : catalogue.conditionsOf(region)) {
            Pattern pattern = catalogue.patterns().get(condition.id());
            if (pattern != null) {
                pattern.rivals().stream()
                        .filter(rival -> ranked.contains(rival.condition())
                                && !catalogue.related(condition.id(), rival.condition()))
                        .map(rival -> condition.id() + ":" + rival.condition())
                        .filter(pair -> !choices(pair, region).isEmpty())
                        .forEach(pairs::add);
            }
        }
        return pairs;
    }

    private List<Separation> separations(String pair, String region) {
        return known.computeIfAbsent(pair + " " + region, each -> {
            String[] ids = pair.split(":");
            return informations
                    .computeIfAbsent(
                            region,
                            here -> ExpectedInformation.of(ground.weighing(), ground.everything(here), List.of()))
                    .separating(ConditionId.of(ids[0]), ConditionId.of(ids[1]), DrillType.tests(catalogue, region));
        });
    }

    /** Tests that are clearly worse than the best. */
    private List<Separation> choices(String pair, String region) {
        List<Separation> all = separations(pair, region);
        return all.isEmpty()
                ? List.of()
                : all.stream()
                        .filter(each -> all.get(0).decibans() > CLEARLY * each.decibans())
                        .toList();
    }

    @Override
    public Made made(Drill.Item item, long seed, RandomGenerator random) {
        Separation best = separations(item.about(), item.region()).get(0);
        List<Separation> worse = choices(item.about(), item.region());
        Separation other = worse.get(random.nextInt(worse.size()));
        String one = name(item.ids().get(0));
        String two = name(item.ids().get(1));
        Drill drill = new Drill(
                item,
                seed,
                "Which of the two tells " + Phrase.within(one) + " from " + Phrase.within(two) + " better?",
                List.of(),
                Optional.empty(),
                DrillType.shuffled(List.of(best, other), random).stream()
                        .map(each -> new Drill.Option(
                                each.test().value(), catalogue.test(each.test()).name(), false))
                        .toList(),
                OptionalDouble.empty());
        return new Made(
                drill,
                answer -> new Drill.Marked(
                        answer.values().equals(List.of(best.test().value())),
                        List.of(best.test().value()),
                        OptionalDouble.empty(),
                        List.of(String.format(
                                Locale.UK,
                                "%s parts them by %.1f decibans on average, %s by %.1f.",
                                catalogue.test(best.test()).shortName(),
                                best.decibans(),
                                Phrase.within(catalogue.test(other.test()).shortName()),
                                other.decibans()))));
    }

    private String name(String condition) {
        return catalogue.condition(ConditionId.of(condition)).name();
    }
}
