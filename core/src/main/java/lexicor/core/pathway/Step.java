package lexicor.core.pathway;

import java.util.List;
import java.util.stream.Stream;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Reading;

/** A step of a pathway. */
public sealed interface Step {

    /** Its name within the pathway. */
    String id();

    /** The steps that may follow, in the order in which they are written. */
    Stream<String> ways();

    /** Something asked of the patient or seen; each answer leads on. */
    record Ask(String id, String question, List<Answer> answers) implements Step {
        public Ask {
            answers = List.copyOf(answers);
        }

        @Override
        public Stream<String> ways() {
            return answers.stream().map(Answer::next);
        }
    }

    /** An answer and where it leads. */
    record Answer(String value, String label, String next) {}

    /**
     * A test to do.
     *
     * @param because why this one now
     * @param branches where its readings lead, the first that holds
     * @param otherwise where it leads when none of them holds
     */
    record Examine(String id, TestId test, String because, List<Branch> branches, String otherwise) implements Step {
        public Examine {
            branches = List.copyOf(branches);
        }

        @Override
        public Stream<String> ways() {
            return Stream.concat(branches.stream().map(Branch::next), Stream.of(otherwise))
                    .distinct();
        }
    }

    /** A reading of the step's test and where it leads. */
    record Branch(ConditionId condition, CriterionId criterion, Reading.Result result, String next) {}

    /**
     * Where a way ends.
     *
     * @param says what stands there
     * @param conditions it points to; empty where it points to none
     * @param because what to do or bear in mind
     */
    record End(String id, String says, List<ConditionId> conditions, String because) implements Step {
        public End {
            conditions = List.copyOf(conditions);
        }

        @Override
        public Stream<String> ways() {
            return Stream.empty();
        }
    }
}
