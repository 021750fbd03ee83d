package lexicor.server.report;

import com.samskivert.mustache.Mustache;
import com.samskivert.mustache.Template;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import lexicor.core.posttest.Percent;
import lexicor.core.source.SourceNode;

/** Lays a report out as a page of XHTML: rails and beam as plain boxes, so that a browser and a PDF draw them alike. */
final class ReportPage {

    /** Ticks of a rail, in 100. */
    private static final int[] TICKS = {1, 5, 10, 25, 50, 75, 90, 95, 99};
    /** Lines in the smaller lists that fit a page whatever they hold. */
    private static final int MOST_LINES = 12;

    private static final double END = 0.99;
    /** A beam reaches at least so far to either side, in decibans. */
    private static final double LEAST_REACH = 6;

    private static final double HALF = 50;
    /** What XML cannot hold. */
    private static final String UNPRINTABLE = "[^\\t\\n\\r\\x20-\\x{D7FF}\\x{E000}-\\x{FFFD}\\x{10000}-\\x{10FFFF}]";

    private static final Template TEMPLATE = Mustache.compiler()
            .escapeHTML(true)
            .emptyStringIsFalse(true)
            .defaultValue("")
            .compile(SourceNode.resourceText("/report/report.xhtml"));
    private static final String STYLE = SourceNode.resourceText("/report/report.css");

    private ReportPage() {}

    /** @param faces a style that names the faces, for who does not have them; may be empty */
    static String of(ReportJson report, Brevity brevity, String faces) {
        Map<String, Object> page = new LinkedHashMap<>();
        page.put("style", faces + STYLE);
        page.put("title", text(report.title(), brevity));
        page.put("who", text(report.who(), brevity));
        page.put("therapist", text(report.therapist(), brevity));
        page.put("standing", text(report.standing(), brevity));
        page.put("draft", !report.signed());
        page.put("side", report.side());
        page.put("otherSide", report.otherSide());
        page.put("ticks", ticks());
        page.put(
                "rails",
                report.rails().stream().map(rail -> rail(rail, brevity)).toList());
        page.put("anyWorking", report.rails().stream().anyMatch(ReportJson.RailJson::working));
        page.put("anyRails", !report.rails().isEmpty());
        page.put(
                "beam",
                report.beam() == null || report.beam().weights().isEmpty() ? false : beam(report.beam(), brevity));
        page.put(
                "findings",
                report.findings().stream()
                        .limit(brevity.findings())
                        .map(finding -> finding(finding, brevity))
                        .toList());
        page.put("anyFindings", !report.findings().isEmpty());
        page.put("moreFindings", more(report.findings().size(), brevity.findings()));
        list(page, "conclusion", report.conclusion(), brevity);
        list(page, "safety", report.safety(), brevity);
        list(page, "pictures", report.pictures(), brevity);
        list(page, "unweighed", report.unweighed(), brevity);
        list(page, "again", report.again(), brevity);
        list(page, "pathways", report.pathways(), brevity);
        page.put("quiet", text(String.join("; ", report.quiet()), brevity.words() * 2));
        page.put("notDone", text(String.join("; ", report.notDone()), brevity.words() * 2));
        page.put("caution", report.caution());
        return TEMPLATE.execute(page);
    }

    private static void list(Map<String, Object> page, String name, List<String> lines, Brevity brevity) {
        int most = brevity.words() >= 1000 ? lines.size() : MOST_LINES;
        List<String> shown = new ArrayList<>(
                lines.stream().limit(most).map(line -> text(line, brevity)).toList());
        if (lines.size() > most) {
            shown.add(more(lines.size(), most));
        }
        page.put(name, shown);
        page.put("any" + name.substring(0, 1).toUpperCase(Locale.ROOT) + name.substring(1), !shown.isEmpty());
    }

    private static String more(int all, int shown) {
        return all > shown ? "And " + (all - shown) + " more, in the note." : "";
    }

    private static String text(String words, Brevity brevity) {
        return text(words, brevity.words());
    }

    /** Words without what XML cannot hold, cut where they are too long; never within a character. */
    private static String text(String words, int most) {
        String clean = Faces.printable(words.replaceAll(UNPRINTABLE, ""));
        int width = 0;
        for (int at = 0; at < clean.length(); at += Character.charCount(clean.codePointAt(at))) {
            width += Faces.width(clean.codePointAt(at));
            if (width > most) {
                return clean.substring(0, at).strip() + " … (in full in the note)";
            }
        }
        return clean;
    }

    private static List<Map<String, Object>> ticks() {
        List<Map<String, Object>> ticks = new ArrayList<>();
        for (int tick : TICKS) {
            ticks.add(Map.of("at", percent(place(tick / 100.0)), "label", String.valueOf(tick)));
        }
        return ticks;
    }

    private static Map<String, Object> rail(ReportJson.RailJson rail, Brevity brevity) {
        Map<String, Object> drawn = new LinkedHashMap<>();
        drawn.put("name", text(rail.name(), brevity));
        drawn.put("working", rail.working());
        drawn.put("before", percent(place(rail.before())));
        drawn.put("now", percent(place(rail.now())));
        drawn.put("from", percent(place(rail.lower())));
        drawn.put("width", percent(Math.max(0.5, place(rail.upper()) - place(rail.lower()))));
        drawn.put("ticks", ticks());
        drawn.put("words", Percent.of(rail.before()) + " → ");
        drawn.put("stands", Percent.of(rail.now()));
        drawn.put("range", Percent.of(rail.lower()) + " to " + Percent.of(rail.upper()));
        return drawn;
    }

    private static Map<String, Object> beam(ReportJson.BeamJson beam, Brevity brevity) {
        double reach = Math.max(
                LEAST_REACH,
                beam.weights().stream()
                        .mapToDouble(weight -> Math.max(Math.abs(weight.part()), Math.abs(weight.alone())))
                        .max()
                        .orElse(0));
        Map<String, Object> drawn = new LinkedHashMap<>();
        drawn.put("name", text(beam.name(), brevity));
        drawn.put("from", Percent.of(beam.before()));
        drawn.put("to", Percent.of(beam.now()));
        drawn.put("range", Percent.of(beam.lower()) + " to " + Percent.of(beam.upper()));
        drawn.put(
                "weights",
                beam.weights().stream()
                        .limit(brevity.findings())
                        .map(weight -> weight(weight, reach, brevity))
                        .toList());
        return drawn;
    }

    /** A weight as two boxes: what counts, and beside it what was lost to sharing. */
    private static Map<String, Object> weight(ReportJson.WeightJson weight, double reach, Brevity brevity) {
        double counts = HALF * Math.abs(weight.part()) / reach;
        double lost = HALF * Math.max(0, Math.abs(weight.alone()) - Math.abs(weight.part())) / reach;
        boolean supports = weight.part() >= 0;
        Map<String, Object> drawn = new LinkedHashMap<>();
        drawn.put("phrase", text(weight.phrase(), brevity));
        drawn.put("kind", supports ? "for" : "against");
        drawn.put("left", percent(supports ? HALF : HALF - counts));
        drawn.put("width", percent(Math.max(0.6, counts)));
        drawn.put("lost", lost > 0.5);
        drawn.put("lostLeft", percent(supports ? HALF + counts : HALF - counts - lost));
        drawn.put("lostWidth", percent(lost));
        drawn.put(
                "ratio",
                ratio(Math.pow(10, weight.part() / 10)) + (lost > 0.5 ? ", alone " + ratio(weight.ratio()) : ""));
        return drawn;
    }

    /** A ratio as one multiplies or divides by it. */
    private static String ratio(double ratio) {
        return ratio >= 1 ? String.format(Locale.UK, "× %.1f", ratio) : String.format(Locale.UK, "÷ %.1f", 1 / ratio);
    }

    private static Map<String, Object> finding(ReportJson.FindingJson finding, Brevity brevity) {
        return Map.of(
                "name",
                text(finding.name(), brevity),
                "involved",
                text(finding.involved(), brevity),
                "other",
                text(finding.other(), brevity),
                "says",
                brevity.sentences() ? text(String.join(" ", finding.says()), brevity) : "");
    }

    /** Place of a chance on the rail, 0..100, by its log odds from 1 to 99 in 100. */
    private static double place(double chance) {
        double within = Math.min(END, Math.max(1 - END, chance));
        return HALF + HALF * Math.log(within / (1 - within)) / Math.log(END / (1 - END));
    }

    private static String percent(double value) {
        return String.format(Locale.UK, "%.2f%%", value);
    }
}
