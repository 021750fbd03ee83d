package lexicor.core.weighing;

import java.util.function.Supplier;
import lexicor.core.draws.DrawStore;
import lexicor.core.draws.Latest;

/**
 * Keeps what was drawn and weighed last, so that a tap costs only what is new. All of it depends on nothing but its
 * key, so keeping it changes no result.
 */
final class WeighingStore {

    private static final int MOST_JOINED = 48;
    private static final int MOST_MODELS = 256;

    private final DrawStore draws = new DrawStore();
    private final Latest<Object, JointModel> models = new Latest<>(MOST_MODELS);
    private final Latest<Object, VisitWeighing.Joined> joined = new Latest<>(MOST_JOINED);

    /** What was drawn. */
    DrawStore draws() {
        return draws;
    }

    /** What was weighed from a key, weighed now if it is not kept. */
    VisitWeighing.Joined joined(Object key, Supplier<VisitWeighing.Joined> weigh) {
        return joined.get(key, weigh);
    }

    /** The points of a weighing, worked out now if they are not kept. */
    JointModel model(Object key, Supplier<JointModel> make) {
        return models.get(key, make);
    }
}
