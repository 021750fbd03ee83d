package lexicor.core.practice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lexicor.core.assessment.AssessedVisit;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.catalogue.TestId;
import lexicor.core.catalogue.Way;
import lexicor.core.examination.Part;
import lexicor.core.examination.Reading;
import lexicor.core.intake.IntakeFolder;
import lexicor.core.lookup.Keyed;
import lexicor.core.nexttest.TestValue;
import lexicor.core.posttest.Decibans;
import lexicor.core.posttest.LogOdds;

/**
 * What an ended practice case showed of one's judgement, in the order of the work.
 *
 * @param missed what was left out, or done that should not have been
 * @param turns one for each go at a test
 * @param couldStop number of tests after which no open test promised enough to be worth doing; empty where one always
 *     did
 * @param claims one for each condition that a chance was put on, as it was put last
 * @param overlooked what is there, without what it lies within, and no chance was put on, with where the weighing
 *     stands
 * @param seconds what it took
 * @param hurts how often it hurt for nothing
 * @param hints how often one asked what to do next
 */
public record PracticeReview(
        List<Missed> missed,
        List<Turn> turns,
        Optional<Integer> couldStop,
        List<Claim> claims,
        Map<ConditionId, Double> overlooked,
        double seconds,
        int hurts,
        int hints) {

    /** How many times as much a minute another test has to promise to be called better. */
    private static final double CLEARLY = 1.5;

    /** Weight of an answer, in decibans, from which one's own move is compared with it. */
    private static final double TELLS = 1;

    public PracticeReview {
        missed = List.copyOf(missed);
        turns = List.copyOf(turns);
        claims = List.copyOf(claims);
        overlooked = Map.copyOf(overlooked);
    }

    /** What can be missed. */
    public enum Kind {
        /** Hands on before the red flags were asked about. */
        FLAGS_NOT_ASKED,
        /** Hands on in spite of a red flag. */
        FLAG_IGNORED,
        /** A patient without a red flag was sent on at once. */
        SENT_ON_FOR_NOTHING,
        /** It hurt for nothing. */
        HURT,
        /** The well side was not done first. */
        WELL_SIDE,
        /** The patient guarded, and the test was not tried again. */
        NOT_TRIED_AGAIN,
        /** Done in a way that no study covers. */
        OTHER_WAY
    }

    /**
     * Something missed.
     *
     * @param tests of which it is said; none where it is said of the whole
     */
    public record Missed(Kind kind, List<TestId> tests) {
        public Missed {
            tests = List.copyOf(tests);
        }
    }

    /**
     * One go at a test.
     *
     * @param bits what the test promised, in bits
     * @param worthDoing whether that was enough to be worth doing
     * @param read whether the answer said anything, of whatever condition
     * @param better a test that clearly promised more a minute, which could have been done; empty where there was none
     * @param written what was written down of the answer; empty where nothing was
     * @param moves how one's own chances went, beside how the answer moves them
     */
    public record Turn(
            TestId test,
            double bits,
            double seconds,
            boolean worthDoing,
            boolean read,
            Optional<Better> better,
            Optional<WrittenAnswer> written,
            List<Move> moves) {
        public Turn {
            moves = List.copyOf(moves);
        }
    }

    /** Another test with what it promised. */
    public record Better(TestId test, double bits, double seconds) {}

    /** A condition before and after one answer: one's own chances, and those of the weighing; all 0..1. */
    public record Move(
            ConditionId condition, double ownBefore, double ownAfter, double weighedBefore, double weighedAfter) {

        /** One's own move, in decibans. */
        public double own() {
            return decibans(ownBefore, ownAfter);
        }

        /** What the answer weighs, in decibans. */
        public double weighed() {
            return decibans(weighedBefore, weighedAfter);
        }

        /** Whether the answer weighs enough for one's own move to be compared with it. */
        public boolean telling() {
            return Math.abs(weighed()) >= TELLS;
        }
    }

    /** A chance at the start, one's own at the end, that of the weighing, and whether it is there. */
    public record Claim(ConditionId condition, double start, double own, double weighed, boolean present) {}

    private static double decibans(double before, double after) {
        return Decibans.of(
                LogOdds.ofChance(after).value() - LogOdds.ofChance(before).value());
    }

    /** Looks back on an examination. */
    public static PracticeReview of(PracticeExamination examination, PracticeGround ground) {
        return new Looking(examination, ground).review();
    }

    /** The work of looking back once. */
    private static final class Looking {
        private final PracticeExamination examination;
        private final PracticeGround ground;
        private final Catalogue catalogue;
        private final NextTests next;
        private final AssessedVisit end;

        Looking(PracticeExamination examination, PracticeGround ground) {
            this.examination = examination;
            this.ground = ground;
            this.catalogue = ground.catalogue();
            this.next = new NextTests(ground);
            this.end = next.assess(examination);
        }

        PracticeReview review() {
            List<PracticeStep> steps = examination.steps();
            List<Turn> turns = new ArrayList<>();
            Optional<Integer> couldStop = Optional.empty();
            Map<ConditionId, Double> own = Map.of();
            for (int s = 0; s < steps.size(); s++) {
                if (steps.get(s) instanceof PracticeStep.Believed believed) {
                    own = believed.chances();
                } else if (steps.get(s) instanceof PracticeStep.Examined examined) {
                    PracticeExamination before = examination.after(s);
                    AssessedVisit visit = next.assess(before);
                    List<TestValue> open = next.open(before, visit);
                    if (couldStop.isEmpty() && open.stream().noneMatch(TestValue::worthDoing)) {
                        couldStop = Optional.of(turns.size());
                    }
                    turns.add(turn(s, examined, before, visit, open, own));
                }
            }
            Map<ConditionId, Double> weighed = chances(end);
            return new PracticeReview(
                    missed(),
                    turns,
                    couldStop.or(() -> next.open(examination, end).stream().noneMatch(TestValue::worthDoing)
                            ? Optional.of(turns.size())
                            : Optional.empty()),
                    claims(weighed),
                    overlooked(weighed),
                    examination.seconds(),
                    (int) examination.examined().stream()
                            .filter(each -> each.hurt().isPresent())
                            .count(),
                    (int) steps.stream()
                            .filter(PracticeStep.Hinted.class::isInstance)
                            .count());
        }

        private Map<ConditionId, Double> chances(AssessedVisit visit) {
            return ground.weighing().chances(visit.visit(), visit.readings());
        }

        private Turn turn(
                int step,
                PracticeStep.Examined examined,
                PracticeExamination before,
                AssessedVisit visit,
                List<TestValue> open,
                Map<ConditionId, Double> own) {
            TestValue value = next.information(visit).value(examined.test(), next.position(before));
            Optional<Better> better = open.stream()
                    .filter(each -> each.worthDoing()
                            && !each.test().equals(examined.test())
                            && each.bitsPerMinute() > CLEARLY * value.bitsPerMinute())
                    .max(Comparator.comparingDouble(TestValue::bitsPerMinute))
                    .map(each -> new Better(each.test(), each.bits(), each.seconds()));
            AssessedVisit after = next.assess(examination.after(step + 1));
            return new Turn(
                    examined.test(),
                    value.bits(),
                    value.seconds(),
                    value.worthDoing(),
                    after.readings().stream()
                            .filter(each -> each.test().equals(examined.test()))
                            .flatMap(each -> each.readings().stream())
                            .anyMatch(Reading::definite),
                    better,
                    WrittenAnswer.of(examination, catalogue.test(examined.test()), step),
                    moves(visit, after, own, believedAfter(step)));
        }

        /** Chances put on after a step and before the next test; none where nothing was. */
        private Map<ConditionId, Double> believedAfter(int step) {
            Map<ConditionId, Double> after = Map.of();
            for (PracticeStep each :
                    examination.steps().subList(step + 1, examination.steps().size())) {
                if (each instanceof PracticeStep.Examined) {
                    return after;
                }
                if (each instanceof PracticeStep.Believed believed) {
                    after = believed.chances();
                }
            }
            return after;
        }

        private List<Move> moves(
                AssessedVisit before,
                AssessedVisit after,
                Map<ConditionId, Double> ownBefore,
                Map<ConditionId, Double> ownAfter) {
            Map<ConditionId, Double> weighedBefore = chances(before);
            Map<ConditionId, Double> weighedAfter = chances(after);
            List<Move> moves = new ArrayList<>();
            ownAfter.forEach((condition, chance) -> {
                if (ownBefore.containsKey(condition)
                        && weighedBefore.containsKey(condition)
                        && weighedAfter.containsKey(condition)) {
                    moves.add(new Move(
                            condition,
                            Keyed.at(ownBefore, condition),
                            chance,
                            Keyed.at(weighedBefore, condition),
                            Keyed.at(weighedAfter, condition)));
                }
            });
            moves.sort(Comparator.comparingDouble((Move move) -> -Math.abs(move.own() - move.weighed()))
                    .thenComparing(move -> move.condition().value()));
            return moves;
        }

        private List<Claim> claims(Map<ConditionId, Double> weighed) {
            Map<ConditionId, Double> starts = chances(next.assess(onlyTold()));
            List<Claim> claims = new ArrayList<>();
            examination.believed().entrySet().stream()
                    .sorted(Comparator.comparing(each -> each.getKey().value()))
                    .filter(each -> starts.containsKey(each.getKey()) && weighed.containsKey(each.getKey()))
                    .forEach(each -> claims.add(new Claim(
                            each.getKey(),
                            Keyed.at(starts, each.getKey()),
                            each.getValue(),
                            Keyed.at(weighed, each.getKey()),
                            examination.known().present().contains(each.getKey()))));
            return claims;
        }

        private Map<ConditionId, Double> overlooked(Map<ConditionId, Double> weighed) {
            Map<ConditionId, Double> overlooked = new LinkedHashMap<>();
            catalogue.narrowest(examination.known().present()).stream()
                    .filter(condition -> !examination.believed().containsKey(condition))
                    .forEach(condition -> overlooked.put(condition, weighed.getOrDefault(condition, 0.0)));
            return overlooked;
        }

        private PracticeExamination onlyTold() {
            return new PracticeExamination(
                    ground,
                    examination.known(),
                    examination.steps().stream()
                            .filter(PracticeStep.Asked.class::isInstance)
                            .toList());
        }

        private List<Missed> missed() {
            List<Missed> missed = new ArrayList<>();
            int asked = firstAsked(IntakeFolder.RED_FLAGS);
            int hands = firstHands();
            boolean touched = hands >= 0;
            boolean referred = examination.steps().stream()
                    .anyMatch(step -> step instanceof PracticeStep.Ended ended && ended.referred());
            if (touched && (asked < 0 || asked > hands)) {
                missed.add(new Missed(Kind.FLAGS_NOT_ASKED, List.of()));
            }
            if (examination.flagged() && (touched && asked >= 0 && asked < lastHands() || !referred)) {
                missed.add(new Missed(Kind.FLAG_IGNORED, List.of()));
            }
            if (referred && !examination.flagged()) {
                missed.add(new Missed(Kind.SENT_ON_FOR_NOTHING, List.of()));
            }
            add(
                    missed,
                    Kind.HURT,
                    examination.examined().stream()
                            .filter(each -> each.hurt().isPresent())
                            .map(PracticeStep.Examined::test)
                            .toList());
            add(
                    missed,
                    Kind.WELL_SIDE,
                    examination.examined().stream()
                            .filter(each -> !each.wellFirst() && comparesSides(each.test()))
                            .map(PracticeStep.Examined::test)
                            .toList());
            add(missed, Kind.NOT_TRIED_AGAIN, notTriedAgain());
            add(
                    missed,
                    Kind.OTHER_WAY,
                    examination.examined().stream()
                            .filter(each -> notStudied(each))
                            .map(PracticeStep.Examined::test)
                            .toList());
            return missed;
        }

        private static void add(List<Missed> missed, Kind kind, List<TestId> tests) {
            if (!tests.isEmpty()) {
                missed.add(new Missed(kind, tests.stream().distinct().toList()));
            }
        }

        private int firstAsked(String question) {
            List<PracticeStep> steps = examination.steps();
            for (int s = 0; s < steps.size(); s++) {
                if (steps.get(s) instanceof PracticeStep.Asked step
                        && step.questions().contains(question)) {
                    return s;
                }
            }
            return -1;
        }

        private boolean hands(PracticeStep step) {
            return step instanceof PracticeStep.Examined examined
                    && catalogue.test(examined.test()).provocation() > 0;
        }

        private int firstHands() {
            List<PracticeStep> steps = examination.steps();
            for (int s = 0; s < steps.size(); s++) {
                if (hands(steps.get(s))) {
                    return s;
                }
            }
            return -1;
        }

        private int lastHands() {
            int last = -1;
            for (int s = 0; s < examination.steps().size(); s++) {
                last = hands(examination.steps().get(s)) ? s : last;
            }
            return last;
        }

        private boolean comparesSides(TestId id) {
            ExaminationTest test = catalogue.test(id);
            return test.provocation() > 0 && !test.wellSideParts().isEmpty();
        }

        private List<TestId> notTriedAgain() {
            Map<TestId, Boolean> guardedLast = new LinkedHashMap<>();
            examination.examined().forEach(each -> guardedLast.put(each.test(), guarded(each.here())));
            return guardedLast.entrySet().stream()
                    .filter(Map.Entry::getValue)
                    .map(Map.Entry::getKey)
                    .toList();
        }

        private static boolean guarded(List<Part> parts) {
            return parts.stream()
                    .anyMatch(part -> part instanceof Part.Chosen chosen
                            && chosen.key().equals(PartDefinition.QUALITY)
                            && chosen.choice().equals(PartDefinition.GUARDED));
        }

        private boolean notStudied(PracticeStep.Examined each) {
            ExaminationTest test = catalogue.test(each.test());
            return test.way(each.way())
                    .filter(way -> test.reads().stream()
                            .allMatch(reads -> ground.weighing().evidence().effect(way, test.id(), reads.condition())
                                    == Way.Effect.NOTED))
                    .isPresent();
        }
    }
}
