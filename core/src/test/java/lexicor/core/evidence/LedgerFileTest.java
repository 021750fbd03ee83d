package lexicor.core.evidence;

import static lexicor.core.evidence.ClinicLedgerTest.own;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import org.junit.jupiter.api.Test;

class LedgerFileTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Evidence SHIPPED = EvidenceReader.shipped(CATALOGUE);

    private static LedgerFile.Import read(String csv) {
        return LedgerFile.read("ledger.csv", csv, SHIPPED, CATALOGUE);
    }

    private static Evidence changed() {
        return ClinicLedger.of(
                        SHIPPED,
                        CATALOGUE,
                        List.of(
                                new LedgerChange.Entered(own(0.61, 0.7, 41, 50), ""),
                                new LedgerChange.Withdrawn(
                                        SHIPPED.records().get(40).id(), "=never, \"repeated\"\nby anybody")))
                .evidence();
    }

    @Test
    void the_shipped_ledger_goes_out_and_comes_back_the_same() {
        LedgerFile.Import back = read(LedgerFile.write(SHIPPED));
        assertThat(back.faults()).isEmpty();
        assertThat(back.added()).isEmpty();
        assertThat(back.corrected()).isEmpty();
        assertThat(back.same()).isEqualTo(SHIPPED.size());
    }

    @Test
    void a_changed_ledger_taken_into_another_clinic_goes_out_from_there_the_same() {
        Evidence changed = changed();
        LedgerFile.Import back = read(LedgerFile.write(changed));
        assertThat(back.faults()).isEmpty();
        assertThat(back.added()).hasSize(1);
        assertThat(back.added().get(0).record().line()).isEqualTo(100_001);
        assertThat(back.corrected()).hasSize(1);
        List<LedgerEntry> all = new ArrayList<>(back.added());
        all.addAll(back.corrected());
        Evidence there = ClinicLedger.of(
                        SHIPPED,
                        CATALOGUE,
                        all.stream()
                                .<LedgerChange>map(entry -> new LedgerChange.Entered(entry, ""))
                                .toList())
                .evidence();
        assertThat(there.revision()).isEqualTo(changed.revision());
        assertThat(LedgerFile.write(there)).isEqualTo(LedgerFile.write(changed));
    }

    @Test
    void a_study_without_a_key_gets_the_next_one() {
        String csv = LedgerFile.write(changed());
        String header = csv.substring(0, csv.indexOf('\n') + 1);
        String row = csv.substring(csv.indexOf("C001,"));
        LedgerFile.Import two = read(header
                + row.replaceFirst("C001", "")
                + row.replaceFirst("C001", "").replace("Nobody AB", "Somebody CD"));
        assertThat(two.faults()).isEmpty();
        assertThat(two.added().stream().map(LedgerEntry::id)).containsExactly(RecordId.of("C001"), RecordId.of("C002"));
        assertThat(LedgerFile.nextOwn(changed())).isEqualTo(RecordId.of("C002"));
    }

    /** Each clinic counts its own studies from C001, so that the key of one is no key of another. */
    @Test
    void the_study_of_another_clinic_never_takes_the_place_of_ones_own() {
        String csv = LedgerFile.write(changed());
        String header = csv.substring(0, csv.indexOf('\n') + 1);
        String row = csv.substring(csv.indexOf("C001,"));
        LedgerFile.Import read =
                LedgerFile.read("ledger.csv", header + row.replace("Nobody AB", "Elsewhere EF"), changed(), CATALOGUE);
        assertThat(read.corrected()).isEmpty();
        assertThat(read.faults())
                .singleElement()
                .satisfies(fault -> assertThat(fault.says())
                        .startsWith("record 'C001' is another study here (Nobody AB, Invented J, 2026)"));
    }

    @Test
    void one_study_twice_in_a_file_is_named() {
        String csv = LedgerFile.write(changed());
        String header = csv.substring(0, csv.indexOf('\n') + 1);
        String row = csv.substring(csv.indexOf("C001,")).replaceFirst("C001", "");
        assertThat(read(header + row + row).faults())
                .containsExactly(new LedgerFile.LineFault(
                        3, "citation record C001 has this study for the same finding already; correct that one"));
    }

    @Test
    void every_faulty_line_is_named_with_what_is_allowed() {
        String csv = LedgerFile.write(changed());
        String header = csv.substring(0, csv.indexOf('\n') + 1);
        String row = csv.substring(csv.indexOf("C001,"));
        LedgerFile.Import faulty = read(header
                + row.replace("0.61", "61")
                + row.replaceFirst("C001", "E999")
                + row.replaceFirst("C001", "C002")
                        .replace(",specialist,", ",hospital,")
                        .replace(",surgical,", ",hospital,")
                        .replace(",unstated,", ",hospital,")
                + row.replaceFirst("C001", "X1"));
        assertThat(faulty.added()).isEmpty();
        assertThat(faulty.faults()).extracting(LedgerFile.LineFault::line).containsExactly(2, 3, 4, 5);
        assertThat(faulty.faults().get(0).says())
                .isEqualTo("sensitivity is '61'; allowed: empty, or a number from 0.0 to 1.0");
        assertThat(faulty.faults().get(1).says()).contains("is not in the shipped ledger");
        assertThat(faulty.faults().get(2).says()).startsWith("series is 'hospital'; allowed: surgical");
        assertThat(faulty.faults().get(3).says()).startsWith("record is 'X1'; allowed: E or C");
    }

    @Test
    void another_table_an_empty_file_and_one_too_long_are_refused_in_a_line() {
        assertThat(read("a,b\n1,2\n").faults())
                .singleElement()
                .satisfies(fault -> assertThat(fault.says()).startsWith("the columns are [a, b]; allowed: [record, "));
        assertThat(read("").faults()).hasSize(1);
        String header = String.join(",", LedgerFile.columns()) + "\n";
        String empty = ",".repeat(LedgerFile.columns().size() - 1) + "\n";
        assertThat(read(header + empty.repeat(100_000)).faults())
                .hasSizeLessThanOrEqualTo(LedgerFile.MOST_ROWS + 1)
                .last()
                .satisfies(fault -> assertThat(fault.says()).contains("more than 5000 records"));
    }
}
