package lexicor.server.examinations;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
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
import lexicor.core.examination.ResponseCheck;
import lexicor.server.problems.BadInput;
import lexicor.server.problems.Conflict;
import lexicor.server.problems.FieldFault;
import lexicor.server.problems.NotFound;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Starts examinations and adds commands to them. Whatever is sent twice counts once. */
@Service
public class ExaminationService {

    static final int LISTED = 200;

    private static final String SETTINGS_REVISION = "usual";

    private final Examinations examinations;
    private final CaseFiles caseFiles;
    private final Commands commands;
    private final Catalogue catalogue;
    private final Evidence evidence;
    private final Examiner examiner;
    private final Clock clock;

    ExaminationService(Examinations examinations, CaseFiles caseFiles, Commands commands, Catalogue catalogue, Evidence evidence,
            Examiner examiner, Clock clock) {
        this.examinations = examinations;
        this.caseFiles = caseFiles;
        this.commands = commands;
        this.catalogue = catalogue;
        this.evidence = evidence;
        this.examiner = examiner;
        this.clock = clock;
    }

    /** An examination with everything that happened in it. */
    record Recorded(ExaminationRow row, List<CommandRow> commands, History history) {

        static Recorded of(ExaminationRow row, List<CommandRow> commands) {
            return new Recorded(row, commands, History.of(commands.stream().map(CommandJson::of).map(CommandJson::toCore).toList()));
        }

        /** Number of the last command, 0 before the first. */
        long lastNumber() {
            return commands.isEmpty() ? 0 : commands.get(commands.size() - 1).number();
        }
    }

    /** Begins an examination at the present time. */
    @Transactional
    public UUID start(StartRequest request) {
        return start(request, clock.instant());
    }

    /** Begins an examination at a given time; the same request again returns the same examination. */
    @Transactional
    public UUID start(StartRequest request, Instant at) {
        if (!catalogue.routines().containsKey(request.region())) {
            throw new BadInput("region", "'" + request.region() + "' has no routine; allowed: " + String.join(", ", catalogue.routines().keySet()));
        }
        if (!examinations.existsById(request.id())) {
            CaseFile file = caseFiles.findByCode(request.caseCode())
                    .orElseGet(() -> caseFiles.save(new CaseFile(UUID.randomUUID(), request.caseCode(), at)));
            examinations.save(new ExaminationRow(request.id(), file, request, examiner.name(), at,
                    new ExaminationRow.Revisions(catalogue.revision(), evidence.revision(), SETTINGS_REVISION)));
        }
        return request.id();
    }

    /** Whether nothing was ever recorded. */
    @Transactional(readOnly = true)
    public boolean isEmpty() {
        return examinations.count() == 0;
    }

    /** The latest examinations with their histories, newest first. */
    @Transactional(readOnly = true)
    List<Recorded> latest() {
        List<ExaminationRow> rows = examinations.findAllByOrderByStartedAtDesc(Limit.of(LISTED));
        Map<UUID, List<CommandRow>> byExamination = new LinkedHashMap<>();
        commands.findByExaminationInOrderByNumber(rows.stream().map(ExaminationRow::getId).toList())
                .forEach(command -> byExamination.computeIfAbsent(command.examination(), id -> new ArrayList<>()).add(command));
        return rows.stream().map(row -> Recorded.of(row, byExamination.getOrDefault(row.getId(), List.of()))).toList();
    }

    /** The examination, or {@link NotFound}. */
    @Transactional(readOnly = true)
    Recorded examination(UUID id) {
        ExaminationRow row = examinations.findById(id).orElseThrow(() -> missing(id));
        return Recorded.of(row, commands.findByExaminationOrderByNumber(id));
    }

    /**
     * Adds commands in their order and returns the number of each. A command that is on record already keeps its number.
     * Either all are added or none.
     */
    @Transactional
    public Map<UUID, Long> add(UUID examination, List<CommandJson> sent) {
        examinations.findForRecording(examination).orElseThrow(() -> missing(examination));
        List<CommandRow> earlier = commands.findByExaminationOrderByNumber(examination);
        long number = earlier.isEmpty() ? 0 : earlier.get(earlier.size() - 1).number();
        Map<UUID, Long> numbers = new LinkedHashMap<>();
        Map<UUID, CommandRow> known = earlier.stream().collect(Collectors.toMap(CommandRow::getId, command -> command));
        Set<UUID> attempts = earlier.stream().flatMap(command -> command.attempts().stream()).map(AttemptRow::id)
                .collect(Collectors.toCollection(HashSet::new));
        for (int index = 0; index < sent.size(); index++) {
            CommandJson command = sent.get(index);
            CommandRow row = known.get(command.id());
            if (row == null) {
                refuseForeign(command);
                check("commands[" + index + "]", command, known, attempts);
                number++;
                row = commands.save(new CommandRow(examination, number, command, examiner.name(), clock.instant()));
                known.put(command.id(), row);
                command.attempts().forEach(attempt -> attempts.add(attempt.id()));
            }
            numbers.put(command.id(), row.number());
        }
        return numbers;
    }

    private void refuseForeign(CommandJson command) {
        if (commands.existsById(command.id())) {
            throw new Conflict("Command " + command.id() + " belongs to another examination.");
        }
    }

    private void check(String field, CommandJson command, Map<UUID, CommandRow> known, Set<UUID> attempts) {
        List<FieldFault> faults = new ArrayList<>();
        if (!knownTest(command.standAt())) {
            faults.add(new FieldFault(field + ".standAt", unknownTest(command.standAt())));
        }
        boolean undo = command.kind() == CommandKind.UNDO;
        if (undo && (command.undoes() == null || !known.containsKey(command.undoes()))) {
            faults.add(new FieldFault(field + ".undoes", "allowed: the id of an earlier command of this examination"));
        } else if (undo && !known.get(command.undoes()).author().equals(examiner.name())) {
            faults.add(new FieldFault(field + ".undoes", "allowed: a command of your own"));
        } else if (!undo && command.undoes() != null) {
            faults.add(new FieldFault(field + ".undoes", "allowed with UNDO only"));
        }
        if ((command.kind() == CommandKind.RECORD) == command.attempts().isEmpty()) {
            faults.add(new FieldFault(field + ".attempts", "allowed: at least one with RECORD, none otherwise"));
        }
        for (int i = 0; i < command.attempts().size(); i++) {
            checkAttempt(field + ".attempts[" + i + "]", command.attempts().get(i), attempts, faults);
        }
        if (!faults.isEmpty()) {
            throw new BadInput(faults);
        }
    }

    private void checkAttempt(String field, AttemptJson attempt, Set<UUID> attempts, List<FieldFault> faults) {
        if (!knownTest(attempt.testId())) {
            faults.add(new FieldFault(field + ".testId", unknownTest(attempt.testId())));
            return;
        }
        if (attempts.contains(attempt.id())) {
            faults.add(new FieldFault(field + ".id", "is on record already; allowed: a new UUID"));
        }
        if (!attempts.containsAll(attempt.supersedes())) {
            faults.add(new FieldFault(field + ".supersedes", "allowed: attempts of this examination"));
        }
        for (int i = 0; i < attempt.parts().size(); i++) {
            if (!attempt.parts().get(i).oneValue()) {
                faults.add(new FieldFault(field + ".parts[" + i + "]", "allowed: exactly one of choice, measure with unit, and text"));
            }
        }
        if (faults.isEmpty()) {
            ResponseCheck.faults(catalogue.test(TestId.of(attempt.testId())), attempt.toCore())
                    .forEach(fault -> faults.add(new FieldFault(field + ".parts[" + fault.index() + "]." + fault.field(), fault.message())));
        }
    }

    private boolean knownTest(String id) {
        return catalogue.tests().keySet().stream().anyMatch(test -> test.value().equals(id));
    }

    private String unknownTest(String id) {
        return "'" + id + "' is not in the catalogue; allowed: " + String.join(", ", catalogue.tests().keySet().stream().map(TestId::value).toList());
    }

    private static NotFound missing(UUID id) {
        return new NotFound("There is no examination " + id + " on this server.");
    }
}
