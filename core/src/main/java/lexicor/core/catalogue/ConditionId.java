package lexicor.core.catalogue;

import org.jspecify.annotations.Nullable;

/** Name of a condition in the catalogue: lower-case letters, digits and hyphens. */
public record ConditionId(String value) {

    public ConditionId {
        Slug.require("condition", value);
    }

    public static ConditionId of(String value) {
        return new ConditionId(value);
    }

    // written out, since a weighing compares names by the million and the equality made for a record is slow until
    // compiled
    @Override
    public boolean equals(@Nullable Object other) {
        return other instanceof ConditionId name && value.equals(name.value);
    }

    @Override
    public int hashCode() {
        return value.hashCode();
    }

    @Override
    public String toString() {
        return value;
    }
}
