package lexicor.server.library;

import static lexicor.server.json.OrNull.orNull;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import lexicor.core.evidence.AccuracyRecord;
import lexicor.core.evidence.RecordUse;
import lexicor.core.evidence.Series;
import lexicor.core.evidence.Tie;

/** One published result as the clinic's database keeps it. */
@Entity
@Table(name = "accuracy_record")
class LedgerRow {

    @Id
    private String id;

    @SuppressWarnings("unused") // a column, read by queries alone
    private int line;

    private String kind;
    private String subject;
    private String subjectText;
    private String criterion;
    private String conditionId;
    private String conditionText;
    private Double sensitivity;
    private Double specificity;
    private Double lrPositive;
    private Double lrNegative;

    @Column(name = "n_with")
    private Integer with;

    @Column(name = "n_without")
    private Integer without;

    @Column(name = "n_total")
    private Integer total;

    private String design;
    private boolean originator;
    private String referenceStandard;
    private String population;
    private String citation;
    private String transcription;
    private String reviewState;
    private String note;

    @SuppressWarnings("unused") // a column, read by queries alone
    private String tiedTo;

    private String tiedCriterion;
    private String series;
    private boolean byInventors;
    private String tieNote;

    @Enumerated(EnumType.STRING)
    private RecordUse.Use useState;

    private String useBecause;

    @SuppressWarnings("unused") // a column, read by queries alone
    private String evidenceRevision;

    protected LedgerRow() {
        // for the mapper
    }

    LedgerRow(AccuracyRecord record, Tie tie, RecordUse use, boolean byInventors, String evidenceRevision) {
        this.id = record.id().value();
        update(record, tie, use, byInventors, evidenceRevision);
    }

    /** Takes over what the ledger says. */
    final void update(AccuracyRecord record, Tie tie, RecordUse use, boolean inventors, String revision) {
        line = record.line();
        kind = record.kind().name().toLowerCase();
        subject = record.subject();
        subjectText = record.subjectText();
        criterion = record.criterion();
        conditionId = record.condition();
        conditionText = record.conditionText();
        sensitivity = orNull(record.sensitivity());
        specificity = orNull(record.specificity());
        lrPositive = orNull(record.lrPositive());
        lrNegative = orNull(record.lrNegative());
        with = orNull(record.with());
        without = orNull(record.without());
        total = orNull(record.total());
        design = record.design();
        originator = record.originator();
        referenceStandard = record.referenceStandard();
        population = record.population();
        citation = record.citation();
        transcription = record.transcription();
        reviewState = record.reviewState();
        note = record.note();
        tiedTo = tie.getClass().getSimpleName();
        tiedCriterion = tie instanceof Tie.ToTest to ? to.criterion().value() : "";
        series = tie.patients().map(Series::name).orElse("");
        byInventors = inventors;
        tieNote = tie instanceof Tie.ToTest to ? to.note() : "";
        useState = use.use();
        useBecause = use.because();
        evidenceRevision = revision;
    }

    String id() {
        return id;
    }

    RecordJson json() {
        return new RecordJson(
                id,
                kind,
                subject,
                subjectText,
                criterion,
                conditionId,
                conditionText,
                sensitivity,
                specificity,
                lrPositive,
                lrNegative,
                with,
                without,
                total,
                design,
                originator,
                referenceStandard,
                population,
                citation,
                transcription,
                reviewState,
                note,
                tiedCriterion,
                series,
                byInventors,
                tieNote,
                useState,
                useBecause);
    }
}
