package lexicor.server.examinations.paper;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.conclusion.Conclusion;
import lexicor.core.examination.Reading;
import lexicor.server.examinations.assessment.Assessments;
import lexicor.server.examinations.assessment.StandingJson;
import lexicor.server.examinations.record.ExaminationRow;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.examinations.weighing.AgainJson;
import lexicor.server.examinations.weighing.Retests;
import lexicor.server.examinations.weighing.WeighingJson;
import lexicor.server.notes.NoteBlock;
import lexicor.server.report.ReportJson;
import org.springframework.stereotype.Component;

/** Puts together what stands on the report of an examination. */
@Component
public class Reports {

    private static final int MOST_RAILS = 6;
    private static final int MOST_PICTURES = 3;

    private final Assessments assessments;
    private final FindingsNote findings;
    private final Catalogue catalogue;

    Reports(Assessments assessments, FindingsNote findings, Catalogue catalogue) {
        this.catalogue = catalogue;
        this.assessments = assessments;
        this.findings = findings;
    }

    /**
     * @param signature whose signature it bears; empty for a draft
     * @param blocks what the note says
     */
    public ReportJson of(
            Recorded recorded,
            Optional<Signature> signature,
            WeighingJson weighing,
            Map<NoteBlock, String> blocks,
            Optional<AgainJson> again) {
        ExaminationRow row = recorded.row();
        FindingsNote.Findings found = findings.findings(recorded, assessments.of(recorded));
        String working =
                Conclusion.of(recorded.told()).working().map(ConditionId::value).orElse("");
        List<StandingJson> weighed = shown(weighing, working);
        Optional<StandingJson> first = weighed.stream()
                .filter(standing -> standing.conditionId().equals(working))
                .findFirst()
                .or(() -> weighed.stream().findFirst());
        return new ReportJson(
                "Examination of the " + blocks.get(NoteBlock.SIDE) + " " + row.region() + ", "
                        + blocks.get(NoteBlock.DAY),
                blocks.get(NoteBlock.CASE),
                blocks.get(NoteBlock.THERAPIST),
                signature.map(Signature::words).orElse(blocks.get(NoteBlock.DRAFT)),
                signature.isPresent(),
                blocks.get(NoteBlock.SIDE),
                row.side().other().name().toLowerCase(Locale.UK),
                items(blocks, NoteBlock.CONCLUSION),
                items(blocks, NoteBlock.SAFETY),
                weighed.stream().map(standing -> rail(standing, working)).toList(),
                pictures(blocks),
                first.map(this::beam).orElse(null),
                first.map(this::unweighed).orElse(List.of()),
                found.findings().stream()
                        .filter(finding -> !finding.quiet())
                        .map(finding -> new ReportJson.FindingJson(
                                finding.name(), finding.involved(), finding.other(), finding.says()))
                        .toList(),
                found.findings().stream()
                        .filter(FindingsNote.Finding::quiet)
                        .map(finding -> finding.name() + " (" + finding.involved() + ")")
                        .toList(),
                found.notDone(),
                again.map(Retests::lines).map(Reports::items).orElse(List.of()),
                items(blocks, NoteBlock.PATHWAYS),
                List.of(String.join(" ", blocks.get(NoteBlock.CAUTION).split("\n"))));
    }

    /**
     * What a finding was weighed for and is not set aside, and the working diagnosis wherever it stands; at least the
     * first.
     */
    private static List<StandingJson> shown(WeighingJson weighing, String working) {
        List<StandingJson> informed =
                weighing.standings().stream().filter(StandingJson::informed).toList();
        List<StandingJson> kept = informed.stream()
                .filter(standing -> standing.zone() != Thresholds.Zone.SET_ASIDE
                        || standing.conditionId().equals(working))
                .toList();
        return Stream.concat(
                        kept.stream().filter(standing -> standing.conditionId().equals(working)),
                        (kept.isEmpty() ? informed : kept).stream())
                .distinct()
                .limit(MOST_RAILS)
                .sorted(Comparator.comparingDouble(StandingJson::now).reversed())
                .toList();
    }

    private static ReportJson.RailJson rail(StandingJson standing, String working) {
        return new ReportJson.RailJson(
                standing.name(),
                standing.before(),
                standing.now(),
                standing.lower(),
                standing.upper(),
                standing.conditionId().equals(working));
    }

    private ReportJson.BeamJson beam(StandingJson standing) {
        return new ReportJson.BeamJson(
                standing.name(),
                standing.before(),
                standing.now(),
                standing.lower(),
                standing.upper(),
                standing.loads().stream()
                        .sorted(Comparator.comparingDouble(StandingJson.LoadJson::part)
                                .reversed())
                        .map(load -> new ReportJson.WeightJson(
                                named(load), load.likelihoodRatio(), load.part(), load.decibans()))
                        .toList());
    }

    private String named(StandingJson.LoadJson load) {
        return load.testIds().stream()
                .map(test -> catalogue.tests().get(TestId.of(test)))
                .filter(Objects::nonNull)
                .map(ExaminationTest::shortName)
                .collect(Collectors.joining(", "))
                .transform(tests -> tests.isEmpty() ? load.phrase() : tests + ": " + load.phrase());
    }

    private List<String> unweighed(StandingJson standing) {
        return standing.unweighed().stream()
                .map(finding -> catalogue.test(TestId.of(finding.testId())).shortName() + ": "
                        + (finding.result() == Reading.Result.NOT_INTERPRETABLE
                                ? finding.because()
                                : finding.phrase() + " (" + finding.because() + ")"))
                .toList();
    }

    /** The lines on conditions that only their picture speaks for. */
    private static List<String> pictures(Map<NoteBlock, String> blocks) {
        return items(blocks, NoteBlock.LEADERS).stream()
                .filter(line -> line.contains("typical findings looked for"))
                .limit(MOST_PICTURES)
                .toList();
    }

    private static List<String> items(Map<NoteBlock, String> blocks, NoteBlock block) {
        return items(Arrays.asList(blocks.get(block).split("\n")));
    }

    private static List<String> items(List<String> lines) {
        return lines.stream()
                .filter(line -> !line.isBlank())
                .map(line -> line.replaceFirst("^- ", ""))
                .toList();
    }
}
