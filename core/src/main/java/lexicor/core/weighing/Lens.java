package lexicor.core.weighing;

import java.util.List;
import lexicor.core.catalogue.Schools;

/** A way of adding up. */
public enum Lens {
    /** Every finding, what tests of one group share counted once. */
    CHAIN,
    /**
     * A decided set in place of its tests, and what does not share ground with it; the strongest finding where no set
     * is decided.
     */
    CLUSTER,
    /** The strongest single finding and nothing else. */
    STRONGEST_SINGLE,
    /** How many of the tests that speak about the condition are positive: no chance follows. */
    TALLY;

    /** The ways that give a chance. */
    static final List<Lens> WITH_CHANCE = List.of(CHAIN, CLUSTER, STRONGEST_SINGLE);

    /** The question on which schools differ here. */
    public static final String QUESTION = "adding-up";

    /** The lens that the schools in force look through. */
    public static Lens of(Schools schools) {
        return switch (schools.choice(QUESTION)) {
            case "set" -> CLUSTER;
            case "strongest" -> STRONGEST_SINGLE;
            case "tally" -> TALLY;
            default -> CHAIN;
        };
    }

    /** The lens that gives the chance: a count gives none, so the chain does. */
    Lens forChance() {
        return this == TALLY ? CHAIN : this;
    }
}
