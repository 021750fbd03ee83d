package lexicor.core.drills;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.function.Function;
import java.util.random.RandomGenerator;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.TestId;

/** One kind of exercise. */
interface DrillType {

    /** An exercise with how its answers are marked. */
    record Made(Drill drill, Function<Drill.Answer, Drill.Marked> mark) {}

    /** What can be exercised in a region, as ids joined by colons. */
    List<String> about(String region);

    /** The exercise of an item. */
    Made made(Drill.Item item, long seed, RandomGenerator random);

    /** The tests of a region, those of its order first. */
    static List<TestId> tests(Catalogue catalogue, String region) {
        Set<TestId> tests = new LinkedHashSet<>(catalogue.routine(region).order());
        tests.addAll(catalogue.beyondRoutine(region));
        return List.copyOf(tests);
    }

    /** The same things in an order of chance. */
    static <T> List<T> shuffled(List<T> things, RandomGenerator random) {
        List<T> shuffled = new ArrayList<>(things);
        Collections.shuffle(shuffled, new Random(random.nextLong()));
        return shuffled;
    }
}
