package lexicor.server.examinations;

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
import lexicor.server.problems.Conflict;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Signs examinations and opens them again. What was signed once is never changed. */
@Service
public class Signing {

    private final ExaminationService examinations;
    private final Signatures signatures;
    private final Amendments amendments;
    private final Results results;
    private final Conclusions conclusions;
    private final People people;
    private final CaseService cases;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    Signing(
            ExaminationService examinations,
            Signatures signatures,
            Amendments amendments,
            Results results,
            Conclusions conclusions,
            People people,
            CaseService cases,
            ApplicationEventPublisher events,
            Clock clock) {
        this.examinations = examinations;
        this.signatures = signatures;
        this.amendments = amendments;
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
        ExaminationService.Recorded seen = examinations.examination(id);
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
        signatures.saveAndFlush(row);
        results.keep(row, snapshot);
        moved(seen, ExaminationMoved.What.SIGNED, row.at());
        return SigningJson.of(examinations.examination(id).versions());
    }

    private static void requireOpen(ExaminationService.Recorded recorded, long knows) {
        if (recorded.versions().closed()) {
            SignatureRow last = recorded.versions().last().orElseThrow();
            throw new Conflict("Signed already by " + last.signedAs() + " on " + NoteWriter.DAY.format(last.at())
                    + ", version " + last.version() + ". Look at it; amend it, with a reason, to change it.");
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
        ExaminationService.Recorded held = examinations.held(id);
        Versions versions = held.versions();
        if (!versions.closed()) {
            throw new Conflict(versions.opening(versions.next())
                    .map(row -> "Opened already by " + row.signedAs() + ": " + row.reason())
                    .orElse("It is not signed yet, so it can be changed as it is."));
        }
        AmendmentRow row = amendments.saveAndFlush(
                new AmendmentRow(id, versions.next(), people.by(notBefore(held, at)), Typed.oneLine(reason)));
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
        ExaminationService.Recorded recorded = examinations.examination(id);
        SignatureRow row = Results.row(recorded, version);
        Snapshot signed = results.snapshot(row);
        ExaminationService.Recorded then = recorded.asSigned(row);
        Snapshot now = results.compute(
                then, signature(row, recorded.versions()), signed.inputs().templates());
        return Recomputation.of(row, examinations.revisions(then), signed, now);
    }

    private void moved(ExaminationService.Recorded recorded, ExaminationMoved.What what, Instant at) {
        ExaminationRow row = recorded.row();
        cases.changed(row.caseFile().id(), row.getId(), at);
        events.publishEvent(new ExaminationMoved(row.getId(), row.caseFile().id(), recorded.lastNumber(), what));
    }

    /** The latest of a time and everything that is on record before it. */
    private static Instant notBefore(ExaminationService.Recorded recorded, Instant at) {
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
