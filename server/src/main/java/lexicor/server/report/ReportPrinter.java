package lexicor.server.report;

import com.openhtmltopdf.bidi.support.ICUBidiReorderer;
import com.openhtmltopdf.bidi.support.ICUBidiSplitter;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfBoxRenderer;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Prints reports as PDF with the faces that ship, on two A4 pages at most. */
@Component
public class ReportPrinter {

    /** The most pages of a report. */
    public static final int MOST_PAGES = 2;

    private static final String FACES = "/META-INF/resources/assets/fonts/";

    /** A face with the name by which the style calls it. Those after the first two stand in for the scripts that these lack. */
    private record Face(String family, int weight, String file) {
    }

    private static final List<Face> ALL = List.of(
            new Face("Text", 400, "source-sans-3/400Regular/SourceSans3_400Regular.ttf"),
            new Face("Text", 700, "source-sans-3/600SemiBold/SourceSans3_600SemiBold.ttf"),
            new Face("Head", 700, "source-serif-4/600SemiBold/SourceSerif4_600SemiBold.ttf"),
            new Face("Wide", 400, "noto-sans/400Regular/NotoSans_400Regular.ttf"),
            new Face("Arabic", 400, "noto-sans-arabic/400Regular/NotoSansArabic_400Regular.ttf"),
            new Face("Hebrew", 400, "noto-sans-hebrew/400Regular/NotoSansHebrew_400Regular.ttf"),
            new Face("Devanagari", 400, "noto-sans-devanagari/400Regular/NotoSansDevanagari_400Regular.ttf"),
            new Face("Bengali", 400, "noto-sans-bengali/400Regular/NotoSansBengali_400Regular.ttf"),
            new Face("Thai", 400, "noto-sans-thai/400Regular/NotoSansThai_400Regular.ttf"),
            new Face("Chinese", 400, "noto-sans-sc/400Regular/NotoSansSC_400Regular.ttf"),
            new Face("Korean", 400, "noto-sans-kr/400Regular/NotoSansKR_400Regular.ttf"));

    /** The same faces for a browser, which fetches only those it needs. */
    private static final String AS_STYLE = ALL.stream().map(face -> "@font-face { font-family: " + face.family() + "; font-weight: " + face.weight() + "; src: url(/assets/fonts/" + face.file() + "); }\n").collect(Collectors.joining());

    static {
        XRLog.setLoggingEnabled(false);
    }

    /** Lays a report out on one page where what findings mean can be left to the note, else as fully as two pages allow. */
    public Report print(ReportJson report) {
        Report full = print(report, Brevity.STEPS[0]);
        if (full.pages() == 1) {
            return full;
        }
        Report plain = print(report, Brevity.STEPS[1]);
        if (plain.pages() == 1 || full.pages() > MOST_PAGES && plain.pages() <= MOST_PAGES) {
            return plain;
        }
        if (full.pages() <= MOST_PAGES) {
            return full;
        }
        for (int step = 2; step < Brevity.STEPS.length; step++) {
            Report printed = print(report, Brevity.STEPS[step]);
            if (printed.pages() <= MOST_PAGES) {
                return printed;
            }
        }
        throw new IllegalStateException("the briefest report has more than " + MOST_PAGES + " pages");
    }

    private static Report print(ReportJson report, Brevity brevity) {
        Report printed = print(ReportPage.of(report, brevity, ""));
        return printed.pages() > MOST_PAGES ? printed : new Report(ReportPage.of(report, brevity, AS_STYLE), printed.pdf(), printed.pages());
    }

    private static Report print(String html) {
        PdfRendererBuilder builder = new PdfRendererBuilder();
        builder.useFastMode();
        builder.useUnicodeBidiSplitter(new ICUBidiSplitter.ICUBidiSplitterFactory());
        builder.useUnicodeBidiReorderer(new ICUBidiReorderer());
        ALL.forEach(face -> builder.useFont(() -> open(face.file()), face.family(), face.weight(), FontStyle.NORMAL, true));
        builder.withHtmlContent(html, null);
        builder.withProducer("Lexicor");
        ByteArrayOutputStream pdf = new ByteArrayOutputStream();
        builder.toStream(pdf);
        try (PdfBoxRenderer renderer = builder.buildPdfRenderer()) {
            renderer.layout();
            int pages = renderer.getRootBox().getLayer().getPages().size();
            if (pages <= MOST_PAGES) {
                renderer.createPDF();
            }
            return new Report(html, pdf.toByteArray(), pages);
        } catch (IOException fault) {
            throw new UncheckedIOException(fault);
        }
    }

    private static InputStream open(String file) {
        InputStream face = ReportPrinter.class.getResourceAsStream(FACES + file);
        if (face == null) {
            throw new IllegalStateException("the face " + file + " is not packed with the page");
        }
        return face;
    }
}
