package lexicor.core.differential;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import lexicor.core.differential.Finding.Said;
import lexicor.core.posttest.LinkedGroups;
import lexicor.core.posttest.SingleTest;
import lexicor.core.posttest.TestGroup;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class DifferentialTest {

    private static final double LINK = 0.1;

    /** A made-up differential: a few families, findings that speak about one to three conditions, two groups. */
    private static Differential.Question random(long seed) {
        Random random = new Random(seed);
        int size = 3 + random.nextInt(4);
        List<String> ids = IntStream.range(0, size).mapToObj(c -> "c" + c).toList();
        List<String> within = new ArrayList<>();
        for (int c = 0; c < size; c++) {
            within.add(c > 0 && random.nextDouble() < 0.6 ? "c" + random.nextInt(c) : null);
        }
        double[] starts = random.doubles(size, 0.05, 0.6).toArray();
        List<Finding> findings = new ArrayList<>();
        int count = 1 + random.nextInt(5);
        for (int f = 0; f < count; f++) {
            List<String> mixed = new ArrayList<>(ids);
            Collections.shuffle(mixed, random);
            List<Target> targets = mixed.subList(0, 1 + random.nextInt(3)).stream()
                    .<Target>map(each ->
                            Target.Figures.of(each, 0.35 + 0.6 * random.nextDouble(), 0.55 + 0.4 * random.nextDouble()))
                    .toList();
            Optional<String> group =
                    random.nextDouble() < 0.7 ? Optional.of(random.nextBoolean() ? "g" : "h") : Optional.empty();
            findings.add(new Finding("f" + f, random.nextBoolean() ? Said.POSITIVE : Said.NEGATIVE, group, targets));
        }
        List<Finding.Group> groups =
                List.of(new Finding.Group("g", 0.4, Optional.empty()), new Finding.Group("h", 0.25, Optional.of("c0")));
        return new Differential.Question(
                new Fits(new Forest(ids, within), starts, 0.8), starts, groups, LINK, 0.1, findings, List.of());
    }

    private static Differential.Question with(Differential.Question question, List<Finding> findings) {
        return new Differential.Question(
                question.fits(),
                question.starts(),
                question.groups(),
                question.link(),
                question.worthless(),
                findings,
                question.ratios());
    }

    /** Every set of conditions that is closed upward, by trying all sets. */
    private static List<boolean[]> allStates(Forest forest) {
        List<boolean[]> states = new ArrayList<>();
        for (int bits = 0; bits < 1 << forest.size(); bits++) {
            boolean[] state = new boolean[forest.size()];
            boolean closed = true;
            for (int c = 0; c < state.length; c++) {
                state[c] = (bits >> c & 1) == 1;
                closed &= !state[c] || forest.parent(c) < 0 || (bits >> forest.parent(c) & 1) == 1;
            }
            if (closed) {
                states.add(state);
            }
        }
        return states;
    }

    /** The same by enumerating all states of all conditions, with linked groups computed by nested integrals. */
    private static double[] bruteForce(Differential.Question question) {
        int size = question.forest().size();
        double all = sum(question, state -> true);
        return IntStream.range(0, size)
                .mapToDouble(c -> sum(question, state -> state[c]) / all)
                .toArray();
    }

    /** What all states of a kind weigh together. */
    private static double sum(Differential.Question question, Predicate<boolean[]> kind) {
        Forest forest = question.forest();
        double[] starts = forest.coherent(question.starts());
        Modelled.Maker maker = new Modelled.Maker(
                question.fits(),
                Map.of("g", question.groups().get(0), "h", question.groups().get(1)),
                question.worthless());
        List<Modelled> entries = question.findings().stream()
                .flatMap(each -> maker.make(each).stream())
                .toList();
        double all = 0;
        for (boolean[] state : allStates(forest)) {
            if (!kind.test(state)) {
                continue;
            }
            double weight = 1;
            for (int c = 0; c < state.length; c++) {
                double share = forest.parent(c) < 0 ? starts[c] : starts[c] / starts[forest.parent(c)];
                weight *= forest.parent(c) >= 0 && !state[forest.parent(c)] ? 1 : state[c] ? share : 1 - share;
            }
            Map<Integer, Map<String, List<SingleTest>>> homes = new LinkedHashMap<>();
            Map<String, Double> rhos = new LinkedHashMap<>();
            for (Modelled each : entries) {
                double share = each.share(forest, state);
                boolean positive = each.positive();
                if (each.apart()) {
                    weight *= positive ? share : 1 - share;
                } else {
                    String group = each.group()
                            .map(Finding.Group::id)
                            .orElse(each.finding().id());
                    rhos.put(group, each.group().map(Finding.Group::rho).orElse(LINK));
                    homes.computeIfAbsent(each.home(), home -> new LinkedHashMap<>())
                            .computeIfAbsent(group, id -> new ArrayList<>())
                            .add(new SingleTest(share, 0.5, positive));
                }
            }
            for (Map<String, List<SingleTest>> groups : homes.values()) {
                List<TestGroup> linked = groups.entrySet().stream()
                        .map(each -> TestGroup.of(rhos.get(each.getKey()), each.getValue()))
                        .toList();
                weight *= new LinkedGroups(LINK, linked).answer().givenPresent();
            }
            all += weight;
        }
        return all;
    }

    @ParameterizedTest
    @ValueSource(longs = {91, 92, 93, 94, 95, 96, 97, 98, 99, 100, 101, 102, 103, 104, 105, 106, 107, 108})
    void what_a_finding_says_between_two_conditions_agrees_with_brute_force(long seed) {
        Differential.Question question = random(seed);
        Finding open = question.findings().get(0);
        List<Finding> others =
                question.findings().subList(1, question.findings().size());
        Differential before = new Differential(with(question, others));
        int size = question.forest().size();
        List<Pairs> pairs = before.pairs(open.said(Said.OPEN));
        for (int one = 0; one < size; one++) {
            for (int other = 0; other < size; other++) {
                int first = one;
                int second = other;
                List<Pairs.Between> found = pairs.stream()
                        .flatMap(each -> each.between(first, second).stream())
                        .toList();
                double[] ifOne = alone(question, open, others, one, other);
                double[] ifOther = alone(question, open, others, other, one);
                if (ifOne[0] + ifOne[1] == 0 || ifOther[0] + ifOther[1] == 0) {
                    assertThat(found).isEmpty();
                } else if (found.isEmpty()) {
                    assertThat(ifOne[0] / (ifOne[0] + ifOne[1]))
                            .as("a finding that is left out says nothing between them")
                            .isCloseTo(ifOther[0] / (ifOther[0] + ifOther[1]), within(1e-7));
                } else if (found.size() == 1) {
                    assertThat(found.get(0).ifOne()).isCloseTo(ifOne[0] / (ifOne[0] + ifOne[1]), within(1e-7));
                    assertThat(found.get(0).ifOther()).isCloseTo(ifOther[0] / (ifOther[0] + ifOther[1]), within(1e-7));
                }
            }
        }
    }

    /** What states with one condition and without another weigh if the finding is positive, and if it is negative. */
    private static double[] alone(
            Differential.Question question, Finding open, List<Finding> others, int one, int other) {
        double[] weights = new double[2];
        for (int i = 0; i < 2; i++) {
            List<Finding> all = new ArrayList<>(others);
            all.add(open.said(i == 0 ? Said.POSITIVE : Said.NEGATIVE));
            weights[i] = sum(with(question, all), state -> state[one] && !state[other]);
        }
        return weights;
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20})
    void agrees_with_brute_force(long seed) {
        Differential.Question question = random(seed);
        assertThat(new Differential(question).now()).containsExactly(bruteForce(question), within(1e-7));
    }

    @ParameterizedTest
    @ValueSource(longs = {31, 32, 33, 34, 35, 36, 37, 38, 39, 40})
    void a_wider_condition_never_stands_below_a_narrower_one_and_the_order_does_not_matter(long seed) {
        Differential.Question question = random(seed);
        double[] now = new Differential(question).now();
        for (int c = 0; c < now.length; c++) {
            int wider = question.forest().parent(c);
            assertThat(wider < 0 || now[c] <= now[wider])
                    .as("%s within %s", c, wider)
                    .isTrue();
        }
        List<Finding> mixed = new ArrayList<>(question.findings());
        Collections.reverse(mixed);
        assertThat(new Differential(with(question, mixed)).now()).containsExactly(now, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(longs = {51, 52, 53, 54, 55, 56, 57, 58, 59, 60, 61, 62, 63, 64, 65})
    void what_an_open_finding_would_do_averages_to_where_things_stand(long seed) {
        Differential.Question question = random(seed);
        List<Finding> open = new ArrayList<>(question.findings());
        open.set(0, open.get(0).said(Said.OPEN));
        Differential before = new Differential(with(question, open));
        for (Differential.Ahead ahead : before.ahead()) {
            for (int i = 0; i < ahead.conditions().size(); i++) {
                double mean = ahead.positive() * ahead.ifPositive()[i] + (1 - ahead.positive()) * ahead.ifNegative()[i];
                assertThat(mean).isCloseTo(before.now()[ahead.conditions().get(i)], within(1e-7));
            }
        }
        List<Finding> without = new ArrayList<>(question.findings());
        without.remove(0);
        assertThat(new Differential(with(question, without)).now())
                .as("an open finding changes nothing")
                .containsExactly(before.now(), within(1e-9));
    }

    /** Draws of what nothing is unsure of are the point, up to the coarser sums. */
    @ParameterizedTest
    @ValueSource(longs = {71, 72, 73, 74, 75, 76, 77, 78, 79, 80})
    void draws_without_doubt_are_the_point(long seed) {
        Differential.Question question = random(seed);
        Differential differential = new Differential(question);
        double[][] drawn = differential.drawn(2, new Differential.Source() {
            @Override
            public double[] logits(Finding finding, Target.Figures record, boolean sensitivity) {
                double logit = Shares.logit(sensitivity ? record.sensitivity() : 1 - record.specificity());
                return new double[] {logit, logit};
            }

            @Override
            public double[] start(int condition) {
                return new double[2];
            }

            @Override
            public double[] rho(Finding.Group group) {
                return new double[] {group.rho(), group.rho()};
            }

            @Override
            public double[] log(Finding.Ratio ratio) {
                return new double[2];
            }

            @Override
            public Object drawnFrom(Finding finding) {
                return finding.id();
            }

            @Override
            public List<float[][]> workedOut(List<Object> from, Function<List<Integer>, List<float[][]>> make) {
                return make.apply(IntStream.range(0, from.size()).boxed().toList());
            }
        });
        for (int c = 0; c < drawn.length; c++) {
            assertThat(drawn[c][1]).isCloseTo(Shares.logit(differential.now()[c]), within(0.05));
        }
    }

    /** One differential is kept for all who look at an examination at once. */
    @Test
    void several_may_ask_at_once() {
        Differential.Question question = random(4);
        Differential kept = new Differential(question);
        List<Finding> open = IntStream.range(0, 40)
                .mapToObj(i -> new Finding(
                        "open " + i,
                        Said.OPEN,
                        Optional.of(i % 2 == 0 ? "g" : "h"),
                        List.of(Target.Figures.of("c" + i % 3, 0.5 + i / 100.0, 0.6 + i / 200.0))))
                .toList();
        List<Double> alone = open.stream()
                .map(each -> new Differential(question).ahead(each).get(0).positive())
                .toList();
        List<Double> together = open.parallelStream()
                .map(each -> kept.ahead(each).get(0).positive())
                .toList();
        assertThat(together).isEqualTo(alone);
    }

    @Test
    void a_positive_that_another_condition_explains_lowers_the_rival() {
        Forest forest = new Forest(List.of("a", "b"), Arrays.asList(null, null));
        Finding both = new Finding(
                "both",
                Said.POSITIVE,
                Optional.empty(),
                List.of(Target.Figures.of("a", 0.8, 0.8), Target.Figures.of("b", 0.8, 0.8)));
        Finding ofA = new Finding("of a", Said.POSITIVE, Optional.empty(), List.of(Target.Figures.of("a", 0.9, 0.95)));
        double[] starts = {0.2, 0.2};
        Differential.Question one = new Differential.Question(
                new Fits(forest, starts, 0.8), starts, List.of(), LINK, 0.1, List.of(both), List.of());
        assertThat(new Differential(with(one, List.of(both, ofA))).now()[1]).isLessThan(new Differential(one).now()[1]);
    }

    @Test
    void conditions_in_a_circle_and_too_many_states_are_named() {
        assertThatThrownBy(() -> new Forest(List.of("a", "b"), List.of("b", "a")))
                .hasMessageContaining("within itself");
        List<String> ids = new ArrayList<>(List.of("root"));
        List<String> within = new ArrayList<>();
        within.add(null);
        for (int c = 0; c < 8; c++) {
            ids.add("c" + c);
            within.add("root");
        }
        List<Finding> findings = ids.subList(1, 9).stream()
                .map(each -> new Finding(
                        "of " + each, Said.POSITIVE, Optional.empty(), List.of(Target.Figures.of(each, 0.8, 0.8))))
                .toList();
        double[] starts = new double[9];
        Arrays.fill(starts, 0.2);
        Differential.Question question = new Differential.Question(
                new Fits(new Forest(ids, within), starts, 0.8), starts, List.of(), LINK, 0.1, findings, List.of());
        assertThatThrownBy(() -> new Differential(question)).hasMessageContaining("257 states; allowed: at most 64");
    }
}
