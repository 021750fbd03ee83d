package lexicor.server.calculators;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import lexicor.core.posttest.SingleTest;
import lexicor.server.problems.BadInput;

/** A chance before, and groups of tests with their results. */
record PostTestQuestion(
        @NotNull(message = PostTestQuestion.PRIOR)
        @DecimalMin(value = "0", inclusive = false, message = PostTestQuestion.PRIOR)
        @DecimalMax(value = "1", inclusive = false, message = PostTestQuestion.PRIOR)
        Double prior,

        @NotNull(message = "allowed: a list of groups") @Size(max = 50, message = "allowed: at most 50 groups") @Valid
        List<@NotNull(message = "allowed: a group") @Valid Group> groups) {

    static final String RHO = "allowed: 0 to 0.95";
    static final String PRIOR = "allowed: between 0 and 1, not 0 or 1 themselves";

    /** Tests whose results share a latent correlation. */
    record Group(
            @NotNull(message = RHO) @DecimalMin(value = "0", message = RHO) @DecimalMax(value = "0.95", message = RHO)
            Double rho,

            @NotNull(message = "allowed: a list of tests") @Size(max = 100, message = "allowed: at most 100 tests")
            List<@NotNull(message = "allowed: a test") @Valid Test> tests) {}

    /** One test with its result. */
    record Test(
            @NotNull(message = Test.SHARE)
            @DecimalMin(value = "0", message = Test.SHARE)
            @DecimalMax(value = "1", message = Test.SHARE)
            Double sensitivity,

            @NotNull(message = Test.SHARE)
            @DecimalMin(value = "0", message = Test.SHARE)
            @DecimalMax(value = "1", message = Test.SHARE)
            Double specificity,

            @NotNull(message = "allowed: true or false") Boolean positive) {

        static final String SHARE = "allowed: 0 to 1";

        SingleTest read(String field) {
            try {
                return new SingleTest(sensitivity, specificity, positive);
            } catch (IllegalArgumentException impossible) {
                throw new BadInput(
                        field + (impossible.getMessage().startsWith("sensitivity") ? ".sensitivity" : ".specificity"),
                        impossible.getMessage());
            }
        }
    }
}
