package lexicor.core.catalogue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import lexicor.core.source.SourceException;
import lexicor.core.source.SourceNode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RetiredTest {

    @Test
    void a_test_that_was_taken_out_is_named_with_what_is_done_in_its_place_and_is_no_part_of_the_content() {
        Catalogue catalogue =
                with("- {test: sh-old, name: Old arc, successor: sh-arc}\n- {condition: worn, name: Worn tendon}");
        assertThat(catalogue.test(TestId.of("sh-old")).name())
                .isEqualTo("Old arc (no longer in the library; now: Painful arc)");
        assertThat(catalogue.condition(ConditionId.of("worn")).name())
                .isEqualTo("Worn tendon (no longer in the library)");
        assertThat(catalogue.has(TestId.of("sh-old"))).isFalse();
        assertThat(catalogue.tests()).doesNotContainKey(TestId.of("sh-old"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "- {test: sh-arc, name: Old} | retired.yaml:1: test 'sh-arc' is still in the catalogue; allowed: the id of one that was taken out",
                "- {condition: acj, name: Old} | retired.yaml:1: condition 'acj' is still in the catalogue",
                "- {test: sh-old, name: Old, successor: sh-older} | successor 'sh-older' is not in the catalogue",
                "- {name: Old} | names neither a test nor a condition",
                "- {test: a-b, condition: c-d, name: Old} | or both"
            })
    void a_fault_in_the_list_is_named_with_file_and_line(String list, String fault) {
        assertThatThrownBy(() -> with(list)).isInstanceOf(SourceException.class).hasMessageContaining(fault);
    }

    private static Catalogue with(String list) {
        return CatalogueReader.read(
                file -> file.equals("retired.yaml") ? list : SourceNode.resourceText("/lexicor/catalogue/" + file));
    }
}
