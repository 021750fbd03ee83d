package lexicor.core.drills;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.SplittableRandom;
import java.util.random.RandomGenerator;
import java.util.stream.IntStream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.TestId;
import lexicor.core.draws.Draws;
import lexicor.core.lookup.Phrase;
import lexicor.core.planning.RoutineCheck;
import lexicor.core.planning.WorkItems;
import lexicor.core.planning.WorkOrder;
import lexicor.core.planning.WorkRoutine;
import lexicor.core.practice.PracticeGround;

/** Put six tests in order. */
final class OrderDrill implements DrillType {

    private static final int TESTS = 6;
    private static final int ITEMS = 12;

    private final Catalogue catalogue;

    OrderDrill(PracticeGround ground) {
        this.catalogue = ground.catalogue();
    }

    @Override
    public List<String> about(String region) {
        return IntStream.rangeClosed(1, ITEMS).mapToObj(String::valueOf).toList();
    }

    /** The tests of an item are always the same six, so that it can be learnt. */
    private List<TestId> tests(Drill.Item item) {
        RandomGenerator fixed = new SplittableRandom(Draws.seed(0, item.region() + " order " + item.about()));
        List<TestId> inOrder = catalogue.routine(item.region()).order();
        List<TestId> chosen = new ArrayList<>();
        for (TestId test : DrillType.shuffled(inOrder, fixed)) {
            boolean follows =
                    catalogue.test(test).conduct().after().stream().anyMatch(after -> !chosen.contains(after.test()));
            if (!follows && chosen.size() < TESTS) {
                chosen.add(test);
            }
        }
        return chosen;
    }

    @Override
    public Made made(Drill.Item item, long seed, RandomGenerator random) {
        List<TestId> tests = tests(item);
        String begins = catalogue.routine(item.region()).beginsIn();
        WorkOrder best = WorkOrder.of(WorkItems.of(catalogue, item.region(), tests), Optional.of(begins));
        List<String> should =
                best.steps().stream().map(step -> step.test().value()).toList();
        Drill drill = new Drill(
                item,
                seed,
                "In which order?",
                List.of("The patient begins " + Phrase.within(begins) + "."),
                Optional.empty(),
                DrillType.shuffled(tests, random).stream()
                        .map(test -> new Drill.Option(
                                test.value(), catalogue.test(test).shortName(), false))
                        .toList(),
                OptionalDouble.empty());
        return new Made(drill, answer -> marked(item, answer, best, should));
    }

    private Drill.Marked marked(Drill.Item item, Drill.Answer answer, WorkOrder best, List<String> should) {
        if (answer.values().size() != should.size()
                || answer.values().stream().distinct().count() != should.size()) {
            throw new IllegalArgumentException("values are " + answer.values() + "; allowed: each of the tests once");
        }
        RoutineCheck check = RoutineCheck.of(
                catalogue,
                new WorkRoutine(
                        "drill",
                        "drill",
                        item.region(),
                        answer.values().stream()
                                .map(test -> new WorkRoutine.Entry(TestId.of(test), OptionalInt.empty()))
                                .toList()));
        List<String> because = new ArrayList<>();
        check.faults().forEach(fault -> because.add(fault.words(catalogue)));
        int moves = check.order().moves();
        if (moves > best.moves()) {
            because.add("It takes " + moves + " changes of position; " + best.moves() + " are enough.");
        }
        boolean right = because.isEmpty();
        if (right) {
            because.add("Nothing frightens or spoils too early, and the patient moves " + times(moves) + ".");
        }
        return new Drill.Marked(right, should, OptionalDouble.empty(), because);
    }

    private static String times(int moves) {
        return moves == 0 ? "not at all" : moves == 1 ? "once" : moves + " times";
    }
}
