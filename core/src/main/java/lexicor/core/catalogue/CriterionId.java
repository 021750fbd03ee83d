package lexicor.core.catalogue;

/** Name of a criterion in the catalogue: lower-case letters, digits and hyphens. */
public record CriterionId(String value) {

    public CriterionId {
        Slug.require("criterion", value);
    }

    public static CriterionId of(String value) {
        return new CriterionId(value);
    }

    @Override
    public String toString() {
        return value;
    }
}
