package lexicor.server.evidence;

import static lexicor.server.json.OrNull.orNull;

import java.util.OptionalDouble;
import java.util.OptionalInt;
import lexicor.core.catalogue.ClusterId;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.AccuracyRecord;
import lexicor.core.evidence.LedgerEntry;
import lexicor.core.evidence.RecordId;
import lexicor.core.evidence.Series;
import lexicor.core.evidence.Tie;
import org.jspecify.annotations.Nullable;

/** A ledger entry as a change keeps it. What does not apply is null. */
record StoredEntry(
        AccuracyRecord.Kind kind,
        String subject,
        String subjectText,
        String criterion,
        String condition,
        String conditionText,
        @Nullable Double sensitivity,
        @Nullable Double specificity,
        @Nullable Double lrPositive,
        @Nullable Double lrNegative,
        @Nullable Integer with,
        @Nullable Integer without,
        @Nullable Integer total,
        String design,
        boolean originator,
        String referenceStandard,
        String population,
        String citation,
        String transcription,
        String note,
        int line,
        StoredTie tie) {

    /** What it speaks for. */
    record StoredTie(
            @Nullable String test,
            @Nullable String criterion,
            @Nullable String condition,
            @Nullable String cluster,
            @Nullable String clue,
            @Nullable Series series,
            boolean inventors,
            @Nullable String note,
            @Nullable String unused) {

        static StoredTie of(Tie tie) {
            if (tie instanceof Tie.ToTest to) {
                return new StoredTie(
                        to.test().value(),
                        to.criterion().value(),
                        to.condition().value(),
                        null,
                        null,
                        to.series(),
                        to.inventors(),
                        to.note(),
                        null);
            }
            if (tie instanceof Tie.ToCluster to) {
                return new StoredTie(null, null, null, to.cluster().value(), null, to.series(), false, null, null);
            }
            if (tie instanceof Tie.ToClue to) {
                return new StoredTie(
                        null, null, to.condition().value(), null, to.clue(), to.series(), false, null, null);
            }
            return new StoredTie(null, null, null, null, null, null, false, null, ((Tie.Unused) tie).because());
        }

        Tie tie(RecordId id) {
            if (unused != null || series == null) {
                return new Tie.Unused(id, unused == null ? "" : unused);
            }
            if (cluster != null) {
                return new Tie.ToCluster(id, ClusterId.of(cluster), series);
            }
            ConditionId about = ConditionId.of(condition);
            return clue != null
                    ? new Tie.ToClue(id, clue, about, series)
                    : new Tie.ToTest(
                            id,
                            TestId.of(test),
                            CriterionId.of(criterion),
                            about,
                            series,
                            inventors,
                            note == null ? "" : note);
        }
    }

    static StoredEntry of(LedgerEntry entry) {
        AccuracyRecord record = entry.record();
        return new StoredEntry(
                record.kind(),
                record.subject(),
                record.subjectText(),
                record.criterion(),
                record.condition(),
                record.conditionText(),
                orNull(record.sensitivity()),
                orNull(record.specificity()),
                orNull(record.lrPositive()),
                orNull(record.lrNegative()),
                orNull(record.with()),
                orNull(record.without()),
                orNull(record.total()),
                record.design(),
                record.originator(),
                record.referenceStandard(),
                record.population(),
                record.citation(),
                record.transcription(),
                record.note(),
                record.line(),
                StoredTie.of(entry.tie()));
    }

    LedgerEntry entry(RecordId id) {
        return new LedgerEntry(
                new AccuracyRecord(
                        id,
                        kind,
                        subject,
                        subjectText,
                        criterion,
                        condition,
                        conditionText,
                        optional(sensitivity),
                        optional(specificity),
                        optional(lrPositive),
                        optional(lrNegative),
                        optional(with),
                        optional(without),
                        optional(total),
                        design,
                        originator,
                        referenceStandard,
                        population,
                        citation,
                        transcription,
                        AccuracyRecord.UNREVIEWED,
                        note,
                        line),
                tie.tie(id));
    }

    static OptionalDouble optional(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    static OptionalInt optional(@Nullable Integer value) {
        return value == null ? OptionalInt.empty() : OptionalInt.of(value);
    }
}
