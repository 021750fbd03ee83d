package lexicor.core.catalogue;

/** Name of a cluster in the catalogue: lower-case letters, digits and hyphens. */
public record ClusterId(String value) {

    public ClusterId {
        Slug.require("cluster", value);
    }

    public static ClusterId of(String value) {
        return new ClusterId(value);
    }

    @Override
    public String toString() {
        return value;
    }
}
