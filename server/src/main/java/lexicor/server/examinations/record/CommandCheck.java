package lexicor.server.examinations.record;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Answer;
import lexicor.core.examination.ResponseCheck;
import lexicor.core.intake.AnswerCheck;
import lexicor.core.intake.ConclusionQuestions;
import lexicor.core.intake.IntakeForm;
import lexicor.core.pathway.Pathways;
import lexicor.server.audit.CurrentUser;
import lexicor.server.problems.BadInput;
import lexicor.server.problems.FieldFault;
import lexicor.server.problems.Forbidden;
import org.springframework.stereotype.Component;

/** Whether a command can be taken into the record of an examination. */
@Component
public class CommandCheck {

    private final Catalogue catalogue;
    private final AnswerCheck answers;

    CommandCheck(Catalogue catalogue, IntakeForm form, Pathways pathways) {
        this.catalogue = catalogue;
        this.answers = new AnswerCheck(catalogue, form, pathways);
    }

    /** What is on record already of all that the commands to be checked refer to. */
    static final class Record {

        private final String region;
        private final String responsible;
        private final Map<UUID, String> commandAuthors = new HashMap<>();
        private final Map<UUID, String> attemptAuthors = new HashMap<>();
        private final Set<UUID> foreignAttempts = new HashSet<>();

        /**
         * @param responsible sign-in name of who is responsible for the examination
         * @param given commands on record among those referred to
         * @param entered attempts on record among those referred to
         */
        Record(
                String region,
                UUID examination,
                String responsible,
                Map<UUID, Commands.Given> given,
                List<Commands.Entered> entered) {
            this.region = region;
            this.responsible = responsible;
            given.values().stream()
                    .filter(command -> command.examination().equals(examination))
                    .forEach(command -> commandAuthors.put(command.id(), command.author()));
            entered.forEach(attempt -> {
                if (attempt.examination().equals(examination)) {
                    attemptAuthors.put(attempt.id(), attempt.author());
                } else {
                    foreignAttempts.add(attempt.id());
                }
            });
        }

        /** From now on the command is on record. */
        void adds(CommandJson command, String author) {
            commandAuthors.put(command.id(), author);
            command.attempts().forEach(attempt -> attemptAuthors.put(attempt.id(), author));
        }
    }

    /**
     * Refuses a command that cannot be taken, naming every field at fault.
     *
     * @throws BadInput where it can never be taken as it is
     * @throws Forbidden where it changes what a colleague is responsible for
     */
    void check(String field, CommandJson command, Record record) {
        List<FieldFault> faults = new ArrayList<>();
        if (!readable(catalogue, command.standAt())) {
            faults.add(new FieldFault(field + ".standAt", unknownTest(catalogue, command.standAt())));
        }
        boolean undo = command.kind() == CommandKind.UNDO;
        String undone = command.undoes() == null ? null : record.commandAuthors.get(command.undoes());
        if (undo && undone == null) {
            faults.add(new FieldFault(field + ".undoes", "allowed: the id of an earlier command of this examination"));
        } else if (undo && !undone.equals(CurrentUser.isHere())) {
            faults.add(new FieldFault(field + ".undoes", "allowed: a command of your own"));
        } else if (!undo && command.undoes() != null) {
            faults.add(new FieldFault(field + ".undoes", "allowed with UNDO only"));
        }
        if ((command.kind() == CommandKind.RECORD) == command.attempts().isEmpty()) {
            faults.add(new FieldFault(field + ".attempts", "allowed: at least one with RECORD, none otherwise"));
        }
        Set<UUID> ids = new HashSet<>();
        for (int i = 0; i < command.attempts().size(); i++) {
            if (!ids.add(command.attempts().get(i).id())) {
                faults.add(new FieldFault(
                        field + ".attempts[" + i + "].id", "stands twice in this command; allowed: a new UUID"));
            }
            checkAttempt(field + ".attempts[" + i + "]", command.attempts().get(i), record, faults);
        }
        checkAnswers(field, command, record, faults);
        if (!faults.isEmpty()) {
            throw new BadInput(faults);
        }
        requireTakenOver(command, record);
    }

    /** What a colleague found is replaced, and an examination concluded, only by who is responsible for it. */
    private static void requireTakenOver(CommandJson command, Record record) {
        command.attempts().stream()
                .flatMap(attempt -> attempt.supersedes().stream())
                .map(record.attemptAuthors::get)
                .filter(author -> !author.equals(CurrentUser.isHere()))
                .findFirst()
                .ifPresent(author ->
                        Responsible.require(record.responsible, "This replaces what " + author + " entered."));
        if (command.answers().stream().anyMatch(answer -> ConclusionQuestions.ALL.contains(answer.question()))) {
            Responsible.require(record.responsible, "This concludes an examination of " + record.responsible + ".");
        }
    }

    private void checkAttempt(String field, AttemptJson attempt, Record record, List<FieldFault> faults) {
        if (!knownTest(attempt.testId())) {
            faults.add(new FieldFault(field + ".testId", unknownTest(catalogue, attempt.testId())));
            return;
        }
        if (record.attemptAuthors.containsKey(attempt.id()) || record.foreignAttempts.contains(attempt.id())) {
            faults.add(new FieldFault(field + ".id", "is on record already; allowed: a new UUID"));
        }
        if (!record.attemptAuthors.keySet().containsAll(attempt.supersedes())) {
            faults.add(new FieldFault(field + ".supersedes", "allowed: attempts of this examination"));
        }
        for (int i = 0; i < attempt.parts().size(); i++) {
            if (!attempt.parts().get(i).oneValue()) {
                faults.add(new FieldFault(
                        field + ".parts[" + i + "]", "allowed: exactly one of choice, measure with unit, and text"));
            }
        }
        List<String> variants = catalogue.test(TestId.of(attempt.testId())).variants();
        if (!variants.contains(attempt.variant())) {
            faults.add(new FieldFault(
                    field + ".variant",
                    "'" + attempt.variant() + "' is no way of doing '" + attempt.testId() + "'; allowed: "
                            + String.join(", ", variants)));
        }
        if (faults.isEmpty()) {
            ResponseCheck.faults(catalogue.test(TestId.of(attempt.testId())), attempt.toCore())
                    .forEach(fault -> faults.add(
                            new FieldFault(field + ".parts[" + fault.index() + "]." + fault.field(), fault.message())));
        }
    }

    private void checkAnswers(String field, CommandJson command, Record record, List<FieldFault> faults) {
        if ((command.kind() == CommandKind.TELL) == command.answers().isEmpty()) {
            faults.add(new FieldFault(field + ".answers", "allowed: at least one with TELL, none otherwise"));
        }
        for (int i = 0; i < command.answers().size(); i++) {
            String place = field + ".answers[" + i + "].";
            answers.fault(record.region, command.answers().get(i).toCore())
                    .ifPresent(fault -> faults.add(new FieldFault(place + fault.field(), fault.message())));
        }
    }

    /** What of an answer can be kept by today's questions; empty where nothing can. */
    Optional<Answer> stillAsked(String region, Answer answer) {
        return answers.stillAsked(region, answer);
    }

    private boolean knownTest(String id) {
        return catalogue.tests().keySet().stream().anyMatch(test -> test.value().equals(id));
    }

    /** Whether a record may name a test: one of the library, or one that an earlier library had. */
    public static boolean readable(Catalogue catalogue, String id) {
        return Stream.of(catalogue.tests(), catalogue.retired().tests())
                .flatMap(tests -> tests.keySet().stream())
                .anyMatch(test -> test.value().equals(id));
    }

    /** Why an id is that of no test, and what is allowed. */
    public static String unknownTest(Catalogue catalogue, String id) {
        return "'" + id + "' is not in the catalogue; allowed: the id of a test in the library, such as "
                + catalogue.tests().keySet().iterator().next();
    }
}
