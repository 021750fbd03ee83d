package lexicor.core.catalogue;

/** A condition in which a test is provoked too although it does not speak for it, and why. */
public record AlsoIn(ConditionId condition, String because) {}
