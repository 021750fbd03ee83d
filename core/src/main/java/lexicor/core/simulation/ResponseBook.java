package lexicor.core.simulation;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import lexicor.core.catalogue.Answers;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Criterion;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.Gate;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.catalogue.Rule;
import lexicor.core.catalogue.Schools;
import lexicor.core.catalogue.Way;
import lexicor.core.examination.Attempt;
import lexicor.core.examination.Command;
import lexicor.core.examination.History;
import lexicor.core.examination.Part;
import lexicor.core.examination.Reading;
import lexicor.core.examination.ResponseReader;
import lexicor.core.examination.Side;
import lexicor.core.examination.TestReading;
import lexicor.core.examination.WholeAnswer;

/**
 * Responses of one test that are read as somebody wants them read: the reverse of {@link ResponseReader}. Found by
 * changing one part of a whole answer after another, two at once where one is not enough; what was found is kept.
 */
public final class ResponseBook {

    /** Costs of what a response says otherwise than wanted; the least sum is looked for. */
    private static final double OPPOSITE = 4;

    private static final double UNKNOWN = 3;
    private static final double UNREAD = 2;
    private static final double ALSO_POSITIVE = 0.15;
    private static final double PART_MORE = 0.01;
    /** Dearer than anything that is said otherwise than wanted. */
    private static final double IMPOSSIBLE = 20;

    private static final int MOST_ROUNDS = 6;
    private static final int MOST_KEPT = 8;
    private static final double SAME = 1e-9;
    private static final String SITE = "site";

    /** Parts whose answer "none" says that nothing hurts, so that there is no place where it does. */
    private static final List<String> HURTS = List.of("pain", "tender");

    /** Angles of one movement, in the order in which they are passed. */
    private static final List<String> PASSED = List.of("angle-start", "angle-worst", "angle-end");

    /** Of a measure that is compared between the sides and has no usual value: share of its scale on the well side. */
    private static final double WELL_SHARE = 0.1;

    /** How far a window that has no end is gone into, in steps. */
    private static final int STEPS_BEYOND = 2;

    /** How a condition is to be read by a criterion. */
    public record Wanted(ConditionId condition, CriterionId criterion, boolean positive) {}

    /**
     * A response.
     *
     * @param here parts of the side in question
     * @param well parts of the well side; none where nothing is recorded there
     * @param missed how many of the readings wanted it does not give
     */
    public record Response(List<Part> here, List<Part> well, int missed) {
        public Response {
            here = List.copyOf(here);
            well = List.copyOf(well);
        }
    }

    /** Where a part is taken: key, position, number of the go. */
    private record Slot(String key, String position, int repeat) {
        Part.Context context() {
            return new Part.Context(position, repeat, "");
        }
    }

    /** A value that a slot can take. */
    private sealed interface Value {
        Part at(Slot slot);

        record Choice(String option) implements Value {
            @Override
            public Part at(Slot slot) {
                return new Part.Chosen(slot.key(), option, slot.context());
            }
        }

        record Measure(double value, String unit) implements Value {
            @Override
            public Part at(Slot slot) {
                return new Part.Measured(slot.key(), value, unit, slot.context());
            }
        }
    }

    /** A change of some slots to one value. */
    private record Change(List<Slot> slots, Value value) {}

    private record Candidate(Map<Slot, Value> slots, double cost) {}

    private final ExaminationTest test;
    private final ResponseReader reader;
    private final List<Part> well;
    private final List<Map<Slot, Value>> bases = new ArrayList<>();
    private final List<Change> changes = new ArrayList<>();
    private final Map<Set<Wanted>, List<Response>> known = new ConcurrentHashMap<>();

    public ResponseBook(ExaminationTest test, Schools schools) {
        this.test = test;
        this.reader = new ResponseReader(test, schools);
        this.well = wellSide();
        bases.add(base(WholeAnswer.nothing(test)));
        WholeAnswer.usual(test).forEach(answer -> bases.add(base(answer)));
        Set<String> read = new LinkedHashSet<>();
        rules().forEach(rule -> read.addAll(rule.parts()));
        test.parts().stream()
                .filter(part -> read.contains(part.key()) && !part.key().equals(PartDefinition.QUALITY))
                .forEach(part -> changes.addAll(changesOf(part)));
    }

    /** The responses that come nearest to what is wanted, at least one; all as near as each other. */
    public List<Response> responses(Collection<Wanted> wanted) {
        return known.computeIfAbsent(Set.copyOf(wanted), this::found);
    }

    /** How many of the readings wanted a response does not give. */
    public int missed(List<Part> here, List<Part> onWellSide, Collection<Wanted> wanted) {
        Map<Key, Reading.Result> read = read(here, onWellSide);
        return (int) wanted.stream()
                .filter(each -> read.get(new Key(each.condition(), each.criterion()))
                        != (each.positive() ? Reading.Result.POSITIVE : Reading.Result.NEGATIVE))
                .count();
    }

    /** Whether pain along a movement starts before it is worst, and is worst before it is gone. */
    public static boolean inOrder(List<Part> parts) {
        double passed = Double.NEGATIVE_INFINITY;
        for (String key : PASSED) {
            for (Part part : parts) {
                if (part instanceof Part.Measured measured
                        && part.key().equals(key)
                        && part.context().direction().isEmpty()) {
                    if (measured.value() < passed) {
                        return false;
                    }
                    passed = measured.value();
                }
            }
        }
        return true;
    }

    /** How a response is read for a condition by a criterion, with the phrase that says why. */
    public Reading reading(Response response, ConditionId condition, CriterionId criterion) {
        return reading(response.here(), response.well()).reading(condition, criterion);
    }

    private List<Response> found(Set<Wanted> wanted) {
        List<Candidate> ends = bases.stream()
                .distinct()
                .flatMap(base -> descend(base, wanted).stream())
                .toList();
        Candidate best =
                ends.stream().min(Comparator.comparingDouble(Candidate::cost)).orElseThrow();
        if (best.cost() >= UNREAD) {
            Map<Slot, Value> twoAtOnce = inPairs(best.slots(), wanted);
            ends = Stream.concat(ends.stream(), descend(twoAtOnce, wanted).stream())
                    .toList();
            best = ends.stream()
                    .min(Comparator.comparingDouble(Candidate::cost))
                    .orElseThrow();
        }
        double least = best.cost();
        return ends.stream()
                .filter(each -> each.cost() <= least + SAME)
                .flatMap(each -> withSites(each, wanted).stream())
                .map(this::parts)
                .distinct()
                .limit(MOST_KEPT)
                .map(parts -> new Response(parts, well, missed(parts, well, wanted)))
                .toList();
    }

    /** The same with every place named where it may hurt without being read otherwise; itself where nothing hurts. */
    private List<Map<Slot, Value>> withSites(Candidate candidate, Set<Wanted> wanted) {
        Map<Slot, Value> slots = candidate.slots();
        boolean hurts = HURTS.stream()
                .map(key -> slots.get(new Slot(key, "", 1)))
                .anyMatch(value ->
                        value instanceof Value.Choice choice && !choice.option().equals("none"));
        if (!hurts || slots.containsKey(new Slot(SITE, "", 1))) {
            return List.of(slots);
        }
        double without = cost(slots, slots, wanted);
        List<Map<Slot, Value>> sited = changes.stream()
                .filter(change -> change.slots().get(0).key().equals(SITE))
                .map(change -> changed(slots, change))
                .filter(each -> cost(each, each, wanted) <= without + SAME)
                .toList();
        return sited.isEmpty() ? List.of(slots) : sited;
    }

    /** The best that single changes lead to, one after the other, with its neighbours that are as good. */
    private List<Candidate> descend(Map<Slot, Value> base, Set<Wanted> wanted) {
        Candidate at = new Candidate(base, cost(base, base, wanted));
        List<Candidate> near = List.of();
        for (int round = 0; round < MOST_ROUNDS; round++) {
            Map<Slot, Value> from = at.slots();
            near = changes.stream()
                    .map(change -> changed(from, change))
                    .map(slots -> new Candidate(slots, cost(slots, base, wanted)))
                    .toList();
            Optional<Candidate> better = near.stream().min(Comparator.comparingDouble(Candidate::cost));
            if (better.isEmpty() || better.get().cost() >= at.cost() - 1e-9) {
                break;
            }
            at = better.get();
        }
        List<Candidate> ends = new ArrayList<>(List.of(at));
        double least = at.cost();
        near.stream().filter(each -> each.cost() <= least + SAME).forEach(ends::add);
        return ends;
    }

    /** The best that two changes at once lead to; where it starts from if none does better. */
    private Map<Slot, Value> inPairs(Map<Slot, Value> from, Set<Wanted> wanted) {
        Candidate best = new Candidate(from, cost(from, from, wanted));
        for (int a = 0; a < changes.size(); a++) {
            Map<Slot, Value> one = changed(from, changes.get(a));
            for (int b = a + 1; b < changes.size(); b++) {
                Map<Slot, Value> both = changed(one, changes.get(b));
                double cost = cost(both, from, wanted);
                best = cost < best.cost() ? new Candidate(both, cost) : best;
            }
        }
        return best.slots();
    }

    private static Map<Slot, Value> changed(Map<Slot, Value> from, Change change) {
        Map<Slot, Value> to = new LinkedHashMap<>(from);
        change.slots().forEach(slot -> to.put(slot, change.value()));
        return to;
    }

    private double cost(Map<Slot, Value> slots, Map<Slot, Value> base, Set<Wanted> wanted) {
        Map<Key, Reading.Result> read = read(parts(slots), well);
        double cost = 0;
        Set<Key> asked = new LinkedHashSet<>();
        for (Wanted each : wanted) {
            Key key = new Key(each.condition(), each.criterion());
            asked.add(key);
            cost += switch (read.getOrDefault(key, Reading.Result.NOT_YET_KNOWN)) {
                case POSITIVE -> each.positive() ? 0 : OPPOSITE;
                case NEGATIVE -> each.positive() ? OPPOSITE : 0;
                case NOT_INTERPRETABLE -> UNREAD;
                case NOT_YET_KNOWN -> UNKNOWN;
            };
        }
        for (Map.Entry<Key, Reading.Result> each : read.entrySet()) {
            if (!asked.contains(each.getKey())) {
                cost += each.getValue() == Reading.Result.POSITIVE ? ALSO_POSITIVE : 0;
            }
        }
        return cost
                + (inOrder(parts(slots)) ? 0 : IMPOSSIBLE)
                + PART_MORE
                        * slots.entrySet().stream()
                                .filter(slot -> !Objects.equals(base.get(slot.getKey()), slot.getValue()))
                                .count();
    }

    private record Key(ConditionId condition, CriterionId criterion) {}

    private Map<Key, Reading.Result> read(List<Part> here, List<Part> onWellSide) {
        Map<Key, Reading.Result> read = new HashMap<>();
        reading(here, onWellSide)
                .readings()
                .forEach(each -> read.put(new Key(each.condition(), each.criterion()), each.result()));
        return read;
    }

    private TestReading reading(List<Part> here, List<Part> onWellSide) {
        List<Attempt> attempts = new ArrayList<>();
        if (!onWellSide.isEmpty()) {
            attempts.add(attempt(Side.LEFT, onWellSide));
        }
        attempts.add(attempt(Side.RIGHT, here));
        return reader.read(
                History.of(List.of(new Command(
                        new UUID(0, 1),
                        new UUID(0, 0),
                        1,
                        "",
                        Instant.EPOCH,
                        test.id(),
                        new Command.Recorded(attempts)))),
                Side.RIGHT);
    }

    private Attempt attempt(Side side, List<Part> parts) {
        return new Attempt(new UUID(0, side.ordinal()), test.id(), Way.USUAL, side, 1, Set.of(), parts);
    }

    /** A whole answer, with the measures of which others are a share. */
    private Map<Slot, Value> base(WholeAnswer answer) {
        Map<Slot, Value> slots = slots(answer.parts());
        for (PartDefinition part : test.parts()) {
            if (part instanceof PartDefinition.Measure measure && isWhole(measure)) {
                positions(part)
                        .forEach(position -> wellValue(measure)
                                .ifPresent(value -> slots.putIfAbsent(
                                        new Slot(part.key(), position, 1), new Value.Measure(value, measure.unit()))));
            }
        }
        return slots;
    }

    private static List<String> positions(PartDefinition part) {
        return part.taken().positions().isEmpty() ? List.of("") : part.taken().positions();
    }

    /** Whether a rule asks what share of this measure another one is. */
    private boolean isWhole(PartDefinition.Measure measure) {
        return rules().flatMap(Rule::leaves)
                .anyMatch(leaf -> leaf instanceof Rule.Share share && share.of().equals(measure.key()));
    }

    private static Map<Slot, Value> slots(List<Part> parts) {
        Map<Slot, Value> slots = new LinkedHashMap<>();
        for (Part part : parts) {
            Slot slot = new Slot(
                    part.key(), part.context().position(), part.context().repeat());
            if (part instanceof Part.Chosen chosen) {
                slots.put(slot, new Value.Choice(chosen.choice()));
            } else if (part instanceof Part.Measured measured) {
                slots.put(slot, new Value.Measure(measured.value(), measured.unit()));
            }
        }
        return slots;
    }

    /** In the order of the test. */
    private List<Part> parts(Map<Slot, Value> slots) {
        return test.parts().stream()
                .flatMap(part -> slots.entrySet().stream()
                        .filter(slot -> slot.getKey().key().equals(part.key()))
                        .map(slot -> slot.getValue().at(slot.getKey())))
                .toList();
    }

    private Stream<Rule> rules() {
        return Stream.of(
                        test.criteria().stream().flatMap(ResponseBook::rules),
                        test.gates().stream().map(Gate::when),
                        test.reads().stream()
                                .flatMap(reads -> reads.gates().stream().map(Gate::when)))
                .flatMap(each -> each);
    }

    private static Stream<Rule> rules(Criterion criterion) {
        return Stream.concat(
                Stream.of(criterion.positive(), criterion.negative()),
                criterion.gates().stream().map(Gate::when));
    }

    private List<Rule> leaves(String part) {
        return rules().flatMap(Rule::leaves)
                .filter(leaf ->
                        leaf instanceof Rule.AboutPart about && about.part().equals(part))
                .distinct()
                .toList();
    }

    private List<Change> changesOf(PartDefinition part) {
        boolean again =
                part.taken().repeats() > 1 && leaves(part.key()).stream().anyMatch(Rule.Repeated.class::isInstance);
        List<Value> values = part instanceof PartDefinition.Choice choice
                ? choice.options().stream()
                        .<Value>map(option -> new Value.Choice(option.value()))
                        .toList()
                : measures((PartDefinition.Measure) part).stream()
                        .<Value>map(value -> new Value.Measure(value, ((PartDefinition.Measure) part).unit()))
                        .toList();
        List<Change> all = new ArrayList<>();
        for (int repeat = 1; repeat <= (again ? 2 : 1); repeat++) {
            int go = repeat;
            List<Slot> slots = positions(part).stream()
                    .map(position -> new Slot(part.key(), position, go))
                    .toList();
            for (Value value : values) {
                slots.forEach(slot -> all.add(new Change(List.of(slot), value)));
                if (slots.size() > 1) {
                    all.add(new Change(slots, value));
                }
            }
        }
        return all;
    }

    /** Values of a measure on either side of every edge that a rule draws. */
    private Set<Double> measures(PartDefinition.Measure measure) {
        Set<Double> values = new LinkedHashSet<>();
        OptionalDouble normal = wellValue(measure);
        normal.ifPresent(values::add);
        for (Rule leaf : leaves(measure.key())) {
            if (leaf instanceof Rule.Window window && window.side() == Answers.Asked.THIS) {
                edges(measure, window.from(), window.to(), 0, 1, values);
            } else if (leaf instanceof Rule.SideDifference difference && normal.isPresent()) {
                boolean share = difference.compared() == Rule.Compared.SHARE;
                edges(
                        measure,
                        difference.from(),
                        difference.to(),
                        share ? 0 : normal.getAsDouble(),
                        share ? normal.getAsDouble() / 100 : 1,
                        values);
            } else if (leaf instanceof Rule.Share share
                    && test.part(share.of()).orElse(null) instanceof PartDefinition.Measure whole) {
                wellValue(whole).ifPresent(of -> edges(measure, share.from(), share.to(), 0, of / 100, values));
            } else if (leaf instanceof Rule.Repeated repeated) {
                double first = normal.orElse((measure.least() + measure.most()) / 2);
                values.add(within(measure, first));
                values.add(within(measure, first - STEPS_BEYOND * repeated.by()));
                values.add(within(measure, first + STEPS_BEYOND * repeated.by()));
            }
        }
        return values;
    }

    /** The middle of a window, and a little outside both of its ends. */
    private static void edges(
            PartDefinition.Measure measure, double from, double to, double plus, double times, Set<Double> values) {
        double beyond = STEPS_BEYOND * measure.step();
        double low = plus + times * from;
        double high = plus + times * to;
        double least = Math.max(measure.least(), Double.isFinite(low) ? low : measure.least());
        double most = Math.min(measure.most(), Double.isFinite(high) ? high : measure.most());
        if (least <= most) {
            values.add(within(measure, (least + most) / 2));
            values.add(within(measure, Math.min(most, least + beyond)));
            values.add(within(measure, Math.max(least, most - beyond)));
        }
        if (low - beyond >= measure.least()) {
            values.add(within(measure, low - beyond));
        }
        if (high + beyond <= measure.most()) {
            values.add(within(measure, high + beyond));
        }
    }

    private static double within(PartDefinition.Measure measure, double value) {
        double stepped = measure.least() + measure.step() * Math.round((value - measure.least()) / measure.step());
        return Math.min(measure.most(), Math.max(measure.least(), stepped));
    }

    /** What the well side shows of a measure; empty where it is neither compared nor has a usual value. */
    private OptionalDouble wellValue(PartDefinition.Measure measure) {
        if (measure.usual().isPresent()) {
            return measure.usual();
        }
        String given = test.nothing().get(measure.key());
        if (given != null && given.matches("-?[0-9.]+")) {
            return OptionalDouble.of(Double.parseDouble(given));
        }
        return isWhole(measure)
                        || leaves(measure.key()).stream().anyMatch(Rule.SideDifference.class::isInstance)
                        || test.wellSideParts().contains(measure.key())
                ? OptionalDouble.of(within(measure, measure.least() + WELL_SHARE * (measure.most() - measure.least())))
                : OptionalDouble.empty();
    }

    /** "Nothing" on the well side, as far as it is recorded there. */
    private List<Part> wellSide() {
        Map<Slot, Value> slots = slots(WholeAnswer.nothing(test).parts());
        slots.keySet().removeIf(slot -> !test.wellSideParts().contains(slot.key()));
        for (PartDefinition part : test.parts()) {
            if (part instanceof PartDefinition.Measure measure
                    && test.wellSideParts().contains(part.key())) {
                positions(part)
                        .forEach(position -> wellValue(measure)
                                .ifPresent(value -> slots.putIfAbsent(
                                        new Slot(part.key(), position, 1), new Value.Measure(value, measure.unit()))));
            }
        }
        return parts(slots);
    }
}
