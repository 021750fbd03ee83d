package lexicor.server.examinations;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.Evidence;
import lexicor.core.examination.History;
import lexicor.core.examination.Side;
import lexicor.core.intake.IntakeForm;
import lexicor.core.intake.Told;
import lexicor.server.audit.Whoever;
import lexicor.server.cases.Affected;
import lexicor.server.cases.CaseFile;
import lexicor.server.cases.CaseService;
import lexicor.server.cases.Episode;
import lexicor.server.problems.BadInput;
import lexicor.server.problems.Closed;
import lexicor.server.problems.Conflict;
import lexicor.server.problems.NotFound;
import lexicor.server.settings.ClinicSettings;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Starts examinations and adds commands to them. Whatever is sent twice counts once. */
@Service
public class ExaminationService {

    private final Examinations examinations;
    private final CaseService cases;
    private final Commands commands;
    private final Signatures signatures;
    private final Amendments amendments;
    private final Appraisal appraisal;
    private final TestLaps laps;
    private final CommandCheck check;
    private final Catalogue catalogue;
    private final Evidence evidence;
    private final IntakeForm form;
    private final ClinicSettings settings;
    private final Clock clock;

    ExaminationService(Examinations examinations, CaseService cases, Commands commands, Signatures signatures, Amendments amendments, Appraisal appraisal, TestLaps laps, CommandCheck check, Catalogue catalogue,
            Evidence evidence, IntakeForm form, ClinicSettings settings, Clock clock) {
        this.examinations = examinations;
        this.cases = cases;
        this.commands = commands;
        this.signatures = signatures;
        this.amendments = amendments;
        this.appraisal = appraisal;
        this.laps = laps;
        this.check = check;
        this.catalogue = catalogue;
        this.evidence = evidence;
        this.form = form;
        this.settings = settings;
        this.clock = clock;
    }

    /** An examination with everything that happened in it. */
    record Recorded(ExaminationRow row, List<CommandRow> commands, History history, Versions versions) {

        static Recorded of(ExaminationRow row, List<CommandRow> commands, Versions versions) {
            return new Recorded(row, commands, History.of(commands.stream().map(CommandJson::of).map(CommandJson::toCore).toList()), versions);
        }

        /** The examination as it was up to a command. */
        Recorded upTo(long number) {
            return of(row, commands.stream().filter(command -> command.number() <= number).toList(), versions);
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
            Side side = request.side() == Affected.BOTH ? request.worse() : Side.valueOf(request.side().name());
            examinations.saveAndFlush(new ExaminationRow(episode, request, side, Whoever.isHere(), at,
                    new ExaminationRow.Revisions(catalogue.revision(), evidence.revision(), String.valueOf(settings.now().revision()))));
            carryOver(request, file, at);
            noteStanding(request.id());
        }
        return request.id();
    }

    private void checkVisit(String path, VisitRequest request) {
        if (!catalogue.routines().containsKey(request.region())) {
            throw new BadInput(path + "region", "'" + request.region() + "' has no routine; allowed: " + String.join(", ", catalogue.routines().keySet()));
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
        if (!last.row().caseFile().id().equals(file.id()) || !last.row().region().equals(request.region())) {
            throw new BadInput("follows", "allowed: an earlier examination of the same case and region");
        }
        List<AnswerJson> kept = Told.of(last.history().heard()).answers().stream().filter(form::keeps).map(AnswerJson::of).toList();
        if (!kept.isEmpty()) {
            CommandJson carried = new CommandJson(UUID.randomUUID(), request.id(), 1L, at, CommandKind.TELL, catalogue.routine(request.region()).order().get(0).value(), null,
                    List.of(), kept, null, null);
            add(request.id(), List.of(carried));
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
        commands.findByExaminationInOrderByNumber(ids).forEach(command -> byExamination.computeIfAbsent(command.examination(), id -> new ArrayList<>()).add(command));
        Map<UUID, Versions> versions = Versions.of(ids, signatures, amendments);
        return examinations.findByIdIn(ids).stream()
                .collect(Collectors.toMap(ExaminationRow::getId, row -> Recorded.of(row, byExamination.getOrDefault(row.getId(), List.of()), versions.get(row.getId()))));
    }

    /** Number of the last command of an examination, 0 before the first. */
    @Transactional(readOnly = true)
    public long lastNumber(UUID id) {
        return examination(id).lastNumber();
    }

    /** The examinations of a case, latest first. */
    @Transactional(readOnly = true)
    List<Recorded> ofCase(UUID caseId) {
        List<UUID> ids = examinations.findByCaseFileIdOrderByStartedAtDesc(caseId).stream().map(ExaminationRow::getId).toList();
        Map<UUID, Recorded> found = examinations(ids);
        return ids.stream().map(found::get).toList();
    }

    /** The examination, or {@link NotFound}. */
    @Transactional(readOnly = true)
    Recorded examination(UUID id) {
        ExaminationRow row = examinations.findById(id).orElseThrow(() -> missing(id));
        return Recorded.of(row, commands.findByExaminationOrderByNumber(id), versions(id));
    }

    private Versions versions(UUID id) {
        return Versions.of(List.of(id), signatures, amendments).get(id);
    }

    /** The examination, held so that nobody else adds to it or signs it until the present work is done. */
    Recorded held(UUID id) {
        examinations.findForRecording(id).orElseThrow(() -> missing(id));
        return examination(id);
    }

    /** The revisions by which an examination would be read now: those of today's content, and the settings that it was begun with. */
    ExaminationRow.Revisions revisions(Recorded recorded) {
        return new ExaminationRow.Revisions(catalogue.revision(), evidence.revision(), String.valueOf(recorded.row().settingsRevision()));
    }

    /**
     * Adds commands in their order and returns the number of each. A command that is on record already keeps its number.
     * Either all are added or none.
     */
    @Transactional
    public Map<UUID, Long> add(UUID examination, List<CommandJson> sent) {
        ExaminationRow held = examinations.findForRecording(examination).orElseThrow(() -> missing(examination));
        List<CommandRow> earlier = commands.findByExaminationOrderByNumber(examination);
        long number = earlier.isEmpty() ? 0 : earlier.get(earlier.size() - 1).number();
        Map<UUID, Long> numbers = new LinkedHashMap<>();
        Map<UUID, CommandRow> known = earlier.stream().collect(Collectors.toMap(CommandRow::getId, command -> command));
        Set<UUID> attempts = earlier.stream().flatMap(command -> command.attempts().stream()).map(AttemptRow::id)
                .collect(Collectors.toCollection(HashSet::new));
        Versions versions = versions(examination);
        for (int index = 0; index < sent.size(); index++) {
            CommandJson command = sent.get(index);
            CommandRow row = known.get(command.id());
            if (row == null) {
                refuseForeign(command);
                refuseSigned(versions);
                check.check("commands[" + index + "]", command, new CommandCheck.Record(held.region(), known, attempts));
                number++;
                row = commands.save(new CommandRow(examination, number, command, Whoever.isHere(), clock.instant()));
                known.put(command.id(), row);
                command.attempts().forEach(attempt -> attempts.add(attempt.id()));
            }
            numbers.put(command.id(), row.number());
        }
        commands.flush();
        Recorded recorded = examination(examination);
        noteStanding(recorded);
        laps.keep(recorded, sent.stream().flatMap(command -> command.attempts().stream()).map(attempt -> TestId.of(attempt.testId())).collect(Collectors.toSet()));
        return numbers;
    }

    private void refuseForeign(CommandJson command) {
        if (commands.existsById(command.id())) {
            throw new Conflict("Command " + command.id() + " belongs to another examination.");
        }
    }

    private static void refuseSigned(Versions versions) {
        if (versions.closed()) {
            SignatureRow last = versions.last().orElseThrow();
            throw new Closed("Signed by " + last.signedAs() + " on " + NoteWriter.DAY.format(last.at()) + ". Amend it, with a reason, to add to it.");
        }
    }

    /** Keeps the list in step with the record. */
    void noteStanding(UUID id) {
        noteStanding(examination(id));
    }

    private void noteStanding(Recorded recorded) {
        Appraisal.Stage stage = appraisal.stage(recorded);
        Instant lastAt = recorded.commands().isEmpty() ? recorded.row().startedAt() : recorded.commands().get(recorded.commands().size() - 1).at();
        cases.stands(recorded.row().caseFile().id(), recorded.row().getId(), recorded.row().region(), stage.state(), lastAt, stage.done(), stage.total());
    }

    private static NotFound missing(UUID id) {
        return new NotFound("There is no examination " + id + " on this server.");
    }
}
