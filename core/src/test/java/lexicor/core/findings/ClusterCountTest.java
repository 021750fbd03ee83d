package lexicor.core.findings;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.Cluster;
import lexicor.core.examination.Reading.Result;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class ClusterCountTest {

    private static final Cluster FIVE = CatalogueReader.shipped().clusters().get(0);

    @Test
    void three_positives_decide_the_set_before_it_is_finished() {
        ClusterCount count =
                count(Result.POSITIVE, Result.POSITIVE, Result.POSITIVE, Result.NOT_YET_KNOWN, Result.NOT_YET_KNOWN);
        assertThat(count.level()).map(Cluster.Level::name).contains("3 or more");
        assertThat(count.alreadyDecided()).isTrue();
    }

    @Test
    void two_positives_and_two_to_come_decide_nothing() {
        ClusterCount count =
                count(Result.POSITIVE, Result.POSITIVE, Result.NEGATIVE, Result.NOT_YET_KNOWN, Result.NOT_YET_KNOWN);
        assertThat(count.level()).isEmpty();
        assertThat(count.outOfReach()).isFalse();
    }

    @Test
    void three_negatives_decide_it_too() {
        assertThat(count(Result.NEGATIVE, Result.NEGATIVE, Result.NEGATIVE, Result.NOT_YET_KNOWN, Result.NOT_YET_KNOWN)
                        .level())
                .map(Cluster.Level::name)
                .contains("fewer than 3");
    }

    @Test
    void a_voided_component_can_put_the_level_out_of_reach() {
        assertThat(count(Result.POSITIVE, Result.POSITIVE, Result.NEGATIVE, Result.NEGATIVE, Result.NOT_INTERPRETABLE)
                        .outOfReach())
                .isTrue();
    }

    /** Against brute force: the level is known exactly if every way to complete the set gives the same one. */
    @Property(tries = 500)
    void the_level_is_known_exactly_if_no_completion_changes_it(@ForAll @Size(5) List<Result> results) {
        Set<Cluster.Level> reachable = new HashSet<>();
        List<Integer> free = new ArrayList<>();
        int positives = 0;
        for (int i = 0; i < 5; i++) {
            positives += results.get(i) == Result.POSITIVE ? 1 : 0;
            if (results.get(i) != Result.POSITIVE && results.get(i) != Result.NEGATIVE) {
                free.add(i);
            }
        }
        for (int completion = 0; completion < 1 << free.size(); completion++) {
            int total = positives + Integer.bitCount(completion);
            reachable.add(FIVE.levels().stream()
                    .filter(level -> level.covers(total))
                    .findFirst()
                    .orElseThrow());
        }
        Optional<Cluster.Level> expected =
                reachable.size() == 1 ? Optional.of(reachable.iterator().next()) : Optional.empty();
        assertThat(count(results.toArray(Result[]::new)).level()).isEqualTo(expected);
    }

    private static ClusterCount count(Result... results) {
        return ClusterCount.of(FIVE, component -> results[FIVE.components().indexOf(component)]);
    }
}
