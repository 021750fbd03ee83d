package lexicor.core.drills;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.random.RandomGenerator;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.Belief;
import lexicor.core.evidence.EvidenceInUse;
import lexicor.core.posttest.Decibans;
import lexicor.core.posttest.LogOdds;
import lexicor.core.posttest.NaturalFrequencies;
import lexicor.core.practice.PracticeGround;

/** Move a chance for one finding. */
final class MoveDrill implements DrillType {

    private static final double[] STARTS = {0.05, 0.1, 0.2, 0.3, 0.5, 0.7};

    /** How near the answer has to come, in decibans: about a fifth on the odds either way. */
    private static final double NEAR = 2;

    private final PracticeGround ground;
    private final Catalogue catalogue;

    MoveDrill(PracticeGround ground) {
        this.ground = ground;
        this.catalogue = ground.catalogue();
    }

    private Optional<EvidenceInUse> inUse(TestId test, ConditionId condition) {
        return ground.weighing().evidence().inUse(test, condition, catalogue.usualSchools());
    }

    @Override
    public List<String> about(String region) {
        return DrillType.tests(catalogue, region).stream()
                .map(catalogue::test)
                .flatMap(test -> test.reads().stream()
                        .filter(reads -> inUse(test.id(), reads.condition()).isPresent())
                        .flatMap(reads -> Stream.of("positive", "negative")
                                .map(answer -> test.id() + ":" + reads.condition() + ":" + answer)))
                .toList();
    }

    @Override
    public Made made(Drill.Item item, long seed, RandomGenerator random) {
        ExaminationTest test = catalogue.test(TestId.of(item.ids().get(0)));
        ConditionId condition = ConditionId.of(item.ids().get(1));
        boolean positive = item.ids().get(2).equals("positive");
        Belief belief = inUse(test.id(), condition).orElseThrow().belief();
        double start = STARTS[random.nextInt(STARTS.length)];
        double should =
                LogOdds.ofChance(start).times(belief.likelihoodRatio(positive)).chance();
        String name = catalogue.condition(condition).name();
        Drill drill = new Drill(
                item,
                seed,
                "Where does it stand now?",
                List.of(
                        String.format(Locale.UK, "%s stands at %.0f in 100.", name, 100 * start),
                        test.name() + " is " + item.ids().get(2) + "."),
                Optional.of(test.id().value()),
                List.of(),
                OptionalDouble.of(start));
        return new Made(drill, answer -> {
            double own = answer.chance().orElseThrow();
            double off = Decibans.of(
                    LogOdds.ofChance(own).value() - LogOdds.ofChance(should).value());
            NaturalFrequencies people =
                    NaturalFrequencies.of(start, belief.sensitivity(), belief.specificity(), positive);
            return new Drill.Marked(
                    Math.abs(off) <= NEAR,
                    List.of(),
                    OptionalDouble.of(should),
                    List.of(
                            String.format(
                                    Locale.UK,
                                    "Expected here: sensitivity %.0f, specificity %.0f in 100; likelihood ratio %.2f.",
                                    100 * belief.sensitivity(),
                                    100 * belief.specificity(),
                                    belief.likelihoodRatio(positive)),
                            String.format(
                                    Locale.UK,
                                    "Of %d people like this %d answer so; %d of them have it.",
                                    NaturalFrequencies.PEOPLE,
                                    people.answer(),
                                    people.haveAndAnswer())));
        });
    }
}
