package lexicor.core.safety;

import java.util.Optional;
import lexicor.core.catalogue.Answers;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.story.HeardStory;

/** What is known of an examination, as circumstances ask for it. */
public interface Known {

    String region();

    HeardStory story();

    /** Whether some reading of a test by a criterion has this result. */
    boolean found(TestId test, CriterionId criterion, boolean positive);

    /** What was recorded last of a test on the side in question; empty where nothing was. */
    Optional<Answers> answers(TestId test);

    /** Whether anything was recorded of a test on the side in question. */
    boolean recorded(TestId test);

    /** Whether a condition can be what this patient has. */
    boolean ranked(ConditionId condition);

    /** Chance of a condition now, 0..1; 0 where it is not ranked. */
    double chance(ConditionId condition);

    /** Whether a finding has raised its chance above the start, or belongs to its picture. */
    boolean raised(ConditionId condition);
}
