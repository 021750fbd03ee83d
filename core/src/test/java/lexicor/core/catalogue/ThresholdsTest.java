package lexicor.core.catalogue;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ThresholdsTest {

    private static final Thresholds SHIPPED = CatalogueReader.shipped().thresholds();

    @ParameterizedTest(name = "{0}, serious {1}: {2}")
    @CsvSource({
        "0.049, false, SET_ASIDE",
        "0.05, false, KEEP",
        "0.249, false, KEEP",
        "0.25, false, TEST",
        "0.75, false, TEST",
        "0.751, false, ACT",
        "0.049, true, SET_ASIDE",
        "0.05, true, KEEP",
        "0.099, true, KEEP",
        "0.10, true, REFER",
        "0.80, true, REFER"
    })
    void a_chance_means_something_for_what_to_do(double chance, boolean serious, Thresholds.Zone zone) {
        Condition condition = new Condition(
                ConditionId.of("any"),
                "Any",
                "Any",
                "anything",
                "shoulder",
                "",
                Map.of(),
                List.of(),
                Optional.empty(),
                serious ? Optional.of("must not be missed") : Optional.empty());
        assertThat(SHIPPED.zone(condition, chance)).isEqualTo(zone);
    }
}
