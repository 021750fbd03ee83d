package lexicor.server.problems;

/** One field of a request that cannot be taken, and what is allowed. */
public record FieldFault(String field, String message) {}
