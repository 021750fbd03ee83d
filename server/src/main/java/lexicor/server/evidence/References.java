package lexicor.server.evidence;

import java.io.StringReader;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import lexicor.server.problems.BadInput;
import org.jbibtex.BibTeXDatabase;
import org.jbibtex.BibTeXEntry;
import org.jbibtex.BibTeXParser;
import org.jbibtex.BibTeXString;
import org.jbibtex.Key;
import org.jbibtex.LaTeXParser;
import org.jbibtex.LaTeXPrinter;
import org.jbibtex.ParseException;
import org.jbibtex.TokenMgrException;
import org.jbibtex.Value;

/** Reads a file of references (BibTeX or RIS) into sources as the ledger writes them. */
final class References {

    /** The most references that are read of one file. */
    static final int MOST = 500;

    /** Given names that stand as initials already. */
    private static final int MOST_INITIALS = 3;

    /** Braces within braces; no reference has as many. */
    private static final int DEEPEST = 40;

    private static final Pattern RIS_LINE = Pattern.compile("^([A-Z][A-Z0-9])  -\\s?(.*)$");
    private static final Pattern YEAR = Pattern.compile("\\b(1[89]|20)\\d\\d\\b");

    private References() {}

    /**
     * One reference.
     *
     * @param citation authors, journal, year;volume:pages and DOI, as far as they are there
     */
    record Reference(String citation, String title) {}

    /** The references of a file in its order; refused where it has none. */
    static List<Reference> read(String text) {
        List<Reference> found = RIS_LINE.matcher(firstLine(text)).matches() ? ris(text) : bibtex(text);
        if (found.isEmpty()) {
            throw new BadInput("text", "no reference is in it; allowed: a file in BibTeX or RIS");
        }
        if (found.size() > MOST) {
            throw new BadInput("text", found.size() + " references are in it; allowed: at most " + MOST);
        }
        return found;
    }

    private static String firstLine(String text) {
        return withoutMark(text)
                .lines()
                .filter(line -> !line.isBlank())
                .findFirst()
                .orElse("");
    }

    /** Without the byte order mark that some programs write first. */
    private static String withoutMark(String text) {
        return text.startsWith("\uFEFF") ? text.substring(1) : text;
    }

    private static List<Reference> ris(String text) {
        List<Reference> found = new ArrayList<>();
        Map<String, List<String>> fields = new LinkedHashMap<>();
        for (String line : withoutMark(text).lines().toList()) {
            Matcher match = RIS_LINE.matcher(line);
            if (match.matches() && match.group(1).equals("ER")) {
                found.add(reference(fields));
                fields = new LinkedHashMap<>();
            } else if (match.matches()) {
                fields.computeIfAbsent(match.group(1), tag -> new ArrayList<>())
                        .add(match.group(2).strip());
            }
        }
        if (fields.containsKey("TY")) {
            found.add(reference(fields));
        }
        return found;
    }

    private static Reference reference(Map<String, List<String>> fields) {
        List<String> authors = fields.getOrDefault("AU", fields.getOrDefault("A1", List.of()));
        String first = one(fields, "SP");
        String last = one(fields, "EP");
        return reference(
                authors,
                one(fields, "JO", "J2", "JF", "T2", "JA"),
                year(one(fields, "PY", "Y1", "DA")),
                one(fields, "VL"),
                first.isEmpty() || last.isEmpty() || first.contains("-") ? first : first + "-" + last,
                one(fields, "DO"),
                one(fields, "TI", "T1"));
    }

    private static String one(Map<String, List<String>> fields, String... tags) {
        return Arrays.stream(tags)
                .flatMap(tag -> fields.getOrDefault(tag, List.of()).stream())
                .filter(value -> !value.isEmpty())
                .findFirst()
                .orElse("");
    }

    private static List<Reference> bibtex(String text) {
        refuseDeep(text);
        try {
            BibTeXDatabase database = new LenientParser().parse(new StringReader(withoutMark(text)));
            return database.getEntries().values().stream()
                    .map(References::reference)
                    .toList();
        } catch (ParseException | TokenMgrException fault) {
            String says = String.valueOf(fault.getMessage()).lines().findFirst().orElse("");
            throw new BadInput("text", "it cannot be read as BibTeX (" + says + "); allowed: a file in BibTeX or RIS");
        }
    }

    /** Takes names that stand for a text, such as months, without asking what they stand for. */
    private static final class LenientParser extends BibTeXParser {

        LenientParser() throws ParseException {}

        @Override
        public void checkStringResolution(Key key, BibTeXString string) {
            // what it stands for may be in a file that nobody has given us
        }

        @Override
        public void checkCrossReferenceResolution(Key key, BibTeXEntry entry) {
            // the same
        }
    }

    /** A reader of nested text must not be led too deep. */
    private static void refuseDeep(String text) {
        int depth = 0;
        for (int i = 0; i < text.length(); i++) {
            depth += text.charAt(i) == '{' ? 1 : text.charAt(i) == '}' ? -1 : 0;
            if (depth > DEEPEST) {
                throw new BadInput("text", "braces stand more than " + DEEPEST + " deep; allowed: BibTeX or RIS");
            }
        }
    }

    private static Reference reference(BibTeXEntry entry) {
        String authors = plain(entry, BibTeXEntry.KEY_AUTHOR);
        return reference(
                authors.isEmpty() ? List.of() : List.of(authors.split("\\s+and\\s+")),
                plain(entry, BibTeXEntry.KEY_JOURNAL),
                year(plain(entry, BibTeXEntry.KEY_YEAR) + " " + plain(entry, new Key("date"))),
                plain(entry, BibTeXEntry.KEY_VOLUME),
                plain(entry, BibTeXEntry.KEY_PAGES).replaceAll("\\s*[-\u2013]+\\s*", "-"),
                plain(entry, BibTeXEntry.KEY_DOI),
                plain(entry, BibTeXEntry.KEY_TITLE));
    }

    /** The text of a field without markup. */
    private static String plain(BibTeXEntry entry, Key key) {
        Value value = entry.getField(key);
        if (value == null) {
            return "";
        }
        String text = value.toUserString();
        try {
            return new LaTeXPrinter()
                    .print(new LaTeXParser().parse(new StringReader(text)))
                    .replaceAll("[{}]", "")
                    .replaceAll("\\s+", " ")
                    .strip();
        } catch (ParseException | TokenMgrException plainText) {
            return text.replaceAll("[{}\\\\]", "").strip();
        }
    }

    private static String year(String date) {
        Matcher match = YEAR.matcher(date);
        return match.find() ? match.group() : "";
    }

    private static Reference reference(
            List<String> authors, String journal, String year, String volume, String pages, String doi, String title) {
        String where = volume.isEmpty() ? pages : pages.isEmpty() ? volume : volume + ":" + pages;
        String when = where.isEmpty() || year.isEmpty() ? year + where : year + ";" + where;
        return new Reference(
                Arrays.stream(new String[] {written(authors), journal, when, doi.isEmpty() ? "" : "doi:" + doi})
                        .filter(part -> !part.isEmpty())
                        .collect(Collectors.joining(", ")),
                title);
    }

    /** One or two authors by name, of more the first. */
    private static String written(List<String> authors) {
        return authors.size() > 2
                ? written(authors.get(0)) + " et al."
                : authors.stream().map(References::written).collect(Collectors.joining(", "));
    }

    /** Family name and initials, from "Family, Given Names", "Given Names Family" or "Family GN". */
    private static String written(String author) {
        int comma = author.indexOf(',');
        int space = author.lastIndexOf(' ');
        if (comma >= 0) {
            return written(author.substring(0, comma), author.substring(comma + 1));
        }
        if (space < 0) {
            return author.strip();
        }
        String before = author.substring(0, space);
        String last = author.substring(space + 1);
        return initials(last) ? written(before, last) : written(last, before);
    }

    private static boolean initials(String name) {
        return name.length() <= MOST_INITIALS && name.equals(name.toUpperCase(Locale.ROOT));
    }

    private static String written(String family, String given) {
        String letters = Arrays.stream(given.split("[\\s.,-]+"))
                .filter(name -> !name.isBlank())
                .map(name -> initials(name) ? name : name.substring(0, 1))
                .collect(Collectors.joining());
        return (family.strip() + " " + letters).strip();
    }
}
