package lexicor.core.practice;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.random.RandomGenerator;
import java.util.stream.Stream;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.CueCard;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.catalogue.Pattern;
import lexicor.core.catalogue.Stage;
import lexicor.core.catalogue.TestId;
import lexicor.core.catalogue.Way;
import lexicor.core.draws.Draws;
import lexicor.core.evidence.EvidenceInUse;
import lexicor.core.examination.Part;
import lexicor.core.simulation.ResponseBook;
import lexicor.core.simulation.SimulatedPatient;

/**
 * The patient of a practice case: what a test brings out of somebody with these conditions, done in this way. The
 * answer to a test stays the same however often it is asked for; guarding and compensations differ from go to go.
 */
final class PracticePatient {

    private static final int MOST_STEPS_OFF = 1;

    private final PracticeGround ground;
    private final PracticeCase known;
    private final SimulatedPatient patient;

    PracticePatient(PracticeGround ground, PracticeCase known) {
        this.ground = ground;
        this.known = known;
        this.patient = ground.clinic(known.region(), known.setting()).patient(known.present(), known.seed());
    }

    /**
     * How a test is done.
     *
     * @param way its name in the record
     * @param go number of the go, from 1
     * @param pain how much it hurts already, 0 to 10
     */
    record How(String way, boolean wellFirst, int go, double pain) {}

    /** What both sides answer; nothing of the well side where it is not done. */
    record Answered(List<Part> here, List<Part> well) {}

    Answered answer(TestId id, How how) {
        ExaminationTest test = ground.catalogue().test(id);
        RandomGenerator random = new SplittableRandom(Draws.seed(known.seed(), id + " go " + how.go()));
        List<Part> well = wellSide(test, how);
        if (guards(test, how, random)) {
            return new Answered(
                    List.of(new Part.Chosen(PartDefinition.QUALITY, PartDefinition.GUARDED, Part.Context.PLAIN)), well);
        }
        List<Part> here = new ArrayList<>(response(test, how));
        for (CueCard.Watch watch : test.card().watch()) {
            if (random.nextDouble() < ground.content().compensating()) {
                here.add(new Part.Chosen(PartDefinition.QUALITY, watch.value(), Part.Context.PLAIN));
            }
        }
        return new Answered(here, well);
    }

    private boolean guards(ExaminationTest test, How how, RandomGenerator random) {
        PatientContent.Guarding guarding = ground.content().guarding();
        double chance = guarding.eachStep() * test.provocation();
        if (test.provocation() > 0) {
            chance += how.wellFirst() || test.wellSideParts().isEmpty() ? 0 : guarding.wellSideNotShown();
            chance += how.pain() >= guarding.soreFrom() ? guarding.sore() : 0;
        }
        return random.nextDouble() < (how.go() > 1 ? chance * (1 - guarding.afterPause()) : chance);
    }

    private List<Part> wellSide(ExaminationTest test, How how) {
        return how.wellFirst() && !test.wellSideParts().isEmpty()
                ? ground.responses(test.id()).responses(Set.of()).get(0).well()
                : List.of();
    }

    private List<Part> response(ExaminationTest test, How how) {
        if (known.fixed().containsKey(test.id())) {
            return known.fixed().get(test.id());
        }
        RandomGenerator random = new SplittableRandom(Draws.seed(known.seed(), test.id() + " " + how.way()));
        Set<ResponseBook.Wanted> wanted = wanted(test, how.way(), random);
        List<ResponseBook.Response> fitting = ground.responses(test.id()).responses(wanted);
        ResponseBook.Response chosen = fitting.get(random.nextInt(fitting.size()));
        return measured(test, chosen, wanted, random);
    }

    /** Measures lie a step beside what was found, wherever that is read alike. */
    private List<Part> measured(
            ExaminationTest test,
            ResponseBook.Response response,
            Set<ResponseBook.Wanted> wanted,
            RandomGenerator random) {
        List<Part> beside = response.here().stream()
                .map(part -> part instanceof Part.Measured measure
                                && test.part(part.key()).orElse(null) instanceof PartDefinition.Measure scale
                        ? beside(measure, scale, random.nextInt(2 * MOST_STEPS_OFF + 1) - MOST_STEPS_OFF)
                        : part)
                .toList();
        return ResponseBook.inOrder(beside)
                        && ground.responses(test.id()).missed(beside, response.well(), wanted) == response.missed()
                ? beside
                : response.here();
    }

    private static Part beside(Part.Measured measure, PartDefinition.Measure scale, int steps) {
        double value = measure.value() + steps * scale.step();
        return value < scale.least() || value > scale.most()
                ? measure
                : new Part.Measured(measure.key(), value, measure.unit(), measure.context());
    }

    /** How the answer is to be read for every condition that the test speaks about. */
    Set<ResponseBook.Wanted> wanted(ExaminationTest test, String way, RandomGenerator random) {
        Map<ConditionId, ResponseBook.Wanted> wanted = new LinkedHashMap<>();
        patient.positives(test.id(), condition -> kept(test, way, condition))
                .forEach((condition, positive) -> test.readingFor(condition)
                        .ifPresent(reads -> wanted.put(
                                condition,
                                new ResponseBook.Wanted(
                                        condition, criterion(test, reads), positive && shows(test, reads, random)))));
        boolean provoked =
                test.alsoIn().stream().anyMatch(also -> known.present().contains(also.condition()))
                        && random.nextDouble() < ground.content().alsoProvoked();
        if (provoked) {
            wanted.replaceAll((condition, each) -> new ResponseBook.Wanted(condition, each.criterion(), true));
        }
        defining(test).forEach(expected -> {
            ConditionId condition = expected.condition();
            if (kept(test, way, condition) > 0) {
                wanted.put(condition, expected);
            }
        });
        return new LinkedHashSet<>(wanted.values());
    }

    /**
     * Whether a positive stands. A sign that nobody has measured is drawn like an average test; those so rare that
     * their absence says nothing are seen in nobody else, and others that are looked at are seen in few.
     */
    private boolean shows(ExaminationTest test, ConditionReading reads, RandomGenerator random) {
        boolean unmeasured = ground.weighing()
                .evidence()
                .inUse(test.id(), reads.condition(), ground.catalogue().usualSchools())
                .isEmpty();
        if (!unmeasured || known.present().contains(reads.condition())) {
            return true;
        }
        return !reads.absenceSaysNothing()
                && (test.stage() != Stage.LOOK
                        || random.nextDouble() < ground.content().seenWithout());
    }

    private Stream<ResponseBook.Wanted> defining(ExaminationTest test) {
        return known.present().stream()
                .sorted((one, other) -> one.value().compareTo(other.value()))
                .flatMap(condition -> Optional.ofNullable(
                                ground.catalogue().patterns().get(condition))
                        .map(Pattern::defining)
                        .orElse(List.of())
                        .stream()
                        .filter(expected -> expected.test().equals(test.id())
                                && test.readingFor(condition).isPresent())
                        .map(expected ->
                                new ResponseBook.Wanted(condition, expected.criterion(), expected.positive())));
    }

    private CriterionId criterion(ExaminationTest test, ConditionReading reads) {
        return ground.weighing()
                .evidence()
                .inUse(test.id(), reads.condition(), ground.catalogue().usualSchools())
                .map(EvidenceInUse::criterion)
                .orElse(reads.by(ground.catalogue().usualSchools()).get(0));
    }

    /** What a way of doing a test leaves of its worth, 0 to 1. */
    private double kept(ExaminationTest test, String way, ConditionId condition) {
        return test.way(way)
                .map(done -> switch (ground.weighing().evidence().effect(done, test.id(), condition)) {
                    case SAME -> 1.0;
                    case WIDER -> ground.content().widerWay();
                    case NOTED -> 0.0;
                })
                .orElse(1.0);
    }

    /** Whether a name is that of a way of doing a test. */
    static boolean isWay(ExaminationTest test, String way) {
        return way.equals(Way.USUAL) || test.variants().contains(way);
    }
}
