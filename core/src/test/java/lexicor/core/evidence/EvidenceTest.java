package lexicor.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.Map;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.source.SourceException;
import lexicor.core.source.SourceNode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class EvidenceTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Evidence EVIDENCE = EvidenceReader.shipped(CATALOGUE);
    private static final String CSV = SourceNode.resourceText("/lexicor/evidence/evidence.csv");
    private static final String TIES = SourceNode.resourceText("/lexicor/evidence/ties-shoulder.yaml");

    @Test
    void the_whole_ledger_is_read() {
        assertThat(EVIDENCE.size()).isEqualTo(408);
    }

    /** The largest independent primary study speaks; of several criteria in one study, the field's usual one. */
    @ParameterizedTest
    @CsvSource({
        "sh-arc, subacromial-pain, E328, pain-60-120", "sh-arc, cuff-tear-full, E177, pain-60-120",
        "sh-er-resist, subacromial-pain, E338, weakness-or-pain",
                "sh-er-resist, cuff-tear-full, E189, weakness-or-pain",
        "sh-empty-can, subacromial-pain, E336, weakness", "sh-empty-can, cuff-tear-full, E182, weakness",
        "sh-empty-can, supraspinatus-tear, E372, pain-or-weakness",
                "sh-empty-can, supraspinatus-tendinopathy, E384, pain-or-weakness",
        "sh-neer, subacromial-pain, E353, pain", "sh-hawkins, subacromial-pain, E345, pain"
    })
    void the_record_in_use_follows_the_policy(String test, String condition, String record, String criterion) {
        EvidenceInUse inUse =
                EVIDENCE.inUse(TestId.of(test), ConditionId.of(condition)).orElseThrow();
        assertThat(inUse.record().id().value()).isEqualTo(record);
        assertThat(inUse.criterion().value()).isEqualTo(criterion);
        assertThat(inUse.record().reviewState()).isEqualTo("unreviewed");
    }

    @Test
    void a_finding_without_usable_figures_says_why() {
        assertThat(EVIDENCE.inUse(TestId.of("sh-arc"), ConditionId.of("acj"))).isEmpty();
        assertThat(EVIDENCE.whyNotWeighed(TestId.of("sh-arc"), ConditionId.of("acj")))
                .isEqualTo("no accuracy study in the ledger");
        assertThat(EVIDENCE.inUse(TestId.of("sh-er-resist"), ConditionId.of("infraspinatus-tear")))
                .isEmpty();
        assertThat(EVIDENCE.whyNotWeighed(TestId.of("sh-er-resist"), ConditionId.of("infraspinatus-tear")))
                .contains("which tendon, not whether");
    }

    @Test
    void an_inventors_own_study_yields_to_an_independent_one_however_small() {
        String csv = CSV.replaceFirst("(?m)^(E328,.*),single study,no,", "$1,single study,yes,");
        Evidence evidence = EvidenceReader.read(CATALOGUE, "evidence.csv", csv, EvidenceReader.shippedTies());
        assertThat(evidence.inUse(TestId.of("sh-arc"), ConditionId.of("subacromial-pain"))
                        .orElseThrow()
                        .record()
                        .id()
                        .value())
                .isEqualTo("E327");
    }

    @Test
    void unpublished_sizes_are_stood_in_for_by_twenty_and_twenty() {
        assertThat(Weighable.of(EVIDENCE.record(RecordId.of("E384"))))
                .isInstanceOfSatisfying(Weighable.Yes.class, figures -> {
                    assertThat(figures.sizeKnown()).isFalse();
                    assertThat(figures.size()).isEqualTo(40);
                    assertThat(figures.belief().sensitivity()).isCloseTo(12.5 / 21, within(1e-12));
                });
    }

    @Test
    void a_one_sided_record_is_not_weighed() {
        assertThat(Weighable.of(EVIDENCE.record(RecordId.of("E343"))))
                .isEqualTo(new Weighable.No("only one of sensitivity and specificity was published"));
    }

    @Test
    void a_pair_of_ratios_becomes_the_proportions_it_implies() {
        String row = "E900,test,x,x,x,x,x,,,4,0.25,100000,100000,200000,single study,no,x,x,x,x,unreviewed,\n";
        AccuracyRecord record = LedgerReader.read(
                        "x.csv", CSV.lines().findFirst().orElseThrow() + "\n" + row)
                .get(RecordId.of("E900"));
        assertThat(Weighable.of(record)).isInstanceOfSatisfying(Weighable.Yes.class, figures -> {
            assertThat(figures.belief().likelihoodRatioPositive()).isCloseTo(4, within(1e-3));
            assertThat(figures.belief().likelihoodRatioNegative()).isCloseTo(0.25, within(1e-4));
        });
    }

    @Test
    void every_shipped_record_is_weighable_or_says_why_not() {
        for (int i = 1; i <= 408; i++) {
            AccuracyRecord record = EVIDENCE.record(RecordId.of("E%03d".formatted(i)));
            if (Weighable.of(record) instanceof Weighable.Yes figures) {
                assertThat(figures.belief().likelihoodRatioPositive())
                        .as(record.id().value())
                        .isFinite()
                        .isPositive();
            }
        }
    }

    @ParameterizedTest(name = "{2}")
    @CsvSource(delimiter = '|', textBlock = """
            E328,test | E327,test        | record 'E327' stands here twice
            0.735     | 1.735            | sensitivity is '1.735'; allowed: empty, or a number from 0.0 to 1.0
            359,193,552 | 359,193,553    | n_total is 553; allowed: n_with + n_without = 552
            single study,no | single study,maybe | originator is 'maybe'; allowed: no, yes
            record,kind | record,sort    | the columns are
            """)
    void a_faulty_ledger_is_named_with_line_and_column(String sound, String faulty, String message) {
        String header = CSV.lines().findFirst().orElseThrow();
        String rows = header + "\n"
                + CSV.lines()
                        .filter(line -> line.startsWith("E327") || line.startsWith("E328"))
                        .reduce((a, b) -> a + "\n" + b)
                        .orElseThrow()
                + "\n";
        assertThat(rows).contains(sound);
        assertThatThrownBy(() -> LedgerReader.read("evidence.csv", rows.replace(sound, faulty)))
                .isInstanceOf(SourceException.class)
                .hasMessageContaining(message)
                .hasMessageMatching("(?s)evidence.csv:[123]: .*");
    }

    @ParameterizedTest(name = "{2}")
    @CsvSource(delimiter = '|', textBlock = """
            record: E328, test: sh-arc     | record: E999, test: sh-arc     | record 'E999' is not in the ledger
            record: E328, test: sh-arc     | record: E328, test: sh-ark     | test 'sh-ark' is not known
            record: E328, test: sh-arc     | record: E353, test: sh-arc     | record 'E353' is about 'sh-neer'
            record: E328, test: sh-arc, criterion: pain-60-120 | record: E328, test: sh-arc, criterion: pain-near-top | does not read 'subacromial-pain' by 'pain-near-top'
            record: E177, test: sh-arc, criterion: pain-60-120, condition: cuff-tear-full | record: E177, test: sh-arc, criterion: pain-60-120, condition: frozen-shoulder | has no reading for condition 'frozen-shoulder'
            cluster: cl-subacromial-5      | cluster: cl-subacromial-6      | cluster 'cl-subacromial-6' is not known
            - {record: E326, unused: "the criterion says pain without the angles"} | # | record 'E326' about 'sh-arc' is not tied
            - {record: E025, cluster: cl-subacromial-5, series: specialist} | - {record: E025, unused: x} | which is not tied to it
            """)
    void a_faulty_tie_is_named(String sound, String faulty, String message) {
        assertThat(TIES).contains(sound);
        assertThatThrownBy(() -> EvidenceReader.read(CATALOGUE, "evidence.csv", CSV, changed(sound, faulty)))
                .isInstanceOf(SourceException.class)
                .hasMessageContaining(message)
                .hasMessageMatching("(?s)(ties-shoulder.yaml|evidence.csv|clusters.yaml):\\d+: .*");
    }

    @Test
    void a_reading_that_nothing_uses_is_named_where_it_is_written() {
        Catalogue catalogue = CatalogueReader.read(file -> {
            String text = SourceNode.resourceText("/lexicor/catalogue/" + file);
            return file.equals("tests/sh-neer.yaml")
                    ? text.replace(
                            "  - condition: cuff-tear-any",
                            "  - condition: frozen-shoulder\n    by: [pain]\n  - condition: cuff-tear-any")
                    : text;
        });
        assertThatThrownBy(() -> EvidenceReader.shipped(catalogue))
                .isInstanceOf(SourceException.class)
                .hasMessageStartingWith("tests/sh-neer.yaml:")
                .hasMessageContaining(
                        "test 'sh-neer' reads 'frozen-shoulder' by 'pain', which no record, pattern, cluster or school uses");
    }

    private static Map<String, String> changed(String sound, String faulty) {
        Map<String, String> ties = new LinkedHashMap<>(EvidenceReader.shippedTies());
        ties.put("ties-shoulder.yaml", TIES.replace(sound, faulty));
        return ties;
    }
}
