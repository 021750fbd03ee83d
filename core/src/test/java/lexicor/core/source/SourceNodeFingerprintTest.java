package lexicor.core.source;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class SourceNodeFingerprintTest {

    private static String of(String yaml) {
        return SourceNode.parse("a.yaml", yaml).fingerprint();
    }

    @Test
    void layout_and_remarks_do_not_count() {
        assertThat(of("a: 1\nb: [x, y]\n")).isEqualTo(of("# a remark\na:   \"1\"\n\nb:\n  - x\n  - y\n"));
    }

    @Test
    void words_order_and_what_belongs_where_count() {
        String one = of("a: [x, y]");
        assertThat(one)
                .isNotEqualTo(of("a: [y, x]"))
                .isNotEqualTo(of("a: [x, z]"))
                .isNotEqualTo(of("a: [[x], y]"))
                .isNotEqualTo(of("b: [x, y]"));
    }
}
