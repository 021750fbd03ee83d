package lexicor.core.catalogue;

import java.util.List;

/**
 * Tests that provoke the same tissue in the same way, so that they say much the same.
 *
 * @param conditions for which they are grouped; empty means for every condition that they speak about
 * @param rho assumed latent correlation, 0 to 0.95
 * @param learn clusters whose published levels can teach the correlation
 */
public record DependencyGroup(
        String id, String name, List<ConditionId> conditions, List<TestId> tests, double rho, List<ClusterId> learn) {
    public DependencyGroup {
        conditions = List.copyOf(conditions);
        tests = List.copyOf(tests);
        learn = List.copyOf(learn);
    }
}
