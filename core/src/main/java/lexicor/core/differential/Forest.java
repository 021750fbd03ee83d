package lexicor.core.differential;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/** Conditions by what they lie within. A family is a widest condition with all that lies within it. */
public final class Forest {

    private static final double MOST = 0.999;
    private static final double WIDER_BY = 0.95;
    private static final int NONE = -1;

    private final List<String> ids;
    private final Map<String, Integer> places = new HashMap<>();
    private final int[] parents;
    private final int[] roots;
    private final int[] depths;
    private final List<List<Integer>> children = new ArrayList<>();
    private final int[] wideToNarrow;

    /**
     * @param within for each condition the one that it lies directly within, or null
     * @throws IllegalArgumentException if an id stands twice, a wider condition is unknown, or conditions lie within
     *     each other in a circle
     */
    public Forest(List<String> ids, List<String> within) {
        this.ids = List.copyOf(ids);
        int size = ids.size();
        for (int c = 0; c < size; c++) {
            if (places.put(ids.get(c), c) != null) {
                throw new IllegalArgumentException("condition " + ids.get(c) + " stands twice");
            }
            children.add(new ArrayList<>());
        }
        parents = new int[size];
        for (int c = 0; c < size; c++) {
            String wider = within.get(c);
            if (wider != null && !places.containsKey(wider)) {
                throw new IllegalArgumentException(
                        "condition " + ids.get(c) + " lies within " + wider + ", which is unknown");
            }
            parents[c] = wider == null ? NONE : places.get(wider);
            if (wider != null) {
                children.get(parents[c]).add(c);
            }
        }
        roots = new int[size];
        depths = new int[size];
        for (int c = 0; c < size; c++) {
            int at = c;
            while (parents[at] != NONE) {
                at = parents[at];
                if (++depths[c] > size) {
                    throw new IllegalArgumentException("condition " + ids.get(c) + " lies within itself");
                }
            }
            roots[c] = at;
        }
        wideToNarrow = IntStream.range(0, size)
                .boxed()
                .sorted(Comparator.comparingInt(c -> depths[c]))
                .mapToInt(Integer::intValue)
                .toArray();
    }

    /** How many conditions there are. */
    public int size() {
        return ids.size();
    }

    /** The id of a condition by its place. */
    public String id(int condition) {
        return ids.get(condition);
    }

    /** The place of a condition; -1 where it is unknown. */
    public int place(String id) {
        return places.getOrDefault(id, NONE);
    }

    /** The condition that it lies directly within; -1 where it is the widest. */
    public int parent(int condition) {
        return parents[condition];
    }

    /** The widest condition of its family. */
    public int root(int condition) {
        return roots[condition];
    }

    /** Conditions with the wider before the narrower. */
    public int[] wideToNarrow() {
        return wideToNarrow.clone();
    }

    /** Conditions with the narrower before the wider. */
    int[] narrowToWide() {
        int[] turned = new int[size()];
        for (int i = 0; i < turned.length; i++) {
            turned[i] = wideToNarrow[turned.length - 1 - i];
        }
        return turned;
    }

    /** Whether {@code narrow} lies within {@code wide}, directly or not. */
    public boolean within(int narrow, int wide) {
        int at = parents[narrow];
        while (at != NONE && at != wide) {
            at = parents[at];
        }
        return at == wide && wide != NONE;
    }

    /** All conditions of a family, the widest first. */
    public int[] family(int root) {
        return Arrays.stream(wideToNarrow).filter(c -> roots[c] == root).toArray();
    }

    /** How many states a family has: sets of its conditions that hold, with each condition, what it lies within. */
    public long states(int root) {
        boolean[] all = new boolean[size()];
        Arrays.fill(all, true);
        return states(root, all);
    }

    /** The same over its active conditions. */
    long states(int root, boolean[] active) {
        if (!active[root]) {
            return 1;
        }
        long product = 1;
        for (int child : children.get(root)) {
            product = Math.multiplyExact(product, states(child, active));
        }
        return Math.addExact(product, 1);
    }

    /**
     * Starts with no condition above the one it lies within: wider ones are raised to hold their narrower ones, then
     * those cut.
     */
    public double[] coherent(double[] starts) {
        double[] coherent = starts.clone();
        for (int c : narrowToWide()) {
            if (parents[c] != NONE) {
                coherent[parents[c]] = Math.max(coherent[parents[c]], Math.min(MOST, coherent[c] / WIDER_BY));
            }
        }
        for (int c : wideToNarrow) {
            if (parents[c] != NONE) {
                coherent[c] = Math.min(coherent[c], MOST * coherent[parents[c]]);
            }
        }
        return coherent;
    }

    /** The chance of each condition given what it lies within. */
    double[] shares(double[] coherent) {
        double[] shares = coherent.clone();
        for (int c = 0; c < shares.length; c++) {
            shares[c] = parents[c] == NONE ? coherent[c] : coherent[c] / coherent[parents[c]];
        }
        return shares;
    }

    /** The conditions given and all that they lie within. */
    boolean[] upward(boolean[] given) {
        boolean[] all = given.clone();
        for (int c : narrowToWide()) {
            if (all[c] && parents[c] != NONE) {
                all[parents[c]] = true;
            }
        }
        return all;
    }

    /** The states over the active conditions of some families, each as the set of conditions present. */
    List<boolean[]> states(List<Integer> families, boolean[] active) {
        List<boolean[]> states = new ArrayList<>();
        states.add(new boolean[size()]);
        for (int root : families) {
            for (int c : family(root)) {
                if (active[c]) {
                    for (boolean[] state : List.copyOf(states)) {
                        if (parents[c] == NONE || state[parents[c]]) {
                            boolean[] with = state.clone();
                            with[c] = true;
                            states.add(with);
                        }
                    }
                }
            }
        }
        return states;
    }

    /** The chance of a state over the active conditions of some families. */
    double prior(boolean[] state, List<Integer> families, boolean[] active, double[] shares) {
        double prior = 1;
        for (int c = 0; c < size(); c++) {
            if (active[c] && families.contains(roots[c]) && (parents[c] == NONE || state[parents[c]])) {
                prior *= state[c] ? shares[c] : 1 - shares[c];
            }
        }
        return prior;
    }
}
