package lexicor.server.examinations;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.evidence.Evidence;
import lexicor.core.examination.History;
import lexicor.core.examination.Side;
import lexicor.core.intake.IntakeAnswers;
import lexicor.core.intake.IntakeForm;
import lexicor.server.audit.CurrentUser;
import lexicor.server.cases.Affected;
import lexicor.server.cases.CaseFile;
import lexicor.server.cases.CaseService;
import lexicor.server.cases.Episode;
import lexicor.server.problems.BadInput;
import lexicor.server.problems.NotFound;
import lexicor.server.settings.ClinicSettings;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Begins examinations and reads them with everything that happened in them. */
@Service
public class ExaminationService {

    private final Examinations examinations;
    private final CaseService cases;
    private final Commands commands;
    private final Signatures signatures;
    private final Amendments amendments;
    private final Takeovers takeovers;
    private final CommandRecorder recorder;
    private final CommandCheck check;
    private final ApplicationEventPublisher events;
    private final Catalogue catalogue;
    private final Evidence evidence;
    private final IntakeForm form;
    private final ClinicSettings settings;
    private final Clock clock;

    ExaminationService(
            Examinations examinations,
            CaseService cases,
            Commands commands,
            Signatures signatures,
            Amendments amendments,
            Takeovers takeovers,
            CommandRecorder recorder,
            CommandCheck check,
            ApplicationEventPublisher events,
            Catalogue catalogue,
            Evidence evidence,
            IntakeForm form,
            ClinicSettings settings,
            Clock clock) {
        this.examinations = examinations;
        this.cases = cases;
        this.commands = commands;
        this.signatures = signatures;
        this.amendments = amendments;
        this.takeovers = takeovers;
        this.recorder = recorder;
        this.check = check;
        this.events = events;
        this.catalogue = catalogue;
        this.evidence = evidence;
        this.form = form;
        this.settings = settings;
        this.clock = clock;
    }

    /**
     * An examination with everything that happened in it.
     *
     * @param takeovers by whom it was taken over, the first first
     */
    record Recorded(
            ExaminationRow row,
            List<CommandRow> commands,
            History history,
            Versions versions,
            List<TakeoverRow> takeovers) {

        static Recorded of(
                ExaminationRow row, List<CommandRow> commands, Versions versions, List<TakeoverRow> takeovers) {
            return new Recorded(
                    row,
                    commands,
                    History.of(commands.stream()
                            .map(CommandJson::of)
                            .map(CommandJson::toCore)
                            .toList()),
                    versions,
                    takeovers);
        }

        /** The examination as it was up to a command. */
        Recorded upTo(long number) {
            return of(
                    row,
                    commands.stream()
                            .filter(command -> command.number() <= number)
                            .toList(),
                    versions,
                    takeovers);
        }

        /** The examination as it was when it was signed. */
        Recorded asSigned(SignatureRow signature) {
            Recorded then = upTo(signature.lastNumber());
            return new Recorded(
                    row,
                    then.commands(),
                    then.history(),
                    versions,
                    takeovers.stream()
                            .filter(takeover -> !takeover.at().isAfter(signature.at()))
                            .toList());
        }

        /** Sign-in name of who is responsible for it: who took it over last, or who began it. */
        String responsible() {
            return takeovers.isEmpty()
                    ? row.author()
                    : takeovers.get(takeovers.size() - 1).author();
        }

        /** Sign-in names of everybody who entered a finding that counts, in the order of their first. */
        List<String> findingsBy() {
            return history.authors();
        }

        /** Number of the last command, 0 before the first. */
        long lastNumber() {
            return commands.isEmpty() ? 0 : commands.get(commands.size() - 1).number();
        }
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
                            evidence.revision(),
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
        Recorded last = examination(request.follows());
        if (!last.row().caseFile().id().equals(file.id())
                || !last.row().region().equals(request.region())) {
            throw new BadInput("follows", "allowed: an earlier examination of the same case and region");
        }
        List<AnswerJson> kept = IntakeAnswers.of(last.history().heard()).answers().stream()
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

    /** Whether nothing was ever recorded. */
    @Transactional(readOnly = true)
    public boolean isEmpty() {
        return examinations.count() == 0;
    }

    /** Examinations with their histories, by id. */
    @Transactional(readOnly = true)
    Map<UUID, Recorded> examinations(Collection<UUID> ids) {
        Map<UUID, List<CommandRow>> byExamination = new LinkedHashMap<>();
        commands.findByExaminationInOrderByNumber(ids)
                .forEach(command -> byExamination
                        .computeIfAbsent(command.examination(), id -> new ArrayList<>())
                        .add(command));
        Map<UUID, Versions> versions = Versions.of(ids, signatures, amendments);
        Map<UUID, List<TakeoverRow>> taken = takeovers.findByExaminationInOrderByOrdinal(ids).stream()
                .collect(Collectors.groupingBy(TakeoverRow::examination));
        return examinations.findByIdIn(ids).stream()
                .collect(Collectors.toMap(
                        ExaminationRow::getId,
                        row -> Recorded.of(
                                row,
                                byExamination.getOrDefault(row.getId(), List.of()),
                                versions.get(row.getId()),
                                taken.getOrDefault(row.getId(), List.of()))));
    }

    /** Number of the last command of an examination, 0 before the first. */
    @Transactional(readOnly = true)
    public long lastNumber(UUID id) {
        return commands.lastNumber(id);
    }

    /** The examinations of a case, latest first. */
    @Transactional(readOnly = true)
    List<Recorded> ofCase(UUID caseId) {
        List<UUID> ids = examinations.findByCaseFileIdOrderByStartedAtDesc(caseId).stream()
                .map(ExaminationRow::getId)
                .toList();
        Map<UUID, Recorded> found = examinations(ids);
        return ids.stream().map(found::get).toList();
    }

    /** The examination, or {@link NotFound}. */
    @Transactional(readOnly = true)
    Recorded examination(UUID id) {
        ExaminationRow row = examinations.findById(id).orElseThrow(() -> missing(id));
        return Recorded.of(
                row,
                commands.findByExaminationOrderByNumber(id),
                Versions.of(List.of(id), signatures, amendments).get(id),
                takeovers.findByExaminationInOrderByOrdinal(List.of(id)));
    }

    /** The examination, held so that nobody else adds to it or signs it until the present work is done. */
    Recorded held(UUID id) {
        if (examinations.findForRecording(id).isEmpty()) {
            throw missing(id);
        }
        return examination(id);
    }

    /**
     * The revisions by which an examination would be read now: those of today's content, and the settings that it was
     * begun with.
     */
    ExaminationRow.Revisions revisions(Recorded recorded) {
        return new ExaminationRow.Revisions(
                catalogue.revision(),
                evidence.revision(),
                String.valueOf(recorded.row().settingsRevision()));
    }

    static NotFound missing(UUID id) {
        return new NotFound("There is no examination " + id + " on this server.");
    }
}
