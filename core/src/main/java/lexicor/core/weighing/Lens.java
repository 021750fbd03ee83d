package lexicor.core.weighing;

/** A way of adding up. */
public enum Lens {
    /** The cluster's level in place of its components, anything else chained. */
    CLUSTER,
    /** Before the cluster's level is known: the strongest of its components, anything else chained. */
    STRONGEST_SINGLE,
    /** Every finding multiplied, as if they were independent. */
    CHAIN,
    /** Nothing to add up. */
    NONE
}
