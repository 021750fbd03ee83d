package lexicor.server.report;

import com.openhtmltopdf.bidi.support.ICUBidiReorderer;
import com.openhtmltopdf.bidi.support.ICUBidiSplitter;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfBoxRenderer;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import org.springframework.stereotype.Component;

/** Prints reports as PDF with the faces that ship, on two A4 pages at most. */
@Component
public class ReportPrinter {

    /** The most pages of a report. */
    public static final int MOST_PAGES = 2;

    static {
        XRLog.setLoggingEnabled(false);
    }

    /**
     * Lays a report out on one page where what findings mean can be left to the note, else as fully as two pages allow.
     */
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
        return printed.pages() > MOST_PAGES
                ? printed
                : new Report(ReportPage.of(report, brevity, Faces.AS_STYLE), printed.pdf(), printed.pages());
    }

    private static Report print(String html) {
        PdfRendererBuilder builder = new PdfRendererBuilder();
        builder.useFastMode();
        builder.useUnicodeBidiSplitter(new ICUBidiSplitter.ICUBidiSplitterFactory());
        builder.useUnicodeBidiReorderer(new ICUBidiReorderer());
        Faces.ALL.forEach(face -> builder.useFont(face::open, face.family(), face.weight(), FontStyle.NORMAL, true));
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
}
