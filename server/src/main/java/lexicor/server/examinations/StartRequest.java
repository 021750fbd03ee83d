package lexicor.server.examinations;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import lexicor.core.catalogue.Setting;
import lexicor.core.examination.Side;

/**
 * What is asked before an examination begins.
 *
 * @param id given by the page, so that a start sent twice begins one examination
 */
public record StartRequest(@NotNull(message = "allowed: a UUID") UUID id,
        @NotNull(message = CASE_CODE) @Pattern(regexp = "[A-Za-z0-9][A-Za-z0-9./-]{0,19}", message = CASE_CODE) String caseCode,
        @NotNull(message = AGE) @Min(value = 0, message = AGE) @Max(value = 120, message = AGE) Integer age,
        @NotBlank(message = "allowed: a few words, such as sail mender") @Size(max = 120, message = "allowed: at most 120 characters") String occupation,
        @NotBlank(message = "allowed: shoulder") String region,
        @NotNull(message = "allowed: LEFT, RIGHT") Side side,
        @NotNull(message = "allowed: FIRST_CONTACT, SPECIALIST") Setting setting) {

    static final String CASE_CODE = "allowed: letters, digits, full stops, hyphens and strokes, at most 20, no names";
    static final String AGE = "allowed: whole years, 0 to 120";
}
