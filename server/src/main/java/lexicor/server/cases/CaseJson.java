package lexicor.server.cases;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.UUID;
import lexicor.core.intake.Person;

/** What is known of a person. Name, year of birth, dominance and sex are absent where nobody said. */
public record CaseJson(
        UUID id,
        String code,
        @Schema(nullable = true) String name,
        @Schema(nullable = true) Integer birthYear,
        @Schema(nullable = true) Dominance dominance,
        String occupation,
        @Schema(nullable = true) Person.Sex sex,
        int version) {

    public static CaseJson of(CaseFile file) {
        return new CaseJson(
                file.id(),
                file.code(),
                file.name().orElse(null),
                file.birthYear().orElse(null),
                file.dominance().orElse(null),
                file.occupation(),
                file.sex().orElse(null),
                file.version());
    }

    /** A change of what is known. */
    @Schema(name = "CaseChange")
    public record Change(
            @NotNull(message = "allowed: the details") @Valid
            CaseDetails details,

            @NotNull(message = "allowed: the version that was read")
            Integer version) {}

    /** A code that is free. */
    @Schema(name = "CaseCode")
    public record Code(String code) {}
}
