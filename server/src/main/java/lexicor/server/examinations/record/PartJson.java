package lexicor.server.examinations.record;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import lexicor.core.examination.Part;

/** A typed part of a response: exactly one of choice, measure (with its unit) and text. */
public record PartJson(
        @NotBlank(message = "allowed: the name of a part") @Size(max = 60, message = "allowed: at most 60 characters")
        String key,

        @Schema(nullable = true) @Size(max = 60, message = "allowed: at most 60 characters")
        String choice,

        @Schema(nullable = true) Double measure,

        @Schema(nullable = true) @Size(max = 20, message = "allowed: at most 20 characters")
        String unit,

        @Schema(nullable = true) @Size(max = 2000, message = "allowed: at most 2000 characters")
        String text,

        @Schema(nullable = true) @Size(max = 60, message = "allowed: at most 60 characters")
        String position,

        @Schema(nullable = true)
        @Min(value = 1, message = "allowed: 1 to 99")
        @Max(value = 99, message = "allowed: 1 to 99")
        Integer repeat,

        @Schema(nullable = true) @Size(max = 20, message = "allowed: at most 20 characters")
        String direction) {

    public static PartJson of(Part part) {
        Part.Context context = part.context();
        String position = context.position().isEmpty() ? null : context.position();
        Integer repeat = context.repeat() == 1 ? null : context.repeat();
        String direction = context.direction().isEmpty() ? null : context.direction();
        if (part instanceof Part.Measured measured) {
            return new PartJson(part.key(), null, measured.value(), measured.unit(), null, position, repeat, direction);
        }
        return part instanceof Part.Chosen chosen
                ? new PartJson(part.key(), chosen.choice(), null, null, null, position, repeat, direction)
                : new PartJson(part.key(), null, null, null, ((Part.Said) part).text(), position, repeat, direction);
    }

    /** Whether it has exactly one value, with a unit where that is a measure. */
    public boolean oneValue() {
        int values = (choice == null ? 0 : 1) + (measure == null ? 0 : 1) + (text == null ? 0 : 1);
        return values == 1 && (measure == null) == (unit == null);
    }

    /** As the core has it. */
    public Part toCore() {
        Part.Context context = new Part.Context(
                position == null ? "" : position, repeat == null ? 1 : repeat, direction == null ? "" : direction);
        if (choice != null) {
            return new Part.Chosen(key, choice, context);
        }
        return measure != null ? new Part.Measured(key, measure, unit, context) : new Part.Said(key, text, context);
    }
}
