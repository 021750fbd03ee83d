package lexicor.server.examinations;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Cluster;
import lexicor.core.catalogue.Setting;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.examination.Side;
import lexicor.core.examination.TestReading;
import lexicor.core.intake.IntakeState;
import lexicor.core.weighing.ClusterCount;
import lexicor.core.weighing.PatternReading;
import lexicor.core.weighing.Percent;
import lexicor.core.weighing.Ranking;
import lexicor.core.weighing.Standing;
import org.springframework.stereotype.Component;

/** Writes an examination as plain text that a colleague understands. */
@Component
class NoteWriter {

    static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM uuuu", Locale.UK).withZone(ZoneId.systemDefault());

    /** Conditions named where little is written. */
    private static final int MOST_NAMED = 3;

    private final Appraisal appraisal;
    private final FindingsNote findings;
    private final PathwayGuide pathways;
    private final Conclusions conclusions;
    private final ShortNote shortly;
    private final VisitIntake intake;
    private final IntakeNote intakeNote;

    NoteWriter(Appraisal appraisal, FindingsNote findings, VisitIntake intake, IntakeNote intakeNote, PathwayGuide pathways, Conclusions conclusions, ShortNote shortly) {
        this.shortly = shortly;
        this.conclusions = conclusions;
        this.pathways = pathways;
        this.intakeNote = intakeNote;
        this.intake = intake;
        this.appraisal = appraisal;
        this.findings = findings;
    }

    /** The examination in words, ready to be pasted. */
    String write(ExaminationService.Recorded recorded, NoteLength length) {
        ExaminationRow row = recorded.row();
        IntakeState told = intake.of(recorded);
        List<TestReading> readings = appraisal.readings(row, recorded.history(), told);
        Ranking ranking = appraisal.ranking(row, told, readings);
        Thresholds thresholds = intake.visit(row, told).assumptions().thresholds();
        List<String> conclusion = conclusions.lines(recorded, ranking, thresholds);
        List<String> lines = new ArrayList<>(length == NoteLength.LETTER ? List.of("Dear colleague,", "", "Please find below what I found.", "") : List.of());
        lines.addAll(head(row));
        if (length != NoteLength.SHORT) {
            lines.addAll(intakeNote.lines(recorded, told));
        }
        if (length == NoteLength.FULL) {
            lines.addAll(List.of("", "Findings"));
            lines.addAll(findings.lines(recorded, told, readings));
            lines.addAll(List.of("", "Where it stands"));
            lines.addAll(whereItStands(ranking, thresholds));
            List<String> ways = pathways.lines(recorded, appraisal.openTests(recorded, told, readings), readings);
            if (!ways.isEmpty()) {
                lines.addAll(List.of("", "Step by step"));
                lines.addAll(ways);
            }
        } else {
            lines.add("");
            lines.addAll(shortly.lines(readings));
            ranking.standings().stream().filter(standing -> standing.informed() && standing.now() >= thresholds.setAside()).limit(MOST_NAMED).forEach(standing -> lines.add("- " + standing(standing)));
            ranking.standings().stream().filter(NoteWriter::pictured).limit(MOST_NAMED).forEach(standing -> lines.add("- " + pattern(standing)));
        }
        lines.addAll(conclusion);
        lines.addAll(List.of("", "Chances begin at working estimates for the setting, moved by what was told, and use published accuracy that no clinician has yet compared with",
                "the original papers. What tests of one tissue share is counted once, by correlations that are partly assumed.", "Decision support: the conclusion is the therapist's."));
        if (length == NoteLength.LETTER) {
            lines.addAll(List.of("", "With kind regards,", ""));
        }
        return String.join("\n", lines) + "\n";
    }

    private static List<String> head(ExaminationRow row) {
        return List.of("Examination of the " + word(row.side()) + " " + row.region() + ", " + DAY.format(row.startedAt()),
                "Case " + row.caseFile().code() + row.caseFile().birthYear().map(year -> ", born " + year).orElse("")
                        + (row.caseFile().occupation().isEmpty() ? "" : ", " + row.caseFile().occupation()) + ", " + (row.setting() == Setting.FIRST_CONTACT ? "first-contact clinic" : "specialist clinic"));
    }

    private static List<String> whereItStands(Ranking ranking, Thresholds thresholds) {
        List<String> lines = new ArrayList<>();
        ranking.clusters().stream().filter(ClusterCount::begun).forEach(count -> lines.add("- " + cluster(count)));
        ranking.standings().stream().filter(Standing::informed).forEach(standing -> lines.add("- " + standing(standing)));
        ranking.standings().stream().filter(NoteWriter::pictured).forEach(standing -> lines.add("- " + pattern(standing)));
        ranking.standings().stream().filter(standing -> standing.pattern().unlikely())
                .forEach(standing -> lines.add("- " + standing.condition().name() + ": unlikely by definition, recheck: not found: "
                        + standing.pattern().defining().stream().map(each -> FindingsNote.inSentence(each.says())).collect(Collectors.joining(", "))));
        List<String> open = ranking.standings().stream().filter(standing -> !standing.informed() && standing.measured() && standing.pattern().present().isEmpty() && standing.before() >= thresholds.setAside())
                .map(standing -> standing.condition().name() + " (" + Percent.of(standing.before()) + ")").toList();
        if (!open.isEmpty()) {
            lines.add("- Not moved by any weighed finding, still where it started (chance in 100): " + String.join(", ", open));
        }
        return lines;
    }

    /** Whether only its picture speaks for or against it. */
    private static boolean pictured(Standing standing) {
        return !standing.informed() && !standing.pattern().unlikely() && !(standing.pattern().present().isEmpty() && standing.pattern().against().isEmpty());
    }

    private static String cluster(ClusterCount count) {
        String state = count.positives().size() + " of " + count.counted() + " positive";
        if (count.level().isPresent()) {
            boolean weighs = count.level().get().direction() != Cluster.Direction.NONE;
            return count.cluster().name() + ": " + state + ", decided: " + count.level().get().name() + (weighs ? "" : "; counted, not weighed");
        }
        return count.cluster().name() + ": " + state + (count.outOfReach() ? ", cannot be decided: too many not interpretable" : ", not yet decided");
    }

    private static String pattern(Standing standing) {
        PatternReading pattern = standing.pattern();
        return standing.condition().name() + (standing.measured() ? ", not weighed: " : ", not measured: ") + pattern.present().size() + " of " + pattern.examined() + " typical findings looked for are there"
                + (pattern.against().isEmpty() ? "" : "; against it: " + pattern.against().stream().map(each -> FindingsNote.inSentence(each.says())).collect(Collectors.joining(", ")));
    }

    private static String standing(Standing standing) {
        String by = switch (standing.lens()) {
            case CLUSTER -> ", by a decided set or the strongest finding";
            case STRONGEST_SINGLE -> ", by the strongest finding";
            case TALLY -> ", chained; counted: " + standing.tally().positives() + " of " + standing.tally().counted() + " positive";
            case CHAIN -> "";
        };
        return standing.condition().name() + ": before " + Percent.of(standing.before()) + ", now " + Percent.of(standing.now()) + " in 100 (could be "
                + Percent.of(standing.range().lower()) + " to " + Percent.of(standing.range().upper()) + ")" + by;
    }

    private static String word(Side side) {
        return side.name().toLowerCase(Locale.UK);
    }
}
