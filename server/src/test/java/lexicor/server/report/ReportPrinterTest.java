package lexicor.server.report;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;

import java.io.IOException;
import java.text.Normalizer;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class ReportPrinterTest {

    private final ReportPrinter printer = new ReportPrinter();

    private static ReportJson report(String therapist, List<String> conclusion, List<ReportJson.FindingJson> findings) {
        return new ReportJson(
                "Examination of the right shoulder, 4 May 2026",
                "Case XX-01, born 1979, bookbinder",
                therapist,
                "Signed by " + therapist + " on 4 May 2026, version 1.",
                true,
                "right",
                "left",
                conclusion,
                List.of("Red flags asked: none"),
                List.of(
                        new ReportJson.RailJson("Subacromial pain", 0.5, 0.84, 0.6, 0.95, true),
                        new ReportJson.RailJson("AC joint pain", 0.001, 0.9999, 0, 1, false)),
                List.of(),
                new ReportJson.BeamJson(
                        "Subacromial pain",
                        0.5,
                        0.84,
                        0.6,
                        0.95,
                        List.of(
                                new ReportJson.WeightJson("Painful arc: pain between", 2.2, 2, 3.4),
                                new ReportJson.WeightJson("Drop arm: smooth", 0.8, -1, -1))),
                List.of("Wall push: nobody has measured this test"),
                findings,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of("Decision support: the conclusion is the therapist's."));
    }

    private static String words(Report report) throws IOException {
        try (PDDocument document = Loader.loadPDF(report.pdf())) {
            PDFTextStripper stripper = new PDFTextStripper();
            stripper.setSortByPosition(true);
            // one drawing may stand for two characters that look the same
            return Normalizer.normalize(stripper.getText(document), Normalizer.Form.NFKC)
                    .replaceAll("\\s+", " ");
        }
    }

    @Test
    void an_ordinary_report_is_one_page_of_embedded_faces() throws IOException {
        Report report = printer.print(report(
                "N. Example",
                List.of("Working diagnosis: Subacromial pain, likely"),
                List.of(new ReportJson.FindingJson(
                        "Painful arc", "familiar pain", "no pain", List.of("Counts for subacromial pain.")))));
        assertThat(report.pages()).isEqualTo(1);
        assertThat(words(report))
                .contains(
                        "Examination of the right shoulder",
                        "Working diagnosis: Subacromial pain",
                        "50 → 84 (60 to 95)",
                        "× 1.6, alone × 2.2",
                        "÷ 1.3",
                        "Page 1 of 1",
                        "Decision support");
        try (PDDocument document = Loader.loadPDF(report.pdf())) {
            for (PDPage page : document.getPages()) {
                for (COSName name : page.getResources().getFontNames()) {
                    PDFont font = page.getResources().getFont(name);
                    assertThat(font.isEmbedded()).as(font.getName()).isTrue();
                }
            }
        }
    }

    /** Text is read back from the PDF; scripts that are written from the right come back in either order. */
    @ParameterizedTest
    @CsvSource({
        "Łucja Żółć",
        "Nguyễn Thị Ánh",
        "Ελένη Παπαδοπούλου",
        "Дмитрий Ёлкин",
        "王小明",
        "田中さくら",
        "김민수",
        "สมชาย ใจดี",
        "O'Brien & <Sons>"
    })
    void a_name_in_any_of_these_scripts_prints_right(String name) throws IOException {
        assertThat(words(printer.print(report(name, List.of(), List.of()))))
                .contains("Examined by " + Normalizer.normalize(name, Normalizer.Form.NFKC));
    }

    @ParameterizedTest
    @CsvSource({"שרה כהן", "فاطمة الزهراء", "प्रिया शर्मा", "কৃষ্ণা রায়"})
    void no_letter_of_a_right_to_left_or_joined_script_is_missing_from_the_faces(String name) throws IOException {
        assertThat(words(printer.print(report(name, List.of(), List.of()))))
                .doesNotContain("#")
                .contains("Examined by ");
    }

    @Test
    void very_long_words_and_many_findings_fit_two_pages_and_say_what_was_left_out() throws IOException {
        List<String> conclusion = IntStream.range(0, 12)
                .mapToObj(i -> "Advice: " + "keep it moving and rest it between ".repeat(28))
                .toList();
        List<ReportJson.FindingJson> findings = new ArrayList<>();
        IntStream.range(0, 90)
                .forEach(i -> findings.add(new ReportJson.FindingJson(
                        "Test number " + i,
                        "response ".repeat(100),
                        "response ".repeat(60),
                        List.of("It counts for a condition. ".repeat(20)))));
        Report report = printer.print(report("N. Example", conclusion, findings));
        assertThat(report.pages()).isEqualTo(2);
        assertThat(words(report)).contains("more, in the note.", "(in full in the note)", "Decision support");
    }

    @Test
    void control_characters_and_halves_of_characters_do_no_harm() throws IOException {
        assertThat(words(printer.print(report("N.\u0000\u0007 Exa\uD800mple", List.of("a\u000Bb"), List.of()))))
                .contains("N. Example", "ab");
    }

    static Stream<String> nastyTexts() {
        return Stream.of(
                "x".repeat(1000),
                "א".repeat(1000),
                "אa".repeat(500),
                "漢".repeat(1000),
                "한".repeat(1000),
                "a" + "\u0301".repeat(999),
                "\u200B".repeat(1000),
                "\u202E\u202D".repeat(500),
                "𝒳".repeat(500),
                "👩‍👩‍👧‍👦".repeat(90));
    }

    @ParameterizedTest
    @MethodSource("nastyTexts")
    void a_report_of_any_text_is_printed_in_seconds_on_two_pages(String text) {
        List<String> conclusion =
                IntStream.range(0, 6).mapToObj(i -> "Advice: " + text).toList();
        List<ReportJson.FindingJson> findings = IntStream.range(0, 30)
                .mapToObj(i -> new ReportJson.FindingJson("Test " + i, text, text, List.of(text)))
                .toList();
        assertTimeoutPreemptively(
                Duration.ofSeconds(60),
                () -> assertThat(printer.print(report("N. Example", conclusion, findings))
                                .pages())
                        .isLessThanOrEqualTo(ReportPrinter.MOST_PAGES));
    }
}
