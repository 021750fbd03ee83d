package lexicor.core.lookup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.util.Map;
import java.util.NoSuchElementException;
import org.junit.jupiter.api.Test;

class KeyedTest {

    @Test
    void gives_the_value_of_a_key_that_is_there() {
        assertThat(Keyed.at(Map.of("arc", 2), "arc")).isEqualTo(2);
    }

    @Test
    void names_a_key_that_is_missing() {
        assertThatExceptionOfType(NoSuchElementException.class)
                .isThrownBy(() -> Keyed.at(Map.of("arc", 2, "neer", 3), "drop"))
                .withMessage("no value for 'drop' among 2 keys");
    }
}
