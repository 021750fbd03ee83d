package lexicor.server.cases;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CaseCodeTest {

    @ParameterizedTest
    @CsvSource({
        "SL-0412, SL-0413",
        "SL-0999, SL-1000",
        "999, 1000",
        "2026/7b, 2026/7b-1",
        "Ä_07, Ä_08",
        "SL-99999999999999999999, SL-100000000000000000000",
        "SL-999999999999999999999999999, C-0008",
        "a-code-with-thirty-characters-x, C-0008",
        "٣, ٣-1"
    })
    void there_is_a_next_code_after_any(String code, String next) {
        assertThat(CaseCode.after(code, 7).text()).isEqualTo(next);
    }
}
