package lexicor.server.examinations.signing;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.server.examinations.assessment.Assessment;
import lexicor.server.examinations.assessment.Assessments;
import lexicor.server.examinations.assessment.IntakeJson;
import lexicor.server.examinations.paper.NoteWriter;
import lexicor.server.examinations.paper.Reports;
import lexicor.server.examinations.paper.Signature;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.examinations.record.SignatureRow;
import lexicor.server.examinations.weighing.AgainJson;
import lexicor.server.examinations.weighing.ConclusionJson;
import lexicor.server.examinations.weighing.Conclusions;
import lexicor.server.examinations.weighing.ExaminationAssessment;
import lexicor.server.examinations.weighing.InsightJson;
import lexicor.server.examinations.weighing.Insights;
import lexicor.server.examinations.weighing.Retests;
import lexicor.server.examinations.weighing.WeighingJson;
import lexicor.server.notes.NoteBlock;
import lexicor.server.notes.NoteLength;
import lexicor.server.notes.NoteTemplate;
import lexicor.server.problems.NotFound;
import lexicor.server.report.ReportJson;
import lexicor.server.settings.ClinicSettings;
import lexicor.server.settings.Settings;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** What an examination comes to: of a signed one as it was signed, of any other as it is computed now. */
@Component
public class Results {

    private final ExaminationAssessment appraisal;
    private final Assessments assessments;
    private final Insights insights;
    private final Conclusions conclusions;
    private final NoteWriter notes;
    private final Retests retests;
    private final Reports reports;
    private final Snapshots snapshots;
    private final ClinicSettings settings;
    private final Catalogue catalogue;
    private final JsonMapper json;

    Results(
            ExaminationAssessment appraisal,
            Assessments assessments,
            Insights insights,
            Conclusions conclusions,
            NoteWriter notes,
            Retests retests,
            Reports reports,
            Snapshots snapshots,
            ClinicSettings settings,
            Catalogue catalogue,
            JsonMapper json) {
        this.appraisal = appraisal;
        this.assessments = assessments;
        this.insights = insights;
        this.conclusions = conclusions;
        this.notes = notes;
        this.retests = retests;
        this.reports = reports;
        this.snapshots = snapshots;
        this.settings = settings;
        this.catalogue = catalogue;
        this.json = json;
    }

    public WeighingJson weighing(Recorded recorded) {
        return signed(recorded).map(outputs -> outputs.weighing().brief()).orElseGet(() -> appraisal.brief(recorded));
    }

    public IntakeJson intake(Recorded recorded) {
        return signed(recorded).map(Snapshot.Outputs::intake).orElseGet(() -> intakeNow(recorded));
    }

    public ConclusionJson conclusion(Recorded recorded) {
        return signed(recorded).map(Snapshot.Outputs::conclusion).orElseGet(() -> conclusions.of(recorded));
    }

    /** @param rho correlations set by hand: a look under them is computed now, whatever was signed */
    public InsightJson insight(Recorded recorded, String condition, Map<String, Double> rho) {
        Optional<InsightJson> kept = rho.isEmpty()
                ? signed(recorded).map(outputs -> outputs.insights().get(condition))
                : Optional.empty();
        return kept.orElseGet(() -> insights.of(recorded, condition, rho));
    }

    /** Empty where the examination follows no other. */
    public Optional<AgainJson> again(Recorded recorded) {
        Optional<Snapshot.Outputs> signed = signed(recorded);
        return signed.isPresent() ? Optional.ofNullable(signed.get().again()) : retests.of(recorded);
    }

    /** @param version a signed version; empty for the last, or the draft where the examination is open */
    public String note(Recorded recorded, NoteLength length, Optional<Integer> version) {
        return outputs(recorded, version)
                .map(outputs -> outputs.notes().get(length.id()))
                .orElseGet(() -> notes.draft(recorded, length));
    }

    /** @param version as of {@link #note} */
    public ReportJson report(Recorded recorded, Optional<Integer> version) {
        return outputs(recorded, version)
                .map(Snapshot.Outputs::report)
                .orElseGet(() -> reports.of(
                        recorded,
                        Optional.empty(),
                        appraisal.whole(recorded),
                        notes.blocks(recorded, Optional.empty()),
                        retests.of(recorded)));
    }

    private Optional<Snapshot.Outputs> outputs(Recorded recorded, Optional<Integer> version) {
        return version.isPresent()
                ? Optional.of(snapshot(row(recorded, version.get())).outputs())
                : signed(recorded);
    }

    private Optional<Snapshot.Outputs> signed(Recorded recorded) {
        return recorded.versions().closed()
                ? recorded.versions().last().map(row -> snapshot(row).outputs())
                : Optional.empty();
    }

    /** The signature of a version, or {@link NotFound}. */
    static SignatureRow row(Recorded recorded, int version) {
        return recorded.versions().signed().stream()
                .filter(row -> row.version() == version)
                .findFirst()
                .orElseThrow(
                        () -> new NotFound("There is no signed version " + version + " of this examination; there are "
                                + recorded.versions().signed().size() + "."));
    }

    /** Where an examination stood when a version was signed. */
    @Transactional(readOnly = true)
    public WeighingJson weighing(SignatureRow row) {
        return snapshot(row).outputs().weighing();
    }

    /** An examination as it was when its last version was signed; empty where none was. */
    @Transactional(readOnly = true)
    public Optional<SignedVisit> lastSigned(Recorded recorded) {
        return recorded.versions().last().map(row -> new SignedVisit(recorded.asSigned(row), row, snapshot(row)));
    }

    /** What was kept when a version was signed. */
    @Transactional(readOnly = true)
    Snapshot snapshot(SignatureRow row) {
        return json.readValue(snapshots.findById(row.getId()).orElseThrow().content(), Snapshot.class);
    }

    /** Keeps what a version comes to. */
    void keep(SignatureRow row, Snapshot snapshot) {
        snapshots.save(new SnapshotRow(row.getId(), json.writeValueAsString(snapshot)));
    }

    /**
     * Computes an examination, as it bears a signature.
     *
     * @param templates layouts of its notes, by length
     */
    public Snapshot compute(Recorded recorded, Signature signature, Map<String, String> templates) {
        Settings pinned = settings.at(recorded.row().settingsRevision());
        return new Snapshot(
                Snapshot.Inputs.of(recorded, new TreeMap<>(pinned.chosen()), templates),
                outputs(recorded, signature, templates));
    }

    /** The layouts of today, by length. */
    public Map<String, String> templates() {
        Settings now = settings.now();
        return Arrays.stream(NoteLength.values())
                .collect(Collectors.toMap(NoteLength::id, now::noteText, (one, other) -> one, TreeMap::new));
    }

    private Snapshot.Outputs outputs(Recorded recorded, Signature signature, Map<String, String> templates) {
        WeighingJson weighing = appraisal.whole(recorded);
        Map<NoteBlock, String> blocks = notes.blocks(recorded, Optional.of(signature));
        Map<String, String> written = new LinkedHashMap<>();
        templates.forEach((length, template) ->
                written.put(length, NoteTemplate.of(template).render(blocks)));
        Optional<AgainJson> again = retests.of(recorded);
        return new Snapshot.Outputs(
                weighing,
                intakeNow(recorded),
                conclusions.of(recorded),
                insights.informed(recorded),
                written,
                again.orElse(null),
                reports.of(recorded, Optional.of(signature), weighing, blocks, again));
    }

    private IntakeJson intakeNow(Recorded recorded) {
        Assessment here = assessments.of(recorded);
        return IntakeJson.of(recorded.lastNumber(), here, catalogue);
    }
}
