package lexicor.server.calculators;

import jakarta.validation.Valid;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import lexicor.core.differential.Differential;
import lexicor.core.draws.CountedTest;
import lexicor.core.evidence.TwoByTwo;
import lexicor.core.posttest.PostTest;
import lexicor.core.posttest.SingleTest;
import lexicor.core.posttest.TestGroup;
import lexicor.core.synthesis.Pooling;
import lexicor.core.synthesis.Synthesis;
import lexicor.core.tracking.MeasurementError;
import lexicor.core.tracking.Trend;
import lexicor.server.load.InTurn;
import lexicor.server.problems.BadInput;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The bare mathematics of accuracy and post-test chance. */
@RestController
@RequestMapping("/api/calculate")
@InTurn(InTurn.Kind.CALCULATOR)
class CalculatorController {

    /** Statistics of a 2x2 table; what its counts leave unknown is null. */
    @PostMapping("/accuracy")
    AccuracyAnswer accuracy(@Valid @RequestBody AccuracyQuestion question) {
        if (question.tp() + question.fp() + question.fn() + question.tn() == 0) {
            throw new BadInput("tp", "all four counts are 0; allowed: at least one patient");
        }
        return AccuracyAnswer.of(new TwoByTwo(question.tp(), question.fp(), question.fn(), question.tn()));
    }

    /**
     * The chance after groups of tests, and the likelihood ratio of all of them. Groups are independent of each other.
     */
    @PostMapping("/post-test")
    PostTestAnswer postTest(@Valid @RequestBody PostTestQuestion question) {
        List<TestGroup> groups = new ArrayList<>();
        for (int group = 0; group < question.groups().size(); group++) {
            PostTestQuestion.Group asked = question.groups().get(group);
            groups.add(TestGroup.of(asked.rho(), tests(asked.tests(), "groups[" + group + "].")));
        }
        PostTest answer = PostTest.ofGroups(question.prior(), groups);
        return new PostTestAnswer(answer.chance(), answer.likelihoodRatio());
    }

    /** The chance of a group's answers with and without the condition. */
    @PostMapping("/group")
    GroupAnswer group(@Valid @RequestBody GroupQuestion question) {
        double absent = question.rhoAbsent() == null ? question.rho() : question.rhoAbsent();
        TestGroup.Answer answer = new TestGroup(question.rho(), absent, tests(question.tests(), "")).answer();
        return new GroupAnswer(answer.givenPresent(), answer.givenAbsent(), answer.likelihoodRatio());
    }

    /**
     * What the counts behind independent tests leave open of the chance after them. The same seed gives the same
     * answer.
     */
    @PostMapping("/interval")
    IntervalAnswer interval(@Valid @RequestBody IntervalQuestion question) {
        long work = (long) question.draws() * Math.max(1, question.tests().size());
        if (work > IntervalQuestion.MOST_WORK) {
            throw new BadInput(
                    "draws",
                    "times the number of tests is " + work + "; allowed: at most " + IntervalQuestion.MOST_WORK);
        }
        List<CountedTest> tests = new ArrayList<>();
        for (int test = 0; test < question.tests().size(); test++) {
            IntervalQuestion.Counted asked = question.tests().get(test);
            requireBothGroups(asked, "tests[" + test + "]");
            tests.add(new CountedTest(new TwoByTwo(asked.tp(), asked.fp(), asked.fn(), asked.tn()), asked.positive()));
        }
        CountedTest.Interval answer = CountedTest.interval(question.prior(), tests, question.draws(), question.seed());
        return new IntervalAnswer(answer.median(), answer.lower(), answer.upper());
    }

    /** The studies of one test put together. */
    @PostMapping("/pool")
    PoolAnswer pool(@Valid @RequestBody PoolQuestion question) {
        requirePatients(
                question.studies().stream().anyMatch(each -> each.tp() + each.fn() > 0),
                "studies[0].tp",
                "and fn",
                "with");
        requirePatients(
                question.studies().stream().anyMatch(each -> each.tn() + each.fp() > 0),
                "studies[0].tn",
                "and fp",
                "without");
        return PoolAnswer.of(Pooling.pool(
                question.studies().stream().map(PoolQuestion.Study::counts).toList()));
    }

    private static void requirePatients(boolean some, String field, String beside, String side) {
        if (!some) {
            throw new BadInput(
                    field,
                    beside + " are both 0, in every study; allowed: at least one patient " + side + " the condition");
        }
    }

    /** What a clinic would find for each criterion of a ledger. */
    @PostMapping("/synthesis")
    SynthesisAnswer synthesis(@Valid @RequestBody SynthesisQuestion question) {
        Synthesis synthesis = Synthesis.of(question.read());
        return SynthesisAnswer.of(
                synthesis,
                question.here() == null ? Map.of() : question.own(),
                question.here() == null ? null : question.here().condition());
    }

    /** One differential of conditions that lie within each other or share findings. */
    @PostMapping("/joint")
    JointAnswer joint(@Valid @RequestBody JointQuestion question) {
        Differential.Question read = question.read();
        try {
            return JointAnswer.of(new Differential(read), read.forest());
        } catch (IllegalArgumentException tooMany) {
            throw new BadInput("conditions", tooMany.getMessage());
        } catch (ArithmeticException farTooMany) {
            throw new BadInput(
                    "conditions", "have too many states to count; allowed: fewer conditions directly within one");
        }
    }

    /** How two examiners of the same patients agree. */
    @PostMapping("/agreement")
    AgreementAnswer agreement(@Valid @RequestBody AgreementQuestion question) {
        return AgreementAnswer.of(named("table", question::read));
    }

    /** Accuracy where only some patients were followed up to the truth. */
    @PostMapping("/verification")
    VerificationAnswer verification(@Valid @RequestBody VerificationQuestion question) {
        return VerificationAnswer.of(named("verified", question::read));
    }

    /** Whether a change is beyond the noise of a measure, or how a measure goes over time. */
    @PostMapping("/change")
    ChangeAnswer change(@Valid @RequestBody ChangeQuestion question) {
        if (question.overTime()) {
            if (question.days() == null || question.millimetres() == null) {
                throw new BadInput(
                        question.days() == null ? "days" : "millimetres", "is missing; allowed: one number a visit");
            }
            return ChangeAnswer.of(
                    named("days", () -> Trend.of(numbers(question.days()), numbers(question.millimetres()))));
        }
        double reliability = required("reliability", question.reliability());
        double sd = required("sd", question.sd());
        double change = required("change", question.change());
        return ChangeAnswer.of(named("reliability", () -> MeasurementError.of(reliability, sd)), change);
    }

    private static double required(String field, Double value) {
        if (value == null || !Double.isFinite(value)) {
            throw new BadInput(
                    field,
                    "is missing; allowed: reliability, sd and change as numbers, or days and millimetres as lists");
        }
        return value;
    }

    private static double[] numbers(List<Double> values) {
        return values.stream().mapToDouble(Double::doubleValue).toArray();
    }

    /** What the mathematics refuses, as a fault of a field. */
    private static <T> T named(String field, Supplier<T> read) {
        try {
            return read.get();
        } catch (IllegalArgumentException refused) {
            throw new BadInput(field, refused.getMessage());
        }
    }

    private static List<SingleTest> tests(List<PostTestQuestion.Test> asked, String within) {
        List<SingleTest> tests = new ArrayList<>();
        for (int test = 0; test < asked.size(); test++) {
            tests.add(asked.get(test).read(within + "tests[" + test + "]"));
        }
        return tests;
    }

    private static void requireBothGroups(IntervalQuestion.Counted asked, String field) {
        if (asked.tp() + asked.fn() == 0) {
            throw new BadInput(field + ".tp", "and fn are both 0; allowed: at least one patient with the condition");
        }
        if (asked.fp() + asked.tn() == 0) {
            throw new BadInput(field + ".fp", "and tn are both 0; allowed: at least one patient without the condition");
        }
    }
}
