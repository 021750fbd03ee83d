package lexicor.core.practice;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Part;

/** Something done in a practice case. Steps are only ever added. */
public sealed interface PracticeStep {

    /** Questions of the intake were asked, by id. */
    record Asked(List<String> questions) implements PracticeStep {
        public Asked {
            questions = List.copyOf(questions);
        }
    }

    /**
     * A test was done.
     *
     * @param way its name in the record
     * @param wellFirst whether the well side was done first
     * @param here what the side in question answered
     * @param well what the well side answered; none where it was not done
     * @param hurt why it hurt for nothing; empty where it did not
     */
    record Examined(
            TestId test,
            String way,
            boolean wellFirst,
            List<Part> here,
            List<Part> well,
            Optional<PatientContent.Hurt> hurt)
            implements PracticeStep {
        public Examined {
            here = List.copyOf(here);
            well = List.copyOf(well);
        }
    }

    /**
     * The last answer to a test was written down, as one saw it. What is written last counts.
     *
     * @param here of the side in question
     * @param well of the well side
     */
    record Written(TestId test, List<Part> here, List<Part> well) implements PracticeStep {
        public Written {
            here = List.copyOf(here);
            well = List.copyOf(well);
        }
    }

    /** Own chances were put on conditions, each within (0, 1). */
    record Believed(Map<ConditionId, Double> chances) implements PracticeStep {
        public Believed {
            chances = Map.copyOf(chances);
        }
    }

    /** Somebody asked what to do next, and was told; empty where nothing was worth doing. */
    record Hinted(Optional<TestId> test) implements PracticeStep {}

    /**
     * The examination was ended.
     *
     * @param referred whether the patient was sent on without going further
     */
    record Ended(boolean referred) implements PracticeStep {}
}
