package lexicor.core.planning;

import java.util.List;

/**
 * An order of one's own, weighed as a proposal is.
 *
 * @param plan its tests as they are given, each in the position that costs the fewest changes and for what a proposal
 *     would have it; in by hand where it would not
 * @param faults what speaks against it; empty where nothing does
 */
public record OwnOrder(Plan plan, List<OrderFault> faults) {

    public OwnOrder {
        faults = List.copyOf(faults);
    }
}
