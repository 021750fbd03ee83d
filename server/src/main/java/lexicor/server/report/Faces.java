package lexicor.server.report;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.BitSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** The faces that a report is printed with, and which characters they have between them. */
final class Faces {

    private static final String FOLDER = "/META-INF/resources/assets/fonts/";

    /** Stands for one or more characters in a row that no face has. */
    private static final String MISSING = "?";

    /** Families of scripts whose letters join: they cannot be written without the face's own substitutions. */
    private static final Set<String> JOINING = Set.of("Devanagari", "Bengali");

    /**
     * A face with the name by which the style calls it. Those after the first two stand in for the scripts that these
     * lack.
     */
    record Face(String family, int weight, String file) {

        InputStream open() {
            InputStream face = Faces.class.getResourceAsStream(FOLDER + file);
            if (face == null) {
                throw new IllegalStateException("the face " + file + " is not packed with the page");
            }
            return face;
        }

        /**
         * Loads the face into a document, which closes it. Substitutions of glyphs (GSUB) are read only where the
         * script needs them: in a Latin text they draw ligatures at most and take longer than all the rest of a page.
         */
        PDFont in(PDDocument document) {
            try {
                TrueTypeFont font = new TTFParser().parse(new RandomAccessReadBuffer(open()));
                document.registerTrueTypeFontForClosing(font);
                font.setEnableGsub(JOINING.contains(family));
                return PDType0Font.load(document, font, true);
            } catch (IOException unreadable) {
                throw new UncheckedIOException(unreadable);
            }
        }
    }

    static final List<Face> ALL = List.of(
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
    static final String AS_STYLE = ALL.stream()
            .map(face -> "@font-face { font-family: " + face.family() + "; font-weight: " + face.weight()
                    + "; src: url(/assets/fonts/" + face.file() + "); }\n")
            .collect(Collectors.joining());

    /** Read at the first report, once. */
    private static final class Known {

        private static final BitSet CHARACTERS = read();

        private static BitSet read() {
            BitSet known = new BitSet();
            for (Face face : ALL) {
                try (TrueTypeFont font = new TTFParser().parse(new RandomAccessReadBuffer(face.open()))) {
                    CmapLookup map = font.getUnicodeCmapLookup();
                    for (int character = 0; character <= Character.MAX_CODE_POINT; character++) {
                        if (!known.get(character) && map.getGlyphId(character) > 0) {
                            known.set(character);
                        }
                    }
                } catch (IOException unreadable) {
                    throw new UncheckedIOException(unreadable);
                }
            }
            return known;
        }
    }

    private Faces() {}

    /** A text in which characters that no face has are named as missing. Spaces and signs that only steer stay. */
    static String printable(String text) {
        if (text.codePoints().allMatch(Faces::isPrinted)) {
            return text;
        }
        StringBuilder printed = new StringBuilder();
        boolean missing = false;
        for (int character : text.codePoints().toArray()) {
            boolean prints = isPrinted(character);
            if (prints) {
                printed.appendCodePoint(character);
            } else if (!missing) {
                printed.append(MISSING);
            }
            missing = !prints;
        }
        return printed.toString();
    }

    private static boolean isPrinted(int character) {
        return character < 0x250
                || Known.CHARACTERS.get(character)
                || Character.isWhitespace(character)
                || Character.getType(character) == Character.FORMAT;
    }

    /** How wide a text is, in letters of the Latin alphabet: an ideogram or a syllable block counts two. */
    static int width(int character) {
        return Character.isIdeographic(character)
                        || Character.UnicodeScript.of(character) == Character.UnicodeScript.HANGUL
                        || character >= 0x3000 && character < 0x3100
                ? 2
                : 1;
    }
}
