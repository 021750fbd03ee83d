package lexicor.server.cases;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.Size;
import lexicor.core.intake.Person;

/** What is known of a person beside the code. All of it may be absent. */
public record CaseDetails(
        @Schema(nullable = true) @Size(max = 80, message = "allowed: at most 80 characters")
        String name,

        @Schema(nullable = true) Integer birthYear,
        @Schema(nullable = true) Dominance dominance,

        @Schema(nullable = true) @Size(max = 120, message = "allowed: at most 120 characters")
        String occupation,

        @Schema(nullable = true) Person.Sex sex) {

    /** Of whose sex nothing is said. */
    public CaseDetails(String name, Integer birthYear, Dominance dominance, String occupation) {
        this(name, birthYear, dominance, occupation, null);
    }

    /** Never shows who it is about. */
    @Override
    public String toString() {
        return "details of a case";
    }
}
