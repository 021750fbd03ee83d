package lexicor.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.CatalogueWarnings;
import lexicor.core.source.SourceException;
import lexicor.core.source.Warning;
import org.junit.jupiter.api.Test;

class LedgerWarningsTest {

    private static final String HEADER =
            "record,kind,subject,subject_text,criterion,condition,condition_text,sensitivity,specificity,lr_positive,"
                    + "lr_negative,n_with,n_without,n_total,design,originator,reference_standard,population,citation,"
                    + "transcription,review_state,note\n";

    private static Map<RecordId, AccuracyRecord> ledger(
            String sensitivity, String with, String without, String total, String originator, String note) {
        return LedgerReader.read(
                "ledger.csv",
                HEADER + "E001,test,t,T,c,d,D," + sensitivity + ",0.8,,," + with + "," + without + "," + total
                        + ",single study," + originator + ",MRI,p,c,double-entered,unreviewed," + note + "\n");
    }

    private static List<String> warnings(Map<RecordId, AccuracyRecord> ledger) {
        return LedgerWarnings.of("ledger.csv", ledger.values()).stream()
                .map(Warning::toString)
                .toList();
    }

    @Test
    void a_note_that_names_the_inventors_where_the_column_does_not_is_named_with_its_line() {
        assertThat(warnings(ledger("0.5", "10", "20", "30", "no", "Originator's study")))
                .singleElement()
                .asString()
                .startsWith("ledger.csv, line 2: E001: the note says that it comes from the inventors");
        assertThat(warnings(ledger("0.5", "10", "20", "30", "yes", "Originator's study")))
                .isEmpty();
    }

    @Test
    void patients_without_group_sizes_are_never_counted_as_more_than_there_were() {
        Map<RecordId, AccuracyRecord> ledger = ledger("0.5", "", "", "32", "no", "");
        assertThat(warnings(ledger)).singleElement().asString().contains("32 patients", "16 with and 16 without");
        assertThat(((Weighable.Yes) Weighable.of(ledger.get(RecordId.of("E001")))).size())
                .isEqualTo(32);
        assertThat(warnings(ledger("0.5", "", "", "400", "no", ""))).isEmpty();
    }

    @Test
    void a_group_whose_size_was_not_published_is_what_the_other_leaves_of_all_patients() {
        AccuracyRecord record = ledger("0.5", "10", "", "30", "no", "").get(RecordId.of("E001"));
        assertThat(record.without()).hasValue(20);
        assertThat(record.sizesKnown()).isTrue();
    }

    @Test
    void a_group_larger_than_the_study_is_refused() {
        assertThatThrownBy(() -> ledger("0.5", "31", "", "30", "no", ""))
                .isInstanceOf(SourceException.class)
                .hasMessageContaining("n_total is 30; allowed: not less than n_with or n_without");
    }

    @Test
    void a_share_that_no_whole_number_of_patients_gives_is_named() {
        assertThat(warnings(ledger("0.93", "7", "20", "27", "no", "")))
                .singleElement()
                .asString()
                .contains("sensitivity 0.93 of 7 patients", "counted as 7");
        assertThat(warnings(ledger("0.857", "7", "20", "27", "no", ""))).isEmpty();
    }

    @Test
    void what_ships_has_no_record_that_names_its_inventors_in_the_note_alone() {
        Evidence shipped = EvidenceReader.shipped(CatalogueReader.shipped());
        assertThat(LedgerWarnings.of("evidence.csv", shipped.records()))
                .noneMatch(warning -> warning.says().contains("inventors"));
        assertThat(CatalogueWarnings.of(CatalogueReader.shipped()))
                .allSatisfy(warning -> assertThat(warning.place().line()).isPositive());
    }
}
