package lexicor.core.catalogue;

import java.util.List;

/** A name that different tests go by, and how they differ. */
public record SharedName(String name, List<Meant> meant) {

    public SharedName {
        meant = List.copyOf(meant);
    }

    /** One of the tests that may be meant. */
    public record Meant(TestId test, String how) {}
}
