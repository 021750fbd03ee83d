package lexicor.server.examinations.signing;

import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lexicor.core.conclusion.SigningBlocker;
import lexicor.server.cases.CaseService;
import lexicor.server.examinations.paper.Signature;
import lexicor.server.examinations.record.AmendmentRow;
import lexicor.server.examinations.record.CommandRow;
import lexicor.server.examinations.record.ExaminationMoved;
import lexicor.server.examinations.record.ExaminationRecords;
import lexicor.server.examinations.record.ExaminationRow;
import lexicor.server.examinations.record.People;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.examinations.record.SignatureRow;
import lexicor.server.examinations.record.TakeoverRow;
import lexicor.server.examinations.record.VersionStep;
import lexicor.server.examinations.record.Versions;
import lexicor.server.examinations.weighing.Conclusions;
import lexicor.server.problems.Conflict;
import lexicor.server.words.Typed;
import lexicor.server.words.Words;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Signs examinations and opens them again. What was signed once is never changed. */
@Service
public class Signing {

    private final ExaminationRecords examinations;
    private final Results results;
    private final Conclusions conclusions;
    private final People people;
    private final CaseService cases;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    Signing(
            ExaminationRecords examinations,
            Results results,
            Conclusions conclusions,
            People people,
            CaseService cases,
            ApplicationEventPublisher events,
            Clock clock) {
        this.examinations = examinations;
        this.results = results;
        this.conclusions = conclusions;
        this.people = people;
        this.cases = cases;
        this.events = events;
        this.clock = clock;
    }

    /** Signs an examination at the present time. */
    @Transactional
    SigningJson sign(UUID id, long knows) {
        return sign(id, knows, clock.instant());
    }

    /**
     * Signs an examination that stands at the command of number {@code knows}, or {@link Conflict} with what stands in
     * the way and what to do. Of two who sign at once, the second is refused. Nothing is signed before it was entered:
     * a clock that was set back is put right by the record.
     */
    @Transactional
    public SigningJson sign(UUID id, long knows, Instant at) {
        Recorded seen = examinations.examination(id);
        requireOpen(seen, knows);
        List<SigningBlocker> hindrances = conclusions.hindrances(seen);
        if (!hindrances.isEmpty()) {
            throw new Conflict(hindrances.stream()
                    .map(each -> each.what() + ". " + each.then())
                    .collect(Collectors.joining(" ")));
        }
        SignatureRow row = new SignatureRow(
                seen, people.by(notBefore(seen, at)), people.names(seen.findingsBy()), examinations.revisions(seen));
        Snapshot snapshot = results.compute(seen, signature(row, seen.versions()), results.templates());
        requireOpen(examinations.held(id), knows); // computing takes its time, and holds up nobody's entries
        examinations.add(row);
        results.keep(row, snapshot);
        moved(seen, ExaminationMoved.What.SIGNED, row.at());
        return SigningJson.of(examinations.examination(id).versions());
    }

    private static void requireOpen(Recorded recorded, long knows) {
        if (recorded.versions().closed()) {
            SignatureRow last = recorded.versions().last().orElseThrow();
            throw new Conflict("Signed already by " + last.signedAs() + " on " + Words.day(last.at()) + ", version "
                    + last.version() + ". Look at it; amend it, with a reason, to change it.");
        }
        long more = recorded.lastNumber() - knows;
        if (more != 0) {
            throw new Conflict(
                    more > 0
                            ? "The record has grown by " + more + (more == 1 ? " entry" : " entries")
                                    + " since you looked. Look at it again, then sign."
                            : "The server does not have your last entries yet. Wait until all is saved, then sign.");
        }
    }

    /** Opens a signed examination again, or {@link Conflict} where it is open. */
    @Transactional
    public SigningJson amend(UUID id, String reason, Instant at) {
        Recorded held = examinations.held(id);
        Versions versions = held.versions();
        if (!versions.closed()) {
            throw new Conflict(versions.opening(versions.next())
                    .map(row -> "Opened already by " + row.signedAs() + ": " + row.reason())
                    .orElse("It is not signed yet, so it can be changed as it is."));
        }
        AmendmentRow row = new AmendmentRow(id, versions.next(), people.by(notBefore(held, at)), Typed.oneLine(reason));
        examinations.add(row);
        moved(held, ExaminationMoved.What.AMENDED, row.at());
        return SigningJson.of(examinations.examination(id).versions());
    }

    /** Opens a signed examination again at the present time. */
    @Transactional
    SigningJson amend(UUID id, String reason) {
        return amend(id, reason, clock.instant());
    }

    /** What computing a signed version anew, from the record as it was then and by today's content, gives. */
    @Transactional(readOnly = true)
    SigningJson.RecomputedJson recompute(UUID id, int version) {
        Recorded recorded = examinations.examination(id);
        SignatureRow row = Results.row(recorded, version);
        Snapshot signed = results.snapshot(row);
        Recorded then = recorded.asSigned(row);
        Snapshot now = results.compute(
                then, signature(row, recorded.versions()), signed.inputs().templates());
        return Recomputation.of(row, examinations.revisions(then), signed, now);
    }

    private void moved(Recorded recorded, ExaminationMoved.What what, Instant at) {
        ExaminationRow row = recorded.row();
        cases.changed(row.caseFile().id(), row.getId(), at);
        events.publishEvent(new ExaminationMoved(row.getId(), row.caseFile().id(), recorded.lastNumber(), what));
    }

    /** The latest of a time and everything that is on record before it. */
    private static Instant notBefore(Recorded recorded, Instant at) {
        Stream<Instant> earlier = Stream.of(
                        Stream.of(recorded.row().startedAt()),
                        recorded.commands().stream().map(CommandRow::receivedAt),
                        recorded.takeovers().stream().map(TakeoverRow::at),
                        recorded.versions().steps().map(VersionStep::at))
                .flatMap(Function.identity());
        return Stream.concat(Stream.of(at), earlier)
                .max(Comparator.naturalOrder())
                .orElseThrow();
    }

    private static Signature signature(SignatureRow row, Versions versions) {
        Optional<AmendmentRow> opening = versions.opening(row.version());
        return new Signature(
                row.signedAs(),
                row.at(),
                row.version(),
                opening.map(AmendmentRow::reason).orElse(""),
                row.enteredBy(),
                row.countersigned());
    }
}
