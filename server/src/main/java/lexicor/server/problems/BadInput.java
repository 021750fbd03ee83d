package lexicor.server.problems;

import java.util.List;

/** A request that cannot be taken as it is. */
public final class BadInput extends RuntimeException {

    private final List<FieldFault> faults;

    public BadInput(List<FieldFault> faults) {
        super(faults.get(0).field() + ": " + faults.get(0).message());
        this.faults = List.copyOf(faults);
    }

    public BadInput(String field, String message) {
        this(List.of(new FieldFault(field, message)));
    }

    /** At least one. */
    public List<FieldFault> faults() {
        return faults;
    }
}
