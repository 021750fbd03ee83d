package lexicor.server.examinations.paper;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Cluster;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.conclusion.Conclusion;
import lexicor.core.conclusion.TellingNegatives;
import lexicor.core.examination.Side;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.ClusterCount;
import lexicor.core.intake.IntakeState;
import lexicor.core.posttest.Percent;
import lexicor.core.weighing.PatternReading;
import lexicor.core.weighing.Ranking;
import lexicor.core.weighing.Standing;
import lexicor.server.examinations.assessment.Assessment;
import lexicor.server.examinations.assessment.Assessments;
import lexicor.server.examinations.record.ExaminationRow;
import lexicor.server.examinations.record.People;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.examinations.record.TakeoverRow;
import lexicor.server.examinations.weighing.Conclusions;
import lexicor.server.examinations.weighing.PathwayGuide;
import lexicor.server.examinations.weighing.Retests;
import lexicor.server.notes.NoteBlock;
import lexicor.server.notes.NoteLength;
import lexicor.server.settings.ClinicSettings;
import lexicor.server.words.Typed;
import lexicor.server.words.Words;
import org.springframework.stereotype.Component;

/** Writes an examination as plain text that a colleague understands. */
@Component
public class NoteWriter {

    private static final String DRAFT = "Draft, not signed.";

    private static final String CAUTION = """
            Chances begin at working estimates for the setting, moved by what was told, and use published accuracy that no clinician has yet compared with
            the original papers. What tests of one tissue share is counted once, by correlations that are partly assumed.
            Decision support: the conclusion is the therapist's.""";

    /** Conditions named where little is written. */
    private static final int MOST_NAMED = 3;

    private final Assessments assessments;
    private final FindingsNote findings;
    private final PathwayGuide pathways;
    private final Conclusions conclusions;
    private final ShortNote shortly;
    private final PatientWords patient;
    private final IntakeNote intakeNote;
    private final Retests retests;
    private final ClinicSettings settings;
    private final People people;

    NoteWriter(
            Assessments assessments,
            FindingsNote findings,
            IntakeNote intakeNote,
            PathwayGuide pathways,
            Conclusions conclusions,
            ShortNote shortly,
            PatientWords patient,
            Retests retests,
            ClinicSettings settings,
            People people) {
        this.shortly = shortly;
        this.patient = patient;
        this.conclusions = conclusions;
        this.pathways = pathways;
        this.intakeNote = intakeNote;
        this.assessments = assessments;
        this.findings = findings;
        this.retests = retests;
        this.settings = settings;
        this.people = people;
    }

    /**
     * What a note can hold of an examination.
     *
     * @param signature whose signature it bears; empty for a draft
     */
    public Map<NoteBlock, String> blocks(Recorded recorded, Optional<Signature> signature) {
        ExaminationRow row = recorded.row();
        Assessment here = assessments.of(recorded);
        IntakeState told = here.told();
        List<TestReading> readings = here.readings();
        Ranking ranking = here.ranking();
        Thresholds thresholds = here.thresholds();
        Map<NoteBlock, String> blocks = new EnumMap<>(NoteBlock.class);
        blocks.put(NoteBlock.SIDE, word(row.side()));
        blocks.put(NoteBlock.REGION, row.region());
        blocks.put(NoteBlock.DAY, Words.day(row.startedAt()));
        blocks.put(NoteBlock.CASE, who(row));
        blocks.put(NoteBlock.THERAPIST, examiners(recorded));
        blocks.put(NoteBlock.DRAFT, signature.isPresent() ? "" : DRAFT);
        blocks.put(NoteBlock.TOLD, lines(intakeNote.story(recorded)));
        blocks.put(NoteBlock.SAFETY, lines(intakeNote.safety(told, row.day())));
        blocks.put(NoteBlock.POSITIVE, shortly.positive(readings));
        blocks.put(NoteBlock.NEGATIVE, shortly.negative(readings, TellingNegatives.of(ranking, thresholds)));
        blocks.put(NoteBlock.UNREAD, shortly.unread(readings));
        blocks.put(NoteBlock.FINDINGS, lines(findings.lines(recorded, here)));
        blocks.put(NoteBlock.LEADERS, lines(leaders(ranking, thresholds)));
        blocks.put(NoteBlock.STANDS, lines(whereItStands(ranking, thresholds)));
        blocks.put(NoteBlock.PATHWAYS, lines(pathways.lines(recorded, here.open(), readings)));
        blocks.put(
                NoteBlock.AGAIN,
                retests.of(recorded).map(again -> lines(Retests.lines(again))).orElse(""));
        blocks.put(NoteBlock.CONCLUSION, lines(conclusions.lines(recorded, ranking, thresholds)));
        Conclusion conclusion = Conclusions.concluded(recorded);
        blocks.put(NoteBlock.EVERYDAY, patient.thought(conclusion));
        blocks.put(NoteBlock.NEXT, PatientWords.next(conclusions.next(conclusion)));
        blocks.put(NoteBlock.ADVICE, Typed.oneLine(conclusion.advice()));
        blocks.put(NoteBlock.SEEN_AGAIN, PatientWords.seenAgain(conclusion));
        blocks.put(NoteBlock.EVERYDAY_CAUTION, PatientWords.CAUTION);
        blocks.put(NoteBlock.CAUTION, CAUTION);
        blocks.put(NoteBlock.SIGNED, signature.map(Signature::words).orElse(""));
        return blocks;
    }

    /** Who began it, who took it over from whom, and everybody else who entered a finding. */
    private String examiners(Recorded recorded) {
        List<String> said = new ArrayList<>(List.of(people.name(recorded.row().author())));
        recorded.takeovers()
                .forEach(takeover ->
                        said.add("taken over by " + takeover.takenAs() + " on " + Words.day(takeover.at())));
        Set<String> named =
                recorded.takeovers().stream().map(TakeoverRow::author).collect(Collectors.toCollection(HashSet::new));
        named.add(recorded.row().author());
        List<String> others = people.names(recorded.findingsBy().stream()
                .filter(author -> !named.contains(author))
                .toList());
        if (!others.isEmpty()) {
            said.add("findings also by " + String.join(", ", others));
        }
        return String.join("; ", said);
    }

    /** A draft of the note by the clinic's template, ready to be pasted. */
    public String draft(Recorded recorded, NoteLength length) {
        return settings.now().note(length).render(blocks(recorded, Optional.empty()));
    }

    private static String lines(List<String> lines) {
        return String.join("\n", lines);
    }

    private static List<String> leaders(Ranking ranking, Thresholds thresholds) {
        Stream<String> weighed = ranking.standings().stream()
                .filter(standing -> standing.informed() && standing.now() >= thresholds.setAside())
                .limit(MOST_NAMED)
                .map(standing -> "- " + standing(standing));
        Stream<String> pictured = ranking.standings().stream()
                .filter(NoteWriter::pictured)
                .limit(MOST_NAMED)
                .map(standing -> "- " + pattern(standing));
        return Stream.concat(weighed, pictured).toList();
    }

    /** The person by code, with what helps to know them again. */
    static String who(ExaminationRow row) {
        return "Case " + row.caseFile().code()
                + row.caseFile().name().map(name -> " " + Typed.oneLine(name)).orElse("")
                + row.caseFile().birthYear().map(year -> ", born " + year).orElse("")
                + (row.caseFile().occupation().isEmpty()
                        ? ""
                        : ", " + Typed.oneLine(row.caseFile().occupation())) + ", "
                + (row.setting() == CareSetting.FIRST_CONTACT ? "first-contact clinic" : "specialist clinic");
    }

    private static List<String> whereItStands(Ranking ranking, Thresholds thresholds) {
        List<String> lines = new ArrayList<>();
        ranking.clusters().stream().filter(ClusterCount::begun).forEach(count -> lines.add("- " + cluster(count)));
        ranking.standings().stream()
                .filter(Standing::informed)
                .forEach(standing -> lines.add("- " + standing(standing)));
        ranking.standings().stream()
                .filter(NoteWriter::pictured)
                .forEach(standing -> lines.add("- " + pattern(standing)));
        ranking.standings().stream()
                .filter(standing -> standing.pattern().unlikely())
                .forEach(standing ->
                        lines.add("- " + standing.condition().name() + ": unlikely by definition, recheck: not found: "
                                + standing.pattern().defining().stream()
                                        .map(each -> Words.inSentence(each.says()))
                                        .collect(Collectors.joining(", "))));
        List<String> open = ranking.standings().stream()
                .filter(standing -> !standing.informed()
                        && standing.measured()
                        && standing.pattern().present().isEmpty()
                        && standing.before() >= thresholds.setAside())
                .map(standing -> standing.condition().name() + " (" + Percent.of(standing.before()) + ")")
                .toList();
        if (!open.isEmpty()) {
            lines.add("- Not moved by any weighed finding, still where it started (chance in 100): "
                    + String.join(", ", open));
        }
        return lines;
    }

    /** Whether only its picture speaks for or against it. */
    private static boolean pictured(Standing standing) {
        return !standing.informed()
                && !standing.pattern().unlikely()
                && !(standing.pattern().present().isEmpty()
                        && standing.pattern().against().isEmpty());
    }

    private static String cluster(ClusterCount count) {
        String state = count.positives().size() + " of " + count.counted() + " positive";
        if (count.level().isPresent()) {
            boolean weighs = count.level().get().direction() != Cluster.Direction.NONE;
            return count.cluster().name() + ": " + state + ", decided: "
                    + count.level().get().name() + (weighs ? "" : "; counted, not weighed");
        }
        return count.cluster().name() + ": " + state
                + (count.outOfReach() ? ", cannot be decided: too many not interpretable" : ", not yet decided");
    }

    private static String pattern(Standing standing) {
        PatternReading pattern = standing.pattern();
        return standing.condition().name() + (standing.measured() ? ", not weighed: " : ", not measured: ")
                + pattern.present().size() + " of " + pattern.examined() + " typical findings looked for are there"
                + (pattern.against().isEmpty()
                        ? ""
                        : "; against it: "
                                + pattern.against().stream()
                                        .map(each -> Words.inSentence(each.says()))
                                        .collect(Collectors.joining(", ")));
    }

    private static String standing(Standing standing) {
        String by = switch (standing.lens()) {
            case CLUSTER -> ", by a decided set or the strongest finding";
            case STRONGEST_SINGLE -> ", by the strongest finding";
            case TALLY ->
                ", chained; counted: " + standing.tally().positives() + " of "
                        + standing.tally().counted() + " positive";
            case CHAIN -> "";
        };
        return standing.condition().name() + ": before " + Percent.of(standing.before()) + ", now "
                + Percent.of(standing.now()) + " in 100 (could be "
                + Percent.of(standing.range().lower()) + " to "
                + Percent.of(standing.range().upper()) + ")" + by;
    }

    private static String word(Side side) {
        return side.name().toLowerCase(Locale.UK);
    }
}
