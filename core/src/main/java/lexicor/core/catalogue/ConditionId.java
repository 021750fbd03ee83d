package lexicor.core.catalogue;

/** Name of a condition in the catalogue: lower-case letters, digits and hyphens. */
public record ConditionId(String value) {

    public ConditionId {
        Slug.require("condition", value);
    }

    public static ConditionId of(String value) {
        return new ConditionId(value);
    }

    @Override
    public String toString() {
        return value;
    }
}
