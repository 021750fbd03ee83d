package lexicor.server.examinations.record;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import java.util.UUID;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.examination.Side;
import lexicor.server.cases.Affected;
import lexicor.server.cases.CaseDetails;

/**
 * What is asked before an examination begins.
 *
 * @param id given by the page, so that a start sent twice begins one examination
 * @param side the side or sides affected
 * @param worse with both sides, the one that is weighed; absent otherwise
 * @param follows the examination that this one starts from; absent for a first one
 */
public record VisitRequest(
        @NotNull(message = "allowed: a UUID") UUID id,

        @NotBlank(message = "allowed: shoulder, elbow, wrist, hand")
        String region,

        @NotNull(message = "allowed: LEFT, RIGHT, BOTH") Affected side,
        @Schema(nullable = true) Side worse,

        @NotNull(message = "allowed: FIRST_CONTACT, SPECIALIST")
        CareSetting setting,

        @Schema(nullable = true) UUID follows) {

    /**
     * A new case with its first examination.
     *
     * @param id given by the page, like the examination's
     */
    public record NewCase(
            @NotNull(message = "allowed: a UUID") UUID id,

            @NotNull(message = CODE) @Pattern(regexp = CODE_FORM, message = CODE)
            String code,

            @NotNull(message = "allowed: the details") @Valid
            CaseDetails details,

            @NotNull(message = "allowed: an examination") @Valid
            VisitRequest visit) {

        /** What a case code looks like. */
        public static final String CODE_FORM = "[\\p{L}\\p{N}][\\p{L}\\p{N}\\p{M}\\p{P}\\p{S}]{0,29}";

        /** What is allowed for a case code, in words. */
        public static final String CODE =
                "allowed: letters, digits and signs without spaces, at most 30, beginning with a letter or digit; no names";
    }
}
