package lexicor.core.catalogue;

/** Name of a test in the catalogue: lower-case letters, digits and hyphens. */
public record TestId(String value) {

    public TestId {
        Slug.require("test", value);
    }

    public static TestId of(String value) {
        return new TestId(value);
    }

    @Override
    public String toString() {
        return value;
    }
}
