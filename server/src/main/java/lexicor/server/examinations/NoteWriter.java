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

    private final Appraisal appraisal;
    private final FindingsNote findings;
    private final PathwayGuide pathways;
    private final Conclusions conclusions;
    private final VisitIntake intake;
    private final IntakeNote intakeNote;

    NoteWriter(Appraisal appraisal, FindingsNote findings, VisitIntake intake, IntakeNote intakeNote, PathwayGuide pathways, Conclusions conclusions) {
        this.conclusions = conclusions;
        this.pathways = pathways;
        this.intakeNote = intakeNote;
        this.intake = intake;
        this.appraisal = appraisal;
        this.findings = findings;
    }

    String write(ExaminationService.Recorded recorded) {
        ExaminationRow row = recorded.row();
        IntakeState told = intake.of(recorded);
        List<TestReading> readings = appraisal.readings(row, recorded.history(), told);
        Ranking ranking = appraisal.ranking(row, told, readings);
        List<String> lines = new ArrayList<>();
        lines.add("Examination of the " + word(row.side()) + " " + row.region() + ", " + DAY.format(row.startedAt()));
        lines.add("Case " + row.caseFile().code() + row.caseFile().birthYear().map(year -> ", born " + year).orElse("")
                + (row.caseFile().occupation().isEmpty() ? "" : ", " + row.caseFile().occupation()) + ", " + (row.setting() == Setting.FIRST_CONTACT ? "first-contact clinic" : "specialist clinic"));
        lines.addAll(intakeNote.lines(recorded, told));
        lines.add("");
        lines.add("Findings");
        lines.addAll(findings.lines(recorded, told, readings));
        lines.add("");
        lines.add("Where it stands");
        ranking.clusters().stream().filter(ClusterCount::begun).forEach(count -> lines.add("- " + cluster(count)));
        ranking.standings().stream().filter(Standing::informed).forEach(standing -> lines.add("- " + standing(standing)));
        ranking.standings().stream().filter(standing -> !standing.measured() && !standing.pattern().unlikely()
                        && !(standing.pattern().present().isEmpty() && standing.pattern().against().isEmpty()))
                .forEach(standing -> lines.add("- " + pattern(standing)));
        ranking.standings().stream().filter(standing -> standing.pattern().unlikely())
                .forEach(standing -> lines.add("- " + standing.condition().name() + ": unlikely by definition, recheck: not found: "
                        + standing.pattern().defining().stream().map(each -> inSentence(each.says())).collect(Collectors.joining(", "))));
        Thresholds thresholds = intake.visit(recorded.row(), told).assumptions().thresholds();
        List<String> open = ranking.standings().stream().filter(standing -> !standing.informed() && standing.measured() && standing.before() >= thresholds.setAside())
                .map(standing -> standing.condition().name() + " (" + Percent.of(standing.before()) + ")").toList();
        if (!open.isEmpty()) {
            lines.add("- Not moved by any weighed finding, still where it started (chance in 100): " + String.join(", ", open));
        }
        List<String> ways = pathways.lines(recorded, appraisal.openTests(recorded, told, readings), readings);
        if (!ways.isEmpty()) {
            lines.add("");
            lines.add("Step by step");
            lines.addAll(ways);
        }
        lines.addAll(conclusions.lines(recorded, ranking, thresholds));
        lines.add("");
        lines.add("Chances begin at working estimates for the setting, moved by what was told, and use published accuracy that no clinician has yet compared with");
        lines.add("the original papers. What tests of one tissue share is counted once, by correlations that are partly assumed.");
        lines.add("Decision support: the conclusion is the therapist's.");
        return String.join("\n", lines) + "\n";
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
        return standing.condition().name() + ", not measured: " + pattern.present().size() + " of " + pattern.examined() + " typical findings looked for are there"
                + (pattern.against().isEmpty() ? "" : "; against it: " + pattern.against().stream().map(each -> inSentence(each.says())).collect(Collectors.joining(", ")));
    }

    private static String inSentence(String says) {
        return says.substring(0, 1).toLowerCase(Locale.UK) + says.substring(1);
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
