package lexicor.core.catalogue;

import org.jspecify.annotations.Nullable;

/** Name of a test in the catalogue: lower-case letters, digits and hyphens. */
public record TestId(String value) {

    public TestId {
        Slug.require("test", value);
    }

    public static TestId of(String value) {
        return new TestId(value);
    }

    // written out, since a weighing compares names by the million and the equality made for a record is slow until
    // compiled
    @Override
    public boolean equals(@Nullable Object other) {
        return other instanceof TestId name && value.equals(name.value);
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
