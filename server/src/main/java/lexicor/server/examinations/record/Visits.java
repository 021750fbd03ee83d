package lexicor.server.examinations.record;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.examination.Side;
import lexicor.core.intake.IntakeForm;
import lexicor.server.audit.CurrentUser;
import lexicor.server.cases.Affected;
import lexicor.server.cases.CaseFile;
import lexicor.server.cases.CaseService;
import lexicor.server.cases.Episode;
import lexicor.server.evidence.LivingEvidence;
import lexicor.server.problems.BadInput;
import lexicor.server.settings.ClinicSettings;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Begins examinations: the first of a case, and further visits. */
@Service
public class Visits {

    private final Examinations examinations;
    private final ExaminationRecords records;
    private final CaseService cases;
    private final CommandRecorder recorder;
    private final CommandCheck check;
    private final ApplicationEventPublisher events;
    private final Catalogue catalogue;
    private final LivingEvidence living;
    private final IntakeForm form;
    private final ClinicSettings settings;
    private final Clock clock;

    Visits(
            Examinations examinations,
            ExaminationRecords records,
            CaseService cases,
            CommandRecorder recorder,
            CommandCheck check,
            ApplicationEventPublisher events,
            Catalogue catalogue,
            LivingEvidence living,
            IntakeForm form,
            ClinicSettings settings,
            Clock clock) {
        this.examinations = examinations;
        this.records = records;
        this.cases = cases;
        this.recorder = recorder;
        this.check = check;
        this.events = events;
        this.catalogue = catalogue;
        this.living = living;
        this.form = form;
        this.settings = settings;
        this.clock = clock;
    }

    /** Opens a case with its first examination at the present time. */
    @Transactional
    public UUID open(VisitRequest.NewCase request) {
        return open(request, clock.instant());
    }

    /** Opens a case with its first examination; the same request again returns the same examination. */
    @Transactional
    public UUID open(VisitRequest.NewCase request, Instant at) {
        checkVisit("visit.", request.visit());
        return begin(cases.open(request.id(), request.code(), request.details(), at), request.visit(), at);
    }

    /** Begins a further examination of a known case. */
    @Transactional
    public UUID begin(UUID caseId, VisitRequest request, Instant at) {
        checkVisit("", request);
        return begin(cases.file(caseId), request, at);
    }

    private UUID begin(CaseFile file, VisitRequest request, Instant at) {
        if (!examinations.existsById(request.id())) {
            Episode episode = cases.episode(file, request.region(), request.side(), at);
            Side side = request.side() == Affected.BOTH
                    ? request.worse()
                    : Side.valueOf(request.side().name());
            examinations.saveAndFlush(new ExaminationRow(
                    episode,
                    request,
                    side,
                    CurrentUser.isHere(),
                    at,
                    new ExaminationRow.Revisions(
                            catalogue.revision(),
                            living.now().revision(),
                            String.valueOf(settings.now().revision()))));
            cases.begins(file.id(), request.id(), request.region(), at);
            carryOver(request, file, at);
            events.publishEvent(new ExaminationMoved(request.id(), file.id(), 0, ExaminationMoved.What.BEGUN));
        }
        return request.id();
    }

    private void checkVisit(String path, VisitRequest request) {
        if (!catalogue.routines().containsKey(request.region())) {
            throw new BadInput(
                    path + "region",
                    "'" + request.region() + "' has no routine; allowed: "
                            + String.join(", ", catalogue.routines().keySet()));
        }
        if (request.side() == Affected.BOTH && request.worse() == null) {
            throw new BadInput(path + "worse", "with both sides: allowed: LEFT, RIGHT");
        }
    }

    /** A re-examination begins with what was told last time, but for what is asked anew at each visit. */
    private void carryOver(VisitRequest request, CaseFile file, Instant at) {
        if (request.follows() == null) {
            return;
        }
        Recorded last = records.examination(request.follows());
        if (!last.row().caseFile().id().equals(file.id())
                || !last.row().region().equals(request.region())) {
            throw new BadInput("follows", "allowed: an earlier examination of the same case and region");
        }
        List<AnswerJson> kept = last.told().answers().stream()
                .filter(form::keeps)
                .flatMap(answer -> check.stillAsked(request.region(), answer).stream())
                .map(AnswerJson::of)
                .toList();
        if (!kept.isEmpty()) {
            CommandJson carried = new CommandJson(
                    UUID.randomUUID(),
                    request.id(),
                    1L,
                    at,
                    CommandKind.TELL,
                    catalogue.routine(request.region()).order().get(0).value(),
                    null,
                    List.of(),
                    kept,
                    null,
                    null);
            recorder.add(request.id(), List.of(carried), null, at);
        }
    }
}
