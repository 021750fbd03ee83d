package lexicor.server.examinations;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.ResponseCheck;
import lexicor.core.intake.AnswerCheck;
import lexicor.core.intake.IntakeForm;
import lexicor.core.pathway.Pathways;
import lexicor.server.audit.Whoever;
import lexicor.server.problems.BadInput;
import lexicor.server.problems.FieldFault;
import org.springframework.stereotype.Component;

/** Whether a command can be taken into the record of an examination. */
@Component
class CommandCheck {

    private final Catalogue catalogue;
    private final AnswerCheck answers;

    CommandCheck(Catalogue catalogue, IntakeForm form, Pathways pathways) {
        this.catalogue = catalogue;
        this.answers = new AnswerCheck(catalogue, form, pathways);
    }

    /** What is on record already: commands by id, and ids of attempts. */
    record Record(String region, Map<UUID, CommandRow> commands, Set<UUID> attempts) {
    }

    /** Refuses a command that cannot be taken, naming every field at fault. */
    void check(String field, CommandJson command, Record record) {
        List<FieldFault> faults = new ArrayList<>();
        if (!knownTest(command.standAt())) {
            faults.add(new FieldFault(field + ".standAt", unknownTest(catalogue, command.standAt())));
        }
        boolean undo = command.kind() == CommandKind.UNDO;
        if (undo && (command.undoes() == null || !record.commands().containsKey(command.undoes()))) {
            faults.add(new FieldFault(field + ".undoes", "allowed: the id of an earlier command of this examination"));
        } else if (undo && !record.commands().get(command.undoes()).author().equals(Whoever.isHere())) {
            faults.add(new FieldFault(field + ".undoes", "allowed: a command of your own"));
        } else if (!undo && command.undoes() != null) {
            faults.add(new FieldFault(field + ".undoes", "allowed with UNDO only"));
        }
        if ((command.kind() == CommandKind.RECORD) == command.attempts().isEmpty()) {
            faults.add(new FieldFault(field + ".attempts", "allowed: at least one with RECORD, none otherwise"));
        }
        for (int i = 0; i < command.attempts().size(); i++) {
            checkAttempt(field + ".attempts[" + i + "]", command.attempts().get(i), record.attempts(), faults);
        }
        checkAnswers(field, command, record, faults);
        if (!faults.isEmpty()) {
            throw new BadInput(faults);
        }
    }

    private void checkAttempt(String field, AttemptJson attempt, Set<UUID> attempts, List<FieldFault> faults) {
        if (!knownTest(attempt.testId())) {
            faults.add(new FieldFault(field + ".testId", unknownTest(catalogue, attempt.testId())));
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

    private void checkAnswers(String field, CommandJson command, Record record, List<FieldFault> faults) {
        if ((command.kind() == CommandKind.TELL) == command.answers().isEmpty()) {
            faults.add(new FieldFault(field + ".answers", "allowed: at least one with TELL, none otherwise"));
        }
        for (int i = 0; i < command.answers().size(); i++) {
            String place = field + ".answers[" + i + "].";
            answers.fault(record.region(), command.answers().get(i).toCore()).ifPresent(fault -> faults.add(new FieldFault(place + fault.field(), fault.message())));
        }
    }

    private boolean knownTest(String id) {
        return catalogue.tests().keySet().stream().anyMatch(test -> test.value().equals(id));
    }

    /** Why an id is that of no test, and what is allowed. */
    static String unknownTest(Catalogue catalogue, String id) {
        return "'" + id + "' is not in the catalogue; allowed: the id of a test in the library, such as " + catalogue.tests().keySet().iterator().next();
    }
}
