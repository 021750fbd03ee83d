package lexicor.core.drills;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.random.RandomGenerator;
import lexicor.core.draws.Draws;
import lexicor.core.lookup.Keyed;
import lexicor.core.practice.PracticeGround;

/** Makes exercises and marks answers. The same item and seed give the same exercise. */
public final class DrillMaker {

    private final Map<Drill.Kind, DrillType> types = new EnumMap<>(Drill.Kind.class);

    public DrillMaker(PracticeGround ground) {
        types.put(Drill.Kind.READ, new ReadDrill(ground));
        types.put(Drill.Kind.SEPARATE, new SeparateDrill(ground));
        types.put(Drill.Kind.MOVE, new MoveDrill(ground));
        types.put(Drill.Kind.NAME, new NameDrill(ground));
        types.put(Drill.Kind.ORDER, new OrderDrill(ground));
        types.put(Drill.Kind.SET, new SetDrill(ground));
    }

    /** Everything of a kind that can be exercised in a region; may be nothing. */
    public List<Drill.Item> items(Drill.Kind kind, String region) {
        return type(kind).about(region).stream()
                .distinct()
                .map(about -> new Drill.Item(kind, region, about))
                .toList();
    }

    /** An exercise; empty where there is no such item (any more). */
    public Optional<Drill> make(Drill.Item item, long seed) {
        return known(item)
                ? Optional.of(
                        type(item.kind()).made(item, seed, random(item, seed)).drill())
                : Optional.empty();
    }

    /**
     * An answer marked.
     *
     * @throws IllegalArgumentException where there is no such item, or the answer is none of those that can be given
     */
    public Drill.Marked mark(Drill.Item item, long seed, Drill.Answer answer) {
        if (!known(item)) {
            throw new IllegalArgumentException("item '" + item.about() + "' is not known; allowed: one that was asked");
        }
        DrillType.Made made = type(item.kind()).made(item, seed, random(item, seed));
        Drill drill = made.drill();
        List<String> allowed = drill.options().stream().map(Drill.Option::value).toList();
        if (drill.start().isPresent()) {
            if (answer.chance().isEmpty()
                    || !(answer.chance().getAsDouble() > 0 && answer.chance().getAsDouble() < 1)) {
                throw new IllegalArgumentException("chance is missing; allowed: within 0 and 1");
            }
        } else if (answer.values().isEmpty() || !allowed.containsAll(answer.values())) {
            throw new IllegalArgumentException("values are " + answer.values() + "; allowed: " + allowed);
        }
        return made.mark().apply(answer);
    }

    private boolean known(Drill.Item item) {
        return type(item.kind()).about(item.region()).contains(item.about());
    }

    private DrillType type(Drill.Kind kind) {
        return Keyed.at(types, kind);
    }

    private static RandomGenerator random(Drill.Item item, long seed) {
        return new SplittableRandom(Draws.seed(seed, item.kind() + " " + item.about()));
    }
}
