package lexicor.server.examinations.weighing;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import lexicor.core.nexttest.SecondOpinion;
import lexicor.core.pathway.PathwayWalk;

/**
 * How far a patient has come on a pathway.
 *
 * @param offered whether its complaint is this patient's
 * @param followed whether it is being followed
 * @param passed the steps behind, oldest first
 * @param here the step at hand, or the end
 * @param opinion what the weighing makes of the step at hand
 * @param instead the test that the weighing would do, where it would do another
 * @param says the same in words, without a full stop; empty where there is nothing to say
 */
public record PathwayStateJson(
        String id,
        boolean offered,
        boolean followed,
        List<PassedJson> passed,
        String here,
        SecondOpinion.Kind opinion,
        @Schema(nullable = true) String instead,
        String says) {

    /** A step behind; {@code answer} is what was answered to a question, empty for a test. */
    public record PassedJson(String step, PathwayWalk.Outcome outcome, String answer) {}
}
