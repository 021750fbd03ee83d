package lexicor.server.calculators;

import jakarta.validation.Valid;
import java.util.ArrayList;
import java.util.List;
import lexicor.core.evidence.TwoByTwo;
import lexicor.core.weighing.PostTest;
import lexicor.core.weighing.SingleTest;
import lexicor.server.problems.BadInput;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The bare mathematics of accuracy and post-test chance. */
@RestController
@RequestMapping("/api/calculate")
class CalculatorController {

    /** Statistics of a 2x2 table; what its counts leave unknown is null. */
    @PostMapping("/accuracy")
    AccuracyAnswer accuracy(@Valid @RequestBody AccuracyQuestion question) {
        if (question.tp() + question.fp() + question.fn() + question.tn() == 0) {
            throw new BadInput("tp", "all four counts are 0; allowed: at least one patient");
        }
        return AccuracyAnswer.of(new TwoByTwo(question.tp(), question.fp(), question.fn(), question.tn()));
    }

    /** The chance after groups of tests, and the likelihood ratio of all of them. */
    @PostMapping("/post-test")
    PostTestAnswer postTest(@Valid @RequestBody PostTestQuestion question) {
        List<SingleTest> tests = new ArrayList<>();
        for (int group = 0; group < question.groups().size(); group++) {
            PostTestQuestion.Group asked = question.groups().get(group);
            requireIndependent(asked.rho(), "groups[" + group + "].rho");
            for (int test = 0; test < asked.tests().size(); test++) {
                tests.add(asked.tests().get(test).read("groups[" + group + "].tests[" + test + "]"));
            }
        }
        PostTest answer = PostTest.of(question.prior(), tests);
        return new PostTestAnswer(answer.chance(), answer.likelihoodRatio());
    }

    private static void requireIndependent(double rho, String field) {
        if (rho != 0) {
            throw new BadInput(field, "is " + rho + "; allowed: 0, since tests that depend on each other cannot be computed yet");
        }
    }
}
