package lexicor.server.calculators;

import com.fasterxml.jackson.annotation.JsonInclude;
import io.swagger.v3.oas.annotations.media.Schema;
import lexicor.core.synthesis.Pooled;

/** The studies of one test put together; what a method does not have is left out. */
@JsonInclude(JsonInclude.Include.NON_NULL)
record PoolAnswer(
        String method,
        String reason,
        Pooled.Proportion sensitivity,
        Pooled.Proportion specificity,
        Between betweenStudy,
        Pooled.Heterogeneity heterogeneity,
        Double logLikelihood) {

    static PoolAnswer of(Pooled pooled) {
        return new PoolAnswer(
                pooled.method(),
                pooled.reason().orElse(null),
                pooled.sensitivity(),
                pooled.specificity(),
                pooled.between().map(Between::of).orElse(null),
                pooled.heterogeneity().orElse(null),
                pooled.logLikelihood().orElse(null));
    }

    /** Deviations between studies, on the logit. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    @Schema(name = "PoolBetweenAnswer")
    record Between(double sdSensitivity, double sdSpecificity, boolean[] floored, Double correlation) {

        static Between of(Pooled.Between between) {
            return new Between(
                    between.sdSensitivity(),
                    between.sdSpecificity(),
                    between.floored().orElse(null),
                    between.correlation().orElse(null));
        }
    }
}
