package lexicor.server.report;

import com.openhtmltopdf.bidi.support.ICUBidiReorderer;
import com.openhtmltopdf.bidi.support.ICUBidiSplitter;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PDFontSupplier;
import com.openhtmltopdf.pdfboxout.PdfBoxRenderer;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
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
        builder.withHtmlContent(html, null);
        builder.withProducer("Lexicor");
        ByteArrayOutputStream pdf = new ByteArrayOutputStream();
        builder.toStream(pdf);
        try (PDDocument document = new PDDocument();
                PdfBoxRenderer renderer = with(Faces.ALL, document, builder).buildPdfRenderer()) {
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

    private static PdfRendererBuilder with(List<Faces.Face> faces, PDDocument document, PdfRendererBuilder builder) {
        builder.usePDDocument(document);
        for (Faces.Face face : faces) {
            builder.useFont(new LoadedWhenUsed(face, document), face.family(), face.weight(), FontStyle.NORMAL, true);
        }
        return builder;
    }

    /** Loads a face when the first character needs it. */
    private static final class LoadedWhenUsed extends PDFontSupplier {

        private final Faces.Face face;
        private final PDDocument document;

        LoadedWhenUsed(Faces.Face face, PDDocument document) {
            super(null);
            this.face = face;
            this.document = document;
        }

        @Override
        public PDFont supply() {
            return face.in(document);
        }
    }
}
