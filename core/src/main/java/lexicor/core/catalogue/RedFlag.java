package lexicor.core.catalogue;

import java.util.List;

/**
 * A sign that suspends testing.
 *
 * @param sign what is asked
 * @param thinkOf what it may be
 * @param regions where it is asked
 * @param then the next step, per local pathway
 */
public record RedFlag(String id, String sign, String thinkOf, List<String> regions, String then) {
    public RedFlag {
        regions = List.copyOf(regions);
    }
}
